import { readPage } from "@/app/server/reading";
import { getShopSettings } from "@/data/shop/settings";
import { listOpenNeeds, listOrders } from "@/data/stores/orders";
import { dayWords } from "@/ui/dates";
import { StoresSheet } from "@/ui/stores/stores-sheet";
import { placeSupplierOrder, receiveLine, withdrawOpenNeed } from "./actions";

export const metadata = { title: "Stores" };

export default async function StoresPage() {
  const db = await readPage("stores");
  return (
    <StoresSheet
      needs={listOpenNeeds(db)}
      orders={listOrders(db, 12).map((order) => ({ ...order, expected: dayWords(order.expectedOn) }))}
      currency={getShopSettings(db).currency}
      place={placeSupplierOrder}
      receive={receiveLine}
      withdraw={withdrawOpenNeed}
    />
  );
}
