import { getQuote } from "@/data/quotes";
import { expectedNext, listWells } from "@/data/tray";
import { TraySheet } from "@/ui/bench/tray-sheet";
import { getDb } from "../../../server";
import { noteTrayWell, putLastBack, takePartOff } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Strip" };

export default async function StripPage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const { consent } = getQuote(db, job);
  return (
    <TraySheet
      head={head}
      mayStrip={consent === "within-limit" || consent === "agreed"}
      assemblies={version.anatomy.assemblies}
      positions={version.anatomy.positions}
      partTypes={Object.fromEntries(version.partTypes)}
      expected={expectedNext(db, job)}
      wells={listWells(db, job.id)}
      take={takePartOff}
      putBack={putLastBack}
      note={noteTrayWell}
    />
  );
}
