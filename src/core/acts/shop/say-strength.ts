import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { strengthIds } from "@/core/diagnosis/knowledge";

export const sayStrength = defineAct({
  name: "say-strength",
  permission: "shop",
  input: z.object({
    faultId: z.string().max(60),
    findingId: z.string().min(1, "Choose a sign from the list.").max(60),
    strength: z.enum([...strengthIds, "as-common"]).nullable(),
    note: z.string().trim().max(200, "At most 200 characters.").nullable(),
  }),
  journals: ["strength-said"],
});
