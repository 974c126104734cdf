import { describe, expect, it } from "vitest";
import { type JournalNames, journalSayings, journalSentence } from "./journal-sentence";

const named = (kind: string) => (id: unknown) => `${kind} ${String(id)}`;
const names: JournalNames = {
  seat: named("seat"),
  step: named("step"),
  assembly: named("assembly"),
  part: named("part"),
  supplier: named("supplier"),
  model: named("model"),
  fault: named("fault"),
  sign: named("sign"),
  test: named("test"),
  person: named("person"),
  customer: "Maren Quist",
  reel: "Skerry 30 MS3061777",
};
const sentence = (action: string, detail: Record<string, unknown> = {}) => journalSentence("Ilse", action, detail, names);

describe("an entry of the journal", () => {
  it("is a sentence: who did what, to which customer's or reel's", () => {
    expect(sentence("job-opened")).toBe("Ilse checked in Skerry 30 MS3061777.");
    expect(sentence("lot-opened", { reels: 1 })).toBe("Ilse checked in a lot of 1 reel for Maren Quist.");
    expect(sentence("lot-opened", { reels: 6 })).toBe("Ilse checked in a lot of 6 reels for Maren Quist.");
  });

  it("says which way money went", () => {
    expect(sentence("payment-taken", { amountMinor: 5950, how: "card", number: 7 })).toMatch(/^Ilse took 59\.50 \(card\) on /);
    expect(sentence("payment-taken", { amountMinor: -5950, how: "card", number: 7 })).toMatch(/^Ilse paid back 59\.50 \(card\) on /);
    expect(sentence("job-corrected", { amount: 0 })).toBe("Ilse added to the closed job.");
    expect(sentence("job-corrected", { amount: -500 })).toBe("Ilse added to the closed job, given back 5.00.");
  });

  it("says before or after service, how a part was cleaned, what was measured, and a reason only where one was given", () => {
    expect(sentence("tested", { phase: "after", test: "click", verdict: "good" })).toBe("Ilse tested test click after service: good.");
    expect(sentence("tested", { phase: "before", test: "click", verdict: "bad" })).toBe("Ilse tested test click before service: bad.");
    expect(sentence("test-left-out", { phase: "before", test: "click", reason: "no line on it" })).toBe(
      "Ilse left out test click before service: no line on it.",
    );
    expect(sentence("test-left-out", { phase: "before", test: "click", reason: "" })).toBe("Ilse left out test click before service.");
    expect(sentence("test-left-out", { phase: "before", test: "click", reason: 7 })).toBe("Ilse left out test click before service.");
    expect(sentence("cleaned-by-hand", { parts: 1, method: "brush" })).toBe("Ilse cleaned 1 part: Swab and brush.");
    expect(sentence("cleaned-by-hand", { parts: 2, method: "sand" })).toBe("Ilse cleaned 2 parts: cleaning.");
    expect(sentence("measured", { kind: "side-play", value: 0.12345, unit: "mm" })).toBe("Ilse measured side play: 0.123 mm.");
    expect(sentence("measured", { kind: "odd-thing", value: 2, unit: "mm" })).toBe("Ilse measured odd-thing: 2 mm.");
    expect(sentence("gauge-kept", { gauge: "drag-at-the-line" })).toContain("drag at the line gauge");
    expect(sentence("goes-as-it-is", { test: "click", reason: "no-part" })).toBe(
      "Ilse returned it with test click bad: the part is not available.",
    );
    expect(sentence("goes-as-it-is", { test: "click", reason: null })).toBe("Ilse took back that it goes with test click bad.");
  });

  it("says an act this program does not know any more by its own words", () =>
    expect(sentence("reel-polished")).toBe("Ilse reel polished."));

  it("is whole for every act there is, also where nothing is known of its detail", () => {
    for (const action of Object.keys(journalSayings)) {
      const said = sentence(action);
      expect(said, action).toMatch(/^Ilse [a-z].+\.$/);
      expect(said, action).not.toContain("[object");
    }
  });
});
