import { jobFile, pdfResponse } from "@/app/server/files";
import { shopAt } from "@/core/shop/settings";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { getShopSettings } from "@/data/shop/settings";
import { labelPdf } from "@/formats/label-pdf";
import { dayWords } from "@/ui/dates";

/** The claim tag. */
export const GET = jobFile(async (db, job) => {
  const bytes = await labelPdf({
    tag: job.tag,
    shopName: getShopSettings(db).shopName,
    shopAt: shopAt(getShopSettings(db)),
    owner: job.customer.name,
    reel: job.mark ? `${job.mark}: ${job.reel.modelName}` : job.reel.modelName,
    promised: dayWords(job.promisedOn),
    cameWith: job.brought.map((item) => broughtWith[item.item]),
  });
  return pdfResponse(bytes, `tag-${job.tag}.pdf`);
});
