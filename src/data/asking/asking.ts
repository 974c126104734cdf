import { createHash } from "node:crypto";
import { addMinutes, minutesPerDay } from "@/core/day/day";
import { labourPrice } from "@/core/money/money";
import { type Asking, type AskingLine, type AskingOption, askingDays, mostCodes, shortCodes } from "@/core/quote/asking";
import { letterText } from "@/core/quote/asking-letter";
import { pieceLines } from "@/core/quote/kit-lines";
import { quoteSum } from "@/core/quote/quote-sum";
import { remedyOn } from "@/core/safety/act-cautions";
import { openingOf } from "@/data/bench/opening";
import { upgradeSeatsOf } from "@/data/bench/ways";
import { findCustomer } from "@/data/customers/customers";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { listFaults, setFaultOutcome } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { declineJob } from "@/data/hand-back/decline";
import { findJob, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf, typesInSeats } from "@/data/jobs/machine";
import { writeMail } from "@/data/messages/outbox";
import { declinePart, setForeseen, strikeKit } from "@/data/parts/quote-parts";
import { getQuote, recordAnswer, removeJobLine } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";

/** Asks a customer about a quote, by letter, mail, link or codes, and does what they say. Nothing above their yes is done. */

export interface OpenAsking {
  readonly id: number;
  readonly jobId: number;
  readonly asked: Asking;
  readonly totalMinor: number;
  readonly madeAt: string;
  readonly expiresAt: string;
}

const hashOf = (token: string) => createHash("sha256").update(token).digest("hex");
const columns = "id, job_id AS jobId, asked, total_minor AS totalMinor, made_at AS madeAt, expires_at AS expiresAt";
type Row = Omit<OpenAsking, "asked"> & { readonly asked: string };
const toAsking = (row: Row): OpenAsking => ({ ...row, asked: JSON.parse(row.asked) as Asking });

/** What a customer could be asked about a job now. */
function askingOf(db: Db, job: Job, first: number): Asking {
  const quote = getQuote(db, job);
  const version = machineOf(db, job);
  const seat = (id: string) => version.anatomy.positions.find((position) => position.id === id)?.name ?? id;
  const parts = pieceLines(quote.parts).map(({ positionIds, kitId, words, priceMinor }) =>
    kitId === null
      ? { kind: "part" as const, ref: positionIds[0]!, words: `New ${seat(positionIds[0]!).toLowerCase()}`, priceMinor }
      : { kind: "kit" as const, ref: kitId, words, priceMinor },
  );
  // Work on a fault may be left out with its price; the service itself, and what is done again free, may not.
  const faults = listFaults(db, job.id).flatMap(({ faultId, outcome }) => {
    const fault = outcome === null ? faultOf(db, faultId) : null;
    const remedy = fault && remedyOn(fault, typesInSeats(version));
    const billed = remedy && quote.labour.find((line) => line.faultId === faultId && !line.ours);
    return billed
      ? [{ kind: "fault" as const, ref: faultId, words: billed.words, priceMinor: labourPrice(billed.minutes, job.rates.ratePerHourMinor) }]
      : [];
  });
  const extras = quote.extras
    .filter(({ id }) => id > 0)
    .map(({ id, words, priceMinor }) => ({ kind: "extra" as const, ref: String(id), words, priceMinor }));
  const seats = upgradeSeatsOf(db, job, version, openingOf(db, job, version).opening.off);
  const upgrades = seats.map(({ positionId, priceMinor }) => ({
    kind: "upgrade" as const,
    ref: positionId,
    words: `Better ${seat(positionId).toLowerCase()}`,
    priceMinor,
  }));
  const lines = [...parts, ...faults, ...extras, ...upgrades];
  // Better parts beyond the codes go with their option as a whole.
  const codes = shortCodes(first, Math.min(mostCodes, lines.length + 3));
  const faultWords = new Set(faults.map(({ words }) => words));
  const better = upgrades.map(({ ref, priceMinor }) => ({ partTypeId: ref, words: "", quantity: 1, priceMinor }));
  // Not recommended is said of each choice by itself.
  const beyond = (totalMinor: number) => (job.valueMinor !== null && totalMinor > job.valueMinor ? ": more than the reel is worth" : "");
  const upgradedMinor = quoteSum(quote.labour, [...quote.parts, ...better], job.rates, quote.extras).totalMinor;
  const options: Asking["options"] = [
    { option: "as-is", code: codes[0]!, words: "As it is: sent back, nothing done", totalMinor: 0 },
    { option: "quoted", code: codes[1]!, words: `As quoted${beyond(quote.sum.totalMinor)}`, totalMinor: quote.sum.totalMinor },
    ...(better.length
      ? [
          {
            option: "upgrade" as const,
            code: codes[2]!,
            words: `As quoted, with better parts (${better.length})${beyond(upgradedMinor)}`,
            totalMinor: upgradedMinor,
          },
        ]
      : []),
  ];
  return {
    options,
    lines: lines.map((line, i): AskingLine => ({ ...line, code: codes[i + 3] ?? "" })),
    fixed: [
      ...quote.labour
        .filter(({ words }) => !faultWords.has(words))
        .map(({ words, minutes, priceMinor }) => ({ words, priceMinor: priceMinor ?? labourPrice(minutes, job.rates.ratePerHourMinor) })),
      ...quote.extras.filter(({ id }) => id === 0).map(({ words, priceMinor }) => ({ words, priceMinor })),
    ],
    currency: job.currency,
    valueMinor: job.valueMinor,
  };
}

/**
 * Puts a quote into a letter with codes and a link; an earlier letter holds no more.
 * @param token of the link, drawn where it is shown: here only its hash is kept, and no answer holds it.
 */
export function ask(ctx: Context, jobId: number, token: string): { id: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const count = db.prepare("SELECT count(*) FROM asking").pluck().get() as number;
  const asked = askingOf(db, job, count);
  db.prepare("UPDATE asking SET revoked_at = ? WHERE job_id = ? AND revoked_at IS NULL AND answered_at IS NULL").run(ctx.now, jobId);
  const expires = addMinutes(ctx.now, askingDays * minutesPerDay);
  const id = Number(
    db
      .prepare("INSERT INTO asking (job_id, token_hash, asked, total_minor, made_at, expires_at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?)")
      .run(jobId, hashOf(token), JSON.stringify(asked), getQuote(db, job).sum.totalMinor, ctx.now, expires, ctx.person.id).lastInsertRowid,
  );
  writeJournal(ctx, "quote-asked", { jobId, customerId: job.customer.id }, { asking: id });
  return { id };
}

/** The letter of a job that holds now. */
export function openAskingOf(db: Db, jobId: number, now: string): OpenAsking | null {
  const row = db
    .prepare(`SELECT ${columns} FROM asking WHERE job_id = ? AND revoked_at IS NULL AND answered_at IS NULL AND expires_at > ?`)
    .get(jobId, now) as Row | undefined;
  return row ? toAsking(row) : null;
}

/** The letter a link leads to, while it holds. */
export function askingByToken(db: Db, token: string, now: string): (OpenAsking & { readonly personId: number }) | null {
  const row = db
    .prepare(
      `SELECT ${columns}, person_id AS personId FROM asking
       WHERE token_hash = ? AND revoked_at IS NULL AND answered_at IS NULL AND expires_at > ?
         AND EXISTS (SELECT 1 FROM job WHERE job.id = asking.job_id AND job.closed_at IS NULL)`,
    )
    .get(hashOf(token), now) as (Row & { personId: number }) | undefined;
  return row ? { ...toAsking(row), personId: row.personId } : null;
}

/** The link holds no more. */
export function revokeAsking(ctx: Context, jobId: number): void {
  const { changes } = ctx.db
    .prepare("UPDATE asking SET revoked_at = ? WHERE job_id = ? AND revoked_at IS NULL AND answered_at IS NULL")
    .run(ctx.now, jobId);
  if (!changes) throw new Refusal("no-asking", "This job has no valid letter. Reload the page.");
  writeJournal(ctx, "quote-asking-revoked", { jobId }, {});
}

/** Writes the mail that brings a letter to its customer. @param link null where the shop cannot be reached from outside. */
export function mailAsking(ctx: Context, jobId: number, link: string | null, until: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const asking = openAskingOf(ctx.db, jobId, ctx.now);
  if (!asking) throw new Refusal("no-asking", "This job has no valid letter. Create a new one.");
  const to = findCustomer(ctx.db, job.customer.id)?.email ?? "";
  if (!to)
    throw new Refusal("no-mail", `${job.customer.name} has no e-mail address. Add it on the customer's record.`, null, {
      to: "customer",
      customerId: job.customer.id,
    });
  const { shopName } = getShopSettings(ctx.db);
  writeMail(ctx, {
    kind: "quote",
    ref: asking.id,
    to,
    subject: `${shopName}: quote for your ${job.reel.modelName} (${job.tag})`,
    text: letterText({ shopName, owner: job.customer.name, reel: job.reel.modelName, asked: asking.asked, until, link }),
  });
}

export interface CustomerAnswer {
  readonly option: AskingOption;
  /** Refs of the lines that are wanted; lines of the asking that are not among them are left out. */
  readonly yes: readonly string[];
  /** In the customer's words. */
  readonly words: string;
  readonly by: "link" | "codes" | "phone";
}

/**
 * Does what the customer said: lines they do not want leave the quote, better parts they want enter it, and their yes holds for the sum that is
 * left. @throws Refusal when the quote is not the one they were asked about any more.
 */
export function answerAsking(ctx: Context, askingId: number, answer: CustomerAnswer): { totalMinor: number } {
  const { db } = ctx;
  const row = db.prepare(`SELECT ${columns} FROM asking WHERE id = ? AND revoked_at IS NULL AND answered_at IS NULL`).get(askingId) as
    | Row
    | undefined;
  if (!row) throw new Refusal("no-asking", "This letter was answered, or a newer one was sent.");
  const asking = toAsking(row);
  const job = getOpenJob(db, asking.jobId);
  const way = { to: "station", tag: job.tag, station: "quote" } as const;
  if (getQuote(db, job).sum.totalMinor !== asking.totalMinor)
    throw new Refusal("changed", "The quote has changed since it was sent (a price or a part). Send it again.", null, way);
  const words = answer.words.trim() || (answer.option === "as-is" ? "sent back as it is" : "yes");
  db.prepare("UPDATE asking SET answered_at = ?, answered_by = ? WHERE id = ?").run(ctx.now, answer.by, askingId);
  if (answer.option === "as-is") {
    recordAnswer(ctx, job.id, { accepted: false, words });
    declineJob(ctx, job.id, `The customer wants it back unrepaired${answer.words.trim() ? `: ${answer.words.trim()}` : "."}`);
    return { totalMinor: 0 };
  }
  const yes = new Set(answer.yes);
  for (const { kind, ref } of asking.asked.lines) {
    const wanted = yes.has(ref);
    if (kind === "part" && !wanted) declinePart(ctx, job.id, ref, true);
    if (kind === "kit" && !wanted) strikeKit(ctx, job.id, ref, true);
    if (kind === "fault" && !wanted) setFaultOutcome(ctx, job.id, ref, "declined");
    if (kind === "extra" && !wanted) removeJobLine(ctx, job.id, Number(ref));
    if (kind === "upgrade" && wanted && answer.option === "upgrade") setForeseen(ctx, job.id, ref, true);
  }
  const totalMinor = getQuote(db, findJob(db, job.id)!).sum.totalMinor;
  recordAnswer(ctx, job.id, { accepted: true, words });
  return { totalMinor };
}

/** The letter an asking was sent as, also after it was answered. */
export function findAsking(db: Db, id: number): OpenAsking | null {
  const row = db.prepare(`SELECT ${columns} FROM asking WHERE id = ?`).get(id) as Row | undefined;
  return row ? toAsking(row) : null;
}

/** Whether a token is that of a job's letter. */
export const isTokenOf = (db: Db, token: string, jobId: number): boolean =>
  db.prepare("SELECT 1 FROM asking WHERE token_hash = ? AND job_id = ? AND revoked_at IS NULL").get(hashOf(token), jobId) !== undefined;

/** Calls back every question to a customer that was not answered yet. @returns the ids of all that were ever asked. */
export function revokeAskingsOf({ db, now }: Context, customerId: number): number[] {
  const ids = db
    .prepare("SELECT asking.id FROM asking JOIN job ON job.id = asking.job_id WHERE job.customer_id = ?")
    .pluck()
    .all(customerId) as number[];
  db.prepare(
    "UPDATE asking SET revoked_at = ? WHERE revoked_at IS NULL AND answered_at IS NULL AND id IN (SELECT value FROM json_each(?))",
  ).run(now, JSON.stringify(ids));
  return ids;
}
