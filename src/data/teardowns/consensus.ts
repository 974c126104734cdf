import type { LessonKind } from "@/core/anatomy/consensus";
import { type Consensus, consensusOf, consensusParts } from "@/core/anatomy/consensus";
import { editSeat, startDraft } from "@/core/anatomy/draft";
import { guessAnatomy } from "@/core/anatomy/guess-anatomy";
import { listLooseParts } from "@/data/bench/loose-parts";
import { familyOf } from "@/data/catalogue/built";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { addPartType } from "@/data/catalogue/part-types";
import { addModelVersion, reviseModel } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { listSeatWear } from "@/data/ledger/seat-wear";

/** So many teardowns say more than one. */
const leastTeardowns = 2;

/** Jobs of a model that were taken apart without a schematic, the first first. */
const teardownsOf = (db: Db, modelId: string): { jobId: number; tag: string }[] =>
  db
    .prepare(
      `SELECT job.id AS jobId, job.tag FROM job JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND EXISTS (SELECT 1 FROM loose_part WHERE loose_part.job_id = job.id) ORDER BY job.id`,
    )
    .all(modelId) as { jobId: number; tag: string }[];

/** What the teardowns of a model agree on, with whose they are; null under two of them. */
export function consensusOfModel(db: Db, modelId: string): (Consensus & { readonly tags: readonly string[] }) | null {
  const teardowns = teardownsOf(db, modelId);
  if (teardowns.length < leastTeardowns) return null;
  return { ...consensusOf(teardowns.map(({ jobId }) => listLooseParts(db, jobId))), tags: teardowns.map(({ tag }) => tag) };
}

/** Makes what the teardowns agree on the model's schematic. @throws Refusal where there is one already, or too few teardowns. */
export function takeConsensus(ctx: Context, modelId: string): { readonly seats: number } {
  const version = getCurrentModelVersion(ctx.db, modelId);
  if (version.anatomy.positions.length) throw new Refusal("has-schematic", "This model has a schematic already.");
  const consensus = consensusOfModel(ctx.db, modelId);
  if (!consensus) throw new Refusal("too-few", "Two teardowns are needed before they can agree on anything.");
  const parts = consensusParts(consensus);
  const { anatomy, partTypes } = guessAnatomy(parts, `c${version.number}-${modelId}`.slice(0, 40), familyOf(ctx.db, version.model));
  for (const part of partTypes) addPartType(ctx, part);
  addModelVersion(ctx, modelId, { lineRadiusMm: version.lineRadiusMm, anatomy });
  writeJournal(ctx, "consensus-taken", {}, { model: modelId, teardowns: consensus.teardowns, seats: parts.length });
  return { seats: parts.length };
}

/** What jobs taught of a seat, in a sentence that can be said there. */
export interface Lesson {
  readonly kind: LessonKind;
  readonly seatId: string;
  readonly name: string;
  readonly words: string;
  /** It is said at the seat already. */
  readonly said: boolean;
}

/** Under so many looks a seat says nothing of itself. */
const leastSeen = 5;
/** From such a share of all looks on it is said to fail often. */
const oftenWorn = 0.25;
/** So many jobs have to have found another count. */
const leastCounted = 2;

/** An earlier sentence, with other figures in it. */
const earlier: Readonly<Record<LessonKind, RegExp>> = {
  fails: /\s*Fails often: worn in \d+ of \d+ reels opened here\./,
  count: /\s*Count them: \d+ found in \d+ of \d+ reels\./,
};

/** Seats in which several jobs found another count than one, with how many jobs looked. */
const countsFound = (db: Db, modelId: string) => {
  const rows = db
    .prepare(
      `SELECT position_id AS seatId, found_count AS count, count(*) AS jobs FROM tray_well JOIN job ON job.id = tray_well.job_id
       JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND found_count > 1 GROUP BY position_id, found_count HAVING count(*) >= ${leastCounted}`,
    )
    .all(modelId) as { seatId: string; count: number; jobs: number }[];
  const seen = db.prepare(
    `SELECT count(*) FROM tray_well JOIN job ON job.id = tray_well.job_id JOIN model_version ON model_version.id = job.model_version_id
     WHERE model_version.model_id = ? AND position_id = ? AND verdict <> 'missing'`,
  );
  return rows.map((row) => ({ ...row, seen: seen.pluck().get(modelId, row.seatId) as number }));
};

/** What jobs taught of a model's seats: which fail often, the worst first, and where another count lay than is drawn. */
export function lessonsOf(db: Db, modelId: string): Lesson[] {
  const { anatomy } = getCurrentModelVersion(db, modelId);
  const wear = listSeatWear(db, modelId);
  // Of jobs that are finished: between two of them nothing changes.
  const counts = keptAnswer(db, `counts found on ${modelId}`, lastHandedBack(db), () => countsFound(db, modelId));
  const cautions = new Map(anatomy.positions.map(({ id, caution }) => [id, caution ?? ""]));
  const lesson = (kind: LessonKind, seatId: string, name: string, words: string): Lesson => ({
    kind,
    seatId,
    name,
    words,
    said: cautions.get(seatId)!.includes(words),
  });
  const names = new Map(anatomy.positions.map(({ id, name }) => [id, name]));
  return [
    ...anatomy.positions
      .flatMap(({ id, name }) => {
        const own = wear[id];
        return own && own.seen >= leastSeen && own.worn / own.seen >= oftenWorn ? [{ id, name, ...own }] : [];
      })
      .sort((a, b) => b.worn / b.seen - a.worn / a.seen)
      .map(({ id, name, seen, worn }) => lesson("fails", id, name, `Fails often: worn in ${worn} of ${seen} reels opened here.`)),
    ...counts.flatMap(({ seatId, count, jobs, seen }) => {
      const name = names.get(seatId);
      return name ? [lesson("count", seatId, name, `Count them: ${count} found in ${jobs} of ${seen} reels.`)] : [];
    }),
  ];
}

/** Says at a seat, in the model's next version, what jobs taught of it. */
export function takeLesson(
  ctx: Context,
  modelId: string,
  baseNumber: number,
  { seatId, kind }: Pick<Lesson, "seatId" | "kind">,
): { readonly number: number } {
  const lesson = lessonsOf(ctx.db, modelId).find((one) => one.seatId === seatId && one.kind === kind);
  if (!lesson) throw new Refusal("no-lesson", "Jobs no longer say this about the seat. Reload the page.");
  const { anatomy } = getCurrentModelVersion(ctx.db, modelId);
  // What somebody wrote there stays before it.
  const own = (anatomy.positions.find(({ id }) => id === seatId)?.caution ?? "").replace(earlier[kind], "").trim();
  const caution = `${own}${own ? " " : ""}${lesson.words}`.slice(0, 200);
  return reviseModel(ctx, modelId, baseNumber, editSeat(startDraft(anatomy), seatId, { caution }));
}
