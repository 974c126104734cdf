import type { Fault } from "@/core/diagnosis/fault";
import type { ReelSection } from "@/core/diagnosis/isolation";
import type { TestId, Verdict } from "@/core/vocabulary/tests";

/** Tests before touching in which a fault of a section shows (common practice). A section without one is told by all the tests together. */
const shownBy: Readonly<Partial<Record<ReelSection, readonly TestId[]>>> = {
  "gear-side": ["turning"],
  "spool-side": ["free-spool"],
  "shaft-line": ["free-spool", "turning"],
  drag: ["drag-light", "drag-strike", "drag-full"],
  "anti-reverse": ["anti-reverse"],
  click: ["click"],
  bail: ["bail", "roller", "cast-pin"],
  "level-wind": ["level-wind"],
};

export interface LotReelLooked {
  /** Proved, ruled out, or undefined where nobody has settled it. */
  readonly settled: boolean | undefined;
  readonly verdicts: Readonly<Partial<Record<TestId, Verdict>>>;
}

/**
 * Whether a reel of a lot was looked at for a fault: it was proved or ruled out, or every test that would show it was made and was good. One that
 * tests badly and has not been opened is still to be seen.
 */
export function lookedAt(fault: Pick<Fault, "section">, { settled, verdicts }: LotReelLooked, protocol: readonly TestId[]): boolean {
  if (settled !== undefined) return true;
  const own = (shownBy[fault.section] ?? protocol).filter((test) => protocol.includes(test));
  const telling = own.length ? own : protocol;
  // One pull of three speaks for the drag; of what tells apart by two tests both are needed.
  const needed = fault.section === "drag" ? telling.filter((test) => verdicts[test] !== undefined) : telling;
  return needed.length > 0 && needed.every((test) => verdicts[test] === "good");
}

/** Of a lot: reels looked at for a fault, and how many of them have it. */
export function countLooked(
  fault: Pick<Fault, "section">,
  reels: readonly LotReelLooked[],
  protocol: readonly TestId[],
): { readonly proved: number; readonly looked: number } {
  return {
    proved: reels.filter(({ settled }) => settled === true).length,
    looked: reels.filter((reel) => lookedAt(fault, reel, protocol)).length,
  };
}
