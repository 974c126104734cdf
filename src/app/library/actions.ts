"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedMaybeAmount } from "@/core/acts/typed";
import { draftSchema } from "@/core/anatomy/draft";
import { serialRuleSchema } from "@/core/anatomy/serial";
import { modelFileLimit } from "@/core/bring-in/table";
import { seenSchema } from "@/core/seen";
import { familyIds } from "@/core/vocabulary/families";
import { takeCheck } from "@/data/bench/blind-spots";
import { putMinutesIn } from "@/data/bench/playbook";
import { changeVariant, startModelOf } from "@/data/catalogue/built";
import { saveSerialRules } from "@/data/catalogue/editions";
import { markModelPicture } from "@/data/catalogue/model-pictures";
import { bringModelIn, previewModelFile, reviseModel, setModelWorth } from "@/data/catalogue/models";
import { Refusal } from "@/data/store/context";
import { readModelJson } from "@/formats/model-json";
import type { Press } from "@/ui/act/press";

const revise = defineAction({
  name: "revise-model",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    draft: draftSchema,
  }),
  run: (ctx, input) => reviseModel(ctx, input.modelId, input.baseNumber, input.draft),
});
export async function saveModelVersion(press: Press) {
  return revise(press);
}

const minutesIn = defineAction({
  name: "put-minutes-in",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive() }),
  run: (ctx, input) => putMinutesIn(ctx, input.modelId, input.baseNumber),
});
const takeOver = defineAction({
  name: "take-check",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), baseNumber: z.number().int().positive(), checkId: z.string().max(80) }),
  run: (ctx, input) => takeCheck(ctx, input.modelId, input.baseNumber, input.checkId),
});
export async function takeCheckOver(press: Press) {
  return takeOver(press);
}

export async function putLearnedMinutesIn(press: Press) {
  return minutesIn(press);
}

const makerRules = defineAction({
  name: "save-serial-rules",
  permission: "bench",
  input: z.object({
    maker: z.string().min(1).max(60),
    rules: z.array(serialRuleSchema.and(z.object({ modelId: z.string().max(60).nullable() }))).max(60, "At most 60 rules a maker."),
    seen: seenSchema,
  }),
  run: (ctx, input) => saveSerialRules(ctx, input.maker, input.rules, input.seen),
});
export async function saveMakerRules(press: Press) {
  return makerRules(press);
}

const start = defineAction({
  name: "start-model",
  permission: "bench",
  input: z.object({
    maker: z.string().trim().min(1, "Who made it? Write “not known” if nobody knows.").max(60, "At most 60 letters."),
    name: z.string().trim().min(1, "What is it called?").max(60, "At most 60 letters."),
    family: z.enum(familyIds),
    /** By family, so that a choice made before the family was changed is not lost. */
    variants: z.partialRecord(z.enum(familyIds), z.record(z.string().max(40), z.string().max(40))).default({}),
    prefix: z
      .string()
      .trim()
      .regex(/^[A-Za-z]{1,4}\d{0,3}$/, "One to four letters and up to three digits, such as KX or KX2: part numbers begin with it."),
  }),
  run: (ctx, { variants, ...model }) => startModelOf(ctx, model, variants[model.family] ?? {}),
});
export async function startModel(press: Press) {
  return start(press);
}

const mark = defineAction({
  name: "mark-picture",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    positionId: z.string().max(60),
    x: z.number().min(0).max(1),
    y: z.number().min(0).max(1),
  }),
  run: (ctx, { modelId, ...place }) => markModelPicture(ctx, modelId, place),
});
export async function markPicture(press: Press) {
  return mark(press);
}

const fileInput = z.object({ text: z.string().max(modelFileLimit, "The file has more than 5 MB.") });
const preview = defineAction({
  name: "preview-model-file",
  permission: "bench",
  input: fileInput,
  run: (ctx, { text }) => {
    const file = readModelJson(text);
    if (!file.ok) throw new Refusal(file.code, file.message, "text");
    return {
      name: `${file.value.model.maker} ${file.value.model.name}`,
      seats: file.value.anatomy.positions.length,
      ...previewModelFile(ctx.db, file.value),
    };
  },
});
export async function previewModel(press: Press) {
  return preview(press);
}

const bring = defineAction({
  name: "bring-model-in",
  permission: "bench",
  input: fileInput,
  run: (ctx, { text }) => {
    const file = readModelJson(text);
    if (!file.ok) throw new Refusal(file.code, file.message, "text");
    return { id: file.value.model.id, ...bringModelIn(ctx, file.value) };
  },
});
export async function bringModel(press: Press) {
  return bring(press);
}

const worth = defineAction({
  name: "model-worth",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60), value: typedMaybeAmount("An amount such as 120, or empty."), seen: seenSchema }),
  run: (ctx, { modelId, value, seen }) => setModelWorth(ctx, modelId, value ?? null, seen),
});
export async function saveModelWorth(press: Press) {
  return worth(press);
}

const variant = defineAction({
  name: "change-variant",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    variantId: z.string().max(40),
    choiceId: z.string().max(40),
  }),
  run: (ctx, { modelId, baseNumber, variantId, choiceId }) => changeVariant(ctx, modelId, baseNumber, variantId, choiceId),
});
export async function changeModelVariant(press: Press) {
  return variant(press);
}
