import { DateTime } from "luxon";
import { listModels } from "@/data/catalogue/models";
import { listCustomers } from "@/data/customers/customers";
import { getShopSettings } from "@/data/shop/settings";
import { LotIntakeSheet } from "@/ui/counter/lot-intake-sheet";
import { getDb, today } from "../../server";
import { takeLotIn } from "./actions";

export const metadata = { title: "A lot at the counter" };

export default function LotIntakePage() {
  const db = getDb();
  return (
    <LotIntakeSheet
      customers={Object.fromEntries(listCustomers(db).map(({ id, name }) => [String(id), name]))}
      models={Object.fromEntries(listModels(db).map(({ id, maker, name }) => [id, `${maker} ${name}`]))}
      currency={getShopSettings(db).currency}
      promise={DateTime.fromISO(today()).plus({ days: 21 }).toISODate()!}
      takeIn={takeLotIn}
    />
  );
}
