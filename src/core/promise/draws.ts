/**
 * Chance that can be compared: a draw belongs to its run, its job and its step, not to the order in which it was asked for. So two ways of
 * working meet the same luck, and what differs between them is the way.
 */

/** A number in (0, 1) that a seed and some whole numbers always give (murmur3's mixing of 32 bits, and its finish). */
export function drawAt(seed: number, ...keys: readonly number[]): number {
  let h = seed >>> 0;
  for (const key of keys) {
    let k = Math.imul(key >>> 0, 0xcc9e2d51);
    k = (k << 15) | (k >>> 17);
    h ^= Math.imul(k, 0x1b873593);
    h = (h << 13) | (h >>> 19);
    h = (Math.imul(h, 5) + 0xe6546b64) >>> 0;
  }
  h ^= keys.length * 4;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  h = (h ^ (h >>> 16)) >>> 0;
  return (h + 0.5) / 4294967296;
}

/** How long something takes: always the same, memoryless, or around a middle with a spread on a log scale. */
export type Duration =
  | { readonly law: "fixed"; readonly mean: number }
  | { readonly law: "exponential"; readonly mean: number }
  | { readonly law: "lognormal"; readonly median: number; readonly spread: number }
  /** In some cases only; else it takes no time. */
  | { readonly law: "sometimes"; readonly chance: number; readonly takes: Exclude<Duration, { readonly law: "sometimes" }> };

/** A standard normal draw from two numbers (Box and Muller). */
const normalOf = (u: number, v: number): number => Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * v);

/** A draw of a duration. @param u and v numbers in (0, 1). */
export function durationOf(duration: Duration, u: number, v: number): number {
  // What is left of the number is as even as it was.
  if (duration.law === "sometimes") return u < duration.chance ? durationOf(duration.takes, u / duration.chance, v) : 0;
  if (duration.law === "fixed") return duration.mean;
  if (duration.law === "exponential") return -duration.mean * Math.log(u);
  return duration.median * Math.exp(duration.spread * normalOf(u, v));
}

export const meanOf = (duration: Duration): number =>
  duration.law === "sometimes"
    ? duration.chance * meanOf(duration.takes)
    : duration.law === "lognormal"
      ? duration.median * Math.exp(duration.spread ** 2 / 2)
      : duration.mean;

/**
 * What the n-th like piece takes of the first: Wright's law, each doubling of the count takes the same share off.
 * @param n from 1. @param rate what is left at each doubling, such as 0.9.
 */
export const wrightShare = (n: number, rate: number): number => n ** Math.log2(rate);
