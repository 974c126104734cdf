import { describe, expect, it } from "vitest";
import { type PartType, positionSchema } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { batchesOf } from "./batches";

/** A part of a kind, from the family that has one: its sizes play no part here. */
const ofKind = (kind: string, id: string): [string, PartType] => [
  id,
  {
    ...Object.values(families)
      .flatMap(({ parts }) => parts)
      .find(({ shape }) => shape.kind === kind)!,
    id,
  },
];
const types = new Map([ofKind("screw", "screw"), ofKind("nut", "nut"), ofKind("washer", "washer"), ofKind("gear", "gear")]);
let ordinal = 0;
const seat = (id: string, partTypeId: string, more: object = {}) =>
  positionSchema.parse({ id, assemblyId: "plate", ordinal: ordinal++, name: id, partTypeId, ...more });
const found = (
  positions: ReturnType<typeof seat>[],
  batches: { id: string; name: string; positionIds: string[] }[] = [],
  unit?: Set<string>,
) => batchesOf({ positions, batches }, types, unit).map(({ name, positionIds }) => [name, ...positionIds]);

describe("what hands do as one (common practice)", () => {
  it("is a ring of screws through one plate, named for what they share", () => {
    const ring = ["front", "rear", "low"].map((at) =>
      seat(`s-${at}`, "screw", { name: `Side plate screw, ${at}`, passesThrough: ["cover"] }),
    );
    expect(found(ring)).toEqual([["Side plate screws", "s-front", "s-rear", "s-low"]]);
  });

  it("is no ring where the screws go through other plates, stand in other assemblies, or are nuts among screws", () => {
    const screw = (id: string, more: object = {}) => seat(id, "screw", { passesThrough: ["cover"], ...more });
    expect(found([screw("a"), screw("b", { passesThrough: ["foot"] })])).toEqual([]);
    expect(found([screw("a"), screw("b", { assemblyId: "handle" })])).toEqual([]);
    expect(found([screw("a"), seat("b", "nut", { passesThrough: ["cover"] })])).toEqual([]);
    expect(found([screw("a", { passesThrough: [], restsOn: ["rim"] }), screw("b", { passesThrough: [], restsOn: ["rim"] })])).toHaveLength(
      1,
    );
  });

  it("is a stack of washers on one axis; another part between them, another axis or another assembly parts it, one alone is none", () => {
    const washer = (id: string, more: object = {}) => seat(id, "washer", more);
    expect(found([washer("a"), washer("b"), washer("c")])).toEqual([["Stack", "a", "b", "c"]]);
    expect(found([washer("a"), washer("b"), seat("g", "gear"), washer("c"), washer("d")])).toEqual([
      ["Stack", "a", "b"],
      ["Stack", "c", "d"],
    ]);
    expect(found([washer("a"), seat("g", "gear"), washer("b")])).toEqual([]);
    expect(found([washer("a"), washer("b", { acrossMm: 12 })])).toEqual([]);
    expect(found([washer("a"), washer("b", { assemblyId: "spool" })])).toEqual([]);
  });

  it("goes by the order along the axis, not by the order of the list", () => {
    const [a, b, c] = [seat("a", "washer"), seat("b", "washer"), seat("c", "washer")];
    expect(found([c, a, b])).toEqual([["Stack", "a", "b", "c"]]);
  });

  it("is what the model says before all else, and a seat belongs to one batch alone", () => {
    const seats = [seat("a", "washer"), seat("b", "washer"), seat("c", "washer"), seat("d", "washer")];
    expect(found(seats, [{ id: "own", name: "Brake", positionIds: ["b", "c"] }])).toEqual([["Brake", "b", "c"]]);
    expect(
      found(seats, [
        { id: "one", name: "One", positionIds: ["a", "b"] },
        { id: "two", name: "Two", positionIds: ["b", "c"] },
      ]),
    ).toEqual([
      ["One", "a", "b"],
      ["Stack", "c", "d"],
    ]);
  });

  it("is a sealed unit as a whole, whatever lies in it", () => {
    const seats = [seat("a", "washer"), seat("g", "gear"), seat("b", "washer")];
    expect(found(seats, [{ id: "own", name: "Pair", positionIds: ["a", "b"] }], new Set(["a", "g"]))).toEqual([["Sealed unit", "a", "g"]]);
  });
});
