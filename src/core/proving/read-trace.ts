import { torqueAtSpoolNmm } from "@/core/drag/pull";
import { readPullTrace } from "@/core/drag/pull-trace";
import { quantile } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import type { TestId } from "@/core/vocabulary/tests";
import { withoutRoom } from "./sound";
import { readSpinTrace, standardStart } from "./spin-trace";
import type { TraceSample } from "./trace";

export type InstrumentId = "pull-scale" | "pulse-pickup" | "effort-handle" | "microphone";

export interface InstrumentSpec {
  readonly id: InstrumentId;
  readonly name: string;
  /** Unit of the trace; the reading has the test's own. */
  readonly traceUnit: string;
  /** What one reading carries, in words: no before and after says more than its instrument. */
  readonly uncertainty: string;
  /** Words on its key, idle, running and done. */
  readonly start: string;
  readonly stop: string;
  readonly again: string;
  /** Kinds of file that are read instead of a stream. */
  readonly files: readonly ("csv" | "wav")[];
}

/** The instruments of a bench. Uncertainties are of ordinary ones (rule of thumb); a maker's own sheet stands above them. */
export const instruments: Readonly<Record<InstrumentId, InstrumentSpec>> = {
  "pull-scale": {
    id: "pull-scale",
    name: "pull scale",
    traceUnit: "N",
    uncertainty: "± 2 %, and 0.2 N",
    start: "Pull with the scale",
    stop: "Stop the scale",
    again: "Pull again",
    files: ["csv"],
  },
  "pulse-pickup": {
    id: "pulse-pickup",
    name: "pulse pickup",
    traceUnit: "turns/s",
    uncertainty: "± 0.3 s",
    start: "Spin at the pickup",
    stop: "Stop the pickup",
    again: "Spin again",
    files: ["csv", "wav"],
  },
  "effort-handle": {
    id: "effort-handle",
    name: "effort handle",
    traceUnit: "cN·m",
    uncertainty: "± 5 %",
    start: "Measure with the torque handle",
    stop: "Stop the handle",
    again: "Turn again",
    files: ["csv"],
  },
  microphone: {
    id: "microphone",
    name: "microphone",
    traceUnit: "dB below full scale",
    uncertainty: "± 2 dB, at one distance in one room",
    start: "Listen to the click",
    stop: "Stop listening",
    again: "Listen again",
    files: ["csv", "wav"],
  },
};

const instrumentOfTest: Partial<Record<TestId, InstrumentId>> = {
  "free-spool": "pulse-pickup",
  turning: "effort-handle",
  "drag-light": "pull-scale",
  "drag-strike": "pull-scale",
  "drag-full": "pull-scale",
  click: "microphone",
};

/** What measures a test; null for one that is counted, felt or read off a gauge by eye. */
export const instrumentFor = (test: TestId): InstrumentSpec | null => {
  const id = instrumentOfTest[test];
  return id ? instruments[id] : null;
};

export interface TraceReading {
  /** In the test's own unit. */
  readonly value: number;
  /** What else the trace shows. */
  readonly words: string;
}

/** Turning in gear, from a handle that feels the effort: the mean, and how uneven it is (0 is perfectly even). */
function readEffort(samples: readonly TraceSample[]): Result<TraceReading> {
  // The hand takes up the slack first.
  const turning = samples.slice(Math.floor(samples.length / 8));
  if (turning.length < 20) return fail("too-short", "Too short to read: turn the handle at least three times, slowly.");
  const mean = turning.reduce((sum, { value }) => sum + value, 0) / turning.length;
  if (!(mean > 0)) return fail("no-effort", "No torque at the handle: is the reel in gear?");
  const uneven = Math.sqrt(turning.reduce((sum, { value }) => sum + (value - mean) ** 2, 0) / turning.length) / mean;
  const peak = Math.max(...turning.map(({ value }) => value));
  return ok({
    value: mean,
    words: `Mean ${mean.toFixed(1)} cN·m, peak ${peak.toFixed(1)}, varies by ${(uneven * 100).toFixed(0)} %${uneven > 0.2 ? ": grit or a tight spot" : ""}.`,
  });
}

function readClick(samples: readonly TraceSample[]): Result<TraceReading> {
  if (samples.length < 10) return fail("too-short", "Too short to read: a second of silence, then two seconds of click.");
  const values = samples.map(({ value }) => value);
  const [room, loud] = [quantile(values, 0.1), quantile(values, 0.9)];
  if (loud - room < 3)
    return fail("nothing-heard", "Nothing is louder than the room: move the microphone closer, leave a second of silence, then draw line.");
  const click = withoutRoom(loud, room);
  return ok({
    value: click - room,
    words: `Click ${click.toFixed(1)} dB, room ${room.toFixed(1)} dB: ${(click - room).toFixed(1)} dB above it. Compare only at one distance.`,
  });
}

/** Start ÷ running above this is felt as a jerk (rule of thumb). */
const jerkRatio = 1.3;

/** Reads a test's number off its trace. The refusals say what to do next. */
export function readTrace(test: TestId, samples: readonly TraceSample[]): Result<TraceReading> {
  switch (instrumentOfTest[test]) {
    case "pull-scale": {
      const read = readPullTrace(samples.map(({ tMs, value }) => ({ tMs, forceN: value })));
      if (!read.ok) return read;
      const { startPeakN, running, start, startsWithPeak, pulsing } = read.value;
      const jerks = startsWithPeak && start.value > jerkRatio;
      return ok({
        value: running.value,
        words: [
          `Start peak ${startPeakN.toFixed(1)} N, running mean ${running.value.toFixed(1)} N (${running.low.toFixed(1)} to ${running.high.toFixed(1)})`,
          `start ÷ running ${start.value.toFixed(2)} (${start.low.toFixed(2)} to ${start.high.toFixed(2)})${jerks ? ": it jerks at the start" : ""}`,
          ...(pulsing ? [`it pulses by ${(pulsing.share * 100).toFixed(0)} % every ${(pulsing.periodMs / 1000).toFixed(1)} s`] : []),
        ].join("; "),
      });
    }
    case "pulse-pickup": {
      const read = readSpinTrace(samples);
      if (!read.ok) return read;
      const { seconds, seenToStand } = read.value;
      return ok({
        value: seconds,
        words: `${seconds.toFixed(1)} s from ${standardStart} turns a second to a stop${seenToStand ? "" : ", extrapolated: it was stopped before it came to rest"}.`,
      });
    }
    case "effort-handle":
      return readEffort(samples);
    case "microphone":
      return readClick(samples);
    default:
      return fail("no-instrument", "No instrument for this test: press what you felt.");
  }
}

/** What a pull is at the spool, N·m: the same at every line radius. */
export const torqueWords = (forceN: number, lineRadiusMm: number): string =>
  `${(torqueAtSpoolNmm(forceN, lineRadiusMm) / 1000).toFixed(2)} N·m at the spool`;
