import { loadBench, type StationProps } from "@/app/server/bench-head";
import { loosePieces } from "@/app/server/loose-pieces";
import { anatomyForDrawing } from "@/core/anatomy/for-drawing";
import { partsOfJob } from "@/data/bench/seat-facts";
import { familyOf } from "@/data/catalogue/built";
import { listOverrides } from "@/data/jobs/machine";
import { NoSchematic } from "@/ui/bench/no-schematic";
import { PartsSheet } from "@/ui/bench/parts/parts-sheet";

export const metadata = { title: "Parts" };

export default async function PartsPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  if (!version.anatomy.positions.length)
    return <NoSchematic head={head} station="parts" pieces={loosePieces(db, job.id, familyOf(db, version.model))} />;
  const { seats, partTypes, foreseen, kits, agreed } = partsOfJob(db, job, version);
  return (
    <PartsSheet
      head={head}
      anatomy={anatomyForDrawing(version.anatomy)}
      partTypes={Object.fromEntries(partTypes)}
      seats={seats}
      agreed={agreed}
      kits={kits.map(({ id, name, note, caution, seats: of }) => ({
        id,
        name,
        note,
        caution,
        parts: of.length,
        priceMinor: of.reduce((sum, { partTypeId }) => sum + (partTypes.get(partTypeId)?.priceMinor ?? 0), 0),
        wanted: of.every(({ positionId, partTypeId }) => foreseen.get(positionId) === partTypeId),
      }))}
      currency={job.currency}
      overridden={[...listOverrides(db, job.reel.id).keys()]}
    />
  );
}
