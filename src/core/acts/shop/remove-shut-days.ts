import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const removeShutDays = defineAct({
  name: "remove-shut-days",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  journals: ["shut-days-removed"],
});
