import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#tests/skerry";
import { anatomySchema, placeOperationId } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { buildOrder } from "./build-order";
import { checkOrder } from "./check-order";
import { removalOrder } from "./removal-order";

const built = (anatomy: typeof skerry30Anatomy) => {
  const order = buildOrder(anatomy, removalOrder(anatomy));
  if (!order.ok) throw new Error(order.message);
  return order.value.steps.map((step) => step.operation.id);
};

describe("an order as it was really done", () => {
  it("holds for the computed order of every family, as operations", () => {
    for (const anatomy of [skerry30Anatomy, ...Object.values(families).map(({ anatomy }) => anatomy)])
      expect(checkOrder(anatomy, removalOrder(anatomy), built(anatomy))).toEqual([]);
  });

  it("finds any two neighbours swapped that belong the other way round, names the trapped one and why", () => {
    const order = built(skerry30Anatomy);
    const result = buildOrder(skerry30Anatomy, removalOrder(skerry30Anatomy));
    const needs = new Map(result.ok ? result.value.steps.map((step) => [step.operation.id, step.needs]) : []);
    fc.assert(
      fc.property(fc.nat(order.length - 2), (i) => {
        const swapped = [...order];
        [swapped[i], swapped[i + 1]] = [order[i + 1]!, order[i]!];
        const errors = checkOrder(skerry30Anatomy, removalOrder(skerry30Anatomy), swapped);
        if (!needs.get(order[i + 1]!)!.includes(order[i]!)) {
          expect(errors).toEqual([]);
          return;
        }
        expect(errors).toContainEqual(
          expect.objectContaining({ at: i + 1, kind: "too-early", operation: order[i + 1], trapped: order[i] }),
        );
        expect(errors[0]!.reason.length).toBeGreaterThan(8);
      }),
    );
  });

  it("tells what was left in the tray, done twice, and asked for by nobody; seats count as their placing", () => {
    const removed = ["lock-screw", "handle-nut", "handle"];
    expect(
      checkOrder(skerry30Anatomy, removed, ["handle", "handle", "ghost"]).map(({ kind, operation }) => `${kind} ${operation}`),
    ).toEqual(expect.arrayContaining(["twice place-handle", "stranger ghost", "never place-handle-nut", "never place-lock-screw"]));
  });

  it("catches the keyed washer that went in before the eared one under it (common practice)", () => {
    const order = built(skerry30Anatomy);
    const [low, high] = ["friction-low", "keyed-low"].map((id) => placeOperationId(id));
    if (!order.includes(low!) || !order.includes(high!)) throw new Error("the demo's stack has other names");
    const wrong = order.filter((id) => id !== low);
    wrong.splice(wrong.indexOf(high!) + 1, 0, low!);
    expect(checkOrder(skerry30Anatomy, removalOrder(skerry30Anatomy), wrong)).toContainEqual(
      expect.objectContaining({ kind: "too-early", trapped: low, operation: high }),
    );
  });
});

describe("the build order where the removal is against it", () => {
  const machine = (parts: { id: string; restsOn?: string[]; assemblyId?: string }[], beside = false) =>
    anatomySchema.parse({
      assemblies: [
        { id: "a", name: "A", side: "handle", ...(beside ? { beside } : {}) },
        { id: "b", name: "B", side: "tail" },
      ],
      positions: parts.map(({ id, restsOn = [], assemblyId = "a" }, ordinal) => ({
        id,
        assemblyId,
        ordinal,
        name: id,
        partTypeId: "t",
        restsOn,
      })),
      operations: [],
    });
  const order = (anatomy: ReturnType<typeof machine>, removed: string[], added: string[] = []) => {
    const result = buildOrder(anatomy, removed, added);
    if (!result.ok) throw new Error(result.message);
    return { seats: result.value.steps.map((step) => step.position!.id), ...result.value };
  };

  it("moves as few pairs as can be: one part pried off from under three goes back first", () => {
    const anatomy = machine([
      { id: "base" },
      { id: "x", restsOn: ["base"] },
      { id: "y", restsOn: ["base"] },
      { id: "z", restsOn: ["base"] },
    ]);
    const { seats, inversions, proven } = order(anatomy, ["base", "z", "y", "x"]);
    expect(seats).toEqual(["base", "x", "y", "z"]);
    expect([inversions, proven]).toEqual([3, true]);
  });

  it("keeps what is built beside the reel together", () => {
    const parts = [{ id: "p" }, { id: "other", assemblyId: "b" }, { id: "q", restsOn: ["p"] }];
    expect(order(machine(parts), ["q", "other", "p"]).seats).toEqual(["p", "other", "q"]);
    const { seats, inversions } = order(machine(parts, true), ["q", "other", "p"]);
    expect(Math.abs(seats.indexOf("p") - seats.indexOf("q"))).toBe(1);
    expect(inversions).toBe(1);
  });

  it("lets a kit's companion fall in where the model would have it", () => {
    const anatomy = machine([{ id: "base" }, { id: "middle", restsOn: ["base"] }, { id: "top", restsOn: ["middle"] }]);
    expect(order(anatomy, ["top", "base"], ["middle"]).seats).toEqual(["base", "middle", "top"]);
  });

  it("explains an impossible set by one shortest circle, each edge with its reason", () => {
    const anatomy = machine([{ id: "p", restsOn: ["q"] }, { id: "q", restsOn: ["p"] }, { id: "r" }]);
    const result = buildOrder(anatomy, ["p", "q", "r"]);
    expect(result).toMatchObject({ ok: false, code: "conflict" });
    if (result.ok || !("circle" in result)) throw new Error("no circle");
    expect(result.circle.map(({ reason }) => reason).sort()).toEqual(["p sits on q", "q sits on p"]);
    expect(() => checkOrder(anatomy, ["p"], ["p"])).toThrow(RangeError);
  });
});
