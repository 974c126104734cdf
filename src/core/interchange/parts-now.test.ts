import { describe, expect, it } from "vitest";
import { partsNow, type WantedSeat } from "./parts-now";

const seat = (positionId: string, change: Partial<WantedSeat> = {}): WantedSeat => ({
  positionId,
  partTypeId: "gear",
  open: true,
  planned: false,
  setAside: false,
  need: null,
  sold: true,
  ...change,
});
const bin =
  (count: number, keptAside = 0) =>
  () => ({ count, keptAside });

describe("the main key of Parts (common practice: fit what is here, ask for what is short, look elsewhere for what nobody sells)", () => {
  it("fits what is here before anything is ordered", () => {
    expect(partsNow([seat("a"), seat("b")], true, bin(1))).toEqual({ what: "fit", positionIds: ["a"] });
  });

  it("asks for all that is short by one press, also for seats whose old piece is still in", () => {
    expect(partsNow([seat("a"), seat("b", { open: false }), seat("c", { need: "ordered" })], true, bin(0))).toEqual({
      what: "order",
      positionIds: ["a", "b"],
    });
    expect(partsNow([seat("a", { open: false }), seat("b", { open: false })], true, bin(1))).toEqual({ what: "order", positionIds: ["b"] });
  });

  it("never asks for what is asked for, planned from elsewhere, or sold by nobody", () => {
    expect(partsNow([seat("a", { need: "open" }), seat("b", { need: "ordered" })], true, bin(0))).toEqual({ what: "wait", count: 2 });
    expect(partsNow([seat("a", { planned: true, open: false })], true, bin(0))).toEqual({ what: "on" });
    expect(partsNow([seat("a", { sold: false }), seat("b", { need: "open" })], true, bin(0))).toEqual({
      what: "elsewhere",
      positionId: "a",
    });
  });

  it("asks the customer before anything costs more than was agreed, and asks nobody where nothing is wanted", () => {
    expect(partsNow([seat("a")], false, bin(1))).toEqual({ what: "ask-first" });
    expect(partsNow([], false, bin(1))).toEqual({ what: "on" });
  });

  it("leads on where nothing is wanted, or where what is wanted is still in the reel", () => {
    expect(partsNow([], true, bin(0))).toEqual({ what: "on" });
    expect(partsNow([seat("a", { open: false, need: "ordered" })], true, bin(0))).toEqual({ what: "on" });
    expect(partsNow([seat("a", { open: false, sold: false })], true, bin(0))).toEqual({ what: "on" });
  });
});
