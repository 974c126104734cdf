/** `npm run world -- --years 10 [--seed 11]`: a shop with years of work in it, into ZORBEK_DATA (default: the folder world). */
import { existsSync, mkdirSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { DateTime } from "luxon";
import { openDatabase } from "@/data/database/database";
import { lookBack } from "@/data/promise/said";
import { getShopSettings } from "@/data/shop/settings";
import { buildDemo, isEmpty } from "../workshop/build";
import { busyWorld, growWorld, keepTruth } from "./world";

const { values } = parseArgs({ options: { years: { type: "string", default: "10" }, seed: { type: "string", default: "11" } } });
const [years, seed] = [Number(values.years), Number(values.seed)];
if (!(years >= 0.1 && years <= 15) || !Number.isInteger(seed)) {
  console.error("Years from 0.1 to 15, and a whole number as seed: npm run world -- --years 10 --seed 11");
  process.exit(1);
}
const directory = process.env.ZORBEK_DATA ?? join(process.cwd(), "world");
if (existsSync(join(directory, "zorbek.db"))) {
  console.error(`There is a shop in ${directory} already: name an empty folder with ZORBEK_DATA.`);
  process.exit(1);
}
mkdirSync(directory, { recursive: true });
const db = openDatabase(directory);
if (!isEmpty(db)) process.exit(1);
// Nothing in it is anybody's only copy: a power cut means beginning anew.
db.pragma("synchronous = OFF");
const now = DateTime.now();
const started = Date.now();
await buildDemo(db, now, {
  foundedDaysAgo: Math.ceil(years * 365.25) + 5,
  history: (onDay) => {
    let line = "";
    const truth = growWorld(db, now, busyWorld(years, seed), null, (day) => {
      onDay(day);
      if (day.slice(0, 7) === line) return;
      line = day.slice(0, 7);
      process.stdout.write(`\r${line}`);
    });
    keepTruth(directory, truth);
  },
});
lookBack(db, now.toISODate(), getShopSettings(db).promiseChance);
const count = (table: string) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
console.log(
  `\r${count("job")} jobs, ${count("customer")} customers, ${count("reel")} reels in ${Math.round((Date.now() - started) / 1000)} s: ${directory}`,
);
db.close();
