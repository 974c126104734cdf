import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { z } from "zod";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import { answerCall } from "../scripts/answer-call";
import { calls, loadForCalls } from "../scripts/calls";

await loadForCalls();

interface Schema {
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly minItems?: number;
}

const number = fc.oneof(
  fc.constantFrom(0, 1, 2, 3, 0.5, -1, 1e-9, 1e9, 1e300, -1e300, 5e-324),
  fc.double({ min: 0, max: 50, noNaN: true }),
  fc.integer({ min: 0, max: 40 }),
);
const text = fc.oneof(
  fc.constantFrom("", "a", "b", "__proto__", "constructor", "spool", "handle", "\u0000", "ä".repeat(300)),
  fc.string({ maxLength: 8 }),
);

/** Nonsense that has the shape a call asks for. */
function shaped(schema: Schema, depth = 0): fc.Arbitrary<unknown> {
  const { anyOf, oneOf, allOf } = schema;
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (anyOf || oneOf) return fc.oneof(...(anyOf ?? oneOf)!.map((one) => shaped(one, depth)));
  if (allOf) return shaped(allOf[0]!, depth);
  switch (schema.type) {
    case "number":
    case "integer":
      return number;
    case "string":
      return text;
    case "boolean":
      return fc.boolean();
    case "null":
      return fc.constant(null);
    case "array":
      return fc.array(shaped(schema.items ?? {}, depth + 1), {
        minLength: schema.minItems ?? 0,
        maxLength: (schema.minItems ?? 0) + (depth > 2 ? 2 : 12),
      });
    case "object": {
      const own = fc.record(
        Object.fromEntries(Object.entries(schema.properties ?? {}).map(([key, one]) => [key, shaped(one, depth + 1)])),
        { requiredKeys: Object.keys(schema.properties ?? {}).filter((_, i) => i % 3 !== 2) },
      );
      return typeof schema.additionalProperties === "object"
        ? fc
            .tuple(own, fc.dictionary(text, shaped(schema.additionalProperties, depth + 1), { maxKeys: 3 }))
            .map(([a, b]) => ({ ...b, ...a }))
        : own;
    }
    default:
      return fc.jsonValue({ maxDepth: 2 });
  }
}

describe.each(Object.keys(calls))("the call %s", (name) => {
  const schema = z.toJSONSchema(calls[name]!.input, { io: "input", unrepresentable: "any" }) as Schema;
  const nonsense = fc.oneof({ weight: 6, arbitrary: shaped(schema) }, { weight: 1, arbitrary: fc.jsonValue() });

  it("answers or refuses in words, whatever comes in, and soon", () => {
    fc.assert(
      fc.property(nonsense, (input) => {
        const answer = answerCall(calls, name, JSON.stringify(input), 2500);
        if (answer.ok) expect(() => JSON.parse(answer.json)).not.toThrow();
        else {
          expect(answer.words.length).toBeGreaterThan(5);
          // A fault of ours would read so.
          expect(answer.words).not.toMatch(/Cannot read|is not a function|is not iterable|undefined|Invalid array|Maximum call|\n\s+at /);
        }
      }),
      { numRuns: 150, seed: 14, interruptAfterTimeLimit: 20_000 },
    );
  });
});

describe("calls on a machine", () => {
  const ids = skerry30Anatomy.positions.map(({ id }) => id);
  const spoilt = fc
    .array(
      fc.tuple(
        fc.nat(ids.length - 1),
        fc.constantFrom("restsOn", "heldBy", "passesThrough", "id", "gone"),
        fc.constantFrom(...ids, "nowhere"),
      ),
      {
        minLength: 1,
        maxLength: 4,
      },
    )
    .map((changes) => {
      const anatomy = structuredClone(skerry30Anatomy) as unknown as { positions: Record<string, unknown>[] };
      for (const [at, what, id] of changes) {
        const position = anatomy.positions[at % anatomy.positions.length]!;
        if (what === "id") position.id = id;
        else if (what === "gone") anatomy.positions.splice(at % anatomy.positions.length, 1);
        else position[what] = [id];
      }
      return anatomy;
    });
  it("answer, say the circle, or refuse by name, whatever was spoilt in it", () => {
    fc.assert(
      fc.property(spoilt, fc.subarray([...ids, "nowhere"]), (anatomy, some) => {
        for (const [name, rest] of [
          ["build-order", { removed: some }],
          ["check-order", { removed: some, performed: some }],
          ["removal-order", {}],
          ["check-anatomy", { partTypes: skerry30Parts }],
        ] as const) {
          // What is wrong with it is asked for, not how fast a busy machine says so.
          const answer = answerCall(calls, name, JSON.stringify({ anatomy, ...rest }), 60_000);
          if (!answer.ok)
            expect(answer.words).toMatch(
              /not a seat here|filled twice|not an operation|is not in this machine|stands there twice|in a circle/,
            );
        }
      }),
      { numRuns: 150, seed: 15 },
    );
  });
  it("name an unknown seat with its nearest, and a seat twice", () => {
    const words = (removed: string[], anatomy: unknown = skerry30Anatomy) => {
      const answer = answerCall(calls, "build-order", JSON.stringify({ anatomy, removed }));
      return answer.ok ? "" : answer.words;
    };
    expect(words(["handel-nut"])).toMatch(/"handel-nut" is not in this machine\. Nearest: handle-nut/);
    expect(words(["handle-nut", "handle-nut"])).toMatch(/stands there twice/);
    const twice = structuredClone(skerry30Anatomy);
    expect(words([], { ...twice, positions: [...twice.positions, twice.positions[3]] })).toMatch(/filled twice/);
  });
  it("refuse air nobody fishes in", () => {
    const run = {
      pieces: [{ seconds: 1, metresPerSecond: 1 }],
      spoolTorqueNmm: 1000,
      arborRadiusMm: 10,
      fullRadiusMm: 20,
      capacityM: 100,
      heatCapacityJPerK: 20,
      lossWPerK: 1,
      ambientC: 400,
    };
    expect(answerCall(calls, "fish-run", JSON.stringify(run))).toMatchObject({ ok: false, words: expect.stringContaining("60 °C") });
  });
});

describe("a call", () => {
  it("is refused by name for what is not there, and for no JSON", () => {
    expect(answerCall(calls, "toString", "{}")).toMatchObject({ ok: false, words: expect.stringContaining("no call named") });
    expect(answerCall(calls, "line", "{")).toMatchObject({ ok: false, words: expect.stringContaining("no JSON") });
  });
  it("is stopped when it takes too long", () => {
    const endless = {
      endless: {
        input: z.object({}),
        run: () => {
          for (;;);
        },
      },
    };
    expect(answerCall(endless, "endless", "{}", 50)).toMatchObject({ ok: false, words: expect.stringContaining("longer than") });
    // A call that is told how long it may think is given that long.
    const told = { endless: { ...endless.endless!, limitMs: () => 120 } };
    expect(answerCall(told, "endless", "{}", 50)).toMatchObject({ ok: false, words: expect.stringContaining("longer than 0.12 s") });
  });

  it("refuses a bench on which two jobs have one key", () => {
    const job = { key: 1, rank: 1, steps: [] };
    const bench = { people: [{ minutes: [300] }], jobs: [job, { ...job, rank: 2 }] };
    expect(answerCall(calls, "promise", JSON.stringify({ bench }))).toMatchObject({
      ok: false,
      words: expect.stringContaining("key of its own"),
    });
  });

  it("gives an order plan the seconds it is told, and its answer a moment more", () => {
    const { limitMs } = calls["order-plan"]!;
    for (const seconds of [0.1, 3, 60]) expect(limitMs!({ seconds } as never)).toBeGreaterThan(1000 * (seconds + 1));
  });
});
