import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const retireSupplier = defineAct({
  name: "retire-supplier",
  permission: "stores",
  input: z.object({ id: z.string().max(60), retired: z.boolean() }),
  journals: ["supplier-retired", "supplier-used-again"],
});
