import { describe, expect, it } from "vitest";
import { placeOperationId } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import { oilPointsOf } from "@/core/lubrication/oil-points";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { usualWays, type WaysInForce } from "@/core/ways/ways";
import { buildOrder } from "./build-order";
import { behindOf, shutBy, shutsIn } from "./oil-window";
import { planOpening } from "./opening";
import { removalOrder } from "./removal-order";
import type { Step } from "./step";

const ways = { job: {}, customer: {}, shop: usualWays } as unknown as WaysInForce;

/** A quick service of a family: its build, and the places that get their oil with the part left in. */
function quickOf(family: FamilyId) {
  const { anatomy, parts } = families[family];
  const types = new Map(parts.map((part) => [part.id, part]));
  const whole = new Set(anatomy.assemblies.filter(({ quick }) => quick).map(({ id }) => id));
  const { off, ridesOn } = planOpening(anatomy, { whole, seats: new Set(), looked: new Set() });
  const built = buildOrder(
    anatomy,
    removalOrder(anatomy).filter((id) => off.has(id)),
  );
  if (!built.ok) throw new Error(built.message);
  const steps = built.value.steps.map(
    ({ operation, position }): Pick<Step, "operation" | "position" | "state"> => ({
      operation,
      position,
      state: "waiting",
    }),
  );
  const points = oilPointsOf(anatomy, types, ways, { off, ridesOn, open: whole, inPlace: new Set() });
  return { anatomy, steps, points };
}

describe("the window of an oil point", () => {
  it("lies open from the start, and is shut by a step at which it is asked, before that step (every family, quick)", () => {
    for (const family of familyIds) {
      const { anatomy, steps, points } = quickOf(family);
      for (const { positionId } of points) {
        const behind = behindOf(anatomy, positionId);
        expect(shutBy(behind, steps), `${family}, ${positionId}`).toBeNull();
        const closing = steps.filter(({ position }) => position && behind.includes(position.id));
        if (!closing.length) continue;
        const first = steps.indexOf(closing[0]!);
        const before = steps.map((step, i) => (i < first ? { ...step, state: "done" as const } : step));
        expect(shutBy(behind, before), `${family}, ${positionId}`).toBeNull();
        expect(shutsIn(behind, before, [closing[0]!.operation.id])).toBe(true);
        const after = steps.map((step, i) => (i <= first ? { ...step, state: "done" as const } : step));
        expect(shutBy(behind, after)?.operation.id).toBe(closing[0]!.operation.id);
        expect(shutsIn(behind, after, [closing[0]!.operation.id])).toBe(false);
      }
    }
  });

  it("is behind the spool for a bush in the plate, and behind nothing where oil gets to it from outside (common practice)", () => {
    const { anatomy } = families["star-drag-bridge"];
    expect(behindOf(anatomy, "knob")).toEqual([]);
    expect(behindOf(anatomy, "click-gear")).toContain("spool");
    expect(behindOf(anatomy, "tail-bearing")).toEqual([]);
    expect(behindOf(anatomy, "no-such-seat")).toEqual([]);
  });

  it("is not shut by a check, or by a part that is nowhere before it", () => {
    const { anatomy, steps } = quickOf("star-drag-bridge");
    const behind = behindOf(anatomy, "click-gear");
    const other = steps.map((step) => (step.position && behind.includes(step.position.id) ? step : { ...step, state: "done" as const }));
    expect(shutBy(behind, other)).toBeNull();
    expect(shutsIn(behind, steps, [placeOperationId("knob")])).toBe(false);
  });
});
