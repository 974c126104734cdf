import { describe, expect, it } from "vitest";
import type { PartType } from "@/core/anatomy/types";
import { cleanMethodOf, cleanMethodsFor } from "@/core/cleaning/methods";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { everyBuild } from "@/core/families/families";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { familyIds } from "@/core/vocabulary/families";
import { liningMaterialIds, liningMaterials } from "@/core/vocabulary/lining-materials";
import { benchWays, usualWays } from "@/core/ways/ways";
import { wayApplies } from "@/core/ways/ways-that-apply";
import { remedyCautions, remedyOn } from "./act-cautions";
import { cautionsAt, hazards } from "./cautions";
import { mayBeAsbestos, readLiningMaterial } from "./linings";

/** What people write of a lining, and whether it proves anything. Source: common practice. */
const typed: readonly (readonly [string, boolean])[] = [
  ["asbestos", false],
  ["woven asbestos", false],
  ["Asbestos?", false],
  ["brake lining", false],
  ["dark pressed stuff", false],
  ["carbon?", false],
  ["leather or asbestos", false],
  ["not known yet", false],
  ["unknown", false],
  ["", false],
  [" ", false],
  ["?", false],
  ["carbon fibre", true],
  ["woven carbon", true],
  ["Leather", true],
  ["ox hide", true],
  ["ptfe", true],
  ["proven free of asbestos: laboratory", false], // the word itself leaves doubt: choose from the list
];

/** Each seat of a lining once, however many builds have it so. */
const linings = [
  ...new Map(
    familyIds.flatMap((family) =>
      everyBuild(family).flatMap(({ name, template: { anatomy, parts } }) =>
        anatomy.positions.flatMap((position) => {
          const type = parts.find(({ id }) => id === position.partTypeId)!;
          const one = { family, name, position, type };
          return type.shape.kind === "friction-washer"
            ? [[JSON.stringify([family, position.id, position.lubricant, type]), one] as const]
            : [];
        }),
      ),
    ),
  ).values(),
];

/** Every choice a shop, customer or job can make about what goes on a part or how it is cleaned. */
const wishes = ["drag", "leather", "frictionWashing", "softDrag"] as const;

describe("a lining's material is judged once", () => {
  it.each(typed)("“%s” proves it: %s", (words, proven) => {
    expect(liningMaterials[readLiningMaterial(words)].proven).toBe(proven);
  });

  it("reads each of its own choices as itself", () => {
    for (const id of liningMaterialIds) expect(readLiningMaterial(id)).toBe(id);
  });

  it("for caution, cleaning, lubricant, remedy, ways and report alike, in every build, for every material and wish", () => {
    const materials = [...liningMaterialIds, ...typed.map(([words]) => words)];
    for (const { position, type: drawn } of linings)
      for (const material of materials)
        for (const liningUnproven of [undefined, true as const]) {
          const type: PartType = { ...drawn, material, ...(liningUnproven ? { liningUnproven } : {}) };
          const doubtful = mayBeAsbestos(type);
          expect(doubtful, material).toBe(Boolean(liningUnproven) || !liningMaterials[readLiningMaterial(material)].proven);
          const warned = (said: readonly string[]) => said.includes(hazards.lining);
          expect(warned(cautionsAt({ at: "strip", position: {}, type, electric: false }))).toBe(doubtful);
          expect(warned(cautionsAt({ at: "build", position: {}, type, warmed: false }))).toBe(doubtful);
          expect(warned(cautionsAt({ at: "report", types: [type] }))).toBe(doubtful);
          for (const friction of ["washed", "wiped"] as const)
            for (const dirt of ["bath", "brush", "wipe"] as const)
              expect(cleanMethodOf(type, friction, dirt) === "leave-dry").toBe(doubtful);
          expect(cleanMethodsFor(type).includes("leave-dry")).toBe(doubtful);
          for (const wish of wishes) {
            for (const choice of Object.keys(benchWays[wish].choices))
              for (const by of ["job", "customer", "shop"] as const) {
                const wished = { [wish]: choice };
                const ways = by === "shop" ? { shop: { ...usualWays, ...wished } } : { shop: usualWays, [by]: wished };
                const advice = lubricantFor(position, type, ways);
                if (doubtful)
                  expect(advice, `${material} ${wish} ${choice} ${by}`).toMatchObject({ product: "nothing", ruledBy: "safety" });
                else expect(advice?.ruledBy ?? "").not.toBe("safety");
              }
          }
          if (doubtful)
            for (const way of ["drag", "frictionWashing"] as const)
              expect(wayApplies(way, [type], { kind: "service", depth: "full" } as never)).toBe(false);
          for (const fault of commonKnowledge.faults) {
            const said = remedyCautions(fault, [type]);
            expect(remedyOn(fault, [type]).words === fault.remedy.words).toBe(said.length === 0);
            if (!doubtful) expect(said).toEqual([]);
          }
        }
  });
});
