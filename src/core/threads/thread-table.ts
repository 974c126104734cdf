/** A thread as it is called; sizes in mm. */
export interface ThreadSize {
  readonly name: string;
  readonly system: "ISO metric" | "Unified" | "old metric" | "BA" | "Whitworth";
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
/** British Standard Whitworth and Fine, 55° flanks (from memory). */
const whitworth = (inches: string, threads: number, series: "BSW" | "BSF"): ThreadSize => {
  const [over = 1, under = 1] = inches.split("/").map(Number);
  return {
    name: `${inches}-${threads} ${series}`,
    system: "Whitworth",
    diameterMm: (over / under) * inch,
    pitchMm: inch / threads,
    certainty: "memory",
  };
};
const old = (diameterMm: number, pitchMm: number): ThreadSize => ({
  name: `M${diameterMm} × ${pitchMm}, before ISO`,
  system: "old metric",
  diameterMm,
  pitchMm,
  certainty: "memory",
});

/** ISO 261/262 coarse and fine to M10, ASME B1.1 UNC and UNF to 1/4 in; BA, Whitworth and metric from before ISO from memory. */
// biome-ignore format: a table
export const threadTable: readonly ThreadSize[] = [
  metric(1.6, 0.35), metric(2, 0.4), metric(2.5, 0.45), metric(3, 0.5), metric(3.5, 0.6), metric(4, 0.7), metric(5, 0.8), metric(6, 1), metric(7, 1), metric(8, 1.25), metric(10, 1.5),
  metric(1.8, 0.35, "memory"), metric(2.2, 0.45, "memory"), metric(4.5, 0.75, "memory"),
  metric(1.6, 0.2, "memory"), metric(2, 0.25, "memory"), metric(2.5, 0.35, "memory"), metric(3, 0.35, "memory"), metric(3.5, 0.35, "memory"), metric(4, 0.5, "memory"),
  metric(5, 0.5, "memory"), metric(6, 0.75, "memory"), metric(7, 0.75, "memory"), metric(8, 1), metric(8, 0.75, "memory"),
  metric(9, 1.25, "memory"), metric(10, 1.25), metric(10, 1, "memory"), metric(10, 0.75, "memory"),
  unified(0, 80, "UNF"), unified(1, 64, "UNC"), unified(1, 72, "UNF"), unified(2, 56, "UNC"), unified(2, 64, "UNF"), unified(3, 48, "UNC"), unified(3, 56, "UNF"),
  unified(4, 40, "UNC"), unified(4, 48, "UNF"), unified(5, 40, "UNC"), unified(5, 44, "UNF"), unified(6, 32, "UNC"), unified(6, 40, "UNF"), unified(8, 32, "UNC"),
  unified(8, 36, "UNF"), unified(10, 24, "UNC"), unified(10, 32, "UNF"), unified(12, 24, "UNC"), unified(12, 28, "UNF"), unified("1/4", 20, "UNC"), unified("1/4", 28, "UNF"),
  association(0), association(1), association(2), association(3), association(4), association(5), association(6), association(7), association(8), association(9), association(10),
  whitworth("1/16", 60, "BSW"), whitworth("3/32", 48, "BSW"), whitworth("1/8", 40, "BSW"), whitworth("5/32", 32, "BSW"), whitworth("3/16", 24, "BSW"), whitworth("7/32", 24, "BSW"),
  whitworth("1/4", 20, "BSW"), whitworth("5/16", 18, "BSW"), whitworth("3/8", 16, "BSW"), whitworth("3/16", 32, "BSF"), whitworth("7/32", 28, "BSF"), whitworth("1/4", 26, "BSF"),
  whitworth("5/16", 22, "BSF"), whitworth("3/8", 20, "BSF"),
  old(2.3, 0.4), old(2.6, 0.45), old(3, 0.6), old(4, 0.75),
];

/**
 * What a thread takes off its diameter, as shares of the pitch: its hole's narrowest, its screw's core. 60°: 1.082532 and 1.226869 (ISO 68-1,
 * ISO 898-1); BA with 47.5° flanks, depth 0.6; Whitworth with 55°, depth 0.640327 (both from memory), crest and root rounded alike.
 */
const depths: Readonly<Record<ThreadSize["system"], { readonly hole: number; readonly core: number }>> = {
  "ISO metric": { hole: 1.082532, core: 1.226869 },
  Unified: { hole: 1.082532, core: 1.226869 },
  "old metric": { hole: 1.082532, core: 1.226869 },
  BA: { hole: 1.2, core: 1.2 },
  Whitworth: { hole: 1.280654, core: 1.280654 },
};
/** Flanks of a thread, degrees between them. */
export const flankDegrees: Readonly<Record<ThreadSize["system"], number>> = {
  "ISO metric": 60,
  Unified: 60,
  "old metric": 60,
  BA: 47.5,
  Whitworth: 55,
};

type Sized = Pick<ThreadSize, "diameterMm" | "pitchMm"> & Partial<Pick<ThreadSize, "system">>;

/** Minor diameter of the nut, mm; 60° where no system is named. */
export const nutMinor = ({ diameterMm: d, pitchMm: p, system = "ISO metric" }: Sized): number => d - depths[system].hole * p;
/** Core of the screw, mm. */
export const screwCore = ({ diameterMm: d, pitchMm: p, system = "ISO metric" }: Sized): number => d - depths[system].core * p;
/** Stress area, mm²: a circle between pitch diameter and core (ISO 898-1; the same idea for the others). */
export const stressArea = ({ diameterMm: d, pitchMm: p, system = "ISO metric" }: Sized): number =>
  depths[system].core === 1.226869 ? (Math.PI / 4) * (d - 0.938194 * p) ** 2 : (Math.PI / 4) * (d - depths[system].core * 0.75 * p) ** 2;
