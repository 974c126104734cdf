import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { modelNumberIds } from "@/core/gauges/model-numbers";

export const keepModelNumbers = defineAct({
  name: "keep-model-numbers",
  permission: "bench",
  input: z.object({
    jobId: z.number().int().positive(),
    values: z.partialRecord(z.enum(modelNumberIds), z.number().positive("Above 0.").max(1e7, "Too large.")),
    cam: z.string().max(300, "At most 300 characters."),
  }),
  journals: ["model-measured"],
});
