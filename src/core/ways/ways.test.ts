import { describe, expect, it } from "vitest";
import { seatConstraints } from "@/core/anatomy/constraints";
import type { PartType, Position } from "@/core/anatomy/types";
import { cleanMethodOf } from "@/core/cleaning/methods";
import { families } from "@/core/families/families";
import { batchesOf } from "@/core/hands/batches";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { foreseenByWay } from "@/core/quote/foreseen-by-way";
import { type DepthWanted, depthOf } from "@/core/service/depth";
import { bearingVerdict } from "@/core/teardown/bearing-verdict";
import { byBenchOrder } from "@/core/teardown/bench-order";
import { layOut } from "@/core/teardown/lay-out";
import { removalOrder } from "@/core/teardown/removal-order";
import { sealUnitOf } from "@/core/teardown/seal-unit";
import { type Choice, isChoice, usualWays, type WayId, wayIds } from "./ways";

const star = families["star-drag-bridge"];
const sealed = families["spinning-fluid-sealed"];
const fluidReel = families["spinning-fluid-sealed"];
const typesOf = (parts: readonly PartType[]) => new Map(parts.map((part) => [part.id, part]));
const open = (depth: Choice<"depth">, wanted: Partial<DepthWanted> = {}, family = star) =>
  depthOf(family.anatomy, typesOf(family.parts), {
    family: family.family,
    depth,
    faults: [],
    complaints: [],
    sections: [],
    newParts: [],
    said: new Map(),
    ...wanted,
  });
const serviced = star.anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
const unitOf = (choice: Choice<"fluidSeal">) =>
  batchesOf(sealed.anatomy, typesOf(sealed.parts), choice === "here" ? new Set() : sealUnitOf(sealed.anatomy, typesOf(sealed.parts)));
const usual = { bearings: "feel", softDrag: "keep", seals: "evidence" } as const;
const foreseen = (change: Partial<Parameters<typeof foreseenByWay>[2]>, family = star, monthsSince: number | null = null) =>
  foreseenByWay(family.anatomy.positions, typesOf(family.parts), { ...usual, ...change }, monthsSince, (size) => size.boreMm === 7);
const partOf = (family: typeof star, role: string) => family.parts.find((part) => part.role === role)!;
const seatOf = (family: typeof star, type: PartType) => family.anatomy.positions.find(({ partTypeId }) => partTypeId === type.id)!;
/** A seat without a lubricant of the model's own, so that only the way speaks. */
const product = (type: PartType, way: WayId, choice: string) => {
  const { lubricant: _, ...seat } = { ...star.anatomy.positions[0]!, partTypeId: type.id } as Position;
  return lubricantFor(seat, type, { shop: { ...usualWays, [way]: choice } })?.product ?? null;
};
const carbon = { ...partOf(star, "friction-washer"), material: "carbon" };
const brassGear = { ...partOf(star, "main-gear"), material: "brass" };
const leather = { ...carbon, material: "leather" };

/** What each way of working changes, choice by choice. Source: common practice. */
const changes: readonly (readonly [WayId, string, what: string, () => void])[] = [
  ["drag", "greased", "product", () => expect(product(carbon, "drag", "greased")).toBe("drag grease")],
  ["drag", "dry", "product", () => expect(product(carbon, "drag", "dry")).toBe("nothing")],
  ["leather", "greased", "product", () => expect(product(leather, "leather", "greased")).toBe("drag grease")],
  ["leather", "bare", "product", () => expect(product(leather, "leather", "bare")).toBe("nothing")],
  ["worm", "oil", "product", () => expect(product(partOf(families["baitcaster-round"], "worm"), "worm", "oil")).toBe("viscous reel oil")],
  ["worm", "grease", "product", () => expect(product(partOf(families["baitcaster-round"], "worm"), "worm", "grease")).toBe("reel grease")],
  ["spoolBearings", "drop", "product", () => expect(product(partOf(star, "spool-bearing"), "spoolBearings", "drop")).toBe("light oil")],
  ["spoolBearings", "dry", "product", () => expect(product(partOf(star, "spool-bearing"), "spoolBearings", "dry")).toBe("nothing")],
  ["spoolBearings", "warm", "product", () => expect(product(partOf(star, "spool-bearing"), "spoolBearings", "warm")).toBe("light oil")],
  [
    "bearingSeats",
    "oiled",
    "product",
    () => expect(product(partOf(families.spinning, "gear-bearing"), "bearingSeats", "oiled")).toBe("medium oil"),
  ],
  [
    "bearingSeats",
    "packed",
    "product",
    () => expect(product(partOf(families.spinning, "gear-bearing"), "bearingSeats", "packed")).toBe("reel grease"),
  ],
  ["click", "greased", "product", () => expect(product(partOf(star, "click-tongue"), "click", "greased")).toBe("reel grease")],
  ["click", "dry", "product", () => expect(product(partOf(star, "click-tongue"), "click", "dry")).toBe("nothing")],
  [
    "clutchOil",
    "trace",
    "amount",
    () => expect(product(partOf(families.spinning, "roller-clutch"), "clutchOil", "trace")).toBe("light oil"),
  ],
  [
    "clutchOil",
    "generous",
    "amount",
    () => expect(product(partOf(families.spinning, "roller-clutch"), "clutchOil", "generous")).toBe("light oil"),
  ],
  [
    "brakeDrum",
    "dry",
    "product",
    () => expect(product(partOf(families["baitcaster-low-profile"], "brake-drum"), "brakeDrum", "dry")).toBe("nothing"),
  ],
  [
    "brakeDrum",
    "wiped",
    "product",
    () => expect(product(partOf(families["baitcaster-low-profile"], "brake-drum"), "brakeDrum", "wiped")).toBe("light oil"),
  ],
  ["bridgeSleeve", "grease", "product", () => expect(product(partOf(star, "bridge"), "bridgeSleeve", "grease")).toBe("reel grease")],
  ["bridgeSleeve", "oil", "product", () => expect(product(partOf(star, "bridge"), "bridgeSleeve", "oil")).toBe("light oil")],
  ["depth", "full", "operations", () => expect([...open("full").open.keys()].sort()).toEqual([...serviced].sort())],
  [
    "depth",
    "complaint",
    "operations",
    () => {
      expect([...open("complaint", { complaints: ["click-weak"] }).open.keys()]).toEqual(expect.arrayContaining(["tail"]));
      expect([...open("complaint", { complaints: ["click-weak"] }).open.keys()]).not.toContain("stack");
      // Where the tests point stands above what was felt; nothing at all means all of it.
      expect([...open("complaint", { complaints: ["click-weak"], sections: ["drag"] }).open.keys()]).not.toContain("tail");
      expect(open("complaint").open.size).toBe(0);
      expect(open("complaint", { forService: true }).open.size).toBe(serviced.length);
    },
  ],
  ["depth", "quick", "operations", () => expect([...open("quick").open.keys()]).toEqual(["handle", "spool"])],
  ["depth", "light", "operations", () => expect(open("light").open.size).toBe(0)],
  ["fluidSeal", "here", "operations", () => expect(unitOf("here").some(({ id }) => id === "sealed-unit")).toBe(false)],
  [
    "fluidSeal",
    "lifted",
    "operations",
    () => {
      // In one act, with what lies between its parts; the ring screws and what is under it are no part of it.
      const unit = unitOf("lifted").find(({ id }) => id === "sealed-unit")!;
      expect([...unit.positionIds].sort()).toEqual(
        expect.arrayContaining(["clutch", "clutch-ring", "fluid-magnet", "two-ear", "unit-cap"]),
      );
      for (const id of ["rotor", "pinion", "clutch-plate"]) expect(unit.positionIds).not.toContain(id);
      expect(sealUnitOf(star.anatomy, typesOf(star.parts)).size).toBe(0);
    },
  ],
  ["fluidSeal", "sent", "operations", () => expect(unitOf("sent").some(({ id }) => id === "sealed-unit")).toBe(true)],
  ["bearings", "feel", "parts", () => expect(bearingVerdict("feel", { rough: true, talks: false })).toBe("replace")],
  ["bearings", "talk", "parts", () => expect(bearingVerdict("talk", { rough: true, talks: false })).toBe("watch")],
  [
    "bearings",
    "upgrade",
    "parts",
    () => {
      expect(foreseen({ bearings: "upgrade" }).length).toBe(
        star.anatomy.positions.filter(({ partTypeId }) => typesOf(star.parts).get(partTypeId)!.shape.kind === "bearing").length,
      );
      // The trade's example: 7 × 13 × 4 mm in place of a bush.
      const bush: PartType = {
        ...partOf(star, "gear-sleeve"),
        id: "bush",
        role: "gear-bush",
        shape: { kind: "sleeve", outsideMm: 13, boreMm: 7, lengthMm: 4 },
      };
      const seat = { ...star.anatomy.positions[0]!, partTypeId: "bush" };
      expect(
        foreseenByWay(
          [seat],
          new Map([["bush", bush]]),
          { ...usual, bearings: "upgrade" },
          null,
          (size) => size.boreMm === 7 && size.outsideMm === 13 && size.widthMm === 4,
        )[0]?.words,
      ).toMatch(/in place of the bush/);
    },
  ],
  ["softDrag", "keep", "parts", () => expect(foreseen({}, families.spinning)).toEqual([])],
  [
    "softDrag",
    "carbon",
    "parts",
    () => {
      const changed = foreseen({ softDrag: "carbon" }, families.spinning);
      const felt = families.spinning.anatomy.positions.filter(
        ({ partTypeId }) => typesOf(families.spinning.parts).get(partTypeId)!.material === "felt",
      );
      expect(felt.length).toBeGreaterThan(0);
      expect(changed.map(({ positionId }) => positionId).sort()).toEqual(felt.map(({ id }) => id).sort());
      for (const { words } of changed) expect(words).toMatch(/carbon instead of felt/);
    },
  ],
  ["sealedBearings", "leave", "product", () => expect(sealedAdvice("leave").overruled).not.toMatch(/picking/)],
  [
    "sealedBearings",
    "oil",
    "warning",
    () => expect(sealedAdvice("oil")).toMatchObject({ product: "nothing", overruled: expect.stringMatching(/seldom seal again/) }),
  ],
  ["layingOut", "left", "order", () => expect(layOut(wells, "left")).toEqual([wells])],
  ["layingOut", "right", "order", () => expect(layOut(wells, "right")[0]!.map(({ id }) => id)).toEqual(["c", "b", "a"])],
  [
    "layingOut",
    "assembly",
    "order",
    () => expect(layOut(wells, "assembly").map((row) => row.map(({ id }) => id))).toEqual([["a", "c"], ["b"]]),
  ],
  ["cleaning", "brush", "operations", () => expect(cleanMethodOf(brassGear, "wiped", "brush")).toBe("brush")],
  ["cleaning", "bath", "operations", () => expect(cleanMethodOf(brassGear, "wiped", "bath")).toBe("degreaser")],
  ["cleaning", "wipe", "operations", () => expect(cleanMethodOf(brassGear, "wiped", "wipe")).toBe("wipe")],
  ["frictionWashing", "wiped", "operations", () => expect(cleanMethodOf(carbon, "wiped", "brush")).toBe("wipe")],
  [
    "frictionWashing",
    "washed",
    "operations",
    () => expect([cleanMethodOf(carbon, "washed", "brush"), cleanMethodOf(leather, "washed", "brush")]).toEqual(["friction-bath", "wipe"]),
  ],
  ["seals", "evidence", "parts", () => expect(foreseen({}, fluidReel)).toEqual([])],
  [
    "seals",
    "yearly",
    "parts",
    () => {
      expect(foreseen({ seals: "yearly" }, fluidReel, 13).map(({ positionId }) => positionId)).toEqual(
        expect.arrayContaining(["support-seal", "knob-ring"]),
      );
      expect(foreseen({ seals: "yearly" }, fluidReel, 3)).toEqual([]);
    },
  ],
  ["benchOrder", "whole", "order", () => expect(turns("whole")).toBeGreaterThanOrEqual(turns("halves"))],
  [
    "benchOrder",
    "halves",
    "order",
    () => {
      const order = halves("halves");
      expect([...order].sort()).toEqual([...removalOrder(star.anatomy)].sort());
      const place = new Map(order.map((id, i) => [id, i]));
      for (const { before, after } of seatConstraints(star.anatomy))
        expect(place.get(after)!, `${after} before ${before}`).toBeLessThan(place.get(before)!);
    },
  ],
];

const wells = [
  { id: "a", assemblyId: "x" },
  { id: "b", assemblyId: "y" },
  { id: "c", assemblyId: "x" },
];
const mayGo = (id: string, off: ReadonlySet<string>) => seatConstraints(star.anatomy).every((c) => c.before !== id || off.has(c.after));
const halves = (way: Choice<"benchOrder">) => byBenchOrder(star.anatomy, removalOrder(star.anatomy), way, mayGo);
/** How often the reel is turned over from one half to the other. */
function turns(way: Choice<"benchOrder">): number {
  const side = (id: string) =>
    star.anatomy.assemblies.find((assembly) => assembly.id === star.anatomy.positions.find((seat) => seat.id === id)!.assemblyId)!.side;
  const sides = halves(way).map(side);
  return sides.filter((here, i) => i > 0 && here !== sides[i - 1]).length;
}
function sealedAdvice(choice: Choice<"sealedBearings">) {
  const type = partOf(star, "spool-bearing");
  const shut: PartType = { ...type, shape: { ...type.shape, closure: "sealed" } as PartType["shape"] };
  return lubricantFor(seatOf(star, type), shut, { shop: { ...usualWays, sealedBearings: choice, spoolBearings: "dry" } })!;
}

describe("what each way changes", () => {
  it.each(changes)("%s %s: %s", (way, choice, _what, check) => {
    expect(isChoice(way, choice)).toBe(true);
    check();
  });

  it("has a row for every choice of all nineteen", () => {
    expect(wayIds).toHaveLength(19);
    for (const way of wayIds) expect(changes.filter(([id]) => id === way).length, way).toBeGreaterThanOrEqual(2);
  });
});
