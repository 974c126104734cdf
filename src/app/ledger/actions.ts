"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { discountClassIds } from "@/core/quote/discounts";
import { addCustomer, changeCustomer, retireCustomer } from "@/data/customers/customers";
import { mergeCustomers } from "@/data/customers/merge";
import { giveToOwner } from "@/data/customers/reels";
import { scrapReel } from "@/data/parts/donors";
import { eraseCustomer, erasureOf, leaveNoTrace, rememberErasure } from "@/data/shop/erase";
import { dataDirectory } from "@/data/store/database";
import type { Press } from "@/ui/act/press";

const card = {
  name: z.string().trim().min(1, "A customer has a name.").max(80, "At most 80 letters."),
  phone: z.string().trim().max(40, "At most 40 characters."),
  email: z.union([z.literal(""), z.email("This is no e-mail address: leave it empty, or write it like name@place.example.")]),
  address: z.string().trim().max(200, "At most 200 characters.").default(""),
  note: z.string().trim().max(500, "At most 500 characters."),
};
const add = defineAction({
  name: "add-customer",
  permission: "counter",
  input: z.object(card),
  run: (ctx, input) => addCustomer(ctx, input),
});
export async function addNewCustomer(press: Press) {
  return add(press);
}

const use = defineAction({
  name: "retire-customer",
  permission: "counter",
  input: z.object({ id: z.number().int().positive(), retired: z.boolean() }),
  run: (ctx, { id, retired }) => retireCustomer(ctx, id, retired),
});
export async function retireCustomerCard(press: Press) {
  return use(press);
}

const save = defineAction({
  name: "save-customer",
  permission: "counter",
  input: z.object({
    id: z.number().int().positive(),
    ...card,
    discountClass: z.enum(discountClassIds),
    rowVersion: z.number().int(),
  }),
  run: (ctx, input) => changeCustomer(ctx, input),
});
export async function saveCustomer(press: Press) {
  return save(press);
}

const merge = defineAction({
  name: "merge-customers",
  permission: "counter",
  input: z.object({ id: z.number().int().positive(), into: z.number().int().positive() }),
  run: (ctx, { id, into }) => mergeCustomers(ctx, id, into),
});
export async function mergeCustomerCards(press: Press) {
  return merge(press);
}

const erase = defineAction({
  name: "erase-customer",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  run: (ctx, { id }) => {
    // Remembered first: a copy of before that is restored erases them again.
    const erasure = erasureOf(ctx, id);
    const erased = eraseCustomer(ctx, id);
    if (erasure) rememberErasure(dataDirectory(), erasure);
    return erased;
  },
  afterwards: async (db) => leaveNoTrace(db),
});
export async function eraseCustomerCard(press: Press) {
  return erase(press);
}

const give = defineAction({
  name: "change-owner",
  permission: "counter",
  input: z.object({ reelId: z.number().int().positive(), ownerId: z.number().int().positive() }),
  run: (ctx, { reelId, ownerId }) => giveToOwner(ctx, reelId, ownerId),
});
export async function changeReelOwner(press: Press) {
  return give(press);
}

const scrap = defineAction({
  name: "scrap-reel",
  permission: "bench",
  input: z.object({
    reelId: z.number().int().positive(),
    drawer: z.string().trim().max(40, "At most 40 letters."),
    pieces: z.array(z.object({ positionId: z.string().max(60), condition: z.enum(["good", "worn"]) })).max(400),
  }),
  run: (ctx, { reelId, ...give }) => scrapReel(ctx, reelId, give),
});
export async function scrapForParts(press: Press) {
  return scrap(press);
}
