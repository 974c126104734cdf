import { describe, expect, it } from "vitest";
import { asFoundWords, markWords } from "./marks";

describe("how a reel came, in words", () => {
  it("gathers each mark's places in the order they were tapped", () => {
    expect(
      markWords([
        { mark: "pitting", zone: "foot" },
        { mark: "green", zone: "head-plate" },
        { mark: "pitting", zone: "spool" },
      ]),
    ).toBe("pitting: foot, spool; green corrosion: head plate");
    expect(markWords([])).toBe("");
  });

  it("says a mark without a place once, and never twice what has one", () => {
    expect(
      asFoundWords({
        marks: [{ mark: "bent", zone: "knob" }],
        conditions: ["bent", "opened"],
        conditionNote: "by a fall",
        brakes: "dial 4",
      }),
    ).toBe("bent handle or post: knob; opened before; by a fall; brakes as found: dial 4");
    expect(asFoundWords({ conditions: [], conditionNote: "" })).toBe("");
  });
});
