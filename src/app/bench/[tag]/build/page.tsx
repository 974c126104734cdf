import { lubricantFor } from "@/core/lubrication/lubricant-for";
import type { SchoolsInForce } from "@/core/schools/schools";
import { getBuild } from "@/data/build";
import { getShopSettings, schoolsOfShop } from "@/data/settings";
import { BuildSheet } from "@/ui/bench/build-sheet";
import { getDb } from "../../../server";
import { gateFailed, learnActFromJob, stepDone, stepSkipped, stepUndone } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Build" };

export default async function BuildPage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const build = getBuild(db, job, version);
  const { dragWish } = job.intake;
  const schools: SchoolsInForce = {
    customer: dragWish === "shop" ? {} : { drag: dragWish },
    shop: schoolsOfShop(getShopSettings(db)),
  };
  const off = new Set(build.steps.flatMap((step) => (step.operation.kind === "place" ? [step.position!.id] : [])));
  return (
    <BuildSheet
      head={head}
      steps={build.steps.map((step) => ({
        ...step,
        lubricant: step.position && lubricantFor(step.position, version.partTypes.get(step.position.partTypeId)!, schools),
      }))}
      currentId={build.current?.operation.id ?? null}
      conflict={build.conflict}
      anatomy={version.anatomy}
      neverOff={version.anatomy.positions.filter((position) => !off.has(position.id)).map((position) => position.id)}
      partTypes={Object.fromEntries(version.partTypes)}
      done={stepDone}
      failed={gateFailed}
      skipped={stepSkipped}
      undone={stepUndone}
      learn={learnActFromJob}
    />
  );
}
