import { describe, expect, it } from "vitest";
import { againstRecord, modelRecord } from "./model-record";

describe("what reels like this leave with", () => {
  it("is not said of one or two", () => expect([modelRecord([]), modelRecord([5, 6])]).toEqual([null, null]));

  it("is the middle of them, and is not moved by one reading gone wrong", () => {
    expect(modelRecord([30, 31, 29])!.median).toBe(30);
    const record = modelRecord([28, 29, 29, 30, 30, 30, 31, 31, 32, 400])!;
    expect(record.median).toBeLessThan(32);
    expect(record.high).toBeLessThan(40);
  });

  it("tells a reading under, within and over it", () => {
    const record = { median: 30, low: 28, high: 32, jobs: 9 };
    expect([20, 26, 30, 34, 40].map((value) => againstRecord(value, record))).toEqual(["under", "within", "within", "within", "over"]);
  });
});
