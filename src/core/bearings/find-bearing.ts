import { type BearingSize, bearingTable } from "./bearing-table";

export interface BearingMeasure {
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
}

export interface BearingMatch extends BearingSize {
  /** Which of its two widths was measured. */
  readonly width: "open" | "shielded" | "both";
  /** Largest difference between measure and table, mm. */
  readonly offMm: number;
}

/**
 * The bearings a caliper reading can be: bore, outside **and** width within the tolerance, the closest first. Bore and outside alone are
 * never enough: two bearings share both and differ in width.
 * @param toleranceMm how far a reading may be off, 0.1 mm for a bearing laid in a caliper (common practice).
 */
export function findBearing(measure: BearingMeasure, toleranceMm = 0.1): BearingMatch[] {
  const within = toleranceMm + 1e-9; // so that a reading exactly at the limit counts in binary too
  return bearingTable
    .flatMap((size): BearingMatch[] => {
      const round = Math.max(Math.abs(size.boreMm - measure.boreMm), Math.abs(size.outsideMm - measure.outsideMm));
      const [open, shielded] = [Math.abs(size.openMm - measure.widthMm), Math.abs(size.shieldedMm - measure.widthMm)];
      const offMm = Math.max(round, Math.min(open, shielded));
      if (offMm > within) return [];
      const width = size.openMm === size.shieldedMm ? "both" : open <= shielded ? "open" : "shielded";
      return [{ ...size, width, offMm }];
    })
    .sort((a, b) => a.offMm - b.offMm || (a.number < b.number ? -1 : 1));
}
