import { drawQr, makePdf, pointsPerMm as mm, type Pdf } from "./pdf";

export interface Label {
  readonly tag: string;
  readonly shopName: string;
  /** The shop's phone and address, in one line; empty where it has none. */
  readonly shopAt?: string;
  readonly owner: string;
  readonly reel: string;
  readonly promised: string;
  readonly cameWith: readonly string[];
}

/** Size of a claim tag, mm. */
const size = { width: 90, height: 54 } as const;

/** The claim tag as it is tied to the reel: 90 × 54 mm, one corner cut for the string, the number large, the QR holding the tag's text. */
function drawLabel(doc: Pdf, label: Label): void {
  const cut = 9 * mm;
  const [w, h, edge] = [size.width * mm, size.height * mm, 2 * mm];
  doc
    .lineWidth(1.2)
    .moveTo(edge + cut, edge)
    .lineTo(w - edge, edge)
    .lineTo(w - edge, h - edge)
    .lineTo(edge, h - edge)
    .lineTo(edge, edge + cut)
    .closePath()
    .stroke();
  doc.circle(9 * mm, 9 * mm, 2 * mm).stroke();
  const left = 15 * mm;
  const text = (font: "sans" | "bold" | "mono", points: number, words: string, y: number, width: number) =>
    doc
      .font(font)
      .fontSize(points)
      .text(words, left, y * mm, { width: width * mm, height: points * 1.25, ellipsis: true, lineBreak: false });
  text("sans", 9, label.shopName, 4.5, 42);
  text("mono", 19, label.tag, 9, 46);
  text("bold", 13, label.owner, 18.5, 42);
  text("sans", 11, label.reel, 24.5, 42);
  text("sans", 11, `Promised ${label.promised}`, 30, 42);
  text("sans", 9, label.cameWith.length ? `With the reel: ${label.cameWith.join(", ")}` : "Nothing came with it", 36, 42);
  text("sans", 8, "Band the line.", 47, 42);
  if (label.shopAt) text("sans", 7, label.shopAt, 50, 42);
  drawQr(doc, label.tag, 57 * mm, 12 * mm, 31 * mm);
}

export const labelPdf = (label: Label): Promise<Buffer> =>
  makePdf({ widthMm: size.width, heightMm: size.height, title: `Claim tag ${label.tag}` }, (doc) => drawLabel(doc, label));

/** A4, mm, with two columns of five tags in its middle. */
const sheet = { width: 210, height: 297, columns: 2, rows: 5 } as const;

/** Many claim tags, ten to an A4 sheet, to be cut apart. */
export const labelSheetPdf = (labels: readonly Label[]): Promise<Buffer> =>
  makePdf({ widthMm: sheet.width, heightMm: sheet.height, title: `${labels.length} claim tags` }, (doc) => {
    const [left, top] = [(sheet.width - sheet.columns * size.width) / 2, (sheet.height - sheet.rows * size.height) / 2];
    labels.forEach((label, i) => {
      const place = i % (sheet.columns * sheet.rows);
      if (i > 0 && place === 0) doc.addPage();
      doc
        .save()
        .translate((left + (place % sheet.columns) * size.width) * mm, (top + Math.floor(place / sheet.columns) * size.height) * mm);
      drawLabel(doc, label);
      doc.restore();
    });
  });
