import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { type AnatomyChange, compareAnatomies } from "@/core/anatomy/compare-anatomies";
import type { Draft } from "@/core/anatomy/draft";
import { actFromWords, seatFromWords } from "@/core/anatomy/read-older";
import { settleDraft } from "@/core/anatomy/settle-draft";
import { type Anatomy, anatomySchema, assemblySchema, operationSchema, type PartType, positionSchema } from "@/core/anatomy/types";
import { seenValue } from "@/core/seen/seen";
import { type FamilyId, familyWords } from "@/core/vocabulary/families";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { findAnything, indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { rootOf } from "@/data/database/read-once";
import { refuseUnseen } from "@/data/database/unseen";
import { addPartType, findPartType, findPartTypes } from "./part-types";

export interface Model {
  readonly id: string;
  readonly maker: string;
  readonly name: string;
  readonly family: FamilyId;
}

export interface ModelVersion {
  readonly id: number;
  readonly model: Model;
  readonly number: number;
  /** Half the spool's line diameter at a normal fill: what a pull is compared at when nobody measured it. */
  readonly lineRadiusMm: number;
  readonly anatomy: Anatomy;
  readonly partTypes: ReadonlyMap<string, PartType>;
}

/** What a model file holds, however it was read. */
export interface ModelFileContent {
  readonly model: Model;
  readonly lineRadiusMm: number;
  readonly partTypes: readonly PartType[];
  readonly anatomy: Anatomy;
}

/** Whether any model stands in the library. */
export const hasModels = (db: Db): boolean => db.prepare("SELECT 1 FROM model LIMIT 1").get() !== undefined;

/** Adds a model with its first version. @throws Refusal naming what does not fit together. */
export function addModel(ctx: Context, model: Model, version: { lineRadiusMm: number; anatomy: Anatomy }): number {
  ctx.db.prepare("INSERT INTO model (id, maker, name, family) VALUES (?, ?, ?, ?)").run(model.id, model.maker, model.name, model.family);
  indexForFind(ctx.db, {
    kind: "model",
    ref: model.id,
    title: `${model.maker} ${model.name}`,
    words: `${model.maker} ${model.name} ${familyWords[model.family]}`,
  });
  return addModelVersion(ctx, model.id, version);
}

/** A changed machine is a new version; jobs keep the one they were opened with. */
export function addModelVersion(ctx: Context, modelId: string, version: { lineRadiusMm: number; anatomy: Anatomy }): number {
  const { db } = ctx;
  const { anatomy } = version;
  const types = anatomy.positions.map((position) => findPartType(db, position.partTypeId)).filter((type) => type !== null);
  const faults = checkAnatomy(anatomy, types);
  if (faults.length) throw new Refusal("anatomy", faults.map((fault) => fault.message).join("\n"));
  const number = (
    db.prepare("SELECT coalesce(max(number), 0) + 1 AS next FROM model_version WHERE model_id = ?").get(modelId) as { next: number }
  ).next;
  const id = Number(
    db
      .prepare("INSERT INTO model_version (model_id, number, line_radius_mm, editions, gear_pairs, batches) VALUES (?, ?, ?, ?, ?, ?)")
      .run(
        modelId,
        number,
        version.lineRadiusMm,
        JSON.stringify(anatomy.editions),
        JSON.stringify(anatomy.gearPairs),
        JSON.stringify(anatomy.batches),
      ).lastInsertRowid,
  );
  const addAssembly = db.prepare("INSERT INTO assembly (model_version_id, id, ordinal, name, side, more) VALUES (?, ?, ?, ?, ?, ?)");
  anatomy.assemblies.forEach((assembly, index) => {
    const { id: assemblyId, name, side, ...more } = assembly;
    addAssembly.run(id, assemblyId, index, name, side, JSON.stringify(more));
  });
  const addPosition = db.prepare(
    "INSERT INTO position (model_version_id, id, assembly_id, ordinal, name, part_type_id, seat) VALUES (?, ?, ?, ?, ?, ?, ?)",
  );
  for (const { id: positionId, assemblyId, ordinal, name, partTypeId, ...seat } of anatomy.positions)
    addPosition.run(id, positionId, assemblyId, ordinal, name, partTypeId, JSON.stringify(seat));
  const addOperation = db.prepare(
    "INSERT INTO operation (model_version_id, id, ordinal, kind, position_id, act) VALUES (?, ?, ?, ?, ?, ?)",
  );
  anatomy.operations.forEach(({ id: operationId, kind, positionId, ...act }, index) => {
    addOperation.run(id, operationId, index, kind, positionId ?? null, JSON.stringify(act));
  });
  writeJournal(ctx, "model-version-added", {}, { modelId, number });
  return id;
}

/** What a reel of a model is worth as it is, minor units; null where nobody said. */
export const modelWorth = (db: Db, modelId: string): number | null =>
  (db.prepare("SELECT value_minor FROM model WHERE id = ?").pluck().get(modelId) as number | null | undefined) ?? null;

/** Keeps what a reel of a model is worth: jobs where nobody typed a value go by it. */
export function setModelWorth(ctx: Context, modelId: string, valueMinor: number | null, seen: string | null = null): void {
  refuseUnseen(seen, seenValue(modelWorth(ctx.db, modelId)), "What it is worth", "value");
  const { changes } = ctx.db.prepare("UPDATE model SET value_minor = ? WHERE id = ?").run(valueMinor, modelId);
  if (!changes) throw new Refusal("no-model", "This model is gone by now. Reload the page.");
  writeJournal(ctx, "model-worth", {}, { model: modelId, valueMinor });
}

/** A job now depends on this version: from here on it cannot change. */
export function markModelVersionUsed(db: Db, id: number): void {
  db.prepare("UPDATE model_version SET used = 1 WHERE id = ? AND used = 0").run(id);
}

/** Maker and name of some models, by id. */
export const modelNames = (db: Db, ids: readonly string[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    (db.prepare("SELECT id, maker, name FROM model WHERE id IN (SELECT value FROM json_each(?))").all(JSON.stringify(ids)) as Model[]).map(
      ({ id, maker, name }) => [id, `${maker} ${name}`],
    ),
  );

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
}

export const countModels = (db: Db): number => (db.prepare("SELECT count(*) AS models FROM model").get() as { models: number }).models;

/** A page of models with their newest version's number and counts, without reading any machine. `only` narrows to some, in the same order. */
export const listModelsWithCounts = (db: Db, page: { limit: number; offset: number; only?: readonly string[] | undefined }): ModelLine[] =>
  db
    .prepare(
      `SELECT model.id, model.maker, model.name, model.family, newest.number, json_array_length(newest.editions) AS editions,
              (SELECT count(*) FROM position WHERE model_version_id = newest.id) AS seats,
              (SELECT count(*) FROM position WHERE model_version_id = newest.id AND seat ->> 'guessed' = 1) AS guessed,
              (SELECT count(*) FROM reel WHERE reel.model_id = model.id) AS reels
       FROM model JOIN model_version AS newest ON newest.model_id = model.id
       WHERE newest.number = (SELECT max(number) FROM model_version WHERE model_id = model.id)
         AND (@only IS NULL OR model.id IN (SELECT value FROM json_each(@only)))
       ORDER BY model.maker, model.name LIMIT @limit OFFSET @offset`,
    )
    .all({ limit: page.limit, offset: page.offset, only: page.only ? JSON.stringify(page.only) : null }) as ModelLine[];

/** Models and parts by the beginnings of their words: maker, name, family; number, name, role, material. */
export function findModelsAndParts(db: Db, text: string): { modelIds: string[]; parts: PartType[] } {
  const hits = findAnything(db, text, 200, ["model", "part"]);
  return {
    modelIds: hits.filter((hit) => hit.kind === "model").map((hit) => hit.ref),
    parts: hits.flatMap((hit) => (hit.kind === "part" ? [findPartType(db, hit.ref)] : [])).filter((part) => part !== null),
  };
}

export const findModel = (db: Db, id: string): Model | null =>
  (db.prepare("SELECT id, maker, name, family FROM model WHERE id = ?").get(id) as Model | undefined) ?? null;

/** The newest version of a model. @throws Refusal when there is none. */
export function getCurrentModelVersion(db: Db, modelId: string): ModelVersion {
  const row = db.prepare("SELECT id FROM model_version WHERE model_id = ? ORDER BY number DESC LIMIT 1").get(modelId) as
    | { id: number }
    | undefined;
  if (!row) throw new Refusal("no-model", "This model is not in the library. Choose one from the list.", "modelId", { to: "new-model" });
  return getModelVersion(db, row.id);
}

interface PositionRow {
  id: string;
  assembly_id: string;
  ordinal: number;
  name: string;
  part_type_id: string;
  seat: string;
}

/** A version without the catalogue entries of its seats, which may change their price or name. */
type FrozenVersion = Omit<ModelVersion, "partTypes">;

/** What a used version holds never changes: each is read and checked once per process. */
const readVersions = new WeakMap<Db, Map<number, FrozenVersion>>();

/** One version with its whole machine and the catalogue entries its seats ask for. @throws Error for an unknown id. */
export function getModelVersion(db: Db, id: number): ModelVersion {
  const root = rootOf(db);
  const read = readVersions.get(root) ?? readVersions.set(root, new Map()).get(root)!;
  let version = read.get(id);
  if (!version) {
    const { used, ...fresh } = readVersion(db, id);
    version = fresh;
    if (used) read.set(id, fresh);
  }
  return {
    ...version,
    partTypes: findPartTypes(
      db,
      version.anatomy.positions.map(({ partTypeId }) => partTypeId),
    ),
  };
}

function readVersion(db: Db, id: number): FrozenVersion & { readonly used: boolean } {
  const version = db
    .prepare(
      `SELECT model_version.id, model_version.number, model_version.used, model_version.line_radius_mm, model_version.editions, model_version.gear_pairs, model_version.batches, model.id AS model_id, model.maker, model.name, model.family
       FROM model_version JOIN model ON model.id = model_version.model_id WHERE model_version.id = ?`,
    )
    .get(id) as
    | {
        id: number;
        number: number;
        used: 0 | 1;
        line_radius_mm: number;
        editions: string;
        gear_pairs: string;
        batches: string;
        model_id: string;
        maker: string;
        name: string;
        family: FamilyId;
      }
    | undefined;
  if (!version) throw new Error(`getModelVersion: no version ${id}`);
  const assemblies = (
    db.prepare("SELECT id, name, side, more FROM assembly WHERE model_version_id = ? ORDER BY ordinal").all(id) as {
      id: string;
      name: string;
      side: string;
      more: string;
    }[]
  ).map(({ more, ...assembly }) => assemblySchema.parse({ ...(JSON.parse(more) as object), ...assembly }));
  const positions = (
    db
      .prepare("SELECT id, assembly_id, ordinal, name, part_type_id, seat FROM position WHERE model_version_id = ?")
      .all(id) as PositionRow[]
  ).map((row) =>
    positionSchema.parse({
      ...seatFromWords(JSON.parse(row.seat) as object),
      id: row.id,
      assemblyId: row.assembly_id,
      ordinal: row.ordinal,
      name: row.name,
      partTypeId: row.part_type_id,
    }),
  );
  const operations = (
    db.prepare("SELECT id, kind, position_id, act FROM operation WHERE model_version_id = ? ORDER BY ordinal").all(id) as {
      id: string;
      kind: string;
      position_id: string | null;
      act: string;
    }[]
  ).map((row) =>
    operationSchema.parse({
      ...actFromWords({ ...(JSON.parse(row.act) as object), kind: row.kind }),
      id: row.id,
      positionId: row.position_id ?? undefined,
    }),
  );
  return {
    used: version.used === 1,
    id: version.id,
    number: version.number,
    lineRadiusMm: version.line_radius_mm,
    model: { id: version.model_id, maker: version.maker, name: version.name, family: version.family },
    anatomy: {
      assemblies,
      positions,
      operations,
      editions: anatomySchema.shape.editions.parse(JSON.parse(version.editions)),
      gearPairs: anatomySchema.shape.gearPairs.parse(JSON.parse(version.gear_pairs)),
      batches: anatomySchema.shape.batches.parse(JSON.parse(version.batches)),
    },
  };
}

/**
 * Saves what was edited at a model's drawing as its next version.
 * @throws Refusal when somebody saved first, or when the machine no longer fits, naming parts and millimetres.
 */
export function reviseModel(ctx: Context, modelId: string, baseNumber: number, draft: Draft): { number: number } {
  const current = getCurrentModelVersion(ctx.db, modelId);
  if (current.number !== baseNumber)
    throw new Refusal(
      "changed-elsewhere",
      `Version ${current.number} was saved in another window. Reload to see it, then make your changes again.`,
    );
  const bases = Object.values(draft.parts).flatMap(({ from }) => (from === null ? [] : [findPartType(ctx.db, from)]));
  const catalogue = new Map(bases.flatMap((part) => (part ? [[part.id, part] as const] : [])));
  const { anatomy, newPartTypes } = settleDraft(draft, catalogue, current.number + 1);
  for (const part of newPartTypes) addPartType(ctx, part);
  addModelVersion(ctx, modelId, { lineRadiusMm: current.lineRadiusMm, anatomy });
  return { number: current.number + 1 };
}

/** What bringing a model file in would do: nothing is written. */
export function previewModelFile(db: Db, file: ModelFileContent): { known: boolean; changes: AnatomyChange[] } {
  if (!findModel(db, file.model.id)) return { known: false, changes: [] };
  const current = getCurrentModelVersion(db, file.model.id);
  return { known: true, changes: compareAnatomies({ anatomy: current.anatomy, partTypes: [...current.partTypes.values()] }, file) };
}

/** Brings a model file in: a new model, or the next version of a known one. Part types are never overwritten: one that differs is refused. */
export function bringModelIn(ctx: Context, file: ModelFileContent): { number: number } {
  for (const part of file.partTypes) {
    const known = findPartType(ctx.db, part.id);
    if (!known) addPartType(ctx, part);
    else if (JSON.stringify(known) !== JSON.stringify(part))
      throw new Refusal(
        "part-differs",
        `Part ${part.number} is in the catalogue with other data. Give the file's part an id and number of its own.`,
      );
  }
  const version = { lineRadiusMm: file.lineRadiusMm, anatomy: file.anatomy };
  if (findModel(ctx.db, file.model.id)) addModelVersion(ctx, file.model.id, version);
  else addModel(ctx, file.model, version);
  return { number: getCurrentModelVersion(ctx.db, file.model.id).number };
}
