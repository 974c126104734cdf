import { loadBench, type StationProps } from "@/app/server/bench-head";
import { anatomyForDrawing } from "@/core/anatomy/for-drawing";
import { knowledgeOfCase } from "@/core/diagnosis/case-net";
import { historyWords } from "@/core/diagnosis/histories";
import { lookLines } from "@/core/diagnosis/look-line";
import { proveNow } from "@/core/diagnosis/prove-now";
import { suspectsOf } from "@/core/diagnosis/suspect";
import { stationAfter } from "@/core/intake/job-kinds";
import { reportedWords } from "@/core/intake/reported";
import { remedyCautions, remedyOn } from "@/core/safety/act-cautions";
import { factorWords } from "@/core/vocabulary/use";
import { sectionsOfTests } from "@/data/bench/opening";
import { claimsOf, diagnosisOf, lastVisitOf, listLooks } from "@/data/diagnosis/diagnosis";
import { listFaults } from "@/data/diagnosis/faults";
import { listObservations } from "@/data/diagnosis/observations";
import { typesInSeats } from "@/data/jobs/machine";
import { ClaimsPanel } from "@/ui/bench/find/claims-panel";
import { FindSheet } from "@/ui/bench/find/find-sheet";
import { LastVisitNote } from "@/ui/bench/find/last-visit-note";
import { stationNames } from "@/ui/bench/stations-words";

export const metadata = { title: "Find" };

export default async function FindPage(props: StationProps) {
  const { db, head, version, job } = await loadBench(props);
  const before = listObservations(db, job.id).filter(({ phase }) => phase === "before");
  const isolations = sectionsOfTests(version.model.family, Object.fromEntries(before.map(({ testId, verdict }) => [testId, verdict])));
  const { subject, diagnosis, next } = diagnosisOf(db, job);
  const knowledge = knowledgeOfCase(subject);
  const inSeats = typesInSeats(version);
  const nameOf = new Map<string, string>(knowledge.findings.map(({ id, name }) => [id, name]));
  const tasks = new Set(listFaults(db, job.id).map((finding) => finding.faultId));
  const last = lastVisitOf(db, job);
  const claims = claimsOf(db, job);
  const following = stationAfter(job, "find") ?? "quote";
  return (
    <FindSheet
      head={head}
      anatomy={anatomyForDrawing(version.anatomy)}
      partTypes={Object.fromEntries(version.partTypes)}
      suspects={suspectsOf(
        diagnosis,
        (finding) => nameOf.get(finding) ?? finding,
        subject.settled ?? new Map(),
        tasks,
        (fault) => remedyOn(fault, inSeats),
      )}
      remedyCautions={Object.fromEntries(
        knowledge.faults.flatMap((fault) => {
          const cautions = remedyCautions(fault, inSeats);
          return cautions.length ? [[fault.id, cautions]] : [];
        }),
      )}
      looks={lookLines(next, knowledge)}
      made={[...listLooks(db, job.id)].map(([finding, so]) => ({ finding, name: nameOf.get(finding) ?? finding, so }))}
      prove={proveNow(diagnosis, knowledge, listLooks(db, job.id))}
      isolations={isolations}
      through={diagnosis.histories
        .filter(({ probability }) => probability >= 0.5)
        .map(({ id, probability }) => ({ words: historyWords[id], probability }))}
      nothing={diagnosis.nothing}
      leftOut={diagnosis.leftOut.map((finding) => nameOf.get(finding) ?? finding)}
      complaint={reportedWords(job)}
      use={subject.use.map((factor) => factorWords(factor, job.comebackOf !== null))}
      above={
        <>
          {last && <LastVisitNote last={last} measured />}
          {claims.length > 0 && <ClaimsPanel jobId={job.id} closed={head.closed} claims={claims} names={nameOf} />}
        </>
      }
      next={{ href: `/bench/${job.tag}/${following}`, words: stationNames[following] }}
    />
  );
}
