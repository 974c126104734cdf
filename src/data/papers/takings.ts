import { z } from "zod";
import { type PaidHow, paidHows } from "@/core/papers/papers";
import { type Taking, takingsByWay } from "@/core/papers/takings";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { id, minor, row, rows } from "@/data/database/rows";

const how = z.enum(Object.keys(paidHows) as [PaidHow, ...PaidHow[]]);
const taking = z.object({ payment: id.nullable(), invoice: id.nullable(), name: z.string(), amountMinor: minor, how });

/** What came in and went back on a day: payments of that day, and deposits taken at the counter on it. @param day ISO day. */
export const listTakings = (db: Db, day: string): Taking[] =>
  rows(
    taking,
    db
      .prepare(
        `SELECT * FROM (SELECT payment.id AS payment, payment.number AS invoice, coalesce(paper_name.name, '') AS name, amount_minor AS amountMinor, how
         FROM payment LEFT JOIN paper_name ON paper_name.number = payment.number WHERE payment.on_day = @day AND how <> 'deposit'
         UNION ALL
         SELECT NULL, NULL, job.tag || ' ' || customer.name, job.deposit_minor, 'deposit'
         FROM job JOIN customer ON customer.id = job.customer_id WHERE job.deposit_minor > 0 AND substr(job.opened_at, 1, 10) = @day)
         ORDER BY payment IS NULL, payment`,
      )
      .all({ day }),
  );

const closed = z.object({
  day: z.string(),
  sums: z.string().transform((kept) => z.array(z.object({ how, minor })).parse(JSON.parse(kept))),
  lastPayment: id,
  at: z.string(),
  person: z.string(),
});
export type ClosedDay = z.output<typeof closed>;

export const closedDay = (db: Db, day: string): ClosedDay | null =>
  row(
    closed,
    db
      .prepare(
        `SELECT day, sums, last_payment AS lastPayment, takings.at, person.name AS person
         FROM takings JOIN person ON person.id = takings.person_id WHERE day = ?`,
      )
      .get(day),
  );

/** Closes a day as it stands: its sums are kept, and what comes in later is told apart. @throws Refusal for a day to come, and one that is closed. */
export function closeDay(ctx: Context, day: string, today: string): void {
  const { db } = ctx;
  if (day > today) throw new Refusal("to-come", "This day is still to come.");
  if (closedDay(db, day)) throw new Refusal("gone", "This day has been closed in the meantime. Reload the page.");
  const takings = listTakings(db, day);
  db.prepare("INSERT INTO takings (day, sums, last_payment, at, person_id) VALUES (?, ?, ?, ?, ?)").run(
    day,
    JSON.stringify(takingsByWay(takings)),
    Math.max(0, ...takings.map(({ payment }) => payment ?? 0)),
    ctx.now,
    ctx.person.id,
  );
  writeJournal(ctx, "day-closed", {}, { day });
}
