import { describe, expect, it } from "vitest";
import { fitsNow, type Waiting } from "./fits-now";

const seat = (positionId: string, change: Partial<Waiting> = {}): Waiting => ({
  positionId,
  partTypeId: "bearing",
  open: true,
  planned: false,
  setAside: false,
  ...change,
});
const bin =
  (count: number, keptAside = 0) =>
  () => ({ count, keptAside });

describe("new pieces that are here", () => {
  it("are as many as lie free in the bin, for the first seats; what is put aside for other reels is not among them", () => {
    const seats = ["a", "b", "c"].map((id) => seat(id));
    expect(fitsNow(seats, bin(2))).toEqual(["a", "b"]);
    expect(fitsNow(seats, bin(2, 2))).toEqual([]);
    expect(fitsNow(seats, () => null)).toEqual([]);
  });

  it("are those put aside for the seat or planned from elsewhere, whatever the bin says", () => {
    expect(fitsNow([seat("a", { setAside: true }), seat("b", { planned: true }), seat("c")], bin(0))).toEqual(["a", "b"]);
  });

  it("go into no seat whose old piece is still in the reel", () => {
    expect(fitsNow([seat("a", { open: false, planned: true }), seat("b", { open: false }), seat("c")], bin(1))).toEqual(["c"]);
  });
});
