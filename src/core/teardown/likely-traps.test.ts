import { describe, expect, it } from "vitest";
import { lookFromWords } from "@/core/anatomy/read-older";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { buildOrder } from "./build-order";
import { likelyTraps } from "./likely-traps";
import { removalOrder } from "./removal-order";

const actsOf = (family: keyof typeof families, until: string) => {
  const { anatomy } = families[family];
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  const at = built.value.steps.findIndex(({ operation }) => operation.id === until);
  return built.value.steps.map(({ operation, position }, i) => ({ operation, position, done: i < at }));
};

describe("where to look when a gate fails", () => {
  it("asks first after what the gate asks after, and ties it to its seat", () => {
    const traps = likelyTraps(actsOf("star-drag-bridge", "gate-dog"), "gate-dog");
    expect(traps[0]!.because).toMatch(/check tests/);
    expect(traps[0]!.positionId).toBe("dog-spring");
    expect(traps.map(({ positionId }) => positionId)).toContain("dog");
  });

  it("names nothing from before the last gate that passed", () => {
    const acts = actsOf("star-drag-bridge", "gate-star");
    const lastGate = acts.filter(({ done }) => done).findLastIndex(({ operation }) => operation.kind === "gate");
    const proved = new Set(acts.slice(0, lastGate).flatMap(({ position }) => (position ? [position.id] : [])));
    for (const { positionId } of likelyTraps(acts, "gate-star")) if (positionId) expect(proved.has(positionId), positionId).toBe(false);
    expect(likelyTraps(acts, "gate-star").map(({ positionId }) => positionId)).toEqual(expect.arrayContaining(["tension-upper"]));
  });

  it("puts first what failed this gate before", () => {
    const traps = likelyTraps(actsOf("star-drag-bridge", "gate-star"), "gate-star", new Map([["star", 2]]));
    expect(traps[0]).toMatchObject({ positionId: "star", because: "it was this 2 times before" });
  });

  it("has something to say at every gate of every family", () => {
    for (const id of Object.keys(families) as (keyof typeof families)[])
      for (const { operation } of actsOf(id, "").filter((act) => act.operation.kind === "gate"))
        expect(likelyTraps(actsOf(id, operation.id), operation.id).length, `${id} ${operation.id}`).toBeGreaterThan(0);
  });

  it("says nothing of a gate that is not there", () => expect(likelyTraps([], "gate-dog")).toEqual([]));
});

describe("what is named where a gate fails", () => {
  const name = (id: string) => families["star-drag-bridge"].anatomy.positions.find((position) => position.id === id)!.name;

  it("is each seat once, by the strongest reason, and nothing that is not in", () => {
    const acts = actsOf("star-drag-bridge", "gate-star");
    const seats = likelyTraps(acts, "gate-star", new Map([["star", 1]])).flatMap(({ positionId }) => positionId ?? []);
    expect(new Set(seats).size).toBe(seats.length);
    expect(likelyTraps(acts, "gate-star", new Map([["star", 1]]))[0]!.because).toBe("it was this once before");
    const without = acts.map((act) => (act.position?.id === "tension-upper" ? { ...act, done: false } : act));
    expect(likelyTraps(without, "gate-star").map(({ positionId }) => positionId)).not.toContain("tension-upper");
  });

  it("comes in the order of how often it was the cause, and not at all by a cause from before the last gate", () => {
    const acts = actsOf("star-drag-bridge", "gate-star");
    const since = likelyTraps(acts, "gate-star").flatMap(({ positionId }) => positionId ?? []);
    const [first, second] = since as [string, string];
    const often = likelyTraps(
      acts,
      "gate-star",
      new Map([
        [second, 5],
        [first, 2],
        ["dog", 9],
      ]),
    );
    expect(often.slice(0, 2).map(({ positionId }) => positionId)).toEqual([second, first]);
    expect(often.map(({ positionId }) => positionId)).not.toContain("dog");
  });

  it("is a look without a seat where it says no seat; the way to it is what went in last", () => {
    const acts = actsOf("star-drag-bridge", "gate-dog").map((act) =>
      act.operation.id === "gate-dog"
        ? {
            ...act,
            operation: {
              ...act.operation,
              lookAt: [lookFromWords("Something quite else"), { words: name("dog"), seats: ["dog", "no-seat-of-this-build"], shows: [] }],
            },
          }
        : act,
    );
    const [other, dog] = likelyTraps(acts, "gate-dog");
    const last = acts.findLast(({ operation, done }) => operation.kind === "place" && done)!.operation.id;
    expect(other).toMatchObject({ positionId: null, operationId: last, words: "Something quite else", because: "the check tests it" });
    expect(dog).toMatchObject({ positionId: "dog", operationId: "place-dog" });
  });

  it("is at least three places where three went in, each with the step to open again, in every family and at every check", () => {
    for (const family of familyIds)
      for (const { id, kind } of families[family].anatomy.operations) {
        if (kind !== "gate") continue;
        const acts = actsOf(family, id).map((act) => ({ ...act, operation: { ...act.operation, lookAt: [] } }));
        const traps = likelyTraps(acts, id);
        const at = acts.findIndex(({ operation }) => operation.id === id);
        const since = acts.slice(acts.slice(0, at).findLastIndex(({ operation, done }) => operation.kind === "gate" && done) + 1, at);
        const placed = since.filter(({ operation, done }) => operation.kind === "place" && done).length;
        expect(traps.length, `${family} ${id}`).toBeGreaterThanOrEqual(Math.min(3, placed));
        expect(
          traps.filter(({ operationId }) => operationId === null),
          `${family} ${id}`,
        ).toEqual([]);
      }
  });
});
