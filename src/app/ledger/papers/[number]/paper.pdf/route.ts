import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { paperName } from "@/core/papers/papers";
import { balanceOfPaper, findPaper, paymentsOf } from "@/data/papers/papers";
import { getShopSettings } from "@/data/shop/settings";
import { paperPdf } from "@/formats/paper-pdf";
import { dateWords } from "@/ui/dates";

/** An invoice or a credit note, to print. */
export const GET = readFile("ledger", async (db, { number }: { number: string }) => {
  const paper = /^\d{1,9}$/.test(number) ? findPaper(db, Number(number)) : null;
  if (!paper) return new Response("There is no invoice with this number.", { status: 404 });
  // A paper says who made it out as it was then; one from before shops had an address says it as it is.
  const { shopName, address, phone, taxNumber, bank, terms } = getShopSettings(db);
  const shop = paper.shop ?? { name: shopName, address, phone, taxNumber, bank, terms };
  const bytes = await paperPdf({
    ...paper,
    shopName: shop.name,
    shop,
    suppliedOn: dateWords(paper.suppliedOn ?? paper.onDay),
    name: paper.name ?? "",
    onDay: dateWords(paper.onDay),
    dueOn: dateWords(paper.dueOn),
    payments: paymentsOf(db, paper.number).map((payment) => ({ ...payment, onDay: dateWords(payment.onDay) })),
    openMinor: balanceOfPaper(db, paper).openMinor,
  });
  return pdfResponse(bytes, `${paperName(paper.kind, paper.number).replace(" ", "-")}.pdf`);
});
