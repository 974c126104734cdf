import { notFound } from "next/navigation";
import { familyWords } from "@/core/families/family-ids";
import { findModelPicture } from "@/data/model-pictures";
import { findModel, getCurrentModelVersion } from "@/data/models";
import { ModelSheet } from "@/ui/library/model-sheet";
import { getDb } from "../../server";
import { markPicture, saveModelVersion } from "../actions";

export default async function ModelPage({ params }: { params: Promise<{ model: string }> }) {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) notFound();
  const version = getCurrentModelVersion(db, model.id);
  return (
    <ModelSheet
      key={version.number}
      modelId={model.id}
      versionNumber={version.number}
      cells={[
        { label: "Model", value: `${model.maker} ${model.name}`, large: true },
        { label: "Family", value: familyWords[model.family] },
        { label: "Version", value: String(version.number) },
      ]}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      save={saveModelVersion}
      picture={findModelPicture(db, model.id)}
      mark={markPicture}
    />
  );
}
