import type { FamilyId } from "@/core/vocabulary/families";
import type { Verdict } from "@/core/vocabulary/tests";

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
  readonly freeSpool?: Verdict;
  readonly turning?: Verdict;
  /** Free spool felt again with the spool out of the frame. */
  readonly freeSpoolSpoolOut?: Verdict;
  readonly drag?: Verdict;
  readonly antiReverse?: Verdict;
  readonly click?: Verdict;
}

/** Where a family's sections lie, in its own words; a section that it has not is left out. */
interface Places {
  /** What turns with the handle. */
  readonly gear?: string;
  /** What spins without it; a fixed spool has no free spool, and turning in gear speaks for itself. */
  readonly spool?: string;
  readonly drag?: string;
  readonly antiReverse?: string;
  readonly click?: string;
}

const castSpool = "The spool: its two bearings, then the tension, then anything that rubs.";
const starDrag: Places = {
  gear: "The handle side: gears, gear sleeve, bridge.",
  spool: castSpool,
  drag: "The drag stack inside the main gear, from the star down.",
  antiReverse: "The dog and its spring, under the bridge.",
  click: "The tail plate: click tongue, then its spring.",
};
const baitcaster: Places = {
  gear: "The handle side plate: main gear, pinion with its bearings, gear shaft.",
  spool: "The spool, out by the brake side: its two bearings, the pinion's bore, the tension, then the brakes.",
  drag: "The drag on the main gear, from the star down.",
  antiReverse: "Under the star: the one-way clutch and its sleeve, or the dog.",
};
const spinning: Places = {
  gear: "The gear cover: drive gear, pinion and their bearings; take the rotor off only when the gears run smooth.",
  drag: "The drag in the spool, under the knob: nothing else needs to open.",
  antiReverse: "Under the rotor: the one-way clutch and its sleeve, or the dog and its spring.",
  click: "The spool: the click ratchet under it, then its tongue.",
};

/** Common practice. */
const places: Readonly<Record<FamilyId, Places>> = {
  "star-drag-bridge": starDrag,
  "star-drag-clutch": {
    ...starDrag,
    gear: "The handle side: one-way clutch, gears, and the bearings of what they turn on.",
    antiReverse: "The one-way clutch and its collar first; the dog behind it only when that is good.",
  },
  "lever-drag": {
    gear: "The handle side: gears, gear shaft and their bearings, under the head plate.",
    spool: "The spool, the lever at free: its bearings and the pressure plate's; when winding is rough as well, all of them as a set.",
    drag: "The drag plate on the spool, under its cap; then the cam at the lever.",
    antiReverse: "The dog and its spring, under the main gear.",
    click: "The tail side: click tongue, then its spring.",
  },
  "baitcaster-low-profile": baitcaster,
  "baitcaster-round": { ...baitcaster, click: "The brake side: click tongue and its button." },
  spinning,
  "spinning-fluid-sealed": {
    ...spinning,
    antiReverse: "Under the rotor: the sealed one-way clutch, lifted whole; its fluid goes in last.",
  },
  "spinning-sealed-bail-less": { ...spinning, antiReverse: "Under the rotor: the one-way clutch, its seals and its pin." },
  spincast: {
    gear: "The front cover and the cone off, then the body: drive gear, shaft gear and their bushes.",
    drag: "The spool off: the drag under it, washers and toothed drag nut; then the dial.",
    antiReverse: "Inside the body: the anti-reverse pawl and its hair spring.",
    click: "Inside the body: click tongue.",
  },
  fly: {
    gear: "The spool off its spindle: its bearings, then the one-way clutch in it.",
    drag: "The drag under the spool: its disc, then its tension washers.",
    click: "The click pawl under the spool, then its spring.",
  },
  centrepin: {
    spool: "The drum off its spindle: the two hub bearings and their preload, then anything that rubs.",
    click: "The back plate: check pawl, then its spring.",
  },
};

const amiss = (verdict: Verdict | undefined): boolean => verdict === "bad" || verdict === "doubtful";

/**
 * Which side to open, from the tests made before touching. Source: the isolation rule of the trade (common practice): free spool good and
 * stiff in gear is the gear side; free spool bad while the spool alone runs well in the hand is bearings, tension and brakes; both bad is
 * the line of the shafts and how the plates stand. Several at once are normal, so several may come back, the driving fault first. A family
 * without free spool, or without a handle to turn, is judged by the one test it has.
 */
export function isolate(family: FamilyId, evidence: IsolationEvidence): Isolation[] {
  const found: Isolation[] = [];
  const { freeSpool, turning } = evidence;
  const { gear, spool, drag, antiReverse, click } = places[family];
  if (!spool) {
    if (gear && amiss(turning))
      found.push({
        section: "gear-side",
        open: gear,
        because: "A fixed spool has no free spool to compare with; what is stiff is in the gears or on the shaft.",
      });
  } else if (!gear) {
    if (amiss(freeSpool))
      found.push({ section: "spool-side", open: spool, because: "Nothing but its bearings and what rubs can slow a drum without gears." });
  } else if (amiss(freeSpool) && amiss(turning)) {
    found.push({
      section: "shaft-line",
      open: "Both halves: start with the line of the shafts and how the side plates sit.",
      because: "Free spool and turning in gear are both off; one shaft line or a skewed plate can do that alone.",
    });
  } else if (amiss(turning) && freeSpool === "good") {
    found.push({
      section: "gear-side",
      open: gear,
      because: "The spool spins freely on its own, so the stiffness is on the handle side.",
    });
  } else if (amiss(freeSpool) && turning === "good") {
    found.push({
      section: "spool-side",
      open:
        evidence.freeSpoolSpoolOut === "good"
          ? "The plates around the spool: tension, brakes, rubbing. The spool's own bearings ran well in the hand."
          : spool,
      because: "It winds well in gear, so the gear train is not what holds it.",
    });
  } else if (amiss(freeSpool) || amiss(turning)) {
    found.push({
      section: amiss(turning) ? "gear-side" : "spool-side",
      open: `Do the other test first: ${amiss(turning) ? "spin it in free spool" : "turn it in gear"}, it halves the search.`,
      because: "Only one of the two tests that tell the halves apart was made.",
    });
  }
  if (drag && amiss(evidence.drag))
    found.push({
      section: "drag",
      open: drag,
      because: "The pull was off its mark or jerked.",
    });
  if (antiReverse && amiss(evidence.antiReverse))
    found.push({
      section: "anti-reverse",
      open: antiReverse,
      because: "The handle moved backwards or slipped before it held.",
    });
  if (click && amiss(evidence.click)) found.push({ section: "click", open: click, because: "The click was weak or silent." });
  return found;
}
