/** Brings a thousand customers in from a file, as the server does: one transaction. Started by the test that kills it. */

import { openDatabase } from "@/data/database/database";
import { bringIn } from "@/data/shop/bring-in";
import { ensureFirstPerson } from "@/data/shop/people";

const db = openDatabase(process.env.ZORBEK_DATA!);
const ctx = { db, person: ensureFirstPerson(db), now: new Date().toISOString() };
process.stdout.write("begun\n");
for (let file = 0; file < 8; file++)
  db.transaction(() =>
    bringIn(
      ctx,
      "customers",
      "customers.csv",
      Array.from({ length: 1000 }, (_, row) => ({ row: { name: `Person ${file}-${row}` }, line: row + 2 })),
    ),
  )();
