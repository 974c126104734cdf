import { describe, expect, it } from "vitest";
import { allGoodSchema, answerSchema, leftOutSchema } from "./answer-input";

const answer = {
  phase: "before",
  testId: "drag-full",
  verdict: "good",
  value: 22,
  lineRadiusMm: 24,
  setting: 1.5,
  instrument: "typed",
  simulated: false,
  trace: null,
};
/** What is said at the one field that is wrong. */
const wrong = (change: object) => {
  const read = answerSchema.safeParse({ ...answer, ...change });
  return read.success ? null : read.error.issues.map(({ path, message }) => `${String(path[0])}: ${message}`).join(" ");
};

describe("an answer to a test", () => {
  it("is taken with a number, and without one", () => {
    expect(wrong({})).toBeNull();
    expect(wrong({ value: null, lineRadiusMm: null, setting: null })).toBeNull();
    expect(answerSchema.parse({ ...answer, setting: undefined }).setting).toBeNull();
    for (const phase of ["before", "after"]) expect(wrong({ phase })).toBeNull();
  });

  it("has a reading from nothing to what no reel passes", () => {
    for (const value of [0, 5000]) expect(wrong({ value })).toBeNull();
    expect(wrong({ value: Number.NaN })).toMatch(/^value: Type a number, bare or with its unit/);
    expect(wrong({ value: "much" })).toMatch(/^value: Type a number/);
    expect(wrong({ value: -0.1 })).toMatch(/^value: A reading cannot be below 0/);
    expect(wrong({ value: 5000.1 })).toMatch(/^value: .*check the unit/);
  });

  it("has a line radius a spool can have", () => {
    for (const lineRadiusMm of [2, 150]) expect(wrong({ lineRadiusMm })).toBeNull();
    expect(wrong({ lineRadiusMm: Number.NaN })).toMatch(/^lineRadiusMm: Type the radius in millimetres/);
    expect(wrong({ lineRadiusMm: 1.9 })).toMatch(/2 mm or more/);
    expect(wrong({ lineRadiusMm: 150.1 })).toMatch(/150 mm or less/);
  });

  it("has turns or degrees an adjuster can stand at", () => {
    for (const setting of [0, 720]) expect(wrong({ setting })).toBeNull();
    expect(wrong({ setting: Number.NaN })).toMatch(/^setting: Turns or degrees as a number/);
    expect(wrong({ setting: -1 })).toMatch(/0 or more/);
    expect(wrong({ setting: 721 })).toMatch(/more than any adjuster turns/);
  });

  it("says before or after, which test, what of it, and what read it", () => {
    for (const change of [
      { phase: "now" },
      { testId: "taste" },
      { verdict: "fine" },
      { instrument: "" },
      { instrument: "x".repeat(61) },
      { simulated: 1 },
    ])
      expect(wrong(change), JSON.stringify(change)).not.toBeNull();
    expect(wrong({ instrument: "x".repeat(60) })).toBeNull();
  });
});

describe("tests left out, and tests all good", () => {
  it("have a reason of two hundred characters at most, or none", () => {
    const left = (reason: string) => leftOutSchema.safeParse({ phase: "after", testId: "click", reason });
    expect(left("").success).toBe(true);
    expect(left("  no line on it ")).toMatchObject({ data: { reason: "no line on it" } });
    expect(left("x".repeat(200)).success).toBe(true);
    expect(left("x".repeat(201))).toMatchObject({ success: false, error: { issues: [{ message: "At most 200 characters." }] } });
  });

  it("are one at least and forty at most", () => {
    const all = (count: number) =>
      allGoodSchema.safeParse({ phase: "before", testIds: Array.from({ length: count }, () => "click") }).success;
    expect([0, 1, 40, 41].map(all)).toEqual([false, true, true, false]);
  });
});
