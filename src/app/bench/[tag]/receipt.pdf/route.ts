import { jobKinds } from "@/core/intake/job-kinds";
import { broughtWith, complaints } from "@/core/intake/lists";
import { asFoundWords } from "@/core/intake/marks";
import { findJobByTag } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { receiptPdf } from "@/formats/receipt-pdf";
import { dateWords, dayWords } from "@/ui/dates";
import { getDb } from "../../../server";
import { pdfResponse } from "../pdf-response";

export async function GET(_request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const db = getDb();
  const found = findJobByTag(db, (await params).tag);
  if (!("job" in found)) return new Response(found.message, { status: 404 });
  const { job } = found;
  const bytes = await receiptPdf({
    tag: job.tag,
    shopName: getShopSettings(db).shopName,
    owner: job.customer.name,
    reel: job.reel.serial ? `${job.reel.modelName}, serial ${job.reel.serial}` : `${job.reel.modelName}, no serial`,
    takenIn: dateWords(job.openedAt),
    promised: dayWords(job.promisedOn),
    comesFor: jobKinds[job.kind],
    complaint: [...job.intake.complaints.map((id) => complaints[id]), job.complaint].filter(Boolean).join("; "),
    asFound: asFoundWords(job.intake),
    cameWith: job.brought.map((item) => broughtWith[item.item]),
    currency: job.currency,
    limitMinor: job.limitMinor,
    discountPercent: (job.rates.discount ?? 0) / 100,
    depositMinor: job.depositMinor,
  });
  return pdfResponse(bytes, `receipt-${job.tag}.pdf`);
}
