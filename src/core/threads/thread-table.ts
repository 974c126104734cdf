/** A thread as it is called; sizes in mm. */
export interface ThreadSize {
  readonly name: string;
  readonly system: "ISO metric" | "Unified" | "old metric" | "BA";
  readonly diameterMm: number;
  readonly pitchMm: number;
  /** Where the row comes from: a standard confirmed by its own formulas, or memory alone. */
  readonly certainty: "standard" | "memory";
}

const metric = (diameterMm: number, pitchMm: number, certainty: ThreadSize["certainty"] = "standard"): ThreadSize => ({
  name: `M${diameterMm} × ${pitchMm}`,
  system: "ISO metric",
  diameterMm,
  pitchMm,
  certainty,
});
const inch = 25.4;
/** ASME B1.1: a numbered size is 0.060 in + 0.013 in a number. */
const unified = (size: number | "1/4", threads: number, series: "UNC" | "UNF"): ThreadSize => ({
  name: `${size === "1/4" ? size : `#${size}`}-${threads} ${series}`,
  system: "Unified",
  diameterMm: (size === "1/4" ? 0.25 : 0.06 + 0.013 * size) * inch,
  pitchMm: inch / threads,
  certainty: "standard",
});
/** British Association: pitch 0.9ⁿ mm, diameter 6·p^1.2 (from memory); 47.5° flanks. */
const association = (n: number): ThreadSize => {
  const pitchMm = Math.round(0.9 ** n * 100) / 100;
  return { name: `${n}BA`, system: "BA", diameterMm: Math.round(6 * pitchMm ** 1.2 * 10) / 10, pitchMm, certainty: "memory" };
};
const old = (diameterMm: number, pitchMm: number): ThreadSize => ({
  name: `M${diameterMm} × ${pitchMm}, before ISO`,
  system: "old metric",
  diameterMm,
  pitchMm,
  certainty: "memory",
});

/** ISO 261/262 coarse and fine, ASME B1.1 UNC and UNF to 1/4 in; BA and metric from before ISO from memory. */
// biome-ignore format: a table
export const threadTable: readonly ThreadSize[] = [
  metric(1.6, 0.35), metric(2, 0.4), metric(2.5, 0.45), metric(3, 0.5), metric(3.5, 0.6), metric(4, 0.7), metric(5, 0.8), metric(6, 1), metric(7, 1), metric(8, 1.25),
  metric(1.8, 0.35, "memory"), metric(2.2, 0.45, "memory"), metric(4.5, 0.75, "memory"),
  metric(1.6, 0.2, "memory"), metric(2, 0.25, "memory"), metric(2.5, 0.35, "memory"), metric(3, 0.35, "memory"), metric(3.5, 0.35, "memory"), metric(4, 0.5, "memory"),
  metric(5, 0.5, "memory"), metric(6, 0.75, "memory"), metric(7, 0.75, "memory"), metric(8, 1), metric(8, 0.75, "memory"),
  unified(0, 80, "UNF"), unified(1, 64, "UNC"), unified(1, 72, "UNF"), unified(2, 56, "UNC"), unified(2, 64, "UNF"), unified(3, 48, "UNC"), unified(3, 56, "UNF"),
  unified(4, 40, "UNC"), unified(4, 48, "UNF"), unified(5, 40, "UNC"), unified(5, 44, "UNF"), unified(6, 32, "UNC"), unified(6, 40, "UNF"), unified(8, 32, "UNC"),
  unified(8, 36, "UNF"), unified(10, 24, "UNC"), unified(10, 32, "UNF"), unified(12, 24, "UNC"), unified(12, 28, "UNF"), unified("1/4", 20, "UNC"), unified("1/4", 28, "UNF"),
  association(0), association(2), association(3), association(4), association(5), association(6), association(7), association(8), association(10),
  old(2.3, 0.4), old(2.6, 0.45), old(3, 0.6), old(4, 0.75),
];

/** Minor diameter of the nut, mm (ISO 68-1). */
export const nutMinor = ({ diameterMm: d, pitchMm: p }: Pick<ThreadSize, "diameterMm" | "pitchMm">): number => d - 1.082532 * p;
/** Stress area of a metric bolt, mm² (ISO 898-1). */
export const stressArea = ({ diameterMm: d, pitchMm: p }: Pick<ThreadSize, "diameterMm" | "pitchMm">): number =>
  (Math.PI / 4) * (d - 0.938194 * p) ** 2;
