/** `npm run restore`: lists a shop's copies; `npm run restore -- NAME` puts one in the place of its data, which is kept beside it. */

import { listBackups } from "@/data/database/backup";
import { restoreShop } from "@/data/erasing/restore-shop";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const directory = shopDirectory();
const name = process.argv[2];
const copies = listBackups(directory);
if (!name) {
  console.log(copies.length ? `Copies of ${directory}, newest first:` : `There is no copy in ${directory} yet: npm run backup makes one.`);
  for (const copy of copies) console.log(`  ${copy.name}  ${(copy.bytes / 1024 ** 2).toFixed(1)} MB`);
  if (copies.length) console.log("npm run restore -- NAME puts one in its place.");
} else {
  try {
    console.log(`The shop is as it was at ${name}. ${restoreShop(directory, name, new Date())} Start it: npm start`);
  } catch (error) {
    console.error((error as Error).message);
    process.exit(1);
  }
}
