import { readPage } from "@/app/server/reading";
import { byWay } from "@/core/ordering/bin-label";
import { findPartTypes } from "@/data/catalogue/part-types";
import { revisionOf } from "@/data/database/journal";
import { listStock } from "@/data/parts/stock";
import { dateWords } from "@/ui/dates";
import { WalkSheet } from "@/ui/stores/walk-sheet";

export const metadata = { title: "Counting walk" };

export default async function WalkPage({ searchParams }: { searchParams: Promise<{ part?: string }> }) {
  const db = await readPage("stores");
  const { part } = await searchParams;
  const bins = byWay(listStock(db));
  const types = findPartTypes(
    db,
    bins.map(({ partTypeId }) => partTypeId),
  );
  return (
    <WalkSheet
      bins={bins.map(({ partTypeId, bin, count, keptAside, countedAt }) => ({
        bin,
        count,
        keptAside,
        type: types.get(partTypeId)!,
        counted: countedAt ? dateWords(countedAt) : null,
        countedAt,
      }))}
      begin={part ?? null}
      revision={revisionOf(db)}
    />
  );
}
