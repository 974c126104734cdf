import { rmSync } from "node:fs";
import { DateTime } from "luxon";
import { dataDirectory, openDatabase } from "@/data/database/database";
import { lookBack } from "@/data/promise/said";
import { getShopSettings } from "@/data/shop/settings";
import { buildDemo, isEmpty } from "./workshop/build";
import { progressOf } from "./world/progress";
import { demoWorld, growWorld, keepTruth } from "./world/world";

const directory = dataDirectory();
if (process.argv.includes("--fresh")) {
  // Only what Zorbek itself writes is removed, never the folder somebody pointed it at.
  for (const name of ["zorbek.db", "zorbek.db-wal", "zorbek.db-shm", "photos"])
    rmSync(`${directory}/${name}`, { recursive: true, force: true });
}
const db = openDatabase(directory);
if (isEmpty(db)) {
  const now = DateTime.now();
  // --small: only what hangs here now, for tests that wait for it.
  if (process.argv.includes("--small")) await buildDemo(db, now);
  else {
    db.pragma("synchronous = OFF");
    await buildDemo(db, now, {
      foundedDaysAgo: Math.ceil(demoWorld.years * 365.25) + 5,
      history: (onDay) => {
        console.log(`Filling the demo workshop: ${demoWorld.years} years of work`);
        const told = progressOf(now.minus({ years: demoWorld.years }).toISODate(), now.toISODate(), (words) => console.log(`  ${words}`));
        const day = (isoDay: string) => {
          told(isoDay);
          onDay(isoDay);
        };
        keepTruth(directory, growWorld(db, now, demoWorld, null, day));
      },
    });
    lookBack(db, now.toISODate(), getShopSettings(db).promiseChance);
  }
  console.log(`Demo workshop built in ${directory}`);
}
db.close();
