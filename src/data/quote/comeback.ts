import { type Cover, coverLine, isPaidByLine } from "@/core/quote/comeback";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob, type Job } from "@/data/jobs/jobs";

type Comeback = Pick<Job, "id" | "kind" | "comebackOf" | "intake" | "rates">;

/** What each comeback among some jobs covers; other jobs have none. */
export function coversOf(db: Db, jobs: readonly Comeback[]): ReadonlyMap<number, Cover> {
  const back = jobs.flatMap((job) => (job.kind === "comeback" && job.comebackOf !== null ? [{ ...job, before: job.comebackOf }] : []));
  if (!back.length) return new Map();
  const earlier = JSON.stringify(back.map(({ before }) => before));
  const sets = (sql: string): ReadonlyMap<number, ReadonlySet<string>> => {
    const found = new Map<number, Set<string>>();
    for (const [jobId, what] of db.prepare(sql).raw().all(earlier) as [number, string][])
      found.set(jobId, (found.get(jobId) ?? new Set()).add(what));
    return found;
  };
  const found = sets("SELECT job_id, fault_id FROM job_fault WHERE outcome IS NULL AND job_id IN (SELECT value FROM json_each(?))");
  const renewed = sets("SELECT fitted_job_id, position_id FROM instance WHERE fitted_job_id IN (SELECT value FROM json_each(?))");
  const touched = sets(
    `SELECT tray_well.job_id, part_type.role FROM tray_well JOIN job ON job.id = tray_well.job_id
     JOIN position ON position.model_version_id = job.model_version_id AND position.id = tray_well.position_id
     JOIN part_type ON part_type.id = position.part_type_id WHERE tray_well.job_id IN (SELECT value FROM json_each(?))`,
  );
  const saidLines = db.prepare("SELECT line, ours FROM job_cover WHERE job_id = ?").raw();
  const none: ReadonlySet<string> = new Set();
  return new Map(
    back.map(({ id, before, intake, rates }) => [
      id,
      {
        pays: intake.pays ?? "us",
        found: found.get(before) ?? none,
        renewed: renewed.get(before) ?? none,
        // A job from before lines were weighed by what was in our hands stays as it was agreed.
        touched: rates.prices?.byOpening ? (touched.get(before) ?? none) : none,
        said: new Map((saidLines.all(id) as [string, 0 | 1][]).map(([line, ours]) => [line, ours === 1])),
      },
    ]),
  );
}

/** Says of one line of a comeback's quote whether it is ours. @throws Refusal for a job that is no comeback, or of which somebody else pays all. */
export function sayCover(ctx: Context, jobId: number, kind: "fault" | "part", ref: string, ours: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!isPaidByLine({ kind: job.kind, pays: job.intake.pays }))
    throw new Refusal("no-cover", "Only a comeback that we pay for is split line by line.");
  ctx.db
    .prepare(
      "INSERT INTO job_cover (job_id, line, ours, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET ours = excluded.ours, at = excluded.at",
    )
    .run(jobId, coverLine(kind, ref), ours ? 1 : 0, ctx.now);
  writeJournal(ctx, "cover-said", { jobId, reelId: job.reel.id }, { kind, ref, ours });
}
