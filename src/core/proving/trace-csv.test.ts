import { describe, expect, it } from "vitest";
import { readTraceCsv } from "./trace-csv";

describe("a trace out of a spreadsheet", () => {
  it("is time and value, whichever comma and head it has", () => {
    const want = [
      { tMs: 0, value: 1.5 },
      { tMs: 40, value: 2 },
    ];
    for (const text of ["0;1,5\n0,04;2\n", "t_s,force\n1.00,1.5\n1.04,2\n", "time ms\tN\n10\t1.5\n50\t2\n", "\uFEFF0,1.5\r\n0.04,2\r\n"]) {
      const read = readTraceCsv(text);
      expect(read.ok && read.value.map(({ tMs, value }) => ({ tMs: Math.round(tMs), value })), text).toEqual(want);
    }
  });

  it("of one column is pulses, one a turn", () => {
    const read = readTraceCsv("0\n0.1\n0.3\n");
    expect(read.ok && read.value.map(({ value }) => Math.round(value * 10) / 10)).toEqual([10, 5]);
  });

  it("is refused with its row", () => {
    expect(readTraceCsv("t,N\n0,1\n0.1,x\n")).toMatchObject({ ok: false, code: "bad-row", message: expect.stringMatching(/Row 3/) });
    expect(readTraceCsv("0,1\n0,2\n")).toMatchObject({ ok: false, code: "backwards", message: expect.stringMatching(/Row 2/) });
    expect(readTraceCsv("")).toMatchObject({ ok: false, code: "empty" });
    expect(readTraceCsv("0,1\n".repeat(100_001))).toMatchObject({ ok: false, code: "too-long" });
  });

  it("keeps no more of a long one than a trace holds", () => {
    const read = readTraceCsv(Array.from({ length: 20_000 }, (_, i) => `${i / 100},${i}`).join("\n"));
    expect(read.ok && read.value.length).toBe(5000);
  });
});
