import { describe, expect, it } from "vitest";
import { shown, typedMm, typedNewtons, typedNumber } from "./typed";

describe("numbers as they are typed", () => {
  it.each([
    ["4,5", 4.5],
    [" 3 ", 3],
    ["0.5 in", 12.7],
    ["3/16 in", 4.7625],
    ['1/4"', 6.35],
    ["1/4″", 6.35],
    ["1 1/2 in", 38.1],
    ["2 cm", 20],
    ["3 ft", 914.4],
  ])("%s is %f mm", (text, mm) => expect(typedMm(text)).toBeCloseTo(mm, 9));

  it.each([
    ["5 lb", 22.2411],
    ["2,4 kg", 23.536],
    ["12", 12],
  ])("%s pulls %f N", (text, newtons) => expect(typedNewtons(text)).toBeCloseTo(newtons, 3));

  it("is no number for anything else, so that the gauge speaks at the field", () => {
    for (const text of ["", "x", "in", "1/0 x", "3 lb"]) expect(typedMm(text), text).toBeNaN();
    expect(typedNumber("")).toBeNaN();
    expect(shown(Number.NaN)).toBe("–");
    expect(shown(1234.567, 3)).toBe("1230");
  });
});
