import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { type Case, findingOfTest, type Observation } from "./case-net";
import { diagnose } from "./diagnose";
import { faults } from "./fault-table";
import type { FindingId } from "./finding-table";
import { nextTests } from "./next-looks";
import { type Scenario, scenarios } from "./scenarios";

/** What the bench knows in a case: what was told (the irrelevant too), tested and seen; the missing finding was never looked at. */
function caseOf(scenario: Scenario): Case {
  const observations: Observation[] = [
    ...[...scenario.told, scenario.irrelevant].map((finding): Observation => ({ by: "told", finding })),
    ...(Object.entries(scenario.tested) as [TestId, Verdict][]).map(
      ([test, verdict]): Observation => ({ by: "test", finding: findingOfTest[test], verdict }),
    ),
    ...(Object.entries(scenario.seen) as [FindingId, boolean][]).map(([finding, so]): Observation => ({ by: "look", finding, so })),
  ];
  return { roles: new Set(families[scenario.family].parts.map((part) => part.role)), use: scenario.use, observations };
}

describe("the cases of the trade's list", () => {
  it("are one for every fault", () => {
    expect(scenarios.map((scenario) => scenario.cause).sort()).toEqual(faults.map((fault) => fault.id).sort());
  });

  it.each(scenarios.map((scenario) => [scenario.cause, scenario] as const))(
    "%s is among the first three, and a look that parts it is proposed",
    (cause, scenario) => {
      const subject = caseOf(scenario);
      const ranked = diagnose(subject, false)
        .ranked.slice(0, 3)
        .map(({ fault }) => fault.id);
      expect(ranked, "the first three").toContain(cause);
      const proposed = nextTests(subject, 3).map(({ look }) => look.finding);
      expect(
        proposed.some((finding) => scenario.isolating.includes(finding)),
        `proposed ${proposed.join(", ")}`,
      ).toBe(true);
    },
  );
});
