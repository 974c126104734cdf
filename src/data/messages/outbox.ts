import type { Mail, MailDesk } from "@/core/messages/mail-desk";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";

/** Mail on its way out: written with the act it belongs to, sent after, again with the next one where that failed. */

interface Waiting {
  readonly id: number;
  readonly kind: "quote" | "order";
  readonly ref: number;
  readonly to_address: string;
  readonly subject: string;
  readonly text: string;
}

export function writeMail(
  ctx: Context,
  mail: { readonly kind: "quote" | "order"; readonly ref: number; readonly to: string; readonly subject: string; readonly text: string },
): void {
  ctx.db
    .prepare("INSERT INTO outbox (kind, ref, to_address, subject, text, made_at) VALUES (?, ?, ?, ?, ?, ?)")
    .run(mail.kind, mail.ref, mail.to, mail.subject, mail.text, ctx.now);
  writeJournal(ctx, "mail-written", {}, { kind: mail.kind });
}

/**
 * Sends what waits, one after the other. What was sent leaves nothing but its reference: whose it was and what stood in it is gone.
 * @param attachmentsOf what goes with a mail. @throws what the desk throws; what was sent before it stays sent.
 */
export async function sendWaitingMail(
  db: Db,
  desk: MailDesk,
  from: string,
  attachmentsOf: (kind: Waiting["kind"], ref: number) => Promise<Mail["attachments"]>,
): Promise<void> {
  const waiting = db
    .prepare("SELECT id, kind, ref, to_address, subject, text FROM outbox WHERE sent_at IS NULL ORDER BY id")
    .all() as Waiting[];
  for (const { id, kind, ref, to_address: to, subject, text } of waiting) {
    const { reference } = await desk.send({ from, to, subject, text, attachments: await attachmentsOf(kind, ref) });
    db.prepare("UPDATE outbox SET sent_at = ?, reference = ?, to_address = '', text = '' WHERE id = ?").run(
      new Date().toISOString(),
      reference,
      id,
    );
  }
}

/** The newest mail about something. */
export const mailOf = (
  db: Db,
  kind: Waiting["kind"],
  ref: number,
): { readonly sentAt: string | null; readonly reference: string | null } | null =>
  (db.prepare("SELECT sent_at AS sentAt, reference FROM outbox WHERE kind = ? AND ref = ? ORDER BY id DESC LIMIT 1").get(kind, ref) as
    | { sentAt: string | null; reference: string | null }
    | undefined) ?? null;

/** Forgets letters of a kind that wait to be sent. @param refs what they are about. */
export const forgetLetters = (db: Db, kind: Waiting["kind"], refs: readonly number[]): void => {
  db.prepare("DELETE FROM outbox WHERE kind = ? AND sent_at IS NULL AND ref IN (SELECT value FROM json_each(?))").run(
    kind,
    JSON.stringify(refs),
  );
};
