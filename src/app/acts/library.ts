import type { libraryActs } from "@/core/acts/library/acts";
import { idFor } from "@/core/anatomy/draft";
import { partIdOf } from "@/core/anatomy/identifier";
import { shapeSchema, sizeLabel, sizeWords } from "@/core/anatomy/shapes";
import { partTypeSchema } from "@/core/anatomy/types";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { interchangeSetSchema } from "@/core/interchange/interchange";
import { kitSchema } from "@/core/interchange/kit";
import { takeCheck } from "@/data/bench/blind-spots";
import { putMinutesIn } from "@/data/bench/playbook";
import { changeVariant, startModelOf, takeOverLacking } from "@/data/catalogue/built";
import { saveSerialRules } from "@/data/catalogue/editions";
import { listInterchangeSets, listKits, removeInterchangeSet, saveInterchangeSet, saveKit } from "@/data/catalogue/interchange";
import { bringModelIn, previewModelFile } from "@/data/catalogue/model-files";
import { markModelPicture } from "@/data/catalogue/model-pictures";
import { enterParts, findPartByNumber, isPartKnown, listPiece, retirePart, setPartFacts } from "@/data/catalogue/part-types";
import {
  confirmSure,
  dropSheet,
  editionOfSheet,
  keepSheet,
  modelOfSheet,
  pricesOfSheet,
  setSheetColumns,
  setSheetFamily,
  setSheetRow,
} from "@/data/catalogue/sheets";
import { reviseModel, setModelWorth } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import { toKeep } from "@/data/database/rows";
import { renameModel } from "@/data/ledger/name-model";
import { takeConsensus, takeLesson } from "@/data/teardowns/consensus";
import { readModelJson } from "@/formats/model-json";
import { readPartsCsv } from "@/formats/parts-csv";
import type { RunsOf } from "./runs";

const partId = (ctx: Context, number: string): string => {
  const part = findPartByNumber(ctx.db, number);
  if (!part)
    throw new Refusal(
      "no-part",
      number.trim() ? `No part in the catalogue has the number ${number}. Add it first.` : "A line has neither a model nor a part number.",
      null,
      number.trim() ? { to: "new-part", number } : null,
    );
  return part.id;
};

export const libraryRuns: RunsOf<typeof libraryActs> = {
  "revise-model": (ctx, input) => reviseModel(ctx, input.modelId, input.baseNumber, input.draft),

  "put-minutes-in": (ctx, input) => putMinutesIn(ctx, input.modelId, input.baseNumber),

  "take-check": (ctx, input) => takeCheck(ctx, input.modelId, input.baseNumber, input.checkId),

  "save-serial-rules": (ctx, input) => saveSerialRules(ctx, input.maker, input.rules, input.seen),

  "start-model": (ctx, { variants, ...model }) => startModelOf(ctx, model, variants[model.family] ?? {}),

  "keep-sheet": (ctx, input) => keepSheet(ctx, input),

  "sheet-family": (ctx, input) => setSheetFamily(ctx, input),

  "sheet-columns": (ctx, input) => setSheetColumns(ctx, input),

  "sheet-row": (ctx, input) => setSheetRow(ctx, input),

  "sheet-sure": (ctx, { sheetId, seen }) => confirmSure(ctx, sheetId, seen),

  "model-of-sheet": (ctx, input) => modelOfSheet(ctx, input),

  "edition-of-sheet": (ctx, input) => editionOfSheet(ctx, input),

  "prices-of-sheet": (ctx, input) => pricesOfSheet(ctx, input),

  "drop-sheet": (ctx, { sheetId }) => dropSheet(ctx, sheetId),

  "mark-picture": (ctx, { modelId, ...place }) => markModelPicture(ctx, modelId, place),

  "preview-model-file": (ctx, { text }) => {
    const file = readModelJson(text);
    if (!file.ok) throw new Refusal(file.code, file.message, "text");
    return {
      name: `${file.value.model.maker} ${file.value.model.name}`,
      seats: file.value.anatomy.positions.length,
      ...previewModelFile(ctx.db, file.value),
    };
  },

  "bring-model-in": (ctx, { text }) => {
    const file = readModelJson(text);
    if (!file.ok) throw new Refusal(file.code, file.message, "text");
    return { id: file.value.model.id, ...bringModelIn(ctx, file.value) };
  },

  "name-model": (ctx, { modelId, ...said }) => renameModel(ctx, modelId, said),

  "model-worth": (ctx, { modelId, value, seen }) => setModelWorth(ctx, modelId, value ?? null, seen),

  "take-over-lacking": (ctx, { modelId, baseNumber }) => takeOverLacking(ctx, modelId, baseNumber),

  "change-variant": (ctx, { modelId, baseNumber, variantId, choiceId }) => changeVariant(ctx, modelId, baseNumber, variantId, choiceId),

  "save-interchange-set": (ctx, { id, isNew, seen, rows, ...rest }) => {
    const members = rows.flatMap(({ who, number, grade, note }) =>
      grade === "not" ? [] : [{ ...(who ? { modelId: who } : { partTypeId: partId(ctx, number) }), grade, note }],
    );
    const exclusions = rows.filter((row) => row.grade === "not").map(({ who, note }) => ({ modelId: who, why: note }));
    const parsed = interchangeSetSchema.safeParse({
      ...rest,
      id: isNew
        ? idFor(
            rest.name,
            listInterchangeSets(ctx.db).map((one) => one.id),
          )
        : id,
      members,
      exclusions,
    });
    if (!parsed.success) throw new Refusal("set", parsed.error.issues[0]?.message ?? "The set does not fit together.");
    saveInterchangeSet(ctx, parsed.data, seen);
  },

  "remove-interchange-set": (ctx, { id }) => removeInterchangeSet(ctx, id),

  "save-kit": (ctx, { rows, ...rest }) => {
    const nowhere = rows.find(({ positionId }) => !positionId);
    if (nowhere)
      throw new Refusal("kit", nowhere.number ? `Choose the seat of ${nowhere.number}.` : "Choose a seat for each part.", "seats");
    const id = idFor(
      `${rest.modelId} ${rest.name}`,
      listKits(ctx.db, rest.modelId).map((one) => one.id),
    );
    saveKit(
      ctx,
      toKeep(kitSchema, { ...rest, id, seats: rows.map(({ positionId, number }) => ({ positionId, partTypeId: partId(ctx, number) })) }),
    );
  },

  "preview-parts": (ctx, { text, mapping }) => {
    const { parts, ...read } = readPartsCsv(text, (part) => isPartKnown(ctx.db, part), mapping);
    return { ...read, parts: parts.map((part) => ({ number: part.number, name: part.name, sizes: sizeWords(part.shape) })) };
  },

  "bring-parts-in": (ctx, { text, mapping }) => {
    const { parts, faults } = readPartsCsv(text, (part) => isPartKnown(ctx.db, part), mapping);
    if (faults.length) throw new Refusal("faults", `Row ${faults[0]!.row}, ${faults[0]!.column}: ${faults[0]!.message} Nothing was taken.`);
    enterParts(ctx, parts);
    return { count: parts.length };
  },

  "add-part": (ctx, { number, name, kind, material, price, thread, sizes }) => {
    const id = partIdOf(number);
    if (!id) throw new Refusal("number", "A number has letters or digits.", "number");
    const shape: Record<string, unknown> = { ...typicalShapes[kind] };
    for (const [key, usual] of Object.entries(typicalShapes[kind])) {
      const typed = sizes[key]?.trim();
      if (key === "kind" || typed === undefined) continue;
      const value = typeof usual === "number" ? Number(typed.replace(",", ".")) : typed;
      const checked = shapeSchema.safeParse({ ...typicalShapes[kind], [key]: value });
      if (typed === "" || !checked.success)
        throw new Refusal("size", `${sizeLabel(key)}: a size is above 0 and up to 400 mm, a count a whole number.`, `sizes.${key}`);
      shape[key] = value;
    }
    enterParts(ctx, [
      toKeep(partTypeSchema, {
        id,
        number,
        name,
        role: kind,
        shape: shape as never,
        material,
        priceMinor: price,
        thread: thread || undefined,
      }),
    ]);
    return { id };
  },

  "part-facts": (ctx, { id, rowVersion, supersededBy, hazard, ...rest }) =>
    setPartFacts(ctx, id, { ...rest, supersededBy: supersededBy || null, hazard: hazard || null }, rowVersion),

  "retire-part": (ctx, { id, retired }) => retirePart(ctx, id, retired),

  "list-piece": (ctx, input) => listPiece(ctx, input.id, input.number),

  "take-consensus": (ctx, { modelId }) => takeConsensus(ctx, modelId),

  "take-lesson": (ctx, { modelId, baseNumber, ...of }) => takeLesson(ctx, modelId, baseNumber, of),
};
