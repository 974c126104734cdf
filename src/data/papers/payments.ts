import { formatMinor } from "@/core/money/money";
import { type Context, Refusal } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import { balanceOfPaper, getInvoice, type Payment } from "./papers";

/**
 * Notes that something of an invoice was paid, or paid back (below nothing).
 * @throws Refusal for more than is open, and for paying back what is not to be paid back.
 */
export function takePayment(ctx: Context, number: number, payment: Omit<Payment, "person">): void {
  const paper = getInvoice(ctx, number);
  const { openMinor } = balanceOfPaper(ctx.db, paper);
  const { amountMinor } = payment;
  if (amountMinor === 0) throw new Refusal("nothing", "Enter the amount paid, above 0.", "amount");
  const amount = (minor: number) => `${formatMinor(Math.abs(minor))} ${paper.currency}`;
  if (amountMinor > 0 && amountMinor > openMinor)
    throw new Refusal("too-much", openMinor > 0 ? `Only ${amount(openMinor)} is open.` : "It is already fully paid.", "amount");
  if (amountMinor < 0 && amountMinor < Math.min(0, openMinor))
    throw new Refusal(
      "not-owed",
      openMinor < 0 ? `Only ${amount(openMinor)} is to be refunded.` : "There is nothing to refund: create a credit note first.",
      "amount",
    );
  writePayment(ctx, number, payment);
}

export function writePayment(ctx: Context, number: number, { amountMinor, how, onDay }: Omit<Payment, "person">): void {
  ctx.db
    .prepare("INSERT INTO payment (number, amount_minor, how, on_day, at, person_id) VALUES (?, ?, ?, ?, ?, ?)")
    .run(number, amountMinor, how, onDay, ctx.now, ctx.person.id);
  writeJournal(ctx, "payment-taken", {}, { number, amountMinor, how });
}
