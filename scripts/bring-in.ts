/** `npm run bring-in -- FILE.zip`: puts a shop that was taken out into an empty folder (ZORBEK_DATA, or where npm start looks). */
import { resolve } from "node:path";
import { bringInArchive } from "@/data/store/archive";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const directory = shopDirectory();
const [file] = process.argv.slice(2);
if (!file) {
  console.error("Name the file: npm run bring-in -- FILE.zip");
  process.exit(1);
}
try {
  const { madeAt, hash } = await bringInArchive(resolve(file), directory);
  console.log(`The shop of ${madeAt.slice(0, 16).replace("T", " ")} is in ${directory}, hash ${hash}. Start it: npm start`);
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
