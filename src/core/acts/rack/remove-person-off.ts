import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

/** They will be there after all. */
export const removePersonOff = defineAct({
  name: "remove-person-off",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  journals: ["person-off-removed"],
});
