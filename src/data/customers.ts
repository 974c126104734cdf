import { type Context, Refusal } from "./context";
import type { Db } from "./database";
import { indexForFind } from "./find";
import { writeJournal } from "./journal";

export interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly note: string;
  readonly rowVersion: number;
}

const columns = "id, name, phone, email, note, row_version AS rowVersion";

export const listCustomers = (db: Db): Customer[] => db.prepare(`SELECT ${columns} FROM customer ORDER BY name`).all() as Customer[];

export const findCustomer = (db: Db, id: number): Customer | null =>
  (db.prepare(`SELECT ${columns} FROM customer WHERE id = ?`).get(id) as Customer | undefined) ?? null;

function indexCustomer(db: Db, id: number, name: string, phone: string, email: string): void {
  indexForFind(db, { kind: "customer", ref: String(id), title: name, words: `${name} ${phone} ${email}` });
}

/** Adds a customer. @returns the new id. */
export function addCustomer(ctx: Context, customer: { name: string; phone: string; email: string }): number {
  const id = Number(
    ctx.db.prepare("INSERT INTO customer (name, phone, email) VALUES (?, ?, ?)").run(customer.name, customer.phone, customer.email)
      .lastInsertRowid,
  );
  indexCustomer(ctx.db, id, customer.name, customer.phone, customer.email);
  writeJournal(ctx, "customer-added", { customerId: id });
  return id;
}

/** Changes a customer. @throws Refusal when another window saved first: nothing is overwritten. */
export function changeCustomer(ctx: Context, customer: Customer): void {
  const { changes } = ctx.db
    .prepare("UPDATE customer SET name = ?, phone = ?, email = ?, note = ?, row_version = row_version + 1 WHERE id = ? AND row_version = ?")
    .run(customer.name, customer.phone, customer.email, customer.note, customer.id, customer.rowVersion);
  if (!changes)
    throw new Refusal("changed-elsewhere", "This customer was changed in another window. Reload to see it, then type your change again.");
  indexCustomer(ctx.db, customer.id, customer.name, customer.phone, customer.email);
  writeJournal(ctx, "customer-changed", { customerId: customer.id });
}
