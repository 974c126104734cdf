import { isGuess } from "@/core/intake/taken-for";
import type { Hand } from "@/core/vocabulary/counter-lists";
import { findModel } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { forgetInFind, indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";

export interface Reel {
  readonly id: number;
  readonly modelId: string;
  readonly modelName: string;
  readonly serial: string;
  readonly hand: Hand;
  readonly ownerId: number;
  readonly ownerName: string;
  readonly visits: number;
}

const select = `
  SELECT reel.id, reel.model_id AS modelId, model.maker || ' ' || model.name AS modelName, reel.serial, reel.hand,
         reel.owner_id AS ownerId, customer.name AS ownerName, (SELECT count(*) FROM job WHERE job.reel_id = reel.id) AS visits
  FROM reel JOIN model ON model.id = reel.model_id JOIN customer ON customer.id = reel.owner_id`;

/** Reels, the newest in the book first, so many of them after so many; of one customer or of all. */
export const listReels = (db: Db, { ownerId, limit, offset = 0 }: { ownerId?: number; limit: number; offset?: number }): Reel[] =>
  db
    .prepare(
      ownerId === undefined
        ? `${select} ORDER BY reel.id DESC LIMIT @limit OFFSET @offset`
        : `${select} WHERE reel.owner_id = @ownerId ORDER BY reel.id DESC LIMIT @limit OFFSET @offset`,
    )
    .all({ limit, offset, ...(ownerId === undefined ? {} : { ownerId }) }) as Reel[];

/** Some reels by their ids, in that order. */
export function listReelsByIds(db: Db, ids: readonly number[]): Reel[] {
  const rows = db.prepare(`${select} WHERE reel.id IN (SELECT value FROM json_each(?))`).all(JSON.stringify(ids)) as Reel[];
  return rows.sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
}

export const countReels = (db: Db, ownerId?: number): number =>
  (ownerId === undefined
    ? db.prepare("SELECT count(*) FROM reel").pluck().get()
    : db.prepare("SELECT count(*) FROM reel WHERE owner_id = ?").pluck().get(ownerId)) as number;

export const findReel = (db: Db, id: number): Reel | null =>
  (db.prepare(`${select} WHERE reel.id = ?`).get(id) as Reel | undefined) ?? null;

/** Serials are compared without regard to case, spaces and dashes: they are read off worn metal. */
export const normaliseSerial = (serial: string): string => serial.toUpperCase().replace(/[\s-]+/g, "");

export const findReelBySerial = (db: Db, serial: string, modelId?: string): Reel | null => {
  const key = normaliseSerial(serial);
  if (!key) return null;
  return (
    (db
      .prepare(`${select} WHERE reel.serial = @serial AND (@model IS NULL OR reel.model_id = @model)`)
      .get({ serial: key, model: modelId ?? null }) as Reel | undefined) ?? null
  );
};

/** Whether every sign of a serial could be read: a question mark stands for one that could not. */
export const isWholeSerial = (serial: string): boolean => serial.trim() !== "" && !serial.includes("?");

/** Reels a serial with unreadable signs may be, those that were here last first. */
export const findReelsAlike = (db: Db, serial: string, limit = 6): Reel[] => {
  const pattern = normaliseSerial(serial)
    .replace(/[%_\\]/g, "")
    .replaceAll("?", "_");
  if (!/[^_]/.test(pattern)) return [];
  return db
    .prepare(`${select} WHERE reel.serial LIKE ? AND instr(reel.serial, '?') = 0 ORDER BY reel.id DESC LIMIT ?`)
    .all(pattern, limit) as Reel[];
};

/** A customer's reels on which we have worked, the last one first: what can have come back without a serial. */
export const listWorkedReelsOf = (db: Db, customerId: number): Reel[] =>
  db
    .prepare(
      `${select} WHERE reel.owner_id = ? AND EXISTS (SELECT 1 FROM job WHERE job.reel_id = reel.id AND job.closed_at IS NOT NULL
         AND job.declined_reason IS NULL AND job.kind <> 'purchase-check')
       ORDER BY (SELECT max(closed_at) FROM job WHERE job.reel_id = reel.id) DESC LIMIT 20`,
    )
    .all(customerId) as Reel[];

/** What a reel is taken for: its maker, its year, where it comes from. A question mark at the end says that it is a guess. */
export interface TakenFor {
  readonly madeBy: string;
  readonly madeWhen: string;
  readonly madeWhere: string;
}

export const takenFor = (db: Db, reelId: number): TakenFor =>
  db.prepare("SELECT made_by AS madeBy, made_when AS madeWhen, made_where AS madeWhere FROM reel WHERE id = ?").get(reelId) as TakenFor;

/** Keeps what a reel is taken for; what was left empty stays as it was. */
export function setTakenFor(ctx: Context, reelId: number, of: TakenFor): void {
  const known = takenFor(ctx.db, reelId);
  const next = { madeBy: of.madeBy || known.madeBy, madeWhen: of.madeWhen || known.madeWhen, madeWhere: of.madeWhere || known.madeWhere };
  if (next.madeBy === known.madeBy && next.madeWhen === known.madeWhen && next.madeWhere === known.madeWhere) return;
  ctx.db
    .prepare("UPDATE reel SET made_by = ?, made_when = ?, made_where = ?, row_version = row_version + 1 WHERE id = ?")
    .run(next.madeBy, next.madeWhen, next.madeWhere, reelId);
  writeJournal(ctx, "reel-taken-for", { reelId }, next);
  indexReel(ctx.db, reelId);
}

/** A known reel in other hands: its history stays with it. */
function changeOwner(ctx: Context, reel: Pick<Reel, "id" | "ownerId">, ownerId: number): void {
  if (reel.ownerId === ownerId) return;
  ctx.db.prepare("UPDATE reel SET owner_id = ?, row_version = row_version + 1 WHERE id = ?").run(ownerId, reel.id);
  writeJournal(ctx, "reel-changed-owner", { reelId: reel.id, customerId: ownerId });
  indexReel(ctx.db, reel.id);
}

/** The reel of an open job is another's than was written. */
export const handOver = (ctx: Context, reelId: number, ownerId: number): void => {
  const reel = findReel(ctx.db, reelId);
  if (reel) changeOwner(ctx, reel, ownerId);
};

/** The reel was read or taken for wrongly. @param reel its serial normalised. */
export function writeSerial(ctx: Context, reelId: number, reel: { modelId: string; serial: string; hand: Hand }): void {
  ctx.db
    .prepare("UPDATE reel SET model_id = ?, serial = ?, hand = ?, row_version = row_version + 1 WHERE id = ?")
    .run(reel.modelId, reel.serial, reel.hand, reelId);
  writeJournal(ctx, "reel-read-anew", { reelId }, { serial: reel.serial });
  indexReel(ctx.db, reelId);
}

/** A reel that was sold or given away, without its coming to the counter. @throws Refusal while it is in the shop: the job has its owner. */
export function giveToOwner(ctx: Context, reelId: number, ownerId: number): void {
  const reel = findReel(ctx.db, reelId);
  const owner = ctx.db.prepare("SELECT id FROM customer WHERE id = ? AND retired_at IS NULL").get(ownerId);
  if (!reel) throw new Refusal("no-reel", "This reel is no longer on record.");
  if (!owner) throw new Refusal("no-customer", "Choose who has it now from the list.", "ownerId");
  const here = ctx.db.prepare("SELECT tag FROM job WHERE reel_id = ? AND closed_at IS NULL").pluck().get(reelId) as string | undefined;
  if (here)
    throw new Refusal("in-the-shop", `It is in the shop as ${here}, for ${reel.ownerName}. Return it first.`, "ownerId", {
      to: "station",
      tag: here,
      station: "return",
    });
  changeOwner(ctx, reel, ownerId);
}

/** A reel picked out of the book. @throws Refusal when it is not there, or of another model than was said. */
export function pickedReel(ctx: Context, reelId: number, of: { readonly modelId: string; readonly ownerId: number }): number {
  const reel = findReel(ctx.db, reelId);
  if (!reel) throw new Refusal("no-reel", "This reel is no longer on record. Choose again.", "reelId");
  if (reel.modelId !== of.modelId)
    throw new Refusal("other-model", `The reel chosen is a ${reel.modelName}. Choose that model, or another reel.`, "reelId");
  changeOwner(ctx, reel, of.ownerId);
  return reel.id;
}

/** Adds a reel, or gives back the known one of that serial; a known reel with another owner changes hands, its history stays with it. */
export function ensureReel(ctx: Context, reel: { modelId: string; serial: string; hand: Hand; ownerId: number }): number {
  const serial = normaliseSerial(reel.serial);
  // Two reels may both read "MS3?61": such a serial finds nothing by itself.
  const known = isWholeSerial(serial) ? findReelBySerial(ctx.db, serial, reel.modelId) : null;
  if (known) {
    changeOwner(ctx, known, reel.ownerId);
    return known.id;
  }
  const model = findModel(ctx.db, reel.modelId);
  if (!model) throw new Refusal("no-model", "This model is not in the library. Choose one from the list.", "modelId", { to: "new-model" });
  const id = writeReel(ctx, { ...reel, serial });
  writeJournal(ctx, "reel-added", { reelId: id, customerId: reel.ownerId });
  return id;
}

/** A reel nobody has in the book, without an entry of its own. @param reel its serial normalised. */
export function writeReel(ctx: Context, reel: { modelId: string; serial: string; hand: Hand; ownerId: number }): number {
  const id = Number(
    ctx.db
      .prepare("INSERT INTO reel (model_id, serial, hand, owner_id) VALUES (?, ?, ?, ?)")
      .run(reel.modelId, reel.serial, reel.hand, reel.ownerId).lastInsertRowid,
  );
  indexReel(ctx.db, id);
  return id;
}

/** Renews what Find knows of a reel. */
export function indexReel(db: Db, id: number): void {
  const reel = findReel(db, id);
  if (!reel) return;
  const title = `${reel.modelName} ${reel.serial || "no serial"}`;
  const { madeBy, madeWhen, madeWhere } = takenFor(db, id);
  const guessed = [madeBy, madeWhen, madeWhere].some(isGuess) ? "guess" : "";
  const words = [title, reel.ownerName, madeBy, madeWhen, madeWhere, guessed].filter(Boolean).join(" ");
  indexForFind(db, { kind: "reel", ref: String(id), title, words });
}

/** @param editionId null for what the serial tells. */
export const giveReelEdition = (db: Db, reelId: number, editionId: string | null): void => {
  db.prepare("UPDATE reel SET edition_id = ?, row_version = row_version + 1 WHERE id = ?").run(editionId, reelId);
};

/** The reel gave its parts and takes no job any more. */
export const markScrapped = ({ db, now }: Context, reelId: number): void => {
  db.prepare("UPDATE reel SET scrapped_at = ?, row_version = row_version + 1 WHERE id = ?").run(now, reelId);
};

/** Takes a reel out of the book again, on which nothing hangs yet. @throws the database's own fault where something does. */
export function removeReel(db: Db, id: number): void {
  db.prepare("DELETE FROM reel WHERE id = ?").run(id);
  forgetInFind(db, { kind: "reel", ref: String(id) });
}
