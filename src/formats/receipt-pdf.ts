import { formatMinor } from "@/core/money/money";
import { drawQr, makePdf, pointsPerMm as mm } from "./pdf";

/** What the customer takes home when the reel stays. */
export interface Receipt {
  readonly tag: string;
  readonly shopName: string;
  readonly shopAt?: string;
  readonly owner: string;
  readonly reel: string;
  readonly takenIn: string;
  readonly promised: string;
  readonly comesFor: string;
  readonly complaint: string;
  /** Marks as found, in words. */
  readonly asFound: string;
  readonly cameWith: readonly string[];
  readonly currency: string;
  /** Null: every quote is asked for. */
  readonly limitMinor: number | null;
  /** Parts the customer wants to be called for; empty for none. */
  readonly callFor: string;
  readonly partsLimitMinor: number | null;
  readonly discountPercent: number;
  readonly depositMinor: number;
  /** What the customer agrees to; empty where the shop has written nothing. */
  readonly terms: string;
  readonly termsAgreed: boolean;
}

const page = { width: 148, height: 210 } as const; // A5

/** The counter's receipt, A5: what was left here, in which state, for what, up to which sum and until when. */
export const receiptPdf = (receipt: Receipt): Promise<Buffer> =>
  makePdf({ widthMm: page.width, heightMm: page.height, title: `Receipt ${receipt.tag}` }, (doc) => {
    const [left, right] = [14 * mm, 134 * mm];
    let y = 14 * mm;
    const line = (font: "sans" | "bold" | "mono", size: number, words: string, width = right - left) => {
      doc.font(font).fontSize(size).text(words, left, y, { width });
      y += doc.heightOfString(words, { width }) + 2;
    };
    drawQr(doc, receipt.tag, right - 28 * mm, y - 4 * mm, 30 * mm);
    line("bold", 20, "Receipt", 84 * mm);
    line("sans", 11, receipt.shopName, 84 * mm);
    if (receipt.shopAt) line("sans", 9, receipt.shopAt, 84 * mm);
    line("mono", 15, receipt.tag, 84 * mm);
    y = Math.max(y, 42 * mm);
    line("bold", 13, receipt.owner);
    line("bold", 12, receipt.reel);
    line("sans", 11, `Received ${receipt.takenIn}, promised ${receipt.promised}.`);
    const { depositMinor, limitMinor, currency } = receipt;
    const rows: readonly (readonly [string, string])[] = [
      ["Job", receipt.comesFor],
      ["You reported", receipt.complaint || "nothing in particular"],
      ["As found", receipt.asFound || "no marks written down"],
      ["Accessories", receipt.cameWith.join(", ") || "none"],
      ["Spending limit", limitMinor === null ? "we ask before any work" : `${formatMinor(limitMinor)} ${currency}, tax included`],
      ...(receipt.partsLimitMinor === null
        ? []
        : ([["Of it for new parts", `${formatMinor(receipt.partsLimitMinor)} ${currency}, tax included`]] as const)),
      ...(receipt.callFor ? ([["We call before replacing", receipt.callFor]] as const) : []),
      ...(receipt.discountPercent ? ([["Discount", `${receipt.discountPercent} % off work and parts`]] as const) : []),
      ["Deposit paid", depositMinor ? `${formatMinor(depositMinor)} ${currency}` : "none"],
    ];
    for (const [label, words] of rows) {
      y += 2.5 * mm;
      doc
        .lineWidth(0.6)
        .moveTo(left, y - 1 * mm)
        .lineTo(right, y - 1 * mm)
        .stroke();
      line("sans", 9, label);
      line("bold", 12, words);
    }
    y += 4 * mm;
    if (receipt.terms) {
      line("sans", 8, receipt.terms);
      line("sans", 10, receipt.termsAgreed ? "Agreed at the counter." : "Agreed: ______________________________");
    }
    line("sans", 10, "Bring this receipt, or its number, when you collect the reel.");
  });
