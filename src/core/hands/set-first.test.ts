import { describe, expect, it } from "vitest";
import { everyBuild, families, familyWith } from "@/core/families/families";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { batchesOf } from "./batches";
import { setFirst, typedSetFirst } from "./set-first";
import { allStripActs } from "./strip-acts";

const seatOf = (family: FamilyId, seat: string, built: Readonly<Record<string, string>>) =>
  familyWith(family, built).anatomy.positions.find(({ id }) => id === seat)!;

describe("what is set before hands move", () => {
  // Common practice: the position comes before the act that needs it, in the order a full strip takes.
  it.each([
    ["star-drag-bridge", "star wound back", "handle"],
    ["star-drag-bridge", "free-spool lever up", "bridge-screw-top-front"],
    ["lever-drag", "lever at free", "plate-screw-top"],
    ["spinning", "bail shut", "roller-screw"],
    ["spincast", "anti-reverse on", "cone-nut"],
    ["centrepin", "check off", "drum-screw"],
  ] as const)("%s: %s, before the act that takes the %s", (family, words, seat) => {
    const { anatomy, parts } = families[family];
    const types = new Map(parts.map((part) => [part.id, part]));
    const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
    const expected = anatomy.positions.filter(({ stays }) => !stays).map(({ id }) => id);
    const act = allStripActs({ anatomy, types, batches: batchesOf(anatomy, types), expected }).find(({ positionIds }) =>
      positionIds.includes(seat),
    )!;
    expect(setFirst(act.positionIds.map((id) => ({ position: seats.get(id)! }))).join("; ")).toContain(words);
  });

  it("is said once for a ring of screws", () => {
    const { anatomy } = families["star-drag-bridge"];
    const ring = anatomy.positions.filter(({ id }) => id.startsWith("tail-screw-")).map((position) => ({ position }));
    expect(ring.length).toBeGreaterThan(3);
    expect(setFirst(ring)).toHaveLength(1);
  });

  it("is said no more of a control that is off", () => {
    const { anatomy } = families["lever-drag"];
    const ring = anatomy.positions.filter(({ id }) => id.startsWith("plate-screw-")).map((position) => ({ position }));
    expect(setFirst(ring)).toEqual(["lever at free"]);
    expect(setFirst(ring, new Set(["lever"]))).toEqual([]);
  });

  it("names only controls that the reel has, in every build", () => {
    expect(setFirst([{ position: seatOf("centrepin", "drum-screw", { check: "none" }) }])).toEqual(["line taped"]);
    for (const family of familyIds)
      for (const { template } of everyBuild(family)) {
        const seats = new Set(template.anatomy.positions.map(({ id }) => id));
        for (const position of template.anatomy.positions)
          for (const { control } of position.setFirst) expect(control === undefined || seats.has(control), control).toBe(true);
      }
  });

  it("is typed one after the other, and what stood there keeps its control", () => {
    const before = [{ words: "lever at free", control: "lever" }];
    expect(typedSetFirst("lever at free; line taped;", before)).toEqual([before[0], { words: "line taped" }]);
    expect(typedSetFirst(" ", before)).toEqual([]);
  });

  it("is said somewhere in every family, and of nothing that stays in", () => {
    for (const family of familyIds) {
      const said = familyWith(family, {}).anatomy.positions.filter((position) => position.setFirst.length);
      expect(said.length, family).toBeGreaterThan(0);
      for (const { id, stays } of said) expect(stays, `${family} ${id}`).not.toBe(true);
    }
  });
});
