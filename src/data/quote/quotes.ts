import { type Consent, consentFor, type Estimate, estimate, type LabourLine, type PartLine } from "@/core/estimate/estimate";
import { handling } from "@/core/intake/job-kinds";
import { listFindings } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { advanceStation, getOpenJob, type Job, priceInJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
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

export interface Quote {
  readonly labour: readonly LabourLine[];
  readonly parts: readonly (PartLine & { readonly positionId: string })[];
  readonly estimate: Estimate;
  readonly answers: readonly Answer[];
  readonly consent: Consent;
}

const listAnswers = (db: Db, jobId: number): Answer[] =>
  (
    db
      .prepare(
        `SELECT answer.accepted, answer.total_minor AS totalMinor, answer.words, answer.at, person.name AS person
         FROM answer JOIN person ON person.id = answer.person_id WHERE answer.job_id = ? ORDER BY answer.id`,
      )
      .all(jobId) as (Omit<Answer, "accepted"> & { accepted: 0 | 1 })[]
  ).map((row) => ({ ...row, accepted: row.accepted === 1 }));

/** The work each found fault asks for. What was found the last time as well is ours to do again, free. */
function remediesOf(db: Db, job: Job): LabourLine[] {
  const before = new Set(job.comebackOf === null ? [] : listFindings(db, job.comebackOf).map((finding) => finding.faultId));
  return listFindings(db, job.id).flatMap(({ faultId }) => {
    const fault = faultOf(db, faultId);
    if (!fault) return [];
    return before.has(faultId)
      ? [{ words: `${fault.remedy.words} (again, free)`, minutes: 0 }]
      : [{ words: fault.remedy.words, minutes: fault.remedy.minutes }];
  });
}

/** What it would cost to put right what a check found: the findings' work and the parts foreseen, at this job's rates. */
export function costToPutRight(db: Db, job: Job): Estimate {
  return estimate(remediesOf(db, job), listForeseenParts(db, job), job.rates);
}

function listForeseenParts(db: Db, job: Job): Quote["parts"] {
  return (
    db
      .prepare(
        `SELECT quote_part.position_id, part_type.id AS part_type_id, part_type.number, part_type.name
         FROM quote_part JOIN part_type ON part_type.id = quote_part.part_type_id WHERE job_id = ? ORDER BY part_type.number, quote_part.position_id`,
      )
      .all(job.id) as { position_id: string; part_type_id: string; number: string; name: string }[]
  ).map((row) => ({
    positionId: row.position_id,
    partTypeId: row.part_type_id,
    words: `${row.number} ${row.name}`,
    quantity: 1,
    priceMinor: priceInJob(db, job.id, row.part_type_id),
  }));
}

/** The estimate of a job as its findings and foreseen parts stand now, with the customer's answers. */
export function getQuote(db: Db, job: Job): Quote {
  if (job.declinedReason !== null) {
    const sum = estimate([], [], job.rates);
    return { labour: [], parts: [], estimate: sum, answers: listAnswers(db, job.id), consent: "within-limit" };
  }
  const labour = [handling[job.kind], ...remediesOf(db, job)];
  const parts = listForeseenParts(db, job);
  const billed = job.kind === "purchase-check" ? { labour: labour.slice(0, 1), parts: [] } : { labour, parts };
  const sum = estimate(billed.labour, billed.parts, job.rates);
  const answers = listAnswers(db, job.id);
  return { ...billed, estimate: sum, answers, consent: consentFor(sum.totalMinor, job.limitMinor, answers) };
}

/** The bill: the work that was found, and only the parts that were really fitted. Never above the quote, whose parts include them. */
export function getBill(db: Db, job: Job): Pick<Quote, "labour" | "estimate"> {
  const { labour } = getQuote(db, job);
  const parts = listFittedParts(db, job.id).map((part) => ({
    partTypeId: part.partTypeId,
    words: part.name,
    quantity: 1,
    priceMinor: part.priceMinor,
  }));
  return { labour, estimate: estimate(labour, parts, job.rates) };
}

/** Foresees a part for a seat, or strikes it. */
export function setQuotePart(ctx: Context, jobId: number, positionId: string, wanted: boolean): void {
  const job = getOpenJob(ctx.db, jobId);
  const position = machineOf(ctx.db, job).anatomy.positions.find((p) => p.id === positionId);
  if (!position) throw new Refusal("no-seat", "This model has no such seat.");
  if (wanted)
    ctx.db
      .prepare("INSERT OR IGNORE INTO quote_part (job_id, position_id, part_type_id) VALUES (?, ?, ?)")
      .run(jobId, positionId, position.partTypeId);
  else ctx.db.prepare("DELETE FROM quote_part WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
  writeJournal(ctx, wanted ? "part-foreseen" : "part-struck", { jobId }, { position: positionId });
}

/** Records what the customer said, in their words and at this time, for the sum as it stands. */
export function recordAnswer(ctx: Context, jobId: number, answer: { accepted: boolean; words: string }): void {
  const job = getOpenJob(ctx.db, jobId);
  const { totalMinor } = getQuote(ctx.db, job).estimate;
  ctx.db
    .prepare("INSERT INTO answer (job_id, accepted, total_minor, words, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(jobId, answer.accepted ? 1 : 0, totalMinor, answer.words, ctx.now, ctx.person.id);
  advanceStation(ctx, job, "quote");
  // The words stay with the answer; the journal holds none of a customer's.
  writeJournal(ctx, answer.accepted ? "quote-agreed" : "quote-refused", { jobId, customerId: job.customer.id }, { totalMinor });
}

/** @throws Refusal when the sum is above the limit and nobody has said yes. */
export function requireConsent(db: Db, job: Job): void {
  const { consent, estimate: sum } = getQuote(db, job);
  if (consent === "ask")
    throw new Refusal(
      "ask-first",
      `The estimate of ${(sum.totalMinor / 100).toFixed(2)} is above what was agreed. Ask the customer at Quote first.`,
      null,
      { to: "station", tag: job.tag, station: "quote" },
    );
  if (consent === "refused")
    throw new Refusal("refused", "The customer said no to this sum. Strike work or parts at Quote, or hand the reel back as it is.", null, {
      to: "station",
      tag: job.tag,
      station: "quote",
    });
}
