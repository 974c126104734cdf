import { formatMinor } from "@/core/money/money";
import { type OrderPaper, sumOfOrder } from "@/core/ordering/order-paper";
import { makePdf } from "./pdf";
import { flowOf } from "./pdf-flow";

/** An order on paper. */
export const orderPdf = (shopName: string, shopAt: string, currency: string, paper: OrderPaper): Promise<Buffer> =>
  makePdf({ widthMm: 210, heightMm: 297, title: `Order ${paper.id}` }, (doc) => {
    const flow = flowOf(doc, { widthMm: 210, heightMm: 297, marginMm: 18 });
    flow.line("bold", 22, `Order ${paper.id}`);
    flow.line("sans", 12, `${shopName} to ${paper.supplier}, ${paper.placedOn}`);
    if (shopAt) flow.line("sans", 12, `Deliver to: ${shopName}, ${shopAt}`);
    flow.line("sans", 12, `Wanted by ${paper.expectedOn}. Please confirm.`);
    flow.heading(`Lines, ${currency}`);
    for (const { number, name, packs, pack, priceMinor } of paper.lines)
      flow.amount(`${packs} x ${number}  ${name}${pack > 1 ? ` (pack of ${pack})` : ""}`, formatMinor(packs * priceMinor));
    flow.amount("Together, post apart", formatMinor(sumOfOrder(paper)), 13);
  });
