import { describe, expect, it } from "vitest";
import { type SmallSeat, smallMachine, smallTypes } from "#tests/small-machine";
import { placeOperationId } from "@/core/anatomy/types";
import { blindSpots, gateFor } from "./blind-spots";
import { caughtByGate, checksOf } from "./checks";
import { leastCover, loadSolver } from "./least-cover";
import { type Mistake, singleMistakes } from "./mistakes";

const gate = (words: string, lookAt: string[] = [], after: string[] = []) => ({
  id: "gate-1",
  kind: "gate" as const,
  words,
  lookAt,
  after,
  before: [],
  editions: [],
});
const mistake = (kind: Mistake["kind"], ...seats: string[]): Mistake => ({ id: `${kind} ${seats.join(" ")}`, kind, seats, words: "" });

describe("what a gate shows", () => {
  const seats = [
    { id: "ear", type: "keyed", name: "Eared washer, lower" },
    { id: "carbon", type: "friction", name: "Carbon washers" },
    { id: "dog", type: "dog", name: "Anti-reverse dog" },
    { id: "dog-spring", type: "spring", name: "Dog spring" },
    { id: "pin", type: "pin", name: "Go" },
  ];
  const anatomy = smallMachine(seats);
  const all = [
    ...["ear", "carbon", "dog", "dog-spring", "pin"].flatMap((seat) => [mistake("turned", seat), mistake("left-out", seat)]),
    mistake("stacked", "ear", "carbon"),
    mistake("swapped", "dog", "carbon"),
  ];
  const roles: Record<string, string> = { ear: "washer", carbon: "friction", dog: "dog", "dog-spring": "spring", pin: "pin" };
  const shows = (words: string, lookAt: string[] = [], within = seats.map(({ id }) => id), role = (seat: string) => roles[seat]!) =>
    [...caughtByGate(gate(words, lookAt), anatomy, role, all, new Set(within))].sort();

  it("is a piece turned or left out at the seat it names, where it speaks of no kind of mistake", () => {
    expect(shows("Try the anti-reverse dog by hand")).toEqual(["left-out dog", "turned dog"]);
    expect(shows("Nothing of these")).toEqual([]);
  });

  it("is of the kind it speaks of, where it speaks of one", () => {
    expect(shows("Is the anti-reverse dog upside down?")).toEqual(["turned dog"]);
    expect(shows("Is the anti-reverse dog missing?")).toEqual(["left-out dog"]);
    expect(shows("Is the anti-reverse dog missing, or upside down?")).toEqual(["left-out dog", "turned dog"]);
    expect(shows("Are eared washer and carbon washer in order?")).toEqual(["stacked ear carbon", "swapped dog carbon"]);
    expect(shows("Is a carbon washer exchanged?")).toEqual(["stacked ear carbon", "swapped dog carbon"]);
    expect(shows("Is the eared washer missing, out of order or turned?")).toEqual(["left-out ear", "stacked ear carbon", "turned ear"]);
  });

  it("is read in its words and in each place it says to look at, each for itself", () => {
    expect(shows("Turn the handle", ["anti-reverse dog upside down", "carbon washer left out"])).toEqual(["left-out carbon", "turned dog"]);
  });

  it("tells a longer name from a shorter within it", () => {
    expect(shows("Is the dog spring missing?")).toEqual(["left-out dog-spring"]);
    expect(shows("Is the dog missing?")).toEqual(["left-out dog"]);
    expect(shows("Are dog spring and dog missing?")).toEqual(["left-out dog", "left-out dog-spring"]);
  });

  it("takes the last word of a name for it where only one role ends so", () => {
    // Washers here are of two roles; nobody knows which is meant.
    expect(shows("A washer is missing")).toEqual([]);
    expect(shows("A washer is missing", [], undefined, (seat) => (seat === "ear" ? "friction" : roles[seat]!))).toEqual([
      "left-out carbon",
      "left-out ear",
    ]);
    // What stands behind a comma is no part of the name, and one of several is named by its singular.
    expect(shows("Is the eared washer missing?")).toEqual(["left-out ear"]);
    expect(shows("Are the carbon washers missing?")).toEqual(["left-out carbon"]);
    expect(shows("Is it lower, or missing?")).toEqual([]);
  });

  it("is named by no word of two letters", () => {
    expect(shows("Go on: is it missing?")).toEqual([]);
  });

  it("is nothing that is not in by then, of two pieces both", () => {
    expect(shows("Is the anti-reverse dog missing?", [], ["ear", "carbon"])).toEqual([]);
    expect(shows("Are eared washer and carbon washer in order?", [], ["ear", "carbon"])).toEqual(["stacked ear carbon"]);
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
  const checks = checksOf(anatomy, types, all, singleMistakes(anatomy, types));
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
    expect(said("count-drag").words).toBe("Count the small pieces of drag: 2 are in, none in the tray");
    expect(said("faces-drag").words).toBe("Look at the piece of drag that has two sides: is it as it was?");
    expect(said("order-drag").words).toBe("Read the stack of drag off from the base: 2 rings in their order");
    expect(said("lengths-plate").words).toBe("Lay the 2 screws of side plate beside each other by length before they go in");
    const two = smallMachine([
      { id: "a", type: "dog" },
      { id: "b", type: "dog" },
      { id: "c", type: "friction" },
    ]);
    const others = checksOf(two, types, order("a", "b", "c"), singleMistakes(two, types));
    expect(others.map(({ words }) => words)).toEqual([
      "See that the small piece of drag is in and not in the tray",
      "Look at the 2 pieces of drag that have two sides: each as it was",
    ]);
  });

  it("are none where no piece they are about is placed", () => {
    expect(checksOf(anatomy, types, order("one"), singleMistakes(anatomy, types)).map(({ id }) => id)).toEqual(["lengths-plate"]);
    const across = [mistake("swapped", "carbon", "one")];
    expect(checksOf(anatomy, types, all, across)).toEqual([]);
  });
});

describe("gates a machine has", () => {
  const withGate = smallMachine(stack, {
    operations: [gate("Is the dog, or a washer, missing or upside down?"), { ...gate("Never"), id: "gate-2" }],
  });

  it("are those of its order, and show what is in before them", () => {
    const mistakes = singleMistakes(withGate, types);
    const at = (...ids: string[]) => checksOf(withGate, types, order(...ids), mistakes).filter(({ gate: is }) => is);
    expect(at("carbon", "keyed", "dog", "gate-1").map(({ id, minutes, after, words }) => [id, minutes, after, words])).toEqual([
      ["gate-1", 0.3, "gate-1", "Is the dog, or a washer, missing or upside down?"],
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
      operations: [gate("Is the dog upside down?", [], [placeOperationId("dog")])],
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
    const looks = { ...gate("Is the dog upside down?", [], [placeOperationId("keyed")]), before: [placeOperationId("carbon")] };
    const circle = smallMachine(stack, { operations: [looks] });
    expect(blindSpots(solver, circle, types)).toBeNull();
    expect(gateFor(circle, types, "faces-drag")).toBeNull();
  });

  it("have a gate for each check that is offered, with what it shows to look at", () => {
    const anatomy = smallMachine(stack.map((seat) => (seat.id === "dog" ? { ...seat, name: "Dog ".repeat(19).trim() } : seat)));
    expect(gateFor(anatomy, types, "count-drag")).toEqual({
      words: "Count the small pieces of drag: 2 are in, none in the tray",
      after: [placeOperationId("keyed")],
      lookAt: ["Carbon washer left out", "Keyed washer left out"],
    });
    expect(gateFor(anatomy, types, "faces-drag")!.lookAt).toEqual([`${"Dog ".repeat(19)}turned over`]);
    expect(gateFor(anatomy, types, "nothing")).toBeNull();
  });

  it("have no check where there is no mistake", () => {
    expect(leastCover(solver, [], ["m"])).toEqual({ checks: [], minutes: 0, proven: true, never: ["m"] });
    const anatomy = smallMachine([{ id: "s", type: "short" }]);
    expect(blindSpots(solver, anatomy, types)).toMatchObject({ mistakes: [], passing: [], offers: [], cheapest: null });
  });
});
