import { protocolFor } from "@/core/proving/protocol";
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
      tests={protocolFor(version.model.family)}
      observations={listObservations(getDb(), job.id)}
      lineRadiusMm={version.lineRadiusMm}
      record={recordTest}
      next={{ href: `/bench/${job.tag}/return`, words: "On to Return" }}
    />
  );
}
