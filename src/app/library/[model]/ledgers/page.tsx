import { loadModel, type ModelPageProps } from "@/app/server/model-page";
import { listStock } from "@/data/parts/stock";
import { LedgersSheet } from "@/ui/library/ledgers-sheet";

export const metadata = { title: "Ledgers of a model" };

export default async function LedgersPage(props: ModelPageProps) {
  const { db, version, leaf } = await loadModel(props);
  return (
    <LedgersSheet
      key={version.number}
      {...leaf}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      stock={Object.fromEntries(listStock(db).map(({ partTypeId, count }) => [partTypeId, { count }]))}
    />
  );
}
