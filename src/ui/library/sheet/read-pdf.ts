import type * as Pdf from "pdfjs-dist";
import { fail, ok, type Result } from "@/core/result";
import type { PageSize } from "@/core/sheets/kept-sheet";
import type { WordBox } from "@/core/sheets/sheet";

export interface SheetFile {
  /** What its text layer says; nothing where its pages are pictures. */
  readonly words: readonly WordBox[];
  readonly sizes: PageSize;
  /** A page drawn as a picture. */
  readonly draw: (page: number, edgePx?: number) => Promise<Blob>;
  readonly pages: number;
  readonly close: () => void;
}

export const sheetLimits = { bytes: 12 * 1024 * 1024, pages: 40 } as const;
/** The longer edge of a page's picture, px. */
const drawnPx = 1600;

/** The text layer of a PDF as words with boxes, read on this device. @returns why it cannot be read, and what to do, where it cannot. */
export async function readPdf(file: File, onPage: (page: number, of: number) => void): Promise<Result<SheetFile>> {
  if (file.size > sheetLimits.bytes)
    return fail(
      "too-large",
      `The file is ${Math.ceil(file.size / 1024 / 1024)} MB; the limit is 12 MB. Save the pages you need as a file of their own.`,
    );
  const { getDocument, GlobalWorkerOptions } = await import("pdfjs-dist/legacy/build/pdf.mjs");
  GlobalWorkerOptions.workerPort ??= new Worker(new URL("pdfjs-dist/legacy/build/pdf.worker.mjs", import.meta.url), { type: "module" });
  let opened: Pdf.PDFDocumentProxy;
  try {
    opened = (await getDocument({
      data: new Uint8Array(await file.arrayBuffer()),
      isEvalSupported: false,
      useWasm: false,
      stopAtErrors: false,
    }).promise) as Pdf.PDFDocumentProxy;
  } catch (error) {
    return (error as { name?: string }).name === "PasswordException"
      ? fail("locked", "This PDF has a password. Open it where you have the password, print it into a file without one, and bring that.")
      : fail("unreadable", "This PDF cannot be read; it may be damaged. Open it elsewhere, save it again and bring that file.");
  }
  const close = () => void opened.destroy();
  if (opened.numPages > sheetLimits.pages) {
    close();
    return fail(
      "too-many-pages",
      `It has ${opened.numPages} pages; the limit is ${sheetLimits.pages}. Save the pages with this reel's drawing and list as a file of their own.`,
    );
  }
  const words: WordBox[] = [];
  const sizes: Record<number, { width: number; height: number }> = {};
  for (let page = 1; page <= opened.numPages; page++) {
    onPage(page, opened.numPages);
    const own = await opened.getPage(page);
    const view = own.getViewport({ scale: 1 });
    sizes[page] = { width: view.width, height: view.height };
    const { items } = await own.getTextContent();
    for (const item of items) if ("str" in item && item.str.trim()) words.push(boxOf(item, view, page));
  }
  // A page number alone is no text.
  const hasText = words.reduce((sum, { text }) => sum + text.length, 0) >= 20;
  const draw = async (page: number, edgePx = drawnPx): Promise<Blob> => {
    const own = await opened.getPage(page);
    const { width, height } = own.getViewport({ scale: 1 });
    const viewport = own.getViewport({ scale: edgePx / Math.max(width, height) });
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [Math.round(viewport.width), Math.round(viewport.height)];
    await own.render({ canvas, viewport }).promise;
    return new Promise((settle, refuse) =>
      canvas.toBlob((blob) => (blob ? settle(blob) : refuse(new Error("the page could not be drawn"))), "image/png"),
    );
  };
  return ok({ words: hasText ? words : [], sizes, draw, pages: opened.numPages, close });
}

/** A run of text as it stands on the page: its box, and how far it is turned. */
function boxOf(
  { str, transform, width, height }: { str: string; transform: number[]; width: number; height: number },
  view: { readonly transform: readonly number[]; readonly scale: number },
  page: number,
): WordBox {
  const [a, b, c, d, e, f] = view.transform as [number, number, number, number, number, number];
  const [ta, tb, , , te, tf] = transform as [number, number, number, number, number, number];
  const [x, y] = [a * te + c * tf + e, b * te + d * tf + f];
  // Where the text runs to, in the page's own directions; its baseline is at x, y.
  const [dx, dy] = [a * ta + c * tb, b * ta + d * tb];
  const turned = Math.round((Math.atan2(dy, dx) * 180) / Math.PI / 90) * 90;
  const size = height || Math.hypot(ta, tb);
  const upright = turned === 0 || turned === 360;
  return upright
    ? { text: str, x, y: y - size, w: width, h: size, page }
    : { text: str, x: x - size / 2, y: y - width / 2, w: size, h: width || size, page, turned: (turned + 360) % 360 };
}

/** A picture of a page, as a sheet of one page. */
export function pictureSheet(file: File): Result<SheetFile> {
  if (file.size > sheetLimits.bytes)
    return fail(
      "too-large",
      `The picture is ${Math.ceil(file.size / 1024 / 1024)} MB; the limit is 12 MB. Set the camera smaller, or save it as a JPEG.`,
    );
  return ok({ words: [], sizes: {}, draw: async () => file, pages: 1, close: () => undefined });
}
