import { readFileSync } from "node:fs";
import { join } from "node:path";
import PDFDocument from "pdfkit";
import QRCode from "qrcode";
import type { GlyphPath } from "@/core/glyphs/solid";

export type Pdf = PDFKit.PDFDocument;

export const pointsPerMm = 72 / 25.4;
export const ink = "#1B1F1E";

const fontFile = (family: string, file: string) => readFileSync(join(process.cwd(), "node_modules", "@fontsource", family, "files", file));
const wideFile = (file: string) => readFileSync(join(process.cwd(), "node_modules", "dejavu-fonts-ttf", "ttf", file));
type FontName = "sans" | "bold" | "mono";
let fonts: Record<FontName | `wide-${FontName}`, Buffer> | null = null;
const loadFonts = () => {
  fonts ??= {
    sans: fontFile("barlow-condensed", "barlow-condensed-latin-400-normal.woff"),
    bold: fontFile("barlow-condensed", "barlow-condensed-latin-600-normal.woff"),
    mono: fontFile("spline-sans-mono", "spline-sans-mono-latin-400-normal.woff"),
    // For names the product's own letters have not: Greek, Cyrillic, Hebrew, Arabic and the rest of Latin.
    "wide-sans": wideFile("DejaVuSansCondensed.ttf"),
    "wide-bold": wideFile("DejaVuSansCondensed-Bold.ttf"),
    "wide-mono": wideFile("DejaVuSansMono.ttf"),
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
  for (const [name, file] of Object.entries(loadFonts())) doc.registerFont(name, file);
  const lacking = printAnyScript(doc);
  const chunks: Buffer[] = [];
  doc.on("data", (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((settle, fail) => {
    doc.on("end", () => settle(Buffer.concat(chunks)));
    doc.on("error", fail);
  });
  doc.fillColor(ink).strokeColor(ink);
  draw(doc);
  if (lacking.size) sayLacking(doc, lacking);
  doc.end();
  return done;
}

/** Whether the font in use has a letter. pdfkit shows its font only to itself. */
const has = (doc: Pdf, codePoint: number): boolean =>
  (doc as unknown as { _font: { font: { hasGlyphForCodePoint: (codePoint: number) => boolean } } })._font.font.hasGlyphForCodePoint(
    codePoint,
  );
const isBlank = (letter: string) => /\s/.test(letter);

/**
 * Makes a document print names in any script the shipped fonts have: a text with a letter the product's own font lacks is set in the wide one.
 * @returns the letters that neither has, as they are met; a box stands in their place.
 */
function printAnyScript(doc: Pdf): Set<string> {
  const lacking = new Set<string>();
  let current = "sans";
  let inside = false;
  const font = doc.font.bind(doc) as (name: string) => Pdf;
  const fitting = (text: string): string => {
    const letters = [...text].filter((letter) => !isBlank(letter));
    if (letters.every((letter) => has(doc, letter.codePointAt(0)!))) return text;
    font(`wide-${current}`);
    return [...text]
      .map((letter) => {
        if (isBlank(letter) || has(doc, letter.codePointAt(0)!)) return letter;
        lacking.add(letter);
        return "\u25a1";
      })
      .join("");
  };
  /** Only the outermost call chooses: what pdfkit asks itself while it sets a text stays in its font. */
  const wrap = <A extends unknown[], R>(own: (text: string, ...rest: A) => R): ((text: string, ...rest: A) => R) => {
    return (text, ...rest) => {
      if (inside) return own(text, ...rest);
      inside = true;
      try {
        return own(fitting(String(text ?? "")), ...rest);
      } finally {
        inside = false;
        font(current);
      }
    };
  };
  Object.assign(doc, {
    font: (name: string) => {
      if (!inside) current = name;
      return font(name);
    },
    text: wrap(doc.text.bind(doc) as (text: string, ...rest: unknown[]) => Pdf),
    heightOfString: wrap(doc.heightOfString.bind(doc) as (text: string, ...rest: unknown[]) => number),
    widthOfString: wrap(doc.widthOfString.bind(doc) as (text: string, ...rest: unknown[]) => number),
  });
  return lacking;
}

/** Says at the foot of the last page what could not be printed. */
function sayLacking(doc: Pdf, lacking: ReadonlySet<string>): void {
  const codes = [...lacking].slice(0, 12).map((letter) => `U+${letter.codePointAt(0)!.toString(16).toUpperCase().padStart(4, "0")}`);
  doc
    .font("sans")
    .fontSize(6)
    .text(`These letters are not in the shop's print: ${codes.join(" ")}${lacking.size > 12 ? " …" : ""}`, 4, doc.page.height - 9, {
      lineBreak: false,
    });
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
