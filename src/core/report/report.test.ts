import { describe, expect, it } from "vitest";
import type { TestAccount } from "@/core/account/account";
import { formatMinor } from "@/core/money/money";
import { answersTo } from "./answers";
import { originWords } from "./origin-words";
import { minutesLine } from "./price-lines";

const reading = (verdict: "good" | "doubtful" | "bad", words = "") => ({
  act: "answer:1",
  id: "turning" as const,
  name: "Turning in gear",
  phase: "before" as const,
  verdict,
  reading: words,
});
const turning = (before: TestAccount["before"], after: TestAccount["after"]): TestAccount => ({
  id: "turning",
  name: "Turning in gear",
  before,
  after,
});

describe("a complaint is answered by its test", () => {
  it.each([
    [reading("bad", "24 cN·m"), reading("good", "9 cN·m"), "was bad, 24 cN·m when it came, is good, 9 cN·m now."],
    [reading("good"), reading("good"), "was good when it came, and is so now."],
    [reading("bad"), null, "was bad when it came."],
    [null, reading("good"), "is good now."],
  ])("as it was and as it is", (before, after, words) => {
    expect(answersTo(["stiff"], [turning(before, after)])).toEqual([`“stiff to turn”: Turning in gear ${words}`]);
  });

  it("and has no answer where its test was not made, or no test answers it", () => {
    expect(answersTo(["stiff"], [turning(null, null)])).toEqual([]);
    expect(answersTo(["click-weak", "service", "wobbles"], [turning(reading("bad"), null)])).toEqual([]);
  });
});

it("a line of work says its price where it is on the list, else its minutes, and nothing of what takes none", () => {
  expect(minutesLine({ words: "Full service", minutes: 60, price: 6900 }, formatMinor)).toBe("Full service (69.00, price list)");
  expect(minutesLine({ words: "Fit a click tongue", minutes: 15, price: null }, formatMinor)).toBe("Fit a click tongue (15 min)");
  expect(minutesLine({ words: "Checked again free of charge", minutes: 0, price: null }, formatMinor)).toBe("Checked again free of charge");
});

// Common practice: what each complaint is felt as again.
it.each([
  ["stiff", "turning"],
  ["gritty", "turning"],
  ["short-spin", "free-spool"],
  ["whirrs", "free-spool"],
  ["drag-jerky", "drag-strike"],
  ["drag-weak", "drag-full"],
  ["slips-back", "anti-reverse"],
  ["click-weak", "click"],
  ["line-twists", "roller"],
  ["bail-hangs", "bail"],
  ["drops-line", "cast-pin"],
] as const)("%s is answered by the test %s", (complaint, id) => {
  expect(answersTo([complaint], [{ id, name: "That test", before: null, after: reading("good") }])).toEqual([
    expect.stringContaining("That test is good now."),
  ]);
});

it("where a piece came from is told for the job it is told of", () => {
  const of = (change: Partial<Parameters<typeof originWords>[0]>) =>
    originWords({ origin: "stock", fittedTag: "Z-1", offDonor: false, source: null, ...change }, "Z-1");
  expect(of({})).toBe("new, fitted now");
  expect(of({ fittedTag: "Z-0" })).toBe("new, fitted earlier as Z-0");
  expect(of({ offDonor: true })).toBe("used, from a donor, fitted now");
  expect(of({ source: "customer" })).toBe("the customer's own piece, fitted now");
  expect(of({ origin: "found" })).toBe("as it came");
  expect(of({ fittedTag: null })).toBe("as it came");
});
