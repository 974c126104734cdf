import { describe, expect, it } from "vitest";
import { familyIds } from "@/core/vocabulary/families";
import { compare, differenceOf } from "./compare";
import { extraTests, protocolFor, type TestKind, testSpec } from "./protocol";
import { readingError } from "./reading-error";
import { readSpinTrace, speedsFromPulses } from "./spin-trace";
import { readTraceCsv } from "./trace-csv";

describe("how far one reading may be off", () => {
  // Worked by hand from what stands at each instrument: ± two hundredths and its step of a luggage scale, and so on; by hand more than by an instrument.
  it.each([
    ["N", 10, "typed", Math.hypot(0.2, 0.2)],
    ["N", 10, "by hand", Math.hypot(0.2, 0.2)],
    ["N", 10, "pull-scale", Math.hypot(0.1, 0.1)],
    ["s", 5, "typed", Math.hypot(0.3, 0.3)],
    ["s", 5, "pulse-pickup", Math.hypot(0.1, 0.15)],
    ["cN·m", 20, "typed", 1.2],
    ["cN·m", 20, "effort-handle", 0.5],
    ["dB", 60, "typed", 1.5],
    ["dB", 60, "microphone", 1],
    // A count of twenty or of ten is a binomial one; one that never or always happened is still no certainty.
    ["slips of 20", 5, "typed", Math.sqrt(5 * 0.75)],
    ["slips of 20", 0, "typed", 0.5],
    ["slips of 20", 20, "typed", 0.5],
    ["slips of 20", 25, "typed", 0.5],
    ["trips of 10", 4, "typed", Math.sqrt(4 * 0.6)],
    ["trips of 10", 10, "typed", 0.5],
    ["trips of 10", 12, "typed", 0.5],
    ["mm", 3, "typed", 0.03],
    ["°", 90, "typed", 1],
  ] as const)("%s %f by %s: %f", (unit, value, instrument, error) => expect(readingError(unit, value, instrument)).toBeCloseTo(error, 9));
});

describe("every test", () => {
  const all = [
    ...new Map(familyIds.flatMap((family) => [...protocolFor(family), ...extraTests(family)]).map((spec) => [spec.id, spec])).values(),
  ];
  it("says what it is, how it is done and why, in a sentence; a pull carries its caution", () => {
    expect(all.length).toBeGreaterThan(12);
    for (const spec of all) {
      for (const words of [spec.name, spec.how, spec.why]) expect(words.trim().length, spec.id).toBeGreaterThan(3);
      for (const words of [spec.how, spec.why]) expect(words, spec.id).toMatch(/^[A-Z].*[.?]$/);
      expect(testSpec(spec.id).id).toBe(spec.id);
      if (spec.unit === "N") expect(spec.caution?.length, spec.id).toBeGreaterThan(10);
      expect(spec.takesLineRadius, spec.id).toBe(spec.unit === "N");
      expect(["more", "less", "none"]).toContain(spec.better);
    }
  });

  it("is better the way the trade has it (common practice): spins longer, turns lighter, slips less, sounds louder", () => {
    const better = (id: Parameters<typeof testSpec>[0]) => testSpec(id).better;
    expect([better("free-spool"), better("turning"), better("anti-reverse"), better("click"), better("bail"), better("drag-full")]).toEqual(
      ["more", "less", "less", "more", "more", "more"],
    );
    expect([better("drag-light"), better("drag-strike"), better("roller")]).toEqual(["none", "none", "none"]);
    expect([
      testSpec("free-spool").unit,
      testSpec("turning").unit,
      testSpec("anti-reverse").unit,
      testSpec("bail").unit,
      testSpec("click").unit,
    ]).toEqual(["s", "cN·m", "slips of 20", "trips of 10", "dB"]);
  });
});

describe("before against after, at its edges", () => {
  const turning = testSpec("turning");
  const full = testSpec("drag-full");
  const read = (value: number | null, verdict: "good" | "doubtful" | "bad" = "good", lineRadiusMm: number | null = 20) => ({
    verdict,
    value,
    lineRadiusMm,
  });
  it("has no difference without both numbers, a unit, and for a pull both radii", () => {
    expect(differenceOf(turning, read(null), read(5))).toBeNull();
    expect(differenceOf(turning, read(5), read(null))).toBeNull();
    expect(differenceOf({ ...turning, unit: null }, read(5), read(5))).toBeNull();
    expect(differenceOf(full, read(5, "good", null), read(5))).toBeNull();
    expect(differenceOf(full, read(5), read(5, "good", null))).toBeNull();
    expect(differenceOf(turning, read(5, "good", null), read(5, "good", null))).not.toBeNull();
  });

  it("compares pulls as torque at the spool: 30 N at 20 mm are 24 N at 25, with their errors scaled alike (worked)", () => {
    const difference = differenceOf(full, read(30, "good", 20), read(26, "good", 25))!;
    expect(difference.value).toBeCloseTo(2, 9);
    const reach = 1.96 * Math.hypot(0.8 * Math.hypot(0.6, 0.2), Math.hypot(0.52, 0.2));
    expect(difference.high - difference.value).toBeCloseTo(reach, 9);
    expect(difference.value - difference.low).toBeCloseTo(reach, 9);
  });

  it("goes by the verdict first, then by numbers that differ for sure, in the better direction of the test", () => {
    expect(compare(turning, read(10, "bad"), read(30, "good"))).toBe("better");
    expect(compare(turning, read(10, "good"), read(3, "doubtful"))).toBe("worse");
    expect(compare(turning, read(30), read(10))).toBe("better");
    expect(compare(turning, read(10), read(30))).toBe("worse");
    expect(compare(full, read(10), read(30))).toBe("better");
    expect(compare(full, read(30), read(10))).toBe("worse");
    expect(compare(turning, read(10), read(10.1))).toBe("same");
    expect(compare(turning, read(null), read(10))).toBe("unlike");
    expect(compare(testSpec("drag-strike"), read(10), read(30))).toBe("changed");
    expect(compare(full, read(10, "good", null), read(30))).toBe("not-comparable");
    // An error of nothing and no difference: nothing changed.
    expect(compare({ ...turning, unit: "cN·m" } as TestKind, read(0), read(0))).toBe("same");
  });
});

describe("a spool that runs down", () => {
  /** Speed falls by one turn a second every second: 12 to nothing in 12 s, a reading each tenth. */
  const straight = (from: number, to: number) =>
    Array.from({ length: Math.round((from - to) * 10) + 1 }, (_, i) => ({ tMs: i * 100, value: from - i / 10 }));
  it("is read from ten turns a second to a stop: a straight fall of one a second takes ten seconds, seen or drawn on", () => {
    const whole = readSpinTrace(straight(12, 0));
    expect(whole.ok && whole.value.seenToStand).toBe(true);
    expect(whole.ok && whole.value.seconds).toBeCloseTo(10, 6);
    const cut = readSpinTrace(straight(12, 2));
    expect(cut.ok && cut.value.seenToStand).toBe(false);
    expect(cut.ok && cut.value.seconds).toBeCloseTo(10, 6);
  });

  it("is read from the last time it came through ten, between the readings; a second flick counts", () => {
    const twice = [...straight(12, 8), ...straight(12.05, 0).map(({ tMs, value }) => ({ tMs: tMs + 5000, value }))];
    const read = readSpinTrace(twice);
    expect(read.ok && read.value.seconds).toBeCloseTo(10, 3);
    expect(readSpinTrace(straight(9.9, 0))).toMatchObject({
      ok: false,
      code: "too-slow",
      message: expect.stringContaining("10 turns a second"),
    });
    const nine = straight(12, 0).slice(0, 9);
    expect(readSpinTrace(nine)).toMatchObject({ ok: false, code: "too-short", message: expect.stringContaining("too short") });
    expect(readSpinTrace(straight(10.3, 9.4)).ok).toBe(true);
  });

  it("that stops falling is not drawn on", () => {
    const flat = [...straight(12, 5), ...Array.from({ length: 12 }, (_, i) => ({ tMs: 7100 + i * 100, value: 5 }))];
    const read = readSpinTrace(flat);
    expect(read.ok && read.value.seconds).toBeCloseTo((flat.at(-1)!.tMs - 2000) / 1000, 6);
  });

  it("gives speeds of its pulses, at the middle of each interval, by how many a turn has and which were missed", () => {
    expect(speedsFromPulses([0, 100, 300], 1)).toEqual([
      { tMs: 50, value: 10 },
      { tMs: 200, value: 5 },
    ]);
    expect(speedsFromPulses([0, 100, 300], 2).map(({ value }) => value)).toEqual([5, 2.5]);
    expect(speedsFromPulses([0, 100, 300], 1, [0, 1, 4]).map(({ value }) => value)).toEqual([10, 15]);
    expect(() => speedsFromPulses([0, 100], 0.5)).toThrow("speedsFromPulses: at least one pulse a turn");
    expect(() => speedsFromPulses([0, 100, 100], 1)).toThrow("speedsFromPulses: pulse times must rise");
  });
});

describe("a trace out of a spreadsheet, at its edges", () => {
  it("takes spaces, a byte order mark at the very beginning alone, a head in words, and milliseconds where its head says so", () => {
    expect(readTraceCsv(" 0 ; 1 \n 0.5 ; 2 \n")).toMatchObject({
      ok: true,
      value: [
        { tMs: 0, value: 1 },
        { tMs: 500, value: 2 },
      ],
    });
    expect(readTraceCsv("milliseconds;N\n0;1\n500;2\n")).toMatchObject({
      ok: true,
      value: [
        { tMs: 0, value: 1 },
        { tMs: 500, value: 2 },
      ],
    });
    expect(readTraceCsv("t;N\n0;1\n0.5;2\n")).toMatchObject({ ok: true, value: [{ tMs: 0 }, { tMs: 500 }] });
    expect(readTraceCsv("time;1\n0;1\n0.5;2\n")).toMatchObject({ ok: true, value: [{ tMs: 0 }, { tMs: 500 }] });
    expect(readTraceCsv("0;1\n\uFEFF0.5;2\n").ok).toBe(true);
  });

  it("refuses an empty cell, says the row as it stands, and takes as many rows as it says", () => {
    expect(readTraceCsv("0;1\n0.5;\n0.7;3\n")).toMatchObject({
      ok: false,
      code: "bad-row",
      message: expect.stringContaining("Row 2 is no time and value: “0.5 ; ”"),
    });
    expect(readTraceCsv("0;1\n")).toMatchObject({ ok: false, code: "empty", message: expect.stringContaining("rows of time and value") });
    expect(readTraceCsv("0;1\n".repeat(100_001))).toMatchObject({ message: "More than 100000 rows. Cut it to the pull itself." });
    expect(readTraceCsv(Array.from({ length: 100_000 }, (_, i) => `${i};1`).join("\n")).ok).toBe(true);
  });

  it("of one column with an empty second is pulses; with a value in one row it is not", () => {
    expect(readTraceCsv("0;\n0.1; \n0.3;\n").ok).toBe(true);
    expect(readTraceCsv("0;\n0.1;5\n0.3;\n")).toMatchObject({ ok: false, code: "bad-row" });
  });
});
