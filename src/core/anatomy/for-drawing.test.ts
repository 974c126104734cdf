import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { modelPlates, overviewPlate } from "@/core/schematic/assembly-plate";
import { familyIds } from "@/core/vocabulary/families";
import { anatomyOfEdition } from "./anatomy-of-edition";
import { anatomyForDrawing } from "./for-drawing";

describe("a machine as far as it is drawn", () => {
  it.each(familyIds)("gives the same plates, with far fewer letters: %s", (family) => {
    for (const { name, template } of everyBuild(family)) {
      const anatomy = anatomyOfEdition(template.anatomy, null);
      const types = new Map(template.parts.map((part) => [part.id, part]));
      const drawn = anatomyForDrawing(anatomy);
      expect(overviewPlate(drawn, types), name).toEqual(overviewPlate(anatomy, types));
      expect(modelPlates(drawn, types), name).toEqual(modelPlates(anatomy, types));
      expect(JSON.stringify(drawn).length).toBeLessThan(0.75 * JSON.stringify(anatomy).length);
    }
  });
});
