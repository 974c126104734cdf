import { describe, expect, it } from "vitest";
import { operationSchema, type PartType, positionSchema } from "@/core/anatomy/types";
import { nothingTold } from "@/core/teardown/seat-outcome";
import type { StepAtBuild } from "@/core/teardown/step";
import { buildActFrom, buildWord, nextBuildAct, provedSeats } from "./build-acts";
import { lastDone, upToCheck } from "./up-to-check";

const seat = (id: string, more: object = {}) =>
  positionSchema.parse({ id, assemblyId: "stack", ordinal: 0, name: id, partTypeId: id, ...more });
/** A step that puts a part of that name in. */
const place = (id: string, change: Partial<StepAtBuild> = {}, more: object = {}): StepAtBuild => ({
  operation: operationSchema.parse({ id: `place-${id}`, kind: "place", ordinal: 0, words: `Fit ${id}`, positionId: id }),
  position: seat(id, more),
  needs: [],
  state: "waiting",
  note: "",
  act: null,
  at: null,
  well: null,
  notDue: false,
  outcome: nothingTold,
  lubricant: null,
  ...change,
});
const check = (id: string, after: string[], change: Partial<StepAtBuild> = {}): StepAtBuild => ({
  ...place(id, change),
  operation: operationSchema.parse({ id, kind: "gate", ordinal: 0, words: id, after }),
  position: null,
  needs: change.needs ?? after,
});
const both = { id: "pair", name: "Pair", positionIds: ["a", "b"] };
const types = new Map<string, PartType>();
const act = (steps: StepAtBuild[], first = "place-a", batches = [both]) => buildActFrom(steps, batches, types, first).operationIds;

describe("one act of the hands going in", () => {
  it("takes its batch along, as far as nothing else has to go in between", () => {
    expect(act([place("a"), place("b")])).toEqual(["place-a", "place-b"]);
    expect(act([place("a"), place("b"), place("c")])).toEqual(["place-a", "place-b"]);
    expect(act([place("a"), place("c"), place("b", { needs: ["place-c"] })])).toEqual(["place-a"]);
    expect(act([place("a"), place("b")], "place-a", [])).toEqual(["place-a"]);
  });

  it("passes over no check that could be made now", () => {
    expect(act([place("a"), check("g", ["place-a"]), place("b")])).toEqual(["place-a"]);
    expect(act([place("a"), check("g", ["place-b"]), place("b")])).toEqual(["place-a", "place-b"]);
    expect(act([check("g", []), place("a"), place("b")], "g")).toEqual(["g"]);
  });

  it("leaves for itself what was left for later, and never does it in passing", () => {
    const later = { state: "skipped", note: "" } as const;
    expect(act([place("a", later), place("b")])).toEqual(["place-a"]);
    expect(act([place("a"), place("b", later)])).toEqual(["place-a"]);
    // Left off by a word, it stands in nobody's way.
    expect(act([place("a"), place("b", { needs: ["place-c"] }), place("c", { state: "skipped", note: "lost" })])).toEqual([
      "place-a",
      "place-b",
    ]);
  });

  it("says one word, not two: a part with another caution waits for an act of its own", () => {
    const steps = [place("a", {}, { caution: "Sharp edge" }), place("b", {}, { caution: "Spring flies" })];
    expect(act(steps)).toEqual(["place-a"]);
    expect(act([place("a", {}, { caution: "Sharp edge" }), place("b", {}, { caution: "Sharp edge" })])).toEqual(["place-a", "place-b"]);
    expect(act([place("a"), place("b", {}, { caution: "Sharp edge" })])).toEqual(["place-a", "place-b"]);
  });
});

/** A step without a part of its own: a tightening, a pressing in, a state that is set. */
const step = (kind: "tighten" | "press" | "set-state", id: string, after: string[], change: Partial<StepAtBuild> = {}): StepAtBuild => ({
  ...place(id, change),
  operation: operationSchema.parse({ id, kind, ordinal: 0, words: id, after }),
  position: null,
  needs: change.needs ?? after,
});

describe("what goes along with the parts of an act", () => {
  it("is the tightening of its own screws, once all of them are in, and nobody else's", () => {
    const screws = [place("a"), place("b")];
    expect(act([...screws, step("tighten", "home", ["place-a", "place-b"])])).toEqual(["place-a", "place-b", "home"]);
    // One of the ring goes in elsewhere: it is drawn down after that one.
    expect(act([...screws, place("c"), step("tighten", "home", ["place-b", "place-c"])])).toEqual(["place-a", "place-b"]);
    const others = [place("c", { state: "done" }), step("tighten", "theirs", ["place-c"])];
    expect(act([...others, ...screws])).toEqual(["place-a", "place-b"]);
    // One that names a part of the act without waiting for it belongs to it as well.
    expect(act([...screws, step("tighten", "home", ["place-b"], { needs: [] })])).toEqual(["place-a", "place-b", "home"]);
  });

  it("is a tightening of a single part by itself, and what is set right after it", () => {
    expect(act([place("a"), step("tighten", "nut", ["place-a"])], "place-a", [])).toEqual(["place-a", "nut"]);
    // With nothing else in the hand a state that waits for nothing is set in the same breath, in a batch it is not.
    expect(act([place("a"), step("set-state", "free", [])], "place-a", [])).toEqual(["place-a", "free"]);
    expect(act([place("a"), place("b"), step("set-state", "free", [])])).toEqual(["place-a", "place-b"]);
  });

  it("leads on from a state to the first part after it and its batch, and from a part to no other without one", () => {
    const free = step("set-state", "free", []);
    const led = buildActFrom([free, place("a", { needs: ["free"] }), place("b", { needs: ["free"] })], [both], types, "free");
    expect(led).toEqual({ operationIds: ["free", "place-a", "place-b"], batch: both });
    const alone = buildActFrom([free, place("c", { needs: ["free"] }), place("a")], [both], types, "free");
    expect(alone).toEqual({ operationIds: ["free", "place-c"], batch: null });
    expect(act([place("c"), place("d")], "place-c", [])).toEqual(["place-c"]);
  });

  it("is none of what failed or waits for something else", () => {
    const screws = [place("a"), place("b")];
    expect(act([...screws, step("tighten", "home", ["place-a"], { state: "failed" })])).toEqual(["place-a", "place-b"]);
    expect(act([...screws, step("press", "in", ["place-a"], { needs: ["place-a", "place-z"] }), place("z")])).toEqual([
      "place-a",
      "place-b",
    ]);
  });
});

describe("what is said at a step", () => {
  const proved = new Set(["a"]);
  it("is its caution, that its part flies, or a trap that no check will show", () => {
    expect(buildWord(place("a", {}, { caution: "Sharp edge" }), types, proved)).toBe("Sharp edge");
    expect(buildWord(place("b"), new Map([["b", { flies: true } as PartType]]), proved)).toBe("flies");
    expect(buildWord(place("b", {}, { trap: "Dish toward the gear" }), types, proved)).toBe("Dish toward the gear");
    expect(buildWord(place("a", {}, { trap: "Dish toward the gear" }), types, proved)).toBe("");
    expect(buildWord(check("g", []), types, proved)).toBe("");
    // What is said of the act stands before what is said of its part, and a caution before that it flies.
    const shown = place("b", {}, { caution: "Sharp edge" });
    expect(buildWord({ ...shown, operation: { ...shown.operation, caution: "Hands clear" } }, types, proved)).toBe("Hands clear");
    expect(buildWord(shown, new Map([["b", { flies: true } as PartType]]), proved)).toBe("Sharp edge");
    // A tightening that names a part says nothing of the part.
    const home = {
      ...place("b", {}, { trap: "Dish toward the gear" }),
      operation: operationSchema.parse({ id: "home", kind: "tighten", ordinal: 0, words: "home" }),
    };
    expect(buildWord(home, types, proved)).toBe("");
  });

  it("leaves out what a check of this build proves: what it names and what that sits on in its assembly, and nothing of another", () => {
    const steps = [
      place("a"),
      place("b", { needs: ["place-a"] }),
      place("c", {}, { assemblyId: "handle" }),
      place("d", { needs: ["place-c", "place-b"] }),
      check("g", ["place-d"]),
    ];
    expect([...provedSeats(steps)].sort()).toEqual(["a", "b", "d"]);
    // A check that is passed, or not to be made, proves nothing that is still to come.
    expect(provedSeats([...steps.slice(0, 4), check("g", ["place-d"], { state: "done" })]).size).toBe(0);
    expect(provedSeats([...steps.slice(0, 4), check("g", ["place-d"], { notDue: true })]).size).toBe(0);
  });
});

describe("what comes next", () => {
  const next = (steps: StepAtBuild[], here: string | null = null) => nextBuildAct(steps, [], types, here)?.operationIds[0] ?? null;
  it("is the check that failed, then a check that can be made, then the assembly at hand, then the order", () => {
    const steps = [place("a"), place("b", {}, { assemblyId: "handle" })];
    expect(next(steps)).toBe("place-a");
    expect(next(steps, "handle")).toBe("place-b");
    expect(next([...steps, check("g", [])])).toBe("g");
    expect(next([...steps, check("g", []), check("h", [], { state: "failed" })])).toBe("h");
    expect(next([place("a", { state: "done" })])).toBeNull();
  });

  it("does not go past a check in the assembly at hand while something before the check is free", () => {
    const steps = [place("a"), check("g", ["place-a"]), place("b", {}, { assemblyId: "handle" })];
    expect(next(steps, "handle")).toBe("place-a");
  });

  it("comes back to what was left for later before whatever waits for it", () => {
    const later = place("a", { state: "skipped", note: "" });
    expect(next([later, place("b", { needs: ["place-a"] })])).toBe("place-a");
    expect(next([later, place("b", { needs: ["place-a"] }), place("c")])).toBe("place-c");
    expect(next([place("a", { state: "skipped", note: "lost" }), place("b", { needs: ["place-a"] })])).toBe("place-b");
  });
});

describe("done to here", () => {
  it("is everything in order up to the next check", () => {
    expect(upToCheck([place("a"), place("b", { needs: ["place-a"] }), check("g", ["place-b"]), place("c")])).toEqual([
      "place-a",
      "place-b",
    ]);
    expect(upToCheck([place("a", { state: "done" }), place("b", { needs: ["place-a"] })])).toEqual(["place-b"]);
    expect(upToCheck([check("g", []), place("a")])).toEqual([]);
  });

  it("stops where something is asked: a piece that is not here, an old one with a proved fault, what failed, what waits for another", () => {
    const wants = { verdict: "replace", renewed: false, toRenew: [] } as unknown as StepAtBuild["well"];
    expect(upToCheck([place("a"), place("b", { well: wants })])).toEqual(["place-a"]);
    expect(upToCheck([place("a", { well: { ...wants!, renewed: true } })])).toEqual(["place-a"]);
    expect(upToCheck([place("a", { well: { ...wants!, renewed: true, toRenew: ["rough-bearing"] } })])).toEqual([]);
    expect(upToCheck([place("a"), place("b", { state: "failed" })])).toEqual(["place-a"]);
    expect(upToCheck([place("a"), place("b", { needs: ["place-z"] })])).toEqual(["place-a"]);
    // Not due and left off by a word are passed; left for later is not.
    expect(upToCheck([place("a", { notDue: true }), place("b")])).toEqual(["place-b"]);
    expect(upToCheck([place("a", { state: "skipped", note: "lost" }), place("b")])).toEqual(["place-b"]);
    expect(upToCheck([place("a", { state: "skipped" }), place("b")])).toEqual([]);
  });

  it("knows what was done last; of one moment, the one that stands later", () => {
    expect(lastDone([place("a"), place("b")])).toBeNull();
    const at = (minute: number) => ({ state: "done", at: `2026-03-02T09:0${minute}:00.000Z` }) as const;
    expect(lastDone([place("a", at(3)), place("b", at(1)), place("c")])?.position?.id).toBe("a");
    expect(lastDone([place("a", at(3)), place("b", at(3))])?.position?.id).toBe("b");
  });
});
