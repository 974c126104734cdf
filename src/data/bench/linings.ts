import { mayBeAsbestos } from "@/core/safety/linings";
import type { LiningMaterial } from "@/core/vocabulary/lining-materials";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

/**
 * Says what a friction lining of this reel is made of, and with it those of its stack that were in as much doubt or are of the same: they were
 * cut from one sheet. What is proven may be worked on; what nobody can prove stays as it is. What is to be ordered for the seat stays the model's.
 * @returns how many seats it was said of.
 */
export function sayLining(ctx: Context, jobId: number, positionId: string, material: LiningMaterial): number {
  const job = getOpenJob(ctx.db, jobId);
  const { anatomy, partTypes } = machineOf(ctx.db, job);
  const asked = anatomy.positions.find(({ id }) => id === positionId);
  const of = asked && partTypes.get(asked.partTypeId);
  if (!asked || of?.shape.kind !== "friction-washer")
    throw new Refusal("no-lining", "There is no friction lining in this seat. Reload the page.");
  const alike = anatomy.positions.filter(({ assemblyId, partTypeId }) => {
    const type = partTypes.get(partTypeId);
    if (assemblyId !== asked.assemblyId || type?.shape.kind !== "friction-washer") return false;
    return type.material === of.material && mayBeAsbestos(type) === mayBeAsbestos(of);
  });
  const keep = ctx.db.prepare(
    `INSERT INTO reel_lining (reel_id, position_id, material, job_id, at) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET material = excluded.material, job_id = excluded.job_id, at = excluded.at`,
  );
  for (const { id } of alike) keep.run(job.reel.id, id, material, jobId, ctx.now);
  writeJournal(ctx, "lining-said", { jobId, reelId: job.reel.id }, { position: positionId, material, seats: alike.length });
  return alike.length;
}
