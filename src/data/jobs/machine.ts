import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { PartType } from "@/core/anatomy/types";
import { getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { findPartByNumber, findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";
import { getOpenJob, type Job } from "./jobs";

/** Seats of a reel that hold another part than its model says. */
export const listOverrides = (db: Db, reelId: number): ReadonlyMap<string, string> =>
  new Map(
    (
      db.prepare("SELECT position_id, part_type_id FROM reel_override WHERE reel_id = ?").all(reelId) as {
        position_id: string;
        part_type_id: string;
      }[]
    ).map((row) => [row.position_id, row.part_type_id]),
  );

/**
 * The machine that lies on the bench: the job's model version as its edition was built, with this reel's own parts in their seats. Everything
 * that asks what sits where (schematic, tray, build, stock, orders, quote, report) asks here, so editions and hybrids work everywhere.
 */
export function machineOf(db: Db, job: Pick<Job, "modelVersionId" | "editionId" | "reel">): ModelVersion {
  const whole = getModelVersion(db, job.modelVersionId);
  const version = { ...whole, anatomy: anatomyOfEdition(whole.anatomy, job.editionId) };
  const overrides = listOverrides(db, job.reel.id);
  if (!overrides.size) return version;
  const partTypes = new Map<string, PartType>(version.partTypes);
  const positions = version.anatomy.positions.map((position) => {
    const own = overrides.get(position.id);
    const type = own ? findPartType(db, own) : null;
    if (!type) return position;
    partTypes.set(type.id, type);
    return { ...position, partTypeId: type.id };
  });
  return { ...version, anatomy: { ...version.anatomy, positions }, partTypes };
}

/** Says that this reel has another part in a seat, by its number; an empty number gives the seat back to the model. */
export function overrideSeat(ctx: Context, jobId: number, positionId: string, number: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const position = machineOf(db, job).anatomy.positions.find((seat) => seat.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat.");
  if (!number) {
    db.prepare("DELETE FROM reel_override WHERE reel_id = ? AND position_id = ?").run(job.reel.id, positionId);
    writeJournal(ctx, "seat-as-model", { jobId, reelId: job.reel.id }, { position: positionId });
    return;
  }
  const type = findPartByNumber(db, number);
  if (!type)
    throw new Refusal("no-part", `No part in the catalogue has the number ${number}. Add it first.`, "number", { to: "new-part", number });
  const used = db
    .prepare("SELECT 1 FROM instance WHERE reel_id = ? AND position_id = ? AND fitted_job_id = ?")
    .get(job.reel.id, positionId, jobId);
  if (used) throw new Refusal("used", "A new piece was already taken for this seat. Undo that first.", "number");
  db.prepare(
    "INSERT INTO reel_override (reel_id, position_id, part_type_id, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id, at = excluded.at",
  ).run(job.reel.id, positionId, type.id, ctx.now);
  // What was foreseen or wanted for this seat was the model's part: it would come for nothing.
  db.prepare("UPDATE quote_part SET part_type_id = ? WHERE job_id = ? AND position_id = ?").run(type.id, jobId, positionId);
  db.prepare("UPDATE need SET part_type_id = ? WHERE job_id = ? AND position_id = ? AND state = 'open'").run(type.id, jobId, positionId);
  db.prepare(
    "UPDATE instance SET part_type_id = ? WHERE reel_id = ? AND position_id = ? AND removed_job_id IS NULL AND origin = 'found'",
  ).run(type.id, job.reel.id, positionId);
  db.prepare("INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor) VALUES (?, ?, ?)").run(jobId, type.id, type.priceMinor);
  writeJournal(ctx, "seat-overridden", { jobId, reelId: job.reel.id }, { position: positionId, part: type.id });
}
