/** `npm run backup`: a copy of the shop's data now, looked over; the server makes one a day by this as well (--daily). */
import { existsSync } from "node:fs";
import { join } from "node:path";
import { backUp } from "@/data/database/backup";
import { troubleOf } from "@/data/database/trouble";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const directory = shopDirectory();
if (!existsSync(join(directory, "zorbek.db"))) {
  console.error(`There is no shop in ${directory} yet: npm start begins one. Another folder: ZORBEK_DATA.`);
  process.exit(1);
}
try {
  const { name, second } = backUp(
    directory,
    new Date(),
    null,
    process.argv.includes("--before-import") ? "before-import" : process.argv.includes("--daily") ? "daily" : "by-hand",
  );
  console.log(`Backed up and looked over: ${join(directory, "backups", name)}${second ? `; ${second}` : ""}`);
} catch (error) {
  console.error(
    `No copy could be made: ${troubleOf(error)?.message ?? (error as Error).message} Earlier ones are as they were. ${troubleOf(error)?.remedy ?? "npm run doctor says more."}`,
  );
  process.exit(1);
}
