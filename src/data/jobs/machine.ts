import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { PartType } from "@/core/anatomy/types";
import type { Fault, Remedy } from "@/core/diagnosis/fault";
import { remedyOn } from "@/core/safety/act-cautions";
import { isOfLiningAge, mayBeAsbestos } from "@/core/safety/linings";
import { readSerial } from "@/data/catalogue/editions";
import { getModelVersion, type ModelVersion } from "@/data/catalogue/models";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import type { Job } from "./jobs";

/** The part types that sit in a machine's seats; a version also knows those that no seat of this reel holds any more. */
export const typesInSeats = ({ anatomy, partTypes }: Pick<ModelVersion, "anatomy" | "partTypes">): PartType[] =>
  anatomy.positions.flatMap(({ partTypeId }) => partTypes.get(partTypeId) ?? []);

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
  const linings = db
    .prepare(
      `SELECT made_when AS madeWhen, EXISTS (SELECT 1 FROM job, json_each(job.intake, '$.life') AS life
                                             WHERE job.reel_id = reel.id AND life.value = 'old') AS decadesOld FROM reel WHERE id = ?`,
    )
    .get(job.reel.id) as { madeWhen: string; decadesOld: 0 | 1 } | undefined;
  const edition = anatomy.editions.find(({ id }) => id === job.editionId);
  const year = readSerial(db, model, job.reel.serial)?.year ?? null;
  return isOfLiningAge({
    decadesOld: linings?.decadesOld === 1,
    madeWhen: linings?.madeWhen ?? "",
    years: [edition?.toYear, year].flatMap((one) => one ?? []),
  });
}

/** What somebody said the linings of a reel are made of, by seat. */
const saidLinings = (db: Db, reelId: number): ReadonlyMap<string, string> =>
  new Map(
    (
      db.prepare("SELECT position_id AS seat, material FROM reel_lining WHERE reel_id = ?").all(reelId) as {
        seat: string;
        material: string;
      }[]
    ).map(({ seat, material }) => [seat, material]),
  );

/**
 * Part types with the friction linings of this reel as they are: of what somebody said they are, or marked as unproven where the reel is old and
 * nothing proves them. Seats share a part type: one of them in doubt, all of them are.
 */
function withLinings(db: Db, job: Pick<Job, "editionId" | "reel">, version: ModelVersion, proved: ReadonlySet<string>): ModelVersion {
  const linings = version.anatomy.positions.filter(({ partTypeId }) => version.partTypes.get(partTypeId)?.shape.kind === "friction-washer");
  if (!linings.length) return version;
  const fitted = fittedHere(db, job.reel.id);
  const chosenLinings = saidLinings(db, job.reel.id);
  const old = linings.some(({ id }) => !proved.has(id) && !chosenLinings.has(id) && !fitted.has(id)) && isOldReel(db, job, version);
  if (!old && !chosenLinings.size) return version;
  const partTypes = new Map(version.partTypes);
  for (const { id, partTypeId } of linings) {
    if (fitted.has(id)) continue;
    const material = chosenLinings.get(id);
    const before = partTypes.get(partTypeId)!;
    if (material === undefined) {
      if (old && !proved.has(id)) partTypes.set(partTypeId, { ...before, liningUnproven: true });
    } else if (!mayBeAsbestos(before) || before === version.partTypes.get(partTypeId)) partTypes.set(partTypeId, { ...before, material });
  }
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
  if (!overrides.size) return withLinings(db, job, version, new Set());
  const own = findPartTypes(db, overrides.values());
  const partTypes = new Map<string, PartType>([...version.partTypes, ...own]);
  const positions = version.anatomy.positions.map((position) => {
    const type = own.get(overrides.get(position.id) ?? "");
    return type ? { ...position, partTypeId: type.id } : position;
  });
  // Somebody looked at what sits in an overridden seat and said what it is.
  return withLinings(db, job, { ...version, anatomy: { ...version.anatomy, positions }, partTypes }, new Set(overrides.keys()));
}

/** What is done about faults on the reel of a job; the machine is read once, and only when there is a fault. */
export function remedier(db: Db, job: Pick<Job, "modelVersionId" | "editionId" | "reel">): (fault: Fault) => Remedy {
  let types: readonly PartType[] | null = null;
  return (fault) => {
    types ??= typesInSeats(machineOf(db, job));
    return remedyOn(fault, types);
  };
}
