import { faultsFor } from "@/core/diagnosis/faults";
import { isolate } from "@/core/diagnosis/isolation";
import { complaints } from "@/core/intake/lists";
import { protocolFor } from "@/core/proving/protocol";
import { listFindings } from "@/data/findings";
import { listObservations } from "@/data/observations";
import { FaultSheet } from "@/ui/bench/fault-sheet";
import { getDb } from "../../../server";
import { chooseFault } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Find" };

export default async function FindPage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const before = new Map(
    listObservations(db, job.id)
      .filter((o) => o.phase === "before")
      .map((o) => [o.testId, o.verdict]),
  );
  const drags = (["drag-light", "drag-strike", "drag-full"] as const).map((id) => before.get(id)).filter((v) => v !== undefined);
  const isolations = isolate({
    hasFreeSpool: protocolFor(version.model.family).some((test) => test.id === "free-spool"),
    freeSpool: before.get("free-spool"),
    turning: before.get("turning"),
    drag: drags.find((v) => v === "bad") ?? drags.find((v) => v === "doubtful") ?? drags[0],
    antiReverse: before.get("anti-reverse"),
    click: before.get("click"),
  });
  return (
    <FaultSheet
      head={head}
      faults={faultsFor(new Set([...version.partTypes.values()].map((type) => type.role)))}
      chosen={listFindings(db, job.id).map((finding) => finding.faultId)}
      isolations={isolations}
      tested={before.size > 0}
      complaint={[...job.intake.complaints.map((id) => complaints[id]), job.complaint].filter(Boolean).join("; ")}
      choose={chooseFault}
    />
  );
}
