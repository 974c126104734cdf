import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import type { PartType } from "@/core/anatomy/types";
import { everyBuild, families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { usualWays } from "@/core/ways/ways";
import { type LaidOpen, oilPointsOf, outsidePoints } from "./oil-points";
import { classOfProduct } from "./products";

const types = new Map(skerry30Parts.map((part) => [part.id, part]));
const ways = { shop: usualWays, customer: {}, job: {} };
const nothing: LaidOpen = { off: new Set(), ridesOn: new Map(), open: new Set(), inPlace: new Set() };
const seat = (id: string) => skerry30Anatomy.positions.find((position) => position.id === id)!;
const points = (laid: Partial<LaidOpen>, change: Partial<(typeof skerry30Anatomy.positions)[number]> = {}, id = "head-bearing") =>
  oilPointsOf({ positions: skerry30Anatomy.positions.map((one) => (one.id === id ? { ...one, ...change } : one)) }, types, ways, {
    ...nothing,
    ...laid,
  });
const at = (id: string, ...of: Parameters<typeof points>) => points(...of).find(({ positionId }) => positionId === id) ?? null;

describe("an oil point", () => {
  it("is a part that stays in and was served where it sits, with what Build would put there", () => {
    const point = at("head-bearing", { inPlace: new Set(["head-bearing"]) })!;
    expect(point).toMatchObject({ name: seat("head-bearing").name, way: "served where it sits" });
    expect(classOfProduct(point.advice.product)).toBe("oil");
  });

  it("is none of what comes off: that gets its own as it is fitted", () => {
    expect(at("head-bearing", { off: new Set(["head-bearing"]), inPlace: new Set(["head-bearing"]) })).toBeNull();
  });

  it("is what leaves the reel on a part that comes off, and is oiled there", () => {
    const point = at("head-bearing", { ridesOn: new Map([["head-bearing", "bridge"]]) })!;
    expect(point.way).toBe(`on the ${seat("bridge").name.toLowerCase()}, while it is off`);
  });

  it("is a place with a port whatever is open, and one served where it sits only once its assembly is", () => {
    expect(at("head-bearing", {}, { oilPort: "through the port under the cap" })!.way).toBe("through the port under the cap");
    expect(at("head-bearing", {}, { inPlace: true })).toBeNull();
    expect(at("head-bearing", { open: new Set([seat("head-bearing").assemblyId]) }, { inPlace: true })!.way).toMatch(/where it sits/);
    expect(at("head-bearing", { open: new Set(["another"]) }, { inPlace: true })).toBeNull();
  });

  it("is none of what is pressed in or pinned, unless somebody serves it there", () => {
    const open = new Set([seat("head-bearing").assemblyId]);
    expect(at("head-bearing", { open }, { stays: true, inPlace: true })).toBeNull();
    expect(at("head-bearing", { open, inPlace: new Set(["head-bearing"]) }, { stays: true })).not.toBeNull();
  });

  it("asks for no grease on what merely can be reached: what is greased once stays greased", () => {
    const greased = skerry30Anatomy.positions.find(({ lubricant }) => lubricant?.product === "reel grease")!;
    const rides = new Map([[greased.id, "bridge"]]);
    expect(points({ ridesOn: rides }).some(({ positionId }) => positionId === greased.id)).toBe(false);
    expect(points({ inPlace: new Set([greased.id]) }).some(({ positionId }) => positionId === greased.id)).toBe(true);
  });
});

describe("over every family", () => {
  it.each(familyIds)("%s: no point for what must stay dry, and nothing opened asks only at ports", (id) => {
    const { anatomy, parts } = families[id];
    const of: ReadonlyMap<string, PartType> = new Map(parts.map((part) => [part.id, part]));
    const all = oilPointsOf(anatomy, of, ways, { ...nothing, inPlace: new Set(anatomy.positions.map((position) => position.id)) });
    for (const { advice } of all) expect(advice.product).not.toBe("nothing");
    for (const { positionId } of outsidePoints(anatomy, of, ways))
      expect(anatomy.positions.find((position) => position.id === positionId)!, positionId).toMatchObject({ oilPort: expect.any(String) });
  });

  // Common practice: what is reached with a part off is oiled before that part is back.
  it.each(familyIds)(
    "%s: a port that is reached with something off knows what, in every build, and is no point of an unopened reel",
    (id) => {
      for (const { template } of everyBuild(id)) {
        const { anatomy, parts } = template;
        const of: ReadonlyMap<string, PartType> = new Map(parts.map((part) => [part.id, part]));
        const seats = new Set(anatomy.positions.map((position) => position.id));
        for (const { id: seat, oilPort, portBehind } of anatomy.positions) {
          if (oilPort)
            expect(/\b(off|out|lifted|drawn|in the hand|in the head cover)\b/.test(oilPort), `${seat}: ${oilPort}`).toBe(
              Boolean(portBehind?.length),
            );
          for (const behind of portBehind ?? []) expect(seats.has(behind), behind).toBe(true);
        }
        for (const { positionId } of outsidePoints(anatomy, of, ways))
          expect(anatomy.positions.find((position) => position.id === positionId)!.portBehind ?? [], positionId).toEqual([]);
      }
    },
  );
});
