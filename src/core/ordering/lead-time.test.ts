import { describe, expect, it } from "vitest";
import { stream } from "#tests/random-stream";
import { leadTime } from "./lead-time";

describe("the days a parcel takes", () => {
  it("are those promised, with room, before the first has come; and those it took once many have", () => {
    const none = leadTime(5, [], 0.8);
    expect(none.middle).toBeCloseTo(5, 10);
    expect(none.days).toBeGreaterThan(5);
    expect(none.days).toBeLessThanOrEqual(8);
    expect(leadTime(5, Array(60).fill(10), 0.8).middle).toBeGreaterThan(9);
    expect(leadTime(5, Array(60).fill(10), 0.8).days).toBeLessThanOrEqual(12);
    expect(leadTime(0, [], 0.8).days).toBeGreaterThanOrEqual(1);
    expect(leadTime(5, [4, 6], 0.95).days).toBeGreaterThan(leadTime(5, [4, 6], 0.8).days - 1);
  });

  it("hold as often as they say, for suppliers drawn around what they promise", () => {
    const next = stream(5);
    const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
    for (const known of [0, 2, 10, 40]) {
      let held = 0;
      const suppliers = 3000;
      for (let i = 0; i < suppliers; i++) {
        const spread = 0.3 * Math.exp(0.3 * normal());
        const slower = 0.17 * normal();
        const promised = 3 + next() * 12;
        const parcel = () => promised * Math.exp(slower + spread * normal());
        const { days } = leadTime(promised, Array.from({ length: known }, parcel), 0.8);
        if (parcel() <= days) held++;
      }
      // Days are whole and rounded up, so a little more than 80 in 100 hold.
      expect(held / suppliers, `${known} parcels`).toBeGreaterThan(0.78);
      expect(held / suppliers, `${known} parcels`).toBeLessThan(0.9);
    }
  });
});
