import { flankDegrees, nutMinor, type ThreadSize, threadTable } from "./thread-table";

export interface ThreadMeasure {
  readonly of: "screw" | "hole";
  /** Outside of a screw, or the narrowest of a hole, mm. */
  readonly diameterMm: number;
  /** How far the caliper may be off, mm. */
  readonly offMm: number;
  /** Pitch, mm, where somebody measured it over some threads, and how far that may be off. */
  readonly pitch?: { readonly mm: number; readonly offMm: number };
}

/** Best a caliper reads, and best a pitch is told over ten threads, mm (rule of thumb). */
const bestCaliperMm = 0.02;
const bestPitchMm = 0.01;

/** What wear takes off a crest and plating puts on, mm (common practice: a twentieth and a fiftieth). */
const wornMm = 0.05;
const platedMm = 0.02;

/** Outside of a screw as made, mm: deviation g, grade 6 (ISO 965-1 formulas, from memory); a true M3 is 2.87 to 2.98. */
export function screwLimits({ diameterMm, pitchMm }: ThreadSize): { low: number; high: number } {
  const under = (15 + 11 * pitchMm) / 1000;
  const tolerance = (180 * pitchMm ** (2 / 3) - 3.15 / Math.sqrt(pitchMm)) / 1000;
  return { low: diameterMm - under - tolerance, high: diameterMm - under };
}

/** Minor diameter of a tapped hole as made, mm: H, grade 6 (ISO 965-1 formulas, from memory). */
export function holeLimits(size: ThreadSize): { low: number; high: number } {
  const p = size.pitchMm;
  const tolerance = (p < 1 ? 433 * p - 190 * p ** 1.22 : 230 * p ** 0.7) / 1000;
  return { low: nutMinor(size), high: nutMinor(size) + tolerance };
}

export interface ThreadMatch {
  readonly size: ThreadSize;
  /** How far the measure is from the middle of what this thread measures, mm. */
  readonly offMm: number;
}

export interface ThreadAnswer {
  readonly matches: readonly ThreadMatch[];
  /** Exactly one thread of the table can have been measured. */
  readonly certain: boolean;
  /** Pairs of matches and how they are told apart. */
  readonly tell: readonly string[];
}

/** What is wrong with a measure, in words at its field; null when it can be looked up. */
export function threadFault({
  diameterMm,
  offMm,
  pitch,
}: ThreadMeasure): { field: "diameterMm" | "offMm" | "pitch"; message: string } | null {
  if (!(diameterMm >= 0.5 && diameterMm <= 30)) return { field: "diameterMm", message: "A diameter from 0.5 to 30 mm." };
  if (!(offMm >= 0 && offMm <= 1)) return { field: "offMm", message: "Caliper tolerance: 0 to 1 mm." };
  if (pitch && !(pitch.mm > 0.05 && pitch.mm <= 5 && pitch.offMm >= 0)) return { field: "pitch", message: "A pitch from 0.05 to 5 mm." };
  return null;
}

/** How two threads that measure alike are told apart. */
function tellApart(a: ThreadSize, b: ThreadSize): string {
  const apart = Math.abs(a.pitchMm - b.pitchMm);
  if (apart >= 0.03) {
    const turns = apart >= 0.1 ? 10 : 20;
    return `${a.name} or ${b.name}: over ${turns} threads ${(a.pitchMm * turns).toFixed(1)} against ${(b.pitchMm * turns).toFixed(1)} mm; a known screw of either laid along it shows it.`;
  }
  if (flankDegrees[a.system] !== flankDegrees[b.system])
    return `${a.name} or ${b.name}: the pitch cannot separate them; flanks of ${flankDegrees[a.system]}° against ${flankDegrees[b.system]}° seen against the light beside a known screw, or a known nut by hand, never with a tool.`;
  return `${a.name} or ${b.name}: the pitch cannot separate them; outside ${a.diameterMm.toFixed(2)} against ${b.diameterMm.toFixed(2)} mm, try a known nut by hand, never with a tool.`;
}

/**
 * The threads a measure can be, closest first: as made, worn or plated, within what the caliper may be off. Nothing near is not taken for the
 * nearest. One of them alone is certain; otherwise it says how to tell them apart. A left-hand thread has the same sizes: look which way it climbs.
 */
export function findThread(measure: ThreadMeasure): ThreadAnswer {
  // No caliper is better than this, whatever was typed: only what lies further off is another.
  const offMm = Math.max(measure.offMm, bestCaliperMm);
  const pitchOffMm = measure.pitch ? Math.max(measure.pitch.offMm, bestPitchMm) : 0;
  const matches = threadTable
    .flatMap((size): ThreadMatch[] => {
      if (measure.pitch && Math.abs(size.pitchMm - measure.pitch.mm) > pitchOffMm + 1e-9) return [];
      const made = measure.of === "screw" ? screwLimits(size) : holeLimits(size);
      const low = measure.of === "screw" ? made.low - wornMm : made.low - platedMm;
      const high = measure.of === "screw" ? made.high + platedMm : made.high + wornMm;
      if (measure.diameterMm < low - offMm - 1e-9 || measure.diameterMm > high + offMm + 1e-9) return [];
      return [{ size, offMm: Math.abs(measure.diameterMm - (made.low + made.high) / 2) }];
    })
    .sort((a, b) => a.offMm - b.offMm || (a.size.name < b.size.name ? -1 : 1));
  const tell = matches.slice(0, 4).flatMap((a, i) => matches.slice(i + 1, 4).map((b) => tellApart(a.size, b.size)));
  return { matches, certain: matches.length === 1, tell };
}
