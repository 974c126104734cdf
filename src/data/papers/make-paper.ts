import { addDays } from "@/core/day/day";
import { formatMinor } from "@/core/money/money";
import { creditOf, type PaidHow, type PaperLine, paperName, splitGross } from "@/core/papers/papers";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { getShopSettings } from "@/data/shop/settings";
import { balanceOfPaper, creditsOf, getInvoice, invoiceOfJob, type PaperShop } from "./papers";
import { writePayment } from "./payments";

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

/** The shop's own day of an instant. */
const dayOf = (at: string): string => new Date(at).toLocaleDateString("sv-SE");
const daysAfter = (day: string, days: number): string => addDays(day, days);

/** Makes a paper with the next number: there is no gap, because none is ever taken away. */
function makePaper(ctx: Context, paper: NewPaper, ofNumber: number | null): number {
  const { db } = ctx;
  const last = db.prepare("SELECT number, on_day AS onDay FROM paper ORDER BY number DESC LIMIT 1").get() as
    | { number: number; onDay: string }
    | undefined;
  const number = (last?.number ?? 0) + 1;
  // Numbers and days rise together, also where a clock was set back.
  const day = [dayOf(ctx.now), last?.onDay ?? ""].sort().at(-1)!;
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
  if (all <= 0) throw new Refusal("all-back", "All of this invoice has already been credited.", "amount");
  if (amountMinor !== null && amountMinor <= 0)
    throw new Refusal("nothing", "Enter an amount above 0, or leave it blank for everything that is left.", "amount");
  if (amountMinor !== null && amountMinor > all)
    throw new Refusal("too-much", `Only ${formatMinor(all)} ${paper.currency} of it is left to credit.`, "amount");
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
  if (number === null) throw new Refusal("not-paid", "Nothing was charged for this job, so there is nothing to refund.", "amount");
  creditInvoice(ctx, number, { amountMinor: -amountMinor, words });
  if (!paidBy) return;
  const { openMinor } = balanceOfPaper(ctx.db, getInvoice(ctx, number));
  if (openMinor > amountMinor)
    throw new Refusal(
      "not-owed",
      `It is deducted from what is still unpaid on ${paperName("invoice", number)}: there is nothing to refund. Choose “not paid back”.`,
      "paidBy",
    );
  writePayment(ctx, number, { amountMinor, how: paidBy, onDay });
}
