import { describe, expect, it } from "vitest";
import { findings } from "./finding-table";
import { type ClaimEvidence, claimIds, claims, weighClaim } from "./purchase-check";

const evidence = (change: Partial<ClaimEvidence> = {}): ClaimEvidence => ({
  looks: new Map(),
  tests: new Map(),
  conditions: [],
  possible: new Set(findings.map(({ id }) => id)),
  ...change,
});

describe("what a seller says, beside what was seen", () => {
  it("asks something of every claim while nobody has looked, and takes none as true", () => {
    for (const claim of claimIds) {
      const weighed = weighClaim(claim, evidence());
      expect(weighed.standing, claims[claim]).toBe("not-looked");
      expect(weighed.ask.length, claims[claim]).toBeGreaterThan(0);
    }
  });

  it("lets one thing against outweigh all that fits (common practice: a clean test does not unsay rust)", () => {
    const weighed = weighClaim(
      "fresh-only",
      evidence({
        looks: new Map([
          ["rust-inside", true],
          ["sand-in-grease", false],
        ]),
      }),
    );
    expect(weighed.standing).toBe("against");
    expect(weighed.against).toHaveLength(1);
    expect(weighed.fits).toHaveLength(1);
  });

  it("hears the marks of the counter and the verdicts of the tests", () => {
    expect(weighClaim("never-opened", evidence({ conditions: [{ id: "opened", name: "opened before" }] })).against).toEqual([
      "opened before",
    ]);
    const drag = (verdict: "good" | "doubtful" | "bad") =>
      weighClaim("drag-good", evidence({ tests: new Map([["drag-full", { name: "Drag, full", verdict }]]) })).standing;
    expect([drag("good"), drag("doubtful"), drag("bad")]).toEqual(["nothing-against", "doubtful", "against"]);
  });

  it("does not ask for what this reel cannot show", () => {
    expect(weighClaim("serviced", evidence({ possible: new Set(["grease-hard"]) })).ask).toEqual(["grease-hard"]);
  });
});
