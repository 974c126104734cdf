import { loadBench, type StationProps } from "@/app/server/bench-head";
import { loosePieces } from "@/app/server/loose-pieces";
import { afterClean } from "@/core/cleaning/after-clean";
import { wayInForce } from "@/core/ways/ways";
import { getCleaning, listSoaks } from "@/data/bench/cleaning";
import { wellsToRenew } from "@/data/bench/renewals";
import { listOutcomes } from "@/data/bench/seat-outcome";
import { waysOf } from "@/data/bench/ways";
import { familyOf } from "@/data/catalogue/built";
import { getQuote } from "@/data/quote/quotes";
import { CleanSheet } from "@/ui/bench/clean/clean-sheet";
import { NoSchematic } from "@/ui/bench/no-schematic";

export const metadata = { title: "Clean" };

export default async function CleanPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  if (!version.anatomy.positions.length)
    return <NoSchematic head={head} station="clean" pieces={loosePieces(db, job.id, familyOf(db, version.model))} />;
  const cleaning = getCleaning(db, job, version);
  const wells = wellsToRenew(db, job, version);
  const quote = getQuote(db, job);
  return (
    <CleanSheet
      head={head}
      modelId={version.model.id}
      positions={version.anatomy.positions}
      partTypes={Object.fromEntries(version.partTypes)}
      wells={wells}
      groups={cleaning.groups}
      plan={cleaning.plan}
      apart={cleaning.apart}
      soaks={cleaning.soaks}
      othersSoaks={listSoaks(db).filter((soak) => soak.jobs.every(({ jobId }) => jobId !== job.id))}
      nowMs={Date.now()}
      next={afterClean(
        wells,
        quote.parts.map(({ positionId }) => positionId),
      )}
      bearings={wayInForce("bearings", waysOf(db, job)).choice}
      carrying={[...cleaning.carrying]}
      outcomes={Object.fromEntries([...listOutcomes(db, job.id)].flatMap(([id, { clean }]) => (clean ? [[id, clean]] : [])))}
      dirt={cleaning.dirt.choice}
    />
  );
}
