"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { today } from "@/app/server/clock";
import { deskOf, sendMailOf } from "@/app/server/send-mail";
import { typedAmount, typedMaybeAmount, typedNumber, typedPercent, typedWords } from "@/core/acts/typed";
import { grades } from "@/core/interchange/interchange";
import { countWhyIds } from "@/core/ordering/count-why";
import { seenOffer, seenSchema } from "@/core/seen";
import { findPartByNumber } from "@/data/catalogue/part-types";
import { cannotBeHad, setNoLongerMade } from "@/data/parts/no-longer-made";
import { countBin, levelByUse, removeBin, setBin } from "@/data/parts/stock";
import { addSupplier, changeSupplier, removeOffer, retireSupplier, setOffer } from "@/data/parts/suppliers";
import { setLowestGrade, withdrawNeed } from "@/data/parts/wanted";
import { getShopSettings } from "@/data/shop/settings";
import { type Context, Refusal } from "@/data/store/context";
import { getOrderRules, saveOrderRules } from "@/data/stores/order-rules";
import { placeBaskets, sendWaitingOrders } from "@/data/stores/orders";
import { simulatedDesk } from "@/devices/supplier-desk";
import type { Press } from "@/ui/act/press";

const place = defineAction({
  name: "place-order",
  permission: "stores",
  input: z.object({
    baskets: z
      .array(
        z.object({
          supplierId: z.string().min(1, "Choose a supplier.").max(60),
          lines: z
            .array(
              z.object({
                partTypeId: z.string().min(1).max(60),
                packs: z.number().int().min(1).max(100_000),
                priceMinor: z.number().int().min(0),
              }),
            )
            .min(1)
            .max(500),
          gets: z.array(z.object({ needId: z.number().int(), partTypeId: z.string().min(1).max(60) })).max(2000),
        }),
      )
      .min(1, "There is nothing to order.")
      .max(60),
  }),
  run: (ctx, input) =>
    placeBaskets(ctx, input.baskets, today(), { desk: getShopSettings(ctx.db).simulated, mail: deskOf(ctx.db) !== null }),
  afterwards: async (db) => {
    const { deskLate, deskWrong } = getOrderRules(db);
    if (getShopSettings(db).simulated) await sendWaitingOrders(db, simulatedDesk({ late: deskLate, wrong: deskWrong }));
    await sendMailOf(db);
  },
});
export async function placePlan(press: Press) {
  return place(press);
}

const grade = defineAction({
  name: "set-lowest-grade",
  permission: "stores",
  input: z.object({ needIds: z.array(z.number().int()).min(1).max(500), grade: z.enum(grades) }),
  run: (ctx, { needIds, grade: to }) => {
    for (const needId of needIds) setLowestGrade(ctx, needId, to);
  },
});
export async function gradeNeed(press: Press) {
  return grade(press);
}

const cannot = defineAction({
  name: "cannot-be-had",
  permission: "stores",
  input: z.object({ needId: z.number().int(), words: typedWords("What its owner is told, in a sentence.", 300) }),
  run: (ctx, { needId, words }) => cannotBeHad(ctx, needId, words),
});
export async function needCannotBeHad(press: Press) {
  return cannot(press);
}

const made = defineAction({
  name: "no-longer-made",
  permission: "stores",
  input: z.object({ partTypeId: z.string().min(1).max(60), noLonger: z.boolean() }),
  run: (ctx, { partTypeId, noLonger }) => setNoLongerMade(ctx, partTypeId, noLonger),
});
export async function partNoLongerMade(press: Press) {
  return made(press);
}

const withdraw = defineAction({
  name: "withdraw-need",
  permission: "stores",
  input: z.object({ needId: z.number().int() }),
  run: (ctx, input) => withdrawNeed(ctx, input.needId),
});
export async function withdrawOpenNeed(press: Press) {
  return withdraw(press);
}

const count = defineAction({
  name: "count-bin",
  permission: "stores",
  input: z.object({
    partTypeId: z.string().max(60),
    count: z
      .number("Type how many lie in the bin.")
      .int("A bin holds whole pieces.")
      .min(0, "A bin cannot hold less than nothing.")
      .max(100_000, "More than a hundred thousand: count again."),
    why: z.enum(countWhyIds).nullable().default(null),
  }),
  run: (ctx, input) => countBin(ctx, input.partTypeId, input.count, input.why),
});
export async function countStock(press: Press) {
  return count(press);
}

const byUse = defineAction({
  name: "level-by-use",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60), byUse: z.boolean() }),
  run: (ctx, input) => levelByUse(ctx, input.partTypeId, input.byUse),
});
export async function setLevelByUse(press: Press) {
  return byUse(press);
}

const rules = defineAction({
  name: "save-order-rules",
  permission: "stores",
  input: z.object({
    lateShareBasisPoints: typedPercent("A share such as 10."),
    leftOverDays: typedNumber("Days from 30 to 3650, such as 730.", { min: 30, max: 3650, whole: true }),
    leadChance: typedNumber("From 50 to 99 in 100, such as 80.", { min: 50, max: 99, whole: true }),
    runningOutChance: typedNumber("From 1 to 50 in 100, such as 5.", { min: 1, max: 50, whole: true }),
    deskLate: typedNumber("From 0 to 100, such as 10.", { min: 0, max: 100, whole: true }),
    deskWrong: typedNumber("From 0 to 100, such as 3.", { min: 0, max: 100, whole: true }),
    orderOn: z.array(z.number().int().min(1).max(7)).min(1, "At least one day of the week."),
    seen: seenSchema,
  }),
  run: (ctx, { seen, ...input }) => saveOrderRules(ctx, input, seen),
});
export async function saveOrderingRules(press: Press) {
  return rules(press);
}

const partOf = (ctx: Context, number: string) => {
  const part = findPartByNumber(ctx.db, number);
  if (!part)
    throw new Refusal("no-part", `No part in the catalogue has the number ${number}. Add it first.`, "number", { to: "new-part", number });
  return part.id;
};

const supplierCard = {
  name: typedWords("A supplier has a name.", 60),
  postageMinor: typedAmount("What a parcel costs, such as 4.50, or 0."),
  leadDays: typedNumber("How many days until it comes: a whole number such as 5.", { min: 0, max: 365, whole: true }),
  freePostFromMinor: typedMaybeAmount("From what value the parcel is free, such as 50.00; empty where it never is.").optional(),
  smallestOrderMinor: typedMaybeAmount("Below what value nothing is sent, such as 10.00; empty where all is.").optional(),
  email: z.union([z.literal(""), z.email("A mail address such as orders@supplier.example, or empty.").max(200)]).default(""),
};
const cardOf = <T extends { freePostFromMinor?: number | undefined; smallestOrderMinor?: number | undefined }>(card: T) => ({
  ...card,
  freePostFromMinor: card.freePostFromMinor ?? null,
  smallestOrderMinor: card.smallestOrderMinor ?? 0,
});
const newSupplier = defineAction({
  name: "add-supplier",
  permission: "stores",
  input: z.object(supplierCard),
  run: (ctx, input) => addSupplier(ctx, cardOf(input)),
});
export async function addNewSupplier(press: Press) {
  return newSupplier(press);
}

const supplier = defineAction({
  name: "change-supplier",
  permission: "stores",
  input: z.object({ id: z.string().max(60), rowVersion: z.number().int(), ...supplierCard }),
  run: (ctx, input) => changeSupplier(ctx, cardOf(input)),
});
export async function saveSupplier(press: Press) {
  return supplier(press);
}

const supplierUse = defineAction({
  name: "retire-supplier",
  permission: "stores",
  input: z.object({ id: z.string().max(60), retired: z.boolean() }),
  run: (ctx, { id, retired }) => retireSupplier(ctx, id, retired),
});
export async function retireSupplierCard(press: Press) {
  return supplierUse(press);
}

const offer = defineAction({
  name: "set-offer",
  permission: "stores",
  input: z.object({
    partTypeId: z.string().max(60),
    supplierId: z.string().min(1, "Choose the supplier.").max(60),
    priceMinor: typedAmount("What it costs there, such as 3.40."),
    pack: typedNumber("How many pieces for that price: a whole number from 1.", { min: 1, max: 10_000, whole: true }),
    breakFrom: z.union([
      z.literal("").transform(() => undefined),
      typedNumber("From how many it is cheaper: a whole number from 2, or empty.", { min: 2, max: 10_000, whole: true }),
    ]),
    breakPriceMinor: typedMaybeAmount("What one costs then, such as 3.10, or empty."),
    /** The offers the form stood under, by supplier. */
    seen: z.record(z.string().max(60), seenSchema),
  }),
  run: (ctx, { breakFrom, breakPriceMinor, pack, seen, ...offer }) => {
    if ((breakFrom === undefined) !== (breakPriceMinor === undefined))
      throw new Refusal(
        "break",
        "A lower price and from how many packs it holds go together: fill both, or neither.",
        breakFrom === undefined ? "breakFrom" : "breakPriceMinor",
      );
    if (breakPriceMinor !== undefined && breakPriceMinor >= offer.priceMinor)
      throw new Refusal("break", "From several packs on it should cost less than one alone.", "breakPriceMinor");
    setOffer(
      ctx,
      {
        ...offer,
        pack,
        breaks: breakFrom === undefined || breakPriceMinor === undefined ? [] : [{ fromPacks: breakFrom, priceMinor: breakPriceMinor }],
      },
      seen[offer.supplierId] ?? seenOffer(null),
    );
  },
});
export async function saveOffer(press: Press) {
  return offer(press);
}

const noOffer = defineAction({
  name: "remove-offer",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60), supplierId: z.string().max(60) }),
  run: (ctx, { supplierId, partTypeId }) => removeOffer(ctx, supplierId, partTypeId),
});
export async function removePartOffer(press: Press) {
  return noOffer(press);
}

const bin = defineAction({
  name: "set-bin",
  permission: "stores",
  input: z.object({
    number: typedWords("Which part: its number.", 40),
    bin: typedWords("The bin label, such as A3.", 20),
    // Null where only the bin changes: what lies in it is not counted anew.
    count: typedNumber("How many lie in it: a whole number, or 0.", { min: 0, max: 100_000, whole: true }).nullable(),
    minimum: typedNumber("Below how many to order: a whole number, or 0.", { min: 0, max: 100_000, whole: true }),
    seen: seenSchema,
    /** The count the form was opened with: left as it is, nothing was counted. */
    countSeen: z.number().int().nullable().default(null),
  }),
  run: (ctx, { number, bin, count, countSeen, minimum, seen }) =>
    setBin(ctx, partOf(ctx, number), bin, count === countSeen ? null : count, minimum, seen),
});
export async function saveBin(press: Press) {
  return bin(press);
}

const noBin = defineAction({
  name: "remove-bin",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60) }),
  run: (ctx, input) => removeBin(ctx, input.partTypeId),
});
export async function giveUpBin(press: Press) {
  return noBin(press);
}
