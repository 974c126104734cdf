import { createHash } from "node:crypto";
import { appendFileSync, existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";
import { revokeAskingsOf } from "@/data/asking/asking";
import { blankCustomer, erasedName, findCustomer } from "@/data/customers/customers";
import { indexReel } from "@/data/customers/reels";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { indexForFind, overwriteInFind, writeFindAnew } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";
import { forgetAnswersWith } from "@/data/database/press";
import { forgetWordsOnJobs } from "@/data/jobs/job-row";
import { forgetLetters } from "@/data/messages/outbox";
import { forgetPaperNames, keepInvoiceName } from "@/data/papers/invoice-names";
import { forgetWordsOfNotToBeHad } from "@/data/parts/no-longer-made";
import { forgetWordsOfAnswers } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";

/** The day until which a name stays for the tax office: the end of the year, so many years after the last paid job. */
export const keptUntil = (lastClosedAt: string, years: number): string => `${Number(lastClosedAt.slice(0, 4)) + years}-12-31`;

export interface Erased {
  /** The day until which invoices keep the name; null where nothing was paid. */
  readonly nameUntil: string | null;
}

/**
 * Forgets a person, and every card that was merged into theirs: name, phone, e-mail, note, who collected and paid, and what was written down in
 * their words. Reels keep their history, under nobody's name. The name alone stays for invoices, as long as the shop's rules say.
 * @throws Refusal while a reel of theirs is here.
 */
export function eraseCustomer(ctx: Context, id: number): Erased {
  const { db } = ctx;
  const customer = findCustomer(db, id);
  if (!customer) throw new Refusal("no-customer", "This customer is no longer on record.");
  const here = db.prepare("SELECT tag FROM job WHERE customer_id = ? AND closed_at IS NULL LIMIT 1").pluck().get(id) as string | undefined;
  if (here)
    throw new Refusal("in-the-shop", `A reel of theirs is still in the shop as ${here}. Return it first.`, null, {
      to: "station",
      tag: here,
      station: "return",
    });
  // What is taken out is overwritten on disk as well.
  db.pragma("secure_delete = ON");
  overwriteInFind(db);
  const merged = db.prepare("SELECT id FROM customer WHERE merged_into = ?").pluck().all(id) as number[];
  const years = getShopSettings(db).invoiceYears;
  const lastPaid = db.prepare("SELECT max(closed_at) FROM job WHERE customer_id = ? AND final_total_minor > 0").pluck().get(id) as
    | string
    | null;
  const until = lastPaid && years > 0 ? keptUntil(lastPaid, years) : null;
  const nameUntil = until !== null && until >= ctx.now.slice(0, 10) ? until : null;
  if (nameUntil && customer.name !== erasedName) keepInvoiceName(db, { customerId: id, name: customer.name, until: nameUntil });
  // A paper stays; whom it was made out to goes as soon as the law lets it.
  if (!nameUntil) forgetPaperNames(db, [id, ...merged]);
  const reels = db.prepare("SELECT id FROM reel WHERE owner_id = ?").pluck().all(id) as number[];
  for (const each of [id, ...merged]) blankCustomer(ctx, each);
  forgetWordsOnJobs(db, id);
  // A quote's letter that waits to be sent holds an address; its link holds no more.
  forgetLetters(db, "quote", revokeAskingsOf(ctx, id));
  forgetWordsOfNotToBeHad(db, id);
  forgetWordsOfAnswers(db, id);
  for (const reel of reels) indexReel(db, reel);
  // Made anew from what is left: a card that was renamed or merged stands there under its old name.
  const jobs = db
    .prepare(
      `SELECT job.tag, model.maker || ' ' || model.name AS model, reel.serial FROM job JOIN reel ON reel.id = job.reel_id
       JOIN model ON model.id = reel.model_id WHERE job.customer_id = ?`,
    )
    .all(id) as { tag: string; model: string; serial: string }[];
  for (const { tag, model, serial } of jobs)
    indexForFind(db, {
      kind: "job",
      ref: tag,
      title: `${tag} ${model}, ${erasedName}`,
      words: `${tag.replaceAll("-", "")} ${tag} ${model} ${serial}`,
    });
  // What a press answered may hold a name; nobody sends so old a press again.
  forgetAnswersWith(db, [customer.name, customer.phone, customer.email, customer.address].filter(Boolean));
  writeJournal(ctx, "customer-erased", { customerId: id });
  return { nameUntil };
}

/**
 * Writes index and file anew, so that nothing of what was changed or taken out before, a name of years ago, is left between the rows or in the log of
 * writes. Outside any transaction; takes seconds on a file of hundreds of megabytes.
 */
export function leaveNoTrace(db: Db): void {
  writeFindAnew(db);
  db.exec("VACUUM");
  db.pragma("wal_checkpoint(TRUNCATE)");
}

/**
 * Who was erased, kept beside the database and never in a copy of it, without a word about them: a hash of the name, and the instant their card was
 * made. An earlier copy knows them still; whoever restores it has them erased again.
 */
const erasureSchema = z.object({ customerId: z.number().int(), name: z.string(), firstSeen: z.string().nullable(), at: z.string() });
type Erasure = z.infer<typeof erasureSchema>;
const fileOf = (directory: string) => join(directory, "erased.jsonl");
const hashed = (id: number, name: string) => createHash("sha256").update(`zorbek ${id} ${name}`).digest("hex");
const firstSeen = (db: Db, id: number): string | null =>
  db.prepare("SELECT min(at) FROM journal WHERE customer_id = ?").pluck().get(id) as string | null;

/** What is to be remembered of an erasure, taken before it is done. */
export function erasureOf(ctx: Context, id: number): Erasure | null {
  const customer = findCustomer(ctx.db, id);
  return customer && { customerId: id, name: hashed(id, customer.name), firstSeen: firstSeen(ctx.db, id), at: ctx.now };
}

export const rememberErasure = (directory: string, erasure: Erasure): void =>
  appendFileSync(fileOf(directory), `${JSON.stringify(erasure)}\n`, { mode: 0o600 });

/**
 * Erases again whoever was erased since the copy that was put in place was made.
 * @returns how many, and how many not, because a reel of theirs is in the shop as that copy knows it.
 */
export function eraseAgain(ctx: Context, directory: string): { erased: number; left: number } {
  const file = fileOf(directory);
  let [erased, left] = [0, 0];
  if (!existsSync(file)) return { erased, left };
  for (const line of readFileSync(file, "utf8").split("\n").filter(Boolean)) {
    const read = erasureSchema.safeParse(JSON.parse(line));
    if (!read.success) continue;
    const { customerId: id, name, firstSeen: since } = read.data;
    const customer = findCustomer(ctx.db, id);
    if (!customer || customer.name === erasedName) continue;
    // The same number may be somebody else's in a book that went another way since.
    if (hashed(id, customer.name) !== name && (since === null || firstSeen(ctx.db, id) !== since)) continue;
    if (ctx.db.prepare("SELECT 1 FROM job WHERE customer_id = ? AND closed_at IS NULL").get(id)) left++;
    else {
      eraseCustomer(ctx, id);
      erased++;
    }
  }
  return { erased, left };
}
