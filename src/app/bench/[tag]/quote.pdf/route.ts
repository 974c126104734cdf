import { pdfResponse } from "@/app/server/files";
import { linkOf } from "@/app/server/public-address";
import { readFile } from "@/app/server/reading";
import { shopAt } from "@/core/shop/settings";
import { isTokenOf, openAskingOf } from "@/data/asking/asking";
import { findCustomer } from "@/data/customers/customers";
import { findJobByTag } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { askingPdf } from "@/formats/asking-pdf";
import { dateWords } from "@/ui/dates";

/** The letter that holds for a job now; with its link where whoever asks for it knows it, and the shop can be reached from outside. */
export const GET = readFile("jobs", async (db, { tag }: { tag: string }, request) => {
  const found = findJobByTag(db, tag);
  const asking = "job" in found ? openAskingOf(db, found.job.id, new Date().toISOString()) : null;
  if (!("job" in found) || !asking) return new Response("This job has no valid letter. Create one at Quote.", { status: 404 });
  const { job } = found;
  const token = new URL(request.url).searchParams.get("link") ?? "";
  const bytes = await askingPdf({
    shopName: getShopSettings(db).shopName,
    shopAt: shopAt(getShopSettings(db)),
    address: findCustomer(db, job.customer.id)?.address ?? "",
    tag: job.tag,
    owner: job.customer.name,
    reel: job.reel.modelName,
    asked: asking.asked,
    until: dateWords(asking.expiresAt),
    link: token && isTokenOf(db, token, job.id) ? linkOf(token) : null,
  });
  return pdfResponse(bytes, `quote-${job.tag}.pdf`);
});
