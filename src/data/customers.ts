import type { DiscountClass } from "@/core/estimate/discounts";
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
  readonly discountClass: DiscountClass;
  readonly rowVersion: number;
}

const columns = "id, name, phone, email, note, discount_class AS discountClass, row_version AS rowVersion";

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

/** What the counter says of a customer before a word is written: how many reels, how often here, what hangs here now. */
export interface CustomerGlance {
  readonly reels: number;
  readonly visits: number;
  readonly hanging: number;
  /** ISO instant of the last handing over; null when nothing was handed over yet. */
  readonly lastOn: string | null;
}

export const glanceAtCustomers = (db: Db): ReadonlyMap<number, CustomerGlance> =>
  new Map(
    (
      db
        .prepare(
          `SELECT customer_id AS id, count(DISTINCT reel_id) AS reels, count(*) AS visits, sum(closed_at IS NULL) AS hanging, max(closed_at) AS lastOn
           FROM job GROUP BY customer_id`,
        )
        .all() as (CustomerGlance & { id: number })[]
    ).map(({ id, ...rest }) => [id, rest]),
  );

/** The class the counter last gave a customer; the next reel begins with it. */
export function setDiscountClass(ctx: Context, id: number, discountClass: DiscountClass): void {
  const { changes } = ctx.db
    .prepare("UPDATE customer SET discount_class = ?, row_version = row_version + 1 WHERE id = ? AND discount_class <> ?")
    .run(discountClass, id, discountClass);
  if (changes) writeJournal(ctx, "customer-changed", { customerId: id }, { discountClass });
}

/** Changes a customer. @throws Refusal when another window saved first: nothing is overwritten. */
export function changeCustomer(ctx: Context, customer: Customer): void {
  const { changes } = ctx.db
    .prepare(
      "UPDATE customer SET name = ?, phone = ?, email = ?, note = ?, discount_class = ?, row_version = row_version + 1 WHERE id = ? AND row_version = ?",
    )
    .run(customer.name, customer.phone, customer.email, customer.note, customer.discountClass, customer.id, customer.rowVersion);
  if (!changes)
    throw new Refusal("changed-elsewhere", "This customer was changed in another window. Reload to see it, then type your change again.");
  indexCustomer(ctx.db, customer.id, customer.name, customer.phone, customer.email);
  writeJournal(ctx, "customer-changed", { customerId: customer.id });
}
