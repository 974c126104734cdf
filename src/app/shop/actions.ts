"use server";
import { nanoid } from "nanoid";
import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { typedAmount, typedMaybeAmount, typedNumber, typedPercent } from "@/app/server/typed";
import { pricedServiceIds } from "@/core/quote/price-list";
import { familyIds } from "@/core/vocabulary/families";
import { addPerson, findPerson } from "@/data/shop/people";
import { saveShopSettings, shopSettingsSchema } from "@/data/shop/settings";
import { Refusal } from "@/data/store/context";
import { writeJournal } from "@/data/store/journal";
import { type Press, personCookie } from "@/ui/act/press";

const off = typedPercent("A percentage such as 10, or 0.");
const settings = defineAction({
  name: "save-settings",
  permission: "shop",
  input: shopSettingsSchema.extend({
    seen: z.string().max(20_000),
    ratePerHourMinor: typedAmount("An amount such as 45 or 45.50."),
    taxBasisPoints: typedPercent(),
    benchHoursPerDay: typedNumber("Hours such as 6 or 5.5, up to 16.", { min: 0.5, max: 16 }),
    discounts: z.object({ club: off, trade: off, friend: off }),
    prices: z.object({
      fixed: z.partialRecord(z.enum(familyIds), z.partialRecord(z.enum(pricedServiceIds), typedMaybeAmount())),
      smallestMinor: typedAmount("An amount such as 15, or 0."),
      consumablesMinor: typedAmount("An amount such as 3.50, or 0."),
      measured: z.boolean().default(false),
    }),
  }),
  // What is empty in the list has no price of its own.
  run: (ctx, { seen, ...input }) => saveShopSettings(ctx, shopSettingsSchema.parse(JSON.parse(JSON.stringify(input))), seen),
});
export async function saveSettings(press: Press) {
  return settings(press);
}

const person = defineAction({
  name: "add-person",
  permission: "shop",
  input: z.object({
    name: z.string().trim().min(1, "Write a name.").max(80, "At most 80 letters."),
    role: z.enum(["owner", "bench", "counter"]),
  }),
  run: (ctx, input) => addPerson(ctx, input),
});
export async function addShopPerson(press: Press) {
  return person(press);
}

const choose = defineAction({
  name: "choose-person",
  permission: "counter",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => {
    const chosen = findPerson(ctx.db, id);
    if (!chosen) throw new Refusal("no-person", "This person does not work here any more. Reload the page.");
    writeJournal(ctx, "person-at-bench", {}, { personId: id });
    return id;
  },
});

/** Chooses who is at the bench from now on; kept in this browser only. */
export async function choosePerson(form: FormData): Promise<void> {
  const result = await choose({ pressId: nanoid(), input: { id: Number(form.get("person")) } });
  if (result.ok)
    (await cookies()).set(personCookie, String(result.value), { httpOnly: true, sameSite: "strict", path: "/", maxAge: 31_536_000 });
  redirect("/shop");
}
