/** A length with how far it may be off, mm (95 %). */
export interface Measured {
  readonly mm: number;
  readonly offMm: number;
}

export interface Tap {
  readonly x: number;
  readonly y: number;
}

/** A finger or a mouse hits a point of a picture to so many pixels of the screen (rule of thumb, 95 %). */
export const tapOffPx = 2.5;

const distance = (a: Tap, b: Tap) => Math.hypot(b.x - a.x, b.y - a.y);

/**
 * A length in a picture by a ruler in the same plane: two taps on the ruler, two on the thing. Errors of the four taps add as squares; a ruler that
 * lies nearer or further than the thing is not among them. @param rulerMm between the two taps on the ruler. @param offPx of one tap.
 * @throws RangeError for taps on one spot, or a ruler of nothing.
 */
export function lengthInPicture(ruler: readonly [Tap, Tap], rulerMm: number, thing: readonly [Tap, Tap], offPx = tapOffPx): Measured {
  const [long, across] = [distance(...ruler), distance(...thing)];
  if (!(rulerMm > 0)) throw new RangeError("lengthInPicture: the ruler's taps are so many millimetres apart, above 0");
  if (!(long > 0) || !(across > 0)) throw new RangeError("lengthInPicture: two taps lie on one spot");
  const mm = (rulerMm * across) / long;
  const each = Math.SQRT2 * offPx;
  return { mm, offMm: mm * Math.hypot(each / long, each / across) };
}

/** Side play from turns of the adjuster between no play and the play that is felt, mm. @param offTurns of the count, an eighth by eye. */
export function sidePlayOfTurns(turns: number, pitchMm: number, offTurns = 0.06): Measured {
  if (!(turns >= 0) || !(pitchMm > 0)) throw new RangeError("sidePlayOfTurns: turns from 0 up, and a pitch above 0");
  return { mm: turns * pitchMm, offMm: offTurns * pitchMm };
}

export interface Wear {
  /** What is gone, mm; below 0 where the worn one measures more. */
  readonly goneMm: number;
  readonly offMm: number;
  readonly says: "worn" | "as new" | "not clear";
}

/** What a part has lost against a new one, by two sizes. It is worn where the difference is more than both can be off. */
export function wearOf(worn: Measured, fresh: Measured): Wear {
  const goneMm = fresh.mm - worn.mm;
  const offMm = Math.hypot(worn.offMm, fresh.offMm);
  return { goneMm, offMm, says: goneMm > offMm ? "worn" : Math.abs(goneMm) <= offMm && offMm < 0.1 * fresh.mm ? "as new" : "not clear" };
}

export interface StackCheck {
  readonly shouldMm: number;
  readonly differenceMm: number;
  readonly offMm: number;
  readonly says: string;
}

/** A stack's height against its washers: what is missing or doubled shows as a washer's thickness. */
export function stackHeightCheck(
  heightMm: number,
  washers: readonly { readonly name: string; readonly thicknessMm: number }[],
  caliperMm = 0.05,
): StackCheck {
  if (!washers.length) throw new RangeError("stackHeightCheck: a stack has at least one washer");
  const shouldMm = washers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  // Every joint may hold a little grease; each washer was measured too.
  const offMm = Math.hypot(caliperMm, caliperMm * Math.sqrt(washers.length)) + 0.01 * washers.length;
  const differenceMm = heightMm - shouldMm;
  if (Math.abs(differenceMm) <= offMm) return { shouldMm, differenceMm, offMm, says: "as its washers add up" };
  const fits = washers.filter(({ thicknessMm }) => Math.abs(Math.abs(differenceMm) - thicknessMm) <= offMm).map(({ name }) => name);
  const which = [...new Set(fits)].join(" or ");
  const how = differenceMm < 0 ? "missing" : "doubled";
  return {
    shouldMm,
    differenceMm,
    offMm,
    says: which
      ? `${which} ${how}?`
      : differenceMm < 0
        ? "lower than its washers: one missing, or worn"
        : "higher than its washers: one doubled, or not seated",
  };
}
