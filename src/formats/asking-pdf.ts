import { formatMinor } from "@/core/money/money";
import type { Asking } from "@/core/quote/asking";
import { addressLines } from "./address-lines";
import { drawQr, makePdf, pointsPerMm as mm } from "./pdf";
import { flowOf } from "./pdf-flow";

export interface AskingLetter {
  readonly shopName: string;
  readonly shopAt?: string;
  /** Where the letter goes. */
  readonly address?: string;
  readonly tag: string;
  readonly owner: string;
  readonly reel: string;
  readonly asked: Asking;
  readonly until: string;
  /** Where the customer answers, if the shop can be reached from outside. */
  readonly link: string | null;
}

/** The quote as a letter: options side by side, each line with its short code, and how to answer. */
export const askingPdf = ({ shopName, shopAt, address = "", tag, owner, reel, asked, until, link }: AskingLetter): Promise<Buffer> =>
  makePdf({ widthMm: 210, heightMm: 297, title: `Quote ${tag}` }, (doc) => {
    const flow = flowOf(doc, { widthMm: 210, heightMm: 297, marginMm: 18 });
    const { options, lines, fixed, currency, valueMinor } = asked;
    if (link) drawQr(doc, link, flow.right - 34 * mm, flow.y, 34 * mm);
    const width = link ? 130 * mm : undefined;
    flow.line("bold", 22, "Quote", flow.left, width);
    flow.line("sans", 12, shopName, flow.left, width);
    if (shopAt) flow.line("sans", 10, shopAt, flow.left, width);
    flow.line("bold", 13, owner, flow.left, width);
    for (const words of addressLines(address)) flow.line("sans", 11, words, flow.left, width);
    flow.line("sans", 12, `${reel}, tag ${tag}`, flow.left, width);
    if (link) flow.y = Math.max(flow.y, 54 * mm);
    flow.heading("What could be done, tax included");
    // Side by side, as wide as the page.
    const each = (flow.right - flow.left) / options.length;
    const top = flow.y + 2 * mm;
    options.forEach(({ code, words, totalMinor }, i) => {
      const x = flow.left + i * each;
      doc
        .rect(x, top, each - 3 * mm, 34 * mm)
        .lineWidth(1)
        .stroke();
      const text = (font: "sans" | "bold" | "mono", size: number, what: string, down: number) =>
        doc
          .font(font)
          .fontSize(size)
          .text(what, x + 3 * mm, top + down * mm, { width: each - 9 * mm, height: 14 * mm, ellipsis: true });
      text("mono", 18, code, 3);
      text("sans", 11, words, 12);
      text("mono", 13, `${formatMinor(totalMinor)} ${currency}`, 26);
    });
    flow.y = top + 37 * mm;
    if (valueMinor !== null) flow.line("sans", 11, `In its present state this reel is worth about ${formatMinor(valueMinor)} ${currency}.`);
    flow.heading("Line by line, before tax");
    for (const { words, priceMinor } of fixed) flow.amount(words, formatMinor(priceMinor));
    for (const { code, words, priceMinor, kind } of lines)
      flow.amount(`${code ? `${code}   ` : ""}${words}${kind === "upgrade" ? " (better part)" : ""}`, formatMinor(priceMinor));
    flow.heading("How to say yes");
    flow.line(
      "sans",
      12,
      `Nothing is done before you say yes. Name the code of a choice, or the codes of just those lines you want, by phone, mail or at the counter, until ${until}.`,
    );
    if (link) flow.line("sans", 12, `Or answer here: ${link}`);
  });
