import { median } from "@/core/quantile";
import { loneGlyphs } from "@/core/sheets/lone-glyphs";
import type { WordBox } from "@/core/sheets/sheet";

/** What stops a reading that takes long. */
export interface Stop {
  stopped: boolean;
}
export class Stopped extends Error {
  override readonly name = "Stopped";
}

/** Letters smaller than this are read badly: a page is drawn larger, up to this many px along its longer edge. */
const readPx = 3000;

/** The words of pages that are pictures, read on this device. @param draw a page as a picture. @throws Stopped when somebody stops it. */
export async function readScans(
  pages: readonly { readonly page: number; readonly picture: Blob }[],
  onProgress: (words: string) => void,
  stop: Stop,
): Promise<{ words: WordBox[]; sizes: Record<number, { width: number; height: number }> }> {
  const { createWorker, OEM, PSM } = await import("tesseract.js");
  let page = 0;
  const worker = await createWorker("eng", OEM.LSTM_ONLY, {
    workerPath: new URL("tesseract.js/dist/worker.min.js", import.meta.url).href,
    corePath: `${location.origin}/api/reader/core.js`,
    langPath: `${location.origin}/api/reader`,
    workerBlobURL: false,
    gzip: true,
    cacheMethod: "none",
    logger: ({ status, progress }) => {
      if (status === "recognizing text") onProgress(`Reading page ${page} of ${pages.length}: ${Math.round(100 * progress)} %`);
    },
  });
  try {
    const words: WordBox[] = [];
    const sizes: Record<number, { width: number; height: number }> = {};
    for (const one of pages) {
      page++;
      onProgress(`Reading page ${page} of ${pages.length}…`);
      await worker.setParameters({ tessedit_pageseg_mode: PSM.SPARSE_TEXT, tessedit_char_whitelist: "" });
      const canvas = await grey(one.picture);
      sizes[one.page] = { width: canvas.width, height: canvas.height };
      let watch: ReturnType<typeof setInterval> | undefined;
      // A stop ends the worker, and what it was reading with it.
      const ended = new Promise<never>((_, refuse) => {
        watch = setInterval(() => {
          if (!stop.stopped) return;
          clearInterval(watch);
          void worker.terminate();
          refuse(new Stopped("stopped"));
        }, 200);
      });
      const read = async (of: HTMLCanvasElement, signs = false): Promise<WordBox[]> => {
        const { data } = await Promise.race([worker.recognize(of, {}, { blocks: true, text: false }), ended]);
        const read = (data.blocks ?? []).flatMap(({ paragraphs }) =>
          paragraphs.flatMap(({ lines }) => lines.flatMap((line) => line.words)),
        );
        return (signs ? read.flatMap(({ symbols }) => symbols) : read).map(({ text, confidence, bbox }) => ({
          ...{ text, x: bbox.x0, y: bbox.y0, w: bbox.x1 - bbox.x0, h: bbox.y1 - bbox.y0, page: one.page },
          sure: confidence / 100,
        }));
      };
      try {
        const own = await read(canvas);
        words.push(...own);
        onProgress(`Reading the numerals of page ${page}…`);
        await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_BLOCK, tessedit_char_whitelist: "0123456789" });
        words.push(...(await readLone(canvas, own, (of) => read(of, true))).map((word) => ({ ...word, page: one.page })));
      } finally {
        clearInterval(watch);
      }
    }
    return { words, sizes };
  } finally {
    if (!stop.stopped) await worker.terminate();
  }
}

/** Signs laid side by side, so that the reader sees lines of figures instead of single ones: so many in a line, so wide and high each, px. */
const laid = { many: 16, wide: 150, high: 110, sign: 44 } as const;

/** The numerals and single figures that were passed over, each where it stands. */
async function readLone(
  canvas: HTMLCanvasElement,
  read: readonly WordBox[],
  recognize: (of: HTMLCanvasElement) => Promise<WordBox[]>,
): Promise<WordBox[]> {
  const sure = read.filter(({ text, sure: how = 1 }) => how > 0.3 && /[\p{L}\d]/u.test(text));
  if (sure.length < 5) return [];
  const { width, height } = canvas;
  const { data: rgba } = canvas.getContext("2d")!.getImageData(0, 0, width, height);
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i++) grey[i] = rgba[4 * i]!;
  const high = 0.8 * median(sure.map(({ h }) => h));
  // A circle with its numeral is sometimes read as a sign of its own: it is higher than any word.
  const words = sure.filter(({ h }) => h < 1.7 * high);
  const glyphs = loneGlyphs({ data: grey, width, height }, words, high).slice(0, 400);
  if (!glyphs.length) return [];
  const sheet = document.createElement("canvas");
  [sheet.width, sheet.height] = [laid.many * laid.wide, Math.ceil(glyphs.length / laid.many) * laid.high];
  const context = sheet.getContext("2d")!;
  context.fillStyle = "#fff";
  context.fillRect(0, 0, sheet.width, sheet.height);
  for (const [i, { x, y, w, h }] of glyphs.entries()) {
    const times = laid.sign / h;
    const [left, top] = [
      (i % laid.many) * laid.wide + (laid.wide - w * times) / 2,
      Math.floor(i / laid.many) * laid.high + (laid.high - laid.sign) / 2,
    ];
    context.drawImage(canvas, x - 1, y - 1, w + 2, h + 2, left, top, (w + 2) * times, laid.sign + 2 * times);
  }
  // Sign by sign: the reader joins what stands in a line.
  const found = new Map<number, WordBox[]>();
  for (const sign of await recognize(sheet)) {
    const at = Math.floor((sign.y + sign.h / 2) / laid.high) * laid.many + Math.floor((sign.x + sign.w / 2) / laid.wide);
    found.set(at, [...(found.get(at) ?? []), sign]);
  }
  return [...found].flatMap(([at, signs]) => {
    const glyph = glyphs[at];
    const text = [...signs].sort((a, b) => a.x - b.x).map((sign) => sign.text);
    return glyph ? [{ ...glyph, text: text.join(""), sure: Math.min(...signs.map(({ sure: how = 1 }) => how)) }] : [];
  });
}

/** A picture in grey at a size that is read well. */
async function grey(picture: Blob): Promise<HTMLCanvasElement> {
  const image = await createImageBitmap(picture);
  const times = Math.min(3, readPx / Math.max(image.width, image.height));
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [Math.round(image.width * times), Math.round(image.height * times)];
  const context = canvas.getContext("2d")!;
  context.filter = "grayscale(1)";
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return canvas;
}
