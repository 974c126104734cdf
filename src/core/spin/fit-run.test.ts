import { describe, expect, it } from "vitest";
import { normal, passages } from "#tests/made-sounds";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { fitPulses, fitWithoutStrays, isSure, leavesOut, runAmong } from "./fit-run";
import { fitSpin } from "./fit-spin";
import { lossTerms } from "./losses";

const losses = { a: 5, b: 0.12, c: 0.0006 };
const ran = passages(losses, 100, 1, 20).slice(0, -1);
/** The pulses of a run, each so well timed. */
const timed = (random: () => number, jitterS = 0.0003) => ran.map((t) => t + jitterS * normal(random));
const rising = (times: readonly number[]) => [...times].sort((x, y) => x - y).filter((t, i, all) => i === 0 || t > all[i - 1]!);

describe("a pickup's pulses", () => {
  it("are all the run's where they come as they should, and say what they say one after the other", () => {
    const times = timed(stream(1));
    const read = fitPulses(times, 1);
    expect(read).toEqual({ fit: fitSpin(times, 1), times, places: times.map((_, i) => i), missed: 0, others: 0 });
  });

  it("are counted on where one was missed, anywhere on the way", () => {
    for (const at of [3, 20, 40, ran.length - 3]) {
      const times = timed(stream(at)).filter((_, i) => i !== at);
      const read = fitPulses(times, 1);
      expect([read.missed, read.others], `pulse ${at}`).toEqual([1, 0]);
      expect(read.places).toEqual(ran.map((_, i) => i).filter((i) => i !== at));
    }
  });

  it("are counted on over one that was missed near the end of many, which moves few of them", () => {
    const random = stream(2);
    const long = passages({ a: 2, b: 0.05, c: 0.0002 }, 120, 1, 60)
      .slice(0, -1)
      .map((t) => t + 0.0003 * normal(random));
    expect(long.length).toBeGreaterThan(150);
    const read = fitPulses(
      long.filter((_, i) => i !== long.length - 4),
      1,
    );
    expect([read.missed, read.others]).toEqual([1, 0]);
    expect(read.places.at(-1)).toBe(long.length - 1);
  });

  it("are told from one that is none", () => {
    for (const at of [5, 25]) {
      const times = timed(stream(at));
      const read = fitPulses(rising([...times, times[at]! + 0.4 * (times[at + 1]! - times[at]!)]), 1);
      expect([read.missed, read.others], `after pulse ${at}`).toEqual([0, 1]);
      expect(read.times).toEqual(times);
    }
  });

  it("are each the first of two where a contact bounces, always or now and then", () => {
    for (const often of [1, 0.2])
      for (const seed of [21, 22, 23, 24, 25]) {
        const random = stream(seed);
        const times = timed(random, 0.0002);
        const bounced = times.flatMap((t) => (random() < often ? [t, t + 0.001 + 0.002 * random()] : [t]));
        const read = fitPulses(bounced, 1);
        expect(read.fit.cannot).toBe("");
        expect(read.missed).toBe(0);
        // One or another at its ends may be left out of the fit.
        expect(read.times.filter((t) => !times.includes(t))).toEqual([]);
        expect(read.times.length).toBeGreaterThan(times.length - 4);
      }
  });

  it("hold the truth in their intervals with some missed and some too many, as often as they say", () => {
    const trials = mutating ? 10 : 60;
    const held = { a: 0, b: 0, c: 0 };
    let read = 0;
    for (let trial = 0; trial < trials; trial++) {
      const random = stream(100 + trial);
      const times = timed(random).filter(() => random() > 0.03);
      for (let n = 0; n < 2; n++) times.push(ran[0]! + (ran.at(-1)! - ran[0]!) * random());
      const { fit } = fitPulses(rising(times), 1);
      if (fit.cannot) continue;
      read++;
      for (const term of lossTerms) if (fit.terms[term].low <= losses[term] && losses[term] <= fit.terms[term].high) held[term]++;
    }
    expect(read / trials).toBeGreaterThan(0.85);
    for (const term of lossTerms) expect(held[term] / read, term).toBeGreaterThan(0.85);
  });

  it("are left as they are where counting them anew mends nothing", () => {
    const random = stream(13);
    const rough = ran.map((t, i) => t + (i === 30 ? 0.27 : 0.07 * normal(random)) * ((ran[i + 1] ?? t + 1) - t));
    expect(fitPulses(rough, 1)).toEqual({ fit: fitSpin(rough, 1), times: rough, places: rough.map((_, i) => i), missed: 0, others: 0 });
    // Nor where they tell no curve anyhow.
    const short = timed(stream(14))
      .slice(0, 20)
      .filter((_, i) => i !== 9);
    const { fit, missed } = fitPulses(short, 1);
    expect(fit.cannot).toMatch(/four to one/);
    expect(missed).toBe(0);
  });

  it("of a wheel of many teeth are all the run's, though each is timed badly for the time between them", () => {
    for (const [marks, jitterS] of [
      [24, 0.0002],
      [100, 0.00005],
    ] as const) {
      const random = stream(marks);
      const times = rising(passages(losses, 100, marks, 20).map((t) => t + jitterS * normal(random)));
      const { fit, missed, others } = fitPulses(times, marks);
      expect([fit.cannot, missed, others]).toEqual(["", 0, 0]);
      expect(fit).toEqual(fitSpin(times, marks));
    }
  });

  it("that follow no spool are said to", () => {
    const random = stream(9);
    let at = 0;
    const chance = Array.from({ length: 80 }, (_, i) => {
      at -= (0.05 + 0.003 * i) * Math.log(1 - random());
      return at;
    });
    expect(fitPulses(chance, 1).fit.cannot).toMatch(/follow no spool/);
  });
});

describe("whether a track is the run", () => {
  const many = (n: number) => Array.from({ length: n }, (_, i) => i);
  const track = (heard: number, of: number, others = 0, after = 0) => ({
    times: many(heard),
    places: [...many(heard - 1), of - 1],
    others,
    after,
  });

  it("is by three quarters of it, and half as many others", () => {
    expect(isSure(track(75, 100, 30, 7), 1, true)).toBe(true);
    expect(isSure(track(75, 100, 30, 8), 1, true)).toBe(false);
    expect(isSure(track(74, 100), 1, true)).toBe(false);
  });

  it("is in a crowd by nine tenths of it, few after it, none left out between, and each far closer than chance", () => {
    // Two others for each: a hundredth of the time between pulses is close enough.
    expect(isSure(track(90, 100, 180), 0.01, false)).toBe(true);
    expect(isSure(track(90, 100, 180), 0.0101, false)).toBe(false);
    expect(isSure(track(90, 100, 180), 0.01, true)).toBe(false);
    expect(isSure(track(89, 100, 178), 0.01, false)).toBe(false);
    expect(isSure(track(100, 100, 100, 25), 0.01, false)).toBe(true);
    expect(isSure(track(100, 100, 100, 26), 0.01, false)).toBe(false);
  });

  it("is not where it goes from every second or third pulse to the next", () => {
    const clicks = ran.map((t) => ({ t, loud: 1 }));
    expect(leavesOut({ times: ran }, clicks)).toBe(false);
    expect(leavesOut({ times: ran.filter((_, i) => i % 2 === 0) }, clicks)).toBe(true);
    expect(leavesOut({ times: ran.filter((_, i) => i % 3 === 0) }, clicks)).toBe(true);
    // Of those between only a third is there.
    const few = clicks.filter((_, i) => i % 2 === 0 || i % 6 === 1);
    expect(leavesOut({ times: ran.filter((_, i) => i % 2 === 0) }, few)).toBe(false);
    // One of the two between, and never the other.
    const oneOfTwo = clicks.filter((_, i) => i % 3 !== 2);
    expect(leavesOut({ times: ran.filter((_, i) => i % 3 === 0) }, oneOfTwo)).toBe(false);
    // Towards the end the first half of a stretch is much the quicker one.
    const end = ran.slice(-21);
    expect(leavesOut({ times: end.filter((_, i) => i % 2 === 0) }, clicks)).toBe(true);
    expect(
      leavesOut(
        { times: end.filter((_, i) => i % 2 === 0) },
        end.filter((_, i) => i % 2 === 0 || i < 9).map((t) => ({ t, loud: 1 })),
      ),
    ).toBe(false);
  });

  it("wants a second of it", () => {
    const quick = ran.map((t) => ({ t: 10 + (0.99 * t) / ran.at(-1)!, loud: 1 }));
    expect(runAmong(quick, 1)).toBeNull();
    const longer = ran.map((t) => ({ t: 10 + (1.01 * t) / ran.at(-1)!, loud: 1 }));
    expect(runAmong(longer, 1)?.pulses.times).toHaveLength(ran.length);
  });

  it("wants twelve of its pulses", () => {
    expect(
      runAmong(
        timed(stream(3))
          .slice(-11)
          .map((t) => ({ t, loud: 1 })),
        1,
      ),
    ).toBeNull();
    expect(
      runAmong(
        timed(stream(3))
          .slice(-12)
          .map((t) => ({ t, loud: 1 })),
        1,
      ),
    ).toMatchObject({ heardShare: 1, besides: 0, sure: true });
  });

  it("says how much of it was heard, and how much besides", () => {
    const without = timed(stream(4)).filter((_, i) => i % 10 !== 5);
    const half = without.slice(0, 10).map((t, i) => t + 0.3 * (without[i + 1]! - t));
    const clicks = [...without, ...half].sort((a, b) => a - b).map((t) => ({ t, loud: 1 }));
    const run = runAmong(clicks, 1)!;
    expect(run.pulses.times).toEqual(without);
    expect(run.heardShare).toBeCloseTo(without.length / ran.length, 12);
    expect(run).toMatchObject({ besides: 10, sure: true });
    const after = [1, 2, 3].map((n) => ({ t: without.at(-1)! + 20 * n, loud: 1 }));
    expect(runAmong([...clicks, ...after], 1)).toMatchObject({ besides: 13, sure: true });
  });

  it("is of two tracks the surer one, and of two as sure the closer", () => {
    // Each click comes twice, the second softer: as one train of both they come unevenly.
    const twice = timed(stream(5)).flatMap((t) => [
      { t, loud: 1 },
      { t: t + 0.021, loud: 0.7 },
    ]);
    const run = runAmong(twice, 1)!;
    expect(run.pulses.times.every((t) => twice.some((click) => click.t === t && click.loud === 1))).toBe(true);
    expect(run).toMatchObject({ heardShare: 1, besides: 0, sure: true });
  });

  it("is of two that may be it the one whose pulses come closer to when they are due", () => {
    const random = stream(15);
    const clicks = timed(random).flatMap((t, i) => [
      { t, loud: 1 },
      { t: t + 0.5 * ((ran[i + 1] ?? t + 1) - ran[i]!) + 0.0012 * normal(random), loud: 0.7 },
    ]);
    const run = runAmong(clicks.slice(0, -1), 1)!;
    expect(run.pulses.times).toEqual(clicks.filter(({ loud }) => loud === 1).map(({ t }) => t));
  });

  it("is none of clicks that come too unevenly", () => {
    const random = stream(12);
    const uneven = ran.map((t, i) => ({ t: t + 0.4 * (random() - 0.5) * ((ran[i + 1] ?? t + 1) - t), loud: 1 }));
    expect(runAmong(uneven, 1)).toBeNull();
  });
});

describe("what does not belong to a run", () => {
  const places = ran.map((_, i) => i);
  const plain = fitSpin(timed(stream(6)), 1);

  it("is left out at either end: up to two before it, three after", () => {
    for (const changed of [[0], [0, 1], [-1], [-1, -2, -3], [0, -1]]) {
      const times = timed(stream(6));
      // Each some thousandths of a second too late, so that they still rise.
      for (const at of changed) times[(at + times.length) % times.length]! += 0.006;
      const { fit } = fitWithoutStrays({ times, places }, 1);
      expect(fit.lateS, String(changed)).toHaveLength(ran.length - changed.length);
      expect(fit.timingS).toBeLessThan(1.2 * plain.timingS);
    }
  });

  it("is left out on the way where it comes six times as late as is usual", () => {
    const times = timed(stream(6));
    times[20]! += 0.01;
    times[35]! -= 0.008;
    const { fit } = fitWithoutStrays({ times, places }, 1);
    expect(fit.lateS).toHaveLength(ran.length - 2);
    for (const term of lossTerms) {
      expect(fit.terms[term].low).toBeLessThanOrEqual(losses[term]);
      expect(fit.terms[term].high).toBeGreaterThanOrEqual(losses[term]);
    }
  });

  it("is nothing where all belong to it", () => {
    const times = timed(stream(6));
    expect(fitWithoutStrays({ times, places }, 1)).toEqual({ fit: plain, times, places });
    const shifted = places.map((place) => place + 2);
    expect(fitWithoutStrays({ times, places: shifted }, 1).places).toEqual(places);
  });
});
