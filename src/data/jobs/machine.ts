import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { PartType } from "@/core/anatomy/types";
import { isOfLiningAge } from "@/core/safety/linings";
import { readSerial } from "@/data/catalogue/editions";
import { getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/store/database";
import type { Job } from "./jobs";

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

/** Seats whose piece this bench fitted itself, so that somebody knows what it is. */
const fittedHere = (db: Db, reelId: number): ReadonlySet<string> =>
  new Set(
    db
      .prepare("SELECT position_id FROM instance WHERE reel_id = ? AND fitted_job_id IS NOT NULL AND removed_job_id IS NULL")
      .pluck()
      .all(reelId) as string[],
  );

/** Whether a reel is of an age at which its linings have to be proved: by what the counter was told, its serial, or the edition it is. */
function isOldReel(db: Db, job: Pick<Job, "editionId" | "reel">, { model, anatomy }: ModelVersion): boolean {
  const told = db
    .prepare(
      `SELECT made_when AS madeWhen, EXISTS (SELECT 1 FROM job, json_each(job.intake, '$.life') AS life
                                             WHERE job.reel_id = reel.id AND life.value = 'old') AS decadesOld FROM reel WHERE id = ?`,
    )
    .get(job.reel.id) as { madeWhen: string; decadesOld: 0 | 1 } | undefined;
  const edition = anatomy.editions.find(({ id }) => id === job.editionId);
  const year = readSerial(db, model, job.reel.serial)?.year ?? null;
  return isOfLiningAge({
    decadesOld: told?.decadesOld === 1,
    madeWhen: told?.madeWhen ?? "",
    years: [edition?.toYear, year].flatMap((one) => one ?? []),
  });
}

/** Part types with the friction linings of an old reel marked, as long as nothing proves what they are. */
function withUnprovenLinings(
  db: Db,
  job: Pick<Job, "editionId" | "reel">,
  version: ModelVersion,
  proved: ReadonlySet<string>,
): ModelVersion {
  const linings = version.anatomy.positions.filter(
    ({ id, partTypeId }) => !proved.has(id) && version.partTypes.get(partTypeId)?.shape.kind === "friction-washer",
  );
  if (!linings.length || !isOldReel(db, job, version)) return version;
  const fitted = fittedHere(db, job.reel.id);
  const partTypes = new Map(version.partTypes);
  // Seats share a part type: one of them unproved, all of them are.
  for (const { id, partTypeId } of linings)
    if (!fitted.has(id)) partTypes.set(partTypeId, { ...partTypes.get(partTypeId)!, liningUnproven: true });
  return { ...version, partTypes };
}

/**
 * The machine that lies on the bench: the job's model version as its edition was built, with this reel's own parts in their seats. Everything
 * that asks what sits where (schematic, tray, build, stock, orders, quote, report) asks here, so editions and hybrids work everywhere.
 */
export function machineOf(db: Db, job: Pick<Job, "modelVersionId" | "editionId" | "reel">): ModelVersion {
  const whole = getModelVersion(db, job.modelVersionId);
  const version = { ...whole, anatomy: anatomyOfEdition(whole.anatomy, job.editionId) };
  const overrides = listOverrides(db, job.reel.id);
  if (!overrides.size) return withUnprovenLinings(db, job, version, new Set());
  const own = findPartTypes(db, overrides.values());
  const partTypes = new Map<string, PartType>([...version.partTypes, ...own]);
  const positions = version.anatomy.positions.map((position) => {
    const type = own.get(overrides.get(position.id) ?? "");
    return type ? { ...position, partTypeId: type.id } : position;
  });
  // Somebody looked at what sits in an overridden seat and said what it is.
  return withUnprovenLinings(db, job, { ...version, anatomy: { ...version.anatomy, positions }, partTypes }, new Set(overrides.keys()));
}
