import { describe, expect, it } from "vitest";
import { stream } from "#tests/random-stream";
import { type PullSample, readPullTrace } from "./pull-trace";

/** A drawn pull: what the force is, second by second, sampled 25 times a second with scatter and the scale's steps of 0.2 N. */
function drawn(seconds: number, force: (s: number) => number, scatterN: number, random: () => number): PullSample[] {
  return Array.from({ length: Math.round(seconds * 25) }, (_, i) => {
    const noise = scatterN * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    return { tMs: i * 40, forceN: Math.max(0, Math.round((force(i / 25) + noise) / 0.2) * 0.2) };
  });
}

/** Twenty of a kind, each with its own level, speed and scatter. */
function twenty(
  of: (draw: { level: number; take: number; between: (a: number, b: number) => number; random: () => number }) => void,
): void {
  const random = stream(414);
  const between = (a: number, b: number) => a + (b - a) * random();
  for (let n = 0; n < 20; n++) of({ level: between(6, 90), take: between(0.3, 0.9), between, random });
}

const rising = (s: number, take: number, level: number) => (s < take ? (level * s) / take : level);

describe("twenty drawn pulls of each kind", () => {
  it("even slip: the level within its interval nineteen times or more, no peak, no pulsing", () => {
    let held = 0;
    twenty(({ level, take, between, random }) => {
      const read = readPullTrace(drawn(between(2.5, 5), (s) => rising(s, take, level), level * between(0.005, 0.03), random));
      if (!read.ok) throw new Error(read.message);
      const { running, startsWithPeak, pulsing, released } = read.value;
      if (running.low <= level && level <= running.high) held++;
      expect([startsWithPeak, pulsing, released]).toEqual([false, null, false]);
      expect(Math.abs(running.value / level - 1)).toBeLessThan(0.03);
    });
    expect(held).toBeGreaterThanOrEqual(18);
  });

  it("start peak: told, its ratio within its interval", () => {
    let held = 0;
    twenty(({ level, take, between, random }) => {
      const ratio = between(1.35, 2.2);
      const force = (s: number) =>
        s < take
          ? (level * ratio * s) / take
          : s < take + 0.12
            ? level * ratio
            : s < take + 0.24
              ? level * (ratio + ((1 - ratio) * (s - take - 0.12)) / 0.12)
              : level;
      const read = readPullTrace(drawn(between(3, 5), force, level * between(0.005, 0.02), random));
      if (!read.ok) throw new Error(read.message);
      const { start, startsWithPeak, pulsing, running } = read.value;
      expect([startsWithPeak, pulsing]).toEqual([true, null]);
      expect(Math.abs(running.value / level - 1)).toBeLessThan(0.03);
      if (start.low <= ratio && ratio <= start.high) held++;
    });
    expect(held).toBeGreaterThanOrEqual(17);
  });

  it("pulsing: told with its period and size, and not taken for a start peak", () => {
    twenty(({ level, take, between, random }) => {
      const [period, share] = [between(0.45, 1.1), between(0.08, 0.3)];
      const force = (s: number) => rising(s, take, level) * (s < take ? 1 : 1 + share * Math.sin((2 * Math.PI * (s - take)) / period));
      const read = readPullTrace(drawn(between(4, 6), force, level * 0.015, random));
      if (!read.ok) throw new Error(read.message);
      const { pulsing, startsWithPeak, running } = read.value;
      expect(startsWithPeak).toBe(false);
      expect(Math.abs(pulsing!.periodMs / 1000 / period - 1)).toBeLessThan(0.08);
      expect(Math.abs(pulsing!.share / share - 1)).toBeLessThan(0.2);
      expect(Math.abs(running.value / level - 1)).toBeLessThan(0.03);
    });
  });

  it("ramp that never slips: refused", () => {
    twenty(({ level, between, random }) => {
      const seconds = between(2, 6);
      const bend = between(0.6, 1.8);
      const read = readPullTrace(drawn(seconds, (s) => level * (s / seconds) ** bend, level * 0.01, random));
      expect(read).toMatchObject({ ok: false, code: "no-slip" });
    });
  });

  it("ramp let go before anything slipped: refused", () => {
    twenty(({ level, between, random }) => {
      const [up, down] = [between(1, 3), between(0.2, 1.5)];
      const force = (s: number) => (s < up ? (level * s) / up : Math.max(0, level * (1 - (s - up) / down)));
      const read = readPullTrace(drawn(up + down + 0.5, force, level * 0.01, random));
      expect(read).toMatchObject({ ok: false, code: expect.stringMatching(/let-go|no-slip/) });
    });
  });

  it("a hand that swells and ebbs: refused", () => {
    twenty(({ level, between, random }) => {
      const seconds = between(2.5, 5);
      const read = readPullTrace(drawn(seconds, (s) => level * Math.sin((Math.PI * s) / seconds), level * 0.01, random));
      expect(read).toMatchObject({ ok: false, code: expect.stringMatching(/let-go|no-slip/) });
    });
  });

  it("slip and then release: the release is not counted", () => {
    twenty(({ level, take, between, random }) => {
      const until = take + between(1.5, 3);
      const fall = between(0.1, 0.5);
      const force = (s: number) => (s < until ? rising(s, take, level) : Math.max(0, level * (1 - (s - until) / fall)));
      const read = readPullTrace(drawn(until + fall + between(0.1, 1.5), force, level * 0.015, random));
      if (!read.ok) throw new Error(read.message);
      expect(read.value.released).toBe(true);
      expect(Math.abs(read.value.running.value / level - 1)).toBeLessThan(0.03);
      expect(read.value.runningToMs).toBeLessThanOrEqual(until * 1000 + 40);
    });
  });

  it("a drag that fades a tenth as it warms is still a pull", () => {
    twenty(({ level, take, random }) => {
      const read = readPullTrace(drawn(5, (s) => rising(s, take, level) * (1 - 0.02 * s), level * 0.01, random));
      expect(read.ok).toBe(true);
    });
  });
});

it("refuses times that do not rise", () => {
  const samples = Array.from({ length: 30 }, () => ({ tMs: 5, forceN: 10 }));
  expect(readPullTrace(samples)).toMatchObject({ ok: false, code: "no-times" });
});

it("reads a stream of a thousand samples a second as well", () => {
  const random = stream(9);
  const quick = Array.from({ length: 5000 }, (_, i) => ({ tMs: i, forceN: Math.min(30, i / 20) + random() - 0.5 }));
  const read = readPullTrace(quick);
  expect(read.ok && Math.abs(read.value.running.value - 30)).toBeLessThan(0.2);
});
