import PDFDocument from "pdfkit";
import type { DrawnSheet } from "./draw-sheet";

/** A drawn sheet as a PDF with its text where it was drawn, a letter's height being 10 points; each numeral with a circle and a stroke. */
export function pdfOf({ words, callouts }: DrawnSheet): Promise<Buffer> {
  const pages = Math.max(...words.map(({ page = 1 }) => page));
  const [width, height] = [Math.max(...words.map(({ x, w }) => x + w)) + 40, Math.max(...words.map(({ y, h }) => y + h)) + 40];
  const pdf = new PDFDocument({ size: [width, height], margin: 0, autoFirstPage: false });
  const parts: Buffer[] = [];
  pdf.on("data", (part: Buffer) => parts.push(part));
  for (let page = 1; page <= pages; page++) {
    pdf.addPage();
    for (const { text, x, y, w, page: at = 1 } of words)
      if (at === page) {
        // As wide as its box: no gap in it is as wide as that between two columns.
        const natural = pdf.fontSize(10).widthOfString(text);
        const horizontalScaling = text.length > 2 ? (100 * w) / natural : 100;
        pdf.text(text, x, y, { lineBreak: false, horizontalScaling } as PDFKit.Mixins.TextOptions);
      }
    for (const { x, y, page: at } of callouts)
      if (at === page)
        pdf
          .circle(x + 5, y + 4, 9)
          .lineWidth(0.5)
          .stroke();
  }
  pdf.end();
  return new Promise((settle) => pdf.on("end", () => settle(Buffer.concat(parts))));
}
