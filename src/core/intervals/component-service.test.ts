import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { waters } from "@/core/vocabulary/use";
import { componentServices } from "./component-service";

const due = (family: FamilyId, water: (typeof waters)[number], tripsPerYear: number) =>
  Object.fromEntries(componentServices(families[family].parts, { water, tripsPerYear }).map(({ id, months }) => [id, months]));

// Source of the intervals: common practice.
describe("what is due when", () => {
  it("asks for the worm after two months at the longest", () => {
    expect(due("baitcaster-round", "fresh", 4).worm).toBe(2);
    expect(due("spinning", "fresh", 4).worm).toBeUndefined();
  });

  it("asks for a spincast's cone after some twenty trips, once a season at least", () => {
    expect(due("spincast", "fresh", 40).cone).toBe(6);
    expect(due("spincast", "fresh", 5).cone).toBe(12);
  });

  it("asks for seals every year where there are any, and for the drag once a year or twice", () => {
    expect(due("spinning-sealed-bail-less", "salt", 40)).toMatchObject({ seals: 12, drag: 6, whole: 6 });
    expect(due("spinning", "fresh", 20)).toMatchObject({ drag: 12, whole: 12 });
    expect(due("star-drag-bridge", "fresh", 20).seals).toBeUndefined();
  });

  it("asks for the outside every third trip in salt, and not in fresh water", () => {
    expect(due("star-drag-bridge", "salt", 36).outside).toBe(1);
    expect(due("star-drag-bridge", "fresh", 36).outside).toBeUndefined();
  });

  it("comes no later for more trips, nor for saltier water", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(families) as FamilyId[])),
        fc.constantFrom(...waters),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (family, water, trips, more) => {
          const [few, many] = [due(family, water, trips), due(family, water, trips + more)];
          for (const id of Object.keys(few)) expect(many[id]!, id).toBeLessThanOrEqual(few[id]!);
          const fresh = due(family, "fresh", trips);
          const salt = due(family, "salt", trips);
          for (const id of Object.keys(fresh)) expect(salt[id]!, id).toBeLessThanOrEqual(fresh[id]!);
        },
      ),
    );
  });

  it("lists the soonest first", () => {
    const months = componentServices(families["baitcaster-round"].parts, { water: "salt", tripsPerYear: 50 }).map((row) => row.months);
    expect(months).toEqual([...months].sort((a, b) => a - b));
  });
});
