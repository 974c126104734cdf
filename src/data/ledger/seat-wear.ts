import type { Db } from "@/data/store/database";

/** How often each seat of a model was in the tray of this shop, and found worn or to be replaced, over all its versions. */
export const listSeatWear = (db: Db, modelId: string): Record<string, { seen: number; worn: number }> =>
  Object.fromEntries(
    (
      db
        .prepare(
          `SELECT tray_well.position_id AS id, count(*) AS seen, sum(tray_well.verdict IN ('worn', 'replace')) AS worn
           FROM tray_well JOIN job ON job.id = tray_well.job_id JOIN model_version ON model_version.id = job.model_version_id
           WHERE model_version.model_id = ? GROUP BY tray_well.position_id`,
        )
        .all(modelId) as { id: string; seen: number; worn: number }[]
    ).map(({ id, seen, worn }) => [id, { seen, worn }]),
  );
