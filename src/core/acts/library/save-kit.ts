import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const saveKit = defineAct({
  name: "save-kit",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    name: z.string().trim().min(1, "What does it convert to?").max(80, "At most 80 letters."),
    note: z.string().trim().max(300, "At most 300 letters."),
    caution: z.string().trim().max(200, "At most 200 letters."),
    rows: z
      .array(z.object({ positionId: z.string().max(60), number: z.string().max(40) }))
      .min(1)
      .max(60),
  }),
  journals: ["kit-saved"],
});
