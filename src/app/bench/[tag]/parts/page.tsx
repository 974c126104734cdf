import { priceInJob } from "@/data/jobs";
import { listOverrides } from "@/data/machine";
import { listNeeds } from "@/data/orders";
import { getQuote } from "@/data/quotes";
import { findStock } from "@/data/stock";
import { listWells } from "@/data/tray";
import { NoSchematic } from "@/ui/bench/no-schematic";
import { PartsSheet } from "@/ui/bench/parts-sheet";
import type { SeatFacts } from "@/ui/bench/seat-words";
import { getDb } from "../../../server";
import { orderPart, overrideReelSeat, undoUsePartHere, usePartHere } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Parts" };

export default async function PartsPage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const wells = new Map(listWells(db, job.id).map((well) => [well.positionId, well]));
  const needs = new Map(
    listNeeds(db, { states: ["open", "ordered", "arrived"], jobId: job.id }).map((need) => [need.positionId, need.state]),
  );
  const foreseen = new Set(getQuote(db, job).parts.map((part) => part.positionId));
  if (!version.anatomy.positions.length) return <NoSchematic head={head} station="parts" />;
  const seats: SeatFacts[] = version.anatomy.positions.map((position) => {
    const stock = findStock(db, position.partTypeId);
    const well = wells.get(position.id);
    return {
      positionId: position.id,
      priceMinor: priceInJob(db, job.id, position.partTypeId),
      stock: stock ? { count: stock.count, keptAside: stock.keptAside, bin: stock.bin } : null,
      inTray: well !== undefined,
      well: well?.well ?? null,
      verdict: well?.verdict ?? null,
      renewed: well?.renewed ?? false,
      refitted: well?.refitted ?? false,
      need: (needs.get(position.id) as SeatFacts["need"]) ?? null,
      foreseen: foreseen.has(position.id),
    };
  });
  return (
    <PartsSheet
      head={head}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      seats={seats}
      currency={job.currency}
      use={usePartHere}
      undoUse={undoUsePartHere}
      order={orderPart}
      override={overrideReelSeat}
      overridden={[...listOverrides(db, job.reel.id).keys()]}
    />
  );
}
