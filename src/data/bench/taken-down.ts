import { cleanMethods } from "@/core/cleaning/methods";
import { daysPassed } from "@/core/day/day";
import type { TakenDownCard } from "@/core/history/taken-down-card";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listNeeds } from "@/data/parts/needs";
import { getQuote } from "@/data/quote/quotes";
import { getBuild } from "./build";
import { getCleaning } from "./cleaning";
import { expectedNext, listWells } from "./tray";

/** Untouched for this long a reel is no longer in anybody's head. */
export const forgottenAfterDays = 7;

/** What the hands did next, in one sentence, from the station the reel has reached. */
function nextMove(db: Db, job: Job): string {
  const version = machineOf(db, job);
  const name = (id: string) => version.anatomy.positions.find((position) => position.id === id)?.name ?? id;
  if (job.station === "strip") {
    const left = expectedNext(db, job);
    return left.length ? `Strip: ${name(left[0]!)} comes off next, ${left.length} to go.` : "Strip is done: on to Clean.";
  }
  if (job.station === "clean") {
    const group = getCleaning(db, job, version).groups.find(({ waiting, soaking }) => waiting.length || soaking.length);
    return group
      ? `Clean: ${cleanMethods[group.method].name}, ${group.waiting.length + group.soaking.length} parts.`
      : "Clean is done: on to Parts.";
  }
  if (job.station === "parts" || job.station === "build") {
    const { current, steps } = getBuild(db, job, version);
    return current
      ? `Build: ${current.operation.words} (${steps.filter(({ state }) => state === "done").length} of ${steps.length} done).`
      : "Build is done: prove it.";
  }
  return `Continue at ${job.station[0]!.toUpperCase()}${job.station.slice(1)}.`;
}

/** One card for a reel that is taken down again after a week or more; null for one that was at work lately, or went home. */
export function takenDownCard(db: Db, job: Job, now: string): TakenDownCard | null {
  if (job.closedAt !== null) return null;
  const last = db
    .prepare(
      "SELECT journal.at, person.name AS person FROM journal JOIN person ON person.id = journal.person_id WHERE job_id = ? ORDER BY journal.id DESC LIMIT 1",
    )
    .get(job.id) as { at: string; person: string } | undefined;
  if (!last || daysPassed(last.at, now) < forgottenAfterDays) return null;
  const wells = listWells(db, job.id).filter((well) => !well.refitted && well.leftOutReason === null);
  const soaking = wells.filter((well) => well.soakId !== null).length;
  const needs = listNeeds(db, { states: ["open", "ordered", "arrived"], jobId: job.id });
  const words = { open: "to be ordered", ordered: "ordered", arrived: "arrived, set aside", used: "", withdrawn: "" } as const;
  return {
    lastOn: last.at,
    person: last.person,
    off: wells.length ? `${wells.length} parts in the tray` : "nothing taken off",
    soaking: soaking ? `${soaking} still in a bath` : "nothing soaking",
    waiting: needs.length ? needs.map((need) => `${need.name}: ${words[need.state]}`).join("; ") : "nothing awaited",
    said: getQuote(db, job).answers.at(-1)?.words || job.complaint || "nothing in particular",
    next: nextMove(db, job),
  };
}

/** The card was read: the reel is at work again. */
export function takeDown(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  writeJournal(ctx, "taken-down", { jobId, reelId: job.reel.id });
}
