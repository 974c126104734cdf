import { describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { keptChances } from "@/core/promise/backtest";
import { chanceBy, dayFor, foretellOne } from "@/core/promise/bench-simulation";
import { effectsOf, slipsAmong } from "@/core/promise/what-if";
import { defaultShopSettings } from "@/core/shop/settings";
import { askForPart } from "@/data/bench/fit-part";
import { listNeeds } from "@/data/parts/needs";
import { setBin } from "@/data/parts/stock";
import { addPersonOff, removePersonOff, setPersonHours } from "@/data/shop/person-hours";
import { saveShopSettings } from "@/data/shop/settings";
import { placeOrder } from "@/data/stores/orders";
import { freshJob, liveBench, promiseSeed } from "./bench";
import { keepSaid } from "./keep-said";

const today = "2026-03-02";
const now = `${today}T08:00:00.000Z`;
const asked = { modelId: "skerry-30", family: "star-drag-bridge", kind: "repair" };
type Shop = ReturnType<typeof openWorkshop>;

/** What a reel that comes in now is told. */
const toldOf = ({ db }: Shop) => {
  const live = liveBench(db, today, now);
  const { job } = freshJob(live, asked);
  return foretellOne({ ...live.bench, jobs: [...live.bench.jobs, job] }, live.bench.jobs.length, promiseSeed, 150);
};
const rushIn = ({ db }: Shop) => {
  const live = liveBench(db, today, now);
  const { job } = freshJob(live, asked);
  return slipsAmong(effectsOf(live.bench, live.hanging, { kind: "rush", job }, { seed: promiseSeed, runs: 150, chance: live.ask }).effects);
};

describe("the day to promise", () => {
  it("goes with what hangs here and with the hours of the bench", () => {
    const [empty, full] = [openWorkshop(), openWorkshop()];
    for (let i = 0; i < 30; i++) full.open({ promisedOn: "2026-03-06" });
    const before = dayFor(toldOf(full), 0.8);
    expect(before).toBeGreaterThan(dayFor(toldOf(empty), 0.8));
    saveShopSettings(full.ctx, { ...defaultShopSettings, benchHoursPerDay: 2, openOn: [1, 2] });
    expect(dayFor(toldOf(full), 0.8)).toBeGreaterThan(before);
  });

  it("counts people one by one, with their hours and the days they are not there", () => {
    const shop = openWorkshop();
    const { db, ctx, open } = shop;
    for (let i = 0; i < 12; i++) open({ promisedOn: "2026-03-06" });
    saveShopSettings(ctx, { ...defaultShopSettings, benchHoursPerDay: 2 });
    setPersonHours(ctx, ctx.person.id, [120, 120, 120, 120, 120, 0, 0]);
    const alone = dayFor(toldOf(shop), 0.8);
    const id = addPersonOff(ctx, ctx.person.id, { from: "2026-03-03", to: "2026-03-13", words: "away" });
    expect(liveBench(db, today, now).people).toEqual([{ personId: ctx.person.id, name: ctx.person.name }]);
    expect(dayFor(toldOf(shop), 0.8)).toBeGreaterThan(alone + 7);
    removePersonOff(ctx, id);
    expect(dayFor(toldOf(shop), 0.8)).toBe(alone);
    setPersonHours(ctx, ctx.person.id, [0, 0, 0, 0, 0, 0, 0]);
    expect(liveBench(db, today, now).people[0]!.personId).toBeNull();
  });

  it("slips for others where a rush job is taken on a full bench, not on an empty one", () => {
    const empty = openWorkshop();
    empty.open({ promisedOn: "2026-04-20" });
    expect(rushIn(empty)).toEqual([]);
    const full = openWorkshop();
    saveShopSettings(full.ctx, { ...defaultShopSettings, benchHoursPerDay: 2 });
    for (let i = 0; i < 8; i++) full.open({ promisedOn: `2026-03-0${4 + Math.floor(i / 2)}` });
    expect(rushIn(full).length).toBeGreaterThan(0);
  });

  it("waits for the parcel a job waits for", () => {
    const shop = openWorkshop();
    const { db, ctx, open } = shop;
    setBin(ctx, "sk-star", "A1", 0, 0);
    const id = open({ promisedOn: "2026-03-03", limitMinor: 100_000 });
    askForPart(ctx, id, "star");
    placeOrder(
      ctx,
      "quay",
      listNeeds(db, { states: ["open"] }).map((need) => need.id),
      today,
    );
    const live = liveBench(db, today, now);
    const told = foretellOne(live.bench, 0, promiseSeed, 150);
    expect(chanceBy(told, 0)).toBeLessThan(0.05);
    // Rushed or not, what is on its way comes no sooner: nothing of ours slips by a job beside it.
    expect(rushIn(shop)).toEqual([]);
  });

  it("is kept when a reel comes, for every chance, and once", () => {
    const { db, ctx, open } = openWorkshop();
    const id = open({ promisedOn: "2026-03-09" });
    keepSaid(ctx, today, [id]);
    keepSaid(ctx, today, [id]);
    const rows = db.prepare("SELECT days, named, afterwards FROM promise_said WHERE job_id = ?").all(id) as {
      days: string;
      named: number;
      afterwards: number;
    }[];
    expect(rows).toHaveLength(1);
    const days = JSON.parse(rows[0]!.days) as number[];
    expect(days).toEqual([...days].sort((a, b) => a - b));
    expect(days).toContain(rows[0]!.named);
    expect(rows[0]!.afterwards).toBe(0);
  });

  it("is what the page showed, to the day, and nothing reckoned a second time", () => {
    const { db, ctx, open } = openWorkshop();
    const id = open({ promisedOn: "2026-03-09" });
    // What a page may have shown is unlike anything this bench says.
    const days = keptChances.map((_, i) => 31 + i);
    keepSaid(ctx, today, [id], { days, named: 38 });
    const row = db.prepare("SELECT days, named FROM promise_said WHERE job_id = ?").get(id) as { days: string; named: number };
    expect(row).toEqual({ days: JSON.stringify(days), named: 38 });
  });
});
