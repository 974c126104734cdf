import { describe, expect, it } from "vitest";
import { comeEvenly, envelopeHz, envelopeOf, lineOverFloor, overtonesOverFloor, turningPart } from "./handle-orders";

describe("how loud it is along a recording", () => {
  it("is the mean step of a five-hundredth of a second, about the mean of all", () => {
    expect(envelopeHz).toBe(500);
    const sound = [0, 1, 1, 1, 0, 0, 0, 0, 2, 2];
    // Steps 1 0 0 1 0 0 0 2 0 after the first sample; two samples a window: 1/2, 0, 1/2, 0, 2/2, mean 0.4.
    const loud = envelopeOf({ sound, rate: 1000 });
    expect(Array.from(loud, (x) => Number(x.toFixed(12)))).toEqual([0.1, -0.4, 0.1, -0.4, 0.6]);
  });

  it("takes windows that are no whole number of samples as they fall", () => {
    // 2.5 samples a window: 0 to 2, to 5, to 7, to 10 with two, three, two and three samples.
    const loud = envelopeOf({ sound: [0, 1, 1, 1, 0, 0, 0, 0, 2, 2], rate: 1250 });
    const [a, b, c, d] = [1 / 2, 1 / 3, 0, 2 / 3];
    const mean = (a + b + c + d) / 4;
    for (const [i, x] of [a, b, c, d].entries()) expect(loud[i]).toBeCloseTo(x - mean, 12);
    expect(loud).toHaveLength(4);
  });
});

describe("the part in which the handle turns", () => {
  /** Stretches of a tenth of a second, ten samples each, as loud as told. */
  const sounding = (...louds: number[]) => ({
    sound: louds.flatMap((loud) => Array.from({ length: 10 }, (_, i) => (i % 2 ? loud : -loud))),
    rate: 100,
  });
  const many = (count: number, loud: number) => Array.from({ length: count }, () => loud);
  const length = (recording: ReturnType<typeof sounding>) => turningPart(recording).sound.length / 10;

  it("is without the still room before and after, where one knock is no turning", () => {
    expect(length(sounding(...many(5, 0.01), ...many(20, 0.1), ...many(8, 0.01)))).toBe(20);
    expect(length(sounding(...many(3, 0.01), 0.5, ...many(4, 0.01), ...many(20, 0.1), ...many(4, 0.01), 0.3, ...many(3, 0.01)))).toBe(20);
    // A breath on its way belongs to it.
    expect(length(sounding(...many(5, 0.01), ...many(10, 0.1), 0.01, ...many(10, 0.1), ...many(5, 0.01)))).toBe(21);
    const part = turningPart(sounding(...many(5, 0.01), ...many(20, 0.1)));
    expect([part.rate, part.sound[0], part.sound[1]]).toEqual([100, -0.1, 0.1]);
  });

  it("is all of it at an end where ticks sound alone, every third stretch", () => {
    const ticking = Array.from({ length: 18 }, (_, n) => (n % 3 ? 0.01 : 0.1));
    expect(length(sounding(...ticking, ...many(30, 0.1), ...many(6, 0.01)))).toBe(48);
    expect(length(sounding(...many(6, 0.01), ...many(30, 0.1), ...ticking))).toBe(48);
  });

  it("is all of it where it is not much louder than still, or most of it is", () => {
    expect(length(sounding(...many(5, 0.1), ...many(20, 0.15), ...many(5, 0.1)))).toBe(30);
    expect(length(sounding(...many(5, 0.1), ...many(20, 0.17), ...many(5, 0.1)))).toBe(20);
    expect(length(sounding(...many(20, 0.1)))).toBe(20);
    expect(length(sounding(...many(16, 0.01), ...many(14, 0.1)))).toBe(30);
  });
});

describe("a line over what lies around it", () => {
  /** Bins of 1 Hz whose power is their own number, but for some. */
  const spectrum = (changes: Readonly<Record<number, number>> = {}, length = 40) => ({
    hzPerBin: 1,
    power: Float64Array.from({ length }, (_, k) => changes[k] ?? k),
  });
  // At 15 Hz the line is bins 13 to 17; around lie 3 to 11 and 19 to 27, eighteen of them, the tenth is bin 19.

  it("is the strongest bin within its width against the middle of the others", () => {
    for (const at of [13, 15, 17]) expect(lineOverFloor(spectrum({ [at]: 1900 }), 15)).toBeCloseTo(20, 12);
    expect(lineOverFloor(spectrum({ 12: 1e9, 15: 190, 18: 1e9 }), 15)).toBeCloseTo(10, 12);
  });

  it("looks six widths around and no further, and not at the line's own skirts", () => {
    expect(lineOverFloor(spectrum({ 2: 0, 15: 1900, 28: 0 }), 15)).toBeCloseTo(20, 12);
    expect(lineOverFloor(spectrum({ 12: 0, 15: 1900, 18: 0 }), 15)).toBeCloseTo(20, 12);
    // Two more that are low at its ends move the middle by two bins, to 10.
    expect(lineOverFloor(spectrum({ 19: 0, 15: 1000, 27: 0 }), 15)).toBeCloseTo(20, 12);
  });

  it("is as wide as a hand turns unevenly, six in a hundred, two bins at least", () => {
    // At 50 Hz three bins: 47 to 53, around from 32 to 45 and 55 to 68; the middle of the twenty-eight is bin 55.
    expect(lineOverFloor(spectrum({ 47: 5500 }, 80), 50)).toBeCloseTo(20, 12);
    expect(lineOverFloor(spectrum({ 46: 1e9, 54: 1e9, 53: 5500 }, 80), 50)).toBeCloseTo(20, 12);
    // The same in bins of half a hertz.
    expect(lineOverFloor({ ...spectrum({ 53: 5500 }, 80), hzPerBin: 0.5 }, 25)).toBeCloseTo(20, 12);
  });

  it("is not told where the spectrum does not reach far enough", () => {
    expect(lineOverFloor(spectrum({}, 28), 15)).toBeGreaterThan(-10);
    expect(lineOverFloor(spectrum({}, 27), 15)).toBe(Number.NEGATIVE_INFINITY);
    expect(lineOverFloor(spectrum(), 1)).toBe(Number.NEGATIVE_INFINITY);
    // At 2 Hz it begins at the first bin: the standing level is no part of it.
    expect(lineOverFloor(spectrum({ 0: 1e9, 1: 1000 }), 2)).toBeCloseTo(20, 12);
  });

  it("is nothing over a floor of nothing", () => {
    expect(lineOverFloor({ hzPerBin: 1, power: new Float64Array(40) }, 15)).toBe(0);
  });
});

describe("a tick with its overtones", () => {
  it("is the mean of the six of them without the highest", () => {
    const power = new Float64Array(800).fill(1);
    // 10, 20 … 60 dB at the overtones of 15 Hz.
    for (let k = 1; k <= 7; k++) power[15 * k] = 10 ** k;
    expect(overtonesOverFloor({ hzPerBin: 1, power }, 15)).toBeCloseTo(30, 12);
  });

  it("is of those alone that the spectrum reaches", () => {
    const power = new Float64Array(60).fill(1);
    for (let k = 1; k <= 3; k++) power[15 * k] = 10 ** k;
    // 45 Hz wants bins up to 63.
    expect(overtonesOverFloor({ hzPerBin: 1, power }, 15)).toBeCloseTo(10, 12);
    // Of one alone there is nothing to leave out.
    expect(overtonesOverFloor({ hzPerBin: 1, power: power.subarray(0, 40) }, 15)).toBeCloseTo(10, 12);
    expect(overtonesOverFloor({ hzPerBin: 1, power }, 50)).toBe(Number.NEGATIVE_INFINITY);
  });
});

describe("ticks counted one by one", () => {
  const even = (count: number, apart = 0.5, loud = 1) => Array.from({ length: count }, (_, i) => ({ t: 3 + i * apart, loud }));

  it("are as many as should come, give or take fifteen in a hundred and one", () => {
    for (const count of [16, 20, 24]) expect(comeEvenly(even(count), 20, 0.5), String(count)).toBe(true);
    for (const count of [15, 25]) expect(comeEvenly(even(count), 20, 0.5), String(count)).toBe(false);
  });

  it("are five at least", () => {
    expect(comeEvenly(even(4), 4, 0.5)).toBe(false);
    expect(comeEvenly(even(5), 5, 0.5)).toBe(true);
  });

  it("come at the distance they should, in whatever order they are told", () => {
    expect(comeEvenly(even(20, 0.56), 20, 0.5)).toBe(true);
    expect(comeEvenly(even(20, 0.44).reverse(), 20, 0.5)).toBe(true);
    expect(comeEvenly(even(20, 0.6), 20, 0.5)).toBe(false);
    // A recording that goes on after the hand has stopped makes them look closer than they should.
    expect(comeEvenly(even(20, 0.31), 20, 0.5)).toBe(true);
    expect(comeEvenly(even(20, 0.29), 20, 0.5)).toBe(false);
    expect(comeEvenly(even(20, 2), 20, 0.5)).toBe(false);
  });

  describe("among those of the mesh", () => {
    /** Forty ticks between them, all of them softer, from 0.5 to 0.89 of one. */
    const mesh = Array.from({ length: 40 }, (_, i) => ({ t: 3.11 + i * 0.2, loud: 0.5 + i * 0.01 }));

    it("are the loudest, as many as should come", () => {
      expect(comeEvenly([...mesh, ...even(12, 0.5, 2)], 12, 0.5)).toBe(true);
      expect(comeEvenly([...mesh, ...even(12, 0.8, 2)], 12, 0.5)).toBe(false);
    });

    it("stand out by half of what nearly all others have", () => {
      // Nineteen of twenty others lie under 0.87.
      expect(comeEvenly([...mesh, ...even(12, 0.5, 1.32)], 12, 0.5)).toBe(true);
      expect(comeEvenly([...mesh, ...even(12, 0.5, 1.29)], 12, 0.5)).toBe(false);
    });

    it("are eight at least, for a few stand evenly by chance", () => {
      expect(comeEvenly([...mesh, ...even(8, 0.5, 2)], 8, 0.5)).toBe(true);
      expect(comeEvenly([...mesh, ...even(7, 0.5, 2)], 7, 0.5)).toBe(false);
    });
  });
});
