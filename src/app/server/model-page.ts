import { notFound } from "next/navigation";
import { readPage } from "@/app/server/reading";
import { familyWords } from "@/core/vocabulary/families";
import { isVerified } from "@/data/catalogue/model-list";
import { findModel, getCurrentModelVersion, type Model, type ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import type { ModelProps } from "@/ui/library/model-leaf";

export type ModelPageProps = { params: Promise<{ model: string }> };

/** What every leaf of a model's folder begins with. */
export async function loadModel({ params }: ModelPageProps): Promise<{ db: Db; model: Model; version: ModelVersion; leaf: ModelProps }> {
  const db = await readPage("library");
  const model = findModel(db, (await params).model);
  if (!model) notFound();
  const version = getCurrentModelVersion(db, model.id);
  return {
    db,
    model,
    version,
    leaf: {
      modelId: model.id,
      versionNumber: version.number,
      cells: [
        { label: "Model", value: `${model.maker} ${model.name}`, large: true },
        { label: "Family", value: familyWords[model.family] },
        { label: "Version", value: `${version.number}${isVerified(db, model.id) ? "" : ", not verified"}` },
      ],
    },
  };
}
