import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { type Case, findingOfTest, type Observation } from "./case-net";
import { diagnose } from "./diagnose";
import { faults } from "./fault-table";
import type { FindingId } from "./finding-table";
import { nextTests } from "./next-looks";
import { moreScenarios, pairScenarios, type Scenario, scenarios, soundScenarios } from "./scenarios";

type Noticed = Pick<Scenario, "family" | "use" | "told" | "tested" | "seen">;

function caseOf({ family, use, told, tested, seen }: Noticed): Case {
  const observations: Observation[] = [
    ...told.map((finding): Observation => ({ by: "told", finding })),
    ...(Object.entries(tested) as [TestId, Verdict][]).map(
      ([test, verdict]): Observation => ({ by: "test", finding: findingOfTest[test], verdict }),
    ),
    ...(Object.entries(seen) as [FindingId, boolean][]).map(([finding, so]): Observation => ({ by: "look", finding, so })),
  ];
  return { roles: new Set(families[family].parts.map((part) => part.role)), use, observations };
}

/** What the bench knows in a case: what was told (the irrelevant too), tested and seen; the missing finding was never looked at. */
const withIrrelevant = (scenario: Scenario): Case => caseOf({ ...scenario, told: [...scenario.told, scenario.irrelevant] });

const first = (subject: Case, count: number) =>
  diagnose(subject, false)
    .ranked.slice(0, count)
    .map(({ fault }) => fault.id);

function parts(subject: Case, { isolating }: Scenario): void {
  const proposed = nextTests(subject, 3).map(({ look }) => look.finding);
  expect(
    proposed.some((finding) => isolating.includes(finding)),
    `proposed ${proposed.join(", ")}`,
  ).toBe(true);
}

describe("the cases of the trade's list", () => {
  it("are one for every fault", () => {
    expect(scenarios.map((scenario) => scenario.cause).sort()).toEqual(faults.map((fault) => fault.id).sort());
  });

  it.each([...scenarios, ...moreScenarios].map((scenario) => [scenario.cause, scenario.family, scenario] as const))(
    "%s in a %s is among the first three, and a look that parts it is proposed",
    (cause, _family, scenario) => {
      const subject = withIrrelevant(scenario);
      expect(first(subject, 3), "the first three").toContain(cause);
      parts(subject, scenario);
    },
  );

  it.each(pairScenarios.map((scenario) => [scenario.cause, scenario.second, scenario] as const))(
    "%s with %s: both are among the first four, and a look that parts them is proposed",
    (cause, second, scenario) => {
      const subject = withIrrelevant(scenario);
      expect(first(subject, 4)).toEqual(expect.arrayContaining([cause, second]));
      const proved = diagnose(subject, false).ranked.filter(({ probability }) => probability > 0.8);
      if (proved.length < 2) parts(subject, scenario);
    },
  );

  it.each(soundScenarios.map((scenario) => [scenario.what, scenario] as const))(
    "%s: nothing that needs a hand is likelier than not",
    (_what, scenario) => {
      const { ranked } = diagnose(caseOf(scenario), false);
      const likely = ranked.filter(({ fault, probability }) => fault.remedy.minutes > 0 && probability > 0.35);
      expect(likely.map(({ fault, probability }) => `${fault.id} ${probability.toFixed(2)}`)).toEqual([]);
    },
  );
});
