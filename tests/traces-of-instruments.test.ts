import { describe, expect, it } from "vitest";
import { instrumentFor, readTrace } from "@/core/proving/read-trace";
import { decibels, levelsOfSound, rootMeanSquare, withoutRoom } from "@/core/proving/sound";
import { readSpinTrace, speedsFromPulses, standardStart } from "@/core/proving/spin-trace";
import { type TraceSample, traceSchema } from "@/core/proving/trace";
import { type PretendedReel, pretended } from "@/devices/instruments";

const sine = (n: number, period: number, amplitude = 1) =>
  Float64Array.from({ length: n }, (_, i) => amplitude * Math.sin((2 * Math.PI * i) / period));
const stretch = (n: number, of: (s: number) => number, stepMs = 50): TraceSample[] =>
  Array.from({ length: n }, (_, i) => ({ tMs: i * stepMs, value: of((i * stepMs) / 1000) }));
const read = (samples: readonly TraceSample[]) => {
  const result = readSpinTrace(samples);
  if (!result.ok) throw new Error(result.message);
  return result.value;
};

describe("the level of a sound", () => {
  it("is 0.707107 or −3.0103 dB for a full sine, 0.577350 or −4.7712 dB for a triangle, 1 for a square (textbook values)", () => {
    const triangle = Array.from({ length: 40_000 }, (_, i) => 1 - 4 * Math.abs(((i / 4000) % 1) - 0.5));
    expect(rootMeanSquare(sine(40_000, 400))).toBeCloseTo(Math.SQRT1_2, 6);
    expect(decibels(rootMeanSquare(sine(40_000, 400)))).toBeCloseTo(-3.0103, 4);
    expect(rootMeanSquare(triangle)).toBeCloseTo(0.57735, 5);
    expect(decibels(rootMeanSquare(triangle))).toBeCloseTo(-4.7712, 3);
    expect(decibels(rootMeanSquare([1, -1, 1, -1]))).toBe(0);
  });

  it("falls by 6.0206 dB at half the amplitude", () => {
    expect(decibels(1) - decibels(0.5)).toBeCloseTo(6.0206, 4);
  });

  it("less the room's own noise: 70 in a room of 65 dB is 68.3491 (textbook value)", () => {
    expect(withoutRoom(70, 65)).toBeCloseTo(68.3491, 4);
    expect(() => withoutRoom(60, 60)).toThrow(RangeError);
  });

  it("is read window by window, at the recording's own rate", () => {
    const levels = levelsOfSound([...sine(4410, 44.1, 0), ...sine(4410, 44.1)], 44_100);
    expect(levels.map(({ tMs }) => Math.round(tMs))).toEqual([0, 40, 80, 120, 160]);
    expect(levels[0]!.value).toBe(-96);
    expect(levels[4]!.value).toBeCloseTo(-3.01, 1);
  });
});

describe("a spin", () => {
  it("under constant friction stands after w0/a seconds (closed form of dw/dt = −a)", () => {
    for (const a of [0.4, 1, 3]) {
      const spin = read(stretch(1200, (s) => Math.max(0, 14 - a * s)));
      expect(spin.seconds, String(a)).toBeCloseTo(standardStart / a, 1);
      expect(spin.seenToStand).toBe(true);
    }
  });

  it("does not care how hard it was flicked", () => {
    const [soft, hard] = [10.5, 22].map((start) => read(stretch(1200, (s) => Math.max(0, start - s))).seconds);
    expect(soft).toBeCloseTo(hard!, 3);
  });

  it("draws its end on when it was stopped early, and says so", () => {
    const early = read(stretch(100, (s) => 14 - s));
    expect(early.seenToStand).toBe(false);
    expect(early.seconds).toBeCloseTo(10, 3);
  });

  it("turns pulse times into speeds: pulses 100 ms apart at two a turn are 5 turns a second", () => {
    expect(speedsFromPulses([0, 100, 200], 2).map(({ value }) => value)).toEqual([5, 5]);
    expect(() => speedsFromPulses([0, 100, 100], 1)).toThrow(RangeError);
  });

  it("refuses what cannot be read, with what to do", () => {
    expect(readSpinTrace(stretch(5, () => 12))).toMatchObject({ ok: false, code: "too-short" });
    expect(readSpinTrace(stretch(50, () => 8))).toMatchObject({ ok: false, code: "too-slow", message: expect.stringMatching(/harder/) });
  });
});

describe("the stand-ins, read back", () => {
  const trace = (test: Parameters<typeof readTrace>[0], reel: PretendedReel, n: number) =>
    readTrace(
      test,
      Array.from({ length: n }, (_, i) => pretended(instrumentFor(test)!.id, reel, i)),
    );
  it("give the level they were set to, and the sickness in words", () => {
    for (const [test, level, n, off] of [
      ["drag-strike", 32, 75, 1.5],
      ["free-spool", 26, 150, 1],
      ["turning", 9, 90, 1],
    ] as const) {
      const sound = trace(test, { level, sickness: 0 }, n);
      expect(sound.ok && Math.abs(sound.value.value - level), test).toBeLessThan(off);
    }
    expect(trace("turning", { level: 9, sickness: 1 }, 90)).toMatchObject({ ok: true, value: { words: expect.stringMatching(/grit or/) } });
    expect(trace("drag-full", { level: 50, sickness: 1 }, 75)).toMatchObject({
      ok: true,
      value: { words: expect.stringMatching(/jerks/) },
    });
    const [loud, worn] = [0, 1].map((sickness) => trace("click", { level: 30, sickness }, 90));
    expect(loud!.ok && worn!.ok && loud!.value.value - worn!.value.value).toBeGreaterThan(6);
  });

  it("leave out the eighth in which the hand takes up the slack, and call it gritty from a fifth of unevenness on", () => {
    const turning = (values: readonly number[]) => {
      const of = readTrace(
        "turning",
        values.map((value, i) => ({ tMs: 50 * i, value })),
      );
      return of.ok ? of.value : of.code;
    };
    const even = [...Array<number>(10).fill(90), ...Array<number>(70).fill(9)];
    expect(turning(even)).toMatchObject({ value: 9, words: "Mean 9.0 cN·m, peak 9.0, varies by 0 %." });
    // Twenty readings after the slack can be read, nineteen cannot.
    expect(turning(Array<number>(22).fill(9))).toMatchObject({ value: 9 });
    expect(turning(Array<number>(21).fill(9))).toBe("too-short");
    // Two levels as far apart from their mean: the standard deviation is that distance.
    const uneven = (by: number) => Array.from({ length: 80 }, (_, i) => 10 + (i % 2 ? by : -by));
    expect(turning(uneven(1.9))).toMatchObject({ words: "Mean 10.0 cN·m, peak 11.9, varies by 19 %." });
    expect(turning(uneven(2.1))).toMatchObject({ words: "Mean 10.0 cN·m, peak 12.1, varies by 21 %: grit or a tight spot." });
  });

  it("take a click's loud tenth against its quiet tenth, and hear none that stands out by less than 3 dB", () => {
    const click = (room: number, loud: number, n = 40) => {
      const of = readTrace(
        "click",
        Array.from({ length: n }, (_, i) => ({ tMs: 50 * i, value: i < n / 2 ? room : loud })),
      );
      return of.ok ? of.value.value : of.code;
    };
    expect(click(-60, -57.1)).toBe("nothing-heard");
    expect(click(-60, -40, 8)).toBe("too-short");
    // 20 dB above the room; the room's own share is 0.04 dB of it (textbook: 10·lg(1 − 10⁻²)).
    expect(click(-60, -40)).toBeCloseTo(20 + 10 * Math.log10(1 - 0.01), 6);
  });

  it("say when there is nothing to read", () => {
    expect(
      readTrace(
        "click",
        stretch(60, () => -50),
      ),
    ).toMatchObject({ ok: false, code: "nothing-heard" });
    expect(
      readTrace(
        "turning",
        stretch(60, () => 0),
      ),
    ).toMatchObject({ ok: false, code: "no-effort" });
    expect(
      readTrace(
        "roller",
        stretch(60, () => 1),
      ),
    ).toMatchObject({ ok: false, code: "no-instrument" });
  });
});

describe("a kept trace", () => {
  it("is read whichever way it was written, and never with a hole in it", () => {
    expect(
      traceSchema.parse([
        { tMs: 1, forceN: 2 },
        { tMs: 2, value: 3 },
      ]),
    ).toEqual([
      { tMs: 1, value: 2 },
      { tMs: 2, value: 3 },
    ]);
    expect(traceSchema.safeParse([{ tMs: 1, value: Number.NaN }]).success).toBe(false);
  });
});
