import type { ModelPicture } from "@/core/schematic/model-picture";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { findModel, getCurrentModelVersion } from "./models";

export function findModelPicture(db: Db, modelId: string): ModelPicture | null {
  const row = db.prepare("SELECT photo_hash AS photoHash, width, height FROM model_picture WHERE model_id = ?").get(modelId) as
    | Omit<ModelPicture, "marks">
    | undefined;
  if (!row) return null;
  const marks = db
    .prepare("SELECT position_id AS positionId, x, y FROM model_picture_mark WHERE model_id = ? ORDER BY position_id")
    .all(modelId) as ModelPicture["marks"];
  return { ...row, marks };
}

/** Lays a washed picture beside the drawn schematic. Another photo begins without marks: they would point at the wrong places. */
export function setModelPicture(ctx: Context, modelId: string, picture: { hash: string; width: number; height: number }): void {
  if (!findModel(ctx.db, modelId)) throw new Refusal("no-model", "This model is not in the library.", null, { to: "new-model" });
  ctx.db.prepare("DELETE FROM model_picture WHERE model_id = ?").run(modelId);
  ctx.db
    .prepare("INSERT INTO model_picture (model_id, photo_hash, width, height) VALUES (?, ?, ?, ?)")
    .run(modelId, picture.hash, picture.width, picture.height);
  writeJournal(ctx, "model-picture-set", {}, { model: modelId, photo: picture.hash });
}

/** Ties a seat to a place on the picture; a second place moves it. */
export function markModelPicture(ctx: Context, modelId: string, mark: { positionId: string; x: number; y: number }): void {
  const { db } = ctx;
  if (!db.prepare("SELECT 1 FROM model_picture WHERE model_id = ?").get(modelId))
    throw new Refusal("no-picture", "There is no picture to mark. Bring one in first.");
  if (!getCurrentModelVersion(db, modelId).anatomy.positions.some((position) => position.id === mark.positionId))
    throw new Refusal("no-seat", "This model has no such seat.");
  db.prepare(
    "INSERT INTO model_picture_mark (model_id, position_id, x, y) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET x = excluded.x, y = excluded.y",
  ).run(modelId, mark.positionId, mark.x, mark.y);
  writeJournal(ctx, "model-picture-marked", {}, { model: modelId, position: mark.positionId });
}
