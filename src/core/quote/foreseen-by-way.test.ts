import { describe, expect, it } from "vitest";
import { type PartType, positionSchema } from "@/core/anatomy/types";
import { foreseenByWay } from "./foreseen-by-way";

const part = (id: string, shape: object, change: object = {}): [string, PartType] => [
  id,
  { id, number: id, name: id, role: "plain", material: "steel", priceMinor: 0, shape, ...change } as unknown as PartType,
];
const types = new Map([
  part("bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 4, closure: "shielded" }),
  part("bush", { kind: "sleeve", boreMm: 5, outsideMm: 8, lengthMm: 3 }, { role: "gear-bush" }),
  part("sleeve", { kind: "sleeve", boreMm: 5, outsideMm: 8, lengthMm: 3 }),
  part("leather", { kind: "friction-washer" }, { material: "leather" }),
  part("carbon", { kind: "friction-washer" }, { material: "carbon" }),
  part("ring", { kind: "o-ring" }),
  part("lip", { kind: "lip-seal" }),
]);
const positions = [...types.keys()].map((id, ordinal) =>
  positionSchema.parse({ id, assemblyId: "a", ordinal, name: `The ${id}`, partTypeId: id }),
);
const usual = { bearings: "as-drawn", softDrag: "same", seals: "when-bad" } as unknown as Parameters<typeof foreseenByWay>[2];
const seats = (ways: object, months: number | null = null, fits = true) =>
  foreseenByWay(positions, types, { ...usual, ...ways }, months, () => fits).map(({ positionId }) => positionId);

describe("parts a way of working foresees before anything is found", () => {
  it("are none where everything is left as it is drawn", () => expect(seats({})).toEqual([]));
  it("are better bearings, and one in place of a bush only where a bearing of its size is made", () => {
    expect(seats({ bearings: "upgrade" })).toEqual(["bearing", "bush"]);
    expect(seats({ bearings: "upgrade" }, null, false)).toEqual(["bearing"]);
  });
  it("are carbon for what is soft, and for nothing that is carbon already", () =>
    expect(seats({ softDrag: "carbon" })).toEqual(["leather"]));
  it("are the seals once a year: after twelve months, or where we never renewed them", () => {
    expect(seats({ seals: "yearly" })).toEqual(["ring", "lip"]);
    expect(seats({ seals: "yearly" }, 12)).toEqual(["ring", "lip"]);
    expect(seats({ seals: "yearly" }, 11.9)).toEqual([]);
  });
  it("ask for a bearing of the bush's own size", () => {
    const asked: object[] = [];
    foreseenByWay(positions, types, { ...usual, bearings: "upgrade" }, null, (size) => asked.push(size) > 0);
    expect(asked).toEqual([{ boreMm: 5, outsideMm: 8, widthMm: 3 }]);
  });
});
