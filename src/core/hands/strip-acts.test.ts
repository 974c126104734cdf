import { describe, expect, it } from "vitest";
import { type Anatomy, anatomySchema, type PartType, type Position } from "@/core/anatomy/types";
import { actFrom, mayComeOff, type StripGuide, stripWord } from "./strip-acts";

const seat = (id: string, more: object = {}) => ({ id, assemblyId: "side", ordinal: 0, name: id, partTypeId: id, ...more });
const machine = (...positions: object[]): Anatomy =>
  anatomySchema.parse({ assemblies: [{ id: "side", name: "Side", side: "handle" }], positions, operations: [] });
const part = (id: string, more: Partial<PartType> = {}): PartType => ({
  id,
  number: id,
  name: id,
  role: id,
  shape: { kind: "washer", outsideMm: 9, insideMm: 5, thicknessMm: 1 },
  material: "steel",
  priceMinor: 0,
  ...more,
});
const guide = (anatomy: Anatomy, batches: StripGuide["batches"] = [], parts: readonly PartType[] = []): StripGuide => ({
  anatomy,
  types: new Map(parts.map((one) => [one.id, one])),
  batches,
  expected: anatomy.positions.map(({ id }) => id).reverse(),
});
const off = (...ids: string[]): ReadonlySet<string> => new Set(ids);

describe("what is said before the hand moves at a part", () => {
  const position = (more: object = {}): Position => machine(seat("a", more)).positions[0]!;
  const leftHand = part("a", { thread: "left" });

  it("is its caution, else the hazard of the part, else that it flies, else that it turns the other way, else nothing", () => {
    const all = { hazard: "Old lining", flies: true };
    expect(stripWord(position({ caution: "Sharp edge" }), part("a", all))).toBe("Sharp edge");
    expect(stripWord(position(), part("a", all))).toBe("Old lining");
    expect(stripWord(position(), part("a", { flies: true }))).toBe("flies");
    expect(stripWord(position(), leftHand)).toBe("left-hand");
    expect(stripWord(position(), part("a"))).toBe("");
    expect(stripWord(position(), undefined)).toBe("");
  });
});

describe("whether a part can come off", () => {
  const stacked = machine(seat("a"), seat("b", { restsOn: ["a"] }), seat("c", { restsOn: ["a"] }));

  it("waits for all that lies on it, and for nothing that stays", () => {
    const may = mayComeOff(guide(stacked));
    expect([may("a", off()), may("a", off("b")), may("a", off("b", "c")), may("b", off())]).toEqual([false, false, true, true]);
    // What is not expected off never holds it.
    expect(mayComeOff({ ...guide(stacked), expected: ["a", "b"] })("a", off("b"))).toBe(true);
  });
});

describe("what comes off in one act", () => {
  const tower = machine(seat("a"), seat("b", { restsOn: ["a"] }), seat("c", { restsOn: ["b"] }));
  const all = { id: "tower", name: "Tower", positionIds: ["a", "b", "c"] };

  it("is all of the batch that comes along, whatever order it is written in", () => {
    const asWritten = { ...guide(tower, [all]), expected: ["a", "b", "c"] };
    expect(actFrom(asWritten, "c", off())).toEqual({ positionIds: ["c", "b", "a"], batch: all });
    expect(actFrom(guide(tower, [all]), "b", off("c"))).toEqual({ positionIds: ["b", "a"], batch: all });
  });

  it("is the part alone where it has no batch, or nothing of it can follow", () => {
    expect(actFrom(guide(tower), "c", off())).toEqual({ positionIds: ["c"], batch: null });
    const held = machine(seat("a"), seat("b"), seat("lid", { restsOn: ["b"] }));
    const pair = { id: "pair", name: "Pair", positionIds: ["a", "b"] };
    expect(actFrom(guide(held, [pair]), "a", off())).toEqual({ positionIds: ["a"], batch: null });
  });

  it("says one word: what is said of one part goes for all that have it or have none, another word waits", () => {
    const flat = (...words: (string | undefined)[]) => machine(...words.map((caution, i) => seat("abc"[i]!, caution ? { caution } : {})));
    const taken = (anatomy: Anatomy) => [...actFrom(guide(anatomy, [all]), "a", off()).positionIds].sort();
    expect(taken(flat("Sharp", "Sharp", undefined))).toEqual(["a", "b", "c"]);
    expect(taken(flat(undefined, undefined, "Sharp"))).toEqual(["a", "b", "c"]);
    expect(taken(flat("Sharp", "Flies", undefined))).toEqual(["a", "c"]);
    // Two words among the rest: the first that comes is said, the other waits.
    expect(taken(flat(undefined, "Sharp", "Flies"))).toHaveLength(2);
  });
});
