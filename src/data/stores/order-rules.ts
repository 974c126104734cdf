import { type OrderRules, orderRulesSchema, usualOrderRules } from "@/core/ordering/rules";
import { seenOrderRules } from "@/core/seen/seen";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { readSetting, writeSetting } from "@/data/shop/settings";

/** What the order plan reckons with; what was never set is the usual. */
export function getOrderRules(db: Db): OrderRules {
  const written = readSetting(db, "ordering");
  return written ? orderRulesSchema.parse({ ...usualOrderRules, ...written }) : usualOrderRules;
}

export function saveOrderRules(ctx: Context, rules: OrderRules, seen: string | null = null): void {
  refuseUnseen(seen, seenOrderRules(getOrderRules(ctx.db)), "Planning assumptions");
  writeSetting(ctx.db, "ordering", rules);
  writeJournal(ctx, "order-rules-saved", {}, rules);
}
