import { seenValue } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { writeReportWords } from "@/data/jobs/job-row";
import { getOpenJob, type Job, listJobPhotos } from "@/data/jobs/jobs";

/** The answer in the report in the technician's own words. */
export const seenReportWords = ({ answer, ourMistake }: Pick<Job, "answer" | "ourMistake">): string =>
  seenValue(JSON.stringify([answer, ourMistake]));

export function sayReportWords(
  ctx: Context,
  jobId: number,
  { answer, ourMistake, seen }: { readonly answer: string; readonly ourMistake: string; readonly seen: string | null },
): void {
  const job = getOpenJob(ctx.db, jobId);
  refuseUnseen(seen, seenReportWords(job), "The answer in the report", "answer");
  writeReportWords(ctx.db, jobId, { answer, ourMistake });
  writeJournal(ctx, "report-words", { jobId, reelId: job.reel.id });
}

export interface JobPicture {
  readonly hash: string;
  /** The seat it opened; null of the reel as it came. */
  readonly positionId: string | null;
  readonly onReport: boolean;
}

/** Every picture of a job: of the reel as it came, and of its joints. */
export function listPictures(db: Db, jobId: number): JobPicture[] {
  const chosen = new Set(
    db.prepare("SELECT photo_hash FROM report_photo WHERE job_id = ? ORDER BY at, photo_hash").pluck().all(jobId) as string[],
  );
  const joints = db
    .prepare(
      "SELECT photo_hash AS hash, position_id AS positionId FROM tray_well WHERE job_id = ? AND photo_hash IS NOT NULL ORDER BY well, place",
    )
    .all(jobId) as { hash: string; positionId: string }[];
  const all = [...listJobPhotos(db, jobId).map((hash) => ({ hash, positionId: null })), ...joints];
  return all.map((one) => ({ ...one, onReport: chosen.has(one.hash) }));
}

/** @throws Refusal for a picture that is none of this job. */
export function choosePicture(ctx: Context, jobId: number, hash: string, on: boolean): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (!listPictures(db, jobId).some((one) => one.hash === hash))
    throw new Refusal("no-picture", "This picture no longer belongs to this job. Reload the page.");
  if (on) db.prepare("INSERT OR IGNORE INTO report_photo (job_id, photo_hash, at) VALUES (?, ?, ?)").run(jobId, hash, ctx.now);
  else db.prepare("DELETE FROM report_photo WHERE job_id = ? AND photo_hash = ?").run(jobId, hash);
  writeJournal(ctx, "report-photo", { jobId, reelId: job.reel.id }, { on });
}
