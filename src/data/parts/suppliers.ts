import { idFor } from "@/core/anatomy/draft";
import { groupBy } from "@/core/group-by";
import type { Offer, PostageTier, Supplier } from "@/core/ordering/book";
import { seenOffer } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

/** Everyone who was ever ordered from, those still used first, by name. */
export const listSuppliers = (db: Db): Supplier[] =>
  (
    db
      .prepare(
        `SELECT id, name, postage_minor AS postageMinor, lead_days AS leadDays, retired_at IS NOT NULL AS retired, row_version AS rowVersion,
                free_post_from_minor AS freePostFromMinor, smallest_order_minor AS smallestOrderMinor, email,
                (SELECT count(*) FROM offer WHERE offer.supplier_id = supplier.id) AS offers
         FROM supplier ORDER BY retired_at IS NOT NULL, name`,
      )
      .all() as (Omit<Supplier, "retired" | "tiers"> & { retired: 0 | 1 })[]
  ).map((row) => ({ ...row, retired: row.retired === 1, tiers: tiersOf(db, row.id) }));

/** Postage from a value of goods upwards, beside what any parcel costs. */
const tiersOf = (db: Db, supplierId: string): PostageTier[] =>
  db
    .prepare(
      "SELECT from_minor AS fromMinor, postage_minor AS postageMinor FROM supplier_postage WHERE supplier_id = ? ORDER BY from_minor",
    )
    .all(supplierId) as PostageTier[];

/** Who sells each of some parts, the cheapest piece first; suppliers no longer used are left out. */
export function offersOf(db: Db, partTypeIds: readonly string[]): ReadonlyMap<string, Offer[]> {
  const rows = db
    .prepare(
      `SELECT offer.part_type_id AS partTypeId, supplier.id AS supplierId, supplier.name AS supplierName, offer.price_minor AS priceMinor, offer.pack,
              supplier.postage_minor AS postageMinor, supplier.lead_days AS leadDays
       FROM offer JOIN supplier ON supplier.id = offer.supplier_id
       WHERE offer.part_type_id IN (SELECT value FROM json_each(?)) AND supplier.retired_at IS NULL
       ORDER BY CAST(offer.price_minor AS REAL) / offer.pack, supplier.id`,
    )
    .all(JSON.stringify(partTypeIds)) as (Omit<Offer, "breaks"> & { partTypeId: string })[];
  const breaks = groupBy(
    db
      .prepare(
        `SELECT supplier_id || ' ' || part_type_id AS offer, from_packs AS fromPacks, price_minor AS priceMinor FROM offer_break
         WHERE part_type_id IN (SELECT value FROM json_each(?)) ORDER BY from_packs`,
      )
      .all(JSON.stringify(partTypeIds)) as { offer: string; fromPacks: number; priceMinor: number }[],
    ({ offer }) => offer,
  );
  const offers = new Map<string, Offer[]>();
  for (const { partTypeId, ...offer } of rows) {
    const more = (breaks.get(`${offer.supplierId} ${partTypeId}`) ?? []).map(({ fromPacks, priceMinor }) => ({ fromPacks, priceMinor }));
    offers.set(partTypeId, [...(offers.get(partTypeId) ?? []), { ...offer, breaks: more }]);
  }
  return offers;
}

/** Who sells one part. */
/** Which of some parts can be ordered: somebody sells them, and their number is in use. */
export const orderableOf = (db: Db, partTypeIds: readonly string[]): ReadonlySet<string> =>
  new Set(
    db
      .prepare(
        `SELECT part_type.id FROM part_type WHERE id IN (SELECT value FROM json_each(?)) AND retired_at IS NULL AND EXISTS
           (SELECT 1 FROM offer JOIN supplier ON supplier.id = offer.supplier_id WHERE offer.part_type_id = part_type.id AND supplier.retired_at IS NULL)`,
      )
      .pluck()
      .all(JSON.stringify(partTypeIds)) as string[],
  );

export const listOffers = (db: Db, partTypeId: string): Offer[] => offersOf(db, [partTypeId]).get(partTypeId) ?? [];

interface SupplierCard {
  readonly name: string;
  readonly postageMinor: number;
  readonly leadDays: number;
  readonly freePostFromMinor?: number | null;
  readonly smallestOrderMinor?: number;
  readonly email?: string;
}

function refuseTwin(db: Db, name: string, id: string): void {
  if (db.prepare("SELECT 1 FROM supplier WHERE name = ? COLLATE NOCASE AND id <> ?").get(name, id))
    throw new Refusal("name-taken", `${name} is already on record.`, "name");
}

/** Writes a supplier into the book. @returns its id, made from the name where none is given. @throws Refusal for a name that is there. */
export function addSupplier(ctx: Context, { id: given, ...card }: SupplierCard & { readonly id?: string }): string {
  const { db } = ctx;
  const id = given ?? idFor(card.name, db.prepare("SELECT id FROM supplier").pluck().all() as string[]);
  refuseTwin(db, card.name, id);
  db.prepare(
    "INSERT INTO supplier (id, name, postage_minor, lead_days, free_post_from_minor, smallest_order_minor, email) VALUES (?, ?, ?, ?, ?, ?, ?)",
  ).run(id, card.name, card.postageMinor, card.leadDays, card.freePostFromMinor ?? null, card.smallestOrderMinor ?? 0, card.email ?? "");
  writeJournal(ctx, "supplier-added", {}, { supplier: id });
  return id;
}

/** @throws Refusal when another window saved first. */
export function changeSupplier(ctx: Context, supplier: SupplierCard & { readonly id: string; readonly rowVersion: number }): void {
  refuseTwin(ctx.db, supplier.name, supplier.id);
  const { changes } = ctx.db
    .prepare(
      `UPDATE supplier SET name = ?, postage_minor = ?, lead_days = ?, free_post_from_minor = ?, smallest_order_minor = ?, email = ?,
              row_version = row_version + 1 WHERE id = ? AND row_version = ?`,
    )
    .run(
      supplier.name,
      supplier.postageMinor,
      supplier.leadDays,
      supplier.freePostFromMinor ?? null,
      supplier.smallestOrderMinor ?? 0,
      supplier.email ?? "",
      supplier.id,
      supplier.rowVersion,
    );
  if (!changes)
    throw new Refusal("changed-elsewhere", "This supplier was changed in another window. Reload to see it, then type your change again.");
  writeJournal(ctx, "supplier-changed", {}, { supplier: supplier.id });
}

/** No longer ordered from, or used again. What is on its way still comes in. */
export function retireSupplier(ctx: Context, id: string, retired: boolean): void {
  const { changes } = ctx.db
    .prepare("UPDATE supplier SET retired_at = ?, row_version = row_version + 1 WHERE id = ?")
    .run(retired ? ctx.now : null, id);
  if (!changes) throw new Refusal("no-supplier", "This supplier is not on record.");
  writeJournal(ctx, retired ? "supplier-retired" : "supplier-used-again", {}, { supplier: id });
}

/** What a parcel costs from a value of goods upwards, beside its usual postage; one from that value on, or none any more. */
export function setPostageTier(ctx: Context, supplierId: string, fromMinor: number, postageMinor: number | null): void {
  if (postageMinor === null)
    ctx.db.prepare("DELETE FROM supplier_postage WHERE supplier_id = ? AND from_minor = ?").run(supplierId, fromMinor);
  else
    ctx.db
      .prepare(
        "INSERT INTO supplier_postage (supplier_id, from_minor, postage_minor) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET postage_minor = excluded.postage_minor",
      )
      .run(supplierId, fromMinor, postageMinor);
  writeJournal(ctx, "supplier-changed", {}, { supplier: supplierId });
}

interface OfferCard {
  readonly supplierId: string;
  readonly partTypeId: string;
  /** Of a pack. */
  readonly priceMinor: number;
  readonly pack?: number;
  /** Lower prices when several packs are taken together. */
  readonly breaks?: readonly { readonly fromPacks: number; readonly priceMinor: number }[];
}

/** What a supplier asks for a part, new or changed; packs and breaks stay as they are where nothing is said of them. */
export function changeOffer(ctx: Context, offer: OfferCard, seen: string): void {
  setOffer(ctx, offer, seen);
  writeJournal(ctx, "offer-set", {}, { supplier: offer.supplierId, part: offer.partTypeId, priceMinor: offer.priceMinor });
}

/** What a supplier asks, as part of a list or a file that writes the journal itself. @throws Refusal as changeOffer does. */
export function setOffer(ctx: Context, offer: OfferCard, seen: string | null = null): void {
  const { db } = ctx;
  if (!db.prepare("SELECT 1 FROM supplier WHERE id = ?").get(offer.supplierId))
    throw new Refusal("no-supplier", "This supplier is not on record. Add it first.", "supplierId", { to: "suppliers" });
  const was = listOffers(db, offer.partTypeId).find(({ supplierId }) => supplierId === offer.supplierId) ?? null;
  refuseUnseen(seen, seenOffer(was), "This supplier's offer", "priceMinor");
  db.prepare(
    `INSERT INTO offer (supplier_id, part_type_id, price_minor, pack) VALUES (@supplier, @part, @price, coalesce(@pack, 1))
     ON CONFLICT DO UPDATE SET price_minor = excluded.price_minor, pack = coalesce(@pack, pack)`,
  ).run({ supplier: offer.supplierId, part: offer.partTypeId, price: offer.priceMinor, pack: offer.pack ?? null });
  if (!offer.breaks) return;
  db.prepare("DELETE FROM offer_break WHERE supplier_id = ? AND part_type_id = ?").run(offer.supplierId, offer.partTypeId);
  const add = db.prepare("INSERT INTO offer_break (supplier_id, part_type_id, from_packs, price_minor) VALUES (?, ?, ?, ?)");
  for (const { fromPacks, priceMinor } of offer.breaks) add.run(offer.supplierId, offer.partTypeId, fromPacks, priceMinor);
}

/** The supplier does not sell it any more. Orders already placed keep their lines. */
export function removeOffer(ctx: Context, supplierId: string, partTypeId: string): void {
  takeOutOffer(ctx.db, supplierId, partTypeId);
  writeJournal(ctx, "offer-removed", {}, { supplier: supplierId, part: partTypeId });
}

/** The offer's row alone, for a file that is taken back. */
export const takeOutOffer = (db: Db, supplierId: string, partTypeId: string): void => {
  db.prepare("DELETE FROM offer WHERE supplier_id = ? AND part_type_id = ?").run(supplierId, partTypeId);
};

/** A supplier from whom nothing was ordered yet. @throws the database's own fault where something was. */
export const takeOutSupplier = (db: Db, id: string): void => {
  db.prepare("DELETE FROM supplier WHERE id = ?").run(id);
};
