import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount, typedNumber, typedPercent } from "@/core/acts/act/typed";
import { shopSettingsSchema } from "@/core/shop/settings";

export const foundShop = defineAct({
  name: "found-shop",
  permission: "shop",
  input: shopSettingsSchema.pick({ shopName: true, currency: true, openOn: true, locale: true }).extend({
    ratePerHourMinor: typedAmount("An amount such as 45 or 45.50."),
    taxBasisPoints: typedPercent(),
    benchHoursPerDay: typedNumber("Hours such as 6 or 5.5, up to 16.", { min: 0.5, max: 16 }),
    passphrase: z.string().max(500),
    personName: z.string().trim().min(1, "Enter your name. It is recorded with everything you do.").max(80, "At most 80 letters."),
  }),
  journals: ["shop-settings-saved"],
});
