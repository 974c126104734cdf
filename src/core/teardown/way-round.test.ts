import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { nothingFound, wayRound } from "./way-round";

const seats = familyIds.flatMap((family) =>
  everyBuild(family).flatMap(({ name, template }) =>
    template.anatomy.positions.map((position) => ({ where: `${family} ${name}`, position })),
  ),
);
const written = { orientation: "the other way up", lies: null } as const;

describe("which way round a part goes back", () => {
  it("is the model's in every seat of every build, whatever was found; what was found stands beside it", () => {
    let ruled = 0;
    for (const { where, position } of seats) {
      const model = position.orientation ?? "";
      const { goesBack, lay } = wayRound(position, written);
      if (position.asFound || !model) {
        expect(goesBack, `${where} ${position.name}`).toContain(written.orientation);
        expect(lay).toBe("");
      } else {
        ruled++;
        expect([goesBack, lay], `${where} ${position.name}`).toEqual([model, written.orientation]);
      }
      expect(wayRound(position, nothingFound)).toEqual({ goesBack: model, lay: "", turnedOver: false });
      expect(wayRound(position, { orientation: model, lies: "as-model" })).toEqual({ goesBack: model, lay: "", turnedOver: false });
    }
    expect(ruled).toBeGreaterThan(100);
  });

  it("catches by a value what was upside down, in every seat that the model rules, and lays it so where the reel decides", () => {
    for (const { where, position } of seats) {
      const { goesBack, turnedOver } = wayRound(position, { orientation: "", lies: "turned" });
      expect(turnedOver, `${where} ${position.name}`).toBe(!position.asFound);
      if (position.asFound) expect(goesBack).toContain("upside down, left that way");
      else expect(goesBack).toBe(position.orientation ?? "");
    }
  });

  it("says as a value what each family's words say: left to the reel, or with two sides", () => {
    for (const { where, position } of seats) {
      const words = position.orientation ?? "";
      expect(position.asFound === true, `${where} ${position.name}: ${words}`).toBe(/as found|the customer had|the way it sat/.test(words));
      if (/\bcup (up|down)|convex side|lip outward|curved end/.test(words))
        expect(position.twoSided, `${where} ${position.name}`).toBe(true);
    }
  });
});
