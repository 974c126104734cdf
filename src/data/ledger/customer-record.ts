import { findCustomer } from "@/data/customers/customers";
import type { Db } from "@/data/database/database";
import { type Job, listJobsOfCustomer } from "@/data/jobs/jobs";
import { listJournalSentencesOf } from "@/data/ledger/journal-sentences";
import { listPastVisits } from "@/data/shop/bring-in";

export interface CustomerRecord {
  readonly card: Record<string, unknown>;
  readonly jobs: readonly Job[];
}

/** Everything the book holds of one person; null when there is no such card. Amounts are in minor units. */
export function getCustomerRecord(db: Db, id: number): CustomerRecord | null {
  const customer = findCustomer(db, id);
  if (!customer) return null;
  const jobs = listJobsOfCustomer(db, id);
  const reels = db
    .prepare(
      `SELECT reel.id, model.maker, model.name AS model, reel.serial, reel.hand FROM reel JOIN model ON model.id = reel.model_id
       WHERE reel.owner_id = ? ORDER BY reel.id`,
    )
    .all(id) as { id: number }[];
  return {
    jobs,
    card: {
      format: "zorbek-customer",
      version: 1,
      name: customer.name,
      phone: customer.phone,
      email: customer.email,
      address: customer.address,
      note: customer.note,
      discount: customer.discountClass,
      reels: reels.map(({ id: reelId, ...reel }) => ({ ...reel, beforeThisBook: listPastVisits(db, reelId) })),
      visits: jobs.map((job) => ({
        tag: job.tag,
        reel: job.reel.modelName,
        serial: job.reel.serial,
        openedAt: job.openedAt,
        closedAt: job.closedAt,
        complaint: job.complaint,
        totalMinor: job.finalTotalMinor,
        currency: job.currency,
        answers: db.prepare("SELECT accepted, total_minor AS totalMinor, words, at FROM answer WHERE job_id = ? ORDER BY id").all(job.id),
        handedBack: db
          .prepare("SELECT signed_by AS collectedBy, paid_by AS paidBy, paid_note AS paidNote, old_parts AS oldParts FROM job WHERE id = ?")
          .get(job.id),
      })),
      journal: listJournalSentencesOf(db, id).map(({ at, tag, sentence }) => ({ at, tag, sentence })),
    },
  };
}
