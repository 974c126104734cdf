"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { lanAddresses } from "@/app/server/lan";
import { typedAmount, typedMaybeAmount, typedNumber, typedPercent } from "@/core/acts/typed";
import { pricedServiceIds } from "@/core/quote/price-list";
import { seenSchema } from "@/core/seen";
import { shopSettingsSchema } from "@/core/shop/settings";
import { familyIds } from "@/core/vocabulary/families";
import { addShutDays, removeShutDays } from "@/data/shop/opening";
import { addPerson, changePerson, retirePerson } from "@/data/shop/people";
import { saveShopSettings } from "@/data/shop/settings";
import { endSession, invite, setSecret } from "@/data/shop/sign-in";
import { qrPath } from "@/formats/qr-path";
import type { ActionResult, Press } from "@/ui/act/press";

const off = typedPercent("A percentage such as 10, or 0.");
const settings = defineAction({
  name: "save-settings",
  permission: "shop",
  input: shopSettingsSchema.extend({
    seen: z.string().max(20_000),
    ratePerHourMinor: typedAmount("An amount such as 45 or 45.50."),
    taxBasisPoints: typedPercent(),
    benchHoursPerDay: typedNumber("Hours such as 6 or 5.5, up to 16.", { min: 0.5, max: 16 }),
    promiseChance: z.coerce.number().min(0.5).max(0.95),
    payWithinDays: typedNumber("Whole days such as 14, or 0 for at once.", { min: 0, max: 120, whole: true }),
    invoiceYears: typedNumber("Whole years such as 10, or 0.", { min: 0, max: 30, whole: true }),
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

const isoDay = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.");
const shutDays = defineAction({
  name: "add-shut-days",
  permission: "shop",
  input: z.object({ from: isoDay, to: isoDay, words: z.string().trim().min(1, "What for? A word.").max(60, "At most 60 letters.") }),
  run: (ctx, input) => addShutDays(ctx, input),
});
export async function addHolidays(press: Press) {
  return shutDays(press);
}

const openedDays = defineAction({
  name: "remove-shut-days",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => removeShutDays(ctx, id),
});
export async function removeHolidays(press: Press) {
  return openedDays(press);
}

const personName = z.string().trim().min(1, "Write a name.").max(80, "At most 80 letters.");
const person = defineAction({
  name: "add-person",
  permission: "shop",
  input: z.object({
    name: personName,
    role: z.enum(["owner", "bench", "counter"]),
  }),
  run: (ctx, input) => addPerson(ctx, input),
});
export async function addShopPerson(press: Press) {
  return person(press);
}

const roleSaid = z.enum(["owner", "bench", "counter"]);
const change = defineAction({
  name: "change-person",
  permission: "shop",
  input: z.object({ id: z.number().int().positive(), name: personName, role: roleSaid, seen: seenSchema }),
  run: (ctx, { seen, ...input }) => changePerson(ctx, input, seen),
});
export async function changeShopPerson(press: Press) {
  return change(press);
}

const retire = defineAction({
  name: "retire-person",
  permission: "shop",
  input: z.object({ id: z.number().int().positive(), retired: z.boolean() }),
  run: (ctx, { id, retired }) => retirePerson(ctx, id, retired),
});
export async function retireShopPerson(press: Press) {
  return retire(press);
}

const secrets = defineAction({
  name: "set-secret",
  // Everybody their own; the data asks for an owner to set another's.
  permission: "counter",
  input: z.object({
    personId: z.number().int().positive(),
    kind: z.enum(["passphrase", "pin"]),
    now: z.string().max(500),
    before: z.string().max(500).default(""),
  }),
  run: (ctx, { personId, kind, ...said }) => setSecret(ctx, personId, kind, said),
});
export async function setPersonSecret(press: Press) {
  return secrets(press);
}

const end = defineAction({
  name: "end-session",
  permission: "counter",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => endSession(ctx, id),
});
export async function endDeviceSession(press: Press) {
  return end(press);
}

const phone = defineAction({
  secretAnswer: true,
  name: "invite-phone",
  permission: "counter",
  input: z.object({ personId: z.number().int().positive() }),
  run: (ctx, { personId }) => invite(ctx, personId),
});
/** The address a phone opens, drawn as a QR: nobody has to type it. */
export async function invitePhone(press: Press): Promise<ActionResult<{ address: string; drawn: string; until: string }>> {
  const [lan] = lanAddresses();
  if (!lan)
    return {
      ok: false,
      message: "This server was started for this computer alone. Stop it and start it with: npm start -- --lan",
      fields: {},
    };
  const result = await phone(press);
  if (!result.ok) return result;
  const address = `${lan}/join/${result.value.token}`;
  return { ok: true, value: { address, drawn: qrPath(address), until: result.value.until } };
}
