import { formatMinor } from "@/core/money/money";
import { type PaidHow, paidHows, paperName } from "@/core/papers/papers";
import type { Taking } from "@/core/papers/takings";
import { makePdf } from "./pdf";
import { flowOf } from "./pdf-flow";

export interface TakingsSheet {
  readonly shopName: string;
  readonly currency: string;
  readonly day: string;
  readonly takings: readonly Taking[];
  readonly sums: readonly { readonly how: PaidHow; readonly minor: number }[];
  readonly closed: string;
}

const page = { widthMm: 148, heightMm: 210, marginMm: 12 } as const; // A5

/** What a day took, payment by payment and summed by the way it was paid, A5. */
export const takingsPdf = ({ shopName, currency, day, takings, sums, closed }: TakingsSheet): Promise<Buffer> =>
  makePdf({ ...page, title: `Takings ${day}` }, (doc) => {
    const flow = flowOf(doc, page);
    flow.line("bold", 18, `Takings, ${day}`);
    flow.line("sans", 10, shopName);
    flow.heading("Payments");
    for (const { invoice, name, how, amountMinor } of takings)
      flow.amount(
        `${invoice === null ? "Deposit" : paperName("invoice", invoice)}, ${name}, ${paidHows[how]}${amountMinor < 0 ? ", paid back" : ""}`.slice(
          0,
          60,
        ),
        formatMinor(amountMinor),
        10,
      );
    if (!takings.length) flow.line("sans", 10, "Nothing was paid on this day.");
    flow.heading("Together");
    for (const { how, minor } of sums) flow.amount(paidHows[how], formatMinor(minor));
    flow.amount(`All, ${currency}`, formatMinor(sums.reduce((sum, { minor }) => sum + minor, 0)), 13);
    flow.line("sans", 10, closed);
  });
