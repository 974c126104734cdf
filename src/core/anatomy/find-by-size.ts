import type { PartType } from "./types";

/**
 * Parts of a catalogue that have the sizes somebody measured: "washer 20 × 8 × 1", "bearing 5 11 4", "31 8.6". Numbers are compared in any
 * order, each size used once, within the tolerance; words must stand in the part's name, kind, material or number. Closest first.
 * @param toleranceMm 0.1 mm for a caliper in the hand (common practice).
 */
export function findBySize(parts: readonly PartType[], text: string, toleranceMm = 0.1): { part: PartType; offMm: number }[] {
  const measures = (text.match(/\d+(?:[.,]\d+)?/g) ?? []).map((measure) => Number(measure.replace(",", ".")));
  const words = (text.toLowerCase().match(/\p{L}{2,}/gu) ?? []).filter((word) => word !== "mm");
  if (!measures.length) return [];
  return parts
    .flatMap((part) => {
      const haystack = `${part.name} ${part.shape.kind} ${part.material} ${part.number}`.toLowerCase();
      if (!words.every((word) => haystack.includes(word))) return [];
      const free = Object.entries(part.shape).flatMap(([key, value]) => (typeof value === "number" && key.endsWith("Mm") ? [value] : []));
      let offMm = 0;
      for (const measure of measures) {
        let best = -1;
        for (let i = 0; i < free.length; i++) if (best < 0 || Math.abs(free[i]! - measure) < Math.abs(free[best]! - measure)) best = i;
        if (best < 0) return [];
        offMm = Math.max(offMm, Math.abs(free[best]! - measure));
        free.splice(best, 1);
      }
      return offMm <= toleranceMm + 1e-9 ? [{ part, offMm }] : [];
    })
    .sort((a, b) => a.offMm - b.offMm || (a.part.number < b.part.number ? -1 : 1));
}
