import { DateTime } from "luxon";
import { msPerMinute } from "@/core/day/day";
import type { Db } from "./database";

/** Less is the way two computers differ, or a clock that was put right. */
const leastMinutes = 5;

/** Words for a clock that stands before the last entry of the journal; null where it does not. What is done then keeps its order by number. */
export function clockSetBack(db: Db, now: Date): string | null {
  const last = db.prepare("SELECT at FROM journal ORDER BY id DESC LIMIT 1").pluck().get() as string | undefined;
  if (!last || Date.parse(last) - now.getTime() < leastMinutes * msPerMinute) return null;
  const words = (at: Date) => DateTime.fromJSDate(at).toFormat("d LLL yyyy HH:mm");
  return `This computer's clock says ${words(now)}, but the last entry was made at ${words(new Date(last))}. Set the clock: promised days, waits and backups go by it. Nothing is lost; entries keep their order.`;
}
