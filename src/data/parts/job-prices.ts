import { z } from "zod";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { minor, rows } from "@/data/database/rows";

/** What parts cost in a job: the price of the day it was opened, whatever the catalogue says later. */

/** Pins what every part of a model version, in any of its editions, costs now, for a job that opens on it. */
export function pinPrices(ctx: Context, jobId: number, modelVersionId: number): void {
  ctx.db
    .prepare(
      `INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor)
       SELECT @job, part_type.id, part_type.price_minor FROM part_type WHERE part_type.id IN (
         SELECT part_type_id FROM position WHERE model_version_id = @version
         UNION SELECT value FROM position, json_each(position.seat, '$.partIn') WHERE model_version_id = @version)`,
    )
    .run({ job: jobId, version: modelVersionId });
}

/** Pins what one part costs now, for a job that wants it only now. */
export const pinPrice = (db: Db, jobId: number, partTypeId: string): void => {
  db.prepare(
    "INSERT OR IGNORE INTO job_price (job_id, part_type_id, price_minor) SELECT ?, id, price_minor FROM part_type WHERE id = ?",
  ).run(jobId, partTypeId);
};

/** What a part costs in this job: the price when it was opened; a part that came later at today's price. */
export function pricesInJob(db: Db, jobId: number, partTypeIds: readonly string[]): ReadonlyMap<string, number> {
  const found = db
    .prepare(
      `SELECT part_type.id, coalesce(job_price.price_minor, part_type.price_minor) AS price
       FROM part_type LEFT JOIN job_price ON job_price.job_id = ? AND job_price.part_type_id = part_type.id
       WHERE part_type.id IN (SELECT value FROM json_each(?))`,
    )
    .all(jobId, JSON.stringify(partTypeIds));
  return new Map(rows(z.object({ id: z.string(), price: minor }), found).map((part) => [part.id, part.price]));
}
