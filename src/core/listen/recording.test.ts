import { describe, expect, it } from "vitest";
import { checkRecording } from "./recording";

/** Two seconds at the slowest rate, quiet but for some samples. */
const made = (samples: Readonly<Record<number, number>>, length = 8000) =>
  Float64Array.from({ length }, (_, i) => samples[i] ?? (i % 2 ? 0.01 : -0.01));
const check = (sound: Float64Array, rate = 4000) => checkRecording({ sound, rate }, 2);
const run = (from: number, count: number, level: number) =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [from + i, i % 2 ? -level : level]));

describe("what a recording has to bear", () => {
  it("is 4000 samples a second at least, as slow as a click can be heard", () => {
    expect(check(made({}))).toEqual({ ok: true, value: null });
    expect(check(made({}), 3999)).toMatchObject({
      ok: false,
      code: "slow-rate",
      message: expect.stringContaining("3999 samples a second"),
    });
    expect(check(made({}), Number.NaN)).toMatchObject({ ok: false, code: "slow-rate" });
  });

  it("is as long as asked and three minutes at most, with the lengths said", () => {
    expect(check(made({}, 7999))).toMatchObject({ ok: false, code: "too-short", message: expect.stringContaining("2.0 s are too short") });
    expect(check(made({}, 4000))).toMatchObject({ ok: false, code: "too-short", message: expect.stringContaining("at least 2 s") });
    expect(check(made({}, 180 * 4000)).ok).toBe(true);
    expect(check(made({}, 181 * 4000))).toMatchObject({ ok: false, code: "too-long", message: expect.stringMatching(/^181 s .* 180 s/) });
  });

  it("holds something", () => {
    expect(check(new Float64Array(8000))).toMatchObject({ ok: false, code: "silent", message: expect.stringMatching(/microphone/) });
    expect(check(made({}).map((x) => x / 6))).toMatchObject({ ok: false, code: "silent" });
    expect(check(made({}).map((x) => x / 5)).ok).toBe(true);
  });

  it("does not stand at its highest value, sample after sample, for more than one in two thousand", () => {
    // Of 8000 samples four may follow another at the edge; the first of a row follows none.
    expect(check(made(run(0, 5, 0.95))).ok).toBe(true);
    expect(check(made(run(0, 6, 0.95)))).toMatchObject({ ok: false, code: "clipped", message: expect.stringMatching(/further off/) });
    expect(check(made(run(7994, 6, 0.95))).ok).toBe(false);
  });

  it("may have high peaks that stand alone", () => {
    expect(check(made(Object.fromEntries(Array.from({ length: 60 }, (_, i) => [100 + 3 * i, 0.99])))).ok).toBe(true);
  });

  it("counts what lies within 1.5 in a hundred of the edge", () => {
    const edge = { ...run(10, 7, 0.985 * 0.95), 9: 0.95 };
    expect(check(made(edge)).ok).toBe(false);
    expect(check(made({ ...run(10, 7, 0.98 * 0.95), 9: 0.95 })).ok).toBe(true);
  });

  it("may stand at a low edge: a loud recording alone is clipped", () => {
    expect(check(made(run(0, 100, 0.9))).ok).toBe(true);
    expect(check(made(run(0, 100, 0.91))).ok).toBe(false);
  });
});
