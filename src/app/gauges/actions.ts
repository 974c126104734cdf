"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { modelNumberIds } from "@/core/gauges/model-numbers";
import { keepGauge } from "@/data/gauges/gauges";
import { keepModelNumbers } from "@/data/gauges/model-numbers";
import type { Press } from "@/ui/act/press";

const keep = defineAction({
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
    words: z.string().trim().min(1, "There is no result to keep yet.").max(1000, "At most 1000 characters."),
  }),
  run: (ctx, { jobId, gauge, input, words, figures }) => keepGauge(ctx, jobId, gauge, input, words, figures),
});
const keepNumbers = defineAction({
  name: "keep-model-numbers",
  permission: "bench",
  input: z.object({
    jobId: z.number().int().positive(),
    values: z.partialRecord(z.enum(modelNumberIds), z.number().positive("Above 0.").max(1e7, "Too large.")),
    cam: z.string().max(300, "At most 300 characters."),
  }),
  run: (ctx, { jobId, values, cam }) => keepModelNumbers(ctx, jobId, values, cam),
});
export async function keepForModel(press: Press) {
  return keepNumbers(press);
}

export async function keepWithJob(press: Press) {
  return keep(press);
}
