import type { Customer } from "@/data/customers/customers";
import { glanceAtCustomers } from "@/data/customers/customers";
import type { Db } from "@/data/database/database";
import { dateWords } from "@/ui/dates";

const plural = (n: number, word: string) => `${n} ${word}${n === 1 ? "" : "s"}`;

/** Customers as a search field offers them, each with what the counter should know before a word is written. */
export function customerChoices(db: Db, customers: readonly Customer[]) {
  const glances = glanceAtCustomers(
    db,
    customers.map(({ id }) => id),
  );
  return customers.map(({ id, name, phone, discountClass }) => {
    const seen = glances.get(id);
    const glance = seen
      ? [
          `${plural(seen.reels, "reel")}, ${plural(seen.visits, "visit")}`,
          seen.lastOn && `last returned ${dateWords(seen.lastOn)}`,
          seen.hanging && `${seen.hanging} in the shop now`,
        ]
          .filter(Boolean)
          .join("; ")
      : "New here.";
    return { id: String(id), name, note: phone, discountClass, glance };
  });
}
