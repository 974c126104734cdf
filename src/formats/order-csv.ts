import type { OrderPaper } from "@/core/ordering/order-paper";
import { csvTable } from "./csv-table";

/** An order as a table. */
export const orderCsv = ({ id, placedOn, lines }: OrderPaper): string =>
  csvTable(
    ["order", "placed on", "number", "name", "packs", "pieces in a pack", "price of a pack"],
    lines.map(({ number, name, packs, pack, priceMinor }) => [id, placedOn, number, name, packs, pack, (priceMinor / 100).toFixed(2)]),
  );
