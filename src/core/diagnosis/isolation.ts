/** Where a reel is opened for a fault, or that it need not be. */
export const reelSections = [
  "gear-side",
  "spool-side",
  "shaft-line",
  "drag",
  "anti-reverse",
  "click",
  "bail",
  "level-wind",
  "controls",
  "outside",
] as const;
export type ReelSection = (typeof reelSections)[number];

export interface Isolation {
  readonly section: ReelSection;
  /** Which half to open first, in words. */
  readonly open: string;
  readonly because: string;
}

/** What the tests said; a test that was not made is left out: not asked is not absent. */
export interface IsolationEvidence {
  /** Whether this family has free spool at all; a fixed spool has none, and turning in gear speaks for itself. */
  readonly hasFreeSpool?: boolean;
  readonly freeSpool?: Verdict;
  readonly turning?: Verdict;
  /** Free spool felt again with the spool out of the frame. */
  readonly freeSpoolSpoolOut?: Verdict;
  readonly drag?: Verdict;
  readonly antiReverse?: Verdict;
  readonly click?: Verdict;
}

const amiss = (verdict: Verdict | undefined): boolean => verdict === "bad" || verdict === "doubtful";

/**
 * Which side to open, from the tests made before touching. Source: the isolation rule of the trade (common practice): free spool good and
 * stiff in gear is the gear side; free spool bad while the spool alone runs well in the hand is bearings, tension and brakes; both bad is
 * the line of the shafts and how the plates stand. Several at once are normal, so several may come back, the driving fault first.
 */
export function isolate(evidence: IsolationEvidence): Isolation[] {
  const found: Isolation[] = [];
  const { freeSpool, turning } = evidence;
  if (amiss(freeSpool) && amiss(turning)) {
    found.push({
      section: "shaft-line",
      open: "Both halves: start with the line of the shafts and how the side plates sit.",
      because: "Free spool and turning in gear are both off; one shaft line or a skewed plate can do that alone.",
    });
  } else if (amiss(turning) && evidence.hasFreeSpool === false) {
    found.push({
      section: "gear-side",
      open: "The gear cover: drive gear, pinion and their bearings; take the rotor or cone off only when the gears run smooth.",
      because: "A fixed spool has no free spool to compare with; what is stiff is in the gears or on the shaft.",
    });
  } else if (amiss(turning) && freeSpool === "good") {
    found.push({
      section: "gear-side",
      open: "The handle side: gears, gear sleeve, bridge.",
      because: "The spool runs free by itself, so what is stiff is what the handle adds.",
    });
  } else if (amiss(freeSpool) && turning === "good") {
    found.push({
      section: "spool-side",
      open:
        evidence.freeSpoolSpoolOut === "good"
          ? "The plates around the spool: tension, brakes, rubbing. The spool's own bearings ran well in the hand."
          : "The spool: its two bearings, then the tension, then anything that rubs.",
      because: "It winds well in gear, so the gear train is not what holds it.",
    });
  } else if (amiss(freeSpool) || amiss(turning)) {
    found.push({
      section: amiss(turning) ? "gear-side" : "spool-side",
      open: `Do the other test first: ${amiss(turning) ? "spin it in free spool" : "turn it in gear"}, it halves the search.`,
      because: "Only one of the two tests that tell the halves apart was made.",
    });
  }
  if (amiss(evidence.drag))
    found.push({
      section: "drag",
      open: "The drag stack inside the main gear, from the star down.",
      because: "The pull was off its mark or jerked.",
    });
  if (amiss(evidence.antiReverse))
    found.push({
      section: "anti-reverse",
      open: "The dog and its spring, under the bridge.",
      because: "The handle moved backwards or slipped before it held.",
    });
  if (amiss(evidence.click))
    found.push({ section: "click", open: "The tail plate: click tongue, then its spring.", because: "The click was weak or silent." });
  return found;
}

import type { Verdict } from "@/core/vocabulary/tests";
