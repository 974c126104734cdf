import { type PriceRow, type ReadPriceList, readPriceList } from "@/core/ordering/price-list";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { offersOf, setOffer } from "@/data/parts/suppliers";

/** What a price list would change, nothing written. */
export function lookAtPriceList(db: Db, supplierId: string, rows: readonly PriceRow[]): ReadPriceList {
  const catalogue = db
    .prepare(
      "SELECT id, number, name, coalesce(superseded_by, '') AS supersededBy FROM part_type WHERE retired_at IS NULL AND unlisted = 0",
    )
    .all() as { id: string; number: string; name: string; supersededBy: string }[];
  const now = new Map(
    db.prepare("SELECT part_type_id, CAST(price_minor AS REAL) / pack FROM offer WHERE supplier_id = ?").raw().all(supplierId) as [
      string,
      number,
    ][],
  );
  return readPriceList(rows, catalogue, now);
}

/** Takes a price list over: every row that is known, in one act. @returns how many prices it set. */
export function takePriceList(ctx: Context, supplierId: string, rows: readonly PriceRow[]): { prices: number } {
  const { lines } = lookAtPriceList(ctx.db, supplierId, rows);
  if (!lines.length) throw new Refusal("nothing", "Nothing in this list is in the catalogue.");
  const offers = offersOf(
    ctx.db,
    lines.map(({ partTypeId }) => partTypeId),
  );
  for (const { partTypeId, priceMinor, pack } of lines) {
    const before = offers.get(partTypeId)?.find((offer) => offer.supplierId === supplierId);
    // A lower price for several packs was agreed for the earlier pack; one that is no longer lower is none.
    const breaks = before?.pack === pack ? before.breaks.filter((one) => one.priceMinor < priceMinor) : [];
    setOffer(ctx, { supplierId, partTypeId, priceMinor, pack, breaks });
  }
  writeJournal(ctx, "price-list-taken", {}, { supplier: supplierId, prices: lines.length });
  return { prices: lines.length };
}
