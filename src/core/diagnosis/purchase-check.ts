import type { ConditionId } from "@/core/vocabulary/counter-lists";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { type FindingId, findings } from "./finding-table";

/** What sellers say of a used reel, as a counter hears it. */
export const claims = {
  "fresh-only": "never in salt",
  serviced: "just serviced",
  "never-opened": "never opened",
  "runs-well": "runs like new",
  "drag-good": "drag strong and smooth",
  complete: "complete and original",
  undamaged: "no damage",
} as const;
export type ClaimId = keyof typeof claims;
export const claimIds = Object.keys(claims) as [ClaimId, ...ClaimId[]];

interface Refuters {
  /** Looks that speak against it when they are so, the ones that need nothing opened first. */
  readonly looks: readonly FindingId[];
  readonly tests?: readonly TestId[];
  readonly conditions?: readonly ConditionId[];
}

/** What speaks against each claim. Source: common practice. */
const refuters: Readonly<Record<ClaimId, Refuters>> = {
  "fresh-only": { looks: ["lever-slot-salted", "rust-inside", "sand-in-grease"], conditions: ["green", "pitting"] },
  serviced: { looks: ["spool-bearing-dirty", "grease-hard", "washers-dry", "teeth-bare"], tests: ["turning"] },
  "never-opened": { looks: ["screw-hole-empty", "ceramic-fitted", "stack-count-wrong", "washer-doubled"], conditions: ["opened"] },
  "runs-well": { looks: ["gritty-in-gear", "tight-spot", "spool-bearing-ticks"], tests: ["free-spool", "turning", "anti-reverse"] },
  "drag-good": {
    looks: ["drag-jerks-start", "drag-pulses", "washers-glazed", "washers-thin"],
    tests: ["drag-light", "drag-strike", "drag-full"],
  },
  complete: { looks: ["screw-hole-empty", "star-sits-low", "spacer-gone", "star-spring-bent"], conditions: ["missing-screw"] },
  undamaged: { looks: ["flange-chipped", "spool-runs-out", "shaft-runs-out"], conditions: ["crack", "bent", "missing-screw"] },
};

export interface ClaimEvidence {
  readonly looks: ReadonlyMap<FindingId, boolean>;
  readonly tests: ReadonlyMap<TestId, { readonly name: string; readonly verdict: Verdict }>;
  readonly conditions: readonly { readonly id: ConditionId; readonly name: string }[];
  /** Findings this very reel can show at all. */
  readonly possible: ReadonlySet<FindingId>;
}

export interface WeighedClaim {
  readonly claim: ClaimId;
  /** One thing against it is enough; without one it stands only as far as somebody looked. */
  readonly standing: "against" | "doubtful" | "nothing-against" | "not-looked";
  readonly against: readonly string[];
  readonly fits: readonly string[];
  /** What could still speak against it. */
  readonly ask: readonly FindingId[];
}

const nameOf = new Map(findings.map(({ id, name }) => [id, name]));

/** Sets what a seller says beside what was seen, measured and found. */
export function weighClaim(claim: ClaimId, evidence: ClaimEvidence): WeighedClaim {
  const { looks, tests = [], conditions = [] } = refuters[claim];
  const against: string[] = [];
  const doubtful: string[] = [];
  const fits: string[] = [];
  for (const { id, name } of evidence.conditions) if (conditions.includes(id)) against.push(name);
  for (const id of tests) {
    const test = evidence.tests.get(id);
    if (!test) continue;
    const words = `${test.name}: ${test.verdict}`;
    (test.verdict === "bad" ? against : test.verdict === "doubtful" ? doubtful : fits).push(words);
  }
  const ask: FindingId[] = [];
  for (const id of looks.filter((id) => evidence.possible.has(id))) {
    const answer = evidence.looks.get(id);
    const name = nameOf.get(id) ?? id;
    if (answer === undefined) ask.push(id);
    else if (answer) against.push(name);
    else fits.push(`not found: ${name.charAt(0).toLowerCase()}${name.slice(1)}`);
  }
  const standing = against.length ? "against" : doubtful.length ? "doubtful" : fits.length ? "nothing-against" : "not-looked";
  return { claim, standing, against: [...against, ...doubtful], fits, ask };
}

export const standingWords: Readonly<Record<WeighedClaim["standing"], string>> = {
  against: "contradicted by",
  doubtful: "doubtful",
  "nothing-against": "nothing contradicts it",
  "not-looked": "not looked at",
};
