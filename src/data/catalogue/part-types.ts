import { partIdOf } from "@/core/anatomy/identifier";
import { type PartType, partTypeSchema } from "@/core/anatomy/types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { forgetInFind, indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { rootOf } from "@/data/database/read-once";

interface PartTypeRow {
  id: string;
  number: string;
  name: string;
  role: string;
  shape: string;
  material: string;
  price_minor: number;
  thread: "right" | "left" | null;
  superseded_by: string | null;
  hazard: string | null;
  flies: 0 | 1 | null;
}

const partTypeColumns =
  "part_type.id, part_type.number, part_type.name, part_type.role, part_type.shape, part_type.material, part_type.price_minor, part_type.thread, part_type.superseded_by, part_type.hazard, part_type.flies";

const toPartType = (row: PartTypeRow): PartType =>
  partTypeSchema.parse({
    id: row.id,
    number: row.number,
    name: row.name,
    role: row.role,
    shape: JSON.parse(row.shape),
    material: row.material,
    priceMinor: row.price_minor,
    thread: row.thread ?? undefined,
    supersededBy: row.superseded_by ?? undefined,
    hazard: row.hazard ?? undefined,
    flies: row.flies === null ? undefined : row.flies === 1,
  });

/** Parts of somebody's own choosing come into the catalogue. @throws Refusal as addPartType does; then none of them came in. */
export function enterParts(ctx: Context, parts: readonly PartType[]): void {
  for (const part of parts) addPartType(ctx, part);
  writeJournal(ctx, "parts-added", {}, { parts: parts.length, ...(parts.length === 1 ? { part: parts[0]!.id } : {}) });
}

/** One part more; what brings it in writes the journal. @throws Refusal when its number or id is in the catalogue already. */
export function addPartType(ctx: Context, part: PartType): void {
  if (isPartKnown(ctx.db, part))
    throw new Refusal(
      "number-taken",
      `${part.number} is in the catalogue already. Choose that part, or give this one another number.`,
      "number",
    );
  ctx.db
    .prepare(
      `INSERT INTO part_type (id, number, name, role, shape, material, price_minor, thread, superseded_by, hazard, flies)
       VALUES (@id, @number, @name, @role, @shape, @material, @priceMinor, @thread, @supersededBy, @hazard, @flies)`,
    )
    .run({
      ...part,
      shape: JSON.stringify(part.shape),
      thread: part.thread ?? null,
      supersededBy: part.supersededBy ?? null,
      hazard: part.hazard ?? null,
      flies: part.flies === undefined ? null : Number(part.flies),
    });
  indexPart(ctx.db, part);
}

/** An id for a part of this number that no other part has. */
export function freePartId(db: Db, number: string): string {
  const plain = partIdOf(number).slice(0, 54) || "part";
  const isTaken = db.prepare("SELECT 1 FROM part_type WHERE id = ?").pluck();
  for (let n = 1; ; n++) {
    const id = n === 1 ? plain : `${plain}-${n}`;
    if (isTaken.get(id) === undefined) return id;
  }
}

/** What a part costs from now on; jobs that are open keep the price they were opened with. */
export function setPartPrice(ctx: Context, id: string, priceMinor: number): void {
  ctx.db.prepare("UPDATE part_type SET price_minor = ?, row_version = row_version + 1 WHERE id = ?").run(priceMinor, id);
}

/** Takes a part out of the catalogue again that was only just brought in. Fails by the database's own rule where anything uses it. */
export function takeOutPart(db: Db, id: string): void {
  db.prepare("DELETE FROM part_type WHERE id = ?").run(id);
  forgetInFind(db, { kind: "part", ref: id });
}

/** A piece without a catalogue number: its reel knows it, no list offers it. @returns its id. */
export function addUnlistedPiece(ctx: Context, piece: Omit<PartType, "id" | "number">): string {
  const { next } = ctx.db.prepare("SELECT count(*) + 1 AS next FROM part_type WHERE unlisted = 1").get() as { next: number };
  const id = `piece-${next}`;
  ctx.db
    .prepare(
      `INSERT INTO part_type (id, number, name, role, shape, material, price_minor, thread, hazard, flies, unlisted)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 1)`,
    )
    .run(
      id,
      `no number ${next}`,
      piece.name,
      piece.role,
      JSON.stringify(piece.shape),
      piece.material,
      piece.priceMinor,
      piece.thread ?? null,
      piece.hazard ?? null,
      piece.flies === undefined ? null : Number(piece.flies),
    );
  return id;
}

const indexPart = (db: Db, part: PartType): void =>
  indexForFind(db, {
    kind: "part",
    ref: part.id,
    title: `${part.number} ${part.name}`,
    words: `${part.number} ${part.name} ${part.role} ${part.material}`,
  });

/** The catalogue's own facts of an entry, beside what it is. */
export interface PartCard {
  readonly part: PartType;
  readonly retired: boolean;
  /** A piece without a number: no list offers it. */
  readonly unlisted: boolean;
  readonly rowVersion: number;
}

export function findPartCard(db: Db, id: string): PartCard | null {
  const row = db.prepare(`SELECT ${partTypeColumns}, retired_at, unlisted, row_version FROM part_type WHERE id = ?`).get(id) as
    | (PartTypeRow & { retired_at: string | null; unlisted: 0 | 1; row_version: number })
    | undefined;
  return row
    ? { part: toPartType(row), retired: row.retired_at !== null, unlisted: row.unlisted === 1, rowVersion: row.row_version }
    : null;
}

/** What of a catalogue entry may change without its being another part. Its sizes are changed at a schematic, where they make a new entry. */
export interface PartFacts {
  readonly name?: string;
  readonly priceMinor: number;
  readonly supersededBy: string | null;
  readonly hazard: string | null;
}

/** @throws Refusal when it is sold as itself, when the new number is not in the catalogue, or when another window saved first. */
export function setPartFacts(ctx: Context, id: string, facts: PartFacts, rowVersion?: number): void {
  const card = findPartCard(ctx.db, id);
  if (!card) throw new Refusal("no-part", "This part is no longer in the catalogue.");
  const name = facts.name ?? card.part.name;
  if (facts.supersededBy?.toUpperCase() === card.part.number.toUpperCase())
    throw new Refusal("itself", "A part cannot be superseded by itself.", "supersededBy");
  if (facts.supersededBy && !findPartByNumber(ctx.db, facts.supersededBy))
    throw new Refusal("no-part", `No part in the catalogue has the number ${facts.supersededBy}. Add it first.`, "supersededBy", {
      to: "new-part",
      number: facts.supersededBy,
    });
  const { changes } = ctx.db
    .prepare(
      `UPDATE part_type SET name = @name, price_minor = @priceMinor, superseded_by = @supersededBy, hazard = @hazard, row_version = row_version + 1
       WHERE id = @id AND row_version = @rowVersion`,
    )
    .run({ ...facts, id, name, rowVersion: rowVersion ?? card.rowVersion });
  if (!changes)
    throw new Refusal("changed-elsewhere", "This part was changed in another window. Reload to see it, then type your change again.");
  indexPart(ctx.db, { ...card.part, name });
  writeJournal(ctx, "part-facts-changed", {}, { part: id, ...facts });
}

/** Puts a piece without a number into the catalogue: from now on it is ordered, stocked and offered like another. @throws Refusal when the number is taken. */
export function listPiece(ctx: Context, id: string, number: string): void {
  const card = findPartCard(ctx.db, id);
  if (!card) throw new Refusal("no-part", "This part is no longer in the catalogue.");
  if (!card.unlisted) throw new Refusal("listed", "This part is in the catalogue already.");
  if (findPartByNumber(ctx.db, number)) throw new Refusal("taken", `The catalogue has another part of the number ${number}.`, "number");
  ctx.db.prepare("UPDATE part_type SET number = ?, unlisted = 0, row_version = row_version + 1 WHERE id = ?").run(number, id);
  indexPart(ctx.db, { ...card.part, number });
  writeJournal(ctx, "piece-listed", {}, { part: id });
}

/** No longer ordered nor offered, or used again. Reels and reports that have it keep it. */
export function retirePart(ctx: Context, id: string, retired: boolean): void {
  const { changes } = ctx.db
    .prepare("UPDATE part_type SET retired_at = ?, row_version = row_version + 1 WHERE id = ?")
    .run(retired ? ctx.now : null, id);
  if (!changes) throw new Refusal("no-part", "This part is no longer in the catalogue.");
  writeJournal(ctx, retired ? "part-retired" : "part-used-again", {}, { part: id });
}

/** Read entries by id and row version: what an entry was at a version never changes, so each is read and checked once per process. */
const readEntries = new WeakMap<Db, Map<string, { readonly rowVersion: number; readonly part: PartType }>>();

/** Catalogue entries by id; unknown ids are left out. One statement, and another for those that were never read or have changed. */
export function findPartTypes(db: Db, ids: Iterable<string>): ReadonlyMap<string, PartType> {
  const root = rootOf(db);
  const read = readEntries.get(root) ?? readEntries.set(root, new Map()).get(root)!;
  const wanted = JSON.stringify([...new Set(ids)]);
  const versions = db
    .prepare("SELECT id, row_version AS rowVersion FROM part_type WHERE id IN (SELECT value FROM json_each(?))")
    .all(wanted) as { id: string; rowVersion: number }[];
  const stale = versions.filter(({ id, rowVersion }) => read.get(id)?.rowVersion !== rowVersion).map(({ id }) => id);
  if (stale.length)
    for (const row of db
      .prepare(`SELECT ${partTypeColumns}, part_type.row_version AS rowVersion FROM part_type WHERE id IN (SELECT value FROM json_each(?))`)
      .all(JSON.stringify(stale)) as (PartTypeRow & { rowVersion: number })[])
      read.set(row.id, { rowVersion: row.rowVersion, part: toPartType(row) });
  return new Map(versions.map(({ id }) => [id, read.get(id)!.part]));
}

export function findPartType(db: Db, id: string): PartType | null {
  const row = db.prepare(`SELECT ${partTypeColumns} FROM part_type WHERE id = ?`).get(id) as PartTypeRow | undefined;
  return row ? toPartType(row) : null;
}

export function findPartByNumber(db: Db, number: string): PartType | null {
  const row = db.prepare(`SELECT ${partTypeColumns} FROM part_type WHERE number = ? COLLATE NOCASE`).get(number.trim()) as
    | PartTypeRow
    | undefined;
  return row ? toPartType(row) : null;
}

/** The catalogue in use; a shop's has some thousands of entries at most. */
export const listPartTypes = (db: Db): PartType[] =>
  (
    db.prepare(`SELECT ${partTypeColumns} FROM part_type WHERE retired_at IS NULL AND unlisted = 0 ORDER BY number`).all() as PartTypeRow[]
  ).map(toPartType);

/** Whether the catalogue has this id or this number already. */
export const isPartKnown = (db: Db, part: Pick<PartType, "id" | "number">): boolean =>
  db.prepare("SELECT 1 FROM part_type WHERE id = ? OR number = ?").get(part.id, part.number) !== undefined;

/** Says whether its maker still makes a part. */
export function setNoLongerMade(ctx: Context, partTypeId: string, noLonger: boolean): void {
  const { changes } = ctx.db
    .prepare("UPDATE part_type SET no_longer_made = ?, row_version = row_version + 1 WHERE id = ?")
    .run(noLonger ? 1 : 0, partTypeId);
  if (!changes) throw new Refusal("no-part", "This part is not in the catalogue.");
  writeJournal(ctx, noLonger ? "no-longer-made" : "made-again", {}, { part: partTypeId });
}
