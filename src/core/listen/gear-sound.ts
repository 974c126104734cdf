import { fail, ok, type Result } from "@/core/result";
import { clicksOfSound } from "@/core/spin/onsets";
import { comeEvenly, envelopeHz, envelopeOf, lineOverFloor, overtonesOverFloor, turningPart } from "./handle-orders";
import { checkRecording, type Recording } from "./recording";
import { flatness, spectrumOf } from "./spectrum";
import { whitened } from "./whitened";

export interface HeardGear {
  /** Turns of the handle a second. */
  readonly handleHz: number;
  /** Lines of the chatter by order of the handle, strongest first. */
  readonly lines: readonly { readonly order: number; readonly overFloorDb: number; readonly says: string }[];
  readonly sure: "sure" | "likely" | "unsure";
}

/** The strongest of some bins of mere noise stands about 7 dB over their middle; the mean of some such has to stand so high. */
const leastTogetherDb = 9;
/** What ticks are worth that could be counted one by one, decibels. */
const countedDb = 24;
/** And what another order is worth at most beside them. */
const besideCountedDb = 16;
/** Made recordings of gears are from 0.12 upwards by rooms and meshes, music and voices below 0.02. */
const leastFlat = 0.05;
/** A line has to stand so far out of what lies around it, decibels. */
const leastLineDb = 12;

/** How sure a line is, by how high it stands and how far over the other that is no mesh. */
export function howSure(overFloorDb: number, overNextDb: number): HeardGear["sure"] {
  if (overFloorDb > 15 && overNextDb > 6) return "sure";
  return overFloorDb > leastLineDb ? "likely" : "unsure";
}

/** A line as it was measured. */
export interface Line {
  readonly order: number;
  /** Its ticks could be counted one by one. */
  readonly counted: boolean;
  readonly overFloorDb: number;
  readonly says: string;
}

/** Which lines are heard, those of single teeth first, and how sure the first is; null where none is. */
export function tell(gear: Line, pinion: Line, mesh: Line | null): Pick<HeardGear, "lines" | "sure"> | null {
  const ticking = [gear, pinion];
  const shown = ({ order, overFloorDb, says }: Line) => ({ order, overFloorDb, says });
  // Ticks that were counted have overtones at every order there is: what another order shows beside them is theirs.
  const beside = (line: Line) =>
    !line.counted && ticking.some(({ counted }) => counted) ? { ...line, overFloorDb: Math.min(line.overFloorDb, besideCountedDb) } : line;
  const [first, second] = ticking
    .map(beside)
    .sort((a, b) => b.overFloorDb - a.overFloorDb)
    .map(shown) as [HeardGear["lines"][number], HeardGear["lines"][number]];
  // A mesh is always heard a little: it speaks for itself only where no single tooth does.
  const lines = [first, second, ...(mesh ? [shown(mesh)] : [])].filter(({ overFloorDb }) => overFloorDb >= leastLineDb);
  if (!lines.length) return null;
  // Nor is it sure alone: a tooth that ticks more softly than the others mesh is not heard among them.
  return { lines, sure: lines[0] === first ? howSure(first.overFloorDb, first.overFloorDb - second.overFloorDb) : "likely" };
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
  const { sound, rate } = turningPart(recording);
  // A tune has its beat at some order of any handle: told by what it is made of, not by when it comes.
  if (flatness(sound, rate) < leastFlat)
    return fail("tones", "This is made of tones, as music and voices are: record the gear alone, in a quiet room.");
  const handleHz = handleTurns / (sound.length / rate);
  if (handleHz < 0.2 || handleHz > 6) return fail("speed", "Turn about once a second: slower or faster is not to be told apart.");
  const loud = envelopeOf({ sound, rate });
  const spectrum = spectrumOf(loud, envelopeHz, 2 ** Math.floor(Math.log2(loud.length)));
  const ticks = clicksOfSound(whitened(sound, rate), rate);
  const line = (order: number, says: string, overLeastDb: number): Line => {
    const counted = comeEvenly(ticks, order * handleTurns, 1 / (order * handleHz));
    return { order, counted, overFloorDb: counted ? countedDb : leastLineDb + overLeastDb, says };
  };
  const tick = (order: number, says: string) => line(order, says, overtonesOverFloor(spectrum, order * handleHz) - leastTogetherDb);
  const told = tell(
    tick(1, "one tick a turn of the handle: one tooth of the gear, or what turns with it"),
    tick(ratio, "one tick a turn of the pinion: one tooth of the pinion, or its bearing"),
    gearTeeth
      ? line(
          gearTeeth,
          "every tooth alike: the whole mesh, as every gear is heard; worn or dry where it is louder than it was",
          lineOverFloor(spectrum, gearTeeth * handleHz) - leastLineDb,
        )
      : null,
  );
  if (!told) return fail("even", "No order of the handle stands out: it runs evenly, or the recording is too noisy to tell.");
  return ok({ handleHz, ...told });
}
