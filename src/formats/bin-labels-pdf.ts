import { binLabelText } from "@/core/ordering/bin-label";
import { drawQr, makePdf, pointsPerMm as mm } from "./pdf";

/** A4, mm: three columns of eight labels in its middle. */
const sheet = { width: 210, height: 297, columns: 3, rows: 8 } as const;
const label = { width: 64, height: 34 } as const;

/** Labels of bins, twenty-four to a sheet, each with its part's number as text and as a code for the counting walk. */
export const binLabelsPdf = (bins: readonly { readonly bin: string; readonly number: string; readonly name: string }[]): Promise<Buffer> =>
  makePdf({ widthMm: sheet.width, heightMm: sheet.height, title: `${bins.length} bin labels` }, (doc) => {
    const [left, top] = [(sheet.width - sheet.columns * label.width) / 2, (sheet.height - sheet.rows * label.height) / 2];
    bins.forEach(({ bin, number, name }, i) => {
      const place = i % (sheet.columns * sheet.rows);
      if (i > 0 && place === 0) doc.addPage();
      const x = (left + (place % sheet.columns) * label.width) * mm;
      const y = (top + Math.floor(place / sheet.columns) * label.height) * mm;
      const text = (font: "sans" | "bold" | "mono", points: number, words: string, down: number) =>
        doc
          .font(font)
          .fontSize(points)
          .text(words, x + 3 * mm, y + down * mm, { width: 30 * mm, height: points * 2.4, ellipsis: true });
      doc
        .rect(x, y, label.width * mm, label.height * mm)
        .lineWidth(0.5)
        .stroke();
      text("bold", 24, bin, 3);
      text("mono", 11, number, 14);
      text("sans", 9, name, 20);
      drawQr(doc, binLabelText(number), x + 34 * mm, y + 3 * mm, 28 * mm);
    });
  });
