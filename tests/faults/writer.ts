/** Adds a customer and a supplier in one transaction, again and again, until it is killed. */
import { openDatabase } from "@/data/database/database";

const db = openDatabase();
const customer = db.prepare("INSERT INTO customer (name, note) VALUES (?, ?)");
const supplier = db.prepare("INSERT INTO supplier (id, name, postage_minor, lead_days) VALUES (?, ?, 0, 1)");
for (let n = 0; ; n++) {
  db.transaction(() => {
    customer.run(`Written ${n}`, "n".repeat(200));
    supplier.run(`written-${n}`, `Written ${n}`);
  })();
  if (n === 20) process.stdout.write("going\n");
  await new Promise((wait) => setTimeout(wait, 2));
}
