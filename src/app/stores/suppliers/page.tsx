import { readPage } from "@/app/server/reading";
import { listSuppliers } from "@/data/parts/suppliers";
import { getShopSettings } from "@/data/shop/settings";
import { SuppliersSheet } from "@/ui/stores/suppliers-sheet";
import { addNewSupplier, retireSupplierCard, saveSupplier } from "../actions";

export const metadata = { title: "Suppliers" };

export default async function SuppliersPage() {
  const db = await readPage("stores");
  return (
    <SuppliersSheet
      suppliers={listSuppliers(db)}
      currency={getShopSettings(db).currency}
      add={addNewSupplier}
      save={saveSupplier}
      retire={retireSupplierCard}
    />
  );
}
