import { type Balance, balanceOf, type PaidHow, type PaperLine } from "@/core/papers/papers";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";

/** What a paper says of who made it out. */
export interface PaperShop {
  readonly name: string;
  readonly address: string;
  readonly phone: string;
  readonly taxNumber: string;
  readonly bank: string;
  readonly terms: string;
}

export interface Paper {
  readonly number: number;
  readonly kind: "invoice" | "credit";
  readonly ofNumber: number | null;
  readonly customerId: number;
  /** As it was printed; null once the law lets it be forgotten. */
  readonly name: string | null;
  readonly address: string;
  /** The shop as it was when the paper was made; null on one from before shops had an address here. */
  readonly shop: PaperShop | null;
  /** Day of supply: when the reel went home. */
  readonly suppliedOn: string | null;
  readonly onDay: string;
  readonly dueOn: string;
  readonly currency: string;
  readonly tax: number;
  readonly netMinor: number;
  readonly taxMinor: number;
  readonly lines: readonly PaperLine[];
  readonly tags: readonly string[];
}

export interface Payment {
  readonly amountMinor: number;
  readonly how: PaidHow;
  readonly onDay: string;
  readonly person: string;
}

export const select = `
  SELECT paper.number, paper.kind, of_number AS ofNumber, customer_id AS customerId, paper_name.name, coalesce(paper_name.address, '') AS address, paper.shop,
    supplied_on AS suppliedOn, on_day AS onDay, due_on AS dueOn, currency,
    tax_basis_points AS tax, net_minor AS netMinor, tax_minor AS taxMinor, lines,
    (SELECT group_concat(tag, ' ') FROM paper_job JOIN job ON job.id = paper_job.job_id WHERE paper_job.number = paper.number) AS tags
  FROM paper LEFT JOIN paper_name ON paper_name.number = paper.number`;
export type Row = Omit<Paper, "lines" | "tags" | "shop"> & {
  readonly lines: string;
  readonly tags: string | null;
  readonly shop: string | null;
};
export const toPaper = (row: Row): Paper => ({
  ...row,
  lines: JSON.parse(row.lines) as PaperLine[],
  tags: row.tags?.split(" ") ?? [],
  shop: row.shop === null ? null : (JSON.parse(row.shop) as PaperShop),
});

export const findPaper = (db: Db, number: number): Paper | null => {
  const row = db.prepare(`${select} WHERE paper.number = ?`).get(number) as Row | undefined;
  return row ? toPaper(row) : null;
};

/** Credit notes of an invoice, the first first. */
export const creditsOf = (db: Db, number: number): Paper[] =>
  (db.prepare(`${select} WHERE paper.of_number = ? ORDER BY paper.number`).all(number) as Row[]).map(toPaper);

export const paymentsOf = (db: Db, number: number): Payment[] =>
  db
    .prepare(
      `SELECT amount_minor AS amountMinor, how, on_day AS onDay, person.name AS person FROM payment JOIN person ON person.id = person_id
       WHERE number = ? ORDER BY payment.id`,
    )
    .all(number) as Payment[];

/** What an invoice comes to, what was taken back and paid of it, and what is open. */
export function balanceOfPaper(db: Db, { number, netMinor, taxMinor }: Pick<Paper, "number" | "netMinor" | "taxMinor">): Balance {
  const { credited, paid } = db
    .prepare(
      `SELECT (SELECT coalesce(-sum(net_minor + tax_minor), 0) FROM paper WHERE of_number = @number) AS credited,
              (SELECT coalesce(sum(amount_minor), 0) FROM payment WHERE number = @number) AS paid`,
    )
    .get({ number }) as { credited: number; paid: number };
  return balanceOf(netMinor + taxMinor, credited, paid);
}

export function getInvoice(ctx: Context, number: number): Paper {
  const paper = findPaper(ctx.db, number);
  if (paper?.kind !== "invoice") throw new Refusal("no-invoice", "There is no invoice with this number.");
  return paper;
}

/**
 * The invoice of a job, the one it was handed back with; null where nothing was charged. One that was credited in whole, because its return was
 * taken back, gives way to the next.
 */
export const invoiceOfJob = (db: Db, jobId: number): number | null =>
  (db
    .prepare(
      `SELECT coalesce(min(paper.number) FILTER (WHERE net_minor + tax_minor + credited > 0), max(paper.number)) FROM
         (SELECT paper.*, (SELECT coalesce(sum(credit.net_minor + credit.tax_minor), 0) FROM paper AS credit WHERE credit.of_number = paper.number)
            AS credited
          FROM paper_job JOIN paper ON paper.number = paper_job.number WHERE job_id = ? AND kind = 'invoice') AS paper`,
    )
    .pluck()
    .get(jobId) as number | null) ?? null;
