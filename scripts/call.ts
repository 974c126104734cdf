/**
 * npm run -s call -- NAME < in.json > out.json: core functions on JSON. `--list` names them, `--schema NAME` prints the JSON Schema of the
 * input. What cannot be read is refused with where and why; exit 2.
 */
import { readFileSync } from "node:fs";
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

interface Call {
  readonly input: z.ZodType;
  readonly run: (input: never) => unknown;
}
const call = <S extends z.ZodType>(input: S, run: (value: z.output<S>) => unknown): Call => ({ input, run: run as Call["run"] });

const verdict = z.enum(verdicts).optional();
const calls: Record<string, Call> = {
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

const refuse = (words: string): never => {
  console.error(words);
  process.exit(2);
};

const [name, second] = process.argv.slice(2);
if (name === "--list") console.log(Object.keys(calls).join("\n"));
else if (name === "--schema") {
  const chosen = calls[second ?? ""] ?? refuse(`call: --schema wants one of ${Object.keys(calls).join(", ")}`);
  console.log(JSON.stringify(z.toJSONSchema(chosen.input, { io: "input" }), null, 2));
} else {
  const chosen = calls[name ?? ""] ?? refuse(`call: no call named "${name ?? ""}". There are ${Object.keys(calls).join(", ")}.`);
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(0, "utf8"));
  } catch {
    refuse("call: standard input is no JSON.");
  }
  const parsed = chosen.input.safeParse(json);
  if (!parsed.success) refuse(`call: ${z.prettifyError(parsed.error)}`);
  console.log(JSON.stringify(chosen.run(parsed.data as never), null, 2));
}
