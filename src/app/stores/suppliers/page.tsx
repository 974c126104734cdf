import { readPage } from "@/app/server/reading";
import { listSuppliers } from "@/data/parts/suppliers";
import { getShopSettings } from "@/data/shop/settings";
import { leadTimesOf, mistakesOf } from "@/data/stores/experience";
import { getOrderRules } from "@/data/stores/order-rules";
import { SuppliersSheet } from "@/ui/stores/suppliers-sheet";

export const metadata = { title: "Suppliers" };

export default async function SuppliersPage() {
  const db = await readPage("stores");
  const suppliers = listSuppliers(db);
  const mistakes = mistakesOf(db);
  const leads = leadTimesOf(db, suppliers, getOrderRules(db).leadChance / 100);
  return (
    <SuppliersSheet
      suppliers={suppliers.map((one) => ({ ...one, learned: leads.get(one.id)!, mistakes: mistakes.get(one.id)! }))}
      currency={getShopSettings(db).currency}
      simulated={getShopSettings(db).simulated}
      rules={getOrderRules(db)}
    />
  );
}
