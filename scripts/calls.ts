import { z } from "zod";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { anatomySchema, partTypeSchema } from "@/core/anatomy/types";
import { isolate } from "@/core/diagnosis/isolation";
import { readPullTrace } from "@/core/drag/pull-trace";
import { estimate } from "@/core/estimate/estimate";
import { verdicts } from "@/core/proving/protocol";
import { parseTag } from "@/core/tags/tag";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";

export interface Call {
  readonly input: z.ZodType;
  readonly run: (input: never) => unknown;
}
const call = <S extends z.ZodType>(input: S, run: (value: z.output<S>) => unknown): Call => ({ input, run: run as Call["run"] });

const verdict = z.enum(verdicts).optional();
/** Core functions that take JSON, each with the schema of what it takes. */
export const calls: Record<string, Call> = {
  "build-order": call(z.object({ anatomy: anatomySchema, removed: z.array(z.string()) }), ({ anatomy, removed }) => {
    const order = buildOrder(anatomy, removed);
    return order.ok ? { order: order.value.map((step) => step.operation.id) } : { conflict: order.message };
  }),
  "removal-order": call(z.object({ anatomy: anatomySchema }), ({ anatomy }) => ({ order: removalOrder(anatomy) })),
  "check-anatomy": call(z.object({ anatomy: anatomySchema, partTypes: z.array(partTypeSchema) }), ({ anatomy, partTypes }) => ({
    faults: checkAnatomy(anatomy, partTypes),
  })),
  isolate: call(
    z.strictObject({
      freeSpool: verdict,
      turning: verdict,
      freeSpoolSpoolOut: verdict,
      drag: verdict,
      antiReverse: verdict,
      click: verdict,
    }),
    isolate,
  ),
  "read-pull": call(z.object({ samples: z.array(z.object({ tMs: z.number(), forceN: z.number() })) }), ({ samples }) =>
    readPullTrace(samples),
  ),
  "read-tag": call(z.object({ text: z.string() }), ({ text }) => parseTag(text)),
  estimate: call(
    z.object({
      labour: z.array(z.object({ words: z.string(), minutes: z.number().int().min(0) })),
      parts: z.array(
        z.object({ partTypeId: z.string(), words: z.string(), quantity: z.number().int().min(1), priceMinor: z.number().int().min(0) }),
      ),
      rates: z.object({ ratePerHourMinor: z.number().int().min(0), tax: z.number().int().min(0).max(10_000) }),
    }),
    ({ labour, parts, rates }) => estimate(labour, parts, rates),
  ),
};
