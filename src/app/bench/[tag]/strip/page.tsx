import { loadBench, type StationProps } from "@/app/server/bench-head";
import { wayInForce } from "@/core/ways/ways";
import { listLooseParts } from "@/data/bench/loose-parts";
import { expectedNext, listWells, nextPull } from "@/data/bench/tray";
import { listInPlace, stripPlanOf, waysOf } from "@/data/bench/ways";
import { getQuote } from "@/data/quote/quotes";
import { LooseTraySheet } from "@/ui/bench/strip/loose-tray-sheet";
import { TraySheet } from "@/ui/bench/strip/strip-sheet";
import { learnFromJob, noteTrayWell, putLastBack, servePartInPlace, takePartsOff } from "./actions";
import { makeModelSchematic, nameLoose, putLooseLastBack, takeLoose } from "./loose-actions";

export const metadata = { title: "Strip" };

export default async function StripPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  const { consent } = getQuote(db, job);
  const mayStrip = consent === "within-limit" || consent === "agreed";
  if (!version.anatomy.positions.length)
    return (
      <LooseTraySheet
        head={head}
        mayStrip={mayStrip}
        parts={listLooseParts(db, job.id)}
        take={takeLoose}
        putBack={putLooseLastBack}
        name={nameLoose}
        make={makeModelSchematic}
      />
    );
  return (
    <TraySheet
      head={head}
      mayStrip={mayStrip}
      assemblies={version.anatomy.assemblies}
      positions={version.anatomy.positions}
      partTypes={Object.fromEntries(version.partTypes)}
      expected={expectedNext(db, job)}
      pull={nextPull(db, job)}
      laying={wayInForce("layingOut", waysOf(db, job)).choice}
      stays={stripPlanOf(db, job, version).because}
      inPlace={listInPlace(db, job.id)}
      wells={listWells(db, job.id)}
      take={takePartsOff}
      putBack={putLastBack}
      serve={servePartInPlace}
      note={noteTrayWell}
      learn={learnFromJob}
    />
  );
}
