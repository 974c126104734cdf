/** `npm run passphrase -- "NAME"`: sets a new passphrase for somebody who forgot theirs and has no owner to ask. Whoever can run it here can read the data anyway. */
import { createInterface } from "node:readline/promises";
import { Refusal } from "@/data/database/context";
import { openDatabase } from "@/data/database/database";
import { listPeople } from "@/data/shop/people";
import { setSecret } from "@/data/sign-in/secrets";
import { shopDirectory } from "./shop-directory.mjs";

const name = process.argv[2] ?? "";
const db = openDatabase(shopDirectory());
try {
  const people = listPeople(db);
  const person = people.find((one) => one.name.toLowerCase() === name.toLowerCase());
  if (!person) throw new Refusal("no-person", `Name one of: ${people.map((one) => one.name).join(", ")}. npm run passphrase -- "NAME"`);
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const text = await terminal.question(`New passphrase for ${person.name}, three or four words: `);
  terminal.close();
  db.transaction(() => {
    // Forgotten: nothing old is asked for.
    db.prepare("UPDATE person SET passphrase_hash = NULL WHERE id = ?").run(person.id);
    setSecret({ db, person, now: new Date().toISOString() }, person.id, "passphrase", { now: text, before: "" });
  })();
  console.log(`${person.name} comes in with it from now on; every other session of theirs is over.`);
} catch (error) {
  console.error(error instanceof Refusal ? error.message : error);
  process.exitCode = 1;
} finally {
  db.close();
}
