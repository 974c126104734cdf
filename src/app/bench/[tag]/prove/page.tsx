import { protocolOfJob } from "@/core/intake/job-kinds";
import { listObservations } from "@/data/observations";
import { TestRows } from "@/ui/bench/test-rows";
import { getDb } from "../../../server";
import { recordTest } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Prove" };

export default async function ProvePage(props: StationProps) {
  const { head, version, job } = await loadBench(props);
  return (
    <TestRows
      head={head}
      phase="after"
      tests={protocolOfJob(version.model.family, job.kind)}
      observations={listObservations(getDb(), job.id)}
      lineRadiusMm={version.lineRadiusMm}
      record={recordTest}
      next={{ href: `/bench/${job.tag}/return`, words: "On to Return" }}
    />
  );
}
