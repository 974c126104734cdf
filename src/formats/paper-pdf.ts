import { formatMinor } from "@/core/money/money";
import { type PaidHow, type PaperLine, paidHows, paperName } from "@/core/papers/papers";
import { makePdf, pointsPerMm as mm } from "./pdf";
import { flowOf } from "./pdf-flow";

export interface PrintedPaper {
  readonly shopName: string;
  readonly kind: "invoice" | "credit";
  readonly number: number;
  readonly ofNumber: number | null;
  readonly name: string;
  readonly onDay: string;
  readonly dueOn: string;
  readonly tags: readonly string[];
  readonly currency: string;
  /** Basis points. */
  readonly tax: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly lines: readonly PaperLine[];
  readonly payments: readonly { readonly amountMinor: number; readonly how: PaidHow; readonly onDay: string }[];
  readonly openMinor: number;
}

/** An invoice or a credit note on A4. Days are in words already. */
export const paperPdf = (paper: PrintedPaper): Promise<Buffer> => {
  const title = `${paper.kind === "invoice" ? "Invoice" : "Credit note"} ${paperName(paper.kind, paper.number)}`;
  return makePdf({ widthMm: 210, heightMm: 297, title }, (doc) => {
    const flow = flowOf(doc, { widthMm: 210, heightMm: 297, marginMm: 20 });
    const { currency } = paper;
    flow.line("bold", 14, paper.shopName);
    flow.y += 14 * mm;
    flow.line("sans", 12, paper.name);
    flow.y += 14 * mm;
    flow.line("bold", 20, title);
    flow.line(
      "sans",
      12,
      `${paper.onDay}${paper.tags.length ? `, ${paper.tags.length === 1 ? "tag" : "tags"} ${paper.tags.join(", ")}` : ""}`,
    );
    if (paper.ofNumber !== null) flow.line("sans", 12, `Takes back from invoice ${paperName("invoice", paper.ofNumber)}`);
    flow.heading(`Before tax, ${currency}`);
    for (const { words, amountMinor } of paper.lines) flow.amount(words, formatMinor(amountMinor));
    flow.heading("Sum");
    flow.amount("Before tax", formatMinor(paper.netMinor));
    flow.amount(`Tax ${paper.tax / 100} %`, formatMinor(paper.taxMinor));
    flow.amount(`Total ${currency}`, formatMinor(paper.netMinor + paper.taxMinor), 14);
    if (paper.kind === "credit") return;
    for (const { amountMinor, how, onDay } of paper.payments)
      flow.amount(`${amountMinor < 0 ? "Paid back" : "Paid"} ${onDay}, ${paidHows[how]}`, formatMinor(-amountMinor));
    if (paper.openMinor > 0) {
      flow.amount("Still to pay", formatMinor(paper.openMinor), 14);
      flow.line("sans", 12, `Please pay until ${paper.dueOn}.`);
    } else flow.line("sans", 12, paper.openMinor < 0 ? "To be paid back to you." : "Paid. Thank you.");
  });
};
