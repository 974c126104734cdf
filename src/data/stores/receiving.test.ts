import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { askForPart } from "@/data/bench/fit-part";
import { listNeeds } from "@/data/parts/needs";
import { findStock, setBin } from "@/data/parts/stock";
import { mistakesOf } from "./experience";
import { countComing, listOrders, placeOrder } from "./orders";
import { giveUpLine, paidOtherwise, putDownBad, receive, receiveOrder, settleBad } from "./receiving";

/** Three jobs that wait for a star, promised one after the other, ordered together. */
function ordered() {
  const shop = openWorkshop();
  setBin(shop.ctx, "sk-star", "A1", 0, 0);
  const jobs = ["2026-03-20", "2026-03-10", "2026-03-15"].map((promisedOn) => {
    const job = shop.open({ limitMinor: 100_000, promisedOn });
    askForPart(shop.ctx, job, "star");
    return job;
  });
  const needs = () => listNeeds(shop.db, { states: ["open", "ordered", "arrived"] });
  const { orderId } = placeOrder(
    shop.ctx,
    "quay",
    needs().map(({ id }) => id),
    "2026-03-02",
  );
  const line = () => listOrders(shop.db, 1)[0]!.lines[0]!;
  const stateOf = (jobId: number) => needs().find((need) => need.jobId === jobId)?.state;
  return { ...shop, jobs: jobs as [number, number, number], orderId, line, stateOf };
}

describe("what a supplier sends", () => {
  it("goes to the jobs by their promised day, in part and then all by one press", () => {
    const { ctx, db, jobs, orderId, line, stateOf } = ordered();
    expect(receive(ctx, line().id, 1).keptAsideFor).toHaveLength(1);
    expect([stateOf(jobs[0]), stateOf(jobs[1]), stateOf(jobs[2])]).toEqual(["ordered", "arrived", "ordered"]);
    expect(receiveOrder(ctx, orderId).keptAsideFor).toHaveLength(2);
    expect(refusal(() => receiveOrder(ctx, orderId)).code).toBe("nothing-out");
    expect(findStock(db, "sk-star")).toMatchObject({ count: 3, keptAside: 3 });
  });

  it("is counted as coming until all of it is here or given up, and as due from its day on, however many orders there are", () => {
    const { ctx, db, orderId, line } = ordered();
    const { expectedOn } = listOrders(db, 1)[0]!;
    expect(countComing(db, "2026-03-02")).toEqual({ out: 1, due: 0 });
    expect(countComing(db, expectedOn)).toEqual({ out: 1, due: 1 });
    receive(ctx, line().id, 1);
    expect(countComing(db, expectedOn)).toEqual({ out: 1, due: 1 });
    // A list of a few newest orders would lose the oldest, which is the one that is overdue.
    const again = db.prepare(
      "INSERT INTO purchase_order (supplier_id, placed_at, expected_on, desk_reference) SELECT supplier_id, placed_at, '2026-04-01', desk_reference FROM purchase_order WHERE id = ?",
    );
    const lines = db.prepare(
      "INSERT INTO order_line (order_id, part_type_id, quantity, price_minor) SELECT ?, part_type_id, 1, price_minor FROM order_line WHERE order_id = ? LIMIT 1",
    );
    for (let i = 0; i < 15; i++) lines.run(again.run(orderId).lastInsertRowid, orderId);
    expect(countComing(db, expectedOn)).toEqual({ out: 16, due: 1 });
    receiveOrder(ctx, orderId);
    expect(countComing(db, expectedOn)).toEqual({ out: 15, due: 0 });
  });

  it("may be more than was ordered, said so, and cost something else", () => {
    const { ctx, db, line } = ordered();
    expect(refusal(() => receive(ctx, line().id, 5)).message).toContain("Only 3");
    receive(ctx, line().id, 5, { more: true });
    expect(line()).toMatchObject({ received: 3, extra: 2 });
    expect(findStock(db, "sk-star")).toMatchObject({ count: 5, keptAside: 3 });
    paidOtherwise(ctx, line().id, 280);
    expect(db.prepare("SELECT paid_minor FROM order_line").pluck().get()).toBe(280);
  });

  it("that is wrong or broken enters no bin, goes back, and is made good by another piece", () => {
    const { ctx, db, line, jobs, stateOf } = ordered();
    receive(ctx, line().id, 1);
    const bad = putDownBad(ctx, line().id, { kind: "wrong", pieces: 1, words: "19 teeth" });
    expect(refusal(() => putDownBad(ctx, line().id, { kind: "broken", pieces: 2, words: "" })).message).toContain("Only 1 more");
    expect(findStock(db, "sk-star")!.count).toBe(1);
    settleBad(ctx, bad, { state: "sent-back" });
    expect(refusal(() => settleBad(ctx, bad, { state: "sent-back" })).code).toBe("settled");
    settleBad(ctx, bad, { state: "replaced" });
    receive(ctx, line().id, 2);
    expect(jobs.map(stateOf)).toEqual(["arrived", "arrived", "arrived"]);
    expect(mistakesOf(db).get("quay")).toMatchObject({ bad: 1, pieces: 4 });
  });

  it("that is credited leaves its job on the needs list again, the one promised last", () => {
    const { ctx, line, jobs, stateOf } = ordered();
    const bad = putDownBad(ctx, line().id, { kind: "broken", pieces: 1, words: "" });
    settleBad(ctx, bad, { state: "credited", creditMinor: 100 });
    expect(jobs.map(stateOf)).toEqual(["open", "ordered", "ordered"]);
    expect(line()).toMatchObject({ givenUp: 1, bad: [{ state: "credited", creditMinor: 100 }] });
    receive(ctx, line().id, 2);
    expect(refusal(() => receive(ctx, line().id, 1)).code).toBe("quantity");
  });

  it("and will not come at all leaves them all there", () => {
    const { ctx, line, jobs, stateOf } = ordered();
    receive(ctx, line().id, 1);
    expect(giveUpLine(ctx, line().id).again).toHaveLength(2);
    expect(jobs.map(stateOf)).toEqual(["open", "arrived", "open"]);
    expect(refusal(() => giveUpLine(ctx, line().id)).code).toBe("nothing-out");
  });
});
