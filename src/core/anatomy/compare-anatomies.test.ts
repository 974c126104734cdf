import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import { compareAnatomies } from "./compare-anatomies";

const base = { anatomy: skerry30Anatomy, partTypes: skerry30Parts };
const changed = (edit: (copy: { anatomy: typeof skerry30Anatomy; partTypes: typeof skerry30Parts }) => void) => {
  const copy = structuredClone(base);
  edit(copy);
  return compareAnatomies(base, copy);
};

describe("comparing two versions of a machine", () => {
  it("finds nothing where nothing changed, whatever order the rows stand in", () => {
    expect(changed(() => {})).toEqual([]);
    expect(changed((copy) => copy.anatomy.positions.reverse())).toEqual([]);
  });

  it("names what was added, removed and changed, and which fields", () => {
    const found = changed((copy) => {
      copy.anatomy.positions = copy.anatomy.positions.filter((position) => position.id !== "handle-spacer");
      copy.anatomy.positions.find((position) => position.id === "star")!.orientation = "flat side in";
      copy.partTypes[0]!.priceMinor += 1;
      copy.anatomy.operations.push({
        id: "wipe",
        kind: "lubricate",
        words: "Wipe the plates",
        after: [],
        before: [],
        lookAt: [],
        editions: [],
      });
    });
    expect(found).toEqual([
      { what: "removed", kind: "seat", name: "Handle spacer", fields: [] },
      { what: "changed", kind: "seat", name: "Star", fields: ["orientation"] },
      { what: "changed", kind: "part", name: expect.stringContaining("SK-101"), fields: ["priceMinor"] },
      { what: "added", kind: "operation", name: "Wipe the plates", fields: [] },
    ]);
  });
});
