"use client";
import { useEffect, useId, useRef, useState } from "react";
import { clickFromSound } from "@/core/listen/click-sound";
import { type Recording, withoutGaps } from "@/core/listen/recording";
import { spinFromSound } from "@/core/listen/spin-sound";
import { type InstrumentSpec, readTrace } from "@/core/proving/read-trace";
import { levelsOfSound } from "@/core/proving/sound";
import { speedsFromPulses } from "@/core/proving/spin-trace";
import { mostSamples, type TraceSample } from "@/core/proving/trace";
import { readTraceCsv } from "@/core/proving/trace-csv";
import { ok, type Result } from "@/core/result";
import { lossTerms, lossWords } from "@/core/spin/losses";
import type { TestId } from "@/core/vocabulary/tests";
import { TraceChart } from "@/ui/charts/trace-chart";
import { Key } from "@/ui/controls/keys";
import { decodeSound, unreadableSound } from "@/ui/gauges/decode-sound";
import { ListenHere, thatWasIt } from "@/ui/gauges/listen-here";

export interface InstrumentReading {
  readonly value: number;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly TraceSample[];
}

interface Props {
  readonly jobId: number;
  readonly phase: "before" | "after";
  readonly testId: TestId;
  readonly instrument: InstrumentSpec;
  /** The stand-in may be used here. */
  readonly simulated: boolean;
  readonly onReading: (reading: InstrumentReading | null) => void;
  /** What ends the measuring while it goes on; null when it does no more. */
  readonly onMeasuring: (measuring: Measuring | null) => void;
}

/** A measuring that goes on: the main key ends it. */
export interface Measuring {
  readonly words: string;
  readonly stop: () => void;
}

const pretences = { told: "as told", sound: "a sound reel", worn: "a worn reel" } as const;

/** What the hands do while this device listens in an instrument's stead. */
const listensFor: Partial<Record<InstrumentSpec["id"], string>> = {
  "pulse-pickup": "Spin it and let it run down until it stops.",
  microphone: "A second of silence, then draw line.",
};

/** What a recording gives an instrument: a click its levels and bands, a spool its speed from click to click. */
function traceOfSound(
  recording: Recording,
  instrument: InstrumentSpec,
  marksPerTurn: number,
): Result<{ trace: TraceSample[]; words: string }> {
  if (instrument.id === "pulse-pickup") {
    const spin = spinFromSound(recording, marksPerTurn);
    if (!spin.ok) return spin;
    const { pulses, fit } = spin.value;
    const lost = lossTerms.filter((term) => fit.terms[term].there).map((term) => lossWords[term].split(":")[0]);
    return ok({
      trace: speedsFromPulses(
        pulses.times.map((t) => t * 1000),
        marksPerTurn,
        pulses.places,
      ).slice(0, mostSamples),
      words: `${pulses.times.length} clicks heard${pulses.missed ? `, ${pulses.missed} missed` : ""}.${lost.length ? ` Losses: ${lost.join(", ")}.` : ""}`,
    });
  }
  const heard = clickFromSound(recording);
  const bands = heard.ok
    ? `By octave, above the room: ${heard.value.bands
        .flatMap(({ hz, clickDb, roomDb }) => (clickDb === null ? [] : [`${hz} Hz ${(clickDb - roomDb).toFixed(0)} dB`]))
        .join(", ")}.`
    : heard.message;
  const { sound, rate } = withoutGaps(recording);
  return ok({ trace: levelsOfSound(sound, rate).slice(0, mostSamples), words: bands });
}

/**
 * Streams a measuring from its instrument, or takes it from a file; draws it as it comes and reads the test's number off it. Stopping, and a lost
 * instrument, keep what came.
 */
export function InstrumentPanel({ jobId, phase, testId, instrument, simulated, onReading, onMeasuring }: Props) {
  const [samples, setSamples] = useState<readonly TraceSample[]>([]);
  const [state, setState] = useState<"idle" | "running" | "done">("idle");
  const [words, setWords] = useState("");
  const [pretend, setPretend] = useState<keyof typeof pretences>("told");
  const [fromFile, setFromFile] = useState(false);
  const [marks, setMarks] = useState("1");
  const source = useRef<EventSource | null>(null);
  const kept = useRef<TraceSample[]>([]);
  const fileId = useId();

  const measuring = useRef(onMeasuring);
  measuring.current = onMeasuring;
  useEffect(
    () => () => {
      source.current?.close();
      measuring.current(null);
    },
    [],
  );

  const settle = (trace: TraceSample[], before: string, of: { instrument: string; simulated: boolean }) => {
    setState("done");
    onMeasuring(null);
    const read = readTrace(testId, trace);
    setWords(read.ok ? `${before}${read.value.words}` : read.message);
    onReading(read.ok ? { value: read.value.value, ...of, trace } : null);
  };
  const finish = (lost: boolean) => {
    source.current?.close();
    source.current = null;
    settle(kept.current, lost ? `The ${instrument.name} stopped answering; the reading so far is kept. ` : "", {
      instrument: instrument.name,
      simulated: true,
    });
  };
  const begin = () => {
    kept.current = [];
    setSamples([]);
    setWords("");
    setFromFile(false);
  };
  const start = () => {
    begin();
    setState("running");
    onMeasuring({ words: instrument.stop, stop: () => finish(false) });
    const stream = new EventSource(`/api/devices/${testId}?job=${jobId}&phase=${phase}&pretend=${pretend}`);
    source.current = stream;
    stream.onmessage = (event) => {
      kept.current = [...kept.current, JSON.parse(event.data as string) as TraceSample];
      setSamples(kept.current);
    };
    stream.addEventListener("end", () => finish(false));
    stream.onerror = () => finish(true);
  };
  const refused = (message: string) => {
    setState("done");
    setWords(message);
    onReading(null);
  };
  /** What was measured elsewhere than at the stand-in. @param from what it was measured with. */
  const keep = (trace: TraceSample[], heard: string, from: string) => {
    kept.current = trace;
    setSamples(trace);
    settle(trace, heard && `${heard} `, { instrument: from, simulated: false });
  };
  const hear = (recording: Recording, from: string) => {
    begin();
    setFromFile(true);
    const read = traceOfSound(recording, instrument, Math.max(1, Math.round(Number(marks) || 1)));
    if (!read.ok) return refused(read.message);
    keep(read.value.trace, read.value.words, from);
  };
  const take = async (file: File) => {
    begin();
    setFromFile(true);
    const from = `file ${file.name}`.slice(0, 60);
    if (file.size > 30 * 1024 * 1024) return refused("This file has more than 30 MB: cut it to the measuring itself.");
    if (instrument.files.includes("wav") && (/\.wav$/i.test(file.name) || file.type.startsWith("audio/"))) {
      const recording = await decodeSound(file);
      return recording ? hear(recording, from) : refused(unreadableSound);
    }
    const read = readTraceCsv(await file.text());
    if (!read.ok) return refused(read.message);
    keep(read.value, "", from);
  };

  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-center gap-3">
        {!simulated ? null : state === "running" ? (
          <Key shortcut="p" words={instrument.stop} onPress={() => finish(false)}>
            {instrument.stop}
          </Key>
        ) : (
          <Key shortcut="p" words={instrument.start} onPress={start}>
            {state === "done" ? instrument.again : instrument.start}
          </Key>
        )}
        {simulated && (
          <label className="simulated flex items-center gap-2">
            {instrument.name}, simulated
            <select
              aria-label="What the simulated instrument shows"
              className="h-8 min-h-0 w-auto py-0"
              value={pretend}
              onChange={(event) => setPretend(event.target.value as keyof typeof pretences)}
            >
              {Object.entries(pretences).map(([id, said]) => (
                <option key={id} value={id}>
                  {said}
                </option>
              ))}
            </select>
          </label>
        )}
        {instrument.id === "pulse-pickup" && (
          <label className="flex items-center gap-2">
            Clicks a turn, of a recording
            <input className="h-8 min-h-0 w-16 py-0" inputMode="numeric" value={marks} onChange={(event) => setMarks(event.target.value)} />
          </label>
        )}
        <label htmlFor={fileId} className="act-link cursor-pointer">
          {simulated ? "or from" : "From"} a file ({instrument.files.join(", ")})
        </label>
        <input
          id={fileId}
          type="file"
          className="sr-only"
          accept={instrument.files.map((kind) => (kind === "wav" ? ".wav,audio/wav" : ".csv,.txt,text/csv")).join(",")}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) void take(file);
          }}
        />
      </div>
      {instrument.files.includes("wav") && state !== "running" && (
        <ListenHere
          does={listensFor[instrument.id] ?? ""}
          onRecording={(recording) => hear(recording, "this device's microphone")}
          onListening={(stop) => onMeasuring(stop && { words: thatWasIt, stop })}
        />
      )}
      {samples.length > 0 && <TraceChart samples={samples} unit={instrument.traceUnit} simulated={!fromFile} heightPx={150} />}
      <p role="status" className="num text-note">
        {words}
      </p>
      <p className="text-note">One reading: {instrument.uncertainty}.</p>
    </div>
  );
}
