import jstat from "jstat";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

const { jStat } = jstat;

/** A repeatable stream of draws. Each part of the world forks its own, so that a draw more in one does not change another. */
export interface Seeded {
  /** In [0, 1). */
  readonly uniform: () => number;
  readonly chance: (p: number) => boolean;
  /** Whole, both ends included. */
  readonly whole: (from: number, to: number) => number;
  readonly normal: (mean: number, sd: number) => number;
  /** @param spread standard deviation of the logarithm. */
  readonly lognormal: (median: number, spread: number) => number;
  /** A life. @param shape 1 wears with no age, above it the more with age. @param median half of them last so long. */
  readonly life: (median: number, shape: number) => number;
  readonly waiting: (mean: number) => number;
  readonly poisson: (mean: number) => number;
  readonly pick: <T>(of: readonly T[]) => T;
  readonly weighted: <T extends string>(of: Readonly<Record<T, number>>) => T;
  readonly fork: (name: string) => Seeded;
}

const hash = (text: string, seed: number): number => {
  let h = seed ^ 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h | 0;
};

export function seeded(seed: number): Seeded {
  const generator = xoroshiro128plus(seed);
  const uniform = () => uniformFloat64(generator);
  // Never 0 nor 1: the inverse of a distribution has no value there.
  const inside = () => Math.min(1 - 1e-12, Math.max(1e-12, uniform()));
  const pick = <T>(of: readonly T[]): T => of[Math.floor(uniform() * of.length)]!;
  return {
    uniform,
    chance: (p) => uniform() < p,
    whole: (from, to) => from + Math.floor(uniform() * (to - from + 1)),
    normal: (mean, sd) => (sd > 0 ? jStat.normal.inv(inside(), mean, sd) : mean),
    lognormal: (median, spread) => jStat.lognormal.inv(inside(), Math.log(median), spread),
    life: (median, shape) => jStat.weibull.inv(inside(), median / Math.LN2 ** (1 / shape), shape),
    waiting: (mean) => -mean * Math.log(inside()),
    poisson: (mean) => {
      // Knuth: how many waits fit into one; means here are small.
      const floor = Math.exp(-mean);
      let [n, left] = [0, uniform()];
      while (left > floor) {
        n++;
        left *= uniform();
      }
      return n;
    },
    pick,
    weighted: <T extends string>(of: Readonly<Record<T, number>>): T => {
      const rows = Object.entries<number>(of) as [T, number][];
      let at = uniform() * rows.reduce((sum, [, weight]) => sum + weight, 0);
      for (const [id, weight] of rows) {
        at -= weight;
        if (at < 0) return id;
      }
      return rows.at(-1)![0];
    },
    fork: (name) => seeded(hash(name, seed)),
  };
}
