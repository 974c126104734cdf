import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount, typedMaybeAmount, typedNumber, typedPercent } from "@/core/acts/act/typed";
import { pricedServiceIds } from "@/core/quote/price-list";
import { shopSettingsSchema } from "@/core/shop/settings";
import { familyIds } from "@/core/vocabulary/families";
import { discount } from "./inputs";

export const saveSettings = defineAct({
  name: "save-settings",
  permission: "shop",
  input: shopSettingsSchema.extend({
    seen: z.string().max(20_000),
    ratePerHourMinor: typedAmount("An amount such as 45 or 45.50."),
    taxBasisPoints: typedPercent(),
    benchHoursPerDay: typedNumber("Hours such as 6 or 5.5, up to 16.", { min: 0.5, max: 16 }),
    promiseChance: z.coerce.number().min(0.5).max(0.95),
    payWithinDays: typedNumber("Whole days such as 14, or 0 for at once.", { min: 0, max: 120, whole: true }),
    storagePerWeekMinor: typedAmount("An amount such as 5, or 0."),
    warrantyMonths: typedNumber("Whole months such as 6, or 0.", { min: 0, max: 60, whole: true }),
    invoiceYears: typedNumber("Whole years such as 10, or 0.", { min: 0, max: 30, whole: true }),
    discounts: z.object({ club: discount, trade: discount, friend: discount }),
    prices: z.object({
      fixed: z.partialRecord(z.enum(familyIds), z.partialRecord(z.enum(pricedServiceIds), typedMaybeAmount())),
      smallestMinor: typedAmount("An amount such as 15, or 0."),
      consumablesMinor: typedAmount("An amount such as 3.50, or 0."),
      measured: z.boolean().default(false),
    }),
  }),
  journals: ["shop-settings-saved"],
});
