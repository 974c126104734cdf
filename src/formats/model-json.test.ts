import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { z } from "zod";
import { anatomySchema, tightnessClasses, verifiable } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { modelFromTemplate } from "@/core/families/template";
import { familyIds } from "@/core/vocabulary/families";
import { modelFileSchema, readModelJson, writeModelJson } from "./model-json";

const file = (family: (typeof familyIds)[number]) => {
  const { partTypes, lineRadiusMm, anatomy } = modelFromTemplate(families[family], "QX");
  return { model: { id: "qx", maker: "Maker", name: "Name", family }, lineRadiusMm, partTypes, anatomy };
};

describe("a model as JSON", () => {
  it("has its schema published as it is", () => {
    expect(JSON.parse(readFileSync("docs/model.schema.json", "utf8"))).toEqual(
      JSON.parse(JSON.stringify(z.toJSONSchema(modelFileSchema, { io: "input" }))),
    );
  });

  it.each(familyIds)("comes back exactly as it was written: %s", (family) => {
    const text = writeModelJson(file(family));
    const read = readModelJson(text);
    if (!read.ok) throw new Error(read.message);
    expect(writeModelJson(read.value)).toBe(text);
  });

  it("comes back exactly for random machines to 300 seats, whatever their seats, acts and editions say", () => {
    const words = fc.string({ minLength: 1, maxLength: 40 });
    const parts = families["star-drag-bridge"].parts;
    const ids = (n: number) =>
      fc.array(
        fc.nat(n - 1).map((i) => `s${i}`),
        { maxLength: 3 },
      );
    const seat = (n: number) =>
      fc.record(
        {
          name: words,
          part: fc.nat(parts.length - 1),
          acrossMm: fc.double({ min: -100, max: 100, noNaN: true }).map((mm) => mm + 0), // JSON knows no −0
          turned: fc.boolean(),
          verify: fc.subarray([...verifiable]),
          restsOn: ids(n),
          orientation: words,
          tightness: fc.constantFrom(...tightnessClasses),
          startOrder: fc.integer({ min: 1, max: 40 }),
          holeDepthMm: fc.double({ min: 0.1, max: 200, noNaN: true }),
          lubricant: fc.record(
            { product: words, amount: words, why: words, drops: fc.integer({ min: 1, max: 9 }) },
            { requiredKeys: ["product", "amount", "why"] },
          ),
        },
        { requiredKeys: ["name", "part"] },
      );
    const machine = fc.integer({ min: 1, max: 300 }).chain((n) => fc.array(seat(n), { minLength: n, maxLength: n }));
    const editions = fc.array(fc.record({ name: words, fromYear: fc.integer({ min: 1850, max: 2200 }) }, { requiredKeys: ["name"] }), {
      maxLength: 3,
    });
    fc.assert(
      fc.property(machine, editions, (seats, ways) => {
        const anatomy = anatomySchema.parse({
          assemblies: [{ id: "a", name: "A", side: "frame" }],
          positions: seats.map(({ part, ...rest }, i) => ({
            ...rest,
            id: `s${i}`,
            assemblyId: "a",
            ordinal: i,
            partTypeId: parts[part]!.id,
          })),
          operations: [{ id: "g", kind: "gate", words: "g", after: ["place-s0"] }],
          editions: ways.map((way, i) => ({ ...way, id: `e${i}` })),
        });
        const text = writeModelJson({
          model: { id: "qx", maker: "M", name: "N", family: "lever-drag" },
          lineRadiusMm: 20,
          partTypes: [...parts],
          anatomy,
        });
        const file = modelFileSchema.parse(JSON.parse(text));
        expect(file.anatomy).toEqual(anatomy);
        expect(writeModelJson(file)).toBe(text);
      }),
      { numRuns: 25 },
    );
  });

  const broken = (edit: (json: Record<string, never> & ReturnType<typeof file>) => void): string => {
    const json = JSON.parse(writeModelJson(file("star-drag-bridge"))) as never;
    edit(json);
    return JSON.stringify(json);
  };

  it.each([
    ["no JSON", "{", "not-json", "no JSON"],
    ["another format", JSON.stringify({ format: "something" }), "not-a-model", "format"],
    ["an unknown field", broken((json) => Object.assign(json, { extra: 1 })), "not-a-model", "extra"],
    [
      "a size below nothing",
      broken((json) => Object.assign(json.partTypes[0]!.shape, { widthMm: -1 })),
      "not-a-model",
      "partTypes.0.shape.widthMm",
    ],
    ["a part twice", broken((json) => json.partTypes.push(json.partTypes[0]!)), "does-not-fit", "twice"],
    ["a seat twice", broken((json) => json.anatomy.positions.push(json.anatomy.positions[3]!)), "does-not-fit", "filled twice"],
    [
      "an order that bites its tail",
      broken((json) => json.anatomy.positions.find((p) => p.id === "main-gear")!.restsOn!.push("keyed-high")),
      "does-not-fit",
      "Keyed washer, high",
    ],
  ])("refuses %s, and says where", (_, text, code, words) => {
    const read = readModelJson(text);
    expect(read).toMatchObject({ ok: false, code });
    expect(!read.ok && read.message).toContain(words);
  });
});
