import { type PaidHow, paperName } from "@/core/papers/papers";
import { csvTable } from "./csv-table";

const amount = (minor: number): string => (minor / 100).toFixed(2);

/** Papers for the book-keeper (RFC 4180), one a row, in the order of their numbers; credit notes below nothing. */
export const papersCsv = (
  papers: readonly {
    readonly kind: "invoice" | "credit";
    readonly number: number;
    readonly ofNumber: number | null;
    readonly onDay: string;
    readonly dueOn: string;
    readonly name: string | null;
    readonly tags: readonly string[];
    readonly netMinor: number;
    readonly tax: number;
    readonly taxMinor: number;
    readonly currency: string;
  }[],
): string =>
  csvTable(
    ["number", "kind", "of", "date", "due", "customer", "tags", "net", "tax rate %", "tax", "total", "currency"],
    papers.map((paper) => [
      paperName(paper.kind, paper.number),
      paper.kind === "invoice" ? "invoice" : "credit note",
      paper.ofNumber === null ? "" : paperName("invoice", paper.ofNumber),
      paper.onDay,
      paper.dueOn,
      paper.name ?? "",
      paper.tags.join(" "),
      amount(paper.netMinor),
      paper.tax / 100,
      amount(paper.taxMinor),
      amount(paper.netMinor + paper.taxMinor),
      paper.currency,
    ]),
  );

/** Payments for the book-keeper, in the order they were noted. */
export const paymentsCsv = (
  payments: readonly {
    readonly id: number;
    readonly number: number;
    readonly onDay: string;
    readonly how: PaidHow;
    readonly amountMinor: number;
    readonly currency: string;
  }[],
): string =>
  csvTable(
    ["payment", "date", "invoice", "how", "amount", "currency"],
    payments.map(({ id, number, onDay, how, amountMinor, currency }) => [
      id,
      onDay,
      paperName("invoice", number),
      how,
      amount(amountMinor),
      currency,
    ]),
  );
