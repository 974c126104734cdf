import { notFound } from "next/navigation";
import { familyWords } from "@/core/families/family-ids";
import { findModel, getCurrentModelVersion } from "@/data/models";
import { ModelSchematic } from "@/ui/glyphs/model-schematic";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb } from "../../server";

export default async function ModelPage({ params }: { params: Promise<{ model: string }> }) {
  const db = getDb();
  const model = findModel(db, (await params).model);
  if (!model) notFound();
  const version = getCurrentModelVersion(db, model.id);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Model", value: `${model.maker} ${model.name}`, large: true },
            { label: "Family", value: familyWords[model.family] },
            { label: "Version", value: String(version.number) },
          ]}
        />
      }
    >
      <ModelSchematic anatomy={version.anatomy} partTypes={Object.fromEntries(version.partTypes)} />
    </Sheet>
  );
}
