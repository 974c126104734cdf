/** `npm run doctor`: looks a shop's data and its surroundings over, and says what to do. Ends with 1 where something is bad. */
import { migrationsDirectory, readMigrations } from "@/data/database/database";
import { examine, surroundingsOf } from "@/data/database/doctor";
import { shopDirectory } from "./shop-directory.mjs";

const directory = shopDirectory();
const looked = examine(
  directory,
  surroundingsOf(
    directory,
    readMigrations(migrationsDirectory()).map(({ name }) => name),
  ),
);
const marks = { good: "ok  ", look: "look", bad: "BAD " } as const;
console.log(directory);
for (const { what, state, words, todo } of looked)
  console.log(`${marks[state]}  ${what.padEnd(9)} ${words}${todo ? `\n      → ${todo}` : ""}`);
process.exit(looked.some(({ state }) => state === "bad") ? 1 : 0);
