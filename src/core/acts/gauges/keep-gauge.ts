import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const keepGauge = defineAct({
  name: "keep-gauge",
  permission: "bench",
  input: z.object({
    jobId: z.number().int().positive(),
    gauge: z.enum(["drag", "washers", "bearing", "screw", "spin", "gearing", "line", "picture"]),
    input: z.json(),
    figures: z
      .array(z.object({ name: z.string().min(1).max(80), value: z.number(), low: z.number(), high: z.number(), unit: z.string().max(20) }))
      .max(8)
      .default([]),
    words: z.string().trim().min(1, "There is no result to save yet.").max(1000, "At most 1000 characters."),
  }),
  journals: ["gauge-kept"],
});
