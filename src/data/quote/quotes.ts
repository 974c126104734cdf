import { groupBy } from "@/core/group-by";
import { opensReel } from "@/core/intake/job-kinds";
import { formatMinor } from "@/core/money/money";
import { calledFor } from "@/core/quote/call-for";
import { type Consent, consentFor, mayGoOn } from "@/core/quote/consent";
import type { ExtraLine, LabourLine, PartLine } from "@/core/quote/lines";
import { byTheClock, serviceLines } from "@/core/quote/price-list";
import { type QuoteSum, quoteSum } from "@/core/quote/quote-sum";
import type { WayOut } from "@/core/vocabulary/way-out";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { remedier } from "@/data/jobs/machine";
import { listFittedParts } from "@/data/jobs/pieces";
import { listStationTimes } from "@/data/jobs/station-time";
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
  /** Consumables (id 0) and lines of the shop's own. */
  readonly extras: readonly (ExtraLine & { readonly id: number })[];
  readonly sum: QuoteSum;
  readonly answers: readonly Answer[];
  readonly consent: Consent;
  /** Faults found so far: before the first there is nothing to ask about. */
  readonly faults: number;
  /** Parts in it for which the customer wants to be called, and for which nobody was. */
  readonly callFor: readonly string[];
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
        "SELECT job_id AS jobId, fault_id AS faultId FROM job_fault WHERE outcome IS NULL AND job_id IN (SELECT value FROM json_each(?)) ORDER BY at, fault_id",
      )
      .all(withEarlier) as { jobId: number; faultId: string }[],
  );
  const parts = byJob(
    db
      .prepare(
        `SELECT quote_part.job_id AS jobId, quote_part.position_id AS positionId, part_type.id AS partTypeId, part_type.number || ' ' || part_type.name AS words,
                coalesce((SELECT price_minor FROM job_price WHERE job_price.job_id = quote_part.job_id AND job_price.part_type_id = part_type.id),
                         part_type.price_minor) AS priceMinor,
                position.assembly_id AS assemblyId, coalesce(position.name, '') AS seat,
                EXISTS (SELECT 1 FROM instance WHERE instance.fitted_job_id = job.comeback_of
                        AND instance.position_id = quote_part.position_id) AS again
         FROM quote_part JOIN part_type ON part_type.id = quote_part.part_type_id JOIN job ON job.id = quote_part.job_id
         LEFT JOIN position ON position.model_version_id = job.model_version_id AND position.id = quote_part.position_id
         WHERE quote_part.job_id IN (SELECT value FROM json_each(?)) ORDER BY part_type.number, quote_part.position_id`,
      )
      .all(ids) as {
      jobId: number;
      positionId: string;
      partTypeId: string;
      words: string;
      priceMinor: number;
      assemblyId: string | null;
      seat: string;
      again: 0 | 1;
    }[],
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
  const lines = byJob(
    db
      .prepare(
        "SELECT id, job_id AS jobId, words, price_minor AS priceMinor FROM job_line WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY id",
      )
      .all(ids) as { id: number; jobId: number; words: string; priceMinor: number }[],
  );
  const asked = new Map(
    (
      db
        .prepare(
          `SELECT job_id AS jobId, count(*) AS assemblies FROM job_assembly WHERE opened = 1 AND why = 'asked'
           AND job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id`,
        )
        .all(ids) as { jobId: number; assemblies: number }[]
    ).map(({ jobId, assemblies }) => [jobId, assemblies]),
  );
  const faultById = faultNamer(db);
  return new Map(
    jobs.map((job) => {
      const own = faults.get(job.id) ?? [];
      const ours = job.kind === "comeback" && job.intake.pays !== "customer";
      const before = new Set(job.comebackOf === null || !ours ? [] : (faults.get(job.comebackOf) ?? []).map(({ faultId }) => faultId));
      // What was found the last time as well is ours to do again, free.
      const remedyHere = remedier(db, job);
      const remedies = own.flatMap(({ faultId }): LabourLine[] => {
        const fault = faultById(faultId);
        if (!fault) return [];
        const remedy = remedyHere(fault);
        return before.has(faultId)
          ? [{ words: `${remedy.words} (again, free)`, minutes: 0 }]
          : [{ words: remedy.words, minutes: remedy.minutes }];
      });
      const said = answers.get(job.id) ?? [];
      if (job.declinedReason !== null)
        return [
          job.id,
          {
            labour: [],
            parts: [],
            extras: [],
            sum: quoteSum([], [], job.rates),
            answers: said,
            consent: "within-limit",
            faults: own.length,
            callFor: [],
          },
        ];
      // What was fitted the last time and failed is ours to fit again.
      const foreseen = (parts.get(job.id) ?? []).map(({ seat: _seat, again, ...part }) =>
        ours && again === 1 ? { ...part, words: `${part.words} (again, free)`, priceMinor: 0, quantity: 1 } : { ...part, quantity: 1 },
      );
      const service = serviceLines(
        {
          ...job,
          complaints: job.intake.complaints,
          asked:
            job.kind === "upgrade" ? new Set((parts.get(job.id) ?? []).map(({ assemblyId }) => assemblyId)).size : (asked.get(job.id) ?? 0),
          faults: own.length,
          pays: job.intake.pays ?? "us",
        },
        job.rates.prices ?? null,
      );
      // A check is billed as a check, whatever it found.
      const billed =
        job.kind === "purchase-check" ? { labour: service, parts: [] } : { labour: [...service, ...remedies], parts: foreseen };
      const consumables = job.rates.prices?.consumablesMinor ?? 0;
      const extras = [
        ...(consumables > 0 && opensReel(job) && !ours ? [{ id: 0, words: "Oil, grease and cleaner", priceMinor: consumables }] : []),
        ...(lines.get(job.id) ?? []),
      ];
      const sum = quoteSum(billed.labour, billed.parts, job.rates, extras);
      const named = calledFor(
        job.intake.callFor ?? "",
        (parts.get(job.id) ?? []).map(({ words, seat }) => ({ name: words, seat })),
      );
      return [
        job.id,
        {
          ...billed,
          extras,
          sum,
          answers: said,
          consent: consentFor(sum.totalMinor, job.limitMinor, said, named.length > 0),
          faults: own.length,
          callFor: named,
        },
      ];
    }),
  );
}

/** The quote of one job. */
export const getQuote = (db: Db, job: Job): Quote => quotesOf(db, [job]).get(job.id)!;

/**
 * What could be done with the reel, each with its sum: sent back as it is, the quote as it stands, and with better parts on top.
 * @param upgrades part types that would go in.
 */
export function quoteOptions(db: Db, job: Job, upgrades: readonly string[]): { readonly words: string; readonly totalMinor: number }[] {
  const quote = getQuote(db, job);
  const priceOf = db.prepare("SELECT price_minor FROM part_type WHERE id = ?").pluck();
  const better = upgrades.map((partTypeId) => ({
    partTypeId,
    words: "",
    quantity: 1,
    priceMinor: (priceOf.get(partTypeId) as number) ?? 0,
  }));
  const upgraded = quoteSum(quote.labour, [...quote.parts, ...better], job.rates, quote.extras);
  return [
    { words: "As it is: sent back, nothing done", totalMinor: 0 },
    { words: "As quoted", totalMinor: quote.sum.totalMinor },
    ...(better.length
      ? [{ words: `As quoted, with better bearings and drag (${better.length} new)`, totalMinor: upgraded.totalMinor }]
      : []),
  ];
}

/** What it would cost to put right what a check found: the faults' work and the parts foreseen, at this job's rates. */
export const costToPutRight = (db: Db, job: Job): QuoteSum => {
  const { labour, parts } = getQuote(db, { ...job, kind: "repair", declinedReason: null });
  return quoteSum(labour.slice(1), parts, job.rates);
};

/** The bill: the work that was found, and only the parts that were really fitted. Never above the quote, whose parts include them. */
export function getBill(db: Db, job: Job): Pick<Quote, "labour" | "extras" | "sum"> {
  const { labour: quoted, extras } = getQuote(db, job);
  const labour = job.rates.prices?.measured
    ? byTheClock(
        quoted,
        listStationTimes(db, job.id).reduce((sum, { minutes }) => sum + minutes, 0),
      )
    : quoted;
  const parts = listFittedParts(db, job.id).map((part) => ({
    partTypeId: part.partTypeId,
    words: part.name,
    quantity: 1,
    priceMinor: part.priceMinor,
  }));
  return { labour, extras, sum: quoteSum(labour, parts, job.rates, extras) };
}

/** Adds a line of the shop's own: postage, something unusual, something taken off. */
export function addJobLine(ctx: Context, jobId: number, line: ExtraLine): number {
  const job = getOpenJob(ctx.db, jobId);
  const { lastInsertRowid } = ctx.db
    .prepare("INSERT INTO job_line (job_id, words, price_minor, at) VALUES (?, ?, ?, ?)")
    .run(job.id, line.words, line.priceMinor, ctx.now);
  writeJournal(ctx, "line-added", { jobId }, { words: line.words, priceMinor: line.priceMinor });
  return Number(lastInsertRowid);
}

export function removeJobLine(ctx: Context, jobId: number, lineId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM job_line WHERE id = ? AND job_id = ?").run(lineId, job.id);
  if (!changes) throw new Refusal("no-line", "This line is gone already. Reload the page.");
  writeJournal(ctx, "line-removed", { jobId }, {});
}

/**
 * Records what the customer said, in their words and at this time, for the sum as it stands.
 * @throws Refusal when they were asked about another sum, which the page showed and is no more.
 */
export function recordAnswer(
  ctx: Context,
  jobId: number,
  answer: { readonly accepted: boolean; readonly words: string; readonly totalMinor?: number },
): void {
  const job = getOpenJob(ctx.db, jobId);
  const { totalMinor } = getQuote(ctx.db, job).sum;
  if (answer.totalMinor !== undefined && answer.totalMinor !== totalMinor)
    throw new Refusal(
      "changed",
      `The sum is ${formatMinor(totalMinor)} by now, not the ${formatMinor(answer.totalMinor)} that was asked about: it changed in another window. Ask for this sum.`,
    );
  ctx.db
    .prepare("INSERT INTO answer (job_id, accepted, total_minor, words, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(jobId, answer.accepted ? 1 : 0, totalMinor, answer.words, ctx.now, ctx.person.id);
  advanceStation(ctx, job, "quote");
  // The words stay with the answer; the journal holds none of a customer's.
  writeJournal(ctx, answer.accepted ? "quote-agreed" : "quote-refused", { jobId, customerId: job.customer.id }, { totalMinor });
}

/** @param positionId the seat a part is wanted for now. @throws Refusal when the sum is above the limit, or a call was wished for, and nobody has said yes. */
export function requireConsent(db: Db, job: Job, positionId?: string): void {
  const { consent, sum, callFor } = getQuote(db, job);
  if (mayGoOn(consent)) return;
  const way: WayOut = positionId ? { to: "ask-for", tag: job.tag, positionId } : { to: "station", tag: job.tag, station: "quote" };
  if (consent === "ask")
    throw new Refusal(
      "ask-first",
      `The quote of ${formatMinor(sum.totalMinor)} ${job.currency} is above what was agreed. Ask the customer at Quote first.${
        callFor.length ? ` They also want a call before this is renewed: ${callFor.join(", ")}.` : ""
      }`,
      null,
      way,
    );
  if (consent === "call")
    throw new Refusal(
      "call-first",
      `The customer wants a call before this is renewed: ${callFor.join(", ")}. Call at Quote first.`,
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
export function withConsent<T>(ctx: Context, jobId: number, positionId: string, work: (job: Job) => T): T {
  return ctx.db.transaction(() => {
    const answer = work(getOpenJob(ctx.db, jobId));
    requireConsent(ctx.db, getOpenJob(ctx.db, jobId), positionId);
    return answer;
  })();
}
