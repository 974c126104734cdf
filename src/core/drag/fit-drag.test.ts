import fc from "fast-check";
import { linearRegression } from "simple-statistics";
import { describe, expect, it } from "vitest";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { type LeverDrag, leverForce, type Star, starForce } from "./adjusters";
import { capacityNmm, type DragElement } from "./capacity";
import { stackOf } from "./disc-springs";
import { dragLimit } from "./drag-limit";
import { dragAdvice, dragShares, dragVerdict, fitDrag, throughOrigin } from "./fit-drag";

const disc = { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 };
const star = (ups: boolean[]): Star & { known: true } => ({
  known: true,
  pitchMm: 0.75,
  springs: stackOf(ups.map((up) => ({ disc, up }))),
  stackStiffnessNPerMm: 4000,
  endStopTurns: 2.5,
});
const stack = (mu: number): DragElement[] =>
  Array.from({ length: 7 }, (_, i) =>
    i % 2
      ? { member: "none", outsideMm: 31, insideMm: 9, mu }
      : { member: i % 4 ? "sleeve" : "gear", outsideMm: 31, insideMm: 9, mu: null },
  );
const path = { ratio: 3, efficiency: 0.9, lossNmm: 15 };
const turnsTaken = [0.25, 0.5, 0.75, 1, 1.25];

/** Pulls a drag of this coefficient gives, each at its own line radius, with a little scatter. */
const pulls = (mu: number, noise: (i: number) => number = () => 0, taken: readonly number[] = turnsTaken) =>
  taken.map((turns, i) => {
    const lineRadiusMm = 24 - i;
    const torque =
      capacityNmm(stack(mu), starForce(star([true, false]), turns).forceN, "uniform-pressure") / (path.ratio * path.efficiency) +
      path.lossNmm;
    return { setting: turns, lineRadiusMm, pullN: (torque / lineRadiusMm) * (1 + noise(i)) };
  });

describe("least squares through the origin", () => {
  it("has the slope an independent package finds (simple-statistics)", () => {
    const x = [1, 2, 3.5, 5];
    const y = [2.1, 3.9, 7.2, 9.8];
    // Points and their mirror through the origin: the common line of both passes through it.
    const mirrored = x.flatMap((v, i) => [
      [v, y[i]!],
      [-v, -y[i]!],
    ]);
    const { m, b } = linearRegression(mirrored);
    expect(b).toBeCloseTo(0, 12);
    expect(throughOrigin(x, y).k).toBeCloseTo(m, 12);
  });
});

describe("what measured pulls say", () => {
  it("finds the coefficient it was made with, at any line radius", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.5, noNaN: true }), (mu) => {
        const fit = fitDrag(pulls(mu), stack(0.2), star([true, false]), path, "uniform-pressure");
        expect(fit.of).toBe("mu");
        expect(fit.value).toBeCloseTo(mu, 6);
      }),
    );
  });

  it.skipIf(mutating)("holds the truth in its interval as often as it says: twelve truths, four numbers of pulls", () => {
    const random = stream(1);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const perCell = 300;
    const one = star([true, false]);
    let all = 0;
    let cells = 0;
    for (const mu of [0.05, 0.08, 0.1, 0.12, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5])
      for (const count of [3, 5, 8, 15]) {
        const turns = Array.from({ length: count }, (_, i) => (1.25 * (i + 1)) / count);
        const exact = pulls(mu, () => 0, turns);
        let held = 0;
        for (let n = 0; n < perCell; n++) {
          // A scale's error: two hundredths of the pull, and its step.
          const read = exact.map((pull) => ({ ...pull, pullN: pull.pullN + Math.hypot(0.02 * pull.pullN, 0.2) * normal() }));
          const { low, high } = fitDrag(read, stack(0.2), one, path, "uniform-pressure");
          if (low <= mu && mu <= high) held++;
        }
        expect(held / perCell, `${mu} by ${count} pulls`).toBeGreaterThan(0.91);
        expect(held / perCell, `${mu} by ${count} pulls`).toBeLessThan(0.98);
        all += held / perCell;
        cells++;
      }
    expect(all / cells).toBeGreaterThan(0.94);
    expect(all / cells).toBeLessThan(0.96);
  });

  it("weighs each pull by how well a scale reads it, as reckoned by hand: 2 % and 0.2 N, at the spool", () => {
    // One gap, one washer, travel alone: torque = μ·k × radius × travel. Three pulls that do not agree.
    const one: DragElement[] = [
      { member: "gear", outsideMm: 40, insideMm: 20, mu: null },
      { member: "none", outsideMm: 40, insideMm: 20, mu: 0.2 },
      { member: "sleeve", outsideMm: 40, insideMm: 20, mu: null },
    ];
    const radiusMm = ((2 / 3) * (20 ** 3 - 10 ** 3)) / (20 ** 2 - 10 ** 2);
    const taken = [
      { setting: 1, pullN: 5, lineRadiusMm: 20 },
      { setting: 4, pullN: 19, lineRadiusMm: 20 },
      { setting: 10, pullN: 52, lineRadiusMm: 18 },
    ];
    const fit = fitDrag(taken, one, { known: false, pitchMm: 0.5 }, { ratio: 1, efficiency: 1, lossNmm: 4 }, "uniform-pressure");
    const rows = taken.map(({ setting, pullN, lineRadiusMm }) => {
      const weight = 1 / (Math.sqrt((0.02 * pullN) ** 2 + 0.2 ** 2) * lineRadiusMm) ** 2;
      return { x: setting * 0.5 * radiusMm, y: pullN * lineRadiusMm - 4, weight };
    });
    const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((all, row) => all + of(row), 0);
    const k = sum(({ x, y, weight }) => weight * x * y) / sum(({ x, weight }) => weight * x * x);
    expect(fit.value).toBeCloseTo(k, 9);
    // 95 % of two freedoms: Student's t is 4.302653 (published table).
    const error = 4.302653 * Math.sqrt(sum(({ x, y, weight }) => weight * (y - k * x) ** 2) / 2 / sum(({ x, weight }) => weight * x * x));
    expect(fit.low).toBeCloseTo(k - error, 5);
    expect(fit.high).toBeCloseTo(k + error, 5);
    expect(fit.worstNmm).toBeCloseTo(Math.max(...rows.map(({ x, y }) => Math.abs(y - k * x))), 6);
  });

  it("leaves a coefficient that is known as it is, and says so where another face slips first", () => {
    // One washer of felt known at 0.22, two looked for.
    const mixed = (mu: number) => stack(mu).map((element, i) => (i === 1 ? { ...element, mu: 0.22, known: true } : element));
    const made = (mu: number) =>
      turnsTaken.map((turns) => ({
        setting: turns,
        lineRadiusMm: 22,
        pullN: (capacityNmm(mixed(mu), starForce(star([true, false]), turns).forceN, "uniform-pressure") / 2.7 + 15) / 22,
      }));
    const fit = fitDrag(made(0.12), mixed(0.5), star([true, false]), path, "uniform-pressure");
    expect(fit.value).toBeCloseTo(0.12, 6);
    // All taken for one they would be between.
    const blurred = fitDrag(made(0.12), stack(0.5), star([true, false]), path, "uniform-pressure");
    expect(blurred.value).toBeGreaterThan(0.14);
    const known = stack(0.2).map((element) => ({ ...element, known: true }));
    expect(() => fitDrag(made(0.12), known, star([true, false]), path, "uniform-pressure")).toThrow(/none to be found/);
    expect(fitDrag(made(0.12).slice(0, 1), mixed(0.5), star([true, false]), path, "uniform-pressure").high).toBe(Number.POSITIVE_INFINITY);
  });

  it("tells only the product where the springs are not known, and that nested washers give near four times of it", () => {
    const small = [0.05, 0.1, 0.15];
    const rigid = (ups: boolean[]) => ({ ...star(ups), stackStiffnessNPerMm: 1e9 });
    const of = (ups: boolean[]) =>
      fitDrag(
        small.map((turns) => ({
          setting: turns,
          lineRadiusMm: 20,
          pullN: (capacityNmm(stack(0.2), starForce(rigid(ups), turns).forceN, "uniform-pressure") / 2.7 + 15) / 20,
        })),
        stack(0.2),
        { known: false, pitchMm: 0.75 },
        path,
        "uniform-pressure",
      );
    const [opposed, nested] = [of([true, false]), of([true, true])];
    expect(opposed.of).toBe("product");
    expect(nested.value / opposed.value).toBeGreaterThan(3.4);
    expect(dragVerdict(nested, null, null, opposed.value)).toMatchObject({ says: "nested tension washers" });
    expect(dragVerdict(opposed, null, null, null).says).toBe("not clear");
  });

  it("fits pulls taken at places of a lever, and leaves out what was taken in free spool", () => {
    const lever: LeverDrag = {
      stiffnessNPerMm: 900,
      cam: [
        { degrees: 0, riseMm: 0 },
        { degrees: 120, riseMm: 0.7 },
      ],
      knobPitchMm: 0.5,
      knobTurns: 0.2,
      gapMm: 0.2,
    };
    // By hand: a straight cam rises 0.7/120 mm a degree; 0.1 mm of it closes what the knob leaves open, so it presses from 17.1° on.
    const forceByHand = (degrees: number) => Math.max(0, 900 * ((0.7 * degrees) / 120 - 0.1));
    const plates: DragElement[] = [
      { member: "gear", outsideMm: 50, insideMm: 30, mu: null },
      { member: "none", outsideMm: 50, insideMm: 30, mu: 0.2 },
      { member: "sleeve", outsideMm: 50, insideMm: 30, mu: null },
    ];
    const meanRadiusMm = ((2 / 3) * (25 ** 3 - 15 ** 3)) / (25 ** 2 - 15 ** 2);
    const onSpool = { ratio: 1, efficiency: 1, lossNmm: 0 };
    const taken = [10, 40, 80, 120].map((setting) => ({
      setting,
      lineRadiusMm: 20,
      pullN: (0.13 * meanRadiusMm * forceByHand(setting)) / 20,
    }));
    expect(leverForce(lever, 80)).toBeCloseTo(forceByHand(80), 6);
    const fit = fitDrag(taken, plates, { known: true, lever }, onSpool, "uniform-pressure");
    expect(fit.value).toBeCloseTo(0.13, 6);
    const product = fitDrag(taken, plates, { known: false, lever }, onSpool, "uniform-pressure");
    expect(product.of).toBe("product");
    expect(product.value).toBeCloseTo(0.13 * 900, 4);
    expect(() => fitDrag(taken.slice(0, 1), plates, { known: true, lever }, onSpool, "uniform-pressure")).toThrow(/free spool/);
  });

  it("says dry, oily or right only outside the whole interval, and nothing of carbon", () => {
    const fitted = (mu: number) => fitDrag(pulls(mu), stack(0.2), star([true, false]), path, "uniform-pressure");
    expect(dragVerdict(fitted(0.4), "leather, dry", null, null).says).toBe("as it should be");
    expect(dragVerdict(fitted(0.12), "leather, dry", null, null).says).toBe("oily");
    expect(dragVerdict(fitted(0.6), "leather, dry", null, null).says).toBe("dry or glazed");
    expect(dragVerdict(fitted(0.4), "leather, dry", 1.5, null).says).toBe("dry or glazed");
    expect(dragVerdict(fitted(0.2), null, null, null).says).toBe("not clear");
  });

  it("refuses what it cannot tell from", () => {
    expect(() => fitDrag([{ setting: 0, pullN: 3, lineRadiusMm: 20 }], stack(0.2), star([true, false]), path, "uniform-wear")).toThrow(
      /star on/,
    );
    expect(() => fitDrag(pulls(0.2), [], star([true, false]), path, "uniform-wear")).toThrow(/slips nowhere/);
  });

  it("advises a quarter of the line at the strike and never more than a third (common practice)", () => {
    expect(dragAdvice(100, "usual").strikeN).toBe(25);
    expect(dragAdvice(100, "usual").mostN).toBeCloseTo(33.3, 1);
    for (const share of Object.values(dragShares)) expect(share).toBeLessThanOrEqual(dragLimit.share);
  });
});
