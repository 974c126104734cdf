"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { keepGauge } from "@/data/gauges/gauges";
import type { Press } from "@/ui/act/press";

const keep = defineAction({
  name: "keep-gauge",
  permission: "bench",
  input: z.object({
    jobId: z.number().int().positive(),
    gauge: z.enum(["drag", "washers", "bearing", "screw", "spin", "gearing", "line"]),
    input: z.json(),
    words: z.string().trim().min(1, "There is no result to keep yet.").max(1000, "At most 1000 characters."),
  }),
  run: (ctx, { jobId, gauge, input, words }) => keepGauge(ctx, jobId, gauge, input, words),
});
export async function keepWithJob(press: Press) {
  return keep(press);
}
