import { describe, expect, it } from "vitest";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { familyWith } from "@/core/families/families";
import { modelFromTemplate } from "@/core/families/template";
import { againstModel, withEdition } from "./edition-of-sheet";
import type { SheetRow } from "./kept-sheet";

const { anatomy, partTypes } = modelFromTemplate(familyWith("star-drag-bridge", {}), "ED");
const types = new Map(partTypes.map((part) => [part.id, part]));
const numberAt = (seat: string) => types.get(anatomy.positions.find(({ id }) => id === seat)!.partTypeId)!.number;
const row = (number: string, ...seats: string[]): SheetRow => ({
  ...{
    callout: "1",
    number,
    description: "A part",
    quantity: 1,
    priceMinor: null,
    page: 1,
    box: null,
    mark: null,
    doubts: [],
    confirmed: true,
  },
  seats: seats.map((positionId) => ({ positionId, sure: 1 })),
});

describe("a second sheet of a model", () => {
  it("is told seat by seat by number: the same, another, none; a row that is no seat, and seats that no row is", () => {
    const against = againstModel(anatomy, types, [row(numberAt("star"), "star"), row("KX-9", "pinion"), row("", "handle"), row("KX-77")]);
    expect(against.changed).toEqual([expect.objectContaining({ positionId: "pinion", was: numberAt("pinion"), is: "KX-9", row: 1 })]);
    expect(against.same).toBe(2);
    expect(against.added).toEqual([{ row: 3, words: "KX-77 A part" }]);
    expect(against.silent).toHaveLength(anatomy.positions.length - 3);
  });

  it("becomes an edition with its own part in its seat, in the same order; what the model was so far keeps the old one", () => {
    const own = { ...types.get(anatomy.positions.find(({ id }) => id === "pinion")!.partTypeId)!, id: "kx-9", number: "KX-9" };
    const both = withEdition(anatomy, { id: "late", name: "Late" }, { id: "early", name: "Early" }, new Map([["pinion", "kx-9"]]));
    expect(both.editions.map(({ id }) => id)).toEqual(["early", "late"]);
    const partIn = (edition: string) => anatomyOfEdition(both, edition).positions.find(({ id }) => id === "pinion")!.partTypeId;
    expect([partIn("early"), partIn("late")]).toEqual([anatomy.positions.find(({ id }) => id === "pinion")!.partTypeId, "kx-9"]);
    expect(checkAnatomy(both, [...partTypes, own])).toEqual([]);
    expect(checkAnatomy(both, partTypes).map(({ code }) => code)).toContain("unknown");
    // A third year comes beside the two.
    const three = withEdition(both, { id: "last", name: "Last" }, { id: "early", name: "Early" }, new Map());
    expect(three.editions.map(({ id }) => id)).toEqual(["early", "late", "last"]);
  });
});
