/** `npm run take-out -- FILE.zip`: a whole shop as one file, for another Zorbek or for a spreadsheet. */
import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import { takeOut } from "@/data/database/archive";
import { troubleOf } from "@/data/database/trouble";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const directory = shopDirectory();
const to = resolve(process.argv[2] ?? `zorbek-shop-${new Date().toISOString().slice(0, 10)}.zip`);
const refuse = (words: string): never => {
  console.error(words);
  process.exit(1);
};
if (!existsSync(join(directory, "zorbek.db"))) refuse(`There is no shop in ${directory}. Another folder: ZORBEK_DATA.`);
if (existsSync(to)) refuse(`${to} is there already: name another file.`);
try {
  const { tables, pictures, hash } = await takeOut(directory, to, new Date());
  console.log(`${to}: ${Object.values(tables).reduce((sum, rows) => sum + rows, 0)} rows, ${pictures} pictures, hash ${hash}`);
} catch (error) {
  refuse(
    `It could not be written: ${troubleOf(error)?.message ?? (error as Error).message} ${troubleOf(error)?.remedy ?? "npm run doctor says more."}`,
  );
}
