import { type AnatomyChange, compareAnatomies } from "@/core/anatomy/compare-anatomies";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { findModel, getCurrentModelVersion, type Model } from "./models";
import { addPartType, findPartType } from "./part-types";
import { addModel, addModelVersion } from "./write-model";

/** What a model file holds, however it was read. */
export interface ModelFileContent {
  readonly model: Model;
  readonly lineRadiusMm: number;
  readonly partTypes: readonly PartType[];
  readonly anatomy: Anatomy;
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
