import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/vocabulary/families";
import { carriesDelicate } from "./carried";
import { cleanMethodOf, cleanMethodsFor, isBath } from "./methods";

const of = (family: FamilyId, ...out: string[]) => {
  const { anatomy, parts } = families[family];
  return [...carriesDelicate(anatomy, new Map(parts.map((part) => [part.id, part])), new Set(out))];
};

// Common practice: a bath for a part, not for what sits in it.
describe("a part that still carries what a bath spoils", () => {
  it.each<[FamilyId, string, string[], string[]]>([
    ["centrepin", "a drum with its bearings in", ["drum"], ["drum"]],
    ["centrepin", "a drum of which they are out", ["drum", "front-bearing", "rear-bearing"], []],
    ["star-drag-clutch", "a cover with its clutch", ["head-plate"], ["head-plate"]],
    ["baitcaster-low-profile", "a side plate with its magnets", ["side-plate", "plate-bearing"], ["side-plate"]],
    ["star-drag-bridge", "a tail plate, which carries none", ["tail-plate", "cap"], []],
    ["fly", "a spool with clutch and bearings", ["spool"], ["spool"]],
  ])("%s: %s", (family, _what, out, carrying) => expect(of(family, ...out)).toEqual(carrying));

  it("is cleaned by cloth alone, however dirty the reel is", () => {
    for (const family of ["centrepin", "star-drag-clutch", "fly"] as const)
      for (const part of families[family].parts) {
        for (const dirt of ["bath", "brush", "wipe"] as const) {
          const method = cleanMethodOf(part, "washed", dirt, true);
          expect(isBath(method), part.name).toBe(false);
          expect(cleanMethodsFor(part, true)).toContain(method);
        }
        expect(cleanMethodsFor(part, true).some(isBath)).toBe(false);
        expect(cleanMethodsFor(part, true).length).toBeGreaterThan(0);
      }
  });
});
