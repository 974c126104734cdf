import { loadBench, type StationProps } from "@/app/server/bench-head";
import { loosePieces } from "@/app/server/loose-pieces";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { nothingTold } from "@/core/teardown/seat-outcome";
import { wayInForce } from "@/core/ways/ways";
import { getBuild, standsOn, trapsOf } from "@/data/bench/build";
import { seatsToClean } from "@/data/bench/cleaning";
import { listExtraPieces } from "@/data/bench/extra-pieces";
import { listLooseParts } from "@/data/bench/loose-parts";
import { listOilPoints } from "@/data/bench/oil-points";
import { listOutcomes } from "@/data/bench/seat-outcome";
import { listStepsNoted } from "@/data/bench/step-noted";
import { waysOf } from "@/data/bench/ways";
import { familyOf } from "@/data/catalogue/built";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listForeseen } from "@/data/parts/quote-parts";
import { BuildSheet } from "@/ui/bench/build/build-sheet";
import { NoSchematic } from "@/ui/bench/no-schematic";

export const metadata = { title: "Build" };

export default async function BuildPage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  if (!version.anatomy.positions.length && listLooseParts(db, job.id).length)
    return <NoSchematic head={head} station="build" pieces={loosePieces(db, job.id, familyOf(db, version.model))} />;
  const build = getBuild(db, job, version);
  const ways = waysOf(db, job);
  const outcomes = listOutcomes(db, job.id);
  const { open: asked } = await props.searchParams;
  const open = build.steps.find((step) => step.operation.id === asked && step.state === "done");
  const off = new Set(build.steps.flatMap((step) => (step.operation.kind === "place" ? [step.position!.id] : [])));
  return (
    <BuildSheet
      head={head}
      steps={build.steps.map((step) => ({
        ...step,
        lubricant: step.position && lubricantFor(step.position, version.partTypes.get(step.position.partTypeId)!, ways),
        outcome: outcomes.get(step.position?.id ?? "") ?? nothingTold,
      }))}
      batches={build.batches}
      told={job.intake}
      extras={listExtraPieces(db, job.id)}
      points={listOilPoints(db, job, version)}
      open={open ? { operationId: open.operation.id, words: open.operation.words, steps: standsOn(build, open.operation.id).length } : null}
      conflict={build.conflict}
      inversions={build.inversions}
      proven={build.proven}
      traps={build.failedGate ? trapsOf(db, build, build.failedGate, version.model.id) : []}
      warmed={wayInForce("spoolBearings", ways).choice === "warm"}
      anatomy={version.anatomy}
      neverOff={version.anatomy.positions.filter((position) => !off.has(position.id)).map((position) => position.id)}
      partTypes={Object.fromEntries(version.partTypes)}
      foreseen={listForeseen(db, job.id)}
      faultNames={Object.fromEntries(listFaults(db, job.id).map(({ faultId }) => [faultId, faultOf(db, faultId)?.name ?? faultId]))}
      toClean={seatsToClean(db, job, version)}
      noted={Object.fromEntries(listStepsNoted(db, job.id))}
    />
  );
}
