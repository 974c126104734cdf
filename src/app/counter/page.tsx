import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { getShopSettings } from "@/data/shop/settings";
import { IntakeSheet } from "@/ui/counter/intake-sheet";
import { dateWords } from "@/ui/dates";
import { takeIn } from "./actions";

export const metadata = { title: "Counter" };

export default async function CounterPage() {
  const db = await readPage("customers");
  const day = today();
  return (
    <IntakeSheet
      currency={getShopSettings(db).currency}
      today={dateWords(day)}
      promise={DateTime.fromISO(day).plus({ days: 7 }).toISODate()!}
      takeIn={takeIn}
    />
  );
}
