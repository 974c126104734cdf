import { z } from "zod";
import type { PartType } from "@/core/anatomy/types";
import { changedBuild } from "@/core/families/changed-build";
import { familyWith } from "@/core/families/families";
import { lackingSeats, rebased } from "@/core/families/rebased";
import { type FamilyTemplate, type ModelDraft, modelFromTemplate } from "@/core/families/template";
import type { FamilyId } from "@/core/vocabulary/families";
import { addModel, addModelVersion } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { findModel, getCurrentModelVersion, type Model } from "./models";
import { addPartType, findPartType, isPartKnown } from "./part-types";

const builtSchema = z.object({ prefix: z.string(), chosen: z.record(z.string(), z.string()) });
export type Built = z.infer<typeof builtSchema>;

function storedBuilt(db: Db, modelId: string): Built | null {
  const stored = db.prepare("SELECT built FROM model WHERE id = ?").pluck().get(modelId) as string | null | undefined;
  return stored ? builtSchema.parse(JSON.parse(stored)) : null;
}

/** A reel that no drawing knows has no numbers of its family's: what was said of it is kept without letters. */
const noLetters = "";

/** How a model is built where it began from its family; null for one that came from a file, a teardown or elsewhere. */
export function builtOf(db: Db, modelId: string): Built | null {
  const built = storedBuilt(db, modelId);
  return built && built.prefix !== noLetters ? built : null;
}

/** A model's family as this model is built, as far as anybody said; as usual where nobody did. */
export const familyOf = (db: Db, model: Pick<Model, "id" | "family">): FamilyTemplate =>
  familyWith(model.family, storedBuilt(db, model.id)?.chosen ?? {});

/** Says of a reel that no drawing knows how it is built: its usual pieces, and later its guessed schematic, follow. @throws Refusal for no such choice. */
export function sayBuilt(ctx: Context, model: Pick<Model, "id" | "family">, variantId: string, choiceId: string): void {
  const { chosen, variants } = familyOf(ctx.db, model);
  const variant = variants.find(({ id }) => id === variantId);
  const choice = variant?.choices.find(({ id }) => id === choiceId);
  if (!variant || !choice) throw new Refusal("no-variant", "Reels of this family are not built that way: choose one of those shown.");
  keepBuilt(ctx, model.id, { prefix: noLetters, chosen: familyWith(model.family, { ...chosen, [variantId]: choiceId }).chosen });
  writeJournal(ctx, "model-built", {}, { model: model.id, variant: variant.name, choice: choice.name });
}

const keepBuilt = (ctx: Context, modelId: string, built: Built): void => {
  ctx.db.prepare("UPDATE model SET built = ? WHERE id = ?").run(JSON.stringify(built), modelId);
};

/** A model in the library as a build of its family, as usual where nothing is said, under letters of its own: it can be built otherwise later. */
export const keepBuiltSo = (
  ctx: Context,
  modelId: string,
  family: FamilyId,
  prefix: string,
  chosen: Readonly<Record<string, string>> = {},
): void => keepBuilt(ctx, modelId, { prefix, chosen: familyWith(family, chosen).chosen });

/** Starts a model as a copy of its family, built as was chosen. @throws Refusal at the prefix when its part numbers are taken. */
export function startModelOf(
  ctx: Context,
  model: { readonly maker: string; readonly name: string; readonly family: FamilyId; readonly prefix: string },
  chosen: Readonly<Record<string, string>>,
  /** What is otherwise than in its family from the first version on. */
  change: (draft: ModelDraft) => ModelDraft = (draft) => draft,
): { id: string } {
  const id = model.prefix.toLowerCase();
  if (findModel(ctx.db, id))
    throw new Refusal("prefix-taken", "Another model's part numbers begin with this. Choose other letters.", "prefix");
  const template = familyWith(model.family, chosen);
  const draft = change(modelFromTemplate(template, model.prefix));
  for (const part of draft.partTypes) {
    if (isPartKnown(ctx.db, part))
      throw new Refusal("prefix-taken", "Part numbers with these letters are in the catalogue already. Choose other letters.", "prefix");
    addPartType(ctx, part);
  }
  addModel(
    ctx,
    { id, maker: model.maker, name: model.name, family: model.family },
    { lineRadiusMm: draft.lineRadiusMm, anatomy: draft.anatomy },
  );
  keepBuilt(ctx, id, { prefix: model.prefix, chosen: template.chosen });
  return { id };
}

/** A template's part in a model's own catalogue, added where it is not there; where its number is another part's, it carries the choice in its own. */
export const ownPart =
  (ctx: Context, prefix: string, template: FamilyTemplate, choiceId: string) =>
  (part: PartType): string => {
    const [own] = modelFromTemplate({ ...template, parts: [part] }, prefix).partTypes;
    const known = findPartType(ctx.db, own!.id);
    if (known && JSON.stringify(known.shape) === JSON.stringify(part.shape) && known.material === part.material) return own!.id;
    const other = known ? { ...own!, id: `${own!.id}-${choiceId}`, number: `${own!.number}-${choiceId.slice(0, 3).toUpperCase()}` } : own!;
    if (!findPartType(ctx.db, other.id)) addPartType(ctx, other);
    return other.id;
  };

/** What such reels have as their family is drawn today and this model, begun from an older drawing, lacks: names of seats. */
export function lackingOf(db: Db, model: Pick<Model, "id" | "family">): string[] {
  const built = builtOf(db, model.id);
  return built
    ? lackingSeats(getCurrentModelVersion(db, model.id).anatomy, familyWith(model.family, built.chosen)).map(({ name }) => name)
    : [];
}

/**
 * Takes over what a model lacks: its next version. What it has, edited or not, stays; jobs keep the machine they were opened with. @throws Refusal when
 * somebody saved first, or nothing is lacking.
 */
export function takeOverLacking(ctx: Context, modelId: string, baseNumber: number): { number: number } {
  const [built, model] = [builtOf(ctx.db, modelId), findModel(ctx.db, modelId)];
  const current = getCurrentModelVersion(ctx.db, modelId);
  const template = built && model && familyWith(model.family, built.chosen);
  const lacking = template ? lackingSeats(current.anatomy, template) : [];
  if (!built || !template || !lacking.length)
    throw new Refusal("nothing-lacking", "This model already has everything; there is nothing to add.");
  if (current.number !== baseNumber)
    throw new Refusal("changed-elsewhere", `Version ${current.number} was saved in another window. Reload to see it, then choose again.`);
  const anatomy = rebased(current.anatomy, template, ownPart(ctx, built.prefix, template, "new"));
  addModelVersion(ctx, modelId, { lineRadiusMm: current.lineRadiusMm, anatomy });
  writeJournal(
    ctx,
    "model-built",
    {},
    {
      model: modelId,
      variant: "As its family is drawn today",
      choice: `${lacking.length} seats more: ${lacking.map(({ name }) => name).join(", ")}`,
    },
  );
  return { number: current.number + 1 };
}

/**
 * Builds a model otherwise in one variant: its next version. Jobs keep the machine they were opened with; what was edited stays where the builds
 * agree. @throws Refusal when it did not begin from its family, or somebody saved first.
 */
export function changeVariant(ctx: Context, modelId: string, baseNumber: number, variantId: string, choiceId: string): { number: number } {
  const built = builtOf(ctx.db, modelId);
  const model: Model | null = findModel(ctx.db, modelId);
  const variant = model && built && familyWith(model.family, built.chosen).variants.find(({ id }) => id === variantId);
  if (!built || !model || !variant?.choices.some(({ id }) => id === choiceId))
    throw new Refusal("no-variant", "This model was not started from a family. Change it on its drawing.", null, {
      to: "model",
      modelId,
      page: "",
    });
  const current = getCurrentModelVersion(ctx.db, modelId);
  if (current.number !== baseNumber)
    throw new Refusal("changed-elsewhere", `Version ${current.number} was saved in another window. Reload to see it, then choose again.`);
  // Another window said so already.
  if ((built.chosen[variantId] ?? variant.choices[0].id) === choiceId) return { number: current.number };
  const [from, to] = [familyWith(model.family, built.chosen), familyWith(model.family, { ...built.chosen, [variantId]: choiceId })];
  const anatomy = changedBuild(current.anatomy, from, to, ownPart(ctx, built.prefix, to, choiceId));
  addModelVersion(ctx, modelId, { lineRadiusMm: current.lineRadiusMm, anatomy });
  keepBuilt(ctx, modelId, { ...built, chosen: to.chosen });
  writeJournal(
    ctx,
    "model-built",
    {},
    { model: modelId, variant: variant.name, choice: variant.choices.find(({ id }) => id === choiceId)!.name },
  );
  return { number: current.number + 1 };
}
