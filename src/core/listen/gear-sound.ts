import { median } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { onsetsOfSound } from "@/core/spin/onsets";
import { checkRecording, type Recording } from "./recording";
import { spectrumOf } from "./spectrum";

export interface HeardGear {
  /** Turns of the handle a second. */
  readonly handleHz: number;
  /** Lines of the chatter by order of the handle, strongest first. */
  readonly lines: readonly { readonly order: number; readonly overFloorDb: number; readonly says: string }[];
  readonly sure: "sure" | "likely" | "unsure";
}

const envelopeHz = 500;
/** Overtones of a tick that are heard together; above, a wavering hand smears them. */
const overtones = 6;
/** The strongest of some bins of mere noise stands about 7 dB over their middle; the mean of some such has to stand so high. */
const leastTogetherDb = 9;
/** What ticks are worth that could be counted one by one, decibels. */
const countedDb = 24;
/** A line has to stand so far out of what lies around it, decibels. */
const leastLineDb = 12;

/** How loud it is, 500 times a second: the sound's own pitch is gone, its rattle stays. */
function envelope({ sound, rate }: Recording): Float64Array {
  const step = rate / envelopeHz;
  const out = Float64Array.from({ length: Math.floor(sound.length / step) }, (_, i) => {
    let sum = 0;
    const [from, to] = [Math.floor(i * step), Math.floor((i + 1) * step)];
    for (let j = Math.max(1, from); j < to; j++) sum += Math.abs(sound[j]! - sound[j - 1]!);
    return sum / (to - from);
  });
  const mean = out.reduce((sum, x) => sum + x, 0) / out.length;
  return out.map((x) => x - mean);
}

/**
 * The chatter of a turning gear by orders of the handle: one tick a turn is one tooth of the gear, one a turn of the pinion is one of the pinion,
 * one a tooth is the whole mesh. @param handleTurns turns of the handle in the recording, counted. @param ratio gear to pinion.
 * @param gearTeeth null where nobody counted. @returns why the recording cannot carry it.
 */
export function gearFromSound(recording: Recording, handleTurns: number, ratio: number, gearTeeth: number | null): Result<HeardGear> {
  if (!(handleTurns >= 4)) return fail("few-turns", "Turn the handle at least four times, evenly, and count the turns.");
  if (!(ratio >= 0.5 && ratio <= 12)) return fail("ratio", "The ratio of gear to pinion, 0.5 to 12.");
  const fits = checkRecording(recording, 3);
  if (!fits.ok) return fits;
  const loud = envelope(recording);
  const handleHz = handleTurns / (recording.sound.length / recording.rate);
  if (handleHz < 0.2 || handleHz > 6) return fail("speed", "Turn about once a second: slower or faster is not to be told apart.");
  const size = 2 ** Math.floor(Math.log2(loud.length));
  const { power, hzPerBin } = spectrumOf(loud, envelopeHz, size);
  /** A hand turns no more evenly than this: a line is as wide. */
  const wide = (hz: number) => Math.max(2, Math.round((0.06 * hz) / hzPerBin));
  const lineAt = (order: number): number => {
    const hz = order * handleHz;
    const middle = Math.round(hz / hzPerBin);
    const half = wide(hz);
    if (middle + 6 * half >= power.length || middle < 2) return Number.NEGATIVE_INFINITY;
    let line = 0;
    for (let k = Math.max(1, middle - half); k <= middle + half; k++) line = Math.max(line, power[k]!);
    const around: number[] = [];
    for (let k = Math.max(1, middle - 6 * half); k <= middle + 6 * half; k++) if (Math.abs(k - middle) > 1.5 * half) around.push(power[k]!);
    around.sort((a, b) => a - b);
    const floor = around[Math.floor(around.length / 2)] ?? 0;
    return floor > 0 ? 10 * Math.log10(line / floor) : 0;
  };
  const orders: readonly (readonly [order: number, says: string])[] = [
    [1, "one tick a turn of the handle: one tooth of the gear, or what turns with it"],
    [ratio, "one tick a turn of the pinion: one tooth of the pinion, or its bearing"],
    ...(gearTeeth ? [[gearTeeth, "every tooth alike: the whole mesh, worn or dry"] as const] : []),
  ];
  // A short tick spreads over its overtones, each alike: they are heard together.
  const together = (order: number) => {
    const heard = Array.from({ length: overtones }, (_, k) => lineAt(order * (k + 1))).filter(Number.isFinite);
    return heard.length ? heard.reduce((sum, db) => sum + db, 0) / heard.length : Number.NEGATIVE_INFINITY;
  };
  // Ticks that stand out one by one are counted: as many as the order says, at even distances.
  const ticks = onsetsOfSound(recording.sound, recording.rate);
  const counted = (order: number) => {
    const expected = order * handleTurns;
    if (Math.abs(ticks.length - expected) > 0.15 * expected + 1) return false;
    const off = ticks.slice(1).map((t, i) => Math.abs((t - ticks[i]!) * handleHz * order - 1));
    return off.length > 3 && median(off) < 0.15;
  };
  const lines = orders
    .map(([order, says]) => {
      const own = order === gearTeeth ? lineAt(order) - leastLineDb : together(order) - leastTogetherDb;
      return { order, overFloorDb: counted(order) ? countedDb : leastLineDb + own, says };
    })
    .filter(({ overFloorDb }) => overFloorDb >= leastLineDb)
    // A mesh is always heard a little: it speaks for itself only where no single tooth does.
    .sort((a, b) => Number(a.order === gearTeeth) - Number(b.order === gearTeeth) || b.overFloorDb - a.overFloorDb);
  if (!lines.length) return fail("even", "No order of the handle stands out: it runs evenly, or the recording is too noisy to tell.");
  const [first, second] = lines;
  const apart = first!.overFloorDb - (second && second.order !== gearTeeth ? second.overFloorDb : 0);
  return ok({ handleHz, lines, sure: first!.overFloorDb > 15 && apart > 6 ? "sure" : first!.overFloorDb > 12 ? "likely" : "unsure" });
}
