import { describe, expect, it } from "vitest";
import { runInSlices, runToEnd, type Sliced } from "./slices";

function* sum(to: number): Sliced<number> {
  let total = 0;
  for (let i = 1; i <= to; i++) {
    total += i;
    yield;
  }
  return total;
}

describe("work in slices", () => {
  it("comes to the same at once and slice by slice, with a pause at each", async () => {
    let pauses = 0;
    expect(runToEnd(sum(10))).toBe(55);
    expect(
      await runInSlices(sum(10), async () => {
        pauses++;
      }),
    ).toBe(55);
    expect(pauses).toBe(10);
  });

  it("stops where nobody waits any more", async () => {
    let left = 3;
    const stopped = runInSlices(sum(10), async () => {
      if (--left === 0) throw new Error("nobody waits");
    });
    await expect(stopped).rejects.toThrow("nobody waits");
  });
});
