import { shopAt } from "@/core/shop/settings";
import { findAsking } from "@/data/asking/asking";
import { findCustomer } from "@/data/customers/customers";
import type { Db } from "@/data/database/database";
import { findJob } from "@/data/jobs/jobs";
import { sendWaitingMail } from "@/data/messages/outbox";
import { getShopSettings } from "@/data/shop/settings";
import { paperOf } from "@/data/stores/orders";
import { mailDesk } from "@/devices/mail-desk";
import { askingPdf } from "@/formats/asking-pdf";
import { orderCsv } from "@/formats/order-csv";
import { orderPdf } from "@/formats/order-pdf";
import { dateWords } from "@/ui/dates";

/** A quote's letter as it goes with its mail. */
async function letterOf(db: Db, id: number) {
  const letter = findAsking(db, id);
  const job = letter && findJob(db, letter.jobId);
  if (!letter || !job) return [];
  const content = await askingPdf({
    shopName: getShopSettings(db).shopName,
    shopAt: shopAt(getShopSettings(db)),
    tag: job.tag,
    owner: job.customer.name,
    address: findCustomer(db, job.customer.id)?.address ?? "",
    reel: job.reel.modelName,
    asked: letter.asked,
    until: dateWords(letter.expiresAt),
    // The mail itself says the link; its token is kept nowhere to be printed again.
    link: null,
  });
  return [{ filename: `quote-${job.tag}.pdf`, content, contentType: "application/pdf" }];
}

async function orderPapers(db: Db, id: number) {
  const paper = paperOf(db, id);
  if (!paper) return [];
  const settings = getShopSettings(db);
  const { shopName, currency } = settings;
  return [
    { filename: `order-${id}.pdf`, content: await orderPdf(shopName, shopAt(settings), currency, paper), contentType: "application/pdf" },
    { filename: `order-${id}.csv`, content: Buffer.from(orderCsv(paper)), contentType: "text/csv" },
  ];
}

/** The desk mail goes by in this shop; null where it goes nowhere. */
export const deskOf = (db: Db) => mailDesk(getShopSettings(db).simulated);

/** Sends the mail that waits, each with its papers; where no desk takes it nothing is sent, and nothing said to be. */
export async function sendMailOf(db: Db): Promise<void> {
  const desk = deskOf(db);
  if (!desk) return;
  await sendWaitingMail(db, desk, process.env.ZORBEK_MAIL_FROM ?? "bench@zorbek.invalid", (kind, ref) =>
    kind === "quote" ? letterOf(db, ref) : orderPapers(db, ref),
  );
}
