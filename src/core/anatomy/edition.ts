import { z } from "zod";
import { identifier } from "./identifier";
import { matchesSerial } from "./serial";

const year = z.number().int().min(1850).max(2200);

/** One way a model was built: known by its years, by its serial, or by a mark that can be seen. */
export const editionSchema = z.object({
  id: identifier,
  name: z.string().min(1).max(60),
  fromYear: year.optional(),
  toYear: year.optional(),
  /** A pattern as serials are written; see `serial.ts`. */
  serialPattern: z.string().min(1).max(40).optional(),
  /** What to look for on the reel. */
  mark: z.string().min(1).max(160).optional(),
});
export type Edition = z.infer<typeof editionSchema>;

/** How an edition came to be known, surest first. */
export type EditionSource = "chosen" | "serial" | "year" | "assumed";

/**
 * Which edition a reel is: the one somebody chose at the bench, else by its serial's pattern, else by its year, else the first of the list,
 * which is an assumption and has to be shown as one. Null for a model that has no editions.
 * @param year of making, when the maker's serial rules told it.
 */
export function editionOf(
  editions: readonly Edition[],
  known: { chosen?: string | null; serial: string; year: number | null },
): { edition: Edition; source: EditionSource } | null {
  const first = editions[0];
  if (!first) return null;
  const chosen = editions.find((edition) => edition.id === known.chosen);
  if (chosen) return { edition: chosen, source: "chosen" };
  const bySerial = known.serial ? editions.filter((e) => e.serialPattern && matchesSerial(e.serialPattern, known.serial)) : [];
  if (bySerial.length === 1) return { edition: bySerial[0]!, source: "serial" };
  const { year } = known;
  if (year !== null) {
    const byYear = editions.filter(
      (e) => (e.fromYear ?? e.toYear) !== undefined && (e.fromYear ?? year) <= year && year <= (e.toYear ?? year),
    );
    if (byYear.length === 1) return { edition: byYear[0]!, source: "year" };
  }
  return { edition: first, source: "assumed" };
}
