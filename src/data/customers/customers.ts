import type { DiscountClass } from "@/core/quote/discounts";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { findAnything, forgetInFind, indexForFind } from "@/data/database/find";
import { writeJournal } from "@/data/database/journal";

export interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly note: string;
  readonly discountClass: DiscountClass;
  /** Not offered at the Counter any more; the reels and reports keep the name. */
  readonly retired: boolean;
  readonly rowVersion: number;
}

const columns =
  "id, name, phone, email, address, note, discount_class AS discountClass, retired_at IS NOT NULL AS retired, row_version AS rowVersion";
type CustomerRow = Omit<Customer, "retired"> & { readonly retired: 0 | 1 };
const toCustomer = (row: CustomerRow): Customer => ({ ...row, retired: row.retired === 1 });

/** Customers by the beginnings of name, phone or e-mail, best first; with nothing typed those who were here last. */
export function searchCustomers(db: Db, text: string, limit: number): Customer[] {
  if (!text.trim())
    return (
      db
        .prepare(
          `SELECT ${columns} FROM customer WHERE retired_at IS NULL
           ORDER BY (SELECT max(job.id) FROM job WHERE job.customer_id = customer.id) DESC, customer.id DESC LIMIT ?`,
        )
        .all(limit) as CustomerRow[]
    ).map(toCustomer);
  const found = findAnything(db, text, limit, ["customer"]).map(({ ref }) => Number(ref));
  const rows = db
    .prepare(`SELECT ${columns} FROM customer WHERE retired_at IS NULL AND id IN (SELECT value FROM json_each(?))`)
    .all(JSON.stringify(found)) as CustomerRow[];
  return rows.map(toCustomer).sort((a, b) => found.indexOf(a.id) - found.indexOf(b.id));
}

export const findCustomer = (db: Db, id: number): Customer | null => {
  const row = db.prepare(`SELECT ${columns} FROM customer WHERE id = ?`).get(id) as CustomerRow | undefined;
  return row ? toCustomer(row) : null;
};

/** A customer is found by all that is written of them, the note too. */
function indexCustomer(db: Db, id: number, { name, phone, email, address = "", note = "" }: NewCustomer): void {
  indexForFind(db, { kind: "customer", ref: String(id), title: name, words: `${name} ${phone} ${email} ${address} ${note}` });
}

/** Two people write a name alike if they do so but for capitals and spaces. */
const plainName = (name: string): string => name.normalize("NFKC").trim().replace(/\s+/g, " ").toLowerCase();

/**
 * The customer a typed name means: the one who has exactly this name, unless a phone or mail was typed with it that is another's.
 * @returns the id; null for somebody new. @throws Refusal at `customerId` when several have it and nothing typed tells which.
 */
export function knownCustomer(db: Db, typed: { readonly name: string; readonly phone: string; readonly email: string }): number | null {
  const wanted = plainName(typed.name);
  const same = (
    db
      .prepare(`SELECT ${columns} FROM customer WHERE retired_at IS NULL AND length(name) BETWEEN ? AND ?`)
      .all(wanted.length - 8, wanted.length + 40) as CustomerRow[]
  ).filter(({ name }) => plainName(name) === wanted);
  const figures = (phone: string) => phone.replace(/\D/g, "");
  const agrees = ({ phone, email }: CustomerRow) =>
    (!typed.phone || !phone || figures(phone) === figures(typed.phone)) &&
    (!typed.email || !email || email.toLowerCase() === typed.email.toLowerCase());
  const meant = same.filter(agrees);
  if (meant.length > 1)
    throw new Refusal(
      "several",
      `${meant.length} customers are called ${typed.name}: choose one from the list, or type the phone number of a new one.`,
      "customerId",
    );
  return meant[0]?.id ?? null;
}

/** The customer of a typed name: the known one, else a new card. @returns the id. @throws as knownCustomer. */
export const customerByName = (ctx: Context, typed: NewCustomer): number => knownCustomer(ctx.db, typed) ?? addCustomer(ctx, typed);

interface NewCustomer {
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  /** Street and place, with commas where lines end. */
  readonly address?: string;
  readonly note?: string;
}

/** Adds a customer. @returns the new id. */
export function addCustomer(ctx: Context, customer: NewCustomer): number {
  const id = writeCustomer(ctx, customer);
  writeJournal(ctx, "customer-added", { customerId: id });
  return id;
}

/** The same without an entry of its own: what brings many in writes one for all of them. */
export function writeCustomer(ctx: Context, customer: NewCustomer): number {
  const id = Number(
    ctx.db
      .prepare("INSERT INTO customer (name, phone, email, address, note) VALUES (?, ?, ?, ?, ?)")
      .run(customer.name, customer.phone, customer.email, customer.address ?? "", customer.note ?? "").lastInsertRowid,
  );
  indexCustomer(ctx.db, id, customer);
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

export const glanceAtCustomers = (db: Db, ids: readonly number[]): ReadonlyMap<number, CustomerGlance> =>
  new Map(
    (
      db
        .prepare(
          `SELECT customer_id AS id, count(DISTINCT reel_id) AS reels, count(*) AS visits, sum(closed_at IS NULL) AS hanging, max(closed_at) AS lastOn
           FROM job WHERE customer_id IN (SELECT value FROM json_each(?)) GROUP BY customer_id`,
        )
        .all(JSON.stringify(ids)) as (CustomerGlance & { id: number })[]
    ).map(({ id, ...rest }) => [id, rest]),
  );

/**
 * The class a reel is taken in under. Whoever was typed and turned out to be known keeps theirs: the form stood at "none" because it knew nobody.
 * @param chosen whether the customer was chosen from the book, so that the form showed their class.
 */
export const classSaid = (db: Db, customerId: number, chosen: boolean, said: DiscountClass): DiscountClass =>
  chosen || said !== "none" ? said : (findCustomer(db, customerId)?.discountClass ?? "none");

/** The class the counter last gave a customer; the next reel begins with it. */
export function setDiscountClass(ctx: Context, id: number, discountClass: DiscountClass): void {
  const { changes } = ctx.db
    .prepare("UPDATE customer SET discount_class = ?, row_version = row_version + 1 WHERE id = ? AND discount_class <> ?")
    .run(discountClass, id, discountClass);
  if (changes) writeJournal(ctx, "customer-changed", { customerId: id }, { discountClass });
}

/** Not offered at the Counter any more, or again. @throws Refusal while a reel of theirs is in the shop. */
export function retireCustomer(ctx: Context, id: number, retired: boolean): void {
  const here = ctx.db.prepare("SELECT tag FROM job WHERE customer_id = ? AND closed_at IS NULL LIMIT 1").pluck().get(id) as
    | string
    | undefined;
  if (retired && here)
    throw new Refusal("in-the-shop", `A reel of theirs is still in the shop as ${here}. Return it first.`, null, {
      to: "station",
      tag: here,
      station: "return",
    });
  const { changes } = ctx.db
    .prepare("UPDATE customer SET retired_at = ?, row_version = row_version + 1 WHERE id = ?")
    .run(retired ? ctx.now : null, id);
  if (!changes) throw new Refusal("no-customer", "This customer was retired.");
  writeJournal(ctx, retired ? "customer-retired" : "customer-used-again", { customerId: id });
}

/** Changes a customer. @throws Refusal when another window saved first: nothing is overwritten. */
export function changeCustomer(ctx: Context, customer: Omit<Customer, "retired">): void {
  const { changes } = ctx.db
    .prepare(
      "UPDATE customer SET name = ?, phone = ?, email = ?, address = ?, note = ?, discount_class = ?, row_version = row_version + 1 WHERE id = ? AND row_version = ?",
    )
    .run(
      customer.name,
      customer.phone,
      customer.email,
      customer.address,
      customer.note,
      customer.discountClass,
      customer.id,
      customer.rowVersion,
    );
  if (!changes)
    throw new Refusal("changed-elsewhere", "This customer was changed in another window. Reload to see it, then type your change again.");
  indexCustomer(ctx.db, customer.id, customer);
  writeJournal(ctx, "customer-changed", { customerId: customer.id });
}

/** Takes a customer out of the book again, on whom nothing hangs yet. @throws the database's own fault where something does. */
export function removeCustomer(db: Db, id: number): void {
  db.prepare("DELETE FROM customer WHERE id = ?").run(id);
  forgetInFind(db, { kind: "customer", ref: String(id) });
}

/** What stands where a person stood. */
export const erasedName = "Erased at their wish";

/** Takes everything out of a card that tells who it was. */
export function blankCustomer({ db, now }: Context, id: number): void {
  db.prepare(
    `UPDATE customer SET name = ?, phone = '', email = '', address = '', note = '', retired_at = coalesce(retired_at, ?), erased_at = ?,
            row_version = row_version + 1 WHERE id = ?`,
  ).run(erasedName, now, now, id);
  forgetInFind(db, { kind: "customer", ref: String(id) });
}
