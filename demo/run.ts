import { rmSync } from "node:fs";
import { DateTime } from "luxon";
import { dataDirectory, openDatabase } from "@/data/store/database";
import { buildDemo, isEmpty } from "./build";

const directory = dataDirectory();
if (process.argv.includes("--fresh")) {
  // Only what Zorbek itself writes is removed, never the folder somebody pointed it at.
  for (const name of ["zorbek.db", "zorbek.db-wal", "zorbek.db-shm", "photos"])
    rmSync(`${directory}/${name}`, { recursive: true, force: true });
}
const db = openDatabase(directory);
if (isEmpty(db)) {
  await buildDemo(db, DateTime.now());
  console.log(`Demo workshop built in ${directory}`);
}
db.close();
