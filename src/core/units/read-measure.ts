import { mmPerFoot, mmPerInch, mmPerYard, newtonsPerKilogramForce, newtonsPerOunceForce, newtonsPerPoundForce } from "./units";

/** A pull at an arm, cN·m: newtons times millimetres, over ten. */
const torque = (newtons: number, armMm: number) => (newtons * armMm) / 10;

/** What a bench writes for a unit, by the unit it is kept in; each with its factor to it. Written without the marks between. Sources as in units.ts. */
const written: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  N: {
    n: 1,
    kg: newtonsPerKilogramForce,
    kgf: newtonsPerKilogramForce,
    kp: newtonsPerKilogramForce,
    g: newtonsPerKilogramForce / 1000,
    gf: newtonsPerKilogramForce / 1000,
    lb: newtonsPerPoundForce,
    lbs: newtonsPerPoundForce,
    lbf: newtonsPerPoundForce,
    "#": newtonsPerPoundForce,
    oz: newtonsPerOunceForce,
    ozf: newtonsPerOunceForce,
  },
  cN·m: {
    cnm: 1,
    nm: 100,
    ncm: 1,
    nmm: 0.1,
    // A pull in pounds or ounces at an inch or a foot, in kilograms at a centimetre; people put either first.
    inlb: torque(newtonsPerPoundForce, mmPerInch),
    lbin: torque(newtonsPerPoundForce, mmPerInch),
    inoz: torque(newtonsPerOunceForce, mmPerInch),
    ozin: torque(newtonsPerOunceForce, mmPerInch),
    ftlb: torque(newtonsPerPoundForce, mmPerFoot),
    lbft: torque(newtonsPerPoundForce, mmPerFoot),
    kgcm: newtonsPerKilogramForce,
  },
  mm: { mm: 1, cm: 10, m: 1000, in: mmPerInch, '"': mmPerInch, "″": mmPerInch, ft: mmPerFoot, "'": mmPerFoot, yd: mmPerYard },
  s: { s: 1, sec: 1, min: 60 },
};

/** Only of pulls does anybody write a thousand with a comma; of a size "3,175 mm" is an eighth of an inch. */
const groupsThousands: ReadonlySet<string> = new Set(["N"]);

const grouped = /^[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/;
const fraction = /^(?:(\d+)[ -])?(\d+)\/([1-9]\d*)$/;

/** One number as people write it: with comma or point, "1,200" by its groups where the kind has such, "1 3/8" or "3/8" by its fraction. */
function readNumber(text: string, unit: string | null): number {
  const [, whole = "0", over, under] = fraction.exec(text) ?? [];
  if (over && under) return Number(whole) + Number(over) / Number(under);
  if (unit !== null && groupsThousands.has(unit) && grouped.test(text)) return Number(text.replaceAll(",", ""));
  return /^\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(",", ".")) : Number.NaN;
}

/** A number with the unit behind it, as far as one is written. */
const piece = /\s*(\d+[ -]\d+\/\d+|\d+\/\d+|\d[\d.,]*)\s*([^\d\s][^\d]*?)?\s*(?=\d|$)/y;

/**
 * Reads a measured value as somebody typed it: a number with comma or point, bare for the unit it is kept in, or with a unit of the same kind; several
 * of one kind are added, as in "5 lb 8 oz" or "1 ft 3/8 in".
 * @example readMeasure("5 lb", "N") // 22.24
 * @returns NaN when it is no number, or its unit is of another kind. @param unit the unit it is kept in; null or one not known takes bare numbers.
 * @param bare the unit of a bare number, where another than the kept one is shown.
 */
export function readMeasure(text: string, unit: string | null, bare: string | null = unit): number {
  const [, sign = "", said = ""] = /^\s*([-+]?)\s*(.*?)\s*$/s.exec(text) ?? [];
  const units = unit === null ? undefined : written[unit];
  let [sum, at, least, pieces] = [0, 0, Number.POSITIVE_INFINITY, 0];
  while (at < said.length) {
    piece.lastIndex = at;
    const found = piece.exec(said);
    if (!found) return Number.NaN;
    at = piece.lastIndex;
    const value = readNumber(found[1]!, unit);
    const typed = (found[2] ?? "").toLowerCase().replace(/[\s.*·-]/g, "");
    const name = typed || (bare?.toLowerCase().replace(/[\s.*·-]/g, "") ?? "");
    const kept = !name || name === unit?.toLowerCase().replace(/[\s.*·-]/g, "");
    const factor = kept ? 1 : units?.[name];
    // A second number is of a smaller unit, and says which.
    if (factor === undefined || (pieces > 0 && (!typed || factor >= least))) return Number.NaN;
    sum += value * factor;
    least = factor;
    pieces++;
  }
  return pieces ? (sign === "-" ? -sum : sum) : Number.NaN;
}
