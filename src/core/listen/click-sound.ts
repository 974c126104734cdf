import { decibels, withoutRoom } from "@/core/proving/sound";
import { quantile } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { checkRecording, type Recording } from "./recording";
import { bandPower, spectrumOf } from "./spectrum";

/** Octave bands a click is heard in, Hz: their middles (IEC 61260). */
export const octaves = [250, 500, 1000, 2000, 4000, 8000] as const;

export interface ClickBand {
  readonly hz: number;
  /** Level of the click with the room taken out, decibels below full scale; null where it does not stand out of the room. */
  readonly clickDb: number | null;
  readonly roomDb: number;
}

export interface HeardClick {
  readonly bands: readonly ClickBand[];
  /** Over all bands. */
  readonly clickDb: number;
  readonly roomDb: number;
  /** How much louder than the room, decibels: what is compared. */
  readonly overRoomDb: number;
  /** Standard deviation of the click's level over the recording, decibels. */
  readonly scatterDb: number;
}

const windowS = 0.04;
/** The click has to stand out of the room by so much. */
const leastOverDb = 3;
const size = 1024;

/** Level of a click and of the room it is in, band by band, from one recording: a second of silence, then the click while line is drawn. */
export function clickFromSound(recording: Recording): Result<HeardClick> {
  const fits = checkRecording(recording, 1.5);
  if (!fits.ok) return fits;
  const { sound, rate } = recording;
  const step = Math.round(rate * windowS);
  const starts = Array.from({ length: Math.floor(sound.length / step) }, (_, i) => i * step).filter(
    (at) => at + Math.max(step, size) <= sound.length,
  );
  const levels = starts.map((at) => {
    const { power, hzPerBin } = spectrumOf(sound, rate, size, at, at + Math.max(step, size));
    return bandPower({ power, hzPerBin }, 177, 11_300);
  });
  const dbs = levels.map((power) => decibels(Math.sqrt(power)));
  const [quiet, loud] = [quantile(dbs, 0.15), quantile(dbs, 0.93)];
  if (loud - quiet < leastOverDb)
    return fail("nothing-heard", "Nothing stands out of the room: closer with the microphone, a second of silence first, then draw line.");
  // A seventh of the windows lies on either side of it, so there is always enough of both.
  const border = (quiet + loud) / 2;
  const roomAt = starts.filter((_, i) => dbs[i]! <= border);
  const clickAt = starts.filter((_, i) => dbs[i]! > border);
  const powerOf = (at: readonly number[], low: number, high: number) =>
    at.reduce((sum, from) => sum + bandPower(spectrumOf(sound, rate, size, from, from + Math.max(step, size)), low, high), 0) / at.length;
  const bands = octaves
    .filter((hz) => hz * Math.SQRT2 < rate / 2)
    .map((hz): ClickBand => {
      const [low, high] = [hz / Math.SQRT2, hz * Math.SQRT2];
      const roomDb = decibels(Math.sqrt(powerOf(roomAt, low, high)));
      const wholeDb = decibels(Math.sqrt(powerOf(clickAt, low, high)));
      return { hz, roomDb, clickDb: wholeDb - roomDb > 1 ? withoutRoom(wholeDb, roomDb) : null };
    });
  const roomDb = decibels(Math.sqrt(powerOf(roomAt, 177, 11_300)));
  const wholeDb = decibels(Math.sqrt(powerOf(clickAt, 177, 11_300)));
  const clickDb = withoutRoom(wholeDb, roomDb);
  const loudDbs = dbs.filter((db) => db > border);
  const mean = loudDbs.reduce((sum, db) => sum + db, 0) / loudDbs.length;
  return ok({
    bands,
    clickDb,
    roomDb,
    overRoomDb: clickDb - roomDb,
    scatterDb: Math.sqrt(loudDbs.reduce((sum, db) => sum + (db - mean) ** 2, 0) / (loudDbs.length - 1)),
  });
}

export interface ClickChange {
  readonly hz: number | "all";
  /** After less before, decibels, with its 95 % interval. */
  readonly db: number;
  readonly low: number;
  readonly high: number;
}

/** Another distance of the microphone by a tenth moves a level by about 1 dB (inverse square; rule of thumb for hands). */
const placingDb = 1;

/** A click before and after at one distance, band by band, where both stand out of their rooms. */
export function compareClicks(before: HeardClick, after: HeardClick): ClickChange[] {
  const reach = 1.96 * Math.SQRT2 * placingDb;
  const change = (hz: ClickChange["hz"], was: number, is: number): ClickChange => ({
    hz,
    db: is - was,
    low: is - was - reach,
    high: is - was + reach,
  });
  return [
    change("all", before.clickDb, after.clickDb),
    ...after.bands.flatMap(({ hz, clickDb }) => {
      const was = before.bands.find((band) => band.hz === hz)?.clickDb ?? null;
      return was === null || clickDb === null ? [] : [change(hz, was, clickDb)];
    }),
  ];
}
