import { describe, expect, it } from "vitest";
import { givenAt, keptDry, reachedFor } from "./given";
import type { LubricantAdvice } from "./lubricant-for";
import { isReelProduct } from "./products";

const advice = (product: LubricantAdvice["product"], drops?: number): LubricantAdvice => ({
  product,
  amount: "some",
  why: "",
  ruledBy: "model",
  overruled: "",
  ...(drops ? { drops } : {}),
});

describe("what went on a part", () => {
  it("is what the rule says where nobody said otherwise: drops of what runs, none of a grease, nothing of a thread-lock", () => {
    expect(givenAt(advice("light oil", 2), null)).toEqual({ product: "light oil", amount: "some", drops: 2 });
    expect(givenAt(advice("drag grease"), null)).toMatchObject({ drops: 0 });
    expect(givenAt(advice("thread-lock"), null)).toBeNull();
    expect(givenAt(null, null)).toBeNull();
  });

  it("is the product somebody took, in its own words, as many drops as the place gets; how much of it nobody said", () => {
    expect(givenAt(advice("light oil", 2), "sewing oil")).toEqual({ product: "sewing oil", amount: "", drops: 2 });
    expect(givenAt(advice("light oil", 2), "petroleum jelly")).toMatchObject({ drops: 0 });
    expect(givenAt(null, "medium oil")).toMatchObject({ product: "medium oil", drops: 1 });
  });

  it("is nothing where it was left dry, which is told only where the rule gives something", () => {
    expect(givenAt(advice("light oil"), "nothing")).toBeNull();
    expect(keptDry(advice("light oil"), "nothing")).toBe(true);
    expect(keptDry(advice("nothing"), "nothing")).toBe(false);
    expect(keptDry(null, "nothing")).toBe(false);
    expect(keptDry(advice("light oil"), null)).toBe(false);
    expect(keptDry(advice("light oil"), "medium oil")).toBe(false);
  });

  it("offers no product for reels among what benches wrongly reach for", () => {
    expect(reachedFor.filter(isReelProduct)).toEqual([]);
  });
});
