import { describe, expect, it } from "vitest";
import { smallMachine, smallTypes } from "#tests/small-machine";
import { dragStackOf, workingGaps } from "./working-gaps";

const types = smallTypes({
  friction: { kind: "friction-washer" },
  plate: { kind: "keyed-washer" },
  gear: { kind: "gear" },
  pin: { kind: "pin" },
});
const of = (...seats: Parameters<typeof smallMachine>[0]) => dragStackOf(smallMachine(seats), types, "drag").map(({ id }) => id);

describe("the drag stack of an assembly", () => {
  it("goes from what the first friction washer lies on to what lies on the last", () => {
    expect(
      of(
        { id: "base", type: "plate" },
        { id: "gear", type: "gear" },
        { id: "one", type: "friction" },
        { id: "keyed", type: "plate" },
        { id: "two", type: "friction" },
        { id: "metal", type: "plate" },
        { id: "sleeve", type: "plate" },
      ),
    ).toEqual(["gear", "one", "keyed", "two", "metal"]);
  });

  it("may begin or end with a friction washer", () => {
    expect(of({ id: "one", type: "friction" }, { id: "plate", type: "plate" }, { id: "two", type: "friction" })).toEqual([
      "one",
      "plate",
      "two",
    ]);
  });

  it("is in the order of its places, of its own assembly and on its axis", () => {
    expect(
      of(
        { id: "top", type: "plate", ordinal: 5 },
        { id: "washer", type: "friction", ordinal: 3 },
        { id: "beside", type: "pin", ordinal: 2, acrossMm: 9 },
        { id: "elsewhere", type: "friction", ordinal: 4, assemblyId: "plate" },
        { id: "gear", type: "gear", ordinal: 1 },
      ),
    ).toEqual(["gear", "washer", "top"]);
  });

  it("is none without a friction washer, and passes over seats whose piece nobody knows", () => {
    expect(of({ id: "gear", type: "gear" }, { id: "plate", type: "plate" })).toEqual([]);
    expect(of({ id: "odd", type: "unheard-of" }, { id: "washer", type: "friction" })).toEqual(["odd", "washer"]);
  });
});

it("counts a gap wherever two neighbours are fixed to different members", () => {
  const members = (...all: ("gear" | "sleeve" | "none")[]) => workingGaps(all.map((member) => ({ member })));
  expect(members("gear", "none", "sleeve", "none", "none", "gear", "gear", "sleeve")).toBe(3);
  expect(members("none", "gear", "none")).toBe(0);
  expect(members()).toBe(0);
});
