import type { WayId } from "@/core/ways/ways";
import type { Db } from "@/data/database/database";

/** Ways of working as they were chosen: for one job, or for all of a customer's reels. */

const statements = {
  job: {
    read: "SELECT choice FROM job_way WHERE job_id = ? AND way = ?",
    remove: "DELETE FROM job_way WHERE job_id = ? AND way = ?",
    write: "INSERT INTO job_way (job_id, way, choice) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET choice = excluded.choice",
  },
  customer: {
    read: "SELECT choice FROM customer_way WHERE customer_id = ? AND way = ?",
    remove: "DELETE FROM customer_way WHERE customer_id = ? AND way = ?",
    write: "INSERT INTO customer_way (customer_id, way, choice) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET choice = excluded.choice",
  },
} as const;
export type WayScope = keyof typeof statements;

/** @param id of the job or the customer. @returns null where nothing was chosen there. */
export const readWay = (db: Db, scope: WayScope, id: number, way: WayId): string | null =>
  (db.prepare(statements[scope].read).pluck().get(id, way) as string | undefined) ?? null;

/** @param choice null gives it back to whoever stands behind. */
export const writeWay = (db: Db, scope: WayScope, id: number, way: WayId, choice: string | null): void => {
  if (choice === null) db.prepare(statements[scope].remove).run(id, way);
  else db.prepare(statements[scope].write).run(id, way, choice);
};

/** A customer's ways go to another card, which keeps its own where both chose. */
export function giveWaysTo(db: Db, fromCustomerId: number, toCustomerId: number): void {
  db.prepare(
    "INSERT OR IGNORE INTO customer_way (customer_id, way, choice) SELECT ?, way, choice FROM customer_way WHERE customer_id = ?",
  ).run(toCustomerId, fromCustomerId);
  db.prepare("DELETE FROM customer_way WHERE customer_id = ?").run(fromCustomerId);
}
