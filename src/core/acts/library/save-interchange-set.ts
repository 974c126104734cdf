import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { grades } from "@/core/interchange/interchange";
import { seenSchema } from "@/core/seen/seen";

export const saveInterchangeSet = defineAct({
  name: "save-interchange-set",
  permission: "bench",
  input: z.object({
    id: z.string().max(60),
    isNew: z.boolean(),
    seen: seenSchema,
    name: z.string().trim().min(1, "What is shared?").max(80, "At most 80 letters."),
    mark: z.string().trim().max(160, "At most 160 letters."),
    roles: z.array(z.string().max(60)).min(1, "Choose at least one role of part."),
    rows: z
      .array(
        z.object({
          who: z.string().max(60),
          number: z.string().max(40),
          grade: z.enum([...grades, "not"]),
          note: z.string().trim().max(200),
        }),
      )
      .max(100),
  }),
  journals: ["interchange-saved"],
});
