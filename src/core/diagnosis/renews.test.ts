import { describe, expect, it } from "vitest";
import { commonKnowledge } from "./knowledge";
import { newPartsFor, notWholeSets, renewsOf } from "./renews";

const places = (...wanting: string[]) =>
  ["head", "tail", "cap"].map((positionId) => ({ positionId, wantsNew: wanting.includes(positionId) }));

describe("what a proved fault brings into the quote", () => {
  it("is one bearing of several that are alike: the one that was seen to be bad, else the first until the reel lies open", () => {
    expect(newPartsFor("spool-bearing-rough", places())).toEqual({ foreseen: ["head"], may: ["tail", "cap"] });
    expect(newPartsFor("spool-bearing-rough", places("tail"))).toEqual({ foreseen: ["tail"], may: ["head", "cap"] });
    expect(newPartsFor("spool-bearing-rough", places("tail", "cap")).foreseen).toEqual(["tail", "cap"]);
  });

  it("is the whole set where it wears as one: linings, springs in pairs, seals, bearings with water in", () => {
    for (const id of ["drag-worn", "yoke-springs-weak", "seals-worn", "water-in-bearings", "gears-worn", "blocks-worn"])
      expect(newPartsFor(id, places()), id).toEqual({ foreseen: ["head", "tail", "cap"], may: [] });
  });

  it("is nothing for what is dressed, cleaned or seated, before somebody sees that a piece is gone", () => {
    for (const id of ["drag-glazed", "drag-oiled", "drag-ridged", "stack-wrong", "hub-clip-astray"]) {
      expect(newPartsFor(id, places()).foreseen, id).toEqual([]);
      expect(newPartsFor(id, places("cap")), id).toEqual({ foreseen: ["cap"], may: ["head", "tail"] });
    }
  });

  it("never renews what its remedy only dresses or seats, by the remedy's own words", () => {
    for (const { id, remedy } of commonKnowledge.faults)
      if (remedy.partRoles.length && /^(Dress|Degrease|Seat|Set|Rebuild|Part the)/.test(remedy.words))
        expect(renewsOf(id), id).toBe("as-seen");
  });

  it("names no fault that is not in the table", () => {
    const known = new Set(commonKnowledge.faults.map(({ id }) => id));
    expect(Object.keys(notWholeSets).filter((id) => !known.has(id))).toEqual([]);
  });
});
