import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { openDayFrom } from "@/core/schedule/opening";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";
import { LotIntakeSheet } from "@/ui/counter/lot-intake-sheet";

export const metadata = { title: "Lot at the counter" };

export default async function LotIntakePage() {
  const db = await readPage("customers");
  const opening = openingOf(db, today());
  return (
    <LotIntakeSheet
      currency={getShopSettings(db).currency}
      promise={openDayFrom(opening, DateTime.fromISO(today()).plus({ days: 21 }).toISODate()!)}
      opening={opening}
    />
  );
}
