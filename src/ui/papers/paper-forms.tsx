"use client";
import { ActForm, FormChoice, FormDay, FormSend, FormText } from "@/ui/controls/form";

/** A payment of an invoice, or one back; the open amount stands there already. */
export function PaymentForm({ number, open, back, today }: { number: number; open: string; back: boolean; today: string }) {
  return (
    <ActForm act="take-payment" label="Payment" also={{ number, back }} values={{ amount: open, how: "cash", onDay: today }}>
      <h2>{back ? "Pay back" : "Record a payment (all or part)"}</h2>
      <div className="flex flex-wrap items-end gap-2">
        <FormText name="amount" label="Amount" figures className="w-28" />
        <FormChoice name="how" label="How" of={{ cash: "cash", card: "card", transfer: "transfer" }} />
        <FormDay name="onDay" label="On" />
        <FormSend>{back ? "Paid back" : "Paid"}</FormSend>
      </div>
    </ActForm>
  );
}

/** Takes an invoice back, whole or a part of it. */
export function CreditForm({ number, left }: { number: number; left: string }) {
  return (
    <ActForm act="credit-invoice" label="Credit note" also={{ number }} values={{ amount: "", words: "" }}>
      <h2>Correct with a credit note</h2>
      <div className="flex flex-wrap items-end gap-2">
        <FormText name="amount" label={`Amount, tax included; empty for all ${left}`} figures className="w-64" />
        <FormText name="words" label="Reason (printed)" className="flex-1" />
        <FormSend>Create the credit note</FormSend>
      </div>
    </ActForm>
  );
}
