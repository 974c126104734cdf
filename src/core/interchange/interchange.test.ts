import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type CatalogueSeat, grades, type InterchangeSet, interchangeSetSchema, knownNot, whatFits, whereFits } from "./interchange";

const seat = (modelId: string, role: string, partTypeId: string, positionId = role): CatalogueSeat => ({
  modelId,
  model: modelId,
  positionId,
  seat: positionId,
  role,
  partTypeId,
});

// One bridge serves the three smaller sizes of a series but not the largest (common practice).
const seats = [
  seat("s20", "bridge", "b29"),
  seat("s30", "bridge", "b29"),
  seat("s40", "bridge", "b30"),
  seat("s60", "bridge", "b60"),
  seat("s30", "star", "star30"),
];
const bridges: InterchangeSet = interchangeSetSchema.parse({
  id: "bridges",
  name: "Bridges of the smaller ones",
  roles: ["bridge"],
  mark: "29 stamped on it",
  members: [
    { modelId: "s20", grade: "drop-in" },
    { modelId: "s30", grade: "drop-in" },
    { modelId: "s40", grade: "fits-with-note", note: "longer post: file the cap" },
    { partTypeId: "blank", grade: "cut-to-size" },
  ],
  exclusions: [{ modelId: "s60", why: "its gear is larger" }],
});

describe("what fits here, and where else", () => {
  it("offers the same number first, then by grade, with note and mark", () => {
    expect(whatFits(seats[0]!, seats, [bridges]).map((fit) => [fit.partTypeId, fit.grade, fit.note])).toEqual([
      ["b29", "same-number", ""],
      ["b30", "fits-with-note", "longer post: file the cap"],
      ["blank", "cut-to-size", ""],
    ]);
    expect(whatFits(seats[2]!, seats, [bridges])[1]).toMatchObject({ partTypeId: "b29", grade: "drop-in", mark: "29 stamped on it" });
  });

  it("never offers anything to or from an excluded model, and says why", () => {
    expect(whatFits(seats[3]!, seats, [bridges]).map((fit) => fit.partTypeId)).toEqual(["b60"]);
    expect(whereFits("b29", seats, [bridges]).map(({ seat: at }) => at.modelId)).toEqual(["s20", "s30", "s40"]);
    expect(knownNot("b29", seats, [bridges])).toEqual([{ modelId: "s60", why: "its gear is larger" }]);
    expect(knownNot("star30", seats, [bridges])).toEqual([]);
  });

  it("is about the roles it names and no others", () => {
    expect(whatFits(seats[4]!, seats, [bridges]).map((fit) => fit.partTypeId)).toEqual(["star30"]);
  });

  it("offers a number's successor", () => {
    expect(whatFits(seats[4]!, seats, [], "star31")[1]).toMatchObject({ partTypeId: "star31", grade: "drop-in" });
  });

  it("refuses a model that is in and out, a member that is nothing, a set about nothing", () => {
    const { exclusions, ...rest } = bridges;
    for (const bad of [
      { ...rest, exclusions: [{ modelId: "s20", why: "x" }] },
      { ...bridges, members: [{ grade: "drop-in" }] },
      { ...bridges, roles: [] },
      { ...bridges, exclusions: [{ modelId: "s60", why: " " }] },
    ])
      expect(interchangeSetSchema.safeParse(bad).success).toBe(false);
    expect(exclusions).toHaveLength(1);
  });

  it("answers both questions alike: a part fits a seat exactly when the seat is among those the part fits", () => {
    const models = ["a", "b", "c", "d"];
    const parts = ["p", "q", "r"];
    const roles = ["x", "y"];
    const anySeats = fc
      .uniqueArray(fc.tuple(fc.constantFrom(...models), fc.constantFrom(...roles), fc.constantFrom(...parts)), {
        selector: ([m, r]) => `${m}${r}`,
        maxLength: 8,
        minLength: 1,
      })
      .map((rows) => rows.map(([m, r, p]) => seat(m, r, p)));
    const anySet = fc
      .record({
        roles: fc.subarray(roles, { minLength: 1 }),
        split: fc.array(fc.nat(2), { minLength: 4, maxLength: 4 }),
        part: fc.constantFrom(...parts),
        grade: fc.constantFrom(...grades),
      })
      .map(
        ({ roles: r, split, part, grade }): InterchangeSet => ({
          id: "s",
          name: "S",
          roles: r,
          mark: "",
          members: [
            ...models.filter((_, i) => split[i] === 1).map((modelId) => ({ modelId, grade, note: "" })),
            { partTypeId: part, grade: "cut-to-size" as const, note: "" },
          ],
          exclusions: models.filter((_, i) => split[i] === 2).map((modelId) => ({ modelId, why: "x" })),
        }),
      );
    fc.assert(
      fc.property(anySeats, fc.array(anySet, { maxLength: 3 }), (all, sets) => {
        for (const at of all)
          for (const part of parts) {
            const here = whatFits(at, all, sets).find((fit) => fit.partTypeId === part);
            const there = whereFits(part, all, sets).find((place) => place.seat === at);
            expect(there?.grade).toBe(here?.grade);
          }
      }),
    );
  });
});
