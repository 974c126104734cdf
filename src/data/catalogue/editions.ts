import { type Edition, type EditionSource, editionOf } from "@/core/anatomy/edition";
import { decodeSerial, type SerialRule, serialRuleSchema } from "@/core/anatomy/serial";
import type { Anatomy } from "@/core/anatomy/types";
import { seenSerialRules } from "@/core/seen/seen";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import type { Model } from "./models";

export type MakerRule = SerialRule & {
  /** The one model it is for; null for all of the maker's. */
  readonly modelId: string | null;
};

/** How a maker wrote its serials, in the order they are tried: those for one model first. */
export const listSerialRules = (db: Db, maker: string): MakerRule[] =>
  (
    db.prepare("SELECT model_id, rule FROM serial_rule WHERE maker = ? ORDER BY model_id IS NULL, ordinal").all(maker) as {
      model_id: string | null;
      rule: string;
    }[]
  ).map((row) => ({ ...serialRuleSchema.parse(JSON.parse(row.rule)), modelId: row.model_id }));

/** Replaces a maker's rules by these. @param seen those that were read; null where nobody looked. */
export function saveSerialRules(ctx: Context, maker: string, rules: readonly MakerRule[], seen: string | null = null): void {
  refuseUnseen(seen, seenSerialRules(listSerialRules(ctx.db, maker)), "The rules of this maker");
  ctx.db.prepare("DELETE FROM serial_rule WHERE maker = ?").run(maker);
  const add = ctx.db.prepare("INSERT INTO serial_rule (maker, model_id, ordinal, rule) VALUES (?, ?, ?, ?)");
  rules.forEach(({ modelId, ...rule }, index) => {
    add.run(maker, modelId, index, JSON.stringify(serialRuleSchema.parse(rule)));
  });
  writeJournal(ctx, "serial-rules-saved", {}, { maker, rules: rules.length });
}

/** What a serial of a model tells by its maker's rules; null when none fits. */
export function readSerial(
  db: Db,
  model: Pick<Model, "id" | "maker">,
  serial: string,
): { year: number | null; editionId: string | null } | null {
  const rules = listSerialRules(db, model.maker).filter((rule) => rule.modelId === null || rule.modelId === model.id);
  const found = decodeSerial(rules, serial);
  return found && { year: found.year, editionId: found.rule.edition ?? null };
}

export interface KnownEdition {
  readonly edition: Edition;
  readonly source: EditionSource;
  readonly year: number | null;
}

/** Which edition of its model a reel is, and how that is known; null for a model without editions. */
export function editionOfReel(
  db: Db,
  reel: { id: number; serial: string },
  model: Pick<Model, "id" | "maker">,
  anatomy: Anatomy,
): KnownEdition | null {
  if (!anatomy.editions.length) return null;
  const { edition_id: chosen } = db.prepare("SELECT edition_id FROM reel WHERE id = ?").get(reel.id) as { edition_id: string | null };
  const bySerial = readSerial(db, model, reel.serial);
  const byRule = chosen ? undefined : anatomy.editions.find((edition) => edition.id === bySerial?.editionId);
  const known = byRule
    ? { edition: byRule, source: "serial" as const }
    : editionOf(anatomy.editions, { chosen, serial: reel.serial, year: bySerial?.year ?? null });
  return known && { ...known, year: bySerial?.year ?? null };
}

export interface ReelOfModel {
  readonly id: number;
  readonly serial: string;
  readonly scrappedAt: string | null;
  readonly visits: number;
  /** Seats in which it is not as its model. */
  readonly ownParts: number;
  readonly lastAt: string | null;
  readonly year: number | null;
  readonly known: KnownEdition | null;
}

/** The reels of a model that are in the book, the newest first, so many after so many, each with what its serial tells. */
export function listReelsOfModel(
  db: Db,
  version: { model: Model; anatomy: Anatomy },
  { limit, offset = 0 }: { limit: number; offset?: number },
): ReelOfModel[] {
  const rows = db
    .prepare(
      `SELECT reel.id, reel.serial, reel.scrapped_at AS scrappedAt,
              (SELECT count(*) FROM job WHERE job.reel_id = reel.id) AS visits,
              (SELECT count(*) FROM reel_override WHERE reel_override.reel_id = reel.id) AS ownParts,
              (SELECT max(opened_at) FROM job WHERE job.reel_id = reel.id) AS lastAt
       FROM reel WHERE reel.model_id = ? ORDER BY reel.id DESC LIMIT ? OFFSET ?`,
    )
    .all(version.model.id, limit, offset) as Omit<ReelOfModel, "year" | "known">[];
  return rows.map((reel) => ({
    ...reel,
    year: readSerial(db, version.model, reel.serial)?.year ?? null,
    known: editionOfReel(db, reel, version.model, version.anatomy),
  }));
}
