import { describe, expect, it } from "vitest";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { guessAnatomy, type LoosePart } from "@/core/anatomy/guess-anatomy";
import { buildOrder } from "@/core/teardown/build-order";
import { familyIds } from "@/core/vocabulary/families";
import { expectedPieces, usualCount } from "./expected-pieces";
import { families } from "./families";

// Source of what a family has: common practice.
describe("what a reel without a drawing is expected to come apart into", () => {
  it("names every piece of a family, and a ring of screws once with its count", () => {
    for (const family of familyIds) {
      const pieces = expectedPieces(families[family]);
      for (const { name } of pieces) expect(name, family).not.toMatch(/^(Screws|s)$|\d ×/);
      expect(new Set(pieces.flatMap(({ seats }) => seats)).size).toBe(pieces.flatMap(({ seats }) => seats).length);
    }
    const bridge = expectedPieces(families["star-drag-bridge"]).find(({ name }) => name === "Head plate screws")!;
    expect([bridge.seats.length, usualCount(bridge, 4), usualCount({ kind: "friction-washer" }, 3)]).toEqual([4, 4, 1]);
  });

  it("is built again in every family, each of its checks after the parts it tests and none in the way of another", () => {
    for (const family of familyIds) {
      const template = families[family];
      const parts: LoosePart[] = expectedPieces(template)
        .flatMap(({ kind, side, seats }) => seats.map((seat) => ({ kind, side, seat })))
        .map((part, i) => ({ ...part, well: i + 1, name: "" }));
      const { anatomy, partTypes } = guessAnatomy(parts, "u9", template);
      expect(checkAnatomy(anatomy, partTypes), family).toEqual([]);
      const built = buildOrder(
        anatomy,
        parts.map(({ well }) => `part-${well}`),
      );
      expect(built.ok, family).toBe(true);
      const order = built.ok ? built.value.steps.map((step) => step.operation) : [];
      const at = new Map(order.map(({ id }, i) => [id, i]));
      const gates = order.filter(({ kind }) => kind === "gate");
      expect(gates.length, family).toBeGreaterThan(0);
      for (const gate of gates) {
        for (const id of gate.after) expect(at.get(id)!, `${family}: ${gate.words}`).toBeLessThan(at.get(gate.id)!);
        for (const id of gate.before) expect(at.get(id)!, `${family}: ${gate.words}`).toBeGreaterThan(at.get(gate.id)!);
      }
    }
  });
});
