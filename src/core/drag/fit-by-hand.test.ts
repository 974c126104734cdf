import { describe, expect, it } from "vitest";
import type { LeverDrag } from "./adjusters";
import type { DragElement } from "./capacity";
import { type DragFit, dragVerdict, fitDrag, throughOrigin } from "./fit-drag";

describe("least squares through the origin", () => {
  it("have the largest misfit, and no interval of one reading", () => {
    // k = (1·2 + 2·3)/5 = 1.6; misfits 0.4 and −0.2.
    expect(throughOrigin([1, 2], [2, 3])).toMatchObject({ k: 1.6, worst: expect.closeTo(0.4, 12) });
    // Negative alone: k = 1.5 by (1, 1.6), (1, 1.4).
    expect(throughOrigin([1, 1], [1.6, 1.4]).worst).toBeCloseTo(0.1, 12);
    expect(throughOrigin([2], [3])).toEqual({ k: 1.5, low: Number.NEGATIVE_INFINITY, high: Number.POSITIVE_INFINITY, worst: 0 });
    expect(throughOrigin([0, 0], [1, 2]).k).toBeNaN();
  });
});

describe("a fit by hand, through gears", () => {
  // One gap of one washer between 15 and 8 mm radius, worn: μ·r with r 11.5 mm. A lever of 100 N/mm pressed 1 and 2 mm.
  const stack: DragElement[] = [
    { member: "gear", outsideMm: 30, insideMm: 16, mu: null },
    { member: "none", outsideMm: 30, insideMm: 16, mu: 0.3 },
    { member: "sleeve", outsideMm: 30, insideMm: 16, mu: null },
  ];
  const lever: LeverDrag = {
    stiffnessNPerMm: 100,
    cam: [
      { degrees: 0, riseMm: 0 },
      { degrees: 90, riseMm: 3 },
    ],
    knobPitchMm: 0.5,
    knobTurns: 0,
    gapMm: 0,
  };
  const path = { ratio: 3, efficiency: 0.8, lossNmm: 10 };
  const taken = [
    { setting: 30, pullN: 5, lineRadiusMm: 20 },
    { setting: 60, pullN: 10, lineRadiusMm: 20 },
  ];
  const weightedK = (() => {
    const rows = taken.map(({ setting, pullN }) => {
      const sd = Math.hypot(0.02 * pullN, 0.2);
      return { x: (100 * setting) / 30 / sd, y: ((20 * pullN - 10) * 2.4) / sd };
    });
    return rows.reduce((sum, { x, y }) => sum + x * y, 0) / rows.reduce((sum, { x }) => sum + x * x, 0);
  })();
  // At the stack; at the spool a 2.4th of it.
  const worst = Math.max(...taken.map(({ setting, pullN }) => Math.abs((20 * pullN - 10) * 2.4 - (weightedK * 100 * setting) / 30))) / 2.4;

  it("says its largest misfit at the spool, of the coefficient and of the product", () => {
    const mu = fitDrag(taken, stack, { known: true, lever }, path, "uniform-wear");
    expect(mu.value).toBeCloseTo(weightedK / 11.5, 9);
    expect(mu.worstNmm).toBeCloseTo(worst, 6);
    const product = fitDrag(taken, stack, { known: false, lever }, path, "uniform-wear");
    expect(product.value).toBeCloseTo((100 * weightedK) / 11.5, 6);
    expect(product.worstNmm).toBeCloseTo(worst, 6);
  });

  it("ends at the most a washer can have, open above", () => {
    const hard = taken.map((pull) => ({ ...pull, pullN: 50 * pull.pullN }));
    expect(fitDrag(hard, stack, { known: true, lever }, path, "uniform-wear")).toMatchObject({
      value: 1.5,
      low: 1.5,
      high: Number.POSITIVE_INFINITY,
    });
    const single = fitDrag(taken.slice(0, 1), stack, { known: true, lever }, path, "uniform-wear");
    expect(single.low).toBe(0);
    expect(single.high).toBe(Number.POSITIVE_INFINITY);
    // Nothing was pulled at all.
    const none = fitDrag(
      taken.map((pull) => ({ ...pull, pullN: 0.1 })),
      stack,
      { known: true, lever },
      path,
      "uniform-wear",
    );
    expect(none.value).toBe(0);
  });

  it("finds a coefficient also where a known face would slip before a higher one", () => {
    const beside: DragElement[] = [stack[0]!, { ...stack[1]!, mu: 0.05, known: true }, stack[1]!, stack[2]!];
    const weak = taken.map((pull) => ({ ...pull, pullN: ((0.03 * 11.5 * 100 * (pull.setting / 30)) / 2.4 + 10) / 20 }));
    expect(fitDrag(weak, beside, { known: true, lever }, path, "uniform-wear").value).toBeCloseTo(0.03, 9);
  });
});

describe("what a fitted drag says", () => {
  const fitted = (low: number, value: number, high: number, of: DragFit["of"] = "mu"): DragFit => ({ of, value, low, high, worstNmm: 0 });
  const says = (...by: Parameters<typeof dragVerdict>) => dragVerdict(...by);

  it("of its product: nested above two and a half times what it should gain, oily under half", () => {
    const times = (value: number) => says(fitted(0, value, 99, "product"), null, null, 10);
    expect(times(26)).toEqual({
      says: "nested tension washers",
      because: expect.stringMatching(/^it gains 2\.6 times as much .* about four times$/),
    });
    expect(times(25)).toEqual({ says: "as it should be", because: "it gains 2.5 times what it should per turn" });
    expect(times(5)).toMatchObject({ says: "as it should be" });
    expect(times(4.9)).toEqual({ says: "oily", because: "it gains 0.5 times what it should per turn" });
    expect(says(fitted(0, 5, 9, "product"), "PTFE", 9, null)).toEqual({
      says: "not clear",
      because: expect.stringMatching(/without the spring sizes/),
    });
  });

  it("of its start: dry or glazed above 1.3 times its running pull", () => {
    expect(says(fitted(0.3, 0.4, 0.5), "leather, dry", 1.31, null)).toEqual({
      says: "dry or glazed",
      because: "it starts at 1.31 times its running pull",
    });
    for (const startPeak of [1.3, 1, null])
      expect(says(fitted(0.3, 0.4, 0.5), "leather, dry", startPeak, null).says).toBe("as it should be");
  });

  it("of its coefficient: outside its material's range with the whole interval, or nothing", () => {
    // Leather, dry: 0.3 to 0.5.
    expect(says(fitted(0.1, 0.2, 0.29), "leather, dry", null, null)).toEqual({
      says: "oily",
      because: "coefficient 0.20, under the 0.3 to 0.5 of leather, dry",
    });
    expect(says(fitted(0.1, 0.2, 0.3), "leather, dry", null, null)).toEqual({
      says: "as it should be",
      because: "coefficient 0.20 within the 0.3 to 0.5 of leather, dry",
    });
    expect(says(fitted(0.51, 0.6, 0.7), "leather, dry", null, null)).toEqual({
      says: "dry or glazed",
      because: "coefficient 0.60, above the 0.3 to 0.5 of leather, dry",
    });
    expect(says(fitted(0.5, 0.6, 0.7), "leather, dry", null, null).says).toBe("as it should be");
    expect(says(fitted(0.1, 0.2, 0.3), null, null, null)).toEqual({
      says: "not clear",
      because: expect.stringMatching(/no range is known/),
    });
  });
});
