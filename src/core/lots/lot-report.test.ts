import { describe, expect, it } from "vitest";
import { lotSums } from "./lot-report";

const row = (change: Partial<Parameters<typeof lotSums>[0]["rows"][number]>) => ({
  tag: "T",
  mark: "",
  serial: "",
  state: "at Test",
  findings: [],
  parts: [],
  readings: [],
  watch: [],
  totalMinor: 0,
  ...change,
});

describe("what a lot comes to", () => {
  it("counts reels, faults by reel and parts by piece", () => {
    const sums = lotSums({
      rows: [
        row({
          state: "returned",
          findings: ["Drag worn", "Drag worn"],
          parts: ["Friction washer", "Friction washer"],
          totalMinor: 3000,
        }),
        row({ state: "ready", findings: ["Drag worn", "Click worn"], parts: ["Tongue"], totalMinor: 1250 }),
        row({}),
      ],
    });
    expect(sums).toEqual({
      reels: 3,
      finished: 2,
      totalMinor: 4250,
      faults: [
        { name: "Drag worn", reels: 2 },
        { name: "Click worn", reels: 1 },
      ],
      parts: [
        { name: "Friction washer", count: 2 },
        { name: "Tongue", count: 1 },
      ],
    });
  });

  it("is nothing for an empty lot", () => expect(lotSums({ rows: [] })).toMatchObject({ reels: 0, finished: 0, totalMinor: 0 }));
});
