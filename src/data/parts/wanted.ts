import { fitFaults } from "@/core/anatomy/check-fit";
import { withKit } from "@/core/interchange/kit";
import { listKits } from "@/data/catalogue/interchange";
import { getModelVersion } from "@/data/catalogue/models";
import { findPartType } from "@/data/catalogue/part-types";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

/** The part a job wants in a seat: what was foreseen for it, else what its machine has there. @throws Refusal for no such seat. */
export function wantedPart(
  db: Db,
  job: Pick<Job, "id" | "modelVersionId" | "editionId" | "reel">,
  positionId: string,
): { name: string; partTypeId: string } {
  const position = machineOf(db, job).anatomy.positions.find((seat) => seat.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat.");
  const foreseen = db.prepare("SELECT part_type_id FROM quote_part WHERE job_id = ? AND position_id = ?").get(job.id, positionId) as
    | { part_type_id: string }
    | undefined;
  return { name: position.name, partTypeId: foreseen?.part_type_id ?? position.partTypeId };
}

function foresee(ctx: Context, jobId: number, positionId: string, partTypeId: string, priceMinor: number): void {
  const { db } = ctx;
  db.prepare(
    "INSERT INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id",
  ).run(jobId, positionId, partTypeId);
  db.prepare("INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor) VALUES (?, ?, ?)").run(jobId, partTypeId, priceMinor);
  db.prepare("UPDATE need SET part_type_id = ? WHERE job_id = ? AND position_id = ? AND state = 'open'").run(partTypeId, jobId, positionId);
}

const refuseOrdered = (db: Db, jobId: number, positionId: string, name: string) => {
  const there = db
    .prepare("SELECT state FROM need WHERE job_id = ? AND position_id = ? AND state IN ('ordered', 'arrived')")
    .get(jobId, positionId) as { state: string } | undefined;
  if (there) throw new Refusal("ordered", `${name} is ${there.state} already. When it comes it can go to stock.`);
  const used = db
    .prepare(
      "SELECT 1 FROM tray_well JOIN instance ON instance.id = tray_well.instance_id WHERE tray_well.job_id = @job AND tray_well.position_id = @seat AND instance.fitted_job_id = @job",
    )
    .get({ job: jobId, seat: positionId });
  if (used) throw new Refusal("used", `A new ${name} already lies in the tray. Undo that first.`);
};

/** Foresees another part for a seat than the machine has there: one that interchanges with it. */
export function wantInstead(ctx: Context, jobId: number, positionId: string, partTypeId: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const part = findPartType(ctx.db, partTypeId);
  if (!part) throw new Refusal("no-part", "This part is not in the catalogue any more.");
  const { name } = wantedPart(ctx.db, job, positionId);
  refuseOrdered(ctx.db, jobId, positionId, name);
  foresee(ctx, jobId, positionId, part.id, part.priceMinor);
  writeJournal(ctx, "part-wanted-instead", { jobId, reelId: job.reel.id }, { position: positionId, part: part.id });
}

/**
 * Foresees a whole conversion: every part of the kit, each for its seat, in one act.
 * @throws Refusal when it would not fit this reel as it is (a hybrid's own parts count), or part of it is here already.
 */
export function wantKit(ctx: Context, jobId: number, kitId: string): { parts: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const machine = machineOf(db, job);
  const kit = listKits(db, machine.model.id).find((one) => one.id === kitId);
  if (!kit) throw new Refusal("no-kit", "This kit is not for this model any more.");
  const types = new Map(machine.partTypes);
  const parts = kit.seats.map(({ positionId, partTypeId }) => {
    const part = findPartType(db, partTypeId);
    if (!part) throw new Refusal("no-part", `Part ${partTypeId} of the kit is not in the catalogue any more.`);
    types.set(part.id, part);
    const { name } = wantedPart(db, job, positionId);
    refuseOrdered(db, jobId, positionId, name);
    return { positionId, part };
  });
  const faults = fitFaults(withKit(machine.anatomy, kit), types);
  if (faults.length) throw new Refusal("kit", `It does not fit this reel as it is:\n${faults.join("\n")}`);
  for (const { positionId, part } of parts) foresee(ctx, jobId, positionId, part.id, part.priceMinor);
  writeJournal(ctx, "kit-foreseen", { jobId, reelId: job.reel.id }, { kit: kit.id });
  return { parts: parts.length };
}

/** Says what now sits in a seat of a reel; where that is the model's own part there is nothing to remember. */
export function rememberSeat(ctx: Context, job: Job, positionId: string, partTypeId: string): void {
  const own = getModelVersion(ctx.db, job.modelVersionId).anatomy.positions.find((position) => position.id === positionId)?.partTypeId;
  if (partTypeId === own) ctx.db.prepare("DELETE FROM reel_override WHERE reel_id = ? AND position_id = ?").run(job.reel.id, positionId);
  else
    ctx.db
      .prepare(
        "INSERT INTO reel_override (reel_id, position_id, part_type_id, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id, at = excluded.at",
      )
      .run(job.reel.id, positionId, partTypeId, ctx.now);
}
