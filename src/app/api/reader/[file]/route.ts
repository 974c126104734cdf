import { readFileSync } from "node:fs";
import { join } from "node:path";
import { readFile } from "@/app/server/reading";

/** What the reader of scanned pages is made of, from this shop and from nowhere else. */
const files: Readonly<Record<string, readonly [path: string, type: string]>> = {
  "core.js": ["tesseract.js-core/tesseract-core-simd-lstm.wasm.js", "text/javascript"],
  "eng.traineddata.gz": ["@tesseract.js-data/eng/4.0.0_best_int/eng.traineddata.gz", "application/octet-stream"],
};

export const GET = readFile("library", (_, { file }: { file: string }) => {
  const found = Object.hasOwn(files, file) ? files[file]! : null;
  if (!found) return new Response("There is no such file.", { status: 404 });
  return new Response(new Uint8Array(readFileSync(join(process.cwd(), "node_modules", found[0]))), {
    headers: { "content-type": found[1], "cache-control": "private, max-age=86400" },
  });
});
