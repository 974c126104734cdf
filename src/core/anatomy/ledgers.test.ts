import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { holeSpareMm, ledgersOf, lubricantTotals } from "./ledgers";

const of = (id: (typeof familyIds)[number]) => ledgersOf(families[id].anatomy, new Map(families[id].parts.map((part) => [part.id, part])));

describe("the ledgers of a machine", () => {
  it("count every screw, bearing, seal and place to lubricate by its seat", () => {
    for (const id of familyIds) {
      const { anatomy, parts } = families[id];
      const kindAt = (seat: string) => parts.find((p) => p.id === anatomy.positions.find((s) => s.id === seat)!.partTypeId)!.shape.kind;
      const { screws, bearings, seals, lubrication } = of(id);
      const count = (...kinds: string[]) => anatomy.positions.filter((s) => kinds.includes(kindAt(s.id))).length;
      expect([screws.length, bearings.length, seals.length]).toEqual([
        count("screw", "nut"),
        count("bearing"),
        count("o-ring", "lip-seal"),
      ]);
      expect(lubrication.length).toBe(anatomy.positions.filter((s) => s.lubricant).length);
    }
  });

  it("know the hole or ask for it, for every screw of every family", () => {
    for (const id of familyIds)
      for (const row of of(id).screws)
        if (row.part.shape.kind === "screw") {
          expect(row.position.tightness, row.position.name).toBeDefined();
          if (holeSpareMm(row) === null && !row.position.through) expect(row.position.verify, row.position.name).toContain("hole");
          else expect(holeSpareMm(row) ?? 0, row.position.name).toBeGreaterThanOrEqual(0);
        }
  });

  it("start the screws of one plate in different zones: the first two lie farthest apart", () => {
    const plate = of("star-drag-bridge").screws.filter(({ position }) => position.assemblyId === "head");
    const at = (n: number) => plate.find(({ position }) => position.startOrder === n)!.position.acrossMm;
    expect(plate.map(({ position }) => position.startOrder).sort()).toEqual([1, 2, 3, 4, 5, 6]);
    const span = Math.max(...plate.map(({ position }) => position.acrossMm)) - Math.min(...plate.map(({ position }) => position.acrossMm));
    expect(Math.abs(at(1) - at(2))).toBe(span);
  });

  it("leave 3 mm under a 9 mm screw in a 12 mm post, and add the drops up", () => {
    const { screws, lubrication } = of("star-drag-bridge");
    expect(holeSpareMm(screws.find(({ position }) => position.id === "head-screw-top")!)).toBe(3);
    const oil = lubricantTotals(lubrication).find(({ product }) => product === "light oil")!;
    // Two spool bearings, ratchet, dog, eccentric, the handle's knob: a drop each.
    expect(oil).toMatchObject({ places: 6, drops: 6, inWords: 0 });
  });

  it("of a low-profile reel come to about eight drops of oil (common practice)", () => {
    const drops = lubricantTotals(of("baitcaster-low-profile").lubrication).reduce((sum, total) => sum + total.drops, 0);
    expect(drops).toBeGreaterThanOrEqual(5);
    expect(drops).toBeLessThanOrEqual(12);
  });
});
