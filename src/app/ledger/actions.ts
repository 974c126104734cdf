"use server";
import { z } from "zod";
import { changeCustomer } from "@/data/customers";
import type { Press } from "@/ui/act/press";
import { defineAction } from "../server";

const save = defineAction({
  name: "save-customer",
  permission: "counter",
  input: z.object({
    id: z.number().int().positive(),
    name: z.string().trim().min(1, "A customer has a name.").max(80, "At most 80 letters."),
    phone: z.string().trim().max(40, "At most 40 characters."),
    email: z.union([z.literal(""), z.email("This is no e-mail address: leave it empty, or write it like name@place.example.")]),
    note: z.string().trim().max(500, "At most 500 characters."),
    rowVersion: z.number().int(),
  }),
  run: (ctx, input) => changeCustomer(ctx, input),
});
export async function saveCustomer(press: Press) {
  return save(press);
}
