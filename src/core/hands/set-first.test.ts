import { describe, expect, it } from "vitest";
import { families, familyWith } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { batchesOf } from "./batches";
import { setFirst } from "./set-first";
import { allStripActs } from "./strip-acts";

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

  it("is said somewhere in every family, and of nothing that stays in", () => {
    for (const family of familyIds) {
      const said = familyWith(family, {}).anatomy.positions.filter((position) => position.setFirst);
      expect(said.length, family).toBeGreaterThan(0);
      for (const { id, stays } of said) expect(stays, `${family} ${id}`).not.toBe(true);
    }
  });
});
