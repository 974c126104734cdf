import { readFileSync } from "node:fs";
import { join } from "node:path";
import PDFDocument from "pdfkit";
import QRCode from "qrcode";
import type { GlyphPath } from "@/core/glyphs/solid";

export type Pdf = PDFKit.PDFDocument;

export const pointsPerMm = 72 / 25.4;
export const ink = "#1B1F1E";

const fontFile = (family: string, file: string) => readFileSync(join(process.cwd(), "node_modules", "@fontsource", family, "files", file));
let fonts: Record<"sans" | "bold" | "mono", Buffer> | null = null;
const loadFonts = () => {
  fonts ??= {
    sans: fontFile("barlow-condensed", "barlow-condensed-latin-400-normal.woff"),
    bold: fontFile("barlow-condensed", "barlow-condensed-latin-600-normal.woff"),
    mono: fontFile("spline-sans-mono", "spline-sans-mono-latin-400-normal.woff"),
  };
  return fonts;
};

/** Makes a PDF with the product's own fonts embedded. @param size page in mm. @returns the bytes. */
export async function makePdf(page: { widthMm: number; heightMm: number; title: string }, draw: (doc: Pdf) => void): Promise<Buffer> {
  const doc = new PDFDocument({
    size: [page.widthMm * pointsPerMm, page.heightMm * pointsPerMm],
    margin: 0,
    info: { Title: page.title, Creator: "Zorbek" },
    autoFirstPage: true,
  });
  const { sans, bold, mono } = loadFonts();
  doc.registerFont("sans", sans).registerFont("bold", bold).registerFont("mono", mono);
  const chunks: Buffer[] = [];
  doc.on("data", (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((settle, fail) => {
    doc.on("end", () => settle(Buffer.concat(chunks)));
    doc.on("error", fail);
  });
  doc.fillColor(ink).strokeColor(ink);
  draw(doc);
  doc.end();
  return done;
}

/** A QR code of a short text, error correction M (ISO/IEC 18004), with its quiet zone of four modules inside the square. */
export function drawQr(doc: Pdf, text: string, x: number, y: number, side: number): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
  const cell = side / (modules.size + 8);
  doc.save().fillColor("#000000");
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) doc.rect(x + (column + 4) * cell, y + (row + 4) * cell, cell * 1.01, cell * 1.01);
  doc.fill().restore();
}

/** A glyph's lines on paper, in the same grammar as on the screen; `scale` is points a millimetre. */
export function drawGlyphPaths(doc: Pdf, paths: readonly GlyphPath[], x: number, y: number, scale: number, colour = ink): void {
  const width = { outline: 0.9, thin: 0.4, hatch: 0.12, hidden: 0.4, none: 0 };
  doc.save().translate(x, y).scale(scale);
  for (const path of paths) {
    doc.path(path.d);
    if (path.line === "none") doc.fill(path.fill === "ink" ? colour : "#FFFFFF");
    else {
      doc.lineWidth(width[path.line] / scale);
      if (path.fill === "none") doc.stroke(colour);
      else doc.fillAndStroke(path.fill === "ink" ? colour : "#FFFFFF", colour);
    }
  }
  doc.restore();
}
