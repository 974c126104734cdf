import { expect, it } from "vitest";
import { afterClosing, type Taking, takingsByWay } from "./takings";

const taking = (payment: number | null, how: Taking["how"], amountMinor: number): Taking => ({
  payment,
  invoice: payment === null ? null : 7,
  name: "Ada Brook",
  amountMinor,
  how,
});

it("a day's takings are summed by the way they were paid, what was paid back taken off, in their usual order", () => {
  // 40.00 + 12.50 in cash less 5.00 back is 47.50.
  const day = [
    taking(3, "card", 2000),
    taking(1, "cash", 4000),
    taking(2, "cash", 1250),
    taking(4, "cash", -500),
    taking(null, "deposit", 1000),
  ];
  expect(takingsByWay(day)).toEqual([
    { how: "cash", minor: 4750 },
    { how: "card", minor: 2000 },
    { how: "deposit", minor: 1000 },
  ]);
  expect(takingsByWay([])).toEqual([]);
});

it("what came in after closing is told by its number; a deposit never is", () => {
  const day = [taking(1, "cash", 100), taking(null, "deposit", 100), taking(2, "cash", 200), taking(3, "card", 300)];
  expect(afterClosing(day, 2).map(({ payment }) => payment)).toEqual([3]);
  expect(afterClosing(day, 3)).toEqual([]);
});
