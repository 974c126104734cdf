import { describe, expect, it } from "vitest";
import { testIds } from "@/core/vocabulary/tests";
import { instrumentFor, readTrace, torqueWords } from "./read-trace";

const trace = (count: number, value: (i: number) => number, stepMs = 40) =>
  Array.from({ length: count }, (_, i) => ({ tMs: i * stepMs, value: value(i) }));
const words = (...of: Parameters<typeof readTrace>) => {
  const read = readTrace(...of);
  return read.ok ? read.value.words : `${read.code}: ${read.message}`;
};

describe("what measures a test", () => {
  it("is the scale for pulls, the pickup for free spool, the handle for effort, the microphone for a click; nothing for what is felt", () => {
    const by = new Map(testIds.map((id) => [id, instrumentFor(id)]));
    for (const id of ["drag-light", "drag-strike", "drag-full"] as const)
      expect(by.get(id)).toMatchObject({ id: "pull-scale", traceUnit: "N", files: ["csv"] });
    expect(by.get("free-spool")).toMatchObject({ id: "pulse-pickup", traceUnit: "turns/s", files: ["csv", "wav"] });
    expect(by.get("turning")).toMatchObject({ id: "effort-handle", traceUnit: "cN·m", files: ["csv"] });
    expect(by.get("click")).toMatchObject({ id: "microphone", files: ["csv", "wav"] });
    expect([...by.values()].filter((one) => one === null)).toHaveLength(testIds.length - 6);
    for (const spec of by.values())
      if (spec) for (const said of [spec.name, spec.uncertainty, spec.start, spec.stop, spec.again]) expect(said).not.toBe("");
    expect(
      readTrace(
        "knob",
        trace(50, () => 1),
      ),
    ).toMatchObject({ ok: false, code: "no-instrument", message: expect.stringMatching(/what you felt/) });
  });
});

describe("a pull's trace in words", () => {
  /** Taken up in a second; at a start, then at a level. */
  const pull = (start: number, level: number, swing = 0) =>
    trace(160, (i) => (i < 12 ? (start * i) / 12 : i < 15 ? start : level * (1 + swing * Math.sin((2 * Math.PI * (i - 15)) / 25))));

  it("has its start, its level with its interval, and their ratio", () => {
    // Steps of the scale alone: 0.2/√12 N, twice.
    expect(words("drag-full", pull(40, 40))).toMatch(
      /^Start peak 40\.0 N, running mean 40\.0 N \(39\.9 to 40\.1\); start ÷ running 1\.00 \(1\.00 to 1\.00\)$/,
    );
  });

  it("says that it jerks above 1.3 times its level", () => {
    expect(words("drag-full", pull(54, 40))).toMatch(/start ÷ running 1\.35 .*: it jerks at the start$/);
    expect(words("drag-full", pull(50, 40))).not.toMatch(/jerks/);
  });

  it("says how much and how often it pulses", () => {
    // Twenty-five samples at 40 ms are a second.
    expect(words("drag-full", pull(40, 40, 0.1))).toMatch(/; it pulses by 10 % every 1\.0 s$/);
    expect(words("drag-full", pull(40, 40))).not.toMatch(/pulses/);
  });

  it("is refused as the pull is", () => {
    expect(words("drag-light", pull(40, 40).slice(0, 19))).toMatch(/^too-short/);
  });

  it("is a torque at the spool: 25 N at 24 mm are 0.6 N·m", () => {
    expect(torqueWords(25, 24)).toBe("0.60 N·m at the spool");
  });
});

describe("a spin's trace in words", () => {
  /** From 18 turns a second, a turn a second less each second. */
  const spin = (until: number) => trace(until * 20, (i) => Math.max(0, 18 - i / 20), 50);

  it("says the seconds from the standard start, and whether it was seen to stand", () => {
    const read = readTrace("free-spool", spin(20));
    if (!read.ok) throw new Error(read.message);
    const start = Number(/from ([\d.]+) turns/.exec(read.value.words)![1]);
    // A turn a second less each second: as many seconds as it has turns at the start.
    expect(read.value.value).toBeCloseTo(start, 0);
    expect(read.value.words).toMatch(/to a stop\.$/);
    expect(words("free-spool", spin(14))).toMatch(/to a stop, extrapolated: it was stopped before it came to rest\.$/);
    expect(readTrace("free-spool", spin(20).slice(0, 3)).ok).toBe(false);
  });
});

describe("an effort's trace in words", () => {
  it("has its mean, its peak and how uneven it is, the slack left out", () => {
    // The first eighth is slack; then by turns 8 and 12: mean 10, varies by 2 in 10.
    expect(
      words(
        "turning",
        trace(80, (i) => (i < 10 ? 90 : i % 2 ? 12 : 8)),
      ),
    ).toBe("Mean 10.0 cN·m, peak 12.0, varies by 20 %.");
    expect(
      words(
        "turning",
        trace(80, (i) => (i % 2 ? 12.5 : 7.5)),
      ),
    ).toBe("Mean 10.0 cN·m, peak 12.5, varies by 25 %: grit or a tight spot.");
  });

  it("is refused where it is short or felt nothing", () => {
    expect(
      words(
        "turning",
        trace(22, () => 5),
      ),
    ).toMatch(/^Mean/);
    expect(
      words(
        "turning",
        trace(21, () => 5),
      ),
    ).toMatch(/^too-short: .*three times/);
    expect(
      words(
        "turning",
        trace(80, () => 0),
      ),
    ).toMatch(/^no-effort: .*in gear/);
  });
});

describe("a click's trace in words", () => {
  it("has the click, the room, and how far above it stands with the room taken out", () => {
    // 10·log10(10^−3 − 10^−5) is −30.04 dB.
    expect(
      words(
        "click",
        trace(50, (i) => (i < 20 ? -50 : -30)),
      ),
    ).toBe("Click -30.0 dB, room -50.0 dB: 20.0 dB above it. Compare only at one distance.");
  });

  it("is refused where it is short, or three decibels do not part click and room", () => {
    expect(
      words(
        "click",
        trace(10, (i) => (i < 5 ? -50 : -30)),
      ),
    ).toMatch(/^Click/);
    expect(
      words(
        "click",
        trace(9, (i) => (i < 5 ? -50 : -30)),
      ),
    ).toMatch(/^too-short: .*silence/);
    expect(
      words(
        "click",
        trace(50, (i) => (i < 20 ? -40 : -37)),
      ),
    ).toMatch(/^Click/);
    expect(
      words(
        "click",
        trace(50, (i) => (i < 20 ? -40 : -37.1)),
      ),
    ).toMatch(/^nothing-heard: .*closer/);
  });
});
