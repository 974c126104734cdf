import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy } from "#tests/skerry";
import { seatConstraints } from "@/core/anatomy/constraints";
import { type Anatomy, anatomySchema, placeOperationId } from "@/core/anatomy/types";
import { buildOrder } from "./build-order";
import { leftOver, missingBefore } from "./left-over";
import { removalOrder } from "./removal-order";

/** A random machine: seats of one assembly, each resting only on earlier ones, so that it has no cycle. */
const machines = fc.array(fc.array(fc.nat(), { maxLength: 3 }), { minLength: 1, maxLength: 14 }).map((links) =>
  anatomySchema.parse({
    assemblies: [{ id: "a", name: "A", side: "handle" }],
    positions: links.map((link, i) => ({
      id: `p${i}`,
      assemblyId: "a",
      ordinal: i,
      name: `Part ${i}`,
      partTypeId: "t",
      restsOn: i === 0 ? [] : [...new Set(link.map((n) => `p${n % i}`))],
    })),
    operations: [],
  }),
);

const orderOf = (anatomy: Anatomy, removed: readonly string[]): string[] => {
  const built = buildOrder(anatomy, removed);
  if (!built.ok) throw new Error(built.message);
  return built.value.steps.filter((step) => step.operation.kind === "place").map((step) => step.position!.id);
};

describe("removal order", () => {
  it("never takes a part from under another, on random machines", () => {
    fc.assert(
      fc.property(machines, (machine) => {
        const order = removalOrder(machine);
        expect(new Set(order).size).toBe(machine.positions.length);
        for (const c of seatConstraints(machine)) expect(order.indexOf(c.after)).toBeLessThan(order.indexOf(c.before));
      }),
    );
  });

  it("begins with the lock screw and the handle, as a bench does (common practice)", () => {
    // The knob stays on its handle unless somebody asks for it.
    const stays = new Set(skerry30Anatomy.positions.filter((position) => position.stays).map(({ id }) => id));
    expect(
      removalOrder(skerry30Anatomy)
        .filter((id) => !stays.has(id))
        .slice(0, 4),
    ).toEqual(["lock-screw", "handle-nut", "handle", "handle-spacer"]);
  });
});

describe("build order", () => {
  it("is exactly the reverse of the removal when nothing forbids it", () => {
    fc.assert(
      fc.property(machines, (machine) => {
        expect(orderOf(machine, removalOrder(machine))).toEqual([...removalOrder(machine)].reverse());
      }),
    );
  });

  it("keeps every constraint when parts came off in any order at all, also of a part-stripped reel", () => {
    fc.assert(
      fc.property(machines, fc.infiniteStream(fc.nat()), fc.nat(), (machine, stream, cut) => {
        const shuffled = machine.positions.map((p) => ({ id: p.id, key: stream.next().value as number })).sort((a, b) => a.key - b.key);
        const removed = shuffled.slice(0, 1 + (cut % shuffled.length)).map((p) => p.id);
        const order = orderOf(machine, removed);
        expect([...order].sort()).toEqual([...removed].sort());
        for (const c of seatConstraints(machine))
          if (order.includes(c.before) && order.includes(c.after)) expect(order.indexOf(c.before)).toBeLessThan(order.indexOf(c.after));
      }),
    );
  });

  it("puts each gate before the cover that would bury what it tests", () => {
    const built = buildOrder(skerry30Anatomy, removalOrder(skerry30Anatomy));
    if (!built.ok) throw new Error(built.message);
    const ids = built.value.steps.map((step) => step.operation.id);
    const comesFirst = (a: string, b: string) => expect(ids.indexOf(a), `${a} before ${b}`).toBeLessThan(ids.indexOf(b));
    expect(ids).toHaveLength(new Set(ids).size);
    comesFirst("gate-dog", "tighten-bridge");
    comesFirst(placeOperationId("keyed-high"), placeOperationId("dog-spring"));
    comesFirst("gate-lever", "close-head");
    comesFirst("gate-star", placeOperationId("handle"));
    comesFirst("gate-handle", placeOperationId("lock-screw"));
    comesFirst(placeOperationId("friction-high"), placeOperationId("keyed-high"));
    comesFirst(placeOperationId("yoke-spring-front"), placeOperationId("bridge-screw-top-front"));
  });

  it("asks only for the gates of what was disturbed", () => {
    const handleOnly = removalOrder(skerry30Anatomy).slice(0, 8);
    const built = buildOrder(skerry30Anatomy, handleOnly);
    if (!built.ok) throw new Error(built.message);
    const ids = built.value.steps.map((step) => step.operation.id);
    expect(ids).toContain("gate-star");
    expect(ids).not.toContain("gate-dog");
    expect(ids).not.toContain("tighten-bridge");
  });

  it("explains an impossible order by the circle of its acts", () => {
    const anatomy = structuredClone(skerry30Anatomy);
    anatomy.operations.find((operation) => operation.id === "gate-star")!.after.push(placeOperationId("lock-screw"));
    const built = buildOrder(anatomy, removalOrder(skerry30Anatomy));
    expect(built).toMatchObject({ ok: false, code: "conflict" });
    expect(!built.ok && built.message).toContain("The star goes from free to locked");
  });

  it("refuses a seat that is unknown or stands twice", () => {
    expect(buildOrder(skerry30Anatomy, ["nothing"])).toMatchObject({ ok: false, code: "unknown" });
    expect(buildOrder(skerry30Anatomy, ["star", "star"])).toMatchObject({ ok: false, code: "unknown" });
  });
});

describe("what is left over", () => {
  const well = (positionId: string, refitted: boolean, leftOutReason: string | null = null) => ({
    well: 1,
    positionId,
    name: positionId,
    refitted,
    leftOutReason,
  });

  it("is expected minus refitted, without what stays out for a reason", () => {
    expect(leftOver([well("a", true), well("b", false), well("c", false, "cracked, ring holds it")]).map((w) => w.positionId)).toEqual([
      "b",
    ]);
  });

  it("tells what belongs underneath and is not in", () => {
    expect(missingBefore(["place-a", "place-b"], new Set(["place-a"]))).toEqual(["place-b"]);
  });
});
