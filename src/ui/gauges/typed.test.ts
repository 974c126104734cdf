import { describe, expect, it } from "vitest";
import { shown, typedMm, typedNumber } from "./typed";

describe("numbers as they are typed", () => {
  it.each([
    ["4,5", 4.5],
    [" 3 ", 3],
    ["0.5 in", 12.7],
    ["3/16 in", 4.7625],
    ['1/4"', 6.35],
    ["1/4″", 6.35],
  ])("%s is %f mm", (text, mm) => expect(typedMm(text)).toBeCloseTo(mm, 9));

  it("is no number for anything else, so that the gauge speaks at the field", () => {
    for (const text of ["", "x", "in", "1/0 x", "3 ft"]) expect(typedMm(text), text).toBeNaN();
    expect(typedNumber("")).toBeNaN();
    expect(shown(Number.NaN)).toBe("–");
    expect(shown(1234.567, 3)).toBe("1230");
  });
});
