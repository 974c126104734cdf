import { protocolOfJob, stationAfter } from "@/core/intake/job-kinds";
import { asFoundWords } from "@/core/intake/marks";
import { lastVisitOf } from "@/data/diagnosis";
import { listJobPhotos } from "@/data/jobs";
import { listObservations } from "@/data/observations";
import { AsItCame } from "@/ui/bench/as-it-came";
import { LastVisitNote } from "@/ui/bench/last-visit-note";
import { stationNames } from "@/ui/bench/stations-words";
import { TestRows } from "@/ui/bench/test-rows";
import { getDb } from "../../../server";
import { mendInstead, recordTest } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Test" };

export default async function TestPage(props: StationProps) {
  const { head, version, job } = await loadBench(props);
  const db = getDb();
  const next = stationAfter(job.kind, "test")!;
  const last = lastVisitOf(db, job);
  return (
    <TestRows
      head={head}
      phase="before"
      tests={protocolOfJob(version.model.family, job.kind)}
      observations={listObservations(db, job.id)}
      lineRadiusMm={version.lineRadiusMm}
      record={recordTest}
      next={{ href: `/bench/${job.tag}/${next}`, words: `On to ${stationNames[next]}` }}
      above={last && <LastVisitNote last={last} measured />}
      below={<AsItCame head={head} words={asFoundWords(job.intake)} photos={listJobPhotos(db, job.id)} />}
      makeRepair={mendInstead}
    />
  );
}
