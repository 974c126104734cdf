import { describe, expect, it } from "vitest";
import { drawAt } from "./draws";
import { improveOrder, type JobInOrder, latenessOf, orderExactly, orderOfWork } from "./order-of-work";

const fixed = (works: readonly number[], dues: readonly number[], weights?: readonly number[]): JobInOrder[] =>
  works.map((mean, i) => ({ key: i + 1, work: [{ law: "fixed", mean }], due: dues[i]!, weight: weights?.[i] ?? 1 }));
/** A unit of work is a unit of time: the books count no days. */
const asItIs = (work: number) => work;
const how = { seed: 1, draws: 1 };
const worksOf = (jobs: readonly JobInOrder[]) => jobs.map(({ work }) => Float64Array.from([work[0]!.law === "fixed" ? work[0]!.mean : 0]));

describe("order of work", () => {
  it("meets the optimum of total tardiness in Pinedo, Scheduling, ch. 3: 370", () => {
    const { late } = orderExactly(fixed([121, 79, 147, 83, 130], [260, 266, 266, 336, 337]), asItIs, how);
    expect(late).toBe(370);
  });

  it("meets the optimum of weighted tardiness in Pinedo, ch. 3: 67, by the order 1 2 4 3 and no other", () => {
    const { late, order } = orderExactly(fixed([12, 8, 15, 9], [16, 26, 25, 27], [4, 5, 3, 5]), asItIs, how);
    expect(late).toBe(67);
    expect(order.map((j) => j + 1)).toEqual([1, 2, 4, 3]);
  });

  it("is that of Smith's rule where everything is late from the start (WSPT): 100 weighted, no other order as good", () => {
    const jobs = fixed([3, 1, 4, 2, 6], [0, 0, 0, 0, 0], [2, 3, 1, 4, 5]);
    const { late, order } = orderExactly(jobs, asItIs, how);
    expect(late).toBe(100);
    expect(order.map((j) => j + 1)).toEqual([2, 4, 5, 1, 3]);
  });

  it("equals trying every order, with draws, weights and days, and the moves reach it", () => {
    for (let trial = 0; trial < 20; trial++) {
      const n = 4 + (trial % 3);
      const jobs: JobInOrder[] = Array.from({ length: n }, (_, i) => ({
        key: 100 * trial + i,
        work: [{ law: "lognormal", median: 30 + 100 * drawAt(7, trial, i), spread: 0.4 }],
        due: Math.floor(3 * drawAt(8, trial, i)),
        weight: 0.5 + 2 * drawAt(9, trial, i),
      }));
      const dayOf = (work: number) => Math.floor(work / 120);
      const exact = orderExactly(jobs, dayOf, { seed: 5, draws: 48 });
      const all = (left: number[], done: number[] = []): number[][] =>
        left.length
          ? left.flatMap((j) =>
              all(
                left.filter((other) => other !== j),
                [...done, j],
              ),
            )
          : [done];
      const found = orderOfWork(jobs, { hands: 1, dayOf, seed: 5 });
      // The same draws for the orders that are tried.
      const works = jobs.map(({ key, work: [piece] }) =>
        Float64Array.from({ length: 48 }, (_, run) => {
          if (piece!.law !== "lognormal") return 0;
          const [u, v] = [drawAt(5, run, key, 0), drawAt(5, run, key, 1)];
          return piece!.median * Math.exp(piece!.spread * Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v));
        }),
      );
      const least = Math.min(...all(jobs.map((_, j) => j)).map((order) => latenessOf(order, jobs, works, 1, dayOf)));
      expect(exact.late).toBeCloseTo(least, 9);
      expect(found.late).toBeCloseTo(least, 9);
      const moved = improveOrder(
        jobs.map((_, j) => j),
        (order) => latenessOf(order, jobs, works, 1, dayOf),
        { seed: 3, moves: 3000 },
      );
      expect(moved.cost).toBeCloseTo(least, 9);
    }
  });

  it("is by promised day, the shorter first among equals, where nothing is late", () => {
    const calm = fixed([50, 20, 10], [9, 9, 3]);
    expect(orderOfWork(calm, { hands: 1, dayOf: () => 1, seed: 1 }).order).toEqual([2, 1, 0]);
    expect(orderOfWork([], { hands: 1, dayOf: asItIs, seed: 1 })).toMatchObject({ order: [], late: 0, exact: true });
  });

  it("says which it was: weighed exactly up to twelve jobs of one pair of hands, else improved, and never worse than by promise", () => {
    const jobs = fixed(
      Array.from({ length: 30 }, (_, i) => 20 + 7 * ((i * 5) % 11)),
      Array.from({ length: 30 }, (_, i) => (i * 3) % 5),
    );
    const dayOf = (work: number) => Math.floor(work / 200);
    expect(orderOfWork(jobs.slice(0, 9), { hands: 1, dayOf, seed: 1 }).exact).toBe(true);
    const many = orderOfWork(jobs, { hands: 1, dayOf, seed: 1 });
    expect(many.exact).toBe(false);
    expect(many.late).toBeLessThanOrEqual(many.lateByPromise);
    const two = orderOfWork(jobs, { hands: 2, dayOf, seed: 1 });
    expect(two.late).toBeLessThan(many.late);
    expect([...two.order].sort((a, b) => a - b)).toEqual(jobs.map((_, j) => j));
  });

  it("reaches by its moves 55, the optimum of Fisher and Thompson's job shop FT06 (1963), and of Moore and Hodgson's example two late", () => {
    const shop = [
      [2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6],
      [1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4],
      [2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7],
      [1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9],
      [2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1],
      [1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1],
    ];
    // An order of 36 pieces of work, each named by its job; each begins as soon as its job and its machine are free.
    const makespan = (order: readonly number[]) => {
      const [job, machine, step] = [Array(6).fill(0), Array(6).fill(0), Array(6).fill(0)] as [number[], number[], number[]];
      for (const piece of order) {
        const j = piece % 6;
        const [m, minutes] = [shop[j]![2 * step[j]!]!, shop[j]![2 * step[j]! + 1]!];
        step[j]!++;
        job[j] = machine[m] = Math.max(job[j]!, machine[m]!) + minutes;
      }
      return Math.max(...job);
    };
    const start = Array.from({ length: 36 }, (_, i) => i);
    // As many moves as a bench gets at most: the optimum is met within the first thousand from any of six seeds.
    const { cost } = improveOrder(start, makespan, { seed: 2, moves: 3000 });
    expect(cost).toBe(55);

    const moore = fixed([7, 8, 4, 6, 6], [9, 17, 18, 19, 21]);
    const late = (order: readonly number[]) => {
      const works = worksOf(moore).map(([work]) => work!);
      return order.filter((j, place) => order.slice(0, place + 1).reduce((sum, each) => sum + works[each]!, 0) > moore[j]!.due).length;
    };
    expect(improveOrder([0, 1, 2, 3, 4], late, { seed: 1, moves: 2000 }).cost).toBe(2);
  });
});
