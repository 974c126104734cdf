import { describe, expect, it } from "vitest";
import { mutating } from "#tests/mutating";
import { drawAt } from "@/core/promise/draws";
import { type PullSample, readPullTrace, takenUp } from "./pull-trace";

const normal = (seed: number, trial: number, i: number) =>
  Math.sqrt(-2 * Math.log(drawAt(seed, trial, i, 0))) * Math.cos(2 * Math.PI * drawAt(seed, trial, i, 1));
/** Line taken up in half a second, then a force by its own law; every sample as it is, 25 a second unless said. */
const trace = (seconds: number, force: (s: number) => number, stepMs = 40): PullSample[] =>
  Array.from({ length: Math.round((seconds * 1000) / stepMs) }, (_, i) => {
    const s = (i * stepMs) / 1000;
    return { tMs: i * stepMs, forceN: s < 0.5 ? 2 * s * force(0.5) : force(s) };
  });
const read = (samples: readonly PullSample[]) => {
  const result = readPullTrace(samples);
  if (!result.ok) throw new Error(result.code);
  return result.value;
};
const code = (samples: readonly PullSample[]) => {
  const result = readPullTrace(samples);
  return result.ok ? "ok" : result.code;
};

describe("the interval of a pull's level", () => {
  const covers = (noise: (trial: number) => (i: number) => number, all: number) => {
    const trials = mutating ? 60 : all;
    let held = 0;
    for (let trial = 0; trial < trials; trial++) {
      const at = noise(trial);
      const samples = Array.from({ length: 90 }, (_, i) => ({ tMs: i * 40, forceN: i < 12 ? (60 * i) / 12 : 60 + at(i) }));
      const { running } = read(samples);
      if (running.low <= 60 && 60 <= running.high) held++;
    }
    return (100 * held) / trials;
  };

  it("holds the truth as often as it says where readings scatter by themselves", () => {
    const share = covers((trial) => (i) => 1.2 * normal(31, trial, i), 500);
    expect(share).toBeGreaterThan(mutating ? 86 : 92);
    expect(share).toBeLessThan(mutating ? 101 : 98);
  });

  it("is wider where readings follow each other, so that it still holds it", () => {
    const share = covers((trial) => {
      const at: number[] = [];
      for (let i = 0; i < 90; i++) at.push((i ? 0.6 * at[i - 1]! : 0) + 0.8 * normal(32, trial, i));
      return (i) => at[i]!;
    }, 250);
    expect(share).toBeGreaterThan(mutating ? 80 : 90);
    expect(share).toBeLessThan(mutating ? 101 : 98.5);
  });

  it("narrows with the root of the time, and no further than the scale's own step", () => {
    const width = (seconds: number, scatter: number) => {
      const { running } = read(trace(seconds, (s) => 60 + scatter * normal(33, 1, Math.round(s * 25))));
      return running.high - running.low;
    };
    expect(width(13, 1.5) / width(3.5, 1.5)).toBeGreaterThan(0.38);
    expect(width(13, 1.5) / width(3.5, 1.5)).toBeLessThan(0.66);
    // Steps of 0.2 N have a standard deviation of 0.2/√12 N (a uniform distribution).
    expect(width(6, 0) / 2).toBeGreaterThan(1.95 * (0.2 / Math.sqrt(12)));
    expect(width(6, 0) / 2).toBeLessThan(2.1 * (0.2 / Math.sqrt(12)));
  });
});

describe("what counts as a level", () => {
  const sloped = (share: number) => (s: number) => 50 * (1 + share * ((s - 0.5) / 3.5 - 0.5));
  it("may rise by an eighth from where the line is taken up to the end, and fall by a quarter; not more", () => {
    expect(code(trace(4, sloped(0.115)))).toBe("ok");
    expect(code(trace(4, sloped(0.13)))).toBe("no-slip");
    // Also where the hand takes the line up slowly, and with a scale that steps.
    const slow = (share: number) =>
      Array.from({ length: 125 }, (_, i) => {
        const s = i / 25;
        return { tMs: 40 * i, forceN: Math.round(5 * (s < 1.2 ? (40 * s) / 1.2 : 40 * (1 + (share * (s - 1.2)) / 3.76))) / 5 };
      });
    expect(code(slow(0.1))).toBe("ok");
    expect(code(slow(0.15))).toBe("no-slip");
    expect(read(slow(0.1)).runningFromMs).toBeGreaterThan(1000);
    expect(read(slow(0.1)).runningFromMs).toBeLessThan(1400);
    expect(code(trace(4, sloped(-0.24)))).toBe("ok");
    expect(code(trace(4, sloped(-0.27)))).toBe("let-go");
  });

  it("may bow a little; more is a hand that pulls and eases", () => {
    // The second Legendre polynomial: its middle above its ends.
    const bowed = (share: number) => (s: number) => {
      const u = (2 * (s - 0.5)) / 3.5 - 1;
      return 50 * (1 - ((share / 1.5) * (3 * u * u - 1)) / 2);
    };
    expect(code(trace(4, bowed(0.2)))).toBe("ok");
    expect(code(trace(4, bowed(0.25)))).toBe("no-slip");
    const released = [...trace(4, bowed(0.03)), ...[0, 1, 2, 3].map((i) => ({ tMs: 4000 + 40 * i, forceN: 8 - 2 * i }))];
    expect(read(released).released).toBe(true);
    // Of a release the first samples already fall: they are not read.
    expect(read(released).runningToMs).toBe(3960 - 2 * 40);
    expect(read(trace(4, bowed(0.03))).released).toBe(false);
  });

  it("takes twenty samples and eight tenths of a second of running line", () => {
    const even = (n: number, stepMs: number) => Array.from({ length: n }, (_, i) => ({ tMs: i * stepMs, forceN: i === 0 ? 5 : 30 }));
    expect(code(even(19, 100))).toBe("too-short");
    expect(code(even(20, 100))).toBe("ok");
    expect(code(even(30, 20))).toBe("no-slip");
    expect(code(even(60, 20))).toBe("ok");
  });

  it("needs times that rise and a force above nothing", () => {
    const flat = (force: number) => Array.from({ length: 60 }, (_, i) => ({ tMs: i * 40, forceN: force }));
    expect(code(flat(0))).toBe("no-slip");
    expect(code(flat(20).map((sample, i) => (i === 30 ? { ...sample, tMs: 29 * 40 } : sample)))).toBe("no-times");
    expect(code(flat(20).map((sample, i) => (i === 30 ? { ...sample, tMs: Number.NaN } : sample)))).toBe("no-times");
  });
});

describe("what a level tells", () => {
  it("keeps peak, ratio and ripple as they are drawn", () => {
    const { runningMeanN, startPeakN, startRatio, startsWithPeak, ripple, runningFromMs, runningToMs } = read(
      trace(5, (s) => (s < 0.65 ? 60 : 40 + 0.4 * Math.sin(40 * s))),
    );
    expect(runningMeanN).toBeCloseTo(40, 1);
    expect(startPeakN).toBe(60);
    expect(startRatio).toBeCloseTo(1.5, 2);
    expect(startsWithPeak).toBe(true);
    // A sine's standard deviation is its amplitude over √2.
    expect(ripple).toBeCloseTo(0.4 / Math.SQRT2 / 40, 3);
    expect(runningFromMs).toBeGreaterThan(600);
    expect(runningFromMs).toBeLessThan(900);
    expect(runningToMs).toBe(4960);
  });

  it("calls a start a peak from a twentieth above the level on", () => {
    const peaked = (share: number) => trace(5, (s) => (s < 0.58 ? 40 * share : 40));
    expect(read(peaked(1.03)).startsWithPeak).toBe(false);
    expect(read(peaked(1.08)).startsWithPeak).toBe(true);
  });

  it("is none where a drag that warms begins above its mean", () => {
    for (let trial = 0; trial < 20; trial++) {
      const fading = read(trace(4.5, (s) => 50 * (1 - 0.03 * (s - 0.5)) + 0.5 * normal(41, trial, Math.round(s * 25))));
      expect(fading.startsWithPeak, `trial ${trial}`).toBe(false);
    }
    // And one that has both is told.
    expect(read(trace(4.5, (s) => 50 * (1 - 0.03 * (s - 0.5)) * (s < 0.6 ? 1.3 : 1))).startsWithPeak).toBe(true);
  });

  it("does not lift the level by the tail it dies away with", () => {
    const trials = mutating ? 40 : 200;
    let held = 0;
    for (let trial = 0; trial < trials; trial++) {
      const tail = 0.25 + 0.6 * drawAt(42, trial);
      const { running } = read(
        trace(4, (s) => 50 * (1 + (s < 0.5 ? tail : tail * Math.exp(-(s - 0.5) / 0.12))) + 0.6 * normal(43, trial, Math.round(s * 25))),
      );
      if (running.low <= 50 && 50 <= running.high) held++;
    }
    expect(held / trials).toBeGreaterThan(0.92);
  });

  it("calls a swing of a twentieth and more pulsing, with its period and share, and the level without it", () => {
    const swinging = (share: number, period: number) =>
      read(trace(6.5, (s) => 50 * (1 + share * Math.sin((2 * Math.PI * (s - 0.5)) / period))));
    expect(swinging(0.03, 0.75).pulsing).toBeNull();
    for (const period of [0.5, 0.75, 1.5]) {
      const { pulsing, runningMeanN, running } = swinging(0.1, period);
      expect(pulsing!.share).toBeCloseTo(0.1, 2);
      expect(Math.abs(pulsing!.periodMs / (1000 * period) - 1)).toBeLessThan(0.05);
      expect(runningMeanN).toBeCloseTo(50, 0);
      expect(running.low).toBeLessThan(50.05);
      expect(running.high).toBeGreaterThan(49.95);
    }
  });

  it("is the same by a scale that gives five hundred samples and one that gives two thousand", () => {
    const force = (s: number) => 50 + 2 * Math.sin((2 * Math.PI * (s - 0.5)) / 1.25) + 0.2 * normal(34, 1, Math.round(s * 250));
    const [slow, quick] = [read(trace(8, force, 20)), read(trace(8, force, 4))];
    expect(quick.runningMeanN).toBeCloseTo(slow.runningMeanN, 1);
    expect(quick.runningToMs).toBeGreaterThan(7900);
    expect(quick.runningToMs).toBeLessThan(8000);
    expect(quick.startRatio).toBeCloseTo(slow.startRatio, 1);
  });
});

describe("where the line is taken up", () => {
  const times = (count: number, stepMs = 40) => Array.from({ length: count }, (_, i) => i * stepMs);
  /** Ten steps up to a level of 100, and as many more there as told. */
  const upTo = (flat: number, size = 1) => [
    ...Array.from({ length: 10 }, (_, i) => 10 * i * size),
    ...Array.from({ length: flat }, () => 100 * size),
  ];

  it("is where the force rises no more than a fourth as steeply, over three readings, as from three to eight tenths of its level", () => {
    // From 30 to 80 it rises ten a reading; from the ninth 20 in three, from the tenth ten in three, from the eleventh nothing.
    expect(takenUp(times(30), upTo(20), 8, 100)).toBe(10);
    expect(takenUp(times(30), upTo(20, 0.3), 8, 30)).toBe(10);
    expect(takenUp(times(30, 120), upTo(20), 8, 100)).toBe(10);
    // Seven and a half in three is a fourth, 7.4 less.
    const bent = (rise: number) => [...upTo(1), ...Array.from({ length: 20 }, (_, i) => 100 + ((i + 1) * rise) / 3)];
    expect(takenUp(times(31), bent(7.6), 8, 100)).toBe(30);
    expect(takenUp(times(31), bent(7.4), 8, 100)).toBe(10);
  });

  it("is at once where it jumps up, and at the end where it rises to the end", () => {
    expect(takenUp(times(20), [0, ...Array.from({ length: 19 }, () => 100)], 1, 100)).toBe(1);
    expect(takenUp(times(13), upTo(3), 8, 100)).toBe(12);
    expect(takenUp(times(14), upTo(4), 8, 100)).toBe(10);
  });
});

describe("where the running part begins", () => {
  /** Half a second up, so many readings at the first level, then three seconds at 50. */
  const stepped = (first: number, count: number) => trace(3.5 + count * 0.04, (s) => (s < 0.5 + count * 0.04 - 0.001 ? first : 50));

  it("is past what is left of a start peak, three in a hundred above the level; without a peak fifteen are part of it", () => {
    const twoSteps = (peak: number, tail: number) => trace(3.82, (s) => (s < 0.499 ? peak : s < 0.659 ? peak : s < 0.819 ? tail : 50));
    // Half a second is thirteen readings, the peak four more, its tail four; the reading that comes down is between them.
    const begins = (samples: readonly PullSample[]) => read(samples).runningFromMs / 40;
    expect(begins(twoSteps(70, 52))).toBeGreaterThanOrEqual(21);
    expect(begins(twoSteps(70, 51))).toBeLessThan(21);
    expect(read(twoSteps(70, 52)).runningMeanN).toBeCloseTo(50, 9);
    expect(begins(stepped(57, 8))).toBeLessThan(16);
    expect(begins(stepped(58, 8))).toBeGreaterThanOrEqual(20);
  });

  it("is told by the pull that nothing was drawn, where the scale shows nothing", () => {
    expect(code(Array.from({ length: 60 }, (_, i) => ({ tMs: 40 * i, forceN: 0 })))).toBe("no-slip");
  });

  it("has to go on for eight tenths of a second and twelve readings", () => {
    // A jump to the level at once: the first two readings are the peak's and the one that comes down from it.
    const flat = (readings: number, stepMs: number, after = 10) =>
      Array.from({ length: 10 + readings + after }, (_, i) => ({ tMs: stepMs * i, forceN: i < 10 || i >= 10 + readings ? 0 : 50 }));
    // Of a release two readings are left out as well.
    expect(code(flat(24, 40))).toBe("ok");
    expect(code(flat(23, 40))).toBe("let-go");
    expect(code(flat(15, 100))).toBe("ok");
    expect(code(flat(14, 100))).toBe("let-go");
  });
});
