import { groupBy } from "@/core/group-by";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { goodByHand, keptAnswer } from "@/core/proving/kept-answer";
import type { Observation, Phase, SkippedTest } from "@/core/proving/observation";
import { canBeTested, testOn } from "@/core/proving/protocol";
import { type TraceSample, traceSchema } from "@/core/proving/trace";
import type { FamilyId } from "@/core/vocabulary/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { toKeep } from "@/data/database/rows";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";

export interface NewObservation {
  readonly jobId: number;
  readonly phase: Phase;
  readonly testId: TestId;
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly lineRadiusMm: number | null;
  readonly setting?: number | null;
  readonly instrument: string;
  readonly simulated: boolean;
  readonly trace: readonly TraceSample[] | null;
}

/** Keeps one answer to one test. A second answer does not erase the first: the newest counts, both stay. */
export function recordObservation(ctx: Context, observation: NewObservation): number {
  const job = getOpenJob(ctx.db, observation.jobId);
  if (observation.simulated && !getShopSettings(ctx.db).simulated)
    throw new Refusal("simulated", "Simulated instruments are off in this shop. Measure it, or switch them on at Shop to try them.", null, {
      to: "people",
    });
  refuseForeign(ctx.db, job, observation.testId);
  const kept = keptAnswer(observation);
  const id = Number(
    ctx.db
      .prepare(
        `INSERT INTO observation (job_id, phase, test_id, verdict, value, unit, line_radius_mm, setting, instrument, simulated, trace, at, person_id)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      )
      .run(
        observation.jobId,
        observation.phase,
        observation.testId,
        observation.verdict,
        kept.value,
        kept.unit,
        kept.lineRadiusMm,
        kept.setting,
        observation.instrument,
        observation.simulated ? 1 : 0,
        observation.trace ? JSON.stringify(toKeep(traceSchema, [...observation.trace])) : null,
        ctx.now,
        ctx.person.id,
      ).lastInsertRowid,
  );
  ctx.db
    .prepare("DELETE FROM skipped_test WHERE job_id = ? AND phase = ? AND test_id = ?")
    .run(observation.jobId, observation.phase, observation.testId);
  writeJournal(
    ctx,
    "tested",
    { jobId: job.id, reelId: job.reel.id },
    { phase: observation.phase, test: observation.testId, verdict: observation.verdict },
  );
  advanceStation(ctx, job, observation.phase === "before" ? "test" : "prove");
  return id;
}

/** Several tests at once, each as it should be by hand: one press where nothing is to be noted. */
export function recordAllGood(
  ctx: Context,
  { jobId, phase, testIds }: { readonly jobId: number; readonly phase: Phase; readonly testIds: readonly TestId[] },
): void {
  for (const testId of testIds) recordObservation(ctx, { jobId, phase, testId, ...goodByHand });
}

/** @throws Refusal for a test that a reel of this family cannot be put to. */
function refuseForeign(db: Db, { modelVersionId }: Pick<Job, "modelVersionId">, testId: TestId): void {
  const family = db
    .prepare("SELECT family FROM model JOIN model_version ON model_version.model_id = model.id WHERE model_version.id = ?")
    .pluck()
    .get(modelVersionId) as FamilyId;
  if (!canBeTested(family, testId))
    throw new Refusal("not-on-this-reel", `${testOn(family, testId).name}: this kind of reel has no such test. Choose another.`);
}

/** Leaves a test out, with its reason or a reason later. An answer given before stays; one given later takes the skip back. */
export function skipTest(ctx: Context, { jobId, phase, testId, reason }: SkippedTest & { jobId: number }): void {
  const job = getOpenJob(ctx.db, jobId);
  refuseForeign(ctx.db, job, testId);
  ctx.db
    .prepare(
      `INSERT INTO skipped_test (job_id, phase, test_id, reason, at, person_id) VALUES (?, ?, ?, ?, ?, ?)
       ON CONFLICT DO UPDATE SET reason = excluded.reason, at = excluded.at, person_id = excluded.person_id`,
    )
    .run(jobId, phase, testId, reason, ctx.now, ctx.person.id);
  writeJournal(ctx, "test-left-out", { jobId, reelId: job.reel.id }, { phase, test: testId, reason });
}

export const listSkipped = (db: Db, jobId: number): SkippedTest[] =>
  db.prepare("SELECT phase, test_id AS testId, reason FROM skipped_test WHERE job_id = ? ORDER BY at, test_id").all(jobId) as SkippedTest[];

/** Every test that the job's path asks for when it comes is answered, or left out. */
export function allTested(db: Db, job: Job, family: FamilyId): boolean {
  const told = new Set<string>([
    ...listObservations(db, job.id).flatMap(({ phase, testId }) => (phase === "before" ? [testId] : [])),
    ...listSkipped(db, job.id).flatMap(({ phase, testId }) => (phase === "before" ? [testId] : [])),
  ]);
  return protocolOfJob(family, job).every(({ id }) => told.has(id));
}

/** By job, the newest verdict of each test before service. */
export function verdictsBefore(db: Db, jobIds: readonly number[]): ReadonlyMap<number, Partial<Record<TestId, Verdict>>> {
  const rows = db
    .prepare(
      `SELECT job_id AS jobId, test_id AS test, verdict FROM observation
       WHERE id IN (SELECT max(id) FROM observation WHERE phase = 'before' AND job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id, test_id)`,
    )
    .all(JSON.stringify(jobIds)) as { jobId: number; test: TestId; verdict: Verdict }[];
  return new Map(
    [...groupBy(rows, ({ jobId }) => jobId)].map(([id, own]) => [id, Object.fromEntries(own.map(({ test, verdict }) => [test, verdict]))]),
  );
}

/** The newest answer to each test of a job, by phase. */
export function listObservations(db: Db, jobId: number): Observation[] {
  const rows = db
    .prepare(
      `SELECT id, test_id, phase, verdict, value, unit, line_radius_mm, setting, instrument, simulated, trace, at FROM observation
       WHERE id IN (SELECT max(id) FROM observation WHERE job_id = ? GROUP BY phase, test_id) ORDER BY id`,
    )
    .all(jobId) as {
    id: number;
    test_id: TestId;
    phase: Phase;
    verdict: Verdict;
    value: number | null;
    unit: string | null;
    line_radius_mm: number | null;
    setting: number | null;
    instrument: string;
    simulated: 0 | 1;
    trace: string | null;
    at: string;
  }[];
  return rows.map((row) => ({
    id: row.id,
    testId: row.test_id,
    phase: row.phase,
    verdict: row.verdict,
    value: row.value,
    unit: row.unit,
    lineRadiusMm: row.line_radius_mm,
    setting: row.setting,
    instrument: row.instrument,
    simulated: row.simulated === 1,
    trace: row.trace ? traceSchema.parse(JSON.parse(row.trace)) : null,
    at: row.at,
  }));
}
