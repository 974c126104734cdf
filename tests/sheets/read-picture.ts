import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import sharp from "sharp";
import { createWorker, OEM, PSM } from "tesseract.js";
import type { Recognize } from "@/core/sheets/read-page";

/** The reader of letters outside a browser, with its words from node_modules. Ended by `end`. */
export async function reader(): Promise<{ recognize: Recognize; end: () => Promise<unknown> }> {
  const data = join(dirname(createRequire(import.meta.url).resolve("@tesseract.js-data/eng/package.json")), "4.0.0_best_int");
  const worker = await createWorker("eng", OEM.LSTM_ONLY, { langPath: data, gzip: true, cacheMethod: "none" });
  return {
    end: () => worker.terminate(),
    recognize: async ({ data: grey, width, height }, what) => {
      await worker.setParameters(
        what === "words"
          ? { tessedit_pageseg_mode: PSM.SPARSE_TEXT, tessedit_char_whitelist: "" }
          : { tessedit_pageseg_mode: PSM.SINGLE_BLOCK, tessedit_char_whitelist: "0123456789" },
      );
      const png = await sharp(Buffer.from(grey), { raw: { width, height, channels: 1 } })
        .png({ compressionLevel: 1 })
        .toBuffer();
      const { data: read } = await worker.recognize(png, {}, { blocks: true, text: false });
      const words = (read.blocks ?? []).flatMap(({ paragraphs }) => paragraphs.flatMap(({ lines }) => lines.flatMap((line) => line.words)));
      return (what === "figures" ? words.flatMap(({ symbols }) => symbols) : words).map(({ text, confidence, bbox }) => ({
        ...{ text, x: bbox.x0, y: bbox.y0, w: bbox.x1 - bbox.x0, h: bbox.y1 - bbox.y0 },
        sure: confidence / 100,
      }));
    },
  };
}
