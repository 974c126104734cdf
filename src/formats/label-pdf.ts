import { drawQr, makePdf, pointsPerMm as mm } from "./pdf";

export interface Label {
  readonly tag: string;
  readonly shopName: string;
  readonly owner: string;
  readonly reel: string;
  readonly promised: string;
  readonly cameWith: readonly string[];
}

/** The claim tag as it is tied to the reel: 90 × 54 mm, one corner cut for the string, the number large, the QR holding the tag's text. */
export const labelPdf = (label: Label): Promise<Buffer> =>
  makePdf({ widthMm: 90, heightMm: 54, title: `Claim tag ${label.tag}` }, (doc) => {
    const cut = 9 * mm;
    const [w, h, edge] = [90 * mm, 54 * mm, 2 * mm];
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
    const text = (font: "sans" | "bold" | "mono", size: number, words: string, y: number, width: number) =>
      doc
        .font(font)
        .fontSize(size)
        .text(words, left, y * mm, { width: width * mm, height: size * 1.25, ellipsis: true, lineBreak: false });
    text("sans", 9, label.shopName, 4.5, 42);
    text("mono", 19, label.tag, 9, 46);
    text("bold", 13, label.owner, 18.5, 42);
    text("sans", 11, label.reel, 24.5, 42);
    text("sans", 11, `Promised ${label.promised}`, 30, 42);
    text("sans", 9, label.cameWith.length ? `With it: ${label.cameWith.join(", ")}` : "Nothing came with it", 36, 42);
    text("sans", 8, "Line banded before it is hung.", 47, 42);
    drawQr(doc, label.tag, 57 * mm, 12 * mm, 31 * mm);
  });
