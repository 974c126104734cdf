import { createReadStream, mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { today } from "@/app/server/clock";
import { readFile } from "@/app/server/reading";
import { takeOut } from "@/data/database/archive";
import { dataDirectory } from "@/data/database/database";
import { troubleOf } from "@/data/database/trouble";

/** A whole shop as one file, for its owner. */
export const GET = readFile("everything", async () => {
  const folder = mkdtempSync(join(tmpdir(), "zorbek-take-out-"));
  const file = join(folder, "shop.zip");
  const clear = () => rmSync(folder, { recursive: true, force: true });
  try {
    await takeOut(dataDirectory(), file, new Date());
  } catch (error) {
    clear();
    const trouble = troubleOf(error);
    const words = trouble ? `${trouble.message} ${trouble.remedy}` : "npm run doctor says what is wrong.";
    return new Response(`It could not be written. ${words}`, { status: trouble?.kind === "full" ? 507 : 500 });
  }
  const stream = createReadStream(file).once("close", clear);
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      "content-type": "application/zip",
      "content-length": String(statSync(file).size),
      "content-disposition": `attachment; filename="zorbek-shop-${today()}.zip"`,
      "cache-control": "no-store",
    },
  });
});
