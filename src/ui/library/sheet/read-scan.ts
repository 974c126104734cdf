import type { GreyPage } from "@/core/sheets/flatten/grey";
import type { Corners } from "@/core/sheets/flatten/homography";
import { type Recognize, readPage, wholeOf } from "@/core/sheets/read-page";
import type { WordBox } from "@/core/sheets/sheet";
import { greyOf, pictureOf } from "./grey-picture";

/** What stops a reading that takes long. */
export interface Stop {
  stopped: boolean;
}
export class Stopped extends Error {
  override readonly name = "Stopped";
}

export interface Scan {
  readonly page: number;
  readonly picture: Blob;
  /** Where the page is in it, as shares of the picture; the whole of it where none are given. */
  readonly corners?: Corners;
}
export interface ReadScan {
  readonly words: readonly WordBox[];
  readonly sizes: Readonly<Record<number, { width: number; height: number }>>;
  /** Each page as it was read: flat, upright, in even light. */
  readonly flat: ReadonlyMap<number, GreyPage>;
}

/** The words of pages that are pictures, read on this device. @throws Stopped when somebody stops it. */
export async function readScans(scans: readonly Scan[], onProgress: (words: string) => void, stop: Stop): Promise<ReadScan> {
  const { createWorker, OEM, PSM } = await import("tesseract.js");
  let at = 0;
  const worker = await createWorker("eng", OEM.LSTM_ONLY, {
    workerPath: new URL("tesseract.js/dist/worker.min.js", import.meta.url).href,
    corePath: `${location.origin}/api/reader/core.js`,
    langPath: `${location.origin}/api/reader`,
    workerBlobURL: false,
    gzip: true,
    cacheMethod: "none",
    logger: ({ status, progress }) => {
      if (status === "recognizing text") onProgress(`Reading page ${at} of ${scans.length}: ${Math.round(100 * progress)} %`);
    },
  });
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
  const recognize: Recognize = async (page, what) => {
    await worker.setParameters(
      what === "words"
        ? { tessedit_pageseg_mode: PSM.SPARSE_TEXT, tessedit_char_whitelist: "" }
        : { tessedit_pageseg_mode: PSM.SINGLE_BLOCK, tessedit_char_whitelist: "0123456789" },
    );
    const { data } = await Promise.race([worker.recognize(pictureOf(page), {}, { blocks: true, text: false }), ended]);
    const read = (data.blocks ?? []).flatMap(({ paragraphs }) => paragraphs.flatMap(({ lines }) => lines.flatMap((line) => line.words)));
    return (what === "figures" ? read.flatMap(({ symbols }) => symbols) : read).map(({ text, confidence, bbox }) => ({
      ...{ text, x: bbox.x0, y: bbox.y0, w: bbox.x1 - bbox.x0, h: bbox.y1 - bbox.y0 },
      sure: confidence / 100,
    }));
  };
  try {
    const words: WordBox[] = [];
    const sizes: Record<number, { width: number; height: number }> = {};
    const flat = new Map<number, GreyPage>();
    for (const scan of scans) {
      at++;
      onProgress(`Reading page ${at} of ${scans.length}…`);
      const picture = await greyOf(scan.picture);
      const corners = scan.corners?.map(({ x, y }) => ({ x: x * picture.width, y: y * picture.height })) as Corners | undefined;
      const read = await readPage(picture, corners ?? wholeOf(picture), recognize, () => onProgress(`Reading the numerals of page ${at}…`));
      words.push(...read.words.map((word) => ({ ...word, page: scan.page })));
      sizes[scan.page] = { width: read.page.width, height: read.page.height };
      flat.set(scan.page, read.page);
    }
    return { words, sizes, flat };
  } finally {
    clearInterval(watch);
    if (!stop.stopped) await worker.terminate();
  }
}
