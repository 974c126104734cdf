import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { shopAt } from "@/core/shop/settings";
import { getShopSettings } from "@/data/shop/settings";
import { paperOf } from "@/data/stores/orders";
import { orderPdf } from "@/formats/order-pdf";

/** An order on paper. */
export const GET = readFile("stores", async (db, { id }: { id: string }) => {
  const paper = paperOf(db, Number(id));
  if (!paper) return new Response("There is no such order.", { status: 404 });
  const settings = getShopSettings(db);
  const { shopName, currency } = settings;
  return pdfResponse(await orderPdf(shopName, shopAt(settings), currency, paper), `order-${paper.id}.pdf`);
});
