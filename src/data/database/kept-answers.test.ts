import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { expectedNext, noteWell, putBack, takeParts } from "@/data/bench/tray";
import { addCustomer } from "@/data/customers/customers";
import { findJob } from "@/data/jobs/jobs";
import { listSeatWear } from "@/data/ledger/seat-wear";
import { keptAnswer, lastActOfShop } from "./kept-answers";
import { readOnce } from "./read-once";

describe("a dear answer", () => {
  it("is worked out once while what it stands on is the same, for every handle on the same database and for no other", () => {
    const [a, b] = [openWorkshop(), openWorkshop()];
    let worked = 0;
    const ask = (db: typeof a.db, standing: string) => keptAnswer(db, "question", standing, () => ++worked);
    expect([ask(a.db, "1"), ask(readOnce(a.db), "1"), ask(a.db, "1")]).toEqual([1, 1, 1]);
    expect(ask(b.db, "1")).toBe(2);
    expect(ask(a.db, "2")).toBe(3);
    // What stood before is forgotten: an older standing is asked anew.
    expect(ask(a.db, "1")).toBe(4);
    const before = lastActOfShop(a.db);
    addCustomer(a.ctx, { name: "Ben", phone: "", email: "" });
    expect(lastActOfShop(a.db)).not.toBe(before);
  });
});

describe("a dear answer inside a transaction", () => {
  it("is not kept: what was rolled back is not there for whoever writes the same number next", () => {
    const { db, ctx } = openWorkshop();
    const names = () =>
      keptAnswer(db, "names", lastActOfShop(db), () => db.prepare("SELECT name FROM customer ORDER BY id").pluck().all() as string[]);
    const before = names();
    const add = (name: string) => addCustomer(ctx, { name, phone: "", email: "" });
    expect(() =>
      db.transaction(() => {
        add("Rolled back");
        expect(names()).toEqual([...before, "Rolled back"]);
        throw new Error("undone");
      })(),
    ).toThrow("undone");
    add("Ben");
    expect(names()).toEqual([...before, "Ben"]);
  });
});

describe("what wears, kept up by the tray", () => {
  it("is what counting all trays gives, through taking off, looking at, changing one's mind and putting back", () => {
    const { db, ctx, open } = openWorkshop();
    const counted = () =>
      Object.fromEntries(
        (
          db
            .prepare(
              `SELECT position_id AS id, count(*) AS seen, sum(verdict IN ('worn', 'replace')) AS worn FROM tray_well GROUP BY position_id`,
            )
            .all() as { id: string; seen: number; worn: number }[]
        ).map(({ id, seen, worn }) => [id, { seen, worn }]),
      );
    const [first, second] = [open(), open()];
    const kept = () => listSeatWear(db, "skerry-30");
    const seat = db.prepare("SELECT position_id FROM tray_well LIMIT 1").pluck();
    for (const job of [first, second]) takeParts(ctx, job, expectedNext(db, findJob(db, job)!).slice(0, 1));
    expect(kept()).toEqual(counted());
    const id = seat.get() as string;
    noteWell(ctx, first, id, { verdict: "worn", dressed: "", orientation: "", note: "" });
    expect(kept()[id]).toEqual({ seen: 2, worn: 1 });
    noteWell(ctx, first, id, { verdict: "ok", dressed: "", orientation: "", note: "" });
    noteWell(ctx, second, id, { verdict: "worn", dressed: "", orientation: "", note: "" });
    expect(kept()).toEqual(counted());
    putBack(ctx, second);
    expect(kept()).toEqual(counted());
  });
});
