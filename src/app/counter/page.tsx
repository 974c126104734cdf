import { DateTime } from "luxon";
import { listCustomers } from "@/data/customers";
import { listModels } from "@/data/models";
import { getShopSettings } from "@/data/settings";
import { getDb, today } from "../server";
import { takeIn } from "./actions";
import { IntakeSheet } from "./intake-sheet";

export const metadata = { title: "Counter" };

export default async function CounterPage() {
  const db = getDb();
  const day = today();
  return (
    <IntakeSheet
      customers={listCustomers(db).map(({ id, name, phone }) => ({ id, name, phone }))}
      models={listModels(db).map((model) => ({ id: model.id, name: `${model.maker} ${model.name}` }))}
      currency={getShopSettings(db).currency}
      today={day}
      promise={DateTime.fromISO(day).plus({ days: 7 }).toISODate()!}
      takeIn={takeIn}
    />
  );
}
