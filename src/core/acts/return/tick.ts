import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const tick = defineAct({
  name: "tick",
  permission: "counter",
  input: z.object({ jobId, item: z.string().max(40), given: z.boolean() }),
  journals: ["item-given-back", "item-kept"],
});
