import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { findModelPicture } from "@/data/catalogue/model-pictures";
import { listSeatWear } from "@/data/ledger/seat-wear";
import { listStock } from "@/data/parts/stock";
import { ModelSheet } from "@/ui/library/model-sheet";

export default async function ModelPage(props: ModelPageProps) {
  const { db, model, version, leaf } = await loadModel(props);
  return (
    <ModelSheet
      key={version.number}
      {...leaf}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      wear={listSeatWear(db, model.id)}
      stock={Object.fromEntries(listStock(db).map(({ partTypeId, count, minimum }) => [partTypeId, { count, minimum }]))}
      picture={findModelPicture(db, model.id)}
    />
  );
}
