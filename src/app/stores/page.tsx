import { listDonorPieces } from "@/data/donors";
import { listNeeds, listOffers, listOrders } from "@/data/orders";
import { getShopSettings } from "@/data/settings";
import { listStock } from "@/data/stock";
import { dayWords } from "@/ui/dates";
import { StoresSheet } from "@/ui/stores/stores-sheet";
import { getDb } from "../server";
import { countStock, placeSupplierOrder, receiveLine, withdrawOpenNeed } from "./actions";

export const metadata = { title: "Stores" };

export default async function StoresPage({ searchParams }: { searchParams: Promise<{ part?: string }> }) {
  const db = getDb();
  const { part } = await searchParams;
  return (
    <StoresSheet
      needs={listNeeds(db, { states: ["open"] }).map((need) => ({ ...need, offers: listOffers(db, need.partTypeId) }))}
      orders={listOrders(db, 12).map((order) => ({ ...order, expected: dayWords(order.expectedOn) }))}
      stock={listStock(db)}
      donors={listDonorPieces(db)}
      currency={getShopSettings(db).currency}
      highlight={part ?? null}
      place={placeSupplierOrder}
      receive={receiveLine}
      withdraw={withdrawOpenNeed}
      count={countStock}
    />
  );
}
