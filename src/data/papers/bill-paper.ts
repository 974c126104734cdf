import { labourPrice } from "@/core/money/money";
import type { PaperLine } from "@/core/papers/papers";
import type { Context } from "@/data/database/context";
import type { Job } from "@/data/jobs/jobs";
import { makeInvoice } from "@/data/papers/make-paper";
import { takePayment } from "@/data/papers/payments";
import { billedParts, type getBill } from "@/data/quote/quotes";
import type { Payment } from "./papers";

export interface BilledJob {
  readonly job: Job;
  readonly bill: ReturnType<typeof getBill>;
}

/** The lines of a job's bill, before tax; they add up to its net. */
function linesOf(ctx: Context, { job, bill }: BilledJob, named: boolean): PaperLine[] {
  const { labour, extras, sum } = bill;
  const prefix = named ? `${job.tag}: ` : "";
  const priced = labour.map(({ words, minutes, priceMinor }) => ({
    words,
    amountMinor: priceMinor ?? labourPrice(minutes, job.rates.ratePerHourMinor),
  }));
  const parts = billedParts(ctx.db, job).map(({ name, priceMinor }) => ({ words: name, amountMinor: priceMinor }));
  const lines: PaperLine[] = [
    ...priced,
    ...parts,
    ...extras.map(({ words, priceMinor }) => ({ words, amountMinor: priceMinor })),
    ...(sum.discountMinor ? [{ words: "Discount", amountMinor: -sum.discountMinor }] : []),
  ];
  // Ten short works round ten times, their sum once; and little work is made up to the smallest charge.
  const rest = sum.netMinor - lines.reduce((all, { amountMinor }) => all + amountMinor, 0);
  return [...lines, ...(rest ? [{ words: Math.abs(rest) < 20 ? "Rounding" : "To reach the minimum charge", amountMinor: rest }] : [])].map(
    (line) => ({
      ...line,
      words: `${prefix}${line.words}`,
    }),
  );
}

/**
 * Makes the invoice of what is handed back together, one for each currency and rate, and notes what was paid with it. What costs nothing has none.
 * @param paidBy how the rest was paid; null where it stays open.
 */
export function invoiceFor(ctx: Context, billed: readonly BilledJob[], paidBy: Exclude<Payment["how"], "deposit"> | null): void {
  const groups = new Map<string, BilledJob[]>();
  for (const one of billed) {
    if (one.bill.sum.totalMinor <= 0) continue;
    const key = `${one.job.currency} ${one.job.rates.tax}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  const onDay = new Date(ctx.now).toLocaleDateString("sv-SE");
  for (const group of groups.values()) {
    const [{ job }] = group as [BilledJob];
    const netMinor = group.reduce((sum, { bill }) => sum + bill.sum.netMinor, 0);
    const taxMinor = group.reduce((sum, { bill }) => sum + bill.sum.taxMinor, 0);
    const number = makeInvoice(ctx, {
      customer: job.customer,
      currency: job.currency,
      tax: job.rates.tax,
      netMinor,
      taxMinor,
      lines: group.flatMap((one) => linesOf(ctx, one, group.length > 1)),
      jobIds: group.map((one) => one.job.id),
    });
    const total = netMinor + taxMinor;
    // A deposit larger than the bill leaves something to be paid back.
    const deposits = group.filter((one) => one.job.depositMinor > 0);
    let left = total;
    for (const one of deposits) {
      const part = Math.min(left, one.job.depositMinor);
      if (part > 0) takePayment(ctx, number, { amountMinor: part, how: "deposit", onDay: one.job.openedAt.slice(0, 10) });
      left -= part;
    }
    if (paidBy && left > 0) takePayment(ctx, number, { amountMinor: left, how: paidBy, onDay });
  }
}
