import type { Member } from "@/core/anatomy/types";

/** One ring of a drag stack, from the base up. */
export interface DragElement {
  /** What it turns with; "none" for a loose friction washer. */
  readonly member: Member;
  readonly outsideMm: number;
  readonly insideMm: number;
  /** Friction coefficient of its faces; null for a metal ring, whose faces take their partner's. */
  readonly mu: number | null;
  /** Its coefficient is known and not looked for in a fit. */
  readonly known?: boolean | undefined;
}

/** How the pressure lies over a ring: a new one everywhere alike, a run-in one by wear (Shigley, clutches). */
export const pressureModels = ["uniform-wear", "uniform-pressure"] as const;
export type PressureModel = (typeof pressureModels)[number];

/** Steel on steel, where two metal rings meet (Shigley's table gives 0.15 to 0.20 for iron, from memory). */
export const bareMetalMu = 0.15;

/** Effective radius of a ring, mm; 0 for one of no width. */
export function effectiveRadius(outerMm: number, innerMm: number, model: PressureModel): number {
  if (outerMm <= innerMm) return 0;
  return model === "uniform-wear" ? (outerMm + innerMm) / 2 : ((2 / 3) * (outerMm ** 3 - innerMm ** 3)) / (outerMm ** 2 - innerMm ** 2);
}

export interface Gap {
  /** Indices of the two fixed elements it lies between. */
  readonly between: readonly [number, number];
  /** μ·r of the interface that slips first, mm. */
  readonly muRadiusMm: number;
  /** The element below the interface that slips. */
  readonly slipsAbove: number;
}

/**
 * The slipping places of a stack: between two neighbouring elements fixed to different members, once however many loose washers lie there, at
 * the interface of the smallest μ·r. Faces meet on the overlap of their rings; an interface without overlap carries nothing.
 */
export function gapsOf(stack: readonly DragElement[], model: PressureModel): Gap[] {
  const fixed = stack.flatMap(({ member }, i) => (member === "none" ? [] : [i]));
  const gaps: Gap[] = [];
  for (let f = 1; f < fixed.length; f++) {
    const [low, high] = [fixed[f - 1]!, fixed[f]!];
    if (stack[low]!.member === stack[high]!.member) continue;
    let least = { muRadiusMm: Number.POSITIVE_INFINITY, slipsAbove: low };
    for (let i = low; i < high; i++) {
      const [a, b] = [stack[i]!, stack[i + 1]!];
      const faces = [a.mu, b.mu].filter((mu): mu is number => mu !== null);
      const mu = faces.length ? Math.min(...faces) : bareMetalMu;
      const radius = effectiveRadius(Math.min(a.outsideMm, b.outsideMm) / 2, Math.max(a.insideMm, b.insideMm) / 2, model);
      if (mu * radius < least.muRadiusMm) least = { muRadiusMm: mu * radius, slipsAbove: i };
    }
    gaps.push({ between: [low, high], ...least });
  }
  return gaps;
}

/** Torque at which a stack slips, N·mm, under an axial force. */
export const capacityNmm = (stack: readonly DragElement[], forceN: number, model: PressureModel): number =>
  forceN * gapsOf(stack, model).reduce((sum, { muRadiusMm }) => sum + muRadiusMm, 0);

/** What is wrong with a stack, in words and at which element; null when it can be computed. */
export function stackFault(stack: readonly DragElement[]): { at: number; field: "outsideMm" | "insideMm" | "mu"; message: string } | null {
  for (const [at, { outsideMm, insideMm, mu }] of stack.entries()) {
    if (!(Number.isFinite(outsideMm) && outsideMm > 0 && outsideMm <= 200))
      return { at, field: "outsideMm", message: "Its outside is a number above 0 mm, at most 200." };
    if (!(Number.isFinite(insideMm) && insideMm >= 0)) return { at, field: "insideMm", message: "Its hole is a number from 0 mm up." };
    if (insideMm >= outsideMm)
      return { at, field: "insideMm", message: `Its hole is not smaller than its outside: ${insideMm} against ${outsideMm} mm.` };
    if (mu !== null && !(Number.isFinite(mu) && mu > 0 && mu <= 1.5))
      return { at, field: "mu", message: "A friction coefficient is above 0 and seldom above 1." };
  }
  return null;
}

/** Friction coefficients on steel, as ranges: Shigley's clutch-material table, from memory. Carbon washers are the user's own data. */
export const frictionRanges = {
  "leather, dry": [0.3, 0.5],
  "leather, oily": [0.1, 0.15],
  "felt, dry": [0.2, 0.25],
  "felt, oily": [0.16, 0.2],
  "woven lining, dry": [0.3, 0.6],
  "woven lining, oily": [0.1, 0.2],
  "moulded lining, dry": [0.2, 0.5],
  "moulded lining, oily": [0.08, 0.12],
  "carbon-graphite, dry": [0.2, 0.3],
  "carbon-graphite, oily": [0.05, 0.1],
  PTFE: [0.04, 0.1],
} as const satisfies Record<string, readonly [number, number]>;
export type FrictionMaterial = keyof typeof frictionRanges;
