/**
 * Exact conversion factors to SI. Source: NIST SP 811 (2008) appendix B; international yard and pound agreement 1959;
 * standard gravity, CGPM 1901. Zorbek keeps mm, N, g, s and J inside and converts at the edge only.
 */
export const mmPerInch = 25.4;
export const mmPerFoot = 12 * mmPerInch;
export const mmPerYard = 3 * mmPerFoot;
export const gramsPerPound = 453.59237;
export const gramsPerOunce = gramsPerPound / 16;
export const standardGravityMps2 = 9.80665;
export const newtonsPerKilogramForce = standardGravityMps2;
export const newtonsPerPoundForce = (gramsPerPound / 1000) * standardGravityMps2;
export const newtonsPerOunceForce = newtonsPerPoundForce / 16;

/** The units a reading may be typed in, by quantity, each with its factor to the kept unit (mm, N, g, s). */
export const unitFactors = {
  length: { mm: 1, cm: 10, m: 1000, in: mmPerInch, ft: mmPerFoot, yd: mmPerYard },
  force: { N: 1, kgf: newtonsPerKilogramForce, lbf: newtonsPerPoundForce, ozf: newtonsPerOunceForce },
  mass: { g: 1, kg: 1000, oz: gramsPerOunce, lb: gramsPerPound },
  time: { s: 1, min: 60 },
} as const;

export type Quantity = keyof typeof unitFactors;
export type UnitOf<Q extends Quantity> = keyof (typeof unitFactors)[Q] & string;

/**
 * Converts a value between two units of one quantity.
 * @throws RangeError when a unit does not belong to the quantity: only a programmer can cause that.
 * @example convert("force", 10, "lbf", "N") // 44.482216152605
 */
export function convert<Q extends Quantity>(quantity: Q, value: number, from: UnitOf<Q>, to: UnitOf<Q>): number {
  const factors: Record<string, number> = unitFactors[quantity];
  const fromFactor = factors[from];
  const toFactor = factors[to];
  if (fromFactor === undefined || toFactor === undefined) throw new RangeError(`convert: ${from} or ${to} is not a unit of ${quantity}`);
  return (value * fromFactor) / toFactor;
}
