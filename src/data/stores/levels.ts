import { daysPassed } from "@/core/day/day";
import type { StockLine } from "@/core/ordering/book";
import { type StockLevel, stockLevel } from "@/core/ordering/stock-level";
import type { Db } from "@/data/database/database";
import { listStock } from "@/data/parts/stock";
import { listSuppliers, offersOf } from "@/data/parts/suppliers";
import { getShopSettings } from "@/data/shop/settings";
import { leadTimesOf, type PartUse, usesOfParts } from "./experience";
import { getOrderRules } from "./order-rules";

export interface BinLevel extends StockLine {
  readonly use: PartUse;
  /** What its use and the days of a parcel ask for. */
  readonly asked: StockLevel;
  /** Below or at which it is ordered: by use where that was said, else by hand. */
  readonly level: number;
  /** Days until the parcel of whoever is quickest with it; null where nobody sells it. */
  readonly leadDays: number | null;
  /** What a piece costs to buy; the shop's own price where nobody sells it. */
  readonly unitMinor: number;
  readonly lastUsedAt: string | null;
  /** Nothing of it was used for so long that it is dead stock, or slow. */
  readonly state: "used" | "slow" | "dead";
}

/** A part unused for two years is dead stock; one that lies longer than a year at its pace is slow (common practice of small stores). */
const deadDays = 730;
const slowDays = 365;

/** Every bin with its level, its use and what lies in it. @param today ISO day. */
export function listLevels(db: Db, today: string): BinLevel[] {
  const rules = getOrderRules(db);
  const settings = getShopSettings(db);
  const stock = listStock(db);
  const ids = stock.map(({ partTypeId }) => partTypeId);
  const leads = leadTimesOf(
    db,
    listSuppliers(db).filter(({ retired }) => !retired),
    rules.leadChance / 100,
  );
  const offers = offersOf(db, ids);
  const uses = usesOfParts(db, today);
  const prices = new Map(
    db.prepare("SELECT id, price_minor FROM part_type WHERE id IN (SELECT value FROM json_each(?))").raw().all(JSON.stringify(ids)) as [
      string,
      number,
    ][],
  );
  const last = new Map(
    db.prepare("SELECT part_type_id, max(at) FROM stock_move WHERE reason = 'used' GROUP BY part_type_id").raw().all() as [
      string,
      string,
    ][],
  );
  const first = new Map(db.prepare("SELECT part_type_id, min(at) FROM stock_move GROUP BY part_type_id").raw().all() as [string, string][]);
  const missingDay = (settings.ratePerHourMinor * rules.lateShareBasisPoints) / 10_000;
  return stock.map((line) => {
    const sold = offers.get(line.partTypeId) ?? [];
    const quickest = sold.length ? Math.min(...sold.map(({ supplierId }) => leads.get(supplierId)!.days)) : null;
    const cheapest = sold[0];
    const unitMinor = cheapest ? Math.round(cheapest.priceMinor / cheapest.pack) : (prices.get(line.partTypeId) ?? 0);
    const use = uses.of(line.partTypeId);
    const leadDays = quickest ?? 14;
    const asked = stockLevel({
      use,
      leadDays,
      reviewDays: 7 / rules.orderOn.length,
      chanceOut: rules.runningOutChance / 100,
      pack: cheapest?.pack ?? 1,
      priceMinor: unitMinor,
      missingMinor: missingDay * leadDays,
      horizonDays: rules.leftOverDays,
    });
    const since = last.get(line.partTypeId) ?? first.get(line.partTypeId) ?? null;
    const quiet = since ? daysPassed(since, `${today}T23:59:59Z`) : 0;
    const perYear = ((use.pieces + 0.5) / use.days) * 365;
    const state = line.count === 0 ? "used" : quiet > deadDays ? "dead" : line.count / perYear > slowDays / 365 + 1 ? "slow" : "used";
    return {
      ...line,
      use,
      asked,
      level: line.byUse ? (asked.level ?? 0) : line.minimum,
      leadDays: quickest,
      unitMinor,
      lastUsedAt: last.get(line.partTypeId) ?? null,
      state,
    };
  });
}
