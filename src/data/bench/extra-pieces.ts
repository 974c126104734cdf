import { groupBy } from "@/core/group-by";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob } from "@/data/jobs/jobs";

/** Something that came off a reel and is not on its drawing. */
export interface ExtraPiece {
  readonly id: number;
  /** What it is and where it lay, in the technician's words. */
  readonly words: string;
  readonly state: "off" | "back" | "left-out";
}

export const listExtraPieces = (db: Db, jobId: number): ExtraPiece[] =>
  db.prepare("SELECT id, words, state FROM extra_piece WHERE job_id = ? ORDER BY id").all(jobId) as ExtraPiece[];

/** What lay in a reel on its visits and is not on its drawing, the newest first: it is told when the reel comes again. */
export const extrasOfModel = (db: Db, modelId: string): { readonly words: string; readonly tags: readonly string[] }[] => {
  const rows = db
    .prepare(
      `SELECT extra_piece.words, job.tag FROM extra_piece JOIN job ON job.id = extra_piece.job_id JOIN reel ON reel.id = job.reel_id
       WHERE reel.model_id = ? ORDER BY extra_piece.id DESC LIMIT 50`,
    )
    .all(modelId) as { words: string; tag: string }[];
  // The same thing in three reels is one thing of the model.
  return [...groupBy(rows, ({ words }) => words.toLowerCase())].map(([, same]) => ({
    words: same[0]!.words,
    tags: same.map(({ tag }) => tag),
  }));
};

/** @param well it came off with, where it was taken in one press with what is drawn: an undo of that press takes it back as well. */
export function addExtraPiece(ctx: Context, jobId: number, words: string, well: number | null = null): number {
  const job = getOpenJob(ctx.db, jobId);
  const { lastInsertRowid } = ctx.db
    .prepare("INSERT INTO extra_piece (job_id, words, well, at) VALUES (?, ?, ?, ?)")
    .run(job.id, words.trim(), well, ctx.now);
  writeJournal(ctx, "extra-piece", { jobId, reelId: job.reel.id }, {});
  return Number(lastInsertRowid);
}

/** It went back in, stays out, or lies there again. */
export function settleExtraPiece(ctx: Context, jobId: number, id: number, state: ExtraPiece["state"]): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("UPDATE extra_piece SET state = ? WHERE id = ? AND job_id = ?").run(state, id, job.id);
  if (!changes) throw new Refusal("no-piece", "This part is no longer on the list. Reload the page.");
  writeJournal(ctx, "extra-piece-settled", { jobId, reelId: job.reel.id }, { state });
}
