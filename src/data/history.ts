import type { Db } from "./database";

export interface FittedPart {
  readonly positionId: string;
  readonly positionName: string;
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
}

/** New pieces fitted by a job, seat by seat. */
export const listFittedParts = (db: Db, jobId: number): FittedPart[] =>
  db
    .prepare(
      `SELECT instance.position_id AS positionId, position.name AS positionName, part_type.id AS partTypeId, part_type.number, part_type.name
       FROM instance JOIN job ON job.id = instance.fitted_job_id
       JOIN position ON position.model_version_id = job.model_version_id AND position.id = instance.position_id
       JOIN part_type ON part_type.id = instance.part_type_id
       WHERE instance.fitted_job_id = ? ORDER BY part_type.number, instance.position_id`,
    )
    .all(jobId) as FittedPart[];

export interface LeftOutPart {
  readonly positionName: string;
  readonly reason: string;
}

/** Parts left out on purpose, with the reason that stands in the report. */
export const listLeftOut = (db: Db, jobId: number): LeftOutPart[] =>
  db
    .prepare(
      `SELECT position.name AS positionName, tray_well.left_out_reason AS reason
       FROM tray_well JOIN job ON job.id = tray_well.job_id
       JOIN position ON position.model_version_id = job.model_version_id AND position.id = tray_well.position_id
       WHERE tray_well.job_id = ? AND tray_well.left_out_reason IS NOT NULL ORDER BY tray_well.well`,
    )
    .all(jobId) as LeftOutPart[];
