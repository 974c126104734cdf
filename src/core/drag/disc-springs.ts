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

/** What a disc's force is a multiple of, N; its logarithms are dear, and a stack asks the same disc thousands of times. */
const unitForces = new WeakMap<DiscSpring, number>();
function unitForce(disc: DiscSpring): number {
  let force = unitForces.get(disc);
  if (force === undefined) {
    const { outsideMm, insideMm, thicknessMm: t, platedModulusMpa = springSteelMpa } = disc;
    force = (4 * platedModulusMpa * t ** 4) / (coefficients(outsideMm / insideMm).k1 * outsideMm ** 2);
    unitForces.set(disc, force);
  }
  return force;
}

/** Force of one disc at a deflection, N. @param s mm, 0 to the cone's height. */
export function discForce(disc: DiscSpring, s: number): number {
  const { thicknessMm: t, coneHeightMm: h0 } = disc;
  return unitForce(disc) * (s / t) * ((h0 / t - s / t) * (h0 / t - s / (2 * t)) + 1);
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

/**
 * Discs that lie in the same direction share their travel, so that their forces add up. Where one cone is higher than the other it carries alone
 * until it is down to the other's height.
 */
export interface DiscGroup {
  readonly discs: readonly DiscSpring[];
  /** The one with the highest cone, which is pressed first. */
  readonly disc: DiscSpring;
  readonly nested: number;
  /** Where its force is largest on its way to flat, mm; its whole cone where it only rises. */
  readonly peakMm: number;
}

/**
 * A stack of groups in series, each turned against the next. The same force goes through all; the softer flattens first. Flat washers are
 * rigid. No friction between nested discs is counted.
 */
export interface SpringStack {
  readonly groups: readonly DiscGroup[];
}

const sameSizes = (a: DiscSpring, b: DiscSpring) =>
  a.outsideMm === b.outsideMm &&
  a.insideMm === b.insideMm &&
  a.thicknessMm === b.thicknessMm &&
  a.coneHeightMm === b.coneHeightMm &&
  (a.platedModulusMpa ?? springSteelMpa) === (b.platedModulusMpa ?? springSteelMpa);

/** Force of discs at their common travel: each at what of it reaches it. */
function forceOf(discs: readonly DiscSpring[], highestMm: number, s: number): number {
  let sum = 0;
  for (const one of discs) {
    const reached = s - (highestMm - one.coneHeightMm);
    if (reached > 0) sum += discForce(one, reached);
  }
  return sum;
}
const groupForce = ({ discs, disc }: DiscGroup, s: number) => forceOf(discs, disc.coneHeightMm, s);

function groupOf(discs: readonly DiscSpring[]): DiscGroup {
  const disc = discs.reduce((highest, one) => (one.coneHeightMm > highest.coneHeightMm ? one : highest));
  const highest = disc.coneHeightMm;
  const steps = 400;
  let peakMm = snapDeflection(disc) ?? highest;
  if (discs.some((one) => !sameSizes(one, disc))) {
    peakMm = highest;
    for (let i = steps - 1; i > 0; i--)
      if (forceOf(discs, highest, (highest * (i + 1)) / steps) < forceOf(discs, highest, (highest * i) / steps))
        peakMm = (highest * i) / steps;
  }
  return { discs, disc, nested: discs.length, peakMm };
}

/** A stack from a row of washers as they lie: neighbours that look the same way are nested, all others opposed; a flat one parts them. */
export function stackOf(row: readonly { readonly disc: DiscSpring; readonly up: boolean }[]): SpringStack {
  const groups: { discs: DiscSpring[]; up: boolean; flat: boolean }[] = [];
  for (const { disc, up } of row) {
    const last = groups.at(-1);
    const flat = disc.coneHeightMm === 0;
    if (last && last.up === up && !last.flat && !flat) last.discs.push(disc);
    else groups.push({ discs: [disc], up, flat });
  }
  return { groups: groups.map(({ discs }) => groupOf(discs)) };
}

/** The ranges the standard's sizes lie in (DIN EN 16983): outside / inside, outside / thickness, cone / thickness. */
const standardRanges = { delta: [1.75, 2.5], slender: [14, 42], cone: [0.35, 1.45] } as const;

/** What has to be said of a stack beside its figures, in words. */
export function stackNotes({ groups }: SpringStack): string[] {
  const notes: string[] = [];
  for (const { discs, disc } of groups) {
    if (discs.some((one) => !sameSizes(one, disc))) {
      const least = Math.min(...discs.map(({ coneHeightMm }) => coneHeightMm));
      const alone = disc.coneHeightMm - least;
      notes.push(
        `Unlike washers in one direction share their travel, and their forces add up${alone > 1e-9 ? `; the higher cone carries alone for the first ${alone.toFixed(2)} mm` : ""}.`,
      );
    }
  }
  for (const disc of new Set(groups.flatMap(({ discs }) => discs))) {
    const { outsideMm, insideMm, thicknessMm, coneHeightMm } = disc;
    if (coneHeightMm === 0) continue;
    const outside = ([low, high]: readonly [number, number], value: number) => value < low || value > high;
    const faults = [
      ...(outside(standardRanges.delta, outsideMm / insideMm)
        ? [`outside / inside is ${(outsideMm / insideMm).toFixed(2)}, not 1.75 to 2.5`]
        : []),
      ...(outside(standardRanges.slender, outsideMm / thicknessMm)
        ? [`outside / thickness is ${(outsideMm / thicknessMm).toFixed(0)}, not 14 to 42`]
        : []),
      ...(outside(standardRanges.cone, coneHeightMm / thicknessMm)
        ? [`cone / thickness is ${(coneHeightMm / thicknessMm).toFixed(2)}, not 0.35 to 1.45`]
        : []),
    ];
    if (faults.length)
      notes.push(
        `${outsideMm} × ${insideMm} × ${thicknessMm} is none of the standard's: ${faults.join("; ")}. The law is less sure there.`,
      );
  }
  return [...new Set(notes)];
}

/** Free height less the height when all are flat: the stroke there is, mm. */
export const stackStroke = ({ groups }: SpringStack): number => groups.reduce((sum, { disc }) => sum + disc.coneHeightMm, 0);
/** Height as it lies free, mm. */
export const stackHeight = ({ groups }: SpringStack): number =>
  groups.reduce((sum, { disc, discs }) => sum + disc.coneHeightMm + discs.reduce((thick, one) => thick + one.thicknessMm, 0), 0);

/** Deflection of a group under a force on its rising branch, mm; its whole cone once the force is above what it can hold. */
function groupDeflection(group: DiscGroup, forceN: number): number {
  const { disc } = group;
  if (forceN <= 0) return 0;
  const rising = group.peakMm;
  if (forceN >= groupForce(group, rising)) return disc.coneHeightMm;
  let [low, high] = [0, rising];
  for (let i = 0; i < 48; i++) {
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
    ({ discs }) => discs.length === working[0]!.discs.length && discs.every((one, i) => sameSizes(one, working[0]!.discs[i]!)),
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
  const flatAt = Math.max(...working.map((group) => groupForce(group, group.peakMm)));
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

/** Whether a stroke is more than the stack has: flat, it is rigid, and the real force is anything above. */
export const isPastFlat = (stack: SpringStack, strokeMm: number): boolean => strokeMm > stackStroke(stack) + 1e-9;

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
