import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Station } from "@/core/vocabulary/job-kinds";
import { idleMinutes, stationMinutes, stationOfJournal, usualMinutes } from "./station-time";

const at = (station: Station | null, minute: number) =>
  ({ station, atMs: minute * 60_000 }) as Parameters<typeof stationMinutes>[0][number];

describe("what a station took", () => {
  it("starts with the first press and stands after three idle minutes", () => {
    const minutes = stationMinutes([at("strip", 100), at("strip", 101), at("strip", 103), at("strip", 130), at("strip", 131)]);
    expect(minutes.get("strip")).toBe(1 + 2 + idleMinutes + 1);
  });

  it("keeps stations apart, and another job's press in between stops the clock", () => {
    const minutes = stationMinutes([
      at("strip", 0),
      at("strip", 2),
      at("clean", 3),
      at("clean", 4),
      at(null, 5),
      at("clean", 6),
      at("clean", 7),
    ]);
    expect(Object.fromEntries(minutes)).toEqual({ strip: 2, clean: 2 });
  });

  it("is never more than the clock on the wall, nor three minutes a press", () => {
    const anyPress = fc.record({
      station: fc.constantFrom<Station>("strip", "clean", "build"),
      atMs: fc.integer({ min: 0, max: 10_000_000 }),
    });
    fc.assert(
      fc.property(fc.array(anyPress, { minLength: 1, maxLength: 40 }), (presses) => {
        const sum = [...stationMinutes(presses).values()].reduce((a, b) => a + b, 0);
        const wall = (Math.max(...presses.map(({ atMs }) => atMs)) - Math.min(...presses.map(({ atMs }) => atMs))) / 60_000;
        expect(sum).toBeLessThanOrEqual(wall + 1e-9);
        expect(sum).toBeLessThanOrEqual(idleMinutes * (presses.length - 1) + 1e-9);
      }),
    );
  });

  it("knows where an act was made", () => {
    expect(stationOfJournal("tested", { phase: "after" })).toBe("prove");
    expect(stationOfJournal("tested", { phase: "before" })).toBe("test");
    expect(stationOfJournal("part-looked-at", { at: "clean" })).toBe("clean");
    expect(stationOfJournal("person-at-bench", {})).toBeNull();
  });

  it("gives the middle of at least three jobs", () => {
    expect(usualMinutes([12, 40, 0, 14])).toBe(14);
    expect(usualMinutes([12, 40])).toBeNull();
  });
});
