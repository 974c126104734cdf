import { givenAt } from "@/core/lubrication/given";
import { type LubricantUse, lubricantFor, lubricantUse } from "@/core/lubrication/lubricant-for";
import type { ModelVersion } from "@/data/catalogue/models";
import type { Db } from "@/data/database/database";
import type { Job } from "@/data/jobs/jobs";
import { getBuild } from "./build";
import { listOilPoints } from "./oil-points";
import { listOutcomes } from "./seat-outcome";
import { waysOf } from "./ways";

/** Oils and greases that went in with the parts fitted so far, and at the points of what stayed in. */
export function lubricantsUsed(db: Db, job: Job, version: ModelVersion): LubricantUse[] {
  const ways = waysOf(db, job);
  const outcomes = listOutcomes(db, job.id);
  const fitted = getBuild(db, job, version).steps.filter((step) => step.operation.kind === "place" && step.state === "done");
  const points = listOilPoints(db, job, version).filter(({ state }) => state === "oiled");
  return lubricantUse([
    ...fitted.map(({ position }) =>
      position
        ? givenAt(lubricantFor(position, version.partTypes.get(position.partTypeId)!, ways), outcomes.get(position.id)?.product ?? null)
        : null,
    ),
    ...points.map(({ advice, instead }) => givenAt(advice, instead)),
  ]);
}
