import { formatMinor } from "@/core/money/money";
import { type PaidHow, type PaperLine, paidHows, paperName } from "@/core/papers/papers";
import { addressLines } from "./address-lines";
import { makePdf, pointsPerMm as mm } from "./pdf";
import { flowOf } from "./pdf-flow";

export interface PrintedPaper {
  readonly shopName: string;
  readonly kind: "invoice" | "credit";
  readonly number: number;
  readonly ofNumber: number | null;
  readonly name: string;
  /** Whom it is made out to: street and place, a comma where a line ends. */
  readonly address: string;
  readonly shop: {
    readonly address: string;
    readonly phone: string;
    readonly taxNumber: string;
    readonly bank: string;
    readonly terms: string;
  };
  /** Day of supply, in words. */
  readonly suppliedOn: string;
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

/** An invoice or a credit note on A4, with all that an invoice has to say. Days are in words already. */
export const paperPdf = (paper: PrintedPaper): Promise<Buffer> => {
  const title = `${paper.kind === "invoice" ? "Invoice" : "Credit note"} ${paperName(paper.kind, paper.number)}`;
  return makePdf({ widthMm: 210, heightMm: 297, title }, (doc) => {
    const flow = flowOf(doc, { widthMm: 210, heightMm: 297, marginMm: 20 });
    const { currency } = paper;
    const { shop } = paper;
    flow.line("bold", 14, paper.shopName);
    for (const words of [...addressLines(shop.address), shop.phone, shop.taxNumber && `Tax number ${shop.taxNumber}`])
      if (words) flow.line("sans", 10, words);
    flow.y += 10 * mm;
    for (const words of [paper.name, ...addressLines(paper.address)]) flow.line("sans", 12, words);
    flow.y += 10 * mm;
    flow.line("bold", 20, title);
    flow.line(
      "sans",
      12,
      `Issued ${paper.onDay}, ${paper.kind === "invoice" ? "supplied" : "for what was supplied"} ${paper.suppliedOn}${paper.tags.length ? `, ${paper.tags.length === 1 ? "tag" : "tags"} ${paper.tags.join(", ")}` : ""}`,
    );
    if (paper.ofNumber !== null) flow.line("sans", 12, `Takes back from invoice ${paperName("invoice", paper.ofNumber)}`);
    flow.heading(`Before tax, ${currency}`);
    for (const { words, amountMinor } of paper.lines) flow.amount(words, formatMinor(amountMinor));
    flow.heading("Sum");
    flow.amount("Before tax", formatMinor(paper.netMinor));
    flow.amount(`Tax ${paper.tax / 100} % of ${formatMinor(paper.netMinor)}`, formatMinor(paper.taxMinor));
    flow.amount(`Total ${currency}`, formatMinor(paper.netMinor + paper.taxMinor), 14);
    if (paper.kind === "credit") return;
    for (const { amountMinor, how, onDay } of paper.payments)
      flow.amount(`${amountMinor < 0 ? "Paid back" : "Paid"} ${onDay}, ${paidHows[how]}`, formatMinor(-amountMinor));
    if (paper.openMinor > 0) {
      flow.amount("Still to pay", formatMinor(paper.openMinor), 14);
      flow.line("sans", 12, `Please pay by ${paper.dueOn}${shop.bank ? ` to ${shop.bank}` : ""}.`);
    } else flow.line("sans", 12, paper.openMinor < 0 ? "To be paid back to you." : "Paid. Thank you.");
    if (shop.terms) flow.line("sans", 10, shop.terms);
  });
};
