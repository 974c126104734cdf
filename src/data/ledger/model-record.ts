import { type ModelRecord, modelRecord } from "@/core/proving/model-record";
import { testSpec } from "@/core/proving/protocol";
import type { TestId } from "@/core/vocabulary/tests";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastReadingAfter } from "@/data/database/kept-answers";

/** The record of a model's tests after service, over this shop's jobs; pulls as they would read at a line radius. */
export function recordOfModel(db: Db, modelId: string, lineRadiusMm: number): ReadonlyMap<TestId, ModelRecord> {
  return keptAnswer(db, `record of ${modelId} at ${lineRadiusMm}`, lastReadingAfter(db), () => readRecord(db, modelId, lineRadiusMm));
}

function readRecord(db: Db, modelId: string, lineRadiusMm: number): ReadonlyMap<TestId, ModelRecord> {
  const rows = db
    .prepare(
      `SELECT observation.test_id AS test, observation.value, observation.line_radius_mm AS radius FROM observation
       JOIN job ON job.id = observation.job_id JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND observation.phase = 'after' AND observation.value IS NOT NULL AND observation.simulated = 0
         AND NOT EXISTS (SELECT 1 FROM observation AS later WHERE later.job_id = observation.job_id AND later.test_id = observation.test_id
                         AND later.phase = 'after' AND later.simulated = 0 AND later.id > observation.id)`,
    )
    .all(modelId) as { test: TestId; value: number; radius: number | null }[];
  const values = new Map<TestId, number[]>();
  for (const { test, value, radius } of rows) {
    const pull = testSpec(test).takesLineRadius;
    if (pull && radius === null) continue;
    values.set(test, [...(values.get(test) ?? []), pull ? (value * radius!) / lineRadiusMm : value]);
  }
  return new Map(
    [...values].flatMap(([test, of]) => {
      const record = modelRecord(of);
      return record ? [[test, record] as const] : [];
    }),
  );
}
