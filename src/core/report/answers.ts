import type { TestAccount } from "@/core/account/account";
import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";
import type { TestId } from "@/core/vocabulary/tests";

/** The test that answers a complaint. Common practice. */
export const testOfComplaint: Readonly<Partial<Record<ComplaintId, TestId>>> = {
  stiff: "turning",
  gritty: "turning",
  "short-spin": "free-spool",
  whirrs: "free-spool",
  "drag-jerky": "drag-strike",
  "drag-weak": "drag-full",
  "slips-back": "anti-reverse",
  "click-weak": "click",
  "line-twists": "roller",
  "bail-hangs": "bail",
  "drops-line": "cast-pin",
};

const said = ({ verdict, reading }: NonNullable<TestAccount["before"]>): string => (reading ? `${verdict}, ${reading}` : verdict);

/** Each complaint with the test that answers it, as it was and as it is; a complaint that no test of this job answers has no line. */
export const answersTo = (complained: readonly ComplaintId[], tests: readonly TestAccount[]): string[] =>
  complained.flatMap((complaint) => {
    const test = tests.find(({ id }) => id === testOfComplaint[complaint]);
    if (!test) return [];
    const { name, before, after } = test;
    const words = `“${complaints[complaint]}”: ${name}`;
    if (!after) return before ? [`${words} was ${said(before)} when it came.`] : [];
    if (!before) return [`${words} is ${said(after)} now.`];
    if (said(before) === said(after)) return [`${words} was ${said(before)} when it came, and is so now.`];
    return [`${words} was ${said(before)} when it came, is ${said(after)} now.`];
  });
