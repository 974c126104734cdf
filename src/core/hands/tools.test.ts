import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { toolsFor } from "./tools";

const tools = (family: keyof typeof families, off: (id: string) => boolean) => {
  const { anatomy, parts } = families[family];
  const seats = new Set(anatomy.positions.flatMap(({ id }) => (off(id) ? [id] : [])));
  return toolsFor(anatomy.positions, new Map(parts.map((part) => [part.id, part])), anatomy.operations, seats);
};

describe("the tools laid out before a job", () => {
  it("are for what comes off and nothing else", () => {
    expect(tools("star-drag-bridge", () => false)).toEqual([]);
    expect(tools("star-drag-bridge", (id) => id === "handle-nut")).toEqual([expect.stringMatching(/^spanner \d+(\.\d)? mm$/)]);
  });

  it("of a lever drag name the nut's spanner and tweezers, of a spincast a way to its clips (common practice)", () => {
    expect(tools("lever-drag", () => true).join("; ")).toMatch(/spanner .*tweezers/);
    expect(tools("spincast", () => true).join("; ")).toMatch(/pick for the clips/);
  });

  it("are said once each, in every family", () => {
    for (const family of familyIds) {
      const all = tools(family, () => true);
      expect(all.length, family).toBeGreaterThan(1);
      expect(new Set(all).size, family).toBe(all.length);
    }
  });
});
