import type { Db } from "@/data/database/database";

/** Keeps the name of somebody erased for invoices alone. @param name.until ISO day. */
export const keepInvoiceName = (db: Db, name: { readonly customerId: number; readonly name: string; readonly until: string }): void => {
  db.prepare("INSERT OR REPLACE INTO invoice_name (customer_id, name, keep_until) VALUES (@customerId, @name, @until)").run(name);
};

/** The name an invoice still prints of somebody erased; null where it is not kept. */
export const invoiceName = (db: Db, customerId: number): { name: string; until: string } | null =>
  (db.prepare("SELECT name, keep_until AS until FROM invoice_name WHERE customer_id = ?").get(customerId) as
    | { name: string; until: string }
    | undefined) ?? null;

/** Lets go of names whose day has passed. @param today ISO day. @returns how many. */
export function forgetInvoiceNames(db: Db, today: string): number {
  const over = db.prepare("SELECT customer_id FROM invoice_name WHERE keep_until < ?").pluck().all(today) as number[];
  for (const id of over)
    forgetPaperNames(db, [id, ...(db.prepare("SELECT id FROM customer WHERE merged_into = ?").pluck().all(id) as number[])]);
  return db.prepare("DELETE FROM invoice_name WHERE keep_until < ?").run(today).changes;
}

/** Papers stay; whom they were made out to goes. */
export const forgetPaperNames = (db: Db, customerIds: readonly number[]): void => {
  db.prepare("DELETE FROM paper_name WHERE number IN (SELECT number FROM paper WHERE customer_id IN (SELECT value FROM json_each(?)))").run(
    JSON.stringify(customerIds),
  );
};
