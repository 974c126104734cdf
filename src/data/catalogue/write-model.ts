import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import type { Draft } from "@/core/anatomy/draft";
import { settleDraft } from "@/core/anatomy/settle-draft";
import { type Anatomy, partTypeIdsOf } from "@/core/anatomy/types";
import { seenValue } from "@/core/seen/seen";
import { familyWords } from "@/core/vocabulary/families";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { findModel, getCurrentModelVersion, type Model } from "./models";
import { addPartType, findPartType } from "./part-types";

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
export function addModelVersion(
  ctx: Context,
  modelId: string,
  version: { lineRadiusMm: number; anatomy: Anatomy },
  /** The one reel it is the machine of; null for the model's own next version. */
  ownReelId: number | null = null,
): number {
  const { db } = ctx;
  const { anatomy } = version;
  const types = partTypeIdsOf(anatomy)
    .map((partTypeId) => findPartType(db, partTypeId))
    .filter((type) => type !== null);
  const faults = checkAnatomy(anatomy, types);
  if (faults.length) throw new Refusal("anatomy", faults.map((fault) => fault.message).join("\n"));
  const number = (
    db.prepare("SELECT coalesce(max(number), 0) + 1 AS next FROM model_version WHERE model_id = ?").get(modelId) as { next: number }
  ).next;
  const id = Number(
    db
      .prepare(
        "INSERT INTO model_version (model_id, number, line_radius_mm, editions, gear_pairs, batches, own_reel_id) VALUES (?, ?, ?, ?, ?, ?, ?)",
      )
      .run(
        modelId,
        number,
        version.lineRadiusMm,
        JSON.stringify(anatomy.editions),
        JSON.stringify(anatomy.gearPairs),
        JSON.stringify(anatomy.batches),
        ownReelId,
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

/** What a model is called, for a form that changes it. */
export const seenModelName = ({ maker, name }: Pick<Model, "maker" | "name">): string => seenValue(JSON.stringify([maker, name]));

/** Names a model anew: one taken in as not known, or wrongly read. @throws Refusal where another has that name already. */
export function nameModel(
  ctx: Context,
  modelId: string,
  { maker, name, seen }: { readonly maker: string; readonly name: string; readonly seen: string | null },
): void {
  const { db } = ctx;
  const model = findModel(db, modelId);
  if (!model) throw new Refusal("no-model", "This model no longer exists. Reload the page.");
  refuseUnseen(seen, seenModelName(model), "The model's name", "name");
  const other = db.prepare("SELECT id FROM model WHERE maker = ? AND name = ? AND id <> ?").pluck().get(maker, name, modelId);
  if (other !== undefined) throw new Refusal("name-taken", `${maker} ${name} already exists: choose another name.`, "name");
  db.prepare("UPDATE model SET maker = ?, name = ? WHERE id = ?").run(maker, name, modelId);
  indexForFind(db, {
    kind: "model",
    ref: modelId,
    title: `${maker} ${name}`,
    words: `${maker} ${name} ${familyWords[model.family]}`,
  });
  writeJournal(ctx, "model-named", {}, { model: modelId, was: `${model.maker} ${model.name}`, is: `${maker} ${name}` });
}

/** Keeps what a reel of a model is worth: jobs where nobody typed a value go by it. */
export function setModelWorth(ctx: Context, modelId: string, valueMinor: number | null, seen: string | null = null): void {
  refuseUnseen(seen, seenValue(modelWorth(ctx.db, modelId)), "What it is worth", "value");
  const { changes } = ctx.db.prepare("UPDATE model SET value_minor = ? WHERE id = ?").run(valueMinor, modelId);
  if (!changes) throw new Refusal("no-model", "This model no longer exists. Reload the page.");
  writeJournal(ctx, "model-worth", {}, { model: modelId, valueMinor });
}

/** A job now depends on this version: from here on it cannot change. */
export function markModelVersionUsed(db: Db, id: number): void {
  db.prepare("UPDATE model_version SET used = 1 WHERE id = ? AND used = 0").run(id);
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
