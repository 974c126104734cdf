import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { beforeBuried } from "./before-buried";
import { wayRound } from "./way-round";

const seats = familyIds.flatMap((family) =>
  everyBuild(family).flatMap(({ name, template }) => template.anatomy.positions.map((position) => ({ family, name, position, template }))),
);

describe("which way round a part goes back", () => {
  it("is the model's in every seat of every build, whatever was found; what was found stands beside it", () => {
    let ruled = 0;
    for (const { family, name, position } of seats) {
      const model = position.orientation ?? "";
      const found = "the other way up";
      const { goesBack, lay } = wayRound(position, found);
      const leftToReel = !model || /as found|the customer had|the way it sat/.test(model);
      const where = `${family} ${name} ${position.name}`;
      if (leftToReel) {
        expect(goesBack, where).toContain(found);
        expect(lay, where).toBe("");
      } else {
        ruled++;
        expect(goesBack, where).toBe(model);
        expect(lay, where).toBe(found);
      }
      expect(wayRound(position, "")).toEqual({ goesBack: model, lay: "" });
      expect(wayRound(position, model)).toEqual({ goesBack: model, lay: "" });
    }
    expect(ruled).toBeGreaterThan(100);
  });

  it("doubts nothing that was found in a seat which the model leaves to the reel", () => {
    for (const { position, template } of seats) {
      const type = template.parts.find(({ id }) => id === position.partTypeId)!;
      const watched = ["bearing", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer"].includes(type.shape.kind);
      if (!watched) continue;
      const state = { seated: true, verdict: "ok" as const, renewed: false, orientation: "thick end to the plate", foundCount: 1 };
      for (const orientation of ["thick end as found", "cup up"]) {
        const positions = template.anatomy.positions.map((one) => (one.id === position.id ? { ...one, orientation } : one));
        const anatomy = { ...template.anatomy, positions };
        for (const cover of positions) {
          const look = beforeBuried(
            anatomy,
            new Map(template.parts.map((part) => [part.id, part])),
            cover.id,
            new Map([[position.id, state]]),
          );
          const doubted = look?.doubts.some((words) => words.includes("thick end to the plate")) ?? false;
          if (look) expect(doubted).toBe(orientation === "cup up");
        }
      }
      break; // one seat of a kind is enough: the rule knows no seat
    }
  });
});
