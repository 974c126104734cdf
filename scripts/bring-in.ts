/** `npm run bring-in -- FILE.zip`: puts a shop that was taken out into an empty folder (ZORBEK_DATA, or where npm start looks). */
import { resolve } from "node:path";
import { bringInArchive } from "@/data/database/archive";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const directory = shopDirectory();
const [file] = process.argv.slice(2);
if (!file) {
  console.error("Name the file: npm run bring-in -- FILE.zip");
  process.exit(1);
}
try {
  const { manifest, people, missing } = await bringInArchive(resolve(file), directory);
  console.log(`The shop of ${manifest.madeAt.slice(0, 16).replace("T", " ")} is in ${directory}, hash ${manifest.hash}.`);
  console.log(`${Object.values(manifest.tables).reduce((sum, rows) => sum + rows, 0)} rows. Who works in it:`);
  for (const { name, role, active } of people) console.log(`  ${name}: ${active ? role : `${role}, left`}`);
  if (missing) console.log(`${missing} pictures that it names were not in the file.`);
  console.log("Look whether these are your people before it is used. Nobody is signed in; phones are brought in anew. Start it: npm start");
} catch (error) {
  console.error((error as Error).message);
  process.exit(1);
}
