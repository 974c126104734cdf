import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { oldPieces } from "@/core/teardown/owed";
import { renewalByRule } from "@/core/teardown/seal-unit";
import { oldPieceReasons } from "@/core/vocabulary/build-reasons";
import { getBuild } from "@/data/bench/build";
import { doSteps } from "@/data/bench/build-steps";
import { cleanedAllByHand } from "@/data/bench/cleaning";
import { listOilPoints, markOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { takeParts } from "@/data/bench/tray";
import { recordAllGood } from "@/data/diagnosis/observations";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import type { Workshop } from "./workshop";

/** A job from its first test to its return, act by act as hands take them, nothing unusual. @param during what else is done while it lies apart. */
export function wholeService(shop: Pick<Workshop, "db" | "ctx">, id: number, during: () => void = () => undefined): Job {
  const job = () => findJob(shop.db, id)!;
  const version = machineOf(shop.db, job());
  const tests = protocolOfJob(version.model.family, job()).map((test) => test.id);
  recordAllGood(shop.ctx, { jobId: id, phase: "before", testIds: tests });
  for (const { positionIds } of allStripActs(stripGuideOf(shop.db, job(), version, openingOf(shop.db, job(), version))))
    takeParts(shop.ctx, id, positionIds);
  during();
  return builtAndReturned(shop, id);
}

/** The second half: cleaned, built, oiled, proved, ready and back with its owner. */
export function builtAndReturned(shop: Pick<Workshop, "db" | "ctx">, id: number): Job {
  const job = () => findJob(shop.db, id)!;
  const version = machineOf(shop.db, job());
  const tests = protocolOfJob(version.model.family, job()).map((test) => test.id);
  if (openingOf(shop.db, job(), version).opening.off.size) cleanedAllByHand(shop.ctx, id);
  // What stays in gets its drop while it lies open.
  const points = listOilPoints(shop.db, job(), version).map(({ positionId }) => positionId);
  if (points.length) markOilPoints(shop.ctx, id, points, "oiled");
  const { steps, batches } = getBuild(shop.db, job(), version);
  for (const { operationIds } of allBuildActs(steps, batches, version.partTypes)) {
    // Seals that are new every year are asked for; here they go back by a word.
    const old = oldPieces(steps.filter(({ operation }) => operationIds.includes(operation.id)));
    doSteps(
      shop.ctx,
      id,
      operationIds,
      old.some(({ well }) => well?.toRenew.some((id) => renewalByRule(id) !== null)) ? oldPieceReasons[0] : "",
    );
  }
  recordAllGood(shop.ctx, { jobId: id, phase: "after", testIds: tests });
  markReady(shop.ctx, id);
  closeJob(shop.ctx, id, "Ada Brook");
  return job();
}
