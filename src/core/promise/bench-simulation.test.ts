import { describe, expect, it } from "vitest";
import { minutesPerDay } from "@/core/day/day";
import { type BenchJob, chanceBy, dayFor, foretell, runBench } from "./bench-simulation";
import { minutesOn, type WorkDays, workedUntil, worksFrom } from "./calendar";
import { type Duration, drawAt, durationOf, meanOf, wrightShare } from "./draws";

/** Somebody who never sleeps. */
const always: WorkDays = { from: 0, minutes: Array(7).fill(minutesPerDay) };
const sixHours: WorkDays = { from: 540, minutes: [360, 360, 360, 360, 360, 0, 0] };

/** Mean time spent waiting for hands by jobs that come as a Poisson stream, first come first served. */
function meanWait(count: number, arrivalsPerMinute: number, service: Duration, servers: number, seed: number): number {
  let at = 0;
  const jobs: BenchJob[] = Array.from({ length: count }, (_, key) => {
    at -= Math.log(drawAt(seed, 1, key)) / arrivalsPerMinute;
    return { key, from: at, steps: [{ kind: "work", minutes: service }], rank: 0 };
  });
  const done = runBench({ people: Array(servers).fill(always), jobs }, seed, 0);
  // The first tenth fills the house.
  const from = count / 10;
  let waited = 0;
  for (let j = from; j < count; j++) {
    const took = durationOf(service, drawAt(seed, 0, j, 0), drawAt(seed, 0, j, 1));
    waited += done[j]! - jobs[j]!.from - took;
  }
  return waited / (count - from);
}

describe("draws that belong to their job", () => {
  it("are even, and their durations have the means they should", () => {
    const u = Array.from({ length: 20_000 }, (_, i) => drawAt(3, 1, i));
    expect(u.reduce((sum, x) => sum + x, 0) / u.length).toBeCloseTo(0.5, 2);
    for (const duration of [
      { law: "exponential", mean: 40 },
      { law: "lognormal", median: 40, spread: 0.5 },
      { law: "fixed", mean: 40 },
      { law: "sometimes", chance: 0.3, takes: { law: "exponential", mean: 40 } },
    ] as const) {
      const mean = u.reduce((sum, x, i) => sum + durationOf(duration, x, drawAt(4, 1, i)), 0) / u.length;
      expect(Math.abs(mean / meanOf(duration) - 1)).toBeLessThan(0.03);
    }
    expect(drawAt(1, 2, 3)).not.toBe(drawAt(1, 3, 2));
  });

  it("learn by Wright's law: a tenth off at each doubling", () => {
    expect(wrightShare(1, 0.9)).toBe(1);
    expect(wrightShare(2, 0.9)).toBeCloseTo(0.9, 12);
    expect(wrightShare(4, 0.9)).toBeCloseTo(0.81, 12);
    expect(wrightShare(8, 0.8)).toBeCloseTo(0.512, 12);
  });
});

describe("hours of a bench", () => {
  it("end in the evening and go on the next morning, over days nobody works", () => {
    expect(worksFrom(sixHours, 0)).toBe(540);
    expect(workedUntil(sixHours, 540, 360)).toBe(900);
    expect(workedUntil(sixHours, 540, 361)).toBe(minutesPerDay + 541);
    // Friday evening: Monday morning, and the weeks go on.
    expect(workedUntil(sixHours, 4 * minutesPerDay + 880, 30)).toBe(7 * minutesPerDay + 550);
    expect(minutesOn(sixHours, 13)).toBe(0);
    expect(worksFrom({ from: 0, minutes: [0] }, 0)).toBe(Number.POSITIVE_INFINITY);
  });
});

describe("the bench as a queue", () => {
  // Textbook results of queueing theory (from memory): Erlang's C for M/M/c, Pollaczek and Khinchine for M/G/1.
  const near = (found: number, expected: number, share: number) =>
    expect(Math.abs(found / expected - 1), `${found} for ${expected}`).toBeLessThan(share);

  it("waits as M/M/1: rho/(mu - lambda)", () => {
    near(meanWait(60_000, 0.06, { law: "exponential", mean: 10 }, 1, 11), 15, 0.06);
  });

  it("waits as M/M/c by Erlang's C: two hands at a load of 1.5, 0.6429 that one waits", () => {
    // C(2, 1.5) = 0.642857; Wq = C / (2/10 - 0.15).
    near(meanWait(60_000, 0.15, { law: "exponential", mean: 10 }, 2, 12), 0.642857 / 0.05, 0.07);
  });

  it("waits as M/G/1: half as long where each takes the same, longer where they spread (Pollaczek and Khinchine)", () => {
    near(meanWait(60_000, 0.06, { law: "fixed", mean: 10 }, 1, 13), 7.5, 0.06);
    const service: Duration = { law: "lognormal", median: 10, spread: 0.6 };
    const mean = meanOf(service);
    const second = 10 ** 2 * Math.exp(2 * 0.6 ** 2);
    near(meanWait(60_000, 0.05, service, 1, 14), (0.05 * second) / (2 * (1 - 0.05 * mean)), 0.08);
  });
});

describe("what is foretold of jobs", () => {
  const work = (minutes: number): BenchJob["steps"][number] => ({ kind: "work", minutes: { law: "fixed", mean: minutes } });
  const wait = (minutes: number): BenchJob["steps"][number] => ({ kind: "wait", minutes: { law: "fixed", mean: minutes } });
  const job = (key: number, rank: number, steps: BenchJob["steps"], more: Partial<BenchJob> = {}): BenchJob => ({
    key,
    from: 0,
    rank,
    steps,
    ...more,
  });

  it("takes up the nearest promise first, works beside a bath, and waits for a parcel over the nights", () => {
    const done = runBench(
      {
        people: [sixHours],
        jobs: [job(1, 2, [work(60)]), job(2, 1, [work(60), wait(60), work(30)]), job(3, 3, [wait(2 * minutesPerDay), work(10)])],
      },
      1,
      0,
    );
    // 9:00 the second, at 10:00 the first while it soaks, at 11:00 the second again.
    expect([...done]).toEqual([660, 690, 2 * minutesPerDay + 550]);
  });

  it("goes quicker reel by reel in a lot, and twice as fast with two", () => {
    const lot = (places: number) =>
      Array.from({ length: places }, (_, i) => job(i + 1, 1, [work(100)], { lot: { place: i + 1, rate: 0.9 } }));
    expect(runBench({ people: [always], jobs: lot(2) }, 1, 0)[1]).toBeCloseTo(190, 9);
    const four = Array.from({ length: 4 }, (_, i) => job(i + 1, 1, [work(90)]));
    expect(Math.max(...runBench({ people: [sixHours, sixHours], jobs: four }, 1, 0))).toBe(720);
  });

  it("gives each job the same luck whatever stands beside it: a choice is compared with itself", () => {
    const steps: BenchJob["steps"] = [{ kind: "work", minutes: { law: "lognormal", median: 60, spread: 0.5 } }];
    const alone = foretell({ people: [always, always], jobs: [job(7, 1, steps)] }, 5, 50);
    const beside = foretell({ people: [always, always], jobs: [job(7, 1, steps), job(8, 2, steps)] }, 5, 50);
    expect([...beside[0]!.days]).toEqual([...alone[0]!.days]);
  });

  it("says the day for a chance, and the chance of a day, by counting its runs", () => {
    const told = { key: 1, days: Float64Array.from([1, 1, 2, 2, 2, 3, 3, 4, 5, 9]) };
    expect(dayFor(told, 0.8)).toBe(4);
    expect(chanceBy(told, 4)).toBe(0.8);
    expect(chanceBy(told, 0)).toBe(0);
    expect(dayFor(told, 1)).toBe(9);
  });

  it("holds as often as it says where the world is as it thinks: days at 8 in 10, counted over other worlds", () => {
    const steps: BenchJob["steps"] = [
      { kind: "work", minutes: { law: "lognormal", median: 90, spread: 0.5 } },
      { kind: "wait", minutes: { law: "lognormal", median: 3 * minutesPerDay, spread: 0.5 } },
      { kind: "work", minutes: { law: "lognormal", median: 60, spread: 0.4 } },
    ];
    const bench = {
      people: [sixHours],
      jobs: Array.from({ length: 15 }, (_, i) => job(i + 1, i, steps)),
      toCome: {
        perDay: Array(60).fill(1),
        steps: [{ kind: "work" as const, minutes: { law: "exponential" as const, mean: 60 } }],
        promisedAfterDays: 7,
      },
    };
    const promised = foretell(bench, 1, 400).map((told) => dayFor(told, 0.8));
    let held = 0;
    const worlds = 200;
    for (let world = 0; world < worlds; world++) {
      const done = runBench(bench, 99, world);
      held += promised.filter((day, j) => Math.floor(done[j]! / minutesPerDay) <= day).length;
    }
    // Days are whole: at 8 in 10 at least eight of ten hold, and not many more.
    expect(held / worlds / promised.length).toBeGreaterThan(0.77);
    expect(held / worlds / promised.length).toBeLessThan(0.92);
  });
});
