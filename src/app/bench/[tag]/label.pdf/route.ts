import { broughtWith } from "@/core/intake/lists";
import { findJobByTag } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { labelPdf } from "@/formats/label-pdf";
import { dayWords } from "@/ui/dates";
import { getDb } from "../../../server";
import { pdfResponse } from "../pdf-response";

export async function GET(_request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const db = getDb();
  const found = findJobByTag(db, (await params).tag);
  if (!("job" in found)) return new Response(found.message, { status: 404 });
  const { job } = found;
  const bytes = await labelPdf({
    tag: job.tag,
    shopName: getShopSettings(db).shopName,
    owner: job.customer.name,
    reel: job.mark ? `${job.mark}: ${job.reel.modelName}` : job.reel.modelName,
    promised: dayWords(job.promisedOn),
    cameWith: job.brought.map((item) => broughtWith[item.item]),
  });
  return pdfResponse(bytes, `tag-${job.tag}.pdf`);
}
