import type { LubricantAdvice } from "./lubricant-for";
import { classOfProduct, readProductClass } from "./products";

/** What did go on a part. */
export interface Given {
  readonly product: string;
  /** Empty where somebody took another product: how much of it nobody said. */
  readonly amount: string;
  /** 0 of a grease. */
  readonly drops: number;
}

/**
 * What went on a part: what the rule says, or the product somebody took in its place; null where it stayed dry. Thread-lock goes only where it was:
 * that a screw went in does not say so. @param instead in any words, "nothing" for dry; null where nobody said otherwise.
 */
export function givenAt(advice: LubricantAdvice | null, instead: string | null): Given | null {
  if (instead !== null) {
    const kind = readProductClass(instead);
    return kind === "nothing" ? null : { product: instead, amount: "", drops: kind === "grease" ? 0 : (advice?.drops ?? 1) };
  }
  if (!advice || advice.product === "nothing" || classOfProduct(advice.product) === "lock") return null;
  return {
    product: advice.product,
    amount: advice.amount,
    drops: classOfProduct(advice.product) === "grease" ? 0 : (advice.drops ?? 1),
  };
}

/** It was left dry on purpose though the rule gives it something. */
export const keptDry = (advice: LubricantAdvice | null, instead: string | null): boolean =>
  instead !== null && readProductClass(instead) === "nothing" && givenAt(advice, null) !== null;

/** What is offered in place of the rule's product beside those made for reels: what benches are known to reach for. Source: common practice. */
export const reachedFor = ["petroleum jelly", "car grease", "household oil"] as const;
