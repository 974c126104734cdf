import { changedBuild } from "@/core/families/changed-build";
import { familyWith } from "@/core/families/families";
import { addModelVersion } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { builtOf, ownPart } from "./built";
import { findModel, getCurrentModelVersion, getModelVersion, type ModelVersion } from "./models";

/** What one reel has otherwise than its model is built, by variant; nothing where it has it as the model does, or its model began elsewhere. */
export function ownBuildOf(db: Db, modelId: string, reelId: number): Readonly<Record<string, string>> {
  const [built, model] = [builtOf(db, modelId), findModel(db, modelId)];
  if (!built || !model) return {};
  const said = db.prepare("SELECT variant, choice FROM reel_build WHERE reel_id = ? ORDER BY variant").all(reelId) as {
    variant: string;
    choice: string;
  }[];
  const { variants } = familyWith(model.family, built.chosen);
  const usual = (id: string) => built.chosen[id] ?? variants.find((variant) => variant.id === id)?.choices[0].id;
  return Object.fromEntries(
    said
      .filter(({ variant, choice }) => variants.some(({ id, choices }) => id === variant && choices.some((one) => one.id === choice)))
      .filter(({ variant, choice }) => usual(variant) !== choice)
      .map(({ variant, choice }) => [variant, choice]),
  );
}

/** The machine of a reel as its model and its own build are today; null where it has still to be made so. */
export function readVersionOfReel(db: Db, modelId: string, reelId: number): ModelVersion | null {
  const current = getCurrentModelVersion(db, modelId);
  if (!Object.keys(ownBuildOf(db, modelId, reelId)).length) return current;
  const own = db
    .prepare("SELECT id FROM model_version WHERE model_id = ? AND own_reel_id = ? AND number > ? ORDER BY number DESC LIMIT 1")
    .pluck()
    .get(modelId, reelId, current.number) as number | undefined;
  return own === undefined ? null : getModelVersion(db, own);
}

/** A reel's machine today, made where the model moved on since or nobody made it so yet. @throws Refusal for an unknown model. */
export const versionOfReel = (ctx: Context, modelId: string, reelId: number): ModelVersion =>
  readVersionOfReel(ctx.db, modelId, reelId) ?? makeOwn(ctx, modelId, reelId);

function makeOwn(ctx: Context, modelId: string, reelId: number): ModelVersion {
  const { db } = ctx;
  const [built, { family }] = [builtOf(db, modelId)!, findModel(db, modelId)!];
  const own = ownBuildOf(db, modelId, reelId);
  const current = getCurrentModelVersion(db, modelId);
  const [from, to] = [familyWith(family, built.chosen), familyWith(family, { ...built.chosen, ...own })];
  const anatomy = changedBuild(current.anatomy, from, to, ownPart(ctx, built.prefix, to, Object.values(own).at(-1)!));
  return getModelVersion(db, addModelVersion(ctx, modelId, { lineRadiusMm: current.lineRadiusMm, anatomy }, reelId));
}

/**
 * One reel is built otherwise than its model; the model stays as it is. What the model has is no choice of its own any more.
 * @throws Refusal where the model did not begin from its family, or its reels are never built so.
 */
export function sayOwnBuild(ctx: Context, modelId: string, reelId: number, variantId: string, choiceId: string): ModelVersion {
  const { db } = ctx;
  const [built, model] = [builtOf(db, modelId), findModel(db, modelId)];
  const variant = model && built && familyWith(model.family, built.chosen).variants.find(({ id }) => id === variantId);
  const choice = variant?.choices.find(({ id }) => id === choiceId);
  if (!variant || !choice)
    throw new Refusal("no-variant", "This model was not started from a family. Change it on its drawing.", null, {
      to: "model",
      modelId,
      page: "",
    });
  db.prepare(
    "INSERT INTO reel_build (reel_id, variant, choice, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET choice = excluded.choice, at = excluded.at",
  ).run(reelId, variantId, choiceId, ctx.now);
  writeJournal(ctx, "reel-built", { reelId }, { variant: variant.name, choice: choice.name });
  const own = ownBuildOf(db, modelId, reelId);
  return Object.keys(own).length ? makeOwn(ctx, modelId, reelId) : getCurrentModelVersion(db, modelId);
}

/** A choice of a reel's own is no more: its model is so now, or another was chosen for all. */
export function dropOwnChoice(ctx: Context, reelId: number, variantId: string): void {
  ctx.db.prepare("DELETE FROM reel_build WHERE reel_id = ? AND variant = ?").run(reelId, variantId);
}
