import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const mergeCustomers = defineAct({
  name: "merge-customers",
  permission: "counter",
  input: z.object({ id: z.number().int().positive(), into: z.number().int().positive() }),
  journals: ["customers-merged"],
});
