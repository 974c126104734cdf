import type { PieceSource } from "@/core/vocabulary/piece-sources";
import type { Db } from "@/data/database/database";

export interface FittedPart {
  readonly positionId: string;
  readonly positionName: string;
  readonly partTypeId: string;
  readonly role: string;
  readonly number: string;
  readonly name: string;
  /** What it is billed at: a donor's piece at its own price, a new one at the job's. */
  readonly priceMinor: number;
  readonly offDonor: boolean;
  /** Where it came from when not from a bin or a donor. */
  readonly source: PieceSource | null;
}

/** New pieces fitted by a job, seat by seat. */
export const listFittedParts = (db: Db, jobId: number): FittedPart[] =>
  (
    db
      .prepare(
        `SELECT instance.position_id AS positionId, position.name AS positionName, part_type.id AS partTypeId, part_type.role, part_type.number, part_type.name,
              coalesce(donor_piece.price_minor,
                       (SELECT price_minor FROM job_price WHERE job_price.job_id = job.id AND job_price.part_type_id = part_type.id),
                       part_type.price_minor) AS priceMinor,
              donor_piece.id IS NOT NULL AS offDonor, instance.source
       FROM instance JOIN job ON job.id = instance.fitted_job_id
       JOIN position ON position.model_version_id = job.model_version_id AND position.id = instance.position_id
       JOIN part_type ON part_type.id = instance.part_type_id
       LEFT JOIN donor_piece ON donor_piece.id = instance.donor_piece_id
       WHERE instance.fitted_job_id = ? ORDER BY part_type.number, instance.position_id`,
      )
      .all(jobId) as (Omit<FittedPart, "offDonor"> & { offDonor: 0 | 1 })[]
  ).map((row) => ({ ...row, offDonor: row.offDonor === 1 }));

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

export interface ReelPiece {
  readonly positionId: string;
  readonly partTypeId: string;
  readonly origin: "found" | "stock";
  readonly fittedTag: string | null;
  readonly offDonor: boolean;
  readonly source: PieceSource | null;
}

/** What the book knows to be in a reel as a job left it: pieces that were taken up and those fitted until then, those fitted first. */
export const listPiecesOfReel = (db: Db, reelId: number, jobId: number): ReelPiece[] =>
  (
    db
      .prepare(
        `SELECT instance.position_id AS positionId, instance.part_type_id AS partTypeId, instance.origin, job.tag AS fittedTag,
                instance.donor_piece_id IS NOT NULL AS offDonor, instance.source
         FROM instance LEFT JOIN job ON job.id = instance.fitted_job_id
         WHERE instance.reel_id = @reel AND coalesce(instance.fitted_job_id, 0) <= @job AND coalesce(instance.removed_job_id, @job + 1) > @job
         ORDER BY instance.fitted_job_id IS NULL, instance.fitted_job_id DESC, instance.id`,
      )
      .all({ reel: reelId, job: jobId }) as (Omit<ReelPiece, "offDonor"> & { offDonor: 0 | 1 })[]
  ).map((row) => ({ ...row, offDonor: row.offDonor === 1 }));
