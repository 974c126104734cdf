import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { checkAnatomy } from "./check-anatomy";
import { guessAnatomy, type LoosePart } from "./guess-anatomy";
import { kindWords, type PartKind, shapeSchema } from "./shapes";
import { typicalShapes } from "./typical-shape";

const kinds = Object.keys(kindWords) as PartKind[];
const loose = (list: readonly PartKind[]): LoosePart[] => list.map((kind, i) => ({ well: i + 1, kind, name: "" }));

describe("a machine guessed from the order of removal", () => {
  it("lets a part rest on what came off next, and a screw hold the next part that is none (common practice)", () => {
    const { anatomy } = guessAnatomy(loose(["screw", "screw", "plate", "friction-washer", "clip", "gear"]), "u9");
    const seat = (well: number) => anatomy.positions.find((position) => position.id === `part-${well}`)!;
    expect(seat(3)).toMatchObject({ restsOn: ["part-4"], heldBy: ["part-1", "part-2"] });
    expect(seat(4)).toMatchObject({ restsOn: ["part-6"], heldBy: [] });
    expect(seat(6)).toMatchObject({ restsOn: [], heldBy: ["part-5"] });
    expect(seat(1)).toMatchObject({ restsOn: [], heldBy: [] });
  });

  it("marks every seat as guessed and numbers what is alike", () => {
    const { anatomy } = guessAnatomy(loose(["screw", "screw", "spool"]), "u9");
    expect(anatomy.positions.every((position) => position.guessed)).toBe(true);
    expect(anatomy.positions.map((position) => position.name)).toEqual(["Screw 1", "Screw 2", "Spool"]);
  });

  it("always fits, and its build order is the way back, whatever came off", () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...kinds), { minLength: 1, maxLength: 50 }), (list) => {
        const { anatomy, partTypes } = guessAnatomy(loose(list), "u9");
        expect(checkAnatomy(anatomy, partTypes)).toEqual([]);
        const removed = anatomy.positions.map((position) => position.id);
        expect(removalOrder(anatomy)).toHaveLength(list.length);
        const built = buildOrder(anatomy, removed);
        expect(built.ok && built.value.steps.map((step) => step.position!.id)).toEqual([...removed].reverse());
      }),
    );
  });

  it("has a typical shape of every kind that can be drawn", () => {
    for (const kind of kinds) {
      expect(typicalShapes[kind].kind).toBe(kind);
      expect(shapeSchema.safeParse(typicalShapes[kind]).success, kind).toBe(true);
    }
  });
});
