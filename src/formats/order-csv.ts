import Papa from "papaparse";
import type { OrderPaper } from "@/core/ordering/order-paper";

/** An order as a table (RFC 4180); cells that a spreadsheet would run are kept from it. */
export const orderCsv = ({ id, placedOn, lines }: OrderPaper): string =>
  `${Papa.unparse(
    {
      fields: ["order", "placed on", "number", "name", "packs", "pieces in a pack", "price of a pack"],
      data: lines.map(({ number, name, packs, pack, priceMinor }) => [
        id,
        placedOn,
        number,
        name,
        packs,
        pack,
        (priceMinor / 100).toFixed(2),
      ]),
    },
    { escapeFormulae: true, newline: "\r\n" },
  )}\r\n`;
