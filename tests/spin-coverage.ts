import { fitSpin } from "@/core/spin/fit-spin";
import { type LossTerm, lossTerms, type SpinLosses, spinDown } from "@/core/spin/losses";
import { stream } from "./random-stream";

/** Shares of rubbing, shear and air in the loss at the start: twelve kinds of spool, six of them with a loss that is truly nil. */
const shares = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
  [0.5, 0.5, 0],
  [0.5, 0, 0.5],
  [0, 0.5, 0.5],
  [0.34, 0.33, 0.33],
  [0.8, 0.1, 0.1],
  [0.1, 0.8, 0.1],
  [0.1, 0.1, 0.8],
  [0.6, 0.3, 0.1],
  [0.2, 0.3, 0.5],
] as const;
export const truths = shares.length;
export const pulseCounts = [30, 60, 120, 250] as const;

const startRadPerS = 120;
/** Spread of a pulse's time, s: a phone's microphone or a switch at the flange (rule of thumb). */
const timingS = 0.0005;

/** Times of the first pulses of a spool that is down to an eighth of its speed with the last of them. */
function exactTimes(share: readonly [number, number, number], pulses: number): { losses: SpinLosses; times: number[] } {
  const turns = (pulses - 1) * 2 * Math.PI;
  const lossesOf = (k: number): SpinLosses => ({
    a: k * share[0],
    b: (k * share[1]) / startRadPerS,
    c: (k * share[2]) / startRadPerS ** 2,
  });
  // Angle from full speed to an eighth of it: ∫ω dω / (a + bω + cω²), by Simpson's rule; it goes with 1 / k.
  const { a, b, c } = lossesOf(1);
  const [from, to, n] = [startRadPerS / 8, startRadPerS, 4000];
  const h = (to - from) / n;
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const w = from + i * h;
    sum += (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * (w / (a + b * w + c * w * w));
  }
  const losses = lossesOf((sum * h) / 3 / turns);
  const times: number[] = [];
  const points = spinDown(startRadPerS, losses, 600, 2000);
  for (let i = 1, next = 0; i < points.length && times.length < pulses; i++)
    while (points[i]!.angle >= next && times.length < pulses) {
      const [p, q] = [points[i - 1]!, points[i]!];
      times.push(p.t + ((next - p.angle) / (q.angle - p.angle || 1)) * (q.t - p.t));
      next += 2 * Math.PI;
    }
  return { losses, times };
}

export interface Covered {
  readonly truth: number;
  readonly pulses: number;
  /** Of the traces, how many intervals held the truth. */
  readonly held: Readonly<Record<LossTerm, number>>;
}

/** How often the 95 % intervals of a spin's losses hold the truth. @param seed fixed beforehand. */
export function spinCoverage(perCell: number, seed: number, counts: readonly number[] = pulseCounts): Covered[] {
  const random = stream(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return shares.flatMap((share, truth) =>
    counts.map((pulses): Covered => {
      const { losses, times } = exactTimes(share, pulses);
      const held = { a: 0, b: 0, c: 0 };
      for (let n = 0; n < perCell; n++) {
        const { terms } = fitSpin(
          times.map((t) => t + 1 + timingS * normal()),
          1,
        );
        for (const term of lossTerms) if (terms[term].low <= losses[term] && losses[term] <= terms[term].high) held[term]++;
      }
      return { truth, pulses, held };
    }),
  );
}

/** By loss: of 100 intervals how many held the truth, in all and in the leanest and fullest cell. */
export const pooled = (cells: readonly Covered[], perCell: number) =>
  lossTerms.map((term) => {
    const shares = cells.map(({ held }) => (100 * held[term]) / perCell);
    return { term, all: shares.reduce((sum, x) => sum + x, 0) / shares.length, least: Math.min(...shares), most: Math.max(...shares) };
  });
