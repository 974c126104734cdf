import { describe, expect, it } from "vitest";
import { type SmallSeat, smallMachine, smallTypes } from "#tests/small-machine";
import { type Look, placeOperationId } from "@/core/anatomy/types";
import type { MistakeKind } from "@/core/vocabulary/mistakes";
import { blindSpots, gateFor } from "./blind-spots";
import { caughtByGate, checksOf } from "./checks";
import { leastCover, loadSolver } from "./least-cover";
import { type Mistake, singleMistakes } from "./mistakes";

const look = (seats: string[], ...shows: MistakeKind[]): Look => ({ words: "Look", seats, shows });
const gate = (lookAt: Look[] = [], after: string[] = []) => ({
  id: "gate-1",
  kind: "gate" as const,
  words: "Try it",
  lookAt,
  after,
  before: [],
  editions: [],
});
const mistake = (kind: Mistake["kind"], ...seats: string[]): Mistake => ({ id: `${kind} ${seats.join(" ")}`, kind, seats, words: "" });

describe("what a gate shows", () => {
  const seats = ["ear", "carbon", "dog", "dog-spring"];
  const all = [
    ...seats.flatMap((seat) => [mistake("turned", seat), mistake("left-out", seat)]),
    mistake("stacked", "ear", "carbon"),
    mistake("swapped", "dog", "carbon"),
  ];
  const shows = (looks: Look[], within = seats) => [...caughtByGate(gate(looks), all, new Set(within))].sort();

  it("is what its looks say, of the kinds and at the seats they say: words alone show nothing", () => {
    expect(shows([look(["dog"], "turned")])).toEqual(["turned dog"]);
    expect(shows([look(["dog", "ear"], "turned", "left-out")])).toEqual(["left-out dog", "left-out ear", "turned dog", "turned ear"]);
    expect(shows([look(["dog"], "turned"), look(["carbon"], "left-out")])).toEqual(["left-out carbon", "turned dog"]);
    expect(shows([look(["dog"]), look([], "turned"), look(["nowhere"], "turned")])).toEqual([]);
  });

  it("is of two pieces only where one look names both", () => {
    expect(shows([look(["ear", "carbon", "dog"], "stacked")])).toEqual(["stacked ear carbon"]);
    expect(shows([look(["dog", "carbon"], "swapped")])).toEqual(["swapped dog carbon"]);
    expect(shows([look(["ear"], "stacked"), look(["carbon"], "stacked")])).toEqual([]);
  });

  it("is nothing that is not in by then, of two pieces both", () => {
    expect(shows([look(["dog"], "left-out")], ["ear", "carbon"])).toEqual([]);
    expect(shows([look(["ear", "carbon"], "stacked")], ["ear", "carbon"])).toEqual(["stacked ear carbon"]);
    expect(shows([look(["ear", "carbon"], "stacked")], ["ear"])).toEqual([]);
  });
});

const types = smallTypes({
  friction: { kind: "friction-washer" },
  keyed: { kind: "keyed-washer" },
  dog: { kind: "dog" },
  short: { kind: "screw", threadMm: 3, lengthMm: 6 },
  long: { kind: "screw", threadMm: 3, lengthMm: 9 },
});
const stack: SmallSeat[] = [
  { id: "carbon", type: "friction", name: "Carbon washer" },
  { id: "keyed", type: "keyed", name: "Keyed washer", restsOn: ["carbon"] },
  { id: "dog", type: "dog", name: "Dog" },
  { id: "one", type: "short", name: "Short screw", assemblyId: "plate" },
  { id: "two", type: "long", name: "Long screw", assemblyId: "plate" },
];
const order = (...ids: string[]) => ids.map((id) => (id.startsWith("gate") ? id : placeOperationId(id)));
const all = order("carbon", "keyed", "dog", "one", "two");

describe("checks a machine could have", () => {
  const anatomy = smallMachine(stack);
  const checks = checksOf(anatomy, all, singleMistakes(anatomy, types));
  const said = (id: string) => checks.find((check) => check.id === id)!;

  it("are one of each kind an assembly has mistakes of, after the last piece it is about", () => {
    expect(checks.map(({ id, gate: is, after }) => [id, is, after])).toEqual([
      ["count-drag", false, placeOperationId("keyed")],
      ["faces-drag", false, placeOperationId("dog")],
      ["order-drag", false, placeOperationId("keyed")],
      ["lengths-plate", false, placeOperationId("two")],
    ]);
    expect([...said("count-drag").catches].sort()).toEqual(["left-out carbon", "left-out keyed"]);
    expect([...said("lengths-plate").catches]).toEqual(["swapped one two"]);
    expect([...said("order-drag").catches]).toEqual(["stacked carbon keyed"]);
  });

  it("take as long as there are pieces to look at", () => {
    expect(said("count-drag").minutes).toBeCloseTo(0.4, 12);
    expect(said("faces-drag").minutes).toBeCloseTo(0.15, 12);
    expect(said("order-drag").minutes).toBeCloseTo(0.2, 12);
    expect(said("lengths-plate").minutes).toBeCloseTo(0.8, 12);
  });

  it("say what is to be done, for one piece and for several", () => {
    expect(said("count-drag").words).toBe("Count the small pieces of drag, none in the tray");
    expect(said("count-drag").counts).toEqual(["carbon", "keyed"]);
    expect(said("faces-drag").counts).toBeUndefined();
    expect(said("faces-drag").words).toBe("Look at the piece of drag that has two sides: is it as it was?");
    expect(said("order-drag").words).toBe("Read the stack of drag off from the base: 2 rings in their order");
    expect(said("lengths-plate").words).toBe("Lay the 2 screws of side plate beside each other by length before they go in");
    const two = smallMachine([
      { id: "a", type: "dog" },
      { id: "b", type: "dog" },
      { id: "c", type: "friction" },
    ]);
    const others = checksOf(two, order("a", "b", "c"), singleMistakes(two, types));
    expect(others.map(({ words }) => words)).toEqual([
      "See that the small piece of drag is in and not in the tray",
      "Look at the 2 pieces of drag that have two sides: each as it was",
    ]);
  });

  it("are none where no piece they are about is placed", () => {
    expect(checksOf(anatomy, order("one"), singleMistakes(anatomy, types)).map(({ id }) => id)).toEqual(["lengths-plate"]);
    const across = [mistake("swapped", "carbon", "one")];
    expect(checksOf(anatomy, all, across)).toEqual([]);
  });
});

describe("gates a machine has", () => {
  const withGate = smallMachine(stack, {
    operations: [gate([look(["dog"], "turned")]), { ...gate(), id: "gate-2" }],
  });

  it("are those of its order, and show what is in before them", () => {
    const mistakes = singleMistakes(withGate, types);
    const at = (...ids: string[]) => checksOf(withGate, order(...ids), mistakes).filter(({ gate: is }) => is);
    expect(at("carbon", "keyed", "dog", "gate-1").map(({ id, minutes, after, words }) => [id, minutes, after, words])).toEqual([
      ["gate-1", 0.3, "gate-1", "Try it"],
    ]);
    expect([...at("carbon", "keyed", "dog", "gate-1")[0]!.catches]).toEqual(["turned dog"]);
    expect([...at("carbon", "keyed", "gate-1", "dog")[0]!.catches]).toEqual([]);
    expect(at("carbon", "keyed", "dog")).toEqual([]);
  });
});

describe("the blind spots of a small machine", async () => {
  const solver = await loadSolver();

  it("are what no gate shows, and checks for them, the most for its time first", () => {
    const anatomy = smallMachine(stack, {
      operations: [gate([look(["dog"], "turned")], [placeOperationId("dog")])],
    });
    const { passing, offers, cheapest, cover, mistakes } = blindSpots(solver, anatomy, types)!;
    expect(mistakes).toHaveLength(5);
    expect(passing.map(({ id }) => id).sort()).toEqual(["left-out carbon", "left-out keyed", "stacked carbon keyed", "swapped one two"]);
    // By mistakes a minute: 2 in 0.4, 1 in 0.2 (alike, so by name), 1 in 0.8. The faces show nothing the gate does not.
    expect(offers.map(({ id }) => id)).toEqual(["count-drag", "order-drag", "lengths-plate"]);
    expect(cheapest).toBe(offers[0]);
    expect(offers[0]!.shows.map(({ id }) => id)).toEqual(["left-out carbon", "left-out keyed"]);
    expect(cover.minutes).toBeCloseTo(0.4 + 0.2 + 0.8 + 0.15, 9);
  });

  it("have their checks in the order of what they show a minute, and of their names where that is alike", () => {
    const offered = (...seats: SmallSeat[]) => blindSpots(solver, smallMachine(seats), types)!.offers.map(({ id }) => id);
    const screws: SmallSeat[] = [
      { id: "one", type: "short" },
      { id: "two", type: "long" },
    ];
    expect(offered(...screws, { id: "dog", type: "dog", assemblyId: "plate" })).toEqual(["faces-plate", "lengths-drag"]);
    const washer = (assemblyId: string): SmallSeat => ({ id: `in-${assemblyId}`, type: "friction", assemblyId });
    const alike = smallMachine([washer("zinc"), washer("brass")], {
      assemblies: [
        { id: "zinc", name: "Zinc", side: "handle" },
        { id: "brass", name: "Brass", side: "tail" },
      ],
    });
    expect(blindSpots(solver, alike, types)!.offers.map(({ id }) => id)).toEqual(["count-brass", "count-zinc"]);
  });

  it("are unknown where operations wait for each other", () => {
    const looks = { ...gate([look(["dog"], "turned")], [placeOperationId("keyed")]), before: [placeOperationId("carbon")] };
    const circle = smallMachine(stack, { operations: [looks] });
    expect(blindSpots(solver, circle, types)).toBeNull();
    expect(gateFor(circle, types, "faces-drag")).toBeNull();
  });

  it("have a gate for each check that is offered, with what it shows to look at", () => {
    const anatomy = smallMachine(stack.map((seat) => (seat.id === "dog" ? { ...seat, name: "Dog ".repeat(19).trim() } : seat)));
    expect(gateFor(anatomy, types, "count-drag")).toEqual({
      words: "Count the small pieces of drag, none in the tray",
      after: [placeOperationId("keyed")],
      counts: ["carbon", "keyed"],
      lookAt: [
        { words: "Carbon washer left out", seats: ["carbon"], shows: ["left-out"] },
        { words: "Keyed washer left out", seats: ["keyed"], shows: ["left-out"] },
      ],
    });
    expect(gateFor(anatomy, types, "faces-drag")!.lookAt.map(({ words }) => words)).toEqual([`${"Dog ".repeat(19)}turned over`]);
    expect(gateFor(anatomy, types, "nothing")).toBeNull();
  });

  it("have no check where there is no mistake", () => {
    expect(leastCover(solver, [], ["m"])).toEqual({ checks: [], minutes: 0, proven: true, never: ["m"] });
    const anatomy = smallMachine([{ id: "s", type: "short" }]);
    expect(blindSpots(solver, anatomy, types)).toMatchObject({ mistakes: [], passing: [], offers: [], cheapest: null });
  });
});
