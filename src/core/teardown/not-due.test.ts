import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { buildOrder } from "./build-order";
import { notDue } from "./not-due";
import { removalOrder } from "./removal-order";

const { anatomy, parts } = families["star-drag-bridge"];
const kinds = new Map(parts.map(({ id, shape }) => [id, shape.kind]));
const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
const operations = (() => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  return built.value.steps.map(({ operation }) => operation);
})();
const impossible = (...out: string[]) => [...notDue(operations, new Set(out), (id) => kinds.get(seats.get(id)!.partTypeId)).keys()];

describe("what nobody can do while a part stays out", () => {
  it("is nothing while all go in", () => expect(impossible()).toEqual([]));

  it("is the part's own place, and the check that works on it", () => {
    expect(impossible("dog-spring")).toEqual(expect.arrayContaining(["place-dog-spring", "gate-dog"]));
    expect(impossible("dog-spring")).not.toContain("gate-star");
  });

  it("is not the check of what a missing screw holds beside three others", () => {
    expect(impossible("bridge-screw-low-rear")).toEqual(["place-bridge-screw-low-rear"]);
  });

  it("is all that hangs on a plate once every screw of it stays out", () => {
    const screws = ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"];
    expect(impossible(...screws)).toEqual(expect.arrayContaining(["tighten-bridge", "gate-sleeve", "gate-lever"]));
  });
});
