import { describe, expect, it } from "vitest";
import { growAnatomy, mayGrow } from "./grow-anatomy";
import { anatomySchema } from "./types";

const half = (id: string, operations: { after: string[]; before?: string[] }[] = []) =>
  anatomySchema.parse({
    assemblies: [{ id: "frame", name: "Frame", side: "frame" }],
    positions: [{ id, assemblyId: "frame", ordinal: 0, name: id, partTypeId: id, guessed: true }],
    operations: operations.map((operation) => ({ id: "gate", kind: "gate", words: "It turns", ...operation })),
    batches: [],
  });

describe("a schematic made from a tray", () => {
  it("takes a later half in, which lies deeper: it goes in first", () => {
    const { assemblies, positions } = growAnatomy(half("screw"), half("gear"));
    expect(assemblies).toHaveLength(1);
    expect(positions.map(({ id, ordinal }) => [id, ordinal])).toEqual([
      ["screw", 1],
      ["gear", 0],
    ]);
  });

  it("waits with a check that both halves know for the parts of both", () => {
    const { operations } = growAnatomy(half("a", [{ after: ["place-a"], before: ["place-x"] }]), half("b", [{ after: ["place-b"] }]));
    expect(operations).toMatchObject([{ id: "gate", after: ["place-a", "place-b"], before: ["place-x"] }]);
    expect(growAnatomy(half("a"), half("b", [{ after: ["place-b"] }])).operations).toHaveLength(1);
  });

  it("may grow until one seat is confirmed", () => {
    expect(mayGrow(half("a"))).toBe(true);
    expect(mayGrow({ positions: [] })).toBe(true);
    const { positions } = growAnatomy(half("a"), half("b"));
    expect(mayGrow({ positions: positions.map((seat, i) => ({ ...seat, guessed: i > 0 })) })).toBe(false);
  });
});
