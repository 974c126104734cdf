import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** Promises what hangs on a tag for another day. */
export const movePromise = defineAct({
  name: "move-promise",
  permission: "counter",
  input: z.object({
    jobIds: z.array(z.number().int().positive()).min(1).max(100),
    to: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day."),
  }),
  journals: ["promise-moved"],
  answer: answers<{ readonly from: string }>(),
});
