import { describe, expect, it } from "vitest";
import { learn, type PastJob, thumb, workedWeek } from "./past";

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
