import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { z } from "zod";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/families/family-ids";
import { modelFromTemplate } from "@/core/families/template";
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
