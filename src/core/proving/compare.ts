import type { Verdict } from "@/core/vocabulary/tests";
import type { TestSpec } from "./protocol";

export interface Observation {
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly lineRadiusMm: number | null;
}

export type Change = "better" | "same" | "worse" | "not-comparable";

const rank: Record<Verdict, number> = { bad: 0, doubtful: 1, good: 2 };

/**
 * Before against after. The verdict decides where it changed; where it did not, the number does, if the test has a better direction and
 * both were read. Pulls are compared as torque at the spool, because the same setting reads differently at another line radius. A change
 * under 5 % is called the same: hand readings do not carry more (rule of thumb).
 */
export function compare(spec: TestSpec, before: Observation, after: Observation): Change {
  if (rank[after.verdict] !== rank[before.verdict]) return rank[after.verdict] > rank[before.verdict] ? "better" : "worse";
  if (before.value === null || after.value === null || spec.better === "none") return "same";
  let was = before.value;
  let is = after.value;
  if (spec.takesLineRadius) {
    if (before.lineRadiusMm === null || after.lineRadiusMm === null) return "not-comparable";
    was *= before.lineRadiusMm;
    is *= after.lineRadiusMm;
  }
  if (Math.abs(is - was) <= 0.05 * Math.max(Math.abs(was), Math.abs(is))) return "same";
  return is > was === (spec.better === "more") ? "better" : "worse";
}
