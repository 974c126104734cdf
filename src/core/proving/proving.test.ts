import { describe, expect, it } from "vitest";
import { compare, type Observation } from "./compare";
import { starDragProtocol, testIds, testSpec } from "./protocol";

const seen = (verdict: Observation["verdict"], value: number | null = null, lineRadiusMm: number | null = null): Observation => ({
  verdict,
  value,
  lineRadiusMm,
});

describe("before against after", () => {
  it("goes by the verdict where it changed", () => {
    expect(compare(testSpec("turning"), seen("bad", 10), seen("good", 12))).toBe("better");
    expect(compare(testSpec("click"), seen("good"), seen("doubtful"))).toBe("worse");
  });

  it("goes by the number, the right way round, where it did not", () => {
    expect(compare(testSpec("free-spool"), seen("good", 30), seen("good", 40))).toBe("better");
    expect(compare(testSpec("turning"), seen("good", 20), seen("good", 9))).toBe("better");
    expect(compare(testSpec("turning"), seen("good", 9), seen("good", 20))).toBe("worse");
    expect(compare(testSpec("free-spool"), seen("good", 30), seen("good", 31))).toBe("same");
    expect(compare(testSpec("free-spool"), seen("good", 30), seen("good"))).toBe("same");
  });

  it("compares pulls as torque: half the force at twice the radius is the same drag", () => {
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 30, 24))).toBe("same");
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 60, 24))).toBe("better");
    expect(compare(testSpec("drag-full"), seen("good", 60, 12), seen("good", 60))).toBe("not-comparable");
  });
});

describe("the protocol", () => {
  it("has every test once and cautions wherever line is loaded", () => {
    expect(starDragProtocol.map((test) => test.id)).toEqual([...testIds]);
    for (const test of starDragProtocol) expect(Boolean(test.caution), test.id).toBe(test.id.startsWith("drag"));
  });

  it("makes the two tests that name the half first (common practice)", () => {
    expect(starDragProtocol.slice(0, 2).map((test) => test.id)).toEqual(["free-spool", "turning"]);
  });
});
