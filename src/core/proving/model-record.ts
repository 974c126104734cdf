import { quantile } from "@/core/quantile";

/** What a test of one model reads when such a reel leaves this shop. Pulls are at the line radius asked for. */
export interface ModelRecord {
  readonly median: number;
  readonly low: number;
  readonly high: number;
  readonly jobs: number;
}

/** Fewest jobs a record is said from: of two nothing is known about a third. */
const fewest = 3;

/** Median and the middle two thirds, which one reading gone wrong among ten does not move; null while there are too few. */
export function modelRecord(values: readonly number[]): ModelRecord | null {
  if (values.length < fewest) return null;
  return { median: quantile(values, 0.5), low: quantile(values, 1 / 6), high: quantile(values, 5 / 6), jobs: values.length };
}

/** Where a reading stands to the record; a tenth outside its ends is still within (no two hands read alike; rule of thumb). */
export function againstRecord(value: number, { low, high }: ModelRecord): "under" | "within" | "over" {
  if (value < low * 0.9) return "under";
  return value > high * 1.1 ? "over" : "within";
}
