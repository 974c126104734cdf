import { type KeepsHere, keepsFromReady, keepsHere, keepsOnBench, type ReelHere } from "@/core/hand-back/going-home";
import { listAsItIs } from "@/data/account/as-it-is";
import { getAccount } from "@/data/account/job-acts";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { listExtraPieces } from "@/data/bench/extra-pieces";
import { listUnseated } from "@/data/bench/loose-parts";
import { listOilPoints } from "@/data/bench/oil-points";
import { listWells } from "@/data/bench/tray";
import type { Db } from "@/data/database/database";
import { readOnce, rootOf } from "@/data/database/read-once";
import { listSkipped } from "@/data/diagnosis/observations";
import type { Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getBill, getQuote } from "@/data/quote/quotes";

/** Asked once, answered from then on. */
function once<T>(ask: () => T): () => T {
  let answer: { readonly is: T } | null = null;
  return () => {
    answer ??= { is: ask() };
    return answer.is;
  };
}

/** A job's reel as it stands, for the question whether it may go home. */
function reelHere(of: Db, job: Job): ReelHere {
  // The question is asked in many parts, and nothing is written meanwhile.
  const db = rootOf(of) === of ? readOnce(of) : of;
  const version = machineOf(db, job);
  const steps = once(() => getBuild(db, job, version).steps);
  const account = once(() => getAccount(db, job, version).account);
  const names = new Map(version.anatomy.positions.map(({ id, name }) => [id, name]));
  const nameOf = (positionId: string) => names.get(positionId) ?? positionId;
  const foreseen = db
    .prepare("SELECT position_id FROM quote_part WHERE job_id = ? AND foreseen_by IS NULL ORDER BY position_id")
    .pluck()
    .all(job.id) as string[];
  return {
    path: job,
    family: version.model.family,
    declined: job.declinedReason !== null,
    pays: job.intake.pays,
    wells: listWells(db, job.id).map((well) => ({ ...well, name: nameOf(well.positionId) })),
    foreseen: foreseen.map((positionId) => ({ positionId, name: nameOf(positionId) })),
    notDrawn: listExtraPieces(db, job.id).flatMap(({ state, words }) => (state === "off" ? [words] : [])),
    withoutSchematic: listUnseated(db, job.id).filter(({ inPlace }) => inPlace === null).length,
    toOil: () => listOilPoints(db, job, version).flatMap(({ state, name }) => (state === "waiting" ? [name] : [])),
    steps,
    answers: once(() => answersThatHold(db, job, steps())),
    skipped: () => listSkipped(db, job.id),
    worked: () => {
      const { pieces, products, faults } = account();
      return pieces.length + products.length > 0 || faults.some(({ became }) => became === "put-right");
    },
    asItIs: () => new Set(listAsItIs(db, job.id).map(({ testId }) => testId)),
    openFaults: () => account().faults.filter(({ became }) => became === "open"),
    complaints: job.intake.complaints,
    billed: () => {
      if (job.limitMinor === null) return null;
      const { answers, openingAgreed, sum } = getQuote(db, job);
      // By the clock it may come to more than the quote; what is asked about is the quote.
      const totalMinor = Math.min(getBill(db, job).sum.totalMinor, sum.totalMinor);
      const agreed = answers.flatMap((answer) => (answer.accepted ? [answer.totalMinor] : []));
      return { totalMinor, agreedMinor: openingAgreed ? Math.max(job.limitMinor, totalMinor) : Math.max(job.limitMinor, ...agreed) };
    },
  };
}

/** What came with the reel and has not been ticked off. */
export const notGivenBack = (job: Job): string[] => job.brought.filter((item) => item.givenBackAt === null).map((item) => item.item);

/** What keeps a job's reel on the bench; from hanging ready; and from going home. Empty means that nothing does. */
export const onBenchFor = (db: Db, job: Job): KeepsHere[] => keepsOnBench(reelHere(db, job));
export const notReadyFor = (db: Db, job: Job): KeepsHere[] => keepsFromReady(reelHere(db, job));
export const hereFor = (db: Db, job: Job): KeepsHere[] => keepsHere(reelHere(db, job), notGivenBack(job));
