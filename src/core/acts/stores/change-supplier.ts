import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { supplierCard } from "./inputs";

export const changeSupplier = defineAct({
  name: "change-supplier",
  permission: "stores",
  input: z.object({ id: z.string().max(60), rowVersion: z.number().int(), ...supplierCard }),
  journals: ["supplier-changed"],
});
