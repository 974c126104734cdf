import { DateTime } from "luxon";
import { msPerMinute } from "@/core/day/day";
import type { Db } from "./database";

/** Less is the way two computers differ, or a clock that was put right. */
const leastMinutes = 5;
/** So many entries are looked back over: one press does not make a wrong clock right, and a day's work on it has settled which clock counts. */
const entries = 50;

/** Words for a clock that stands before one of the latest entries of the journal; null where it does not. What is done then keeps its order by number. */
export function clockSetBack(db: Db, now: Date): string | null {
  const last = db.prepare("SELECT max(at) FROM (SELECT at FROM journal ORDER BY id DESC LIMIT ?)").pluck().get(entries) as string | null;
  if (!last || Date.parse(last) - now.getTime() < leastMinutes * msPerMinute) return null;
  const words = (at: Date) => DateTime.fromJSDate(at).toFormat("d LLL yyyy HH:mm");
  return `This computer's clock says ${words(now)}, but an entry was made at ${words(new Date(last))}. Set the clock: promised days, waits and backups go by it. Nothing is lost; entries keep their order.`;
}
