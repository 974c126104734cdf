import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { shopAt } from "@/core/shop/settings";
import { broughtWith } from "@/core/vocabulary/counter-lists";
import { findLot } from "@/data/counter/lots";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { labelSheetPdf } from "@/formats/label-pdf";
import { dayWords } from "@/ui/dates";

/** The claim tags of a whole lot, ten to an A4 sheet. */
export const GET = readFile("jobs", async (db, { id }: { id: string }) => {
  const lot = findLot(db, Number(id));
  if (!lot) return new Response("There is no such lot.", { status: 404 });
  const settings = getShopSettings(db);
  const { shopName } = settings;
  const bytes = await labelSheetPdf(
    listJobsOfLot(db, lot.id).map((job) => ({
      tag: job.tag,
      shopName,
      shopAt: shopAt(settings),
      owner: job.customer.name,
      // The mark first: it tells the sisters apart when the line is too long.
      reel: job.mark ? `${job.mark}: ${job.reel.modelName}` : job.reel.modelName,
      promised: dayWords(job.promisedOn),
      cameWith: job.brought.map((item) => broughtWith[item.item]),
    })),
  );
  return pdfResponse(bytes, `lot-${lot.id}-tags.pdf`);
});
