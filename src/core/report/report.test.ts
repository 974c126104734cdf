import { describe, expect, it } from "vitest";
import type { TestAccount } from "@/core/account/account";
import { formatMinor } from "@/core/money/money";
import { answersTo } from "./answers";
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
