import { addDays, daysPassed, daysPerYear, monthsOf } from "@/core/day/day";
import { groupBy } from "@/core/group-by";
import { type LeadTime, leadTime } from "@/core/ordering/lead-time";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastActOfShop } from "@/data/database/kept-answers";

/** Days each of a supplier's last complete orders took from placing to its last piece. */
const daysTaken = (db: Db): ReadonlyMap<string, number[]> => {
  const rows = db
    .prepare(
      `SELECT supplier_id AS supplierId, julianday(came) - julianday(placed_at) AS days FROM (
         SELECT purchase_order.supplier_id, purchase_order.placed_at, max(stock_move.at) AS came,
                row_number() OVER (PARTITION BY purchase_order.supplier_id ORDER BY purchase_order.id DESC) AS nth
         FROM purchase_order JOIN order_line ON order_line.order_id = purchase_order.id
         JOIN stock_move ON stock_move.order_line_id = order_line.id AND stock_move.delta > 0
         GROUP BY purchase_order.id HAVING min(order_line.received + order_line.given_up >= order_line.quantity) = 1)
       WHERE nth <= 40`,
    )
    .all() as { supplierId: string; days: number }[];
  return new Map([...groupBy(rows, ({ supplierId }) => supplierId)].map(([id, of]) => [id, of.map(({ days }) => days)]));
};

/** How long each supplier takes, by what it promises and what came. @param chance of 1 that the parcel is here by then. */
export function leadTimesOf(
  db: Db,
  suppliers: readonly { readonly id: string; readonly leadDays: number }[],
  chance: number,
): ReadonlyMap<string, LeadTime> {
  const taken = keptAnswer(db, "days orders took", lastActOfShop(db), () => daysTaken(db));
  return new Map(suppliers.map(({ id, leadDays }) => [id, leadTime(leadDays, taken.get(id) ?? [], chance)]));
}

/** What is known of a part's use. */
export interface PartUse {
  readonly pieces: number;
  readonly days: number;
  readonly spread: number;
}

/** Years of use looked at: what was used longer ago says little of what will be. */
const yearsBack = 3;

/**
 * Pieces of each part fitted over the last years, and how unevenly over the months. Months with none count; a spread told by few pieces is
 * drawn towards 1, as if ten pieces had come one by one.
 * @param today ISO day.
 */
export function usesOfParts(db: Db, today: string): { of: (partTypeId: string) => PartUse } {
  const uses = keptAnswer(db, `use of parts on ${today}`, lastActOfShop(db), () => {
    const first = (db.prepare("SELECT min(opened_at) FROM job").pluck().get() as string | null) ?? `${today}T00:00:00Z`;
    const back = `${addDays(today, -Math.round(yearsBack * daysPerYear))}T00:00:00.000Z`;
    const from = [first, back].sort()[1]!;
    const days = Math.max(30, daysPassed(from, `${today}T23:59:59Z`));
    const months = Math.max(1, monthsOf(days));
    const rows = db
      .prepare(
        `SELECT instance.part_type_id AS id, sum(n) AS pieces, sum(n * n) AS squares FROM (
           SELECT instance.part_type_id, count(*) AS n FROM instance JOIN job ON job.id = instance.fitted_job_id
           WHERE instance.fitted_job_id IS NOT NULL AND job.opened_at >= ? GROUP BY instance.part_type_id, substr(job.opened_at, 1, 7)) AS instance
         GROUP BY instance.part_type_id`,
      )
      .all(from) as { id: string; pieces: number; squares: number }[];
    const known = new Map(
      rows.map(({ id, pieces, squares }) => {
        const mean = pieces / months;
        const variance = squares / months - mean ** 2;
        return [id, { pieces, days, spread: Math.max(1, 1 + ((variance / mean - 1) * pieces) / (pieces + 10)) }];
      }),
    );
    return { known, days };
  });
  return { of: (id) => uses.known.get(id) ?? { pieces: 0, days: uses.days, spread: 1 } };
}

/** How many of a supplier's pieces came wrong or broken. */
export interface Mistakes {
  readonly bad: number;
  readonly pieces: number;
  /** Of 100 pieces, as it is reckoned with. */
  readonly percent: number;
}

/** A supplier is thought to send 3 of 100 pieces wrong or broken, as if thirty had shown so (common practice), until its own say otherwise. */
const usualMistakes = { bad: 1, pieces: 30 };

export const mistakesOf = (db: Db): ReadonlyMap<string, Mistakes> =>
  new Map(
    (
      db
        .prepare(
          `SELECT supplier.id, coalesce(bad.pieces, 0) AS bad, coalesce(taken.pieces, 0) AS good FROM supplier
           LEFT JOIN (SELECT supplier_id, sum(received + extra) AS pieces FROM order_line JOIN purchase_order ON purchase_order.id = order_id
                      GROUP BY supplier_id) AS taken ON taken.supplier_id = supplier.id
           LEFT JOIN (SELECT supplier_id, sum(bad_piece.pieces) AS pieces FROM bad_piece JOIN order_line ON order_line.id = order_line_id
                      JOIN purchase_order ON purchase_order.id = order_id GROUP BY supplier_id) AS bad ON bad.supplier_id = supplier.id`,
        )
        .all() as { id: string; bad: number; good: number }[]
    ).map(({ id, bad, good }) => [
      id,
      { bad, pieces: bad + good, percent: (100 * (bad + usualMistakes.bad)) / (bad + good + usualMistakes.pieces) },
    ]),
  );
