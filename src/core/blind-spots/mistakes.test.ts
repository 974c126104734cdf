import { describe, expect, it } from "vitest";
import { type SmallSeat, smallMachine, smallTypes } from "#tests/small-machine";
import { type PartKind, shapeSchema } from "@/core/anatomy/shapes";
import { singleMistakes } from "./mistakes";

const types = smallTypes({
  cup: { kind: "cupped-washer" },
  washer: { kind: "washer" },
  keyed: { kind: "keyed-washer" },
  friction: { kind: "friction-washer" },
  gear: { kind: "gear" },
  dog: { kind: "dog" },
  spring: { kind: "coil-spring" },
  short: { kind: "screw", threadMm: 3, lengthMm: 6 },
  long: { kind: "screw", threadMm: 3, lengthMm: 9 },
  thick: { kind: "screw", threadMm: 4, lengthMm: 12 },
});
const mistakes = (...seats: SmallSeat[]) => singleMistakes(smallMachine(seats), types);
const ids = (...seats: SmallSeat[]) => mistakes(...seats).map(({ id }) => id);

describe("one piece wrong", () => {
  it("is turned over where it has two sides by its kind (common practice)", () => {
    expect(mistakes({ id: "dog", type: "dog", name: "Dog" })).toEqual([
      { id: "turned dog", kind: "turned", seats: ["dog"], words: "Dog turned over" },
    ]);
    expect(ids({ id: "gear", type: "gear" })).toEqual([]);
  });

  it("is turned over where the seat says that it lies turned", () => {
    expect(ids({ id: "gear", type: "gear", turned: true })).toEqual(["turned gear"]);
  });

  it("is turned over where a ring's way round is said, and only then", () => {
    expect(ids({ id: "w", type: "washer", twoSided: true, orientation: "flat face down" })).toEqual(["turned w", "left-out w"]);
    expect(ids({ id: "w", type: "washer", orientation: "centred" })).toEqual(["left-out w"]);
    expect(ids({ id: "w", type: "washer" })).toEqual(["left-out w"]);
    // A gear that lies with a face to somewhere cannot go on otherwise.
    expect(ids({ id: "g", type: "gear", orientation: "flat face down" })).toEqual([]);
  });

  it("is left out where it is small enough to stay in the tray with the reel closed", () => {
    expect(mistakes({ id: "s", type: "spring", name: "Spring" })).toEqual([
      { id: "left-out s", kind: "left-out", seats: ["s"], words: "Spring left out" },
    ]);
  });

  it("is none at a seat that stays together, nor at one whose piece nobody knows", () => {
    expect(ids({ id: "s", type: "spring", stays: true })).toEqual([]);
    expect(ids({ id: "d", type: "dog", stays: true })).toEqual([]);
    expect(ids({ id: "x", type: "unheard-of" })).toEqual([]);
  });

  it("knows of every kind whether it is small and whether it has two sides (common practice)", () => {
    const kinds = shapeSchema.options.map((option) => option.shape.kind.value as PartKind);
    const of = (kind: "turned" | "left-out") =>
      kinds.filter((one) =>
        singleMistakes(smallMachine([{ id: "p", type: "t" }]), smallTypes({ t: { kind: one } })).some((mistake) => mistake.kind === kind),
      );
    expect(new Set(of("left-out"))).toEqual(
      new Set(
        "washer keyed-washer eared-washer cupped-washer friction-washer coil-spring wire-spring wave-spring pin sleeve bearing o-ring lip-seal clip magnet block".split(
          " ",
        ),
      ),
    );
    expect(new Set(of("turned"))).toEqual(new Set("cupped-washer dog ratchet cam lip-seal roller-clutch".split(" ")));
  });
});

describe("two screws exchanged", () => {
  it("are of one thread and unlike lengths in one assembly", () => {
    expect(mistakes({ id: "a", type: "short", name: "Short" }, { id: "b", type: "long", name: "Long" })).toEqual([
      { id: "swapped a b", kind: "swapped", seats: ["a", "b"], words: "Short and Long exchanged" },
    ]);
    expect(ids({ id: "a", type: "long" }, { id: "b", type: "gear" }, { id: "c", type: "short" })).toEqual(["swapped a c"]);
  });

  it("are neither two alike, nor of two threads, nor of two assemblies, nor with what is no screw", () => {
    expect(ids({ id: "a", type: "short" }, { id: "b", type: "short" })).toEqual([]);
    expect(ids({ id: "a", type: "short" }, { id: "b", type: "thick" })).toEqual([]);
    expect(ids({ id: "a", type: "short" }, { id: "b", type: "long", assemblyId: "plate" })).toEqual([]);
    expect(ids({ id: "a", type: "short" }, { id: "b", type: "gear" })).toEqual([]);
    expect(ids({ id: "a", type: "gear" }, { id: "b", type: "short" }, { id: "c", type: "unheard-of" })).toEqual([]);
  });
});

describe("two neighbours of a stack the other way round", () => {
  const stacked = (...seats: SmallSeat[]) => mistakes(...seats).filter(({ kind }) => kind === "stacked");

  it("are rings of two types, one resting on the other", () => {
    expect(stacked({ id: "a", type: "friction", name: "Carbon" }, { id: "b", type: "keyed", name: "Keyed", restsOn: ["a"] })).toEqual([
      { id: "stacked a b", kind: "stacked", seats: ["a", "b"], words: "Keyed under Carbon instead of over it" },
    ]);
    // By their places in the stack, whatever order they are listed in.
    expect(
      stacked(
        { id: "c", type: "friction", ordinal: 3, restsOn: ["b"] },
        { id: "b", type: "keyed", ordinal: 2, restsOn: ["a"] },
        { id: "a", type: "friction", ordinal: 1 },
      ).map(({ id }) => id),
    ).toEqual(["stacked a b", "stacked b c"]);
  });

  it("are neither two alike, nor with what is no ring, nor such as do not rest on each other", () => {
    expect(stacked({ id: "a", type: "friction" }, { id: "b", type: "friction", restsOn: ["a"] })).toEqual([]);
    expect(stacked({ id: "a", type: "gear" }, { id: "b", type: "friction", restsOn: ["a"] })).toEqual([]);
    expect(stacked({ id: "a", type: "friction" }, { id: "b", type: "gear", restsOn: ["a"] })).toEqual([]);
    expect(stacked({ id: "a", type: "friction" }, { id: "b", type: "keyed" })).toEqual([]);
    expect(stacked({ id: "a", type: "unheard-of" }, { id: "b", type: "keyed", restsOn: ["a"] })).toEqual([]);
    expect(stacked({ id: "a", type: "keyed" }, { id: "b", type: "unheard-of", restsOn: ["a"] })).toEqual([]);
  });

  it("lie on the axis of one assembly", () => {
    expect(stacked({ id: "a", type: "friction" }, { id: "b", type: "keyed", restsOn: ["a"], assemblyId: "plate" })).toEqual([]);
    expect(stacked({ id: "a", type: "friction" }, { id: "b", type: "keyed", restsOn: ["a"], acrossMm: 10 })).toEqual([]);
    expect(
      stacked(
        { id: "a", type: "friction" },
        { id: "z", type: "spring", acrossMm: 10 },
        { id: "y", type: "spring", assemblyId: "plate" },
        { id: "b", type: "keyed", restsOn: ["a"] },
      ).map(({ id }) => id),
    ).toEqual(["stacked a b"]);
  });
});
