import { formatMinor } from "@/core/money/money";

/** An order as its supplier gets it. */
export interface OrderPaper {
  readonly id: number;
  readonly supplier: string;
  /** ISO days. */
  readonly placedOn: string;
  readonly expectedOn: string;
  readonly lines: readonly {
    readonly number: string;
    readonly name: string;
    readonly packs: number;
    readonly pack: number;
    /** Of a pack. */
    readonly priceMinor: number;
  }[];
}

export const sumOfOrder = ({ lines }: OrderPaper): number => lines.reduce((sum, { packs, priceMinor }) => sum + packs * priceMinor, 0);

/** The order in plain words, for mail. */
export const orderText = (shopName: string, paper: OrderPaper): string =>
  [
    `Order ${paper.id} of ${paper.placedOn}`,
    "",
    ...paper.lines.map(
      ({ number, name, packs, pack, priceMinor }) =>
        `${packs} x ${number}  ${name}${pack > 1 ? ` (pack of ${pack})` : ""}, ${formatMinor(priceMinor)} each`,
    ),
    "",
    `Together ${formatMinor(sumOfOrder(paper))}, post apart. Wanted by ${paper.expectedOn}. Please confirm.`,
    "",
    shopName,
  ].join("\n");
