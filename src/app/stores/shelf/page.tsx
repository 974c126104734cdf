import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { consumables, weeksWords } from "@/core/ordering/consumables";
import { getShopSettings } from "@/data/shop/settings";
import { costPerService, listShelf } from "@/data/stores/consumables";
import { dateWords } from "@/ui/dates";
import { ShelfSheet } from "@/ui/stores/shelf-sheet";

export const metadata = { title: "Shelf" };

export default async function ShelfPage() {
  const db = await readPage("stores");
  const day = today();
  const cost = costPerService(db, day);
  return (
    <ShelfSheet
      shelf={listShelf(db, day).map(({ product, tin, perWeek, once, emptied }) => ({
        product,
        name: consumables[product].name,
        unit: consumables[product].unit,
        time: consumables[product].time,
        perWeek,
        once,
        emptied,
        tin: tin && {
          ...tin,
          opened: dateWords(tin.openedOn),
          useByWords: tin.useBy ? dateWords(tin.useBy) : null,
          lasts: weeksWords(tin.weeks),
        },
      }))}
      currency={getShopSettings(db).currency}
      costMinor={cost === null ? null : Math.round(cost)}
    />
  );
}
