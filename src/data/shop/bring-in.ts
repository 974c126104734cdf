import { type BringInKind, type BringInRow, bringInKinds, dayOf, type RowFault } from "@/core/bring-in/kinds";
import { partOfWords } from "@/core/bring-in/part-of-words";
import { parseMinor } from "@/core/money/money";
import { addPartType, freePartId, setPartPrice, takeOutPart } from "@/data/catalogue/part-types";
import { removeCustomer, writeCustomer } from "@/data/customers/customers";
import { findReelBySerial, isWholeSerial, normaliseSerial, removeReel, writeReel } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { forgetCounts, setBin, takeOutBin } from "@/data/parts/stock";
import { addSupplier, setOffer, takeOutOffer, takeOutSupplier } from "@/data/parts/suppliers";

/** A row that was made, to be taken away again; with what stood there before. */
interface Made {
  readonly made: "customer" | "reel" | "past-visit" | "supplier" | "part" | "price" | "offer" | "bin";
  readonly ref: unknown;
  readonly before?: unknown;
}
type Row = (row: BringInRow, line: number) => Made[] | RowFault;

/** A row with the line of the file it stands on. */
export interface NumberedRow {
  readonly row: BringInRow;
  readonly line: number;
}

const amount = (cell: string | undefined): number | null => (cell ? parseMinor(cell.replace(/\s|(?<=\d)['’](?=\d)/g, "")) : null);
const ids = (db: Db, sql: string): Map<string, string> =>
  new Map((db.prepare(sql).raw().all() as [string | number, string][]).map(([id, name]) => [name.toLowerCase(), String(id)]));

/** How each kind's rows are written, one after the other: a later row may lean on an earlier one. */
function writerOf(ctx: Context, kind: BringInKind): Row {
  const { db } = ctx;
  const fault = (line: number, field: string, message: string): RowFault => ({ row: line, field, message });
  switch (kind) {
    case "customers": {
      const known = ids(db, "SELECT id, name || '|' || phone FROM customer WHERE retired_at IS NULL");
      return ({ name, phone = "", email = "", address = "", town = "", note = "" }, line) => {
        const key = `${name}|${phone}`.toLowerCase();
        if (known.has(key)) return fault(line, "name", `${name} is already on record.`);
        const id = writeCustomer(ctx, {
          name: name!,
          phone,
          email,
          address: [address, town].filter(Boolean).join(", ").slice(0, 200),
          note,
        });
        known.set(key, String(id));
        return [{ made: "customer", ref: id }];
      };
    }
    case "reels": {
      const owners = ids(db, "SELECT id, name FROM customer WHERE retired_at IS NULL");
      const whole = ids(db, "SELECT id, maker || ' ' || name FROM model");
      const short = ids(db, "SELECT id, name FROM model");
      const seen = new Map<string, number>();
      return ({ owner, maker = "", model, serial: typed = "", hand = "", visitOn = "", visitWords = "", visitPaid = "" }, line) => {
        const ownerId = owners.get(owner!.toLowerCase());
        if (!ownerId) return fault(line, "owner", `${owner} is not among the customers: bring the customers in first.`);
        const modelId = whole.get(`${maker} ${model}`.trim().toLowerCase()) ?? (maker ? undefined : short.get(model!.toLowerCase()));
        if (!modelId) return fault(line, "model", `${`${maker} ${model}`.trim()} is not in the library: make the model first.`);
        const serial = normaliseSerial(typed);
        const visit = visitOn || visitWords || visitPaid;
        const key = `${modelId} ${serial}`;
        // One reel on several rows has had several visits; the first of them brings it in.
        let id = serial ? seen.get(key) : undefined;
        const made: Made[] = [];
        if (id === undefined) {
          if (isWholeSerial(serial) && findReelBySerial(db, serial, modelId))
            return fault(line, "serial", `${serial} is already on record.`);
          id = writeReel(ctx, { modelId, serial, hand: /^l/i.test(hand) ? "left" : "right", ownerId: Number(ownerId) });
          if (serial) seen.set(key, id);
          made.push({ made: "reel", ref: id });
        } else if (!visit) return fault(line, "serial", `${serial} is on two rows of this file.`);
        if (visit)
          made.push({
            made: "past-visit",
            ref: Number(
              db
                .prepare("INSERT INTO past_visit (reel_id, on_day, words, paid_minor) VALUES (?, ?, ?, ?)")
                .run(id, dayOf(visitOn), visitWords, amount(visitPaid)).lastInsertRowid,
            ),
          });
        return made;
      };
    }
    case "suppliers":
      return ({ name, postage, leadDays }, line) => {
        try {
          return [
            {
              made: "supplier",
              ref: addSupplier(ctx, { name: name!, postageMinor: amount(postage) ?? 0, leadDays: Number(leadDays || 5) }),
            },
          ];
        } catch (error) {
          if (error instanceof Refusal) return fault(line, "name", error.message);
          throw error;
        }
      };
    case "prices": {
      const suppliers = ids(db, "SELECT id, name FROM supplier WHERE retired_at IS NULL");
      const parts = ids(db, "SELECT id, number FROM part_type");
      return ({ supplier, number, price }, line) => {
        const supplierId = suppliers.get(supplier!.toLowerCase());
        if (!supplierId) return fault(line, "supplier", `${supplier} is not among the suppliers: bring the suppliers in first.`);
        const partTypeId = parts.get(number!.toLowerCase());
        if (!partTypeId) return fault(line, "number", `${number} is not in the parts catalogue.`);
        const before = db
          .prepare("SELECT price_minor FROM offer WHERE supplier_id = ? AND part_type_id = ?")
          .pluck()
          .get(supplierId, partTypeId);
        setOffer(ctx, { supplierId, partTypeId, priceMinor: amount(price)! });
        return [{ made: "offer", ref: [supplierId, partTypeId], before: before ?? null }];
      };
    }
    case "parts": {
      const suppliers = ids(db, "SELECT id, name FROM supplier WHERE retired_at IS NULL");
      const parts = ids(db, "SELECT id, number FROM part_type");
      const seen = new Map<string, number>();
      return ({ number, name, price, count, bin, minimum, supplier, supplierPrice, material }, line) => {
        const before = seen.get(number!.toLowerCase());
        if (before !== undefined) return fault(line, "number", `${number} is already on line ${before}.`);
        seen.set(number!.toLowerCase(), line);
        const supplierId = supplier ? suppliers.get(supplier.toLowerCase()) : undefined;
        if (supplier && !supplierId)
          return fault(line, "supplier", `${supplier} is not among the suppliers: add it at Stores, or choose no column for it.`);
        if (count && !bin) return fault(line, "bin", `${count} pieces, but no bin for them.`);
        const made: Made[] = [];
        const listed = parts.get(number!.toLowerCase());
        const id = listed ?? freePartId(db, number!);
        if (listed === undefined) {
          const { kind: what, shape } = partOfWords(name!);
          addPartType(ctx, {
            id,
            number: number!,
            name: name!,
            role: what,
            shape,
            material: material || "not said",
            priceMinor: amount(price) ?? 0,
          });
          made.push({ made: "part", ref: id });
        } else if (price) {
          // What is known keeps its name and what it is; its price is the list's.
          const was = db.prepare("SELECT price_minor FROM part_type WHERE id = ?").pluck().get(id) as number;
          setPartPrice(ctx, id, amount(price)!);
          made.push({ made: "price", ref: id, before: was });
        }
        if (supplierId) {
          const was = db.prepare("SELECT price_minor FROM offer WHERE supplier_id = ? AND part_type_id = ?").pluck().get(supplierId, id);
          setOffer(ctx, { supplierId, partTypeId: id, priceMinor: amount(supplierPrice) ?? amount(price) ?? 0 });
          made.push({ made: "offer", ref: [supplierId, id], before: was ?? null });
        }
        if (bin) {
          const was = db.prepare("SELECT bin, count, minimum FROM stock WHERE part_type_id = ?").get(id) as
            | { count: number; minimum: number }
            | undefined;
          const pieces = count ? Number(count) : (was?.count ?? 0);
          setBin(ctx, id, bin, pieces, minimum ? Number(minimum) : (was?.minimum ?? 0));
          made.push({ made: "bin", ref: [id, pieces], before: was ?? null });
        }
        return made;
      };
    }
    case "stock": {
      const parts = ids(db, "SELECT id, number FROM part_type");
      const seen = new Set<string>();
      return ({ number, bin, count, minimum }, line) => {
        const partTypeId = parts.get(number!.toLowerCase());
        if (!partTypeId) return fault(line, "number", `${number} is not in the parts catalogue.`);
        if (seen.has(partTypeId)) return fault(line, "number", `${number} is on two rows of this file.`);
        seen.add(partTypeId);
        const before = db.prepare("SELECT bin, count, minimum FROM stock WHERE part_type_id = ?").get(partTypeId) as
          | { minimum: number }
          | undefined;
        setBin(ctx, partTypeId, bin!, Number(count), minimum ? Number(minimum) : (before?.minimum ?? 0));
        return [{ made: "bin", ref: [partTypeId, Number(count)], before: before ?? null }];
      };
    }
  }
}

/** Told of what is wrong with a file's rows; whatever was written until then is gone with it. */
export class NotBroughtIn extends Error {
  constructor(readonly faults: readonly RowFault[]) {
    super("Nothing was imported.");
  }
}

/**
 * Brings a file's rows in, all of them or none. @param rows checked by themselves already. @throws NotBroughtIn with every row that does not go with
 * what the book holds; runs in a transaction, which that ends.
 */
export function bringIn(ctx: Context, kind: BringInKind, file: string, rows: readonly NumberedRow[]): { id: number } {
  const { db } = ctx;
  if (!rows.length) throw new Refusal("empty", "There is no row to import.");
  const id = Number(
    db
      .prepare("INSERT INTO brought_in (kind, file, rows, at, person_id) VALUES (?, ?, ?, ?, ?)")
      .run(kind, file.slice(0, 200), rows.length, ctx.now, ctx.person.id).lastInsertRowid,
  );
  const write = writerOf(ctx, kind);
  const keep = db.prepare("INSERT INTO brought_in_row (brought_in_id, row, made, ref, before) VALUES (?, ?, ?, ?, ?)");
  const faults: RowFault[] = [];
  for (const { row, line } of rows) {
    const done = write(row, line);
    if (!Array.isArray(done)) faults.push(done);
    else
      for (const { made, ref, before } of done)
        keep.run(id, line, made, JSON.stringify(ref), before === undefined || before === null ? null : JSON.stringify(before));
  }
  if (faults.length) throw new NotBroughtIn(faults);
  writeJournal(ctx, "brought-in", {}, { id, kind, rows: rows.length });
  return { id };
}

/** What would be wrong with a file's rows beside what the book holds; nothing is written. */
export function tryBringIn(ctx: Context, kind: BringInKind, rows: readonly NumberedRow[]): readonly RowFault[] {
  const { db } = ctx;
  const back = new Error("only tried");
  try {
    db.transaction(() => {
      bringIn(ctx, kind, "", rows);
      throw back;
    })();
  } catch (error) {
    if (error instanceof NotBroughtIn) return error.faults;
    if (error !== back) throw error;
  }
  return [];
}

export interface BroughtIn {
  readonly id: number;
  readonly kind: BringInKind;
  readonly file: string;
  readonly rows: number;
  readonly at: string;
  readonly undoneAt: string | null;
}

export const listBroughtIn = (db: Db): BroughtIn[] =>
  db.prepare("SELECT id, kind, file, rows, at, undone_at AS undoneAt FROM brought_in ORDER BY id DESC LIMIT 50").all() as BroughtIn[];

/** Takes a whole file back, the last row first. @throws Refusal where something of it is already in use: then all of it stays. */
export function undoBringIn(ctx: Context, id: number): void {
  const { db } = ctx;
  const batch = db.prepare("SELECT kind, undone_at AS undoneAt FROM brought_in WHERE id = ?").get(id) as
    | { kind: BringInKind; undoneAt: string | null }
    | undefined;
  if (!batch || batch.undoneAt) throw new Refusal("undone", "This import was already undone. Reload the page.");
  const rows = db
    .prepare(
      "SELECT row, made, ref, before FROM brought_in_row WHERE brought_in_id = ? ORDER BY row DESC, CASE made WHEN 'part' THEN 1 ELSE 0 END, made",
    )
    .all(id) as {
    row: number;
    made: Made["made"];
    ref: string;
    before: string | null;
  }[];
  for (const { row, made, ref, before } of rows) {
    try {
      takeBack(ctx, made, JSON.parse(ref), before === null ? null : JSON.parse(before));
    } catch (error) {
      if (error instanceof Refusal) throw error;
      if (String((error as { code?: string }).code).startsWith("SQLITE_CONSTRAINT"))
        throw new Refusal(
          "in-use",
          `Row ${row} is already in use (${bringInKinds[batch.kind].name.toLowerCase()}): nothing was undone. Change or retire entries one by one instead.`,
        );
      throw error;
    }
  }
  db.prepare("UPDATE brought_in SET undone_at = ? WHERE id = ?").run(ctx.now, id);
  writeJournal(ctx, "brought-in-undone", {}, { id, kind: batch.kind });
}

function takeBack(ctx: Context, made: Made["made"], ref: unknown, before: unknown): void {
  const { db } = ctx;
  switch (made) {
    case "customer":
    case "reel":
      (made === "customer" ? removeCustomer : removeReel)(db, ref as number);
      return;
    case "past-visit":
      db.prepare("DELETE FROM past_visit WHERE id = ?").run(ref);
      return;
    case "supplier":
      takeOutSupplier(db, ref as string);
      return;
    case "part":
      forgetCounts(db, ref as string);
      takeOutPart(db, ref as string);
      return;
    case "price":
      setPartPrice(ctx, ref as string, before as number);
      return;
    case "offer": {
      const [supplierId, partTypeId] = ref as [string, string];
      if (before === null) takeOutOffer(db, supplierId, partTypeId);
      else setOffer(ctx, { supplierId, partTypeId, priceMinor: before as number });
      return;
    }
    case "bin": {
      const [partTypeId, count] = ref as [string, number];
      const now = db.prepare("SELECT count FROM stock WHERE part_type_id = ?").pluck().get(partTypeId);
      if (now !== count)
        throw new Refusal(
          "in-use",
          "One of its bins has been counted or used since, so nothing was undone. Count it at Stores instead.",
          null,
          { to: "bins", partTypeId },
        );
      if (before === null) {
        setBin(ctx, partTypeId, "none", 0, 0);
        takeOutBin(db, partTypeId);
      } else {
        const { bin, count: counted, minimum } = before as { bin: string; count: number; minimum: number };
        setBin(ctx, partTypeId, bin, counted, minimum);
      }
    }
  }
}

export interface PastVisit {
  readonly id: number;
  readonly on: string | null;
  readonly words: string;
  readonly paidMinor: number | null;
}

/** Visits from before this book, the newest first. */
export const listPastVisits = (db: Db, reelId: number): PastVisit[] =>
  db
    .prepare("SELECT id, on_day AS 'on', words, paid_minor AS paidMinor FROM past_visit WHERE reel_id = ? ORDER BY on_day DESC, id DESC")
    .all(reelId) as PastVisit[];
