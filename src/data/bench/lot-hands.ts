import type { LotHands } from "@/core/acts/bench/lot-hands";
import { allStripActs } from "@/core/hands/strip-acts";
import { upToCheck } from "@/core/hands/up-to-check";
import { shutBy } from "@/core/teardown/oil-window";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { getOpenJob, type Job, listJobsOfLot } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getBuild } from "./build";
import { doSteps } from "./build-steps";
import { cleanedAllByHand, getCleaning } from "./cleaning";
import { listOilPoints, markOilPoints } from "./oil-points";
import { openingOf, stripGuideOf } from "./opening";
import { listWells, takeParts } from "./tray";

/** What is left to come off a reel, act by act of the hands. */
function stripLeft(db: Db, job: Job): string[][] {
  const version = machineOf(db, job);
  const off = new Set(listWells(db, job.id).map(({ positionId }) => positionId));
  return allStripActs(stripGuideOf(db, job, version, openingOf(db, job, version)))
    .map(({ positionIds }) => positionIds.filter((id) => !off.has(id)))
    .filter((ids) => ids.length > 0);
}

/** What hands could do next to a reel of a lot, and how it is called where reels may differ in it. */
export interface LotTurn {
  readonly what: LotHands | null;
  /** The check that comes next, or how many parts or steps; empty where nothing is left. */
  readonly words: string;
}

/** Where a reel of a lot is for the hands: what comes off, what is to be cleaned, the next check or the steps before it. */
export function lotTurnOf(db: Db, job: Job): LotTurn {
  if (job.closedAt !== null) return { what: null, words: "" };
  const wells = listWells(db, job.id);
  const left = stripLeft(db, job);
  const building = wells.some(({ refitted }) => refitted);
  if (left.length && !building) return { what: "strip", words: `${left.flat().length} to come off` };
  if (!wells.length) return { what: null, words: "" };
  const waiting = getCleaning(db, job).groups.flatMap((group) => group.waiting).length;
  if (waiting && !building) return { what: "clean", words: `${waiting} to clean` };
  const { steps, current } = getBuild(db, job);
  if (!current) return { what: null, words: "" };
  if (current.operation.kind === "gate") return { what: "check", words: current.operation.words };
  const ids = upToCheck(steps);
  return { what: "build", words: ids.length ? `${ids.length} steps to the next check` : current.operation.words };
}

/** What stays in and lies open gets its drop before these steps shut it in. */
function oilBefore(ctx: Context, job: Job): void {
  const { steps } = getBuild(ctx.db, job);
  const open = listOilPoints(ctx.db, job).filter(({ state, behind }) => state === "waiting" && behind.length > 0 && !shutBy(behind, steps));
  if (open.length)
    markOilPoints(
      ctx,
      job.id,
      open.map(({ positionId }) => positionId),
      "oiled",
    );
}

function doOne(ctx: Context, job: Job, what: LotHands): void {
  const { db } = ctx;
  const turn = lotTurnOf(db, job);
  if (turn.what !== what)
    throw new Refusal("elsewhere", turn.words ? `It is at another station: ${turn.words}.` : "Nothing of this is left to do.");
  if (what === "strip") for (const ids of stripLeft(db, job)) takeParts(ctx, job.id, ids);
  if (what === "clean") cleanedAllByHand(ctx, job.id);
  if (what === "check") doSteps(ctx, job.id, [getBuild(db, job).current!.operation.id]);
  if (what === "build") {
    oilBefore(ctx, job);
    const { steps, current } = getBuild(db, job);
    const ids = upToCheck(steps);
    // Where the next step asks something first, its own refusal says what.
    doSteps(ctx, job.id, ids.length ? ids : [current!.operation.id]);
  }
}

/**
 * Does the same to several reels of a lot by one press: taken apart as far as each is opened, cleaned by hand, built to the next check, or a check
 * passed. Each reel by itself: one that something stands against is left as it was, and said. @throws Refusal for a reel that is not of this lot.
 */
export function lotHands(
  ctx: Context,
  lotId: number,
  jobIds: readonly number[],
  what: LotHands,
): { done: number; not: { jobId: number; why: string }[] } {
  const { db } = ctx;
  const own = new Set(listJobsOfLot(db, lotId).map(({ id }) => id));
  if (jobIds.some((id) => !own.has(id))) throw new Refusal("not-of-lot", "One of these is not of this lot. Reload the page.");
  const not: { jobId: number; why: string }[] = [];
  for (const jobId of jobIds)
    try {
      db.transaction(() => doOne(ctx, getOpenJob(db, jobId), what))();
    } catch (problem) {
      if (!(problem instanceof Refusal)) throw problem;
      not.push({ jobId, why: problem.message });
    }
  return { done: jobIds.length - not.length, not };
}
