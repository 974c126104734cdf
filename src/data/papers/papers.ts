import { addDays } from "@/core/day/day";
import { formatMinor } from "@/core/money/money";
import {
  type Age,
  ageOf,
  type Balance,
  balanceOf,
  creditOf,
  type PaidHow,
  type PaperLine,
  paperName,
  splitGross,
  type TaxRow,
  taxRows,
} from "@/core/papers/papers";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer } from "@/data/database/kept-answers";
import { getShopSettings } from "@/data/shop/settings";

export interface Paper {
  readonly number: number;
  readonly kind: "invoice" | "credit";
  readonly ofNumber: number | null;
  readonly customerId: number;
  /** As it was printed; null once the law lets it be forgotten. */
  readonly name: string | null;
  readonly address: string;
  /** The shop as it was when the paper was made; null on one of before shops had an address here. */
  readonly shop: PaperShop | null;
  /** Day of supply: when the reel went home. */
  readonly suppliedOn: string | null;
  readonly onDay: string;
  readonly dueOn: string;
  readonly currency: string;
  readonly tax: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly lines: readonly PaperLine[];
  readonly tags: readonly string[];
}

export interface Payment {
  readonly amountMinor: number;
  readonly how: PaidHow;
  readonly onDay: string;
  readonly person: string;
}

interface NewPaper {
  readonly customer: { readonly id: number; readonly name: string };
  readonly currency: string;
  readonly tax: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly lines: readonly PaperLine[];
  readonly jobIds: readonly number[];
  /** Day of supply; today where it is not said. */
  readonly suppliedOn?: string;
}

/** What a paper says of who made it out. */
export interface PaperShop {
  readonly name: string;
  readonly address: string;
  readonly phone: string;
  readonly taxNumber: string;
  readonly bank: string;
  readonly terms: string;
}

/** The shop's own day of an instant. */
const dayOf = (at: string): string => new Date(at).toLocaleDateString("sv-SE");
const daysAfter = (day: string, days: number): string => addDays(day, days);

/** Makes a paper with the next number: there is no gap, because none is ever taken away. */
function makePaper(ctx: Context, paper: NewPaper, ofNumber: number | null): number {
  const { db } = ctx;
  const number = (db.prepare("SELECT coalesce(max(number), 0) + 1 FROM paper").pluck().get() as number) ?? 1;
  const day = dayOf(ctx.now);
  const settings = getShopSettings(db);
  const { shopName: name, address: shopAddress, phone, taxNumber, bank, terms } = settings;
  const shop: PaperShop = { name, address: shopAddress, phone, taxNumber, bank, terms };
  db.prepare(
    `INSERT INTO paper (number, kind, of_number, customer_id, on_day, due_on, currency, tax_basis_points, net_minor, tax_minor, lines, at, person_id,
       shop, supplied_on)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    number,
    ofNumber === null ? "invoice" : "credit",
    ofNumber,
    paper.customer.id,
    day,
    ofNumber === null ? daysAfter(day, settings.payWithinDays) : day,
    paper.currency,
    paper.tax,
    paper.netMinor,
    paper.taxMinor,
    JSON.stringify(paper.lines),
    ctx.now,
    ctx.person.id,
    JSON.stringify(shop),
    paper.suppliedOn ?? day,
  );
  const address = (db.prepare("SELECT address FROM customer WHERE id = ?").pluck().get(paper.customer.id) as string | undefined) ?? "";
  db.prepare("INSERT INTO paper_name (number, name, address) VALUES (?, ?, ?)").run(number, paper.customer.name, address);
  const link = db.prepare("INSERT INTO paper_job (number, job_id) VALUES (?, ?)");
  for (const jobId of paper.jobIds) link.run(number, jobId);
  return number;
}

/** Makes an invoice. @returns its number. */
export function makeInvoice(ctx: Context, paper: NewPaper): number {
  const number = makePaper(ctx, paper, null);
  writeJournal(ctx, "invoice-made", { customerId: paper.customer.id }, { number, totalMinor: paper.netMinor + paper.taxMinor });
  return number;
}

const select = `
  SELECT paper.number, paper.kind, of_number AS ofNumber, customer_id AS customerId, paper_name.name, coalesce(paper_name.address, '') AS address, paper.shop,
    supplied_on AS suppliedOn, on_day AS onDay, due_on AS dueOn, currency,
    tax_basis_points AS tax, net_minor AS netMinor, tax_minor AS taxMinor, lines,
    (SELECT group_concat(tag, ' ') FROM paper_job JOIN job ON job.id = paper_job.job_id WHERE paper_job.number = paper.number) AS tags
  FROM paper LEFT JOIN paper_name ON paper_name.number = paper.number`;
type Row = Omit<Paper, "lines" | "tags" | "shop"> & { readonly lines: string; readonly tags: string | null; readonly shop: string | null };
const toPaper = (row: Row): Paper => ({
  ...row,
  lines: JSON.parse(row.lines) as PaperLine[],
  tags: row.tags?.split(" ") ?? [],
  shop: row.shop === null ? null : (JSON.parse(row.shop) as PaperShop),
});

export const findPaper = (db: Db, number: number): Paper | null => {
  const row = db.prepare(`${select} WHERE paper.number = ?`).get(number) as Row | undefined;
  return row ? toPaper(row) : null;
};

/** Credit notes of an invoice, the first first. */
export const creditsOf = (db: Db, number: number): Paper[] =>
  (db.prepare(`${select} WHERE paper.of_number = ? ORDER BY paper.number`).all(number) as Row[]).map(toPaper);

export const paymentsOf = (db: Db, number: number): Payment[] =>
  db
    .prepare(
      `SELECT amount_minor AS amountMinor, how, on_day AS onDay, person.name AS person FROM payment JOIN person ON person.id = person_id
       WHERE number = ? ORDER BY payment.id`,
    )
    .all(number) as Payment[];

/** What an invoice comes to, what was taken back and paid of it, and what is open. */
export function balanceOfPaper(db: Db, { number, netMinor, taxMinor }: Pick<Paper, "number" | "netMinor" | "taxMinor">): Balance {
  const { credited, paid } = db
    .prepare(
      `SELECT (SELECT coalesce(-sum(net_minor + tax_minor), 0) FROM paper WHERE of_number = @number) AS credited,
              (SELECT coalesce(sum(amount_minor), 0) FROM payment WHERE number = @number) AS paid`,
    )
    .get({ number }) as { credited: number; paid: number };
  return balanceOf(netMinor + taxMinor, credited, paid);
}

function getInvoice(ctx: Context, number: number): Paper {
  const paper = findPaper(ctx.db, number);
  if (paper?.kind !== "invoice") throw new Refusal("no-invoice", "There is no invoice of this number.");
  return paper;
}

/**
 * Notes that something of an invoice was paid, or paid back (below nothing).
 * @throws Refusal for more than is open, and for paying back what is not to be paid back.
 */
export function takePayment(ctx: Context, number: number, payment: Omit<Payment, "person">): void {
  const paper = getInvoice(ctx, number);
  const { openMinor } = balanceOfPaper(ctx.db, paper);
  const { amountMinor } = payment;
  const amount = (minor: number) => `${formatMinor(Math.abs(minor))} ${paper.currency}`;
  if (amountMinor > 0 && amountMinor > openMinor)
    throw new Refusal("too-much", openMinor > 0 ? `Only ${amount(openMinor)} is open.` : "Nothing of it is open any more.", "amount");
  if (amountMinor < 0 && amountMinor < Math.min(0, openMinor))
    throw new Refusal(
      "not-owed",
      openMinor < 0 ? `Only ${amount(openMinor)} is to be paid back.` : "Nothing is to be paid back: make a credit note first.",
      "amount",
    );
  writePayment(ctx, number, payment);
}

function writePayment(ctx: Context, number: number, { amountMinor, how, onDay }: Omit<Payment, "person">): void {
  ctx.db
    .prepare("INSERT INTO payment (number, amount_minor, how, on_day, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(number, amountMinor, how, onDay, ctx.now, ctx.person.id);
  writeJournal(ctx, "payment-taken", {}, { number, amountMinor, how });
}

/**
 * Takes something of an invoice back by a credit note; the invoice itself stays as it is.
 * @param amountMinor with tax; null for all that is left. @returns the credit note's number. @throws Refusal for more than is left.
 */
export function creditInvoice(ctx: Context, number: number, { amountMinor, words }: { amountMinor: number | null; words: string }): number {
  const paper = getInvoice(ctx, number);
  const before = creditsOf(ctx.db, number);
  const left = {
    netMinor: paper.netMinor + before.reduce((sum, { netMinor }) => sum + netMinor, 0),
    taxMinor: paper.taxMinor + before.reduce((sum, { taxMinor }) => sum + taxMinor, 0),
  };
  const all = left.netMinor + left.taxMinor;
  if (all <= 0) throw new Refusal("all-back", "All of this invoice was taken back already.", "amount");
  if (amountMinor !== null && amountMinor > all)
    throw new Refusal("too-much", `Only ${formatMinor(all)} ${paper.currency} of it is left to take back.`, "amount");
  const split = creditOf(left, amountMinor, paper.tax);
  const jobIds = ctx.db.prepare("SELECT job_id FROM paper_job WHERE number = ?").pluck().all(number) as number[];
  const credit = makePaper(
    ctx,
    {
      customer: { id: paper.customerId, name: paper.name ?? "" },
      currency: paper.currency,
      tax: paper.tax,
      netMinor: -split.netMinor,
      taxMinor: -split.taxMinor,
      lines: [{ words: `${words} (of ${paperName("invoice", number)})`, amountMinor: -split.netMinor }],
      jobIds,
    },
    number,
  );
  writeJournal(
    ctx,
    "credit-made",
    { customerId: paper.customerId },
    { number: credit, of: number, totalMinor: split.netMinor + split.taxMinor },
  );
  return credit;
}

/** The invoice of a job, the one it was handed back with; null where nothing was charged. */
export const invoiceOfJob = (db: Db, jobId: number): number | null =>
  (db
    .prepare("SELECT min(paper.number) FROM paper_job JOIN paper ON paper.number = paper_job.number WHERE job_id = ? AND kind = 'invoice'")
    .pluck()
    .get(jobId) as number | null) ?? null;

/**
 * What was added to a closed job in money: on top by an invoice of its own, back by a credit note.
 * @param paidBy how the money went with it; null where it did not: then the paper stays open.
 */
export function paperOfCorrection(
  ctx: Context,
  job: {
    readonly id: number;
    readonly customer: { readonly id: number; readonly name: string };
    readonly currency: string;
    readonly rates: { readonly tax: number };
    readonly closedAt: string | null;
  },
  { words, amountMinor, paidBy }: { words: string; amountMinor: number; paidBy: Exclude<PaidHow, "deposit"> | null },
): void {
  if (amountMinor === 0) return;
  const onDay = dayOf(ctx.now);
  if (amountMinor > 0) {
    const split = splitGross(amountMinor, job.rates.tax);
    const number = makeInvoice(ctx, {
      customer: job.customer,
      currency: job.currency,
      tax: job.rates.tax,
      ...split,
      lines: [{ words, amountMinor: split.netMinor }],
      jobIds: [job.id],
      ...(job.closedAt ? { suppliedOn: dayOf(job.closedAt) } : {}),
    });
    if (paidBy) writePayment(ctx, number, { amountMinor, how: paidBy, onDay });
    return;
  }
  const number = invoiceOfJob(ctx.db, job.id);
  if (number === null) throw new Refusal("not-paid", "Nothing was charged for this job: there is nothing to give back.", "amount");
  creditInvoice(ctx, number, { amountMinor: -amountMinor, words });
  if (!paidBy) return;
  const { openMinor } = balanceOfPaper(ctx.db, getInvoice(ctx, number));
  if (openMinor > amountMinor)
    throw new Refusal(
      "not-owed",
      `It is taken off what is still open on ${paperName("invoice", number)}: nothing is to be paid back. Choose “not paid back”.`,
      "paidBy",
    );
  writePayment(ctx, number, { amountMinor, how: paidBy, onDay });
}

export interface ListedPaper extends Omit<Paper, "lines" | "netMinor" | "taxMinor" | "shop"> {
  readonly totalMinor: number;
  /** Of an invoice; a credit note has none. */
  readonly openMinor: number;
  readonly age: Age | null;
}

export interface PaperQuery {
  readonly text?: string;
  readonly openOnly?: boolean;
  readonly customerId?: number;
  readonly from?: string;
  readonly to?: string;
}

/** Papers, the last first. @param text a number, a tag or the beginning of a name. */
export function listPapers(db: Db, query: PaperQuery, today: string, limit: number, offset = 0): ListedPaper[] {
  const text = query.text?.trim() ?? "";
  const number = /^[RC]?\s*0*(\d{1,9})$/i.exec(text)?.[1] ?? null;
  const credited = "coalesce((SELECT -sum(net_minor + tax_minor) FROM paper AS credit WHERE credit.of_number = paper.number), 0)";
  const paid = "coalesce((SELECT sum(amount_minor) FROM payment WHERE payment.number = paper.number), 0)";
  const tagged =
    "EXISTS (SELECT 1 FROM paper_job JOIN job ON job.id = paper_job.job_id WHERE paper_job.number = paper.number AND tag LIKE @like ESCAPE '\\')";
  // Only what is asked for is reckoned: a page of ten years' papers costs as much as one of a month's.
  const wanted = [
    "TRUE",
    ...(query.from || query.to ? ["on_day >= @from AND on_day <= @to"] : []),
    ...(text ? [`(paper.number = @number OR paper_name.name LIKE @like ESCAPE '\\' OR ${tagged})`] : []),
    ...(query.customerId ? ["customer_id = @customerId"] : []),
    ...(query.openOnly ? [`paper.kind = 'invoice' AND net_minor + tax_minor <> ${credited} + ${paid}`] : []),
  ];
  const rows = db
    .prepare(
      `${select.replace("FROM paper LEFT", `, ${credited} AS credited, ${paid} AS paid FROM paper LEFT`)} WHERE ${wanted.join(" AND ")}
       ORDER BY paper.number DESC LIMIT @limit OFFSET @offset`,
    )
    .all({
      ...(text ? { number: number === null ? 0 : Number(number), like: `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%` } : {}),
      ...(query.customerId ? { customerId: query.customerId } : {}),
      ...(query.from || query.to ? { from: query.from ?? "0000", to: query.to ?? "9999" } : {}),
      limit,
      offset,
    }) as (Row & { credited: number; paid: number })[];
  return rows.map(({ credited, paid, netMinor, taxMinor, tags, lines: _, shop: _shop, ...row }) => {
    const totalMinor = netMinor + taxMinor;
    const openMinor = row.kind === "invoice" ? totalMinor - credited - paid : 0;
    return { ...row, totalMinor, openMinor, tags: tags?.split(" ") ?? [], age: openMinor > 0 ? ageOf(row.dueOn, today) : null };
  });
}

/** What is open, by its age. */
export const openByAge = (db: Db, today: string): ReadonlyMap<Age, { papers: number; minor: number }> =>
  // Papers and payments are added, never changed: their last numbers tell whether anything is new.
  keptAnswer(
    db,
    "open by age",
    `${today} ${db.prepare("SELECT (SELECT max(number) FROM paper) || ' ' || (SELECT max(id) FROM payment)").pluck().get() as string | null}`,
    () => readOpen(db, today),
  );

function readOpen(db: Db, today: string): ReadonlyMap<Age, { papers: number; minor: number }> {
  const rows = new Map<Age, { papers: number; minor: number }>();
  for (const { age, openMinor } of listPapers(db, { openOnly: true }, today, 10_000)) {
    if (!age) continue;
    const row = rows.get(age) ?? { papers: 0, minor: 0 };
    rows.set(age, { papers: row.papers + 1, minor: row.minor + openMinor });
  }
  return rows;
}

/** Tax by month and rate. @param from and to ISO days, both included. */
export const taxByMonth = (db: Db, from: string, to: string): TaxRow[] =>
  taxRows(
    db
      .prepare(
        `SELECT on_day AS onDay, tax_basis_points AS tax, currency, net_minor AS netMinor, tax_minor AS taxMinor FROM paper
         WHERE on_day >= ? AND on_day <= ?`,
      )
      .all(from, to) as Parameters<typeof taxRows>[0][number][],
  );

/** For the book-keeper: every paper of a time in its order, and every payment. */
export function bookExport(db: Db, from: string, to: string) {
  return {
    papers: (db.prepare(`${select} WHERE on_day >= ? AND on_day <= ? ORDER BY paper.number`).all(from, to) as Row[]).map(toPaper),
    payments: db
      .prepare(
        `SELECT payment.id, payment.number, amount_minor AS amountMinor, how, payment.on_day AS onDay, currency FROM payment
         JOIN paper ON paper.number = payment.number WHERE payment.on_day >= ? AND payment.on_day <= ? ORDER BY payment.id`,
      )
      .all(from, to) as (Omit<Payment, "person"> & { id: number; number: number; currency: string })[],
  };
}
