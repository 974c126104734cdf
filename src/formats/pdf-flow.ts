import { pointsPerMm as mm, type Pdf } from "./pdf";

export interface Flow {
  /** Where the next line goes, points from the top. */
  y: number;
  readonly left: number;
  readonly right: number;
  /** Starts a new page when the next block would run off this one. */
  readonly room: (need: number) => void;
  readonly line: (font: "sans" | "bold" | "mono", size: number, words: string, x?: number, width?: number) => void;
  /** A rule and a heading, with room for a line under it. */
  readonly heading: (words: string) => void;
  /** Words to the left, an amount to the right. */
  readonly amount: (words: string, amount: string, size?: number) => void;
}

/** Text that runs down pages of one size, in the document's own fonts. @param page in mm. */
export function flowOf(doc: Pdf, page: { widthMm: number; heightMm: number; marginMm: number }): Flow {
  const top = page.marginMm * mm;
  const left = page.marginMm * mm;
  const right = (page.widthMm - page.marginMm) * mm;
  const foot = (page.heightMm - page.marginMm) * mm;
  const flow: Flow = {
    y: top,
    left,
    right,
    room: (need) => {
      if (flow.y + need <= foot) return;
      doc.addPage();
      flow.y = top;
    },
    line: (font, size, words, x = left, width = right - x) => {
      doc.font(font).fontSize(size);
      const height = doc.heightOfString(words, { width });
      flow.room(height);
      doc.text(words, x, flow.y, { width });
      flow.y += height + 2;
    },
    heading: (words) => {
      flow.room(16 * mm);
      flow.y += 2.5 * mm;
      doc.lineWidth(1).moveTo(left, flow.y).lineTo(right, flow.y).stroke();
      flow.y += 1.5 * mm;
      flow.line("bold", 13, words);
    },
    amount: (words, amount, size = 11) => {
      flow.room(8 * mm);
      doc
        .font(size > 11 ? "bold" : "sans")
        .fontSize(size)
        .text(words, left, flow.y, { lineBreak: false });
      doc
        .font("mono")
        .fontSize(size)
        .text(amount, right - 40 * mm, flow.y, { width: 40 * mm, align: "right" });
      flow.y += (size > 11 ? 8 : 6) * mm;
    },
  };
  return flow;
}
