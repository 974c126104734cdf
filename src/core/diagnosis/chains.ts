import type { Consequence } from "./consequence-table";
import { strengths } from "./strength-table";

/** At least so much of an effect's commonness is there without any cause of the table: nothing is only ever a consequence. */
const leastOwn = 0.2;

/**
 * How likely a fault is once some others are proved or ruled out. A table's commonness counts a fault however it came about; of that, what its causes
 * bring is taken apart, so that a proved cause makes its consequence likelier, a ruled-out one less likely, and a proved consequence speaks for
 * its cause. @param prior of each fault before anything was settled. @returns the prior of one fault, the others settled as they are.
 */
export function priorInChain(
  id: string,
  prior: (fault: string) => number,
  settled: ReadonlyMap<string, boolean>,
  arrows: readonly Consequence[],
): number {
  let none = 1 - prior(id);
  let odds = 1;
  const causes = arrows.filter(({ effect, cause }) => effect === id && settled.has(cause));
  const own = ownShare(id, prior, arrows);
  if (causes.length) {
    none = 1 - own;
    for (const { cause, strength, effect } of arrows) {
      if (effect !== id) continue;
      const so = settled.get(cause);
      none *= 1 - strengths[strength] * (so === undefined ? prior(cause) : Number(so));
    }
  }
  for (const { cause, effect, strength } of arrows) {
    const so = settled.get(effect);
    if (cause !== id || so === undefined) continue;
    const alone = ownShare(effect, prior, arrows);
    const withIt = 1 - (1 - alone) * (1 - strengths[strength]);
    odds *= so ? withIt / alone : (1 - withIt) / (1 - alone);
  }
  const p = 1 - none;
  return (p * odds) / (1 - p + p * odds);
}

/** How likely a fault is with none of its causes. */
function ownShare(id: string, prior: (fault: string) => number, arrows: readonly Consequence[]): number {
  const p = prior(id);
  const without = arrows.reduce(
    (left, { cause, effect, strength }) => (effect === id ? left * (1 - strengths[strength] * prior(cause)) : left),
    1,
  );
  return Math.max(leastOwn * p, 1 - (1 - p) / without);
}

/**
 * Signs that a proved cause no longer explains by itself: those its consequences bring about, which may be there and are looked for next.
 * @param signsOf what each fault brings about.
 */
export function broughtByEffects(
  cause: string,
  possible: ReadonlySet<string>,
  settled: ReadonlyMap<string, boolean>,
  arrows: readonly Consequence[],
  signsOf: (fault: string) => readonly string[],
): ReadonlySet<string> {
  if (settled.get(cause) !== true) return new Set();
  return new Set(
    arrows.flatMap((arrow) =>
      arrow.cause === cause && possible.has(arrow.effect) && settled.get(arrow.effect) !== false ? signsOf(arrow.effect) : [],
    ),
  );
}
