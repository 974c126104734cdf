import { actFromWords, seatFromWords } from "@/core/anatomy/read-older";
import {
  type Anatomy,
  anatomySchema,
  assemblySchema,
  operationSchema,
  type PartType,
  partTypeIdsOf,
  positionSchema,
} from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";
import { Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { rootOf } from "@/data/database/read-once";
import { findPartTypes } from "./part-types";

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

/** A version without the catalogue entries of its seats, which may change their price or name. */
type FrozenVersion = Omit<ModelVersion, "partTypes">;

interface PositionRow {
  id: string;
  assembly_id: string;
  ordinal: number;
  name: string;
  part_type_id: string;
  seat: string;
}

export const findModel = (db: Db, id: string): Model | null =>
  (db.prepare("SELECT id, maker, name, family FROM model WHERE id = ?").get(id) as Model | undefined) ?? null;

/** The newest version of a model. @throws Refusal when there is none. */
export function getCurrentModelVersion(db: Db, modelId: string): ModelVersion {
  const row = db
    .prepare("SELECT id FROM model_version WHERE model_id = ? AND own_reel_id IS NULL ORDER BY number DESC LIMIT 1")
    .get(modelId) as { id: number } | undefined;
  if (!row) throw new Refusal("no-model", "This model is not in the library. Choose one from the list.", "modelId", { to: "new-model" });
  return getModelVersion(db, row.id);
}

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
    partTypes: findPartTypes(db, partTypeIdsOf(version.anatomy)),
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
