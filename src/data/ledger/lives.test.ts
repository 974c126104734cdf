import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { dueOfComponent, endsOfComponent } from "./lives";

describe("when a component is due, by this shop's own reels", () => {
  it("is the rule of thumb in a shop that has handed nothing back, and nothing where no end can be seen", () => {
    const { db } = openWorkshop();
    const of = { modelId: "skerry-30", family: "star-drag-bridge", water: "salt", tripsPerYear: 24 };
    const due = dueOfComponent(db, "2026-03-02", "drag", of, 12)!;
    expect(due.months).toBeCloseTo(12, 1);
    expect(due.ended).toBe(0);
    expect(dueOfComponent(db, "2026-03-02", "outside", of, 1)).toBeNull();
    expect(Object.keys(endsOfComponent)).toContain("drag");
  });
});
