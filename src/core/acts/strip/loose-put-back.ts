import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const loosePutBack = defineAct({
  name: "loose-put-back",
  permission: "bench",
  /** The well the page showed last: what the page has already changes nothing there. */
  input: z.object({ jobId, well: z.number().int().positive().optional() }),
  journals: ["loose-part-undone"],
});
