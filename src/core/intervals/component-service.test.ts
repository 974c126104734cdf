import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { waters } from "@/core/vocabulary/use";
import { componentServices, servedComponents } from "./component-service";

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

  it("names of the outside what the reel has", () => {
    const outside = (family: FamilyId) =>
      componentServices(families[family].parts, { water: "salt", tripsPerYear: 20 }).find(({ id }) => id === "outside")!.component;
    expect(outside("baitcaster-low-profile")).toBe("Outside, brakes and handle");
    expect(outside("spinning-fluid-sealed")).toBe("Outside and handle");
    expect(outside("centrepin")).toBe("Outside and knobs");
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

describe("what is asked of which reel", () => {
  const rows = (water: (typeof waters)[number], tripsPerYear: number, family: FamilyId = "spinning-sealed-bail-less") =>
    componentServices(families[family].parts, { water, tripsPerYear });
  const row = (id: string, ...of: Parameters<typeof rows>) => rows(...of).find((one) => one.id === id)!;

  it("is the worm after ten trips where that is sooner than two months", () => {
    // Ten trips of sixty a year are two months; of 120, one.
    expect(due("baitcaster-round", "fresh", 60).worm).toBe(2);
    expect(due("baitcaster-round", "fresh", 120).worm).toBe(1);
    expect(due("baitcaster-round", "fresh", 0).worm).toBe(2);
  });

  it("is the roller after six trips in salt, half a year at the longest, and a season in fresh water", () => {
    expect(due("spinning", "salt", 36)["line-roller"]).toBe(2);
    expect(due("spinning", "salt", 4)["line-roller"]).toBe(6);
    expect(due("spinning", "brackish", 4)["line-roller"]).toBe(6);
    expect(due("spinning", "fresh", 100)["line-roller"]).toBe(12);
  });

  it("is the drag twice a year where the whole reel comes twice, and never sooner than a week for anything", () => {
    expect(due("spinning", "salt", 31).drag).toBe(6);
    expect(due("spinning", "salt", 30).drag).toBe(12);
    expect(due("star-drag-bridge", "salt", 5000).outside).toBe(0.25);
  });

  it("is told with the trips that come to it, in whole trips, one by one where it is one", () => {
    expect(row("outside", "salt", 36).because).toBe("every third trip in salt, or 3 trips if sooner");
    expect(row("whole", "fresh", 1).because).toContain("or 2 trips if sooner");
    expect(row("seals", "fresh", 1).because).toBe("every year, or 1 trip if sooner");
    expect(row("seals", "fresh", 0).because).toBe("every year");
  });

  it("is the owner's for what takes a rinse and a drop, the bench's for what opens the reel", () => {
    const byOwner = Object.fromEntries(
      [...rows("salt", 40), ...rows("salt", 40, "baitcaster-round"), ...rows("salt", 40, "spincast")].map((one) => [one.id, one.byOwner]),
    );
    expect(byOwner).toMatchObject({ worm: true, outside: true, cone: true, whole: false, drag: false, seals: false });
  });
});

describe("what a job served", () => {
  const part = (role: string) =>
    Object.values(families)
      .flatMap(({ parts }) => parts)
      .find((one) => one.role === role)!;
  const kind = (shape: string) =>
    Object.values(families)
      .flatMap(({ parts }) => parts)
      .find((one) => one.shape.kind === shape)!;

  it("is what came off or was oiled where it sits, and the outside always", () => {
    expect([...servedComponents([], false)]).toEqual(["outside"]);
    expect([...servedComponents([part("worm")], false)].sort()).toEqual(["outside", "worm"]);
    expect([...servedComponents([part("line-roller")], false)].sort()).toEqual(["line-roller", "outside"]);
    expect([...servedComponents([part("pick-up-cone")], false)].sort()).toEqual(["cone", "outside"]);
    expect([...servedComponents([kind("friction-washer")], false)].sort()).toEqual(["drag", "outside"]);
    expect([...servedComponents([kind("lip-seal")], false)].sort()).toEqual(["outside", "seals"]);
    expect([...servedComponents([kind("screw")], false)]).toEqual(["outside"]);
  });

  it("is everything once every assembly was opened", () => {
    expect([...servedComponents([], true)].sort()).toEqual(["cone", "drag", "line-roller", "outside", "seals", "whole", "worm"]);
  });
});
