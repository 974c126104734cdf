import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { olderLooks } from "./older-looks";
import { lookFromWords } from "./read-older";
import { operationSchema } from "./types";

const builds = familyIds.flatMap((family) => everyBuild(family).map(({ template }) => template));

describe("a look of a model from before looks had values", () => {
  it("is read to the seats and mistakes its family says today, in every build", () => {
    const looks = builds.flatMap(({ anatomy }) => anatomy.operations.flatMap(({ lookAt }) => lookAt));
    expect(looks.length).toBeGreaterThan(1000);
    for (const look of looks) {
      const older = lookFromWords(look.words);
      expect(older.seats, look.words).toEqual(expect.arrayContaining(look.seats));
      if (look.seats.length) expect(older.shows, look.words).toEqual(look.shows);
    }
  });

  it("names no seat that no build has", () => {
    const seats = new Set(builds.flatMap(({ anatomy }) => anatomy.positions.map(({ id }) => id)));
    expect(Object.entries(olderLooks).filter(([, [of]]) => !of.every((seat) => seats.has(seat)))).toEqual([]);
  });

  it("stays words where nobody knows it, and comes in from a file either way", () => {
    expect(lookFromWords("toString")).toEqual({ words: "toString", seats: [], shows: [] });
    const act = operationSchema.parse({
      id: "gate-dog",
      kind: "gate",
      words: "The dog clicks",
      lookAt: ["Dog upside down?", { words: "Spring", seats: ["dog-spring"], shows: ["left-out"] }],
    });
    expect(act.lookAt).toEqual([
      { words: "Dog upside down?", seats: ["dog"], shows: ["turned"] },
      { words: "Spring", seats: ["dog-spring"], shows: ["left-out"] },
    ]);
  });
});
