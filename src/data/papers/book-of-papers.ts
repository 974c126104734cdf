import { type Age, ageOf, type TaxRow, taxRows } from "@/core/papers/papers";
import type { Db } from "@/data/database/database";
import { keptAnswer } from "@/data/database/kept-answers";
import { type Paper, type Payment, type Row, select, toPaper } from "./papers";

export interface ListedPaper extends Omit<Paper, "lines" | "netMinor" | "taxMinor" | "shop"> {
  readonly totalMinor: number;
  /** Of an invoice; a credit note has none. */
  readonly openMinor: number;
  readonly age: Age | null;
}

export interface PaperQuery {
  readonly text?: string;
  readonly openOnly?: boolean;
  readonly customerId?: number;
  readonly from?: string;
  readonly to?: string;
}

/** Papers, the last first. @param text a number, a tag or the beginning of a name. */
export function listPapers(db: Db, query: PaperQuery, today: string, limit: number, offset = 0): ListedPaper[] {
  const text = query.text?.trim() ?? "";
  const number = /^[RC]?\s*0*(\d{1,9})$/i.exec(text)?.[1] ?? null;
  const credited = "coalesce((SELECT -sum(net_minor + tax_minor) FROM paper AS credit WHERE credit.of_number = paper.number), 0)";
  const paid = "coalesce((SELECT sum(amount_minor) FROM payment WHERE payment.number = paper.number), 0)";
  const tagged =
    "EXISTS (SELECT 1 FROM paper_job JOIN job ON job.id = paper_job.job_id WHERE paper_job.number = paper.number AND tag LIKE @like ESCAPE '\\')";
  // Only what is asked for is reckoned: a page of ten years' papers costs as much as one of a month's.
  const wanted = [
    "TRUE",
    ...(query.from || query.to ? ["on_day >= @from AND on_day <= @to"] : []),
    ...(text ? [`(paper.number = @number OR paper_name.name LIKE @like ESCAPE '\\' OR ${tagged})`] : []),
    ...(query.customerId ? ["customer_id = @customerId"] : []),
    ...(query.openOnly ? [`paper.kind = 'invoice' AND net_minor + tax_minor <> ${credited} + ${paid}`] : []),
  ];
  const rows = db
    .prepare(
      `${select.replace("FROM paper LEFT", `, ${credited} AS credited, ${paid} AS paid FROM paper LEFT`)} WHERE ${wanted.join(" AND ")}
       ORDER BY paper.number DESC LIMIT @limit OFFSET @offset`,
    )
    .all({
      ...(text ? { number: number === null ? 0 : Number(number), like: `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%` } : {}),
      ...(query.customerId ? { customerId: query.customerId } : {}),
      ...(query.from || query.to ? { from: query.from ?? "0000", to: query.to ?? "9999" } : {}),
      limit,
      offset,
    }) as (Row & { credited: number; paid: number })[];
  return rows.map(({ credited, paid, netMinor, taxMinor, tags, lines: _, shop: _shop, ...row }) => {
    const totalMinor = netMinor + taxMinor;
    const openMinor = row.kind === "invoice" ? totalMinor - credited - paid : 0;
    return { ...row, totalMinor, openMinor, tags: tags?.split(" ") ?? [], age: openMinor > 0 ? ageOf(row.dueOn, today) : null };
  });
}

/** What is open, by its age. */
export const openByAge = (db: Db, today: string): ReadonlyMap<Age, { papers: number; minor: number }> =>
  // Papers and payments are added, never changed: their last numbers tell whether anything is new.
  keptAnswer(
    db,
    "open by age",
    `${today} ${db.prepare("SELECT (SELECT max(number) FROM paper) || ' ' || (SELECT max(id) FROM payment)").pluck().get() as string | null}`,
    () => readOpen(db, today),
  );

function readOpen(db: Db, today: string): ReadonlyMap<Age, { papers: number; minor: number }> {
  const rows = new Map<Age, { papers: number; minor: number }>();
  for (const { age, openMinor } of listPapers(db, { openOnly: true }, today, 10_000)) {
    if (!age) continue;
    const row = rows.get(age) ?? { papers: 0, minor: 0 };
    rows.set(age, { papers: row.papers + 1, minor: row.minor + openMinor });
  }
  return rows;
}

/** Tax by month and rate. @param from and to ISO days, both included. */
export const taxByMonth = (db: Db, from: string, to: string): TaxRow[] =>
  taxRows(
    db
      .prepare(
        `SELECT on_day AS onDay, tax_basis_points AS tax, currency, net_minor AS netMinor, tax_minor AS taxMinor FROM paper
         WHERE on_day >= ? AND on_day <= ?`,
      )
      .all(from, to) as Parameters<typeof taxRows>[0][number][],
  );

/** For the book-keeper: every paper of a time in its order, and every payment. */
export function bookExport(db: Db, from: string, to: string) {
  return {
    papers: (db.prepare(`${select} WHERE on_day >= ? AND on_day <= ? ORDER BY paper.number`).all(from, to) as Row[]).map(toPaper),
    payments: db
      .prepare(
        `SELECT payment.id, payment.number, amount_minor AS amountMinor, how, payment.on_day AS onDay, currency FROM payment
         JOIN paper ON paper.number = payment.number WHERE payment.on_day >= ? AND payment.on_day <= ? ORDER BY payment.id`,
      )
      .all(from, to) as (Omit<Payment, "person"> & { id: number; number: number; currency: string })[],
  };
}
