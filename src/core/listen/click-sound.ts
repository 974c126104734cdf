import { decibels, withoutRoom } from "@/core/proving/sound";
import { quantile } from "@/core/quantile";
import { fail, ok, type Result } from "@/core/result";
import { checkRecording, type Recording, withoutGaps } from "./recording";
import { bandPower, type Spectrum, spectrumOf } from "./spectrum";

/** Octave bands a click is heard in, Hz: their middles (IEC 61260). */
export const octaves = [250, 500, 1000, 2000, 4000, 8000] as const;
/** From the lowest band's edge to the highest's. */
const [lowestHz, highestHz] = [177, 11_300];

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
/** So much has to be left where a recording lost some of its sound, s. */
const leastHeardS = 1;
const noRoom = () =>
  fail(
    "no-room",
    "Much of this recording is silent altogether, so there is no room to compare the click with: switch off what takes noise away, and record again.",
  );

/** Level of a click and of the room it is in, band by band, from one recording: a second of silence, then the click while line is drawn. */
export function clickFromSound(recording: Recording): Result<HeardClick> {
  const given = checkRecording(recording, 1.5);
  if (!given.ok) return given;
  const whole = withoutGaps(recording);
  const lost = whole.sound.length < recording.sound.length;
  const fits = checkRecording(whole, leastHeardS);
  if (!fits.ok) return lost ? noRoom() : fits;
  const { sound, rate } = whole;
  const step = Math.round(rate * windowS);
  const starts = Array.from({ length: Math.floor(sound.length / step) }, (_, i) => i * step).filter(
    (at) => at + Math.max(step, size) <= sound.length,
  );
  const spectra = starts.map((at) => spectrumOf(sound, rate, size, at, at + Math.max(step, size)));
  const dbs = spectra.map((spectrum) => decibels(Math.sqrt(bandPower(spectrum, lowestHz, highestHz))));
  const [quiet, loud] = [quantile(dbs, 0.15), quantile(dbs, 0.93)];
  if (loud - quiet < leastOverDb)
    return lost
      ? noRoom()
      : fail("nothing-heard", "Nothing stands out of the room: closer with the microphone, a second of silence first, then draw line.");
  // A fourteenth of the windows lies above it and a seventh below, so there is always enough of both.
  const border = (quiet + loud) / 2;
  const room = spectra.filter((_, i) => dbs[i]! <= border);
  const click = spectra.filter((_, i) => dbs[i]! > border);
  const powerOf = (some: readonly Spectrum[], low: number, high: number) =>
    some.reduce((sum, spectrum) => sum + bandPower(spectrum, low, high), 0) / some.length;
  const bands = octaves
    .filter((hz) => hz * Math.SQRT2 < rate / 2)
    .map((hz): ClickBand => {
      const [low, high] = [hz / Math.SQRT2, hz * Math.SQRT2];
      const roomDb = decibels(Math.sqrt(powerOf(room, low, high)));
      const wholeDb = decibels(Math.sqrt(powerOf(click, low, high)));
      return { hz, roomDb, clickDb: wholeDb - roomDb > 1 ? withoutRoom(wholeDb, roomDb) : null };
    });
  const roomDb = decibels(Math.sqrt(powerOf(room, lowestHz, highestHz)));
  const wholeDb = decibels(Math.sqrt(powerOf(click, lowestHz, highestHz)));
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
