import type { Db } from "@/data/database/database";

/** What a customer was charged and paid, by currency; and what still is open. */
export const moneyOfCustomer = (
  db: Db,
  customerId: number,
): { currency: string; papers: number; chargedMinor: number; openMinor: number }[] =>
  db
    .prepare(
      `SELECT currency, sum(kind = 'invoice') AS papers, sum(net_minor + tax_minor) AS chargedMinor,
         sum(net_minor + tax_minor) - coalesce(sum((SELECT sum(amount_minor) FROM payment WHERE payment.number = paper.number)), 0) AS openMinor
       FROM paper WHERE customer_id = ? GROUP BY currency ORDER BY currency`,
    )
    .all(customerId) as { currency: string; papers: number; chargedMinor: number; openMinor: number }[];

/** How a customer wants their reels done, where they said. */
export const wishesOfCustomer = (db: Db, customerId: number): { way: string; choice: string }[] =>
  db.prepare("SELECT way, choice FROM customer_way WHERE customer_id = ? ORDER BY way").all(customerId) as {
    way: string;
    choice: string;
  }[];

export interface SentMessage {
  readonly at: string;
  readonly tag: string;
  readonly what: "quote" | "season" | "told";
  /** When it was answered; null where it was not, or asked for nothing. */
  readonly answeredAt: string | null;
}

/** Letters and calls to a customer, the last first. */
export const messagesOfCustomer = (db: Db, customerId: number, limit: number): SentMessage[] =>
  db
    .prepare(
      `SELECT * FROM (
         SELECT asking.made_at AS at, job.tag, 'quote' AS what, asking.answered_at AS answeredAt FROM asking JOIN job ON job.id = asking.job_id
         WHERE job.customer_id = @id
         UNION ALL SELECT season_invitation.at, job.tag, 'season', NULL FROM season_invitation JOIN job ON job.id = after_job_id WHERE job.customer_id = @id
         UNION ALL SELECT fetch_reminder.at, job.tag, 'told', NULL FROM fetch_reminder JOIN job ON job.id = fetch_reminder.job_id
           WHERE job.customer_id = @id)
       ORDER BY at DESC LIMIT @limit`,
    )
    .all({ id: customerId, limit }) as SentMessage[];
