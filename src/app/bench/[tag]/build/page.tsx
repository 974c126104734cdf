import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { schoolInForce } from "@/core/schools/schools";
import { buriedBy, getBuild, standsOn, trapsOf } from "@/data/bench/build";
import { schoolsOf } from "@/data/bench/ways";
import { BuildSheet } from "@/ui/bench/build-sheet";
import { getDb } from "../../../server";
import { gateFailed, learnActFromJob, openStepAgain, stepDone, stepSkipped, stepUndone } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Build" };

export default async function BuildPage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const build = getBuild(db, job, version);
  const schools = schoolsOf(db, job);
  const { open: asked } = await props.searchParams;
  const open = build.steps.find((step) => step.operation.id === asked && step.state === "done");
  const off = new Set(build.steps.flatMap((step) => (step.operation.kind === "place" ? [step.position!.id] : [])));
  return (
    <BuildSheet
      head={head}
      steps={build.steps.map((step) => ({
        ...step,
        lubricant: step.position && lubricantFor(step.position, version.partTypes.get(step.position.partTypeId)!, schools),
        buries: step.state === "done" ? null : buriedBy(build, version, step),
      }))}
      currentId={build.current?.operation.id ?? null}
      open={open ? { operationId: open.operation.id, words: open.operation.words, steps: standsOn(build, open.operation.id).length } : null}
      conflict={build.conflict}
      inversions={build.inversions}
      proven={build.proven}
      traps={build.failedGate ? trapsOf(db, build, build.failedGate, version.model.id) : []}
      warmed={schoolInForce("spoolBearings", schools).choice === "warm"}
      anatomy={version.anatomy}
      neverOff={version.anatomy.positions.filter((position) => !off.has(position.id)).map((position) => position.id)}
      partTypes={Object.fromEntries(version.partTypes)}
      done={stepDone}
      failed={gateFailed}
      skipped={stepSkipped}
      undone={stepUndone}
      again={openStepAgain}
      learn={learnActFromJob}
    />
  );
}
