import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const decline = defineAct({
  name: "decline",
  permission: "counter",
  input: z.object({
    jobId,
    reason: z
      .string()
      .trim()
      .min(2, "Say why, in a few words; it is kept in the reel's history.")
      .max(500, "At most 500 characters.")
      .nullable(),
  }),
  journals: ["declined", "taken-on-again"],
});
