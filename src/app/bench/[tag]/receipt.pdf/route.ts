import { jobFile, pdfResponse } from "@/app/server/files";
import { asFoundWords } from "@/core/intake/marks";
import { reportedWords } from "@/core/intake/reported";
import { formatMinor } from "@/core/money/money";
import { termsWords } from "@/core/shop/duties";
import { shopAt } from "@/core/shop/settings";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { jobKinds } from "@/core/vocabulary/job-kinds";
import { getShopSettings } from "@/data/shop/settings";
import { receiptPdf } from "@/formats/receipt-pdf";
import { dateWords, dayWords } from "@/ui/dates";

/** What the customer takes home: what was agreed and how the reel came. */
export const GET = jobFile(async (db, job) => {
  const settings = getShopSettings(db);
  const bytes = await receiptPdf({
    tag: job.tag,
    shopName: getShopSettings(db).shopName,
    shopAt: shopAt(getShopSettings(db)),
    owner: job.customer.name,
    reel: job.reel.serial ? `${job.reel.modelName}, serial ${job.reel.serial}` : `${job.reel.modelName}, no serial`,
    takenIn: dateWords(job.openedAt),
    promised: dayWords(job.promisedOn),
    comesFor: jobKinds[job.kind],
    complaint: reportedWords(job),
    asFound: asFoundWords(job.intake),
    cameWith: job.brought.map((item) => broughtWith[item.item]),
    currency: job.currency,
    limitMinor: job.limitMinor,
    callFor: job.intake.callFor ?? "",
    partsLimitMinor: job.intake.partsLimitMinor ?? null,
    discountPercent: (job.rates.discount ?? 0) / 100,
    depositMinor: job.depositMinor,
    terms: termsWords(settings, `${formatMinor(settings.storagePerWeekMinor)} ${settings.currency}`),
    termsAgreed: job.intake.termsAgreed ?? false,
  });
  return pdfResponse(bytes, `receipt-${job.tag}.pdf`);
});
