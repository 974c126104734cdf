import type { Hand } from "@/core/vocabulary/counter-lists";
import { findModel } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { indexForFind } from "@/data/store/find";
import { writeJournal } from "@/data/store/journal";

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

export const listReels = (db: Db): Reel[] => db.prepare(`${select} ORDER BY model.maker, model.name, reel.serial`).all() as Reel[];

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

/** Adds a reel, or gives back the known one of that serial; a known reel with another owner changes hands, its history stays with it. */
export function ensureReel(ctx: Context, reel: { modelId: string; serial: string; hand: Hand; ownerId: number }): number {
  const serial = normaliseSerial(reel.serial);
  const known = serial ? findReelBySerial(ctx.db, serial, reel.modelId) : null;
  if (known) {
    if (known.ownerId !== reel.ownerId) {
      ctx.db.prepare("UPDATE reel SET owner_id = ?, row_version = row_version + 1 WHERE id = ?").run(reel.ownerId, known.id);
      writeJournal(ctx, "reel-changed-owner", { reelId: known.id, customerId: reel.ownerId });
      indexReel(ctx.db, known.id);
    }
    return known.id;
  }
  const model = findModel(ctx.db, reel.modelId);
  if (!model) throw new Refusal("no-model", "This model is not in the library. Choose one from the list.", "modelId", { to: "new-model" });
  const id = Number(
    ctx.db
      .prepare("INSERT INTO reel (model_id, serial, hand, owner_id) VALUES (?, ?, ?, ?)")
      .run(reel.modelId, serial, reel.hand, reel.ownerId).lastInsertRowid,
  );
  writeJournal(ctx, "reel-added", { reelId: id, customerId: reel.ownerId });
  indexReel(ctx.db, id);
  return id;
}

function indexReel(db: Db, id: number): void {
  const reel = findReel(db, id);
  if (!reel) return;
  const title = `${reel.modelName} ${reel.serial || "no serial"}`;
  indexForFind(db, { kind: "reel", ref: String(id), title, words: `${title} ${reel.ownerName}` });
}
