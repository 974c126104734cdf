import { type Edition, type EditionSource, editionOf } from "@/core/anatomy/edition";
import { decodeSerial, type SerialRule, serialRuleSchema } from "@/core/anatomy/serial";
import type { Anatomy } from "@/core/anatomy/types";
import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { getOpenJob } from "./jobs";
import { writeJournal } from "./journal";
import { getModelVersion, type Model } from "./models";
import { listWells } from "./tray";

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

/** Replaces a maker's rules by these. */
export function saveSerialRules(ctx: Context, maker: string, rules: readonly MakerRule[]): void {
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
  const told = readSerial(db, model, reel.serial);
  const byRule = chosen ? undefined : anatomy.editions.find((edition) => edition.id === told?.editionId);
  const known = byRule
    ? { edition: byRule, source: "serial" as const }
    : editionOf(anatomy.editions, { chosen, serial: reel.serial, year: told?.year ?? null });
  return known && { ...known, year: told?.year ?? null };
}

/**
 * Says at the bench which edition a reel is, by what somebody saw on it; null goes back to what its serial tells.
 * @throws Refusal when a part lies in the tray whose seat that edition does not have.
 */
export function chooseEdition(ctx: Context, jobId: number, editionId: string | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const { anatomy, model } = getModelVersion(db, job.modelVersionId);
  if (editionId !== null && !anatomy.editions.some((edition) => edition.id === editionId))
    throw new Refusal("no-edition", "This model has no such edition. Reload the page.", "editionId");
  db.prepare("UPDATE reel SET edition_id = ?, row_version = row_version + 1 WHERE id = ?").run(editionId, job.reel.id);
  const pinned = editionOfReel(db, job.reel, model, anatomy)?.edition.id ?? null;
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  for (const well of listWells(db, jobId)) {
    const seat = seats.get(well.positionId);
    if (seat?.editions.length && pinned && !seat.editions.includes(pinned))
      throw new Refusal(
        "in-tray",
        `${seat.name} lies in well ${well.well}; that edition does not have it. Put it back first.`,
        "editionId",
      );
  }
  db.prepare("UPDATE job SET edition_id = ?, row_version = row_version + 1 WHERE id = ?").run(pinned, jobId);
  writeJournal(ctx, "edition-chosen", { jobId, reelId: job.reel.id }, { edition: editionId });
}
