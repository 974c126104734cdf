import { isolate } from "@/core/diagnosis/isolation";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { useFactors } from "@/core/diagnosis/use-factors";
import { stationAfter } from "@/core/intake/job-kinds";
import { complaints } from "@/core/intake/lists";
import { protocolFor } from "@/core/proving/protocol";
import { claimsOf, diagnosisOf, lastVisitOf, listLooks } from "@/data/diagnosis/diagnosis";
import { listFindings } from "@/data/diagnosis/faults";
import { listObservations } from "@/data/diagnosis/observations";
import { ClaimsPanel } from "@/ui/bench/claims-panel";
import { FindSheet } from "@/ui/bench/find-sheet";
import { LastVisitNote } from "@/ui/bench/last-visit-note";
import { stationNames } from "@/ui/bench/stations-words";
import { getDb } from "../../../server";
import { answerLook, settleSuspect } from "../actions";
import { loadBench, type StationProps } from "../bench";
import { shownLooks } from "../shown-looks";

export const metadata = { title: "Find" };

export default async function FindPage(props: StationProps) {
  const { head, version, job } = await loadBench(props);
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
  const { subject, diagnosis, next, heavy } = diagnosisOf(db, job);
  const nameOf = new Map<string, string>((subject.knowledge ?? commonKnowledge).findings.map(({ id, name }) => [id, name]));
  const tasks = new Set(listFindings(db, job.id).map((finding) => finding.faultId));
  const last = lastVisitOf(db, job);
  const claims = claimsOf(db, job);
  const following = stationAfter(job.kind, "find") ?? "quote";
  return (
    <FindSheet
      head={head}
      anatomy={version.anatomy}
      partTypes={Object.fromEntries(version.partTypes)}
      suspects={diagnosis.ranked.map(({ fault, probability, spokenFor, reasons }) => ({
        id: fault.id,
        name: fault.name,
        section: fault.section,
        probability,
        spokenFor,
        feltAs: fault.feltAs,
        tellBy: fault.tellBy,
        remedy: fault.remedy.words,
        minutes: fault.remedy.minutes,
        caution: fault.caution ?? "",
        partRoles: [...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])],
        reasons: reasons.slice(0, 5).map(({ finding, bits }) => ({ words: nameOf.get(finding) ?? finding, bits })),
        settled: subject.settled?.get(fault.id) ?? null,
        task: tasks.has(fault.id),
      }))}
      looks={shownLooks(next, subject.knowledge ?? commonKnowledge)}
      exactLooks={heavy ? `/api/looks?job=${job.id}` : null}
      made={[...listLooks(db, job.id)].map(([finding, so]) => ({ finding, name: nameOf.get(finding) ?? finding, so }))}
      isolations={isolations}
      nothing={diagnosis.nothing}
      leftOut={diagnosis.leftOut.map((finding) => nameOf.get(finding) ?? finding)}
      complaint={[...job.intake.complaints.map((id) => complaints[id]), job.complaint].filter(Boolean).join("; ")}
      use={subject.use.map((factor) => useFactors[factor])}
      above={
        <>
          {last && <LastVisitNote last={last} measured />}
          {claims.length > 0 && <ClaimsPanel jobId={job.id} closed={head.closed} claims={claims} names={nameOf} look={answerLook} />}
        </>
      }
      next={{ href: `/bench/${job.tag}/${following}`, words: stationNames[following] }}
      look={answerLook}
      settle={settleSuspect}
    />
  );
}
