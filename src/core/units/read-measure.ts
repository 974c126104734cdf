import { mmPerFoot, mmPerInch, mmPerYard, newtonsPerKilogramForce, newtonsPerOunceForce, newtonsPerPoundForce } from "./units";

/** What a bench writes for a unit, by the unit it is kept in; each with its factor to it. Sources as in units.ts. */
const written: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  N: {
    n: 1,
    kg: newtonsPerKilogramForce,
    kgf: newtonsPerKilogramForce,
    kp: newtonsPerKilogramForce,
    g: newtonsPerKilogramForce / 1000,
    lb: newtonsPerPoundForce,
    lbs: newtonsPerPoundForce,
    lbf: newtonsPerPoundForce,
    "#": newtonsPerPoundForce,
    oz: newtonsPerOunceForce,
    ozf: newtonsPerOunceForce,
  },
  cN·m: {
    cn·m: 1,
    cnm: 1,
    n·m: 100,
    nm: 100,
    n·cm: 1,
    ncm: 1,
    n·mm: 0.1,
    nmm: 0.1,
    // A pull in pounds or ounces at an inch, in kilograms at a centimetre.
    "in-lb": (newtonsPerPoundForce * mmPerInch) / 10,
    "in-oz": (newtonsPerOunceForce * mmPerInch) / 10,
    kg·cm: newtonsPerKilogramForce,
    kgcm: newtonsPerKilogramForce,
  },
  mm: { mm: 1, cm: 10, m: 1000, in: mmPerInch, '"': mmPerInch, ft: mmPerFoot, yd: mmPerYard },
  s: { s: 1, sec: 1, min: 60 },
};

/**
 * Reads a measured value as somebody typed it: a number with comma or point, bare for the unit it is kept in, or with a unit of the same kind.
 * @example readMeasure("5 lb", "N") // 22.24
 * @returns NaN when it is no number, or its unit is of another kind. @param unit the unit it is kept in; null or one not known takes bare numbers.
 * @param bare the unit of a bare number, where another than the kept one is shown.
 */
export function readMeasure(text: string, unit: string | null, bare: string | null = unit): number {
  const match = /^\s*([-+]?\d+(?:[.,]\d+)?)\s*(\D*?)\s*$/.exec(text);
  if (!match) return Number.NaN;
  const value = Number(match[1]!.replace(",", "."));
  const typed = match[2]!.toLowerCase().replaceAll(".", "").replaceAll("*", "·").replaceAll(" ", "");
  const said = typed || (bare?.toLowerCase() ?? "");
  if (!said || said === unit?.toLowerCase()) return value;
  const factor = unit === null ? undefined : written[unit]?.[said];
  return factor === undefined ? Number.NaN : value * factor;
}
