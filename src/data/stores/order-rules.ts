import { type OrderRules, orderRulesSchema, usualOrderRules } from "@/core/ordering/rules";
import { seenOrderRules } from "@/core/seen/seen";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";

/** What the order plan reckons with; what was never set is the usual. */
export function getOrderRules(db: Db): OrderRules {
  const value = db.prepare("SELECT value FROM setting WHERE key = 'ordering'").pluck().get() as string | undefined;
  return value ? orderRulesSchema.parse({ ...usualOrderRules, ...(JSON.parse(value) as object) }) : usualOrderRules;
}

export function saveOrderRules(ctx: Context, rules: OrderRules, seen: string | null = null): void {
  refuseUnseen(seen, seenOrderRules(getOrderRules(ctx.db)), "What the plan reckons with");
  ctx.db
    .prepare("INSERT INTO setting (key, value) VALUES ('ordering', ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value")
    .run(JSON.stringify(rules));
  writeJournal(ctx, "order-rules-saved", {}, rules);
}
