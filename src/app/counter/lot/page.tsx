import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { getShopSettings } from "@/data/shop/settings";
import { LotIntakeSheet } from "@/ui/counter/lot-intake-sheet";
import { takeLotIn } from "./actions";

export const metadata = { title: "A lot at the counter" };

export default async function LotIntakePage() {
  const db = await readPage("customers");
  return (
    <LotIntakeSheet
      currency={getShopSettings(db).currency}
      promise={DateTime.fromISO(today()).plus({ days: 21 }).toISODate()!}
      takeIn={takeLotIn}
    />
  );
}
