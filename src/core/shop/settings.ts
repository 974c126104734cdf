import { z } from "zod";
import { payWithinDays } from "@/core/papers/papers";
import { defaultDiscounts, discountsSchema } from "@/core/quote/discounts";
import { noPrices, priceListSchema } from "@/core/quote/price-list";
import { forceUnitIds } from "@/core/units/say-measure";
import { localeIds } from "@/core/vocabulary/locales";
import { usualWays, type Ways, waysSchema } from "@/core/ways/ways";

/** The shop's rules, as an owner sets them. */
export const shopSettingsSchema = z.object({
  shopName: z.string().trim().min(1, "Enter a shop name. It is printed on every tag.").max(60),
  /** Street and place, with commas where lines end; it stands on tags, letters and invoices. */
  address: z.string().trim().max(200, "At most 200 characters."),
  phone: z.string().trim().max(40, "At most 40 characters."),
  /** What an invoice says of the shop: its number at the tax office, where to pay to, and on which terms. */
  taxNumber: z.string().trim().max(40, "At most 40 characters."),
  bank: z.string().trim().max(120, "At most 120 characters."),
  terms: z.string().trim().max(300, "At most 300 characters."),
  /** What a customer agrees to when a reel is left: printed on the receipt, signed there or ticked at the counter. */
  counterTerms: z.string().trim().max(1500, "At most 1,500 characters."),
  /** What a week in the shop costs from the third reminder on, before tax; 0 for nothing. And what becomes of a reel that is never fetched. */
  storagePerWeekMinor: z.number().int().min(0).max(100_000),
  neverFetched: z.string().trim().max(300, "At most 300 characters."),
  /** Months our own work is warranted; 0 for none. */
  warrantyMonths: z.number().int().min(0).max(60),
  /** Days within which an invoice is to be paid. */
  payWithinDays: z.number().int().min(0).max(120),
  ratePerHourMinor: z.number().int().min(0).max(1_000_000),
  taxBasisPoints: z.number().int().min(0).max(10_000),
  currency: z.string().regex(/^[A-Z]{3}$/, "Three capital letters, such as EUR (ISO 4217)."),
  benchHoursPerDay: z.number().min(0.5, "At least half an hour a day.").max(16, "At most 16 hours a day."),
  /** Days of the week the bench works, 1 Monday to 7 Sunday. */
  openOn: z.array(z.number().int().min(1).max(7)).min(1, "At least one day of the week."),
  /** The chance for which a day is promised. */
  promiseChance: z.number().min(0.5).max(0.95),
  /** How dates are written. */
  locale: z.enum(localeIds),
  dragWay: z.enum(["greased", "dry"]),
  footSwitchKey: z.string().min(1).max(20),
  shortcuts: z.boolean(),
  /** What pulls are shown in; every field takes the others as well. */
  shownForce: z.enum(forceUnitIds),
  /** Stand-ins for instruments, order desk and mail: off until somebody wants to try them, so that nothing invented gets into a customer's job. */
  simulated: z.boolean(),
  /** For how many years after it an invoice keeps a name: local law says. */
  invoiceYears: z.number().int().min(0).max(30),
  /** A second place for the daily copies, such as a stick; empty for none. */
  backupTo: z.string().trim().max(300, "At most 300 characters."),
  discounts: discountsSchema,
  prices: priceListSchema,
  /** The shop's way with oil and grease; its drag stands by itself above. */
  ways: waysSchema.omit({ drag: true }),
});
export type ShopSettings = z.infer<typeof shopSettingsSchema>;

export const defaultShopSettings: ShopSettings = {
  shopName: "The bench",
  address: "",
  phone: "",
  taxNumber: "",
  bank: "",
  terms: "",
  counterTerms: "",
  storagePerWeekMinor: 0,
  neverFetched: "",
  warrantyMonths: 0,
  payWithinDays,
  ratePerHourMinor: 4500,
  taxBasisPoints: 2000,
  currency: "EUR",
  benchHoursPerDay: 6,
  openOn: [1, 2, 3, 4, 5, 6, 7],
  promiseChance: 0.8,
  locale: "en-GB",
  dragWay: "greased",
  footSwitchKey: "PageDown",
  shortcuts: true,
  shownForce: "N",
  simulated: false,
  invoiceYears: 10,
  backupTo: "",
  discounts: defaultDiscounts,
  prices: noPrices,
  ways: waysSchema.omit({ drag: true }).parse(usualWays),
};

/** What somebody saw of the settings, to be told when they were changed since. */
export const seenSettings = (settings: ShopSettings): string => JSON.stringify(settings);

/** Where the shop is, in one line: address and phone; empty where neither was written. */
export const shopAt = ({ address, phone }: Pick<ShopSettings, "address" | "phone">): string => [address, phone].filter(Boolean).join(", ");

/** The shop's way in every way. */
export const waysOfShop = ({ ways, dragWay }: ShopSettings): Ways => ({ ...ways, drag: dragWay });
