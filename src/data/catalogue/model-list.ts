import type { PartType } from "@/core/anatomy/types";
import type { Db } from "@/data/database/database";
import { findAnything } from "@/data/database/find";
import type { Model } from "./models";
import { findPartType } from "./part-types";

/** Whether any model stands in the library. */
export const hasModels = (db: Db): boolean => db.prepare("SELECT 1 FROM model LIMIT 1").get() !== undefined;

/** Maker and name of some models, by id. */
export const modelNames = (db: Db, ids: readonly string[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    (db.prepare("SELECT id, maker, name FROM model WHERE id IN (SELECT value FROM json_each(?))").all(JSON.stringify(ids)) as Model[]).map(
      ({ id, maker, name }) => [id, `${maker} ${name}`],
    ),
  );

/** Models of a family, by name. */
export const listModelsOfFamily = (db: Db, family: Model["family"]): Model[] =>
  db.prepare("SELECT id, maker, name, family FROM model WHERE family = ? ORDER BY maker, name LIMIT 500").all(family) as Model[];

/** Models by the beginnings of maker, name and family, best first; with nothing typed those that came in last. */
export function searchModels(db: Db, text: string, limit: number): Model[] {
  if (!text.trim())
    return db
      .prepare(
        `SELECT id, maker, name, family FROM model
         ORDER BY (SELECT max(reel.id) FROM reel WHERE reel.model_id = model.id) DESC, maker, name LIMIT ?`,
      )
      .all(limit) as Model[];
  const found = findAnything(db, text, limit, ["model"]).map(({ ref }) => ref);
  const rows = db
    .prepare("SELECT id, maker, name, family FROM model WHERE id IN (SELECT value FROM json_each(?))")
    .all(JSON.stringify(found)) as Model[];
  return rows.sort((a, b) => found.indexOf(a.id) - found.indexOf(b.id));
}

export interface ModelLine extends Model {
  readonly number: number;
  readonly seats: number;
  readonly guessed: number;
  readonly editions: number;
  readonly reels: number;
  /** A reel of it was taken apart by its schematic and went home: till then it is only as somebody wrote it down. */
  readonly verified: boolean;
}

/** Whether a reel of a model was taken apart by its schematic, put together and returned. */
const wasBuilt = `EXISTS (SELECT 1 FROM job JOIN reel ON reel.id = job.reel_id JOIN tray_well ON tray_well.job_id = job.id
                          WHERE reel.model_id = model.id AND job.closed_at IS NOT NULL AND job.declined_reason IS NULL)`;

export const isVerified = (db: Db, modelId: string): boolean =>
  db.prepare(`SELECT ${wasBuilt} FROM model WHERE id = ?`).pluck().get(modelId) === 1;

export const countModels = (db: Db): number => (db.prepare("SELECT count(*) AS models FROM model").get() as { models: number }).models;

/** A page of models with their newest version's number and counts, without reading any machine. `only` narrows to some, in the same order. */
export const listModelsWithCounts = (db: Db, page: { limit: number; offset: number; only?: readonly string[] | undefined }): ModelLine[] =>
  (
    db
      .prepare(
        `SELECT model.id, model.maker, model.name, model.family, newest.number, json_array_length(newest.editions) AS editions,
              (SELECT count(*) FROM position WHERE model_version_id = newest.id) AS seats,
              (SELECT count(*) FROM position WHERE model_version_id = newest.id AND seat ->> 'guessed' = 1) AS guessed,
              (SELECT count(*) FROM reel WHERE reel.model_id = model.id) AS reels,
              ${wasBuilt} AS verified
       FROM model JOIN model_version AS newest ON newest.model_id = model.id
       WHERE newest.number = (SELECT max(number) FROM model_version WHERE model_id = model.id AND own_reel_id IS NULL)
         AND (@only IS NULL OR model.id IN (SELECT value FROM json_each(@only)))
       ORDER BY model.maker, model.name LIMIT @limit OFFSET @offset`,
      )
      .all({ limit: page.limit, offset: page.offset, only: page.only ? JSON.stringify(page.only) : null }) as (Omit<
      ModelLine,
      "verified"
    > & { verified: 0 | 1 })[]
  ).map((line) => ({ ...line, verified: line.verified === 1 }));

/** Models and parts by the beginnings of their words: maker, name, family; number, name, role, material. */
export function findModelsAndParts(db: Db, text: string): { modelIds: string[]; parts: PartType[] } {
  const hits = findAnything(db, text, 200, ["model", "part"]);
  return {
    modelIds: hits.filter((hit) => hit.kind === "model").map((hit) => hit.ref),
    parts: hits.flatMap((hit) => (hit.kind === "part" ? [findPartType(db, hit.ref)] : [])).filter((part) => part !== null),
  };
}
