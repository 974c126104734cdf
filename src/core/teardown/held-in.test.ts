import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { heldIn } from "./held-in";
import { planOpening } from "./opening";

const held = (family: FamilyId, ...left: string[]) => heldIn(families[family].anatomy, new Set(left));

// Common practice: what stays for a part that stays.
describe("what a part left in keeps in", () => {
  it("is what it stands on and what it holds, named after it", () => {
    const gear = held("star-drag-bridge", "main-gear");
    expect(gear.get("under-gear-washer")).toBe("main-gear");
    expect(gear.has("ratchet")).toBe(true);
    expect(gear.has("friction-low")).toBe(false);
    expect(held("star-drag-bridge", "lock-screw").get("handle-nut")).toBe("lock-screw");
  });

  it("is all behind a plate whose screws stay", () => {
    const plate = held("star-drag-bridge", "tail-screw-top");
    for (const id of ["tail-plate", "click-tongue", "click-spring"]) expect(plate.has(id), id).toBe(true);
    for (const id of ["cap", "handle", "star"]) expect(plate.has(id), id).toBe(false);
  });

  it("is not what it rides on: a spool leaves with its bearings, an arm with its roller", () => {
    expect(held("star-drag-bridge", "head-bearing").has("spool")).toBe(false);
    expect(held("spinning", "roller").has("bail-arm")).toBe(false);
    expect(held("spinning", "roller").has("roller-bearing")).toBe(true);
  });

  it("is nothing for nothing, and for a seat the reel has not", () => {
    expect(held("spinning").size).toBe(0);
    expect(held("spinning", "no-such-seat").size).toBe(0);
  });

  it("agrees with what opening takes: nothing that stays would have come off without the part that keeps it (every family)", () => {
    for (const family of familyIds) {
      const { anatomy } = families[family];
      for (const { id } of anatomy.positions)
        for (const [kept] of held(family, id)) {
          const { off, ridesOn } = planOpening(anatomy, { whole: new Set(), seats: new Set([kept]), looked: new Set() });
          expect(
            off.has(id) || ridesOn.has(id) || anatomy.positions.find((seat) => seat.id === id)!.stays === true,
            `${family}: ${kept} without ${id}`,
          ).toBe(true);
        }
    }
  });
});
