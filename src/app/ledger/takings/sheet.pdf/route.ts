import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { takingsByWay } from "@/core/papers/takings";
import { closedDay, listTakings } from "@/data/papers/takings";
import { getShopSettings } from "@/data/shop/settings";
import { takingsPdf } from "@/formats/takings-pdf";
import { dateWords } from "@/ui/dates";

/** The takings of a day on paper, for the till. */
export const GET = readFile("ledger", async (db, _: object, request) => {
  const day = /^\d{4}-\d{2}-\d{2}$/.exec(new URL(request.url).searchParams.get("day") ?? "")?.[0] ?? "";
  if (!day) return new Response("Choose a day.", { status: 400 });
  const takings = listTakings(db, day);
  const closed = closedDay(db, day);
  const { shopName, currency } = getShopSettings(db);
  return pdfResponse(
    await takingsPdf({
      shopName,
      currency,
      day: dateWords(day),
      takings,
      sums: closed?.sums ?? takingsByWay(takings),
      closed: closed ? `Closed ${dateWords(closed.at)} by ${closed.person}.` : "Not closed yet.",
    }),
    `takings-${day}.pdf`,
  );
});
