import { readFileSync } from "node:fs";
import { join } from "node:path";
import { readFile } from "@/app/server/reading";

/** The solver's program for the worker that plans orders: from this shop, from nowhere else. */
export const GET = readFile("stores", () => {
  const program = readFileSync(join(process.cwd(), "node_modules/highs/build/highs.wasm"));
  return new Response(new Uint8Array(program), {
    headers: { "content-type": "application/wasm", "cache-control": "private, max-age=86400" },
  });
});
