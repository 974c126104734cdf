import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bruteForce } from "./brute-force";
import { type Cause, checkNet, type Evidence, type Net, type Weight } from "./net";
import { binaryEntropy, testValues } from "./next-test";
import { combinations, groupAbsence, posterior } from "./posterior";

const cause = (prior: number, ...strengths: number[]): Cause => ({ alternatives: [{ prior, strengths }] });
const seen: Weight = [0, 1];
const notSeen: Weight = [1, 0];
const evidence = (...rows: [number, Weight][]): Evidence => new Map(rows);
const close = (a: number, b: number, digits = 6) => expect(a).toBeCloseTo(b, digits);

// AIMA 3rd ed. sec. 14.3: inhibition of fever by cold 0.6, flu 0.2, malaria 0.1.
const strengths = { cold: 0.4, flu: 0.8, malaria: 0.9 };
const feverWith = (cold: number, flu: number, malaria: number): Net => ({
  causes: [cause(cold, strengths.cold), cause(flu, strengths.flu), cause(malaria, strengths.malaria)],
  leaks: [0],
});

describe("the noisy OR of the textbook", () => {
  it.each([
    [0, 0, 0, 1.0],
    [0, 0, 1, 0.1],
    [0, 1, 0, 0.2],
    [0, 1, 1, 0.02],
    [1, 0, 0, 0.6],
    [1, 0, 1, 0.06],
    [1, 1, 0, 0.12],
    [1, 1, 1, 0.012],
  ])("cold %i, flu %i, malaria %i: no fever with %f (Russell & Norvig, AIMA 3rd ed. sec. 14.3)", (c, f, m, none) => {
    close(posterior(feverWith(c, f, m), evidence([0, notSeen])).evidence, none, 12);
  });

  it("given fever and given none, with the priors 0.1, 0.05, 0.01 (by enumeration of the eight worlds)", () => {
    const net = feverWith(0.1, 0.05, 0.01);
    const fever = posterior(net, evidence([0, seen]));
    close(fever.evidence, 0.0866944, 7);
    expect(fever.causes.map(([p]) => Number(p!.toFixed(6)))).toEqual([0.495054, 0.467001, 0.104717]);
    expect(posterior(net, evidence([0, notSeen])).causes.map(([p]) => Number(p!.toPrecision(6)))).toEqual([0.0625, 0.0104167, 0.00100908]);
    // Explaining away: flu known, a cold and malaria fall back.
    const withFlu = posterior(feverWith(0.1, 1, 0.01), evidence([0, seen]));
    close(withFlu.causes[0]![0]!, 0.108812);
    close(withFlu.causes[2]![0]!, 0.0121127);
  });

  it("with a leak of 0.05 a fever has no cause in 5 of 100, and all three give 0.9886", () => {
    const leaking = (on: number): Net => ({ ...feverWith(on, on, on), leaks: [0.05] });
    close(posterior(leaking(0), evidence([0, seen])).evidence, 0.05, 12);
    close(posterior(leaking(1), evidence([0, seen])).evidence, 0.9886, 12);
  });

  it("reproduces the burglary net (AIMA): both neighbours call, a burglar with 0.284", () => {
    // Alarm with its exact table: burglary and earthquake as the alternatives none, one, the other, both.
    const [b, e] = [0.001, 0.002];
    const alarm: Net = {
      causes: [
        {
          alternatives: [
            { prior: b * (1 - e), strengths: [1 - (1 - 0.94) / (1 - 0.001)] },
            { prior: (1 - b) * e, strengths: [1 - (1 - 0.29) / (1 - 0.001)] },
            { prior: b * e, strengths: [1 - (1 - 0.95) / (1 - 0.001)] },
          ],
        },
      ],
      leaks: [0.001],
    };
    // John calls .90/.05, Mary .70/.01: two observations of one alarm multiply.
    const calls = evidence([0, [0.05 * 0.01, 0.9 * 0.7]]);
    const found = posterior(alarm, calls);
    close(found.causes[0]![0]! + found.causes[0]![2]!, 0.28417, 5);
    // P(j, m, a, not b, not e) = 0.000628.
    const quiet: Net = { ...alarm, causes: [] };
    close((1 - b) * (1 - e) * posterior(quiet, evidence([0, [0, 0.9 * 0.7]])).evidence, 0.000628, 6);
  });

  it("reproduces Bayes' textbook cases with one fault", () => {
    const one = (prior: number): Net => ({ causes: [cause(prior, 1)], leaks: [0] });
    // Mitchell 1997 sec. 6.2.1: 0.21; mammography (Eddy 1982 type): 0.07764.
    close(posterior(one(0.008), evidence([0, [0.03, 0.98]])).causes[0]![0]!, 0.2085, 4);
    close(posterior(one(0.01), evidence([0, [0.096, 0.8]])).causes[0]![0]!, 0.07764, 5);
  });
});

const randomNet = (most: { causes: number; findings: number }) =>
  fc
    .record({ causes: fc.integer({ min: 1, max: most.causes }), findings: fc.integer({ min: 1, max: most.findings }) })
    .chain(({ causes, findings }) => {
      const p = fc.double({ min: 0, max: 1, noNaN: true });
      // Rare faults and faint leaks: the evidence of such a net may have a probability of 1e-30.
      const rare = fc.oneof(p, fc.double({ min: 0, max: 1e-6, noNaN: true }));
      const alternative = fc.record({
        prior: rare.map((x) => x / 2),
        // Most causes reach few findings, so that these join and leave one after the other.
        strengths: fc.array(fc.oneof(p, fc.constant(0)), { minLength: findings, maxLength: findings }),
      });
      return fc.record({
        net: fc.record({
          causes: fc.array(fc.record({ alternatives: fc.array(alternative, { minLength: 1, maxLength: 2 }) }), {
            minLength: causes,
            maxLength: causes,
          }),
          leaks: fc.array(fc.oneof(p, fc.double({ min: 1e-9, max: 1e-6, noNaN: true })), { minLength: findings, maxLength: findings }),
        }),
        weights: fc.array(
          fc.oneof(
            fc.constant(null),
            fc.constant([0, 1] as Weight),
            fc.constant([1, 0] as Weight),
            fc.tuple(fc.double({ min: 0.001, max: 1, noNaN: true }), fc.double({ min: 0.001, max: 1, noNaN: true })),
          ),
          { minLength: findings, maxLength: findings },
        ),
      });
    })
    .map(({ net, weights }): { net: Net; evidence: Evidence } => ({
      net,
      evidence: new Map(weights.flatMap((w, x) => (w ? [[x, w] as const] : []))),
    }));

describe("inference without alternating signs", () => {
  it("equals adding up every world, to ten digits, also for evidence nobody would expect", () => {
    fc.assert(
      fc.property(randomNet({ causes: 6, findings: 6 }), ({ net, evidence: e }) => {
        checkNet(net);
        const exact = bruteForce(net, e);
        fc.pre(exact.evidence > 1e-200);
        const found = posterior(net, e);
        expect(Math.abs(found.evidence / exact.evidence - 1)).toBeLessThan(1e-10);
        for (const [f, row] of found.causes.entries())
          for (const [a, p] of row.entries()) expect(Math.abs(p - exact.causes[f]![a]!)).toBeLessThan(1e-10);
      }),
      { numRuns: 300 },
    );
  });

  it("leaves groups out as if each of their causes were struck by itself", () => {
    fc.assert(
      fc.property(
        randomNet({ causes: 6, findings: 5 }),
        fc.array(fc.nat(2), { minLength: 6, maxLength: 6 }),
        ({ net, evidence: e }, of) => {
          const exact = bruteForce(net, e);
          fc.pre(exact.evidence > 1e-200);
          const groups = [0, 1].map((g) => net.causes.map((_, f) => f).filter((f) => of[f] === g));
          groupAbsence(net, e, groups).forEach((none, g) => {
            expect(Math.abs(none - exact.noneOf(groups[g]!))).toBeLessThan(1e-10);
          });
        },
      ),
    );
  });

  it("gives the likeliest combinations, which add up to one over all subsets and to the marginals", () => {
    fc.assert(
      fc.property(randomNet({ causes: 5, findings: 4 }), ({ net, evidence: e }) => {
        fc.pre(bruteForce(net, e).evidence > 1e-200);
        const all = net.causes.map((_, f) => f);
        const found = combinations(net, e, all, 64);
        close(
          found.reduce((sum, c) => sum + c.probability, 0),
          1,
          9,
        );
        for (let i = 1; i < found.length; i++) expect(found[i]!.probability).toBeLessThanOrEqual(found[i - 1]!.probability);
        posterior(net, e).causes.forEach((row, f) => {
          const there = found.filter((c) => c.causes.includes(f)).reduce((sum, c) => sum + c.probability, 0);
          close(
            row.reduce((sum, p) => sum + p, 0),
            there,
            9,
          );
        });
      }),
    );
  });

  it("is not moved by a question nobody asked, and refuses what cannot be", () => {
    const net: Net = { causes: [cause(0.1, 0.8, 0.5), cause(0.2, 0.3, 0)], leaks: [0.01, 0.02] };
    const one = posterior(net, evidence([0, seen]));
    const same = posterior(net, evidence([0, seen], [1, [0.4, 0.4]]));
    for (const [f, [p]] of one.causes.entries()) close(p!, same.causes[f]![0]!, 12);
    expect(() => posterior({ causes: [], leaks: [0] }, evidence([0, seen]))).toThrow(/cannot bring about/);
    expect(() => checkNet({ causes: [cause(1.2, 0)], leaks: [0] })).toThrow(/no probability/);
    expect(() =>
      checkNet({
        causes: [
          {
            alternatives: [
              { prior: 0.6, strengths: [0] },
              { prior: 0.6, strengths: [0] },
            ],
          },
        ],
        leaks: [0],
      }),
    ).toThrow(/add up/);
    expect(() => checkNet({ causes: [cause(0.1)], leaks: [0] })).toThrow(/strengths/);
  });

  it("keeps its digits where the alternating sum loses them: twelve findings that hardly ever come together", () => {
    const k = 12;
    const faint = Array.from({ length: k }, () => 1e-4);
    const net: Net = {
      causes: [cause(0.01, ...faint), cause(0.02, ...faint.map((q) => q * 2))],
      leaks: Array.from({ length: k }, () => 1e-5),
    };
    const all: Evidence = new Map(Array.from({ length: k }, (_, x) => [x, seen] as const));
    // Worlds of two causes, every finding by itself: closed form.
    const world = (a: number, b: number) => (1 - (1 - 1e-5) * (1 - 1e-4) ** a * (1 - 2e-4) ** b) ** k;
    const z = 0.99 * 0.98 * world(0, 0) + 0.01 * 0.98 * world(1, 0) + 0.99 * 0.02 * world(0, 1) + 0.01 * 0.02 * world(1, 1);
    const found = posterior(net, all);
    expect(found.evidence).toBeLessThan(1e-40);
    expect(Math.abs(found.evidence / z - 1)).toBeLessThan(1e-9);
    expect(Math.abs(found.causes[1]![0]! - (0.99 * 0.02 * world(0, 1) + 0.01 * 0.02 * world(1, 1)) / z)).toBeLessThan(1e-9);
  });
});

describe("the next best test", () => {
  // Quinlan 1986; Mitchell 1997 table 3.2: fourteen days, nine of them yes. A one-fault net gives the textbook's gain.
  const days =
    "sunny hot high weak no;sunny hot high strong no;overcast hot high weak yes;rain mild high weak yes;rain cool normal weak yes;rain cool normal strong no;overcast cool normal strong yes;sunny mild high weak no;sunny cool normal weak yes;rain mild normal weak yes;sunny mild normal strong yes;overcast mild high strong yes;overcast hot normal weak yes;rain mild high strong no"
      .split(";")
      .map((day) => day.split(" "));
  const yes = days.filter((day) => day[4] === "yes");
  const no = days.filter((day) => day[4] === "no");
  const play: Net = { causes: [cause(yes.length / days.length, 1)], leaks: [0] };
  const attribute = (id: string, column: number) => ({
    id,
    finding: 0,
    minutes: 1,
    outcomes: [...new Set(days.map((day) => day[column]!))].map((value) => ({
      id: value,
      weight: [
        no.filter((d) => d[column] === value).length / no.length,
        yes.filter((d) => d[column] === value).length / yes.length,
      ] as Weight,
    })),
  });

  it("gains what Quinlan's table gains: outlook 0.246750, humidity 0.151836, wind 0.048127, temperature 0.029223", () => {
    close(binaryEntropy(9 / 14), 0.940286);
    const tests = [attribute("outlook", 0), attribute("temperature", 1), attribute("humidity", 2), attribute("wind", 3)];
    const values = testValues(play, new Map(), [[0]], tests);
    expect(values.map((value) => [value.id, Number(value.gain.toFixed(6))])).toEqual([
      ["outlook", 0.24675],
      ["humidity", 0.151836],
      ["wind", 0.048127],
      ["temperature", 0.029223],
    ]);
    close(values[0]!.outcomes.find(({ id }) => id === "overcast")!.groups[0]!, 1, 12);
  });

  it("on the sunny branch gains 0.970951, 0.570951 and 0.019973 (Mitchell 1997 sec. 3.4)", () => {
    const sunny = days.filter((day) => day[0] === "sunny");
    const [y, n] = [sunny.filter((d) => d[4] === "yes"), sunny.filter((d) => d[4] === "no")];
    const net: Net = { causes: [cause(y.length / sunny.length, 1)], leaks: [0] };
    const tests = (["temperature", "humidity", "wind"] as const).map((id, i) => ({
      id,
      finding: 0,
      minutes: 1,
      outcomes: [...new Set(sunny.map((d) => d[i + 1]!))].map((value) => ({
        id: value,
        weight: [n.filter((d) => d[i + 1] === value).length / n.length, y.filter((d) => d[i + 1] === value).length / y.length] as Weight,
      })),
    }));
    const gains = Object.fromEntries(testValues(net, new Map(), [[0]], tests).map((value) => [value.id, Number(value.gain.toFixed(6))]));
    expect(gains).toEqual({ humidity: 0.970951, temperature: 0.570951, wind: 0.019973 });
  });

  it("equals the drop worked out outcome by outcome, on random nets, and is never below nothing for one group", () => {
    fc.assert(
      fc.property(
        randomNet({ causes: 5, findings: 5 }),
        fc.nat(4),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        ({ net, evidence: e }, x, hit, alarm) => {
          const finding = x % net.leaks.length;
          const now = bruteForce(net, e);
          fc.pre(now.evidence > 1e-200);
          const groups = [net.causes.map((_, f) => f).filter((f) => f % 2 === 0), net.causes.map((_, f) => f).filter((f) => f % 2 === 1)];
          const outcomes = [
            { id: "yes", weight: [alarm, hit] as Weight },
            { id: "no", weight: [1 - alarm, 1 - hit] as Weight },
          ];
          const [value] = testValues(net, e, groups, [{ id: "t", finding, minutes: 2, outcomes }]);
          const h = (b: ReturnType<typeof bruteForce>, g: readonly number[]) => binaryEntropy(1 - b.noneOf(g));
          let expected = groups.reduce((sum, g) => sum + h(now, g), 0);
          for (const { weight } of outcomes) {
            const before = e.get(finding) ?? ([1, 1] as Weight);
            const then = bruteForce(net, new Map(e).set(finding, [before[0] * weight[0], before[1] * weight[1]]));
            if (then.evidence > 0) expected -= (then.evidence / now.evidence) * groups.reduce((sum, g) => sum + h(then, g), 0);
          }
          expect(Math.abs(value!.gain - expected)).toBeLessThan(1e-8);
          expect(value!.gainPerMinute).toBeCloseTo(value!.gain / 2, 12);
          expect(value!.gain).toBeGreaterThan(-1e-9);
        },
      ),
    );
  });
});
