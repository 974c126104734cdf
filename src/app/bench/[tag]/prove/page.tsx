import { loadBench, type StationProps } from "@/app/server/bench-head";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { extraTests } from "@/core/proving/protocol";
import { answersThatHold } from "@/data/bench/build";
import { listSkipped } from "@/data/diagnosis/observations";
import { recordOfModel } from "@/data/ledger/model-record";
import { getShopSettings } from "@/data/shop/settings";
import { TestSheet } from "@/ui/bench/test/test-sheet";

export const metadata = { title: "Prove" };

export default async function ProvePage(props: StationProps) {
  const { db, head, version, job } = await loadBench(props);
  return (
    <TestSheet
      head={head}
      phase="after"
      tests={protocolOfJob(version.model.family, job)}
      extras={extraTests(version.model.family)}
      skipped={listSkipped(db, job.id)}
      record={recordOfModel(db, version.model.id, version.lineRadiusMm)}
      observations={answersThatHold(db, job)}
      lineRadiusMm={version.lineRadiusMm}
      lineBreaksN={job.intake.lineBreaksN ?? null}
      force={getShopSettings(db).shownForce}
      next={{ href: `/bench/${job.tag}/return`, words: "On to Return" }}
    />
  );
}
