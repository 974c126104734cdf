import { describe, expect, it } from "vitest";
import type { KeepsHere } from "./going-home";
import { returnNow } from "./return-now";

const well: KeepsHere = { code: "left-over", what: "well", positionId: "a", well: 3, name: "Dog" };
const fault: KeepsHere = { code: "fault", what: "open-fault", faultId: "tension-closed", name: "Tension knob closed" };
const bad: KeepsHere = { code: "tests", what: "still-bad", testId: "click", name: "Click" };
const over: KeepsHere = { code: "over-limit", what: "over-limit", totalMinor: 900, agreedMinor: 500 };
const box: KeepsHere = { code: "brought", what: "brought", item: "box" };

describe("the main key of Return", () => {
  it("leads to what keeps the reel here, first things first", () => {
    expect(returnNow([well, fault, box], false)).toEqual({ what: "go", station: "build" });
    expect(returnNow([over], true)).toEqual({ what: "go", station: "quote" });
  });

  it("asks here what only a person's word clears, and never sends them round the bench for it", () => {
    expect(returnNow([fault, bad], false)).toEqual({ what: "say", about: "tension-closed", name: "Tension knob closed" });
    expect(returnNow([bad], false)).toEqual({ what: "say", about: "click", name: "Click" });
  });

  it("hangs it ready, a sum still to be asked or not, then hands over what came with it, then the reel", () => {
    expect(returnNow([over, box], false)).toEqual({ what: "ready" });
    expect(returnNow([box], true)).toEqual({ what: "give", items: ["box"] });
    expect(returnNow([], true)).toEqual({ what: "return" });
  });
});
