import { describe, expect, it } from "vitest";
import { takenForWords } from "./taken-for";

describe("what a reel is believed to be", () => {
  it("says of each whether it is a guess", () => {
    expect(takenForWords({ madeBy: "Harle & Finn?", madeWhen: "about 1952 ?", madeWhere: "the coast" })).toBe(
      "Harle & Finn (a guess), about 1952 (a guess), the coast",
    );
    expect(takenForWords({ madeBy: "", madeWhen: "?", madeWhere: "" })).toBe("");
  });
});
