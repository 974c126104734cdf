import type { Water } from "@/core/vocabulary/use";
import { bearingTable } from "./bearing-table";
import { type BearingMatch, findBearing } from "./find-bearing";

/** Rows whose bore, outside and shielded width stand in two independent tables; the others are from memory. */
const twice = new Set(
  bearingTable
    .map(({ number }) => number)
    .filter((number) => /^(60[3-9]|62[3-9]|63[345]|68[3-9]|69[3-9]|MR(63|74|85|106|117|128))$/.test(number)),
);
export const certaintyOf = (number: string): "two tables" | "from memory" => (twice.has(number) ? "two tables" : "from memory");

/** Inch bearings of old reels, mm, from memory: bore, outside, width open, width shielded. */
const inch = 25.4;
// biome-ignore format: a table
export const inchBearings: readonly { readonly number: string; readonly boreMm: number; readonly outsideMm: number; readonly openMm: number; readonly shieldedMm: number }[] = (
  [
    ["R133", 3 / 32, 3 / 16, 1 / 16, 3 / 32], ["R1-4", 5 / 64, 1 / 4, 3 / 32, 9 / 64], ["R1-5", 3 / 32, 5 / 16, 7 / 64, 9 / 64], ["R2-5", 1 / 8, 5 / 16, 7 / 64, 9 / 64], ["R2-6", 1 / 8, 3 / 8, 7 / 64, 9 / 64], ["R8", 1 / 2, 9 / 8, 1 / 4, 5 / 16],
    ["R144", 1 / 8, 1 / 4, 0.0937, 0.1094], ["R155", 5 / 32, 5 / 16, 0.1094, 1 / 8], ["R156", 3 / 16, 5 / 16, 0.1094, 1 / 8], ["R166", 3 / 16, 3 / 8, 1 / 8, 1 / 8],
    ["R168", 1 / 4, 3 / 8, 1 / 8, 1 / 8], ["R188", 1 / 4, 1 / 2, 1 / 8, 3 / 16], ["R2", 1 / 8, 3 / 8, 5 / 32, 5 / 32], ["R3", 3 / 16, 1 / 2, 5 / 32, 0.196], ["R4", 1 / 4, 5 / 8, 0.196, 0.196], ["R6", 3 / 8, 7 / 8, 7 / 32, 9 / 32],
  ] as const
).map(([number, bore, outside, open, shielded]) => ({ number, boreMm: bore * inch, outsideMm: outside * inch, openMm: open * inch, shieldedMm: shielded * inch }));

export interface BearingAnswer {
  readonly matches: readonly (BearingMatch & { readonly inch: boolean; readonly certainty: "two tables" | "from memory" })[];
  /** Exactly one size of the tables can have been measured. */
  readonly certain: boolean;
}

/** What is wrong with a measure, in words at its field; null when it can be looked up. */
export function bearingFault(measure: {
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
  readonly offMm: number;
}): { field: keyof typeof measure; message: string } | null {
  const { boreMm, outsideMm, widthMm, offMm } = measure;
  if (!(boreMm > 0 && boreMm <= 60)) return { field: "boreMm", message: "A bore above 0 mm, at most 60." };
  if (!(outsideMm > boreMm && outsideMm <= 120))
    return { field: "outsideMm", message: "The outside is more than the bore, at most 120 mm." };
  if (!(widthMm > 0 && widthMm <= 40)) return { field: "widthMm", message: "A width above 0 mm, at most 40." };
  if (!(offMm >= 0 && offMm <= 1)) return { field: "offMm", message: "Caliper tolerance: 0 to 1 mm." };
  return null;
}

/** Every size a measure can be, metric and inch, closest first; none rather than the nearest. */
export function answerBearing(
  measure: { readonly boreMm: number; readonly outsideMm: number; readonly widthMm: number },
  offMm: number,
): BearingAnswer {
  const within = offMm + 1e-9;
  const metric = findBearing(measure, offMm).map((match) => ({ ...match, inch: false, certainty: certaintyOf(match.number) }));
  const inches = inchBearings.flatMap((size) => {
    const round = Math.max(Math.abs(size.boreMm - measure.boreMm), Math.abs(size.outsideMm - measure.outsideMm));
    const [open, shielded] = [Math.abs(size.openMm - measure.widthMm), Math.abs(size.shieldedMm - measure.widthMm)];
    const off = Math.max(round, Math.min(open, shielded));
    if (off > within) return [];
    const width = size.openMm === size.shieldedMm ? ("both" as const) : open <= shielded ? ("open" as const) : ("shielded" as const);
    return [{ ...size, width, offMm: off, inch: true, certainty: "from memory" as const }];
  });
  const matches = [...metric, ...inches].sort((a, b) => a.offMm - b.offMm || (a.number < b.number ? -1 : 1));
  return { matches, certain: matches.length === 1 };
}

/** Which material a bearing takes, by water, by who minds noise, and by who will oil it (common practice). */
export function materialAdvice(use: { readonly water: Water; readonly mindsNoise: boolean; readonly oilsOften: boolean }): string {
  const salt = use.water !== "fresh";
  if (use.mindsNoise)
    return salt ? "stainless steel, shielded: quiet, stands salt if it is oiled" : "chrome or stainless steel: quiet; ceramic is louder";
  if (!use.oilsOften) return "ceramic hybrid: needs no oil, louder, dearer";
  return salt ? "stainless steel, shielded" : "steel, shielded; stainless where it may see salt once";
}
