import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { shopAt } from "@/core/shop/settings";
import { listInvited } from "@/data/season/season";
import { getShopSettings } from "@/data/shop/settings";
import { invitationPdf } from "@/formats/invitation-pdf";
import { dateWords } from "@/ui/dates";

/** The letters of one batch, by the instant they were made. */
export const GET = readFile("customers", async (db, _: object, request) => {
  const letters = listInvited(db, new URL(request.url).searchParams.get("batch") ?? "");
  if (!letters.length) return new Response("There are no letters of that moment. Make them at Season.", { status: 404 });
  const settings = getShopSettings(db);
  const { shopName } = settings;
  const pages = letters.map(({ owner, address, week, due, reels }) => ({
    shopName,
    shopAt: shopAt(settings),
    owner,
    address,
    reels,
    week: dateWords(week),
    due: dateWords(due),
  }));
  return pdfResponse(await invitationPdf(pages), "before-the-season.pdf");
});
