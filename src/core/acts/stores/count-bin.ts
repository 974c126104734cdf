import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { countWhyIds } from "@/core/ordering/count-why";

export const countBin = defineAct({
  name: "count-bin",
  permission: "stores",
  input: z.object({
    partTypeId: z.string().max(60),
    count: z
      .number("Type how many are in the bin.")
      .int("A bin holds whole pieces.")
      .min(0, "A bin cannot hold less than nothing.")
      .max(100_000, "More than a hundred thousand: count again."),
    why: z.enum(countWhyIds).nullable().default(null),
  }),
  journals: ["bin-counted"],
});
