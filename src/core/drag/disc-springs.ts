/**
 * Disc springs as tension washers. Source: DIN EN 16984 (formerly DIN 2092), springs without contact flats (K4 = 1), which all of these sizes are.
 * Units: N, mm, MPa.
 */
export interface DiscSpring {
  readonly outsideMm: number;
  readonly insideMm: number;
  readonly thicknessMm: number;
  /** Height of the cone, free height less thickness; 0 is a flat washer, which is rigid here. */
  readonly coneHeightMm: number;
  /** Young's modulus over 1 − ν², MPa; the table of the standard fixes 226 374 for spring steel. */
  readonly platedModulusMpa?: number;
}

export const springSteelMpa = 226_374;
/** Young's moduli, MPa, and Poisson's ratios of usual materials (from memory). */
export const moduli = {
  "spring steel": { youngMpa: 206_000, poisson: 0.3 },
  "stainless steel": { youngMpa: 190_000, poisson: 0.3 },
  bronze: { youngMpa: 115_000, poisson: 0.34 },
} as const;
export type SpringMaterial = keyof typeof moduli;
export const platedModulus = (material: SpringMaterial): number =>
  material === "spring steel" ? springSteelMpa : moduli[material].youngMpa / (1 - moduli[material].poisson ** 2);

/** The law holds to here; beyond, the levers shorten and the real force is higher. */
export const lawHoldsToShare = 0.75;
/** Above this cone height over thickness a spring has a maximum before it is flat, and snaps. */
export const snapsAbove = Math.SQRT2;

/** What is wrong with a disc's sizes, in words at the field; null when it can be. */
export function discFault(disc: DiscSpring): { field: keyof DiscSpring; message: string } | null {
  const { outsideMm, insideMm, thicknessMm, coneHeightMm } = disc;
  for (const [field, value] of Object.entries({ outsideMm, insideMm, thicknessMm }) as [keyof DiscSpring, number][])
    if (!(Number.isFinite(value) && value > 0)) return { field, message: "A size is a number above 0 mm." };
  if (!(Number.isFinite(coneHeightMm) && coneHeightMm >= 0))
    return { field: "coneHeightMm", message: "The cone's height is 0 for a flat washer, or more." };
  if (insideMm >= outsideMm)
    return { field: "insideMm", message: `The hole is not smaller than the outside: ${insideMm} against ${outsideMm} mm.` };
  if (thicknessMm * 2 >= outsideMm) return { field: "thicknessMm", message: "It is thicker than a washer of this size can be." };
  if (coneHeightMm > outsideMm / 2) return { field: "coneHeightMm", message: "The cone is higher than half the washer is wide." };
  return null;
}

/** The coefficients K1 to K3 of the standard, by δ = outside / inside. */
export function coefficients(delta: number): { k1: number; k2: number; k3: number } {
  const ln = Math.log(delta);
  return {
    k1: ((delta - 1) / delta) ** 2 / ((delta + 1) / (delta - 1) - 2 / ln) / Math.PI,
    k2: (6 / Math.PI / ln) * ((delta - 1) / ln - 1),
    k3: ((3 / Math.PI) * (delta - 1)) / ln,
  };
}

/** Force of one disc at a deflection, N. @param s mm, 0 to the cone's height. */
export function discForce(
  { outsideMm, insideMm, thicknessMm: t, coneHeightMm: h0, platedModulusMpa = springSteelMpa }: DiscSpring,
  s: number,
): number {
  const { k1 } = coefficients(outsideMm / insideMm);
  return ((4 * platedModulusMpa * t ** 4) / (k1 * outsideMm ** 2)) * (s / t) * ((h0 / t - s / t) * (h0 / t - s / (2 * t)) + 1);
}

/** The two tensile stresses at the lower edges, MPa; the larger one governs. */
export function discStress(disc: DiscSpring, s: number): { iiMpa: number; iiiMpa: number } {
  const { outsideMm, insideMm, thicknessMm: t, coneHeightMm: h0, platedModulusMpa = springSteelMpa } = disc;
  const delta = outsideMm / insideMm;
  const { k1, k2, k3 } = coefficients(delta);
  const c = ((4 * platedModulusMpa * t ** 2) / (k1 * outsideMm ** 2)) * (s / t);
  const bend = h0 / t - s / (2 * t);
  return { iiMpa: -c * (k2 * bend - k3), iiiMpa: (-c / delta) * ((k2 - 2 * k3) * bend - k3) };
}

/** Where a snapping spring's force is largest, mm; null for one that does not snap. */
export const snapDeflection = ({ thicknessMm: t, coneHeightMm: h0 }: DiscSpring): number | null =>
  h0 / t > snapsAbove ? h0 - Math.sqrt((h0 ** 2 - 2 * t ** 2) / 3) : null;

/** Discs nested in the same direction act as one: n times the force at the same deflection. Nesting is for one cone only. */
export interface DiscGroup {
  readonly disc: DiscSpring;
  readonly nested: number;
}

/**
 * A stack of groups in series, each turned against the next. The same force goes through all; the softer flattens first. Flat washers are
 * rigid. No friction between nested discs is counted.
 */
export interface SpringStack {
  readonly groups: readonly DiscGroup[];
}

/** A stack from a row of washers as they lie: neighbours of one cone that look the same way are nested, all others opposed. */
export function stackOf(row: readonly { readonly disc: DiscSpring; readonly up: boolean }[]): SpringStack {
  const groups: { disc: DiscSpring; nested: number; up: boolean }[] = [];
  const same = (a: DiscSpring, b: DiscSpring) =>
    a.outsideMm === b.outsideMm && a.insideMm === b.insideMm && a.thicknessMm === b.thicknessMm && a.coneHeightMm === b.coneHeightMm;
  for (const { disc, up } of row) {
    const last = groups.at(-1);
    if (last && last.up === up && last.disc.coneHeightMm > 0 && same(last.disc, disc)) last.nested++;
    else groups.push({ disc, nested: 1, up });
  }
  return { groups: groups.map(({ disc, nested }) => ({ disc, nested })) };
}

/** Free height less the height when all are flat: the stroke there is, mm. */
export const stackStroke = ({ groups }: SpringStack): number => groups.reduce((sum, { disc }) => sum + disc.coneHeightMm, 0);
/** Height as it lies free, mm. */
export const stackHeight = ({ groups }: SpringStack): number =>
  groups.reduce((sum, { disc, nested }) => sum + disc.coneHeightMm + nested * disc.thicknessMm, 0);

const groupForce = ({ disc, nested }: DiscGroup, s: number) => nested * discForce(disc, s);

/** Deflection of a group under a force on its rising branch, mm; its whole cone once the force is above what it can hold. */
function groupDeflection(group: DiscGroup, forceN: number): number {
  const { disc } = group;
  if (disc.coneHeightMm === 0 || forceN <= 0) return 0;
  const rising = snapDeflection(disc) ?? disc.coneHeightMm;
  if (forceN >= groupForce(group, rising)) return disc.coneHeightMm;
  let [low, high] = [0, rising];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (groupForce(group, middle) < forceN) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Deflection of a whole stack under a force, loading it from free, mm. */
export const stackDeflection = ({ groups }: SpringStack, forceN: number): number =>
  groups.reduce((sum, group) => sum + groupDeflection(group, forceN), 0);

export interface CurvePoint {
  readonly strokeMm: number;
  readonly forceN: number;
  /** The law no longer holds here for some disc: the real force is higher. */
  readonly higherInTruth: boolean;
}

/**
 * Force over stroke of a stack, walked by deflection so that a snapping spring shows its fall too. For one group it is the law itself; for
 * several the force is raised until the softer ones are flat. @param steps points along the stroke.
 */
export function stackCurve(stack: SpringStack, steps = 80): CurvePoint[] {
  const working = stack.groups.filter(({ disc }) => disc.coneHeightMm > 0);
  if (!working.length) return [{ strokeMm: 0, forceN: 0, higherInTruth: false }];
  const alike = working.every(
    ({ disc, nested }) => nested === working[0]!.nested && JSON.stringify(disc) === JSON.stringify(working[0]!.disc),
  );
  if (alike) {
    const { disc } = working[0]!;
    return Array.from({ length: steps + 1 }, (_, i) => {
      const s = (disc.coneHeightMm * i) / steps;
      return {
        strokeMm: s * working.length,
        forceN: groupForce(working[0]!, s),
        higherInTruth: s > lawHoldsToShare * disc.coneHeightMm + 1e-12,
      };
    });
  }
  const flatAt = Math.max(...working.map((group) => groupForce(group, snapDeflection(group.disc) ?? group.disc.coneHeightMm)));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const forceN = (flatAt * i) / steps;
    const deflections = working.map((group) => groupDeflection(group, forceN));
    return {
      strokeMm: deflections.reduce((a, b) => a + b, 0),
      forceN,
      higherInTruth: working.some(({ disc }, j) => deflections[j]! > lawHoldsToShare * disc.coneHeightMm + 1e-12),
    };
  });
}

/** Force at a stroke, by the curve between its points; beyond the stroke there is the stack stands rigid and the last force is given. */
export function stackForce(stack: SpringStack, strokeMm: number): number {
  const curve = stackCurve(stack, 400);
  if (strokeMm <= 0) return 0;
  const last = curve.at(-1)!;
  if (strokeMm >= last.strokeMm) return last.forceN;
  const after = curve.findIndex((point) => point.strokeMm >= strokeMm);
  const [a, b] = [curve[after - 1]!, curve[after]!];
  return a.forceN + ((b.forceN - a.forceN) * (strokeMm - a.strokeMm)) / (b.strokeMm - a.strokeMm || 1);
}
