"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedAmount, typedNumber, typedPercent } from "@/core/acts/typed";
import { shopSettingsSchema } from "@/core/shop/settings";
import { foundShop } from "@/data/shop/first-run";
import type { Press } from "@/ui/act/press";

const found = defineAction({
  name: "found-shop",
  permission: "shop",
  input: shopSettingsSchema.pick({ shopName: true, currency: true, openOn: true, locale: true }).extend({
    ratePerHourMinor: typedAmount("An amount such as 45 or 45.50."),
    taxBasisPoints: typedPercent(),
    benchHoursPerDay: typedNumber("Hours such as 6 or 5.5, up to 16.", { min: 0.5, max: 16 }),
    passphrase: z.string().max(500),
    personName: z.string().trim().min(1, "Write a name: it stands beside everything you do.").max(80, "At most 80 letters."),
  }),
  run: (ctx, input) => foundShop(ctx, input),
});
export async function beginShop(press: Press) {
  return found(press);
}
