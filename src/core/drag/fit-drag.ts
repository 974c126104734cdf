import { t95 } from "@/core/statistics/quantiles";
import { type LeverDrag, leverForce, type Star, starForce } from "./adjusters";
import { type DragElement, type FrictionMaterial, frictionRanges, gapsOf, type PressureModel } from "./capacity";
import { dragLimit } from "./drag-limit";

/** A pull taken at a setting of the star or the lever. */
export interface MeasuredPull {
  /** Turns of the star from the first contact, or degrees of the lever. */
  readonly setting: number;
  readonly pullN: number;
  /** Radius the line left at. */
  readonly lineRadiusMm: number;
}

export interface DragFit {
  /** "mu" where the springs give the force; "product" where only μ times stiffness can be told. */
  readonly of: "mu" | "product";
  /** μ without a unit, or N per mm of travel times μ (N/mm). */
  readonly value: number;
  /** 95 % interval, from the scatter of the readings. */
  readonly low: number;
  readonly high: number;
  /** Largest misfit, N·mm at the spool. */
  readonly worstNmm: number;
}

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

/** A scale reads to this share of the pull, and to this much at least (rule of thumb); only their proportion counts here. */
const scaleShare = 0.02;
const scaleStepN = 0.2;
/** No friction washer is above this. */
const mostMu = 1.5;

/** What squeezes the stack: known whole, or only how far it travels. */
export type Squeeze =
  | (Star & { readonly known: true })
  | { readonly known: false; readonly pitchMm: number }
  /** With `known` false its stiffness is not, and does not count. */
  | { readonly known: boolean; readonly lever: LeverDrag };

/** Force at a setting, N; only its travel, mm, where the springs are not known. */
function squeezeAt(squeeze: Squeeze, setting: number): number {
  if ("lever" in squeeze) return leverForce(squeeze.known ? squeeze.lever : { ...squeeze.lever, stiffnessNPerMm: 1 }, setting);
  if (setting <= 0) return 0;
  return squeeze.known ? starForce(squeeze, setting).forceN : setting * squeeze.pitchMm;
}

/**
 * Friction coefficient from pulls taken on the star or the lever, or, where the springs' sizes are not known, the product of coefficient and stiffness, which
 * is all that pulls alone can tell. Everything is compared as torque at the spool, each pull weighed by how well a scale reads it. The interval is
 * that of the profile: every coefficient under which the pulls are not too unlikely (95 %), open above where another face slips first.
 * @param stack rings that say `known` keep their coefficient; the others share the one that is looked for.
 * @throws RangeError without a reading on the springs, or where nothing is left to be found.
 */
export function fitDrag(
  pulls: readonly MeasuredPull[],
  stack: readonly DragElement[],
  squeeze: Squeeze,
  path: DragPathOfFit,
  model: PressureModel,
): DragFit {
  const on = pulls.flatMap((pull) => {
    const squeezed = squeezeAt(squeeze, pull.setting);
    return squeezed > 0 ? [{ ...pull, squeezed }] : [];
  });
  if (!on.length) throw new RangeError(`no pull was taken with the ${"lever" in squeeze ? "lever past free spool" : "star on"}`);
  const looked = stack.map(({ mu, known }) => mu !== null && known !== true);
  /** Sum of μ·r over the gaps, mm, were this the coefficient looked for. */
  const radii = (mu: number) =>
    gapsOf(
      stack.map((element, i) => (looked[i] ? { ...element, mu } : element)),
      model,
    ).reduce((sum, { muRadiusMm }) => sum + muRadiusMm, 0);
  if (!(radii(1) > 0)) throw new RangeError("this stack slips nowhere: no two neighbours are fixed to different members");
  // What slips at a small coefficient is the one that is looked for, if any is.
  if (!(radii(0.02) > radii(0.01)))
    throw new RangeError("every coefficient is known, or another face slips first: there is none to be found");
  const behind = path.ratio * path.efficiency;
  const sd = on.map(({ pullN, lineRadiusMm }) => Math.hypot(scaleShare * pullN, scaleStepN) * lineRadiusMm * behind);
  const y = on.map((pull, i) => stackTorqueOf(pull, path) / sd[i]!);
  const force = on.map(({ squeezed }, i) => squeezed / sd[i]!);
  if (!squeeze.known) {
    const { k, low, high } = throughOrigin(
      force.map((f) => f * radii(1)),
      y,
    );
    const misfit = y.map((v, i) => Math.abs(v - k * radii(1) * force[i]!) * sd[i]!);
    return { of: "product", value: k, low: Math.max(0, low), high, worstNmm: Math.max(0, ...misfit) / behind };
  }
  // All pulls hang on one number, Σ μ·r: its least squares are plain, and every coefficient stands for one such sum.
  const { k, low, high } = throughOrigin(force, y);
  /** The coefficient that gives a sum; infinite where no coefficient gives so much. */
  const muOf = (sum: number): number => {
    if (sum <= radii(0)) return 0;
    if (sum >= radii(mostMu)) return Number.POSITIVE_INFINITY;
    let [a, b] = [0, mostMu];
    for (let i = 0; i < 60; i++) {
      const middle = (a + b) / 2;
      if (radii(middle) < sum) a = middle;
      else b = middle;
    }
    return (a + b) / 2;
  };
  const value = Math.min(mostMu, muOf(k));
  const misfit = y.map((v, i) => Math.abs(v - radii(value) * force[i]!) * sd[i]!);
  return {
    of: "mu",
    value,
    low: Math.min(value, muOf(low)),
    high: muOf(high),
    worstNmm: Math.max(0, ...misfit) / behind,
  };
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
/** What to set a drag to against a line, N, and the pull never to go above: the limit of every test. */
export const dragAdvice = (breakingN: number, use: DragUse): { strikeN: number; mostN: number } => ({
  strikeN: breakingN * dragShares[use],
  mostN: breakingN * dragLimit.share,
});
