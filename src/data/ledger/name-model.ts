import { nameModel } from "@/data/catalogue/write-model";
import { indexReel } from "@/data/customers/reels";
import type { Context } from "@/data/database/context";
import { indexForFind } from "@/data/database/find";

/** Names a model anew, and has its reels and jobs found by the new name as well. @throws Refusal where another has that name already. */
export function renameModel(ctx: Context, modelId: string, said: Parameters<typeof nameModel>[2]): void {
  const { db } = ctx;
  nameModel(ctx, modelId, said);
  const jobs = db
    .prepare(
      `SELECT job.tag, reel.serial, customer.name AS customer FROM job JOIN reel ON reel.id = job.reel_id
       JOIN customer ON customer.id = job.customer_id WHERE reel.model_id = ? ORDER BY job.id`,
    )
    .all(modelId) as { tag: string; serial: string; customer: string }[];
  const called = `${said.maker} ${said.name}`;
  for (const { tag, serial, customer } of jobs)
    indexForFind(db, {
      kind: "job",
      ref: tag,
      title: `${tag} ${called}, ${customer}`,
      words: `${tag.replaceAll("-", "")} ${tag} ${called} ${serial} ${customer}`,
    });
  for (const id of db.prepare("SELECT id FROM reel WHERE model_id = ? ORDER BY id").pluck().all(modelId) as number[]) indexReel(db, id);
}
