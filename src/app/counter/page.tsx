import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { listModels } from "@/data/catalogue/models";
import { glanceAtCustomers, listCustomers } from "@/data/customers/customers";
import { getShopSettings } from "@/data/shop/settings";
import { IntakeSheet } from "@/ui/counter/intake-sheet";
import { dateWords } from "@/ui/dates";
import { takeIn } from "./actions";

export const metadata = { title: "Counter" };

export default async function CounterPage() {
  const db = await readPage("customers");
  const day = today();
  const glances = glanceAtCustomers(db);
  const glanceOf = (id: number): string => {
    const seen = glances.get(id);
    if (!seen) return "Nothing of theirs was here yet.";
    const plural = (n: number, word: string) => `${n} ${word}${n === 1 ? "" : "s"}`;
    return [
      `${plural(seen.reels, "reel")}, ${plural(seen.visits, "visit")}`,
      seen.lastOn && `last handed over ${dateWords(seen.lastOn)}`,
      seen.hanging && `${seen.hanging} hang${seen.hanging === 1 ? "s" : ""} here now`,
    ]
      .filter(Boolean)
      .join("; ");
  };
  return (
    <IntakeSheet
      customers={listCustomers(db).map(({ id, name, phone, discountClass }) => ({ id, name, phone, discountClass, glance: glanceOf(id) }))}
      models={listModels(db).map((model) => ({ id: model.id, name: `${model.maker} ${model.name}`, family: model.family }))}
      currency={getShopSettings(db).currency}
      today={day}
      promise={DateTime.fromISO(day).plus({ days: 7 }).toISODate()!}
      takeIn={takeIn}
    />
  );
}
