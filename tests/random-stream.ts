/** A repeatable stream of numbers in [0, 1): mulberry32. */
export function stream(seed: number): () => number {
  let at = seed >>> 0;
  return () => {
    at = (at + 0x6d2b79f5) >>> 0;
    let t = Math.imul(at ^ (at >>> 15), 1 | at);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
