import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { openDayFrom } from "@/core/schedule/opening";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";
import { IntakeSheet } from "@/ui/counter/intake-sheet";
import { dateWords } from "@/ui/dates";

export const metadata = { title: "Counter" };

export default async function CounterPage() {
  const db = await readPage("customers");
  const day = today();
  const opening = openingOf(db, day);
  return (
    <IntakeSheet
      currency={getShopSettings(db).currency}
      terms={getShopSettings(db).counterTerms}
      today={dateWords(day)}
      promise={openDayFrom(opening, DateTime.fromISO(day).plus({ days: 7 }).toISODate()!)}
      opening={opening}
    />
  );
}
