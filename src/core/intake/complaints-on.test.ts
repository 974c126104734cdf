import { describe, expect, it, test } from "vitest";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { knowledgeOn, mayHave, signOn } from "@/core/diagnosis/signs-on-reel";
import { everyBuild } from "@/core/families/families";
import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";
import { familyIds } from "@/core/vocabulary/families";
import { findingOfComplaint } from "./complaint-findings";
import { complaintsOn } from "./complaints-on";

const all = Object.keys(complaints) as ComplaintId[];

describe.each(familyIds)("the complaints asked of a reel: %s", (family) => {
  const reels = everyBuild(family).map(({ template }) => {
    const types = new Map(template.parts.map((part) => [part.id, part.role as string]));
    return new Set(template.anatomy.positions.map(({ partTypeId }) => types.get(partTypeId)!));
  });
  /** Whether a fault of any build of the family can be felt so. */
  const canBe = (complaint: ComplaintId) =>
    reels.some((roles) => {
      const told = findingOfComplaint[complaint];
      if (!told) return true;
      const sign = signOn(told, roles);
      const { looks, links, faults } = knowledgeOn(commonKnowledge, roles);
      return (
        looks.has(sign) &&
        links.some(({ fault, finding }) => finding === sign && faults.some((one) => one.id === fault && mayHave(one, roles)))
      );
    });

  it("leave out nothing that a fault of it brings about", () => {
    const asked = complaintsOn(family, []);
    expect(all.filter((id) => canBe(id) && !(id in asked))).toEqual([]);
    expect(asked).toHaveProperty("service");
  });

  it("keep what was ticked before the model was known", () => {
    for (const id of all) expect(complaintsOn(family, [id])).toHaveProperty(id);
  });
});

test("a reel of which nothing is known is asked for all", () => expect(Object.keys(complaintsOn(null, []))).toEqual(all));

test("nobody is asked whether a bail hangs on a fly reel, or whether a spinning reel spins short", () => {
  expect(complaintsOn("fly", [])).not.toHaveProperty("bail-hangs");
  expect(complaintsOn("spinning", [])).not.toHaveProperty("short-spin");
  expect(complaintsOn("spinning", [])).toHaveProperty("bail-hangs");
});
