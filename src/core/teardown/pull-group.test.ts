import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { pullGroup } from "./pull-group";
import { removalOrder } from "./removal-order";

const star = families["star-drag-bridge"];
const types = new Map(star.parts.map((part) => [part.id, part]));
const order = removalOrder(star.anatomy);
const from = (seat: string) => pullGroup(star.anatomy, types, order.slice(order.indexOf(seat)));

describe("what comes off in one pull", () => {
  it("is the whole drag stack, in its order", () => {
    const group = from("friction-high");
    expect(group.length).toBeGreaterThanOrEqual(5);
    expect(group).toEqual(order.slice(order.indexOf("friction-high"), order.indexOf("friction-high") + group.length));
    expect(group).toContain("keyed-low");
  });

  it("is one part where nothing lies on its like", () => {
    expect(from("handle")).toEqual(["handle"]);
    expect(pullGroup(star.anatomy, types, [])).toEqual([]);
  });

  it("never crosses into another assembly", () => {
    for (const { anatomy, parts } of Object.values(families)) {
      const kinds = new Map(parts.map((part) => [part.id, part]));
      const expected = removalOrder(anatomy);
      expected.forEach((_, i) => {
        const group = pullGroup(anatomy, kinds, expected.slice(i));
        expect(new Set(group.map((id) => anatomy.positions.find((seat) => seat.id === id)!.assemblyId)).size).toBe(1);
      });
    }
  });
});
