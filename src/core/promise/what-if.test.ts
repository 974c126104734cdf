import { describe, expect, it } from "vitest";
import type { Bench, BenchJob } from "./bench-simulation";
import { dayFor, foretell } from "./bench-simulation";
import { changed, effectsOf, slipsAmong } from "./what-if";

const job = (key: number, rank: number, minutes = 120): BenchJob => ({
  key,
  from: 0,
  rank,
  steps: [{ kind: "work", minutes: { law: "lognormal", median: minutes, spread: 0.3 } }],
});
const bench = (jobs: BenchJob[], minutes = 240): Bench => ({ people: [{ from: 540, minutes: Array(60).fill(minutes) }], jobs });
const promised = (jobs: readonly BenchJob[]) => jobs.map(({ key, rank }) => ({ key, promised: rank }));
const how = { seed: 3, runs: 200, chance: 0.8 };

describe("what a choice does", () => {
  const jobs = [job(1, 0), job(2, 0), job(3, 1), job(4, 1), job(5, 2)];

  it("a rush goes before all, and what it costs is told job by job", () => {
    const { effects, rush } = effectsOf(bench(jobs), promised(jobs), { kind: "rush", job: job(9, 5, 200) }, how);
    expect(slipsAmong(effects).length).toBeGreaterThan(0);
    for (const { before, after } of effects) expect(after).toBeLessThanOrEqual(before);
    // Alone on the first day, it is done then.
    expect(dayFor(rush!, 0.95)).toBeLessThanOrEqual(1);
  });

  it("a day off helps nobody, and two people's days count one by one", () => {
    const off = (person: number | null, people: number) => {
      const of = { ...bench(jobs), people: Array.from({ length: people }, () => ({ from: 540, minutes: Array(60).fill(240) })) };
      return effectsOf(of, promised(jobs), { kind: "off", person, from: 0, to: 1 }, how).effects;
    };
    for (const { before, after } of off(null, 1)) expect(after).toBeLessThanOrEqual(before);
    expect(off(null, 1).every(({ after }) => after < 0.5)).toBe(true);
    const lost = (effects: ReturnType<typeof off>) => effects.reduce((sum, { before, after }) => sum + before - after, 0);
    expect(lost(off(0, 2))).toBeLessThan(lost(off(null, 2)));
  });

  it("a later day helps the one that is moved, and whoever stood behind it", () => {
    const { effects } = effectsOf(bench(jobs), promised(jobs), { kind: "moved", keys: [1], to: 6 }, how);
    expect(effects.find(({ key }) => key === 1)!.after).toBeGreaterThan(0.9);
    expect(effects.find(({ key }) => key === 2)!.after).toBeGreaterThanOrEqual(effects.find(({ key }) => key === 2)!.before);
  });

  it("changes nothing where nothing changes: both meet the same luck", () => {
    const alone = foretell(bench(jobs), how.seed, how.runs);
    const { effects } = effectsOf(bench(jobs), promised(jobs), { kind: "moved", keys: [3], to: 1 }, { ...how, alone });
    for (const { before, after, dayBefore, dayAfter } of effects) expect([after, dayAfter]).toEqual([before, dayBefore]);
  });

  it("one person's day off takes that person's hours and nobody else's", () => {
    const two = { ...bench(jobs), people: [1, 2].map(() => ({ from: 540, minutes: Array(60).fill(240) })) };
    const hours = (person: number | null) =>
      changed(two, { kind: "off", person, from: 0, to: 1 }).people.map(({ minutes }) => minutes[0]! > 0);
    expect(hours(0)).toEqual([false, true]);
    expect(hours(1)).toEqual([true, false]);
    expect(hours(null)).toEqual([false, false]);
  });

  it("tells nothing of a job that is not on the bench, and moves only the day of what is moved", () => {
    const { effects } = effectsOf(bench(jobs), [...promised(jobs), { key: 77, promised: 1 }], { kind: "moved", keys: [1], to: 6 }, how);
    expect(effects.map(({ key }) => key)).toEqual([1, 2, 3, 4, 5]);
    const off = effectsOf(bench(jobs), promised(jobs), { kind: "off", person: null, from: 50, to: 51 }, how).effects;
    for (const { before, after } of off) expect(after).toBe(before);
  });

  it("slips where a day holds less often by five in a hundred or more, the hardest hit first", () => {
    const effect = (key: number, before: number, after: number) => ({ key, before, after, dayBefore: 1, dayAfter: 1 });
    const slips = slipsAmong([effect(1, 0.9, 0.851), effect(2, 0.9, 0.85), effect(3, 0.9, 0.2), effect(4, 0.5, 0.9), effect(5, 0.9, 0.6)]);
    expect(slips.map(({ key }) => key)).toEqual([3, 5, 2]);
  });
});
