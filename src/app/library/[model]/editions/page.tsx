import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { listSerialRules } from "@/data/catalogue/editions";
import { EditionsSheet } from "@/ui/library/editions-sheet";

export const metadata = { title: "Editions" };

export default async function EditionsPage(props: ModelPageProps) {
  const { db, model, version, leaf } = await loadModel(props);
  return (
    <EditionsSheet
      key={version.number}
      {...leaf}
      maker={model.maker}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      rules={listSerialRules(db, model.maker)}
    />
  );
}
