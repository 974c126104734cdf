import { editOperation, editSeat, freeOperationId, startDraft } from "@/core/anatomy/draft";
import { type Anatomy, operationSchema, placeOperationId } from "@/core/anatomy/types";
import { type TaughtBatch, taughtBatches } from "@/core/hands/taught-batches";
import { type LearnedMinutes, learnedMinutes } from "@/core/teardown/learned-minutes";
import { getCurrentModelVersion, getModelVersion } from "@/data/catalogue/models";
import { addModelVersion } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { toKeep } from "@/data/database/rows";
import { getOpenJob } from "@/data/jobs/jobs";

/** What each act of a model took at this bench, over all its jobs. */
export function listLearnedMinutes(db: Db, modelId: string): LearnedMinutes[] {
  const rows = db
    .prepare(
      `SELECT build_step.job_id AS jobId, build_step.operation_id AS operationId, build_step.at
       FROM build_step JOIN job ON job.id = build_step.job_id JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND build_step.state = 'done'`,
    )
    .all(modelId) as { jobId: number; operationId: string; at: string }[];
  return learnedMinutes(rows.map(({ jobId, operationId, at }) => ({ jobId, operationId, atMs: Date.parse(at) })));
}

/** What hands took off one right after the other in this model's jobs, though it is not one act yet. */
export function listTaughtBatches(db: Db, modelId: string, anatomy: Anatomy): TaughtBatch[] {
  const rows = db
    .prepare(
      `SELECT tray_well.job_id AS jobId, min(tray_well.position_id) AS positionId, tray_well.well, tray_well.taken_at AS at
       FROM tray_well JOIN job ON job.id = tray_well.job_id JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? GROUP BY tray_well.job_id, tray_well.well HAVING count(*) = 1`,
    )
    .all(modelId) as { jobId: number; positionId: string; well: number; at: string }[];
  return taughtBatches(
    anatomy,
    rows.map(({ jobId, positionId, well, at }) => ({ jobId, positionId, well, atMs: Date.parse(at) })),
  );
}

/** The act of an anatomy by its id; fitting a part is an act too, though most models say nothing of it. */
function actOf(anatomy: Anatomy, id: string) {
  const own = anatomy.operations.find((operation) => operation.id === id);
  if (own) return own;
  const position = anatomy.positions.find((seat) => placeOperationId(seat.id) === id);
  return position ? operationSchema.parse({ id, kind: "place", positionId: position.id, words: `Fit ${position.name}` }) : null;
}

/** Puts everything this bench has timed into a model's playbook, as its next version. */
export function putMinutesIn(ctx: Context, modelId: string, baseNumber: number): { number: number } {
  const current = getCurrentModelVersion(ctx.db, modelId);
  if (current.number !== baseNumber)
    throw new Refusal("changed-elsewhere", `Version ${current.number} was saved in another window. Reload to see it, then press again.`);
  let draft = startDraft(current.anatomy);
  for (const { operationId, median } of listLearnedMinutes(ctx.db, modelId)) {
    const act = actOf(current.anatomy, operationId);
    if (act && act.minutes !== median) draft = editOperation(draft, { ...act, minutes: median });
  }
  if (draft.anatomy === current.anatomy) throw new Refusal("nothing-new", "The playbook has these minutes already.");
  addModelVersion(ctx, modelId, { lineRadiusMm: current.lineRadiusMm, anatomy: draft.anatomy });
  return { number: current.number + 1 };
}

export interface Lesson {
  readonly about: "caution" | "trap" | "confirmed";
  readonly positionId: string;
  /** What to say at the seat; empty for a confirmation. */
  readonly words: string;
}

/**
 * What a job taught goes into its model's playbook by one act, as the next version: a caution or trap at a seat, or that a seat is as the
 * model says. The job itself keeps the version it was opened with.
 */
export function learn(ctx: Context, jobId: number, lesson: Lesson): { number: number } {
  const job = getOpenJob(ctx.db, jobId);
  const { model } = getModelVersion(ctx.db, job.modelVersionId);
  const current = getCurrentModelVersion(ctx.db, model.id);
  const seat = current.anatomy.positions.find((position) => position.id === lesson.positionId);
  if (!seat)
    throw new Refusal("no-seat", "The newest version of this model has no such seat. See its schematic in the Library.", null, {
      to: "model",
      modelId: model.id,
      page: "",
    });
  const words = lesson.words.trim();
  if (lesson.about !== "confirmed" && !words) throw new Refusal("empty", "What should it say at this seat?", "words");
  const before = lesson.about === "confirmed" ? "" : (seat[lesson.about] ?? "");
  if (words && before.includes(words)) throw new Refusal("known", "The playbook says this already.", "words");
  const note = `${before} ${words}`.trim();
  if (note.length > 200)
    throw new Refusal("too-long", "With the text already at this seat it is more than 200 characters. Shorten it.", "words");
  const change = lesson.about === "confirmed" ? { verify: [], guessed: false } : { [lesson.about]: note };
  addModelVersion(ctx, model.id, {
    lineRadiusMm: current.lineRadiusMm,
    anatomy: editSeat(startDraft(current.anatomy), seat.id, change).anatomy,
  });
  writeJournal(ctx, "lesson-learned", { jobId, reelId: job.reel.id }, { model: model.id, position: seat.id, about: lesson.about });
  return { number: current.number + 1 };
}

/**
 * An act a job taught goes into its model's playbook after the one it follows, as the next version: something to do, or a gate to look at.
 * @throws Refusal when the newest version has no such act to follow.
 */
export function learnAct(
  ctx: Context,
  jobId: number,
  taught: { afterOperationId: string; kind: "gate" | "press"; words: string },
): { number: number } {
  const job = getOpenJob(ctx.db, jobId);
  const { model } = getModelVersion(ctx.db, job.modelVersionId);
  const { anatomy, lineRadiusMm, number } = getCurrentModelVersion(ctx.db, model.id);
  const words = taught.words.trim();
  if (!words) throw new Refusal("empty", "What should be done or checked?", "words");
  if (!actOf(anatomy, taught.afterOperationId))
    throw new Refusal("no-act", "The newest version of this model has no such step. See its playbook in the Library.", null, {
      to: "model",
      modelId: model.id,
      page: "playbook",
    });
  if (anatomy.operations.some((operation) => operation.words === words))
    throw new Refusal("known", "The playbook has this step already.", "words");
  const act = toKeep(operationSchema, {
    id: freeOperationId(anatomy, taught.kind),
    kind: taught.kind,
    words,
    after: [taught.afterOperationId],
  });
  addModelVersion(ctx, model.id, { lineRadiusMm, anatomy: editOperation(startDraft(anatomy), act).anatomy });
  writeJournal(ctx, "act-learned", { jobId, reelId: job.reel.id }, { model: model.id, after: taught.afterOperationId });
  return { number: number + 1 };
}
