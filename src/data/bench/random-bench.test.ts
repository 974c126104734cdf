import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { doStep, failGate, skipStep, undoStep } from "@/data/bench/build-steps";
import { type Context, Refusal } from "@/data/database/context";
import { onBenchFor } from "@/data/hand-back/going-home";
import { closeJob, markReady } from "@/data/hand-back/returns";
import { findJob } from "@/data/jobs/jobs";
import { listNeeds } from "@/data/parts/needs";
import { countBin } from "@/data/parts/stock";
import { listOrders, placeOrder } from "@/data/stores/orders";
import { receive } from "@/data/stores/receiving";
import { getBuild } from "./build";
import { askForPart, fitFromStock, takeBack } from "./fit-part";
import { expectedNext, leaveOut, listWells, noteWell, putBack, takePart } from "./tray";

const seats = ["lock-screw", "handle-nut", "handle", "handle-spacer", "star", "tension-upper"] as const;
const seat = fc.constantFrom(...seats);

type Act = (ctx: Context, jobId: number) => unknown;
const acts: fc.Arbitrary<readonly [string, Act]> = fc.oneof(
  fc.constant(["take next", (ctx: Context, id: number) => takePart(ctx, id, expectedNext(ctx.db, findJob(ctx.db, id)!)[0]!)] as const),
  seat.map((s) => [`take ${s}`, (ctx: Context, id: number) => takePart(ctx, id, s)] as const),
  fc.constant(["put back", (ctx: Context, id: number) => putBack(ctx, id)] as const),
  seat.map(
    (s) => [`replace ${s}`, (ctx: Context, id: number) => noteWell(ctx, id, s, { verdict: "replace", orientation: "", note: "" })] as const,
  ),
  seat.map((s) => [`use ${s}`, (ctx: Context, id: number) => fitFromStock(ctx, id, s)] as const),
  seat.map((s) => [`return ${s}`, (ctx: Context, id: number) => takeBack(ctx, id, s)] as const),
  seat.map((s) => [`need ${s}`, (ctx: Context, id: number) => askForPart(ctx, id, s)] as const),
  fc.constant([
    "order",
    (ctx: Context, id: number) =>
      placeOrder(
        ctx,
        "quay",
        listNeeds(ctx.db, { states: ["open"], jobId: id }).map((need) => need.id),
        "2026-03-02",
      ),
  ] as const),
  fc.constant([
    "receive",
    (ctx: Context) => {
      const line = listOrders(ctx.db, 9)
        .flatMap((order) => order.lines)
        .find(({ received, quantity }) => received < quantity);
      if (line) receive(ctx, line.id, 1);
    },
  ] as const),
  seat.map((s) => [`count ${s}`, (ctx: Context) => countBin(ctx, `sk-${s.replace("tension-upper", "tension")}`, 1)] as const),
  fc.constant([
    "do next",
    (ctx: Context, id: number) => {
      const { current } = getBuild(ctx.db, findJob(ctx.db, id)!);
      if (current) doStep(ctx, id, current.operation.id);
    },
  ] as const),
  seat.map((s) => [`do ${s}`, (ctx: Context, id: number) => doStep(ctx, id, `place-${s}`)] as const),
  seat.map((s) => [`skip ${s}`, (ctx: Context, id: number) => skipStep(ctx, id, `place-${s}`)] as const),
  seat.map((s) => [`undo ${s}`, (ctx: Context, id: number) => undoStep(ctx, id, `place-${s}`)] as const),
  fc.constant(["fail gate", (ctx: Context, id: number) => failGate(ctx, id, "gate-star", "")] as const),
  seat.map((s) => [`leave out ${s}`, (ctx: Context, id: number) => leaveOut(ctx, id, s, "cracked, waits for another")] as const),
  fc.constant(["ready", (ctx: Context, id: number) => markReady(ctx, id)] as const),
  fc.constant(["close", (ctx: Context, id: number) => closeJob(ctx, id, "Ada")] as const),
);

/** A refusal is an answer; anything else is a hole in the rules, or in the program. */
const attempt = (name: string, work: () => unknown) => {
  try {
    work();
  } catch (error) {
    if (error instanceof Refusal) return;
    throw new Error(`${name}: ${String(error)}`);
  }
};

describe("whatever is pressed in whatever order", () => {
  it("never loses or doubles a piece, never lets stock go below nothing, never closes over a full tray", () => {
    fc.assert(
      fc.property(fc.array(acts, { minLength: 5, maxLength: 60 }), (sequence) => {
        const { ctx, db, open } = openWorkshop();
        const id = open();
        const one = <T>(sql: string) => db.prepare(sql).pluck().get() as T;
        let entries = 0;
        for (const [name, act] of sequence) {
          attempt(name, () => db.transaction(() => act(ctx, id))());
          expect(one<number>("SELECT min(count) FROM stock"), name).toBeGreaterThanOrEqual(0);
          expect(
            one<number>(
              "SELECT count(*) FROM stock WHERE count <> (SELECT coalesce(sum(delta), 0) FROM stock_move WHERE part_type_id = stock.part_type_id)",
            ),
            name,
          ).toBe(0);
          // Every new piece in the reel left a bin, and none twice.
          const fitted = one<number>("SELECT count(*) FROM instance WHERE origin = 'stock'");
          const used = one<number>("SELECT -coalesce(sum(delta), 0) FROM stock_move WHERE reason IN ('used', 'used-undone')");
          expect(fitted, name).toBe(used);
          expect(one<number>("SELECT count(*) FROM need WHERE state = 'arrived'"), name).toBeLessThanOrEqual(
            one<number>("SELECT sum(received) FROM order_line") ?? 0,
          );
          const wells = listWells(db, id).map((well) => well.well);
          expect(wells, name).toEqual(Array.from({ length: wells.length }, (_, i) => i + 1));
          const now = one<number>("SELECT count(*) FROM journal");
          expect(now, `${name}: the journal only grows`).toBeGreaterThanOrEqual(entries);
          entries = now;
          const job = findJob(db, id)!;
          if (job.closedAt)
            expect(
              onBenchFor(db, job).filter((block) => block.code === "left-over"),
              name,
            ).toEqual([]);
        }
      }),
      { numRuns: 25 },
    );
  });
});
