import { describe, expect, it } from "vitest";
import { minutesPerDay } from "@/core/day/day";
import { learn, middleStay, type PastJob, thumb, workedWeek } from "./past";

const job = (change: Partial<PastJob> = {}): PastJob => ({
  id: 1,
  modelId: "m",
  family: "f",
  kind: "repair",
  place: 0,
  came: 0,
  promised: 7,
  looked: 600,
  answered: null,
  opened: 700,
  parcel: null,
  built: 800,
  ready: 900,
  minutes: { look: 10, open: 20, build: 30 },
  ...change,
});
const median = (duration: ReturnType<ReturnType<typeof learn>["minutes"]>) => (duration.law === "lognormal" ? duration.median : Number.NaN);

describe("what the past tells", () => {
  it("is a rule of thumb without one, and the shop's own where much is known", () => {
    const none = learn([]);
    expect(median(none.minutes("build", job()))).toBeCloseTo(thumb.minutes.build, 6);
    expect(none.parcel.chance("repair")).toBeCloseTo(thumb.parcel.chance, 6);
    const many = learn(Array.from({ length: 2000 }, () => job()));
    expect(median(many.minutes("build", job()))).toBeCloseTo(30, 0);
    expect(many.parcel.chance("repair")).toBeLessThan(0.01);
  });

  it("draws a model to its family, and a family to the shop, by how much is known of each", () => {
    const past = [
      ...Array.from({ length: 200 }, (_, i) => job({ id: i, modelId: `m${i % 20}` })),
      ...Array.from({ length: 3 }, () => job({ modelId: "slow", minutes: { look: 10, open: 20, build: 90 } })),
    ];
    const slow = median(learn(past).minutes("build", job({ modelId: "slow" })));
    expect(slow).toBeGreaterThan(31);
    expect(slow).toBeLessThan(60);
    const well = [...past, ...Array.from({ length: 60 }, () => job({ modelId: "slow", minutes: { look: 10, open: 20, build: 90 } }))];
    expect(median(learn(well).minutes("build", job({ modelId: "slow" })))).toBeGreaterThan(slow);
  });

  it("counts an answer as waited for when it came on a later day", () => {
    const sameDay = learn(Array.from({ length: 50 }, () => job({ answered: 650 })));
    const later = learn(Array.from({ length: 50 }, () => job({ answered: 600 + 2 * 1440 })));
    expect(sameDay.answer.chance("repair")).toBeLessThan(0.06);
    expect(later.answer.chance("repair")).toBeGreaterThan(0.8);
    expect(later.answer.takes.law === "lognormal" && later.answer.takes.median / 1440).toBeCloseTo(1.9, 0);
  });
});

describe("the week as it is worked", () => {
  const rules = [360, 360, 360, 360, 360, 360, 360];
  it("is that of the rules while little is known", () => {
    expect(workedWeek([300, 300, 300], rules, 0).minutes).toEqual(rules);
  });

  it("leaves out weekdays nobody works on, keeps to the hours of a busy day, and counts spells of absence", () => {
    const days = Array.from({ length: 364 }, (_, i) => (i % 7 >= 5 ? 0 : 200 + (i % 3) * 10));
    // Somebody was ill for a week, twice.
    for (const from of [100, 240]) for (let i = from; i < from + 7; i++) days[i] = 0;
    const { minutes, absences } = workedWeek(days, rules, 0);
    expect(minutes).toEqual([220, 220, 220, 220, 220, 0, 0]);
    expect(absences.perYear).toBeCloseTo(1.5, 1);
    expect(absences.days).toBeGreaterThan(4);
    expect(absences.days).toBeLessThan(6);
  });

  it("takes days on which nothing waited for no absence", () => {
    const days = Array.from({ length: 364 }, (_, i) => (i % 30 < 10 ? null : 200));
    expect(workedWeek(days, rules, 0).absences.perYear).toBeCloseTo(thumb.absences.perYear / 2, 1);
  });
});

describe("what a shop's past tells, worked by hand", () => {
  const day = minutesPerDay;
  const done = (change: Partial<PastJob> = {}): PastJob => ({
    id: 1,
    modelId: "m",
    family: "f",
    kind: "repair",
    place: 0,
    came: 0,
    promised: 5,
    looked: 100,
    answered: null,
    opened: 200,
    parcel: null,
    built: 300,
    ready: 400,
    minutes: { look: 30, open: 25, build: 40 },
    ...change,
  });
  const times = <T>(n: number, one: T): T[] => Array.from({ length: n }, () => one);
  const any = { modelId: "other", family: "other", kind: "other" };

  it("is the rule of thumb where nothing was done yet", () => {
    const { minutes, opens, answer, parcel } = learn([]);
    expect(minutes("look", any)).toMatchObject({ law: "lognormal", spread: 0.45 });
    expect((minutes("look", any) as { median: number }).median).toBeCloseTo(15, 9);
    expect([opens("repair"), answer.chance("repair"), parcel.chance("repair")]).toEqual([0.75, 0.2, 0.25]);
    expect(answer.takes).toMatchObject({ median: 1.5 * day, spread: 0.8 });
  });

  it("is drawn half way to eight jobs that all took alike, kind on shop, family on kind, model on family", () => {
    // Eight looks of 30 minutes beside a thumb of 15 as if eight jobs had shown it: the shop's middle is √(30 · 15). What is left, ln 2 / 2, goes
    // half to the kind, half of the rest to the family, half of that rest to the model.
    const { minutes } = learn(times(8, done()));
    const median = (job: typeof any) => (minutes("look", job) as { median: number }).median;
    const half = Math.log(2) / 2;
    expect(median(any)).toBeCloseTo(15 * Math.exp(half), 6);
    expect(median({ ...any, kind: "repair" })).toBeCloseTo(15 * Math.exp(half + half / 2), 6);
    expect(median({ ...any, kind: "repair", family: "f" })).toBeCloseTo(15 * Math.exp(half + half / 2 + half / 4), 6);
    expect(median({ kind: "repair", family: "f", modelId: "m" })).toBeCloseTo(15 * Math.exp(half + half / 2 + half / 4 + half / 8), 6);
    // Their spread: eight residuals of ln 2 / 16 and the thumb's 0.45, eight each.
    const spread = (minutes("look", any) as { spread: number }).spread;
    expect(spread).toBeCloseTo(Math.sqrt(((half / 8) ** 2 + 0.45 ** 2) / 2), 6);
  });

  it("counts only work that was done: what took no minutes was not", () => {
    const { minutes } = learn(times(20, done({ minutes: { look: 30, open: 0, build: 0 } })));
    expect((minutes("open", any) as { median: number }).median).toBeCloseTo(25, 9);
  });

  it("gives a kind its own share of reels that are opened, drawn to the shop's", () => {
    // Sixteen of which eight were opened: the shop's share is (8 + 6) / 24; a kind with none of eight is half of that.
    const { opens } = learn([...times(8, done()), ...times(8, done({ kind: "check", opened: null }))]);
    const all = 14 / 24;
    expect(opens("never seen")).toBeCloseTo(all, 9);
    expect(opens("check")).toBeCloseTo(all / 2, 9);
    expect(opens("repair")).toBeCloseTo((8 + 8 * all) / 16, 9);
  });

  it("waits for an answer only where one came on a later day than the look", () => {
    const asked = (looked: number | null, answered: number | null) => learn(times(8, done({ looked, answered }))).answer;
    expect(asked(100, 200).chance("repair")).toBeLessThan(0.2);
    expect(asked(100, null).chance("repair")).toBeLessThan(0.2);
    expect(asked(null, 2 * day).chance("repair")).toBeLessThan(0.2);
    const later = asked(day - 10, day + 10);
    expect(later.chance("repair")).toBeGreaterThan(0.5);
    // Half a day and less counts as a fifth of one: eight waits of 0.2 days beside the thumb's 1.5.
    expect((asked(day - 10, day + 10).takes as { median: number }).median).toBeCloseTo(Math.sqrt(0.2 * 1.5) * day, 3);
    expect((asked(0, 4 * day).takes as { median: number }).median).toBeCloseTo(Math.sqrt(4 * 1.5) * day, 3);
  });

  it("waits for parcels by those that were opened, as long as from order to arrival", () => {
    const parcel = { from: 2 * day, to: 8 * day };
    const learned = learn([...times(8, done({ parcel })), ...times(8, done({ opened: null }))]).parcel;
    expect((learned.takes as { median: number }).median).toBeCloseTo(6 * day, 3);
    // Eight of eight that were opened, and a quarter of eight by the thumb.
    expect(learned.chance("never seen")).toBeCloseTo(10 / 16, 9);
  });

  it("is in the middle as many days as from the day it came to the day it was ready", () => {
    const stay = (came: number, ready: number) => done({ came, ready });
    expect(middleStay([stay(day - 1, day), stay(0, 3 * day + 5), stay(0, 9 * day)])).toBe(3);
  });
});

describe("a week as it is worked", () => {
  const rules = [480, 480, 480, 480, 480, 0, 0];
  /** Weeks of days alike, from the first weekday on. */
  const weeks = (n: number, of: readonly (number | null)[]) => Array.from({ length: n }, () => of).flat();

  it("is the shop's rules under eight weeks, and what was worked from then on", () => {
    const short = [300, 300, 300, 300, 0, null, null];
    expect(workedWeek(weeks(8, short).slice(1), rules, 0).minutes).toEqual(rules);
    expect(workedWeek(weeks(8, short), rules, 0).minutes).toEqual([300, 300, 300, 300, 0, 0, 0]);
  });

  it("leaves out a weekday that is worked in less than one week of three, and keeps one that is worked in just so many", () => {
    const [with5, without5] = [
      [400, 400, 400, 400, 400, null, null],
      [400, 400, 400, 400, 0, null, null],
    ];
    expect(workedWeek([...weeks(3, with5), ...weeks(6, without5)], rules, 0).minutes[4]).toBe(400);
    expect(workedWeek([...weeks(3, with5), ...weeks(7, without5)], rules, 0).minutes[4]).toBe(0);
  });

  it("goes by the weekday the past begins with, never beyond the shop's rules, and never under an hour", () => {
    const week = [0, 400, 400, 400, 400, 400, null];
    // Its first day is a Sunday by the rules' own order.
    expect(workedWeek(weeks(9, week), rules, 6).minutes).toEqual([400, 400, 400, 400, 400, 0, 0]);
    expect(workedWeek(weeks(9, [900, 900, 900, 900, 900, null, null]), rules, 0).minutes[0]).toBe(480);
    expect(workedWeek(weeks(9, [20, 20, 20, 20, 20, null, null]), rules, 0).minutes[0]).toBe(60);
  });

  it("counts runs of three days and more without work as spells, days the shop was shut aside", () => {
    const worked = weeks(52, [400, 400, 400, 400, 400, null, null]);
    const absent = (from: number, days: number) =>
      worked.map((minutes, i) => (i >= from && i < from + days && minutes !== null ? 0 : minutes));
    const years = worked.length / 365;
    // Two days are a day without reels and another; three from Monday are a spell; one more of the rule of thumb counts for a year beside it.
    expect(workedWeek(absent(70, 2), rules, 0).absences.perYear).toBeCloseTo(1 / (years + 1), 9);
    expect(workedWeek(absent(70, 3), rules, 0).absences).toEqual({ perYear: 2 / (years + 1), days: (3 + 4) / 2 });
    // Over a weekend that nobody works it is one spell still.
    expect(workedWeek(absent(70, 12), rules, 0).absences).toEqual({ perYear: 2 / (years + 1), days: (10 + 4) / 2 });
  });
});
