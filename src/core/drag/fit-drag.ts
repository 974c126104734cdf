import { type Star, starForce } from "./adjusters";
import { type DragElement, type FrictionMaterial, frictionRanges, gapsOf, type PressureModel } from "./capacity";

/** A pull taken at a setting of the star. */
export interface MeasuredPull {
  /** Turns of the star from the first contact. */
  readonly turns: number;
  readonly pullN: number;
  /** Radius the line left at. */
  readonly lineRadiusMm: number;
}

export interface DragFit {
  /** "mu" where the springs give the force; "product" where only μ times stiffness can be told. */
  readonly of: "mu" | "product";
  /** μ without a unit, or N per mm of star travel times μ (N/mm). */
  readonly value: number;
  /** 95 % interval, from the scatter of the readings. */
  readonly low: number;
  readonly high: number;
  /** Largest misfit, N·mm at the spool. */
  readonly worstNmm: number;
}

/** Two-sided 95 % of Student's t by degrees of freedom, 1 to 10; beyond, the normal's (from memory). */
const student = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
const t95 = (freedom: number) => student[freedom - 1] ?? 1.96;

/** Least squares through the origin, y = k·x, with a 95 % interval of k. Needs two readings for the interval, else it is open. */
export function throughOrigin(x: readonly number[], y: readonly number[]): { k: number; low: number; high: number; worst: number } {
  const sxx = x.reduce((sum, v) => sum + v * v, 0);
  const k = sxx ? x.reduce((sum, v, i) => sum + v * y[i]!, 0) / sxx : Number.NaN;
  const misfit = y.map((v, i) => v - k * x[i]!);
  const freedom = x.length - 1;
  const error =
    freedom > 0 ? t95(freedom) * Math.sqrt(misfit.reduce((sum, r) => sum + r * r, 0) / freedom / sxx) : Number.POSITIVE_INFINITY;
  return { k, low: k - error, high: k + error, worst: Math.max(0, ...misfit.map(Math.abs)) };
}

export interface DragPathOfFit {
  /** 1 for a stack on the spool. */
  readonly ratio: number;
  readonly efficiency: number;
  readonly lossNmm: number;
}

/** Torque of the stack behind a measured pull, N·mm; never below 0. */
export const stackTorqueOf = ({ pullN, lineRadiusMm }: MeasuredPull, { ratio, efficiency, lossNmm }: DragPathOfFit): number =>
  Math.max(0, pullN * lineRadiusMm - lossNmm) * ratio * efficiency;

/**
 * Friction coefficient from pulls taken on the star, or, where the springs' sizes are not known, the product of coefficient and stiffness, which
 * is all that pulls alone can tell. Everything is compared as torque at the spool. @throws RangeError without a reading on the springs.
 */
export function fitDrag(
  pulls: readonly MeasuredPull[],
  stack: readonly DragElement[],
  star: (Star & { readonly known: true }) | { readonly known: false; readonly pitchMm: number },
  path: DragPathOfFit,
  model: PressureModel,
): DragFit {
  const on = pulls.filter(({ turns }) => turns > 0);
  if (!on.length) throw new RangeError("fitDrag: no pull was taken with the star on");
  // The radii alone: what a coefficient of one would give.
  const radii = gapsOf(
    stack.map((element) => ({ ...element, mu: element.member === "none" ? 1 : element.mu === null ? null : 1 })),
    model,
  ).reduce((sum, { muRadiusMm }) => sum + muRadiusMm, 0);
  if (!(radii > 0)) throw new RangeError("fitDrag: this stack slips nowhere: no two neighbours are fixed to different members");
  const torques = on.map((pull) => stackTorqueOf(pull, path));
  const x = on.map(({ turns }) => (star.known ? starForce(star, turns).forceN : turns * star.pitchMm) * radii);
  const { k, low, high, worst } = throughOrigin(x, torques);
  return { of: star.known ? "mu" : "product", value: k, low, high, worstNmm: worst / (path.ratio * path.efficiency) };
}

export interface DragVerdict {
  readonly says: "as it should be" | "dry or glazed" | "oily" | "nested tension washers" | "not clear";
  readonly because: string;
}

/**
 * What a fitted drag says of itself. @param material of its friction washers, where its range is known; carbon is the user's own data and has none.
 * @param startPeak start over running pull, from a trace; null when nobody took one. @param expectedProduct μ·stiffness of a right stack.
 */
export function dragVerdict(
  fit: DragFit,
  material: FrictionMaterial | null,
  startPeak: number | null,
  expectedProduct: number | null,
): DragVerdict {
  if (fit.of === "product") {
    if (expectedProduct === null)
      return { says: "not clear", because: "without the spring sizes, pulls give only coefficient × stiffness" };
    const times = fit.value / expectedProduct;
    if (times > 2.5)
      return {
        says: "nested tension washers",
        because: `it gains ${times.toFixed(1)} times as much a turn as it should; two washers nested instead of opposed give about four times`,
      };
    return { says: times < 0.5 ? "oily" : "as it should be", because: `it gains ${times.toFixed(1)} times what it should per turn` };
  }
  if (startPeak !== null && startPeak > 1.3)
    return { says: "dry or glazed", because: `it starts at ${startPeak.toFixed(2)} times its running pull` };
  if (material === null)
    return { says: "not clear", because: "no range is known for this material; compare with this reel's own earlier pulls" };
  const [low, high] = frictionRanges[material];
  if (fit.high < low) return { says: "oily", because: `coefficient ${fit.value.toFixed(2)}, under the ${low} to ${high} of ${material}` };
  if (fit.low > high)
    return { says: "dry or glazed", because: `coefficient ${fit.value.toFixed(2)}, above the ${low} to ${high} of ${material}` };
  return { says: "as it should be", because: `coefficient ${fit.value.toFixed(2)} within the ${low} to ${high} of ${material}` };
}

/** Shares of the line's breaking load a drag is set to at the strike, by fishing (common practice). */
export const dragShares = { "light line, soft hook hold": 0.2, usual: 0.25, "heavy, from a boat": 0.33 } as const;
export type DragUse = keyof typeof dragShares;
/** What a knot leaves of a line (common practice; worse when it was tied dry). */
export const knotShare = 0.8;

/** What to set a drag to against a line, N, and the pull never to go above with this knot. */
export const dragAdvice = (breakingN: number, use: DragUse): { strikeN: number; mostN: number } => ({
  strikeN: breakingN * dragShares[use],
  mostN: breakingN * knotShare * 0.6,
});
