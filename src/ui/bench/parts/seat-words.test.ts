import { describe, expect, it } from "vitest";
import type { SeatFacts } from "@/core/interchange/seat-facts";
import { seatWords } from "./seat-words";

const seat = (change: Partial<SeatFacts> = {}): SeatFacts => ({
  positionId: "p",
  priceMinor: 100,
  stock: null,
  inTray: false,
  toRenew: false,
  well: null,
  verdict: null,
  renewed: false,
  refitted: false,
  need: null,
  sold: true,
  foreseen: false,
  planned: false,
  declined: false,
  unrepaired: false,
  wantedPartTypeId: "p",
  fits: [],
  donors: [],
  ...change,
});

describe("what a seat's part is doing", () => {
  it.each([
    [{}, "in the reel"],
    [{ inTray: true, well: 7 }, "in well 7"],
    [{ inTray: true, well: 7, verdict: "replace" }, "to be replaced"],
    [{ inTray: true, well: 7, toRenew: true }, "to be replaced"],
    [{ inTray: true, well: 7, toRenew: true, declined: true }, "declined: the old one goes back"],
    [{ inTray: true, well: 7, verdict: "replace", need: "open" }, "on the needs list"],
    [{ inTray: true, well: 7, verdict: "replace", need: "ordered" }, "ordered"],
    [{ inTray: true, well: 7, verdict: "replace", need: "arrived" }, "arrived, set aside for this reel"],
    [{ inTray: true, well: 7, verdict: "replace", renewed: true }, "new piece in well 7"],
    [{ inTray: true, well: 7, renewed: true, refitted: true }, "new piece fitted"],
    [{ inTray: true, well: 7, refitted: true }, "refitted"],
  ] as const)("%j is %s", (change, words) => {
    expect(seatWords(seat(change))).toBe(words);
  });
});
