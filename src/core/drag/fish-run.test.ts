import { describe, expect, it } from "vitest";
import { Solver } from "#tests/odex";
import { type FishRun, fishRun, runFault, walkRun } from "./fish-run";

const run = (change: Partial<FishRun> = {}): FishRun => ({
  pieces: [{ seconds: 20, metresPerSecond: 4 }],
  spoolTorqueNmm: 1200,
  arborRadiusMm: 12,
  fullRadiusMm: 26,
  capacityM: 300,
  outM: 0,
  heatCapacityJPerK: 25,
  lossWPerK: 0.8,
  ambientC: 18,
  ...change,
});

describe("the heat of a run", () => {
  it("follows the exponential of a constant power (closed form)", () => {
    // A ring so thin that the pull does not change: dT/dt = (P − hA·(T − Ta))/C.
    const thin = run({ arborRadiusMm: 25.999999 });
    const power = (1200 / 26) * 4;
    const exact = 18 + (power / 0.8) * (1 - Math.exp((-0.8 * 20) / 25));
    expect(fishRun(thin).points.at(-1)!.washerC).toBeCloseTo(exact, 3);
  });

  it("agrees with an independent integrator over a run of three speeds (odex, Bulirsch–Stoer)", () => {
    const pieces = [
      { seconds: 6, metresPerSecond: 7 },
      { seconds: 10, metresPerSecond: 0 },
      { seconds: 15, metresPerSecond: 3 },
    ];
    const mine = fishRun(run({ pieces })).points.at(-1)!;
    let state = [0, 18];
    let at = 0;
    for (const { seconds, metresPerSecond: v } of pieces) {
      const rate = (_t: number, [out, temp]: number[]) => {
        const r = Math.sqrt(144 + (676 - 144) * (1 - out! / 300));
        return [v, ((1200 / r) * v - 0.8 * (temp! - 18)) / 25];
      };
      state = new Solver(2).solve(rate, at, state, at + seconds).y;
      at += seconds;
    }
    expect(mine.outM).toBeCloseTo(state[0]!, 6);
    expect(mine.washerC).toBeCloseTo(state[1]!, 4);
  });

  it("refuses figures so stiff that the walk would run away, and walks those that are not", () => {
    for (const [heatCapacityJPerK, lossWPerK] of [
      [0.01, 5],
      [1e-6, 0.001],
      [25, Number.POSITIVE_INFINITY],
    ] as const)
      expect(runFault(run({ heatCapacityJPerK, lossWPerK })), `${heatCapacityJPerK} ${lossWPerK}`).not.toBeNull();
    for (const [heatCapacityJPerK, lossWPerK] of [
      [1, 19],
      [25, 0.8],
      [0.2, 3],
    ] as const) {
      const stiff = run({ heatCapacityJPerK, lossWPerK });
      expect(runFault(stiff)).toBeNull();
      const { hottestC } = fishRun(stiff);
      // Never hotter than where loss and power balance.
      expect(hottestC).toBeGreaterThan(18);
      expect(hottestC).toBeLessThanOrEqual(18 + ((1200 / 12) * 4) / lossWPerK);
    }
  });

  it("keeps its books: the energy put in is what the washers hold and what they lost", () => {
    const { points, energyJ } = fishRun(run(), 0.01);
    const held = 25 * (points.at(-1)!.washerC - 18);
    const lost = points
      .slice(1)
      .reduce((sum, p, i) => sum + 0.8 * ((p.washerC + points[i]!.washerC) / 2 - 18) * (p.seconds - points[i]!.seconds), 0);
    expect(held + lost).toBeCloseTo(energyJ, 1);
  });

  it("has its energy exact where the power changes: the pull along the line, summed by itself (Simpson's rule)", () => {
    const pieces = [
      { seconds: 3, metresPerSecond: 9 },
      { seconds: 7, metresPerSecond: 0.5 },
      { seconds: 2, metresPerSecond: 6 },
    ];
    const end = 3 * 9 + 7 * 0.5 + 2 * 6;
    const n = 2000;
    let sum = 0;
    for (let i = 0; i <= n; i++) {
      const radius = Math.sqrt(144 + 532 * (1 - (end * i) / n / 300));
      sum += (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * (1200 / radius);
    }
    const exact = (sum * (end / n)) / 3;
    // However coarse the steps.
    for (const step of [0.05, 1]) expect(fishRun(run({ pieces }), step).energyJ).toBeCloseTo(exact, 6);
  });

  it("ends at the moment the spool is bare, not a step later", () => {
    const last = fishRun(run({ pieces: [{ seconds: 200, metresPerSecond: 7 }] }), 0.5).points.at(-1)!;
    expect(last.seconds).toBeCloseTo(300 / 7, 9);
    expect(last.outM).toBe(300);
  });

  it("pulls harder as the spool is drawn down, and ends when it is bare", () => {
    const long = fishRun(run({ pieces: [{ seconds: 200, metresPerSecond: 4 }] }));
    expect(long.bare).toBe(true);
    const last = long.points.at(-1)!;
    expect(last.outM).toBe(300);
    expect(last.radiusMm).toBeCloseTo(12, 9);
    expect(long.mostPullN).toBeCloseTo(100, 6);
    for (let i = 1; i < long.points.length; i++) expect(long.points[i]!.pullN).toBeGreaterThanOrEqual(long.points[i - 1]!.pullN);
  });

  it("can be stopped between steps", () => {
    const walk = walkRun(run());
    for (let i = 0; i < 5; i++) walk.next();
    expect(walk.return(undefined as never).done).toBe(true);
    expect(walk.next().done).toBe(true);
  });

  it.each([
    [{ spoolTorqueNmm: -1 }, "spoolTorqueNmm"],
    [{ arborRadiusMm: 30 }, "fullRadiusMm"],
    [{ capacityM: Number.NaN }, "capacityM"],
    [{ outM: 400 }, "outM"],
    [{ pieces: [] }, "pieces"],
    [{ pieces: [{ seconds: 2, metresPerSecond: 400 }] }, "pieces"],
    [{ lossWPerK: -2 }, "lossWPerK"],
  ] as const)("refuses %j at %s", (change, field) => expect(runFault(run(change as Partial<FishRun>))?.field).toBe(field));
  it("has nothing against a run that can be", () => expect(runFault(run())).toBeNull());
});

describe("a fish's run", () => {
  const fault = (change: Partial<FishRun>) => runFault(run(change));
  const piece = (seconds: number, metresPerSecond: number) =>
    fault({
      pieces: [
        { seconds: 5, metresPerSecond: 2 },
        { seconds, metresPerSecond },
      ],
    });

  it("is refused at its field, with why", () => {
    for (const field of ["spoolTorqueNmm", "arborRadiusMm", "capacityM", "heatCapacityJPerK"] as const)
      expect(fault({ [field]: 0 })).toEqual({ field, message: "A number above 0." });
    expect(fault({ arborRadiusMm: 26 })).toEqual({ field: "fullRadiusMm", message: expect.stringMatching(/wider than its arbor/) });
    for (const ambientC of [-40.1, 60.1, Number.NaN])
      expect(fault({ ambientC })).toEqual({ field: "ambientC", message: expect.stringMatching(/−40 to 60/) });
    expect(fault({ lossWPerK: -0.1 })).toEqual({ field: "lossWPerK", message: "A number from 0 up." });
    for (const outM of [-1, 300.1])
      expect(fault({ outM })).toEqual({ field: "outM", message: expect.stringMatching(/no more than the spool holds/) });
    for (const [seconds, speed] of [
      [0, 2],
      [3600.1, 2],
      [5, -0.1],
      [5, 40.1],
      [Number.NaN, 2],
    ] as const)
      expect(piece(seconds, speed)).toEqual({ field: "pieces", message: expect.stringMatching(/seconds above 0/) });
  });

  it("may be at each of its limits", () => {
    for (const change of [{ ambientC: -40 }, { ambientC: 60 }, { lossWPerK: 0 }, { outM: 300 }, { outM: 0 }])
      expect(fault(change)).toBeNull();
    expect(piece(3600, 0)).toBeNull();
    expect(piece(0.1, 40)).toBeNull();
  });

  it("is walked in even steps, its power the pull times the speed", () => {
    const { points, bare } = fishRun(run());
    expect(points).toHaveLength(401);
    expect(bare).toBe(false);
    for (const { seconds, outM, pullN, powerW } of points) {
      expect(outM).toBeCloseTo(4 * seconds, 9);
      expect(powerW).toBeCloseTo(4 * pullN, 9);
    }
    expect(points[0]!.powerW).toBeCloseTo((4 * 1200) / 26, 9);
  });

  it("is hottest where it was hottest, not where it ends", () => {
    const { hottestC, points } = fishRun(
      run({
        pieces: [
          { seconds: 20, metresPerSecond: 4 },
          { seconds: 200, metresPerSecond: 0 },
        ],
      }),
    );
    expect(points.at(-1)!.washerC).toBeLessThan(hottestC - 20);
    expect(hottestC).toBeCloseTo(fishRun(run()).points.at(-1)!.washerC, 9);
  });

  it("ends when the line that was left is out, whatever pieces follow", () => {
    const { points, bare } = fishRun(
      run({
        outM: 100,
        pieces: [
          { seconds: 50, metresPerSecond: 4 },
          { seconds: 50, metresPerSecond: 4 },
        ],
      }),
    );
    // 200 m at 4 m/s are 50 s, which is where the first piece ends.
    expect(bare).toBe(true);
    expect(points).toHaveLength(1001);
    expect(points.at(-1)!.seconds).toBeCloseTo(50, 9);
    expect(points[1]!.outM).toBeCloseTo(100.2, 9);
    const early = fishRun(
      run({
        outM: 100,
        pieces: [
          { seconds: 60, metresPerSecond: 4 },
          { seconds: 50, metresPerSecond: 4 },
        ],
      }),
    );
    expect(early.points.at(-1)!.seconds).toBeCloseTo(50, 9);
  });
});
