import { z } from "zod";
import type { BasisPoints } from "@/core/money/money";

/** Who pays less. How much is the shop's own rule. */
export const discountClasses = { none: "no discount", club: "club member", trade: "trade", friend: "friends and family" } as const;
export type DiscountClass = keyof typeof discountClasses;
export const discountClassIds = Object.keys(discountClasses) as [DiscountClass, ...DiscountClass[]];

const share = z.number().int().min(0).max(10_000, "A discount is at most the whole price.");
/** Basis points off work and parts, before tax. */
export const discountsSchema = z.object({ club: share, trade: share, friend: share });
export type Discounts = z.infer<typeof discountsSchema>;
export const defaultDiscounts: Discounts = { club: 500, trade: 1500, friend: 2500 };

export const discountOf = (discounts: Discounts, who: DiscountClass): BasisPoints => (who === "none" ? 0 : discounts[who]);
