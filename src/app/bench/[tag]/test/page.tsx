import { loadBench, type StationProps } from "@/app/server/bench-head";
import { protocolOfJob, stationAfter } from "@/core/intake/job-kinds";
import { asFoundWords } from "@/core/intake/marks";
import { extraTests } from "@/core/proving/protocol";
import { lastVisitOf } from "@/data/diagnosis/diagnosis";
import { listObservations, listSkipped } from "@/data/diagnosis/observations";
import { listJobPhotos } from "@/data/jobs/jobs";
import { recordOfModel } from "@/data/ledger/model-record";
import { getShopSettings } from "@/data/shop/settings";
import { LastVisitNote } from "@/ui/bench/find/last-visit-note";
import { stationNames } from "@/ui/bench/stations-words";
import { AsItCame } from "@/ui/bench/test/as-it-came";
import { TestSheet } from "@/ui/bench/test/test-sheet";

export const metadata = { title: "Test" };

export default async function TestPage(props: StationProps) {
  const { db, head, version, job } = await loadBench(props);
  const next = stationAfter(job, "test")!;
  const last = lastVisitOf(db, job);
  return (
    <TestSheet
      head={head}
      phase="before"
      tests={protocolOfJob(version.model.family, job)}
      extras={extraTests(version.model.family)}
      skipped={listSkipped(db, job.id)}
      record={recordOfModel(db, version.model.id, version.lineRadiusMm)}
      observations={listObservations(db, job.id)}
      lineRadiusMm={version.lineRadiusMm}
      lineBreaksN={job.intake.lineBreaksN ?? null}
      force={getShopSettings(db).shownForce}
      next={{ href: `/bench/${job.tag}/${next}`, words: `On to ${stationNames[next]}` }}
      above={last && <LastVisitNote last={last} measured />}
      below={<AsItCame head={head} words={asFoundWords(job.intake)} photos={listJobPhotos(db, job.id)} />}
      makeRepair
    />
  );
}
