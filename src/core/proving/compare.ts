import type { Verdict } from "@/core/vocabulary/tests";
import type { TestKind } from "./protocol";
import { readingError } from "./reading-error";

export interface Observation {
  readonly verdict: Verdict;
  readonly value: number | null;
  readonly lineRadiusMm: number | null;
  /** What read it; a hand where nothing says so. */
  readonly instrument?: string;
  /** Where the adjuster stood; nothing where nobody noted it. */
  readonly setting?: number | null;
}

/** What came of it; `unlike` is a word beside a number, of which nothing can be said, `changed` another number where neither way is better. */
export type Change = "better" | "same" | "changed" | "worse" | "not-comparable" | "unlike";

/** What came of a test, in words; what is not better is said so. Empty where nothing is to be said. */
export const changeWords: Readonly<Record<Change, string>> = {
  better: "better",
  same: "the same",
  changed: "changed",
  worse: "not better",
  "not-comparable": "not comparable",
  unlike: "",
};

const rank: Record<Verdict, number> = { bad: 0, doubtful: 1, good: 2 };

/** After less before, with its 95 % interval, in the test's unit; pulls as the force at the line radius of the later one. */
export interface Difference {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** @returns null where either was not read, or a pull has no line radius to be compared at. */
export function differenceOf(spec: TestKind, before: Observation, after: Observation): Difference | null {
  if (before.value === null || after.value === null || spec.unit === null) return null;
  let scale = 1;
  if (spec.takesLineRadius) {
    if (before.lineRadiusMm === null || after.lineRadiusMm === null) return null;
    scale = before.lineRadiusMm / after.lineRadiusMm;
  }
  const error = ({ value, instrument }: Observation) => readingError(spec.unit!, value!, instrument ?? "typed");
  const value = after.value - before.value * scale;
  const reach = 1.96 * Math.hypot(error(before) * scale, error(after));
  return { value, low: value - reach, high: value + reach };
}

/**
 * Before against after. The verdict decides where it changed; where it did not, the number does, if both were read on the same setting: it is
 * another where the interval of the difference leaves nothing out. Pulls are compared as torque at the spool, because the same setting reads
 * differently at another line radius.
 */
export function compare(spec: TestKind, before: Observation, after: Observation): Change {
  if (rank[after.verdict] !== rank[before.verdict]) return rank[after.verdict] > rank[before.verdict] ? "better" : "worse";
  if (before.value === null && after.value === null) return "same";
  if (before.value === null || after.value === null) return "unlike";
  const difference = differenceOf(spec, before, after);
  if (!difference || otherSetting(before, after)) return "not-comparable";
  if (difference.low <= 0 && difference.high >= 0) return "same";
  if (spec.better === "none") return "changed";
  return difference.value > 0 === (spec.better === "more") ? "better" : "worse";
}

const otherSetting = ({ setting: one }: Observation, { setting: other }: Observation): boolean =>
  one != null && other != null && one !== other;
