import { type ModelNumber, modelNumber, modelNumberIds, type NumbersOfModel } from "@/core/gauges/model-numbers";
import { groupBy } from "@/core/group-by";
import type { FamilyId } from "@/core/vocabulary/families";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

/** What is known of a model beyond its schematic, what scatters drawn to its family. */
export function numbersOfModel(db: Db, model: { readonly id: string; readonly family: FamilyId }): NumbersOfModel {
  const rows = db
    .prepare(
      `SELECT model_number.model_id AS modelId, number, value, words FROM model_number JOIN model ON model.id = model_number.model_id
       WHERE model.family = ? ORDER BY model_number.id`,
    )
    .all(model.family) as { modelId: string; number: ModelNumber | "cam"; value: number | null; words: string }[];
  const own = rows.filter(({ modelId }) => modelId === model.id);
  const measured = modelNumberIds.filter((id) => own.some(({ number }) => number === id));
  const values = modelNumberIds.flatMap((id) => {
    const of = (some: typeof rows) => some.flatMap(({ number, value }) => (number === id && value !== null ? [value] : []));
    // One number for each other model, so that a model measured often does not speak for the family.
    const others = [...groupBy(rows, ({ modelId }) => modelId)].flatMap(([modelId, some]) => {
      const its = modelId === model.id ? [] : of(some);
      return its.length ? [Math.exp(its.reduce((sum, x) => sum + Math.log(x), 0) / its.length)] : [];
    });
    const value = modelNumber(id, of(own), others);
    return value === null ? [] : [[id, value] as const];
  });
  return { values: Object.fromEntries(values), measured, cam: own.filter(({ number }) => number === "cam").at(-1)?.words ?? "" };
}

/** Keeps what was measured on this job's reel for its model; measured again on the same job it takes its own place. */
export function keepModelNumbers(ctx: Context, jobId: number, values: Readonly<Partial<Record<ModelNumber, number>>>, cam: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { model } = machineOf(ctx.db, job);
  const rows: [string, number | null, string][] = [
    ...Object.entries(values).map(([id, value]): [string, number | null, string] => [id, value, ""]),
    ...(cam.trim() ? [["cam", null, cam.trim()] as [string, null, string]] : []),
  ];
  if (!rows.length) throw new Refusal("empty", "There is no number to keep yet.");
  const put = ctx.db.prepare(
    `INSERT INTO model_number (model_id, number, value, words, job_id, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (model_id, number, job_id) DO UPDATE SET value = excluded.value, words = excluded.words, at = excluded.at`,
  );
  for (const [id, value, words] of rows) put.run(model.id, id, value, words, job.id, ctx.now, ctx.person.id);
  writeJournal(ctx, "model-measured", { jobId, reelId: job.reel.id }, { model: model.name, numbers: rows.map(([id]) => id) });
}
