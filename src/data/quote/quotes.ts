import { groupBy } from "@/core/group-by";
import { handlingOf } from "@/core/intake/job-kinds";
import { formatMinor } from "@/core/money/money";
import { type Consent, consentFor, type LabourLine, type PartLine, type QuoteSum, quoteSum } from "@/core/quote/quote-sum";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { listFittedParts } from "@/data/jobs/pieces";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";

export interface Answer {
  readonly accepted: boolean;
  readonly totalMinor: number;
  readonly words: string;
  readonly at: string;
  readonly person: string;
}

const byJob = <T extends { readonly jobId: number }>(rows: readonly T[]) => groupBy(rows, ({ jobId }) => jobId);

export interface Quote {
  readonly labour: readonly LabourLine[];
  readonly parts: readonly (PartLine & { readonly positionId: string })[];
  readonly sum: QuoteSum;
  readonly answers: readonly Answer[];
  readonly consent: Consent;
  /** Faults found so far: before the first there is nothing to ask about. */
  readonly faults: number;
}

/**
 * The quotes of several jobs as their faults and foreseen parts stand now, with the customers' answers: the same few statements for one job or
 * for a whole rack of them.
 */
export function quotesOf(db: Db, jobs: readonly Job[]): ReadonlyMap<number, Quote> {
  const ids = JSON.stringify(jobs.map(({ id }) => id));
  const withEarlier = JSON.stringify(jobs.flatMap(({ id, comebackOf }) => (comebackOf === null ? [id] : [id, comebackOf])));
  const faults = byJob(
    db
      .prepare(
        "SELECT job_id AS jobId, fault_id AS faultId FROM job_fault WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY at, fault_id",
      )
      .all(withEarlier) as { jobId: number; faultId: string }[],
  );
  const parts = byJob(
    db
      .prepare(
        `SELECT quote_part.job_id AS jobId, quote_part.position_id AS positionId, part_type.id AS partTypeId, part_type.number || ' ' || part_type.name AS words,
                coalesce((SELECT price_minor FROM job_price WHERE job_price.job_id = quote_part.job_id AND job_price.part_type_id = part_type.id),
                         part_type.price_minor) AS priceMinor
         FROM quote_part JOIN part_type ON part_type.id = quote_part.part_type_id
         WHERE quote_part.job_id IN (SELECT value FROM json_each(?)) ORDER BY part_type.number, quote_part.position_id`,
      )
      .all(ids) as { jobId: number; positionId: string; partTypeId: string; words: string; priceMinor: number }[],
  );
  const answers = byJob(
    (
      db
        .prepare(
          `SELECT answer.job_id AS jobId, answer.accepted, answer.total_minor AS totalMinor, answer.words, answer.at, person.name AS person
           FROM answer JOIN person ON person.id = answer.person_id WHERE answer.job_id IN (SELECT value FROM json_each(?)) ORDER BY answer.id`,
        )
        .all(ids) as (Omit<Answer, "accepted"> & { jobId: number; accepted: 0 | 1 })[]
    ).map((row) => ({ ...row, accepted: row.accepted === 1 })),
  );
  const faultById = faultNamer(db);
  return new Map(
    jobs.map((job) => {
      const own = faults.get(job.id) ?? [];
      const before = new Set(job.comebackOf === null ? [] : (faults.get(job.comebackOf) ?? []).map(({ faultId }) => faultId));
      // What was found the last time as well is ours to do again, free.
      const remedies = own.flatMap(({ faultId }): LabourLine[] => {
        const remedy = faultById(faultId)?.remedy;
        if (!remedy) return [];
        return before.has(faultId)
          ? [{ words: `${remedy.words} (again, free)`, minutes: 0 }]
          : [{ words: remedy.words, minutes: remedy.minutes }];
      });
      const said = answers.get(job.id) ?? [];
      if (job.declinedReason !== null)
        return [
          job.id,
          { labour: [], parts: [], sum: quoteSum([], [], job.rates), answers: said, consent: "within-limit", faults: own.length },
        ];
      const foreseen = (parts.get(job.id) ?? []).map((part) => ({ ...part, quantity: 1 }));
      // A check is billed as a check, whatever it found.
      const billed =
        job.kind === "purchase-check"
          ? { labour: [handlingOf(job)], parts: [] }
          : { labour: [handlingOf(job), ...remedies], parts: foreseen };
      const sum = quoteSum(billed.labour, billed.parts, job.rates);
      return [job.id, { ...billed, sum, answers: said, consent: consentFor(sum.totalMinor, job.limitMinor, said), faults: own.length }];
    }),
  );
}

/** The quote of one job. */
export const getQuote = (db: Db, job: Job): Quote => quotesOf(db, [job]).get(job.id)!;

/** What it would cost to put right what a check found: the faults' work and the parts foreseen, at this job's rates. */
export const costToPutRight = (db: Db, job: Job): QuoteSum => {
  const { labour, parts } = getQuote(db, { ...job, kind: "repair", declinedReason: null });
  return quoteSum(labour.slice(1), parts, job.rates);
};

/** The bill: the work that was found, and only the parts that were really fitted. Never above the quote, whose parts include them. */
export function getBill(db: Db, job: Job): Pick<Quote, "labour" | "sum"> {
  const { labour } = getQuote(db, job);
  const parts = listFittedParts(db, job.id).map((part) => ({
    partTypeId: part.partTypeId,
    words: part.name,
    quantity: 1,
    priceMinor: part.priceMinor,
  }));
  return { labour, sum: quoteSum(labour, parts, job.rates) };
}

/** Records what the customer said, in their words and at this time, for the sum as it stands. */
export function recordAnswer(ctx: Context, jobId: number, answer: { accepted: boolean; words: string }): void {
  const job = getOpenJob(ctx.db, jobId);
  const { totalMinor } = getQuote(ctx.db, job).sum;
  ctx.db
    .prepare("INSERT INTO answer (job_id, accepted, total_minor, words, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(jobId, answer.accepted ? 1 : 0, totalMinor, answer.words, ctx.now, ctx.person.id);
  advanceStation(ctx, job, "quote");
  // The words stay with the answer; the journal holds none of a customer's.
  writeJournal(ctx, answer.accepted ? "quote-agreed" : "quote-refused", { jobId, customerId: job.customer.id }, { totalMinor });
}

/** @throws Refusal when the sum is above the limit and nobody has said yes. */
export function requireConsent(db: Db, job: Job): void {
  const { consent, sum } = getQuote(db, job);
  const way = { to: "station", tag: job.tag, station: "quote" } as const;
  if (consent === "ask")
    throw new Refusal(
      "ask-first",
      `The quote of ${formatMinor(sum.totalMinor)} ${job.currency} is above what was agreed. Ask the customer at Quote first.`,
      null,
      way,
    );
  if (consent === "refused")
    throw new Refusal(
      "refused",
      "The customer said no to this sum. Remove work or parts at Quote, or return the reel as it is.",
      null,
      way,
    );
}

/**
 * Does something that may raise the sum, and asks consent once it is in: refused, nothing of it stays.
 * @throws Refusal as requireConsent does, or the work's own.
 */
export function withConsent<T>(ctx: Context, jobId: number, work: (job: Job) => T): T {
  return ctx.db.transaction(() => {
    const answer = work(getOpenJob(ctx.db, jobId));
    requireConsent(ctx.db, getOpenJob(ctx.db, jobId));
    return answer;
  })();
}
