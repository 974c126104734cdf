import { expect, it } from "vitest";
import { answer, openWorkshop, refusal } from "#tests/workshop";
import { afterClosing } from "@/core/papers/takings";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { addJobLine } from "@/data/quote/quotes";
import { closeDay, closedDay, listTakings } from "./takings";

it("a day's takings are its payments and the deposits taken on it; closed, they are kept as they were counted", () => {
  const shop = openWorkshop();
  const { ctx, db } = shop;
  const day = ctx.now.slice(0, 10);
  const paid = (serial: string, depositMinor: number) => {
    const id = shop.open({ serial, depositMinor });
    addJobLine(ctx, id, { words: "postage", priceMinor: 1000 });
    answer(ctx, id, "turning", "good");
    markReady(ctx, id);
    return closeJob(ctx, id, "Ada Brook", { paidBy: "cash" }).totalMinor;
  };
  const total = paid("T1", 500);
  // The deposit came in when the reel did, the rest as it went home; the deposit is not counted twice.
  expect(listTakings(db, day).map(({ how, amountMinor }) => [how, amountMinor])).toEqual([
    ["cash", total - 500],
    ["deposit", 500],
  ]);
  expect(refusal(() => closeDay(ctx, "2026-03-03", day)).code).toBe("to-come");
  closeDay(ctx, day, day);
  expect(closedDay(db, day)).toMatchObject({
    sums: [
      { how: "cash", minor: total - 500 },
      { how: "deposit", minor: 500 },
    ],
  });
  expect(refusal(() => closeDay(ctx, day, day)).code).toBe("gone");
  const late = paid("T2", 0);
  expect(afterClosing(listTakings(db, day), closedDay(db, day)!.lastPayment).map(({ amountMinor }) => amountMinor)).toEqual([late]);
  expect(closedDay(db, "2026-01-01")).toBeNull();
});
