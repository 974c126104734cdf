import { inv, matrix, multiply, transpose } from "mathjs";
import { describe, expect, it } from "vitest";
import { normal, passages } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { t95 } from "@/core/statistics/quantiles";
import { fitSpin, standardStartRadPerS, walk } from "./fit-spin";
import { lossTerms, type SpinLosses, stopSeconds } from "./losses";

const losses: SpinLosses = { a: 4, b: 0.12, c: 0.0009 };
const start = 150;
/** Where the law's three parts each count: from 150 rad/s to under a tenth of it. */
const times = passages(losses, start, 1, 12);

describe("the law walked from pulse to pulse", () => {
  const at = [0, 0.03, 0.2, 0.55, 1.4, 3];

  it("is the closed form where only rubbing slows: ω = ω₀ − a·t, θ = ω₀·t − a·t²/2", () => {
    const passed = walk(at, { speed: 40, a: 5, b: 0, c: 0 })!;
    at.forEach((t, i) => {
      expect(passed.speeds[i]).toBeCloseTo(40 - 5 * t, 9);
      expect(passed.angles[i]).toBeCloseTo(40 * t - 2.5 * t * t, 9);
      // By start speed and by a: t and −t²/2.
      expect(passed.moved[i]![0]).toBeCloseTo(t, 9);
      expect(passed.moved[i]![1]).toBeCloseTo(-(t * t) / 2, 9);
    });
  });

  it("is the closed form where only oil slows: ω = ω₀·e^(−b·t)", () => {
    const passed = walk(at, { speed: 40, a: 0, b: 0.4, c: 0 })!;
    at.forEach((t, i) => {
      expect(passed.speeds[i]).toBeCloseTo(40 * Math.exp(-0.4 * t), 5);
      expect(passed.angles[i]).toBeCloseTo((40 / 0.4) * (1 - Math.exp(-0.4 * t)), 5);
    });
  });

  it("is the closed form where only air slows: ω = ω₀ / (1 + c·ω₀·t)", () => {
    const passed = walk(at, { speed: 40, a: 0, b: 0, c: 0.02 })!;
    at.forEach((t, i) => {
      expect(passed.speeds[i]).toBeCloseTo(40 / (1 + 0.02 * 40 * t), 4);
    });
  });

  it("knows how its angle moves with start speed and each loss, as small changes of them show", () => {
    const from = { speed: 120, ...losses };
    const passed = walk(times.slice(0, 40), from)!;
    for (const [column, name] of (["speed", ...lossTerms] as const).entries()) {
      const by = from[name] * 1e-5;
      const [more, less] = [
        walk(times.slice(0, 40), { ...from, [name]: from[name] + by })!,
        walk(times.slice(0, 40), { ...from, [name]: from[name] - by })!,
      ];
      for (const i of [5, 20, 39]) {
        const slope = (more.angles[i]! - less.angles[i]!) / (2 * by);
        expect(passed.moved[i]![column]! / slope, `${name} at pulse ${i}`).toBeCloseTo(1, 5);
      }
    }
  });

  it("says that it stands before the last pulse", () => {
    expect(walk([0, 1, 9], { speed: 40, a: 5, b: 0, c: 0 })).toBeNull();
    expect(walk([0, 1, 7.9], { speed: 40, a: 5, b: 0, c: 0 })).not.toBeNull();
  });
});

describe("losses from exact times", () => {
  const found = (fit: ReturnType<typeof fitSpin>) => lossTerms.map((term) => fit.terms[term].value / losses[term]);

  it("are the ones they were made with, and so is the start", () => {
    const fit = fitSpin(times, 1);
    for (const share of found(fit)) expect(share).toBeCloseTo(1, 3);
    expect(fit.startRadPerS).toBeCloseTo(start, 2);
    expect(fit.timingS).toBeLessThan(1e-5);
    expect(fit.standardStopS).toBeCloseTo(stopSeconds(standardStartRadPerS, losses), 2);
    expect(standardStartRadPerS).toBeCloseTo(104.72, 2);
    expect(fit.speedRatio).toBeGreaterThan(4);
  });

  it("are the same where pulses were missed, by their places", () => {
    const heard = times.map((_, i) => i).filter((i) => i % 5 !== 3);
    const fit = fitSpin(
      heard.map((i) => times[i]!),
      1,
      heard,
    );
    for (const share of found(fit)) expect(share).toBeCloseTo(1, 3);
  });

  it("are found with the places of marks that a hand set: three of them, up to a tenth of their distance off", () => {
    const off = [0, 0.1, -0.06];
    // Where each passes: the angle of its own place, not of an even third.
    const even = passages(losses, start, 300, 12);
    const set: number[] = [];
    for (let n = 0; ; n++) {
      const at = Math.round((Math.floor(n / 3) + ((n % 3) + off[n % 3]!) / 3) * 300);
      if (at >= even.length) break;
      set.push(even[at]!);
    }
    const fit = fitSpin(set, 3);
    for (const share of found(fit)) expect(share).toBeCloseTo(1, 2);
    expect(Math.max(...fit.lateS.map(Math.abs))).toBeLessThan(1e-4);
    expect(fit.timingS).toBeLessThan(1e-4);
  });

  it("are taken from every so manieth of thousands of pulses, by whole turns", () => {
    const many = passages(losses, start, 24, 12);
    expect(many.length).toBeGreaterThan(2000);
    const fit = fitSpin(many, 24);
    expect(fit.lateS.length).toBeLessThanOrEqual(1000);
    for (const share of found(fit)) expect(share).toBeCloseTo(1, 2);
    expect(fit.startRadPerS).toBeCloseTo(start, 0);
  });

  it("are nil where they are nil, and no others are taken for them", () => {
    const rubbing = passages({ a: 9, b: 0, c: 0 }, 120, 1, 13);
    const fit = fitSpin(rubbing, 1);
    expect(fit.terms.a.value).toBeCloseTo(9, 3);
    expect([fit.terms.b.value, fit.terms.c.value].every((value) => value >= 0 && value < 1e-4)).toBe(true);
    expect(fit.terms.a.there).toBe(true);
    expect(fit.terms.b.low).toBe(0);
    expect(fit.terms.c.low).toBe(0);
  });
});

describe("marks set by hand", () => {
  /** Pulses of so many marks, each a little off its even place. */
  const offPlace = (marks: number, count: number) => {
    const each = 60;
    const even = passages(losses, start, marks * each, 12);
    return Array.from({ length: count }, (_, n) => even[n * each + (((n % marks) * 7) % 5)]!);
  };
  const latest = (marks: number, count: number) => Math.max(...fitSpin(offPlace(marks, count), marks).lateS.map(Math.abs));

  it("have their places found up to forty of them", () => {
    expect(latest(8, 400)).toBeLessThan(2e-5);
    expect(latest(40, 400)).toBeLessThan(2e-5);
    expect(latest(41, 400)).toBeGreaterThan(3e-5);
  });

  it("have them found from five pulses on and three more a mark", () => {
    expect(latest(4, 17)).toBeLessThan(2e-5);
    expect(latest(4, 16)).toBeGreaterThan(1e-4);
  });

  it("are taken by whole turns where there are very many pulses, of which eight have to be left", () => {
    const quick = passages({ a: 0.2, b: 0, c: 0 }, start, 200, 0.4);
    expect(quick.length).toBeGreaterThan(1400);
    expect(() => fitSpin(quick.slice(0, 1399), 200)).toThrow(/eight whole turns/);
    expect(fitSpin(quick.slice(0, 1401), 200).lateS).toHaveLength(8);
    // A thousand are fitted one by one.
    expect(fitSpin(quick.slice(0, 1000), 200).lateS).toHaveLength(1000);
    expect(fitSpin(quick.slice(0, 1000), 1).lateS).toHaveLength(1000);
    expect(fitSpin(quick.slice(0, 1002), 1).lateS).toHaveLength(501);
  });
});

describe("losses that would be below nothing", () => {
  it("are left out, and the one that is there is found as well as if nobody had asked for them", () => {
    const rubbing = passages({ a: 9, b: 0, c: 0 }, 120, 1, 12.5);
    for (let seed = 1; seed <= 12; seed++) {
      const random = stream(seed);
      const { a, b, c } = fitSpin(
        rubbing.map((t) => t + 0.0005 * normal(random)),
        1,
      ).terms;
      // By itself it is known to a hundredth of a hundredth; beside the others to three thousandths.
      expect(Math.abs(a.value - 9), `seed ${seed}`).toBeLessThan(0.0015);
      expect(Math.min(b.value, c.value)).toBe(0);
      expect((a.high - a.low) / 2).toBeGreaterThan(0.01);
    }
  });

  it("are all of them where the speed does not fall: nothing is known, and nothing taken for a loss", () => {
    const even = Array.from({ length: 20 }, (_, i) => i * 0.1);
    const fit = fitSpin(even, 1);
    for (const term of lossTerms) {
      expect(fit.terms[term]).toMatchObject({ low: 0, high: Number.POSITIVE_INFINITY, there: false });
      expect(fit.terms[term].value).toBeLessThan(1e-12);
    }
    expect(fit.startRadPerS).toBeCloseTo(20 * Math.PI, 6);
    expect(fit.standardStopS).toBe(Number.POSITIVE_INFINITY);
    expect(fit.lateS).toHaveLength(20);
    // 20π is 62.8 rad/s.
    expect(fit.cannot).toMatch(/^speeds from 63 to 63 rad\/s: under four to one/);
  });

  it("cannot be told of a spool that gets faster", () => {
    const faster = Array.from({ length: 20 }, (_, i) => 5 - 0.01 * (20 - i) ** 1.5);
    expect(fitSpin(faster, 1).cannot).toMatch(/got faster on its way/);
    const slower = faster.map((t) => 5 - t).reverse();
    expect(fitSpin(slower, 1).cannot).not.toMatch(/faster/);
  });
});

describe("how sure a loss is", () => {
  it("is by the timing and the slopes, as an independent reckoning has it (mathjs: (JᵀJ)⁻¹, J by small changes of the made times)", () => {
    const timing = 0.0005;
    const random = stream(9);
    // Not to its very end: a little more loss and the last pulses never come.
    const used = times.slice(0, Math.floor(0.9 * times.length));
    const noisy = used.map((t) => t + timing * normal(random));
    const fit = fitSpin(noisy, 1);
    expect(fit.timingS / timing).toBeGreaterThan(0.75);
    expect(fit.timingS / timing).toBeLessThan(1.25);
    // How each time moves with the instant of the first pulse, the start and the losses.
    const moved = (change: Partial<SpinLosses & { speed: number }>) => {
      const { speed = start, ...rest } = change;
      return passages({ ...losses, ...rest }, speed, 1, 12.5).slice(0, used.length);
    };
    const columns = [
      used.map(() => 1),
      ...(["speed", ...lossTerms] as const).map((name) => {
        const value = name === "speed" ? start : losses[name];
        const by = value * 1e-3;
        const [more, less] = [moved({ [name]: value + by }), moved({ [name]: value - by })];
        return used.map((_, i) => (more[i]! - less[i]!) / (2 * by));
      }),
    ];
    const slopes = transpose(matrix(columns));
    const covariance = inv(multiply(transpose(slopes), slopes)).toArray() as number[][];
    for (const [i, term] of lossTerms.entries()) {
      const expected = fit.timingS * Math.sqrt(covariance[i + 2]![i + 2]!);
      const { low, high } = fit.terms[term];
      // Far from nothing the interval is the plain one: t times the error to either side.
      expect((high - low) / 2 / (t95(used.length - 5) * expected), term).toBeCloseTo(1, 1);
    }
  });

  it("is nothing at all where eight pulses are all there are of a hardly slowing spool", () => {
    const few = fitSpin(passages({ a: 0.5, b: 0.01, c: 0 }, 100, 1, 2).slice(0, 8), 1);
    expect(few.cannot).toMatch(/under four to one/);
  });

  it("refuses seven pulses, and marks that are no whole number", () => {
    expect(() => fitSpin(times.slice(0, 7), 1)).toThrow(/eight pulses/);
    expect(() => fitSpin(times.slice(0, 8), 1)).not.toThrow();
    expect(() => fitSpin(times, 1.5)).toThrow(/whole number/);
    expect(() => fitSpin(times, 0)).toThrow(/whole number/);
  });
});

describe("seconds until it stands", () => {
  it("are the same on both sides of where the closed form changes, and by walking it", () => {
    // b² = 4·a·c, a little less, a little more.
    const on = stopSeconds(200, { a: 1, b: 0.1, c: 0.0025 });
    expect(stopSeconds(200, { a: 1, b: 0.1, c: 0.0025 * (1 + 1e-9) })).toBeCloseTo(on, 5);
    expect(stopSeconds(200, { a: 1, b: 0.1, c: 0.0025 * (1 - 1e-9) })).toBeCloseTo(on, 5);
    // Without b at all the root is nil as well where c is nil.
    expect(stopSeconds(200, { a: 4, b: 0, c: 0 })).toBe(50);
    expect(stopSeconds(200, { a: -1, b: 0.1, c: 0 })).toBe(Number.POSITIVE_INFINITY);
    const walked = walk([0, on * 0.999], { speed: 200, a: 1, b: 0.1, c: 0.0025 });
    expect(walked!.speeds[1]).toBeLessThan(0.1);
    expect(walk([0, on * 1.001], { speed: 200, a: 1, b: 0.1, c: 0.0025 })).toBeNull();
  });
});
