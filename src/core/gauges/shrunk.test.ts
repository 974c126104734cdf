import { describe, expect, it } from "vitest";
import { shrunk } from "./shrunk";

describe("a model's own number", () => {
  it("is its family's where nobody measured, nearly its own after one measuring, and its own after many", () => {
    expect(shrunk([], [], 4000)).toBeCloseTo(4000, 6);
    expect(shrunk([], [1000, 4000], 2000)).toBeCloseTo(2000, 6);
    // One: 1/0.15² = 44.4 against 1/(0.4² · 2) = 3.125: 93.4 of 100 its own.
    expect(Math.log(shrunk([8000], [], 4000) / 4000) / Math.log(2)).toBeCloseTo(44.444 / 47.569, 4);
    expect(shrunk(Array(50).fill(8000), [], 4000)).toBeGreaterThan(7980);
    expect(shrunk([8000], [4000, 4000, 4000], 4000)).toBeLessThan(shrunk([8000], [], 4000));
  });
});
