import type { ReelSection } from "./isolation";

export interface Remedy {
  readonly words: string;
  readonly minutes: number;
  /** Roles of the parts this remedy may need; the job finds them among the model's positions. */
  readonly partRoles: readonly string[];
}

export interface Fault {
  readonly id: string;
  readonly name: string;
  readonly section: ReelSection;
  /** What the customer or the hand feels. */
  readonly feltAs: string;
  /** How to tell it from its neighbours. */
  readonly tellBy: string;
  readonly remedy: Remedy;
  readonly caution?: string;
}

/** Faults of the bridge star-drag family, as typed knowledge. Source: common practice; minutes are typical, the shop's own times replace them. */
export const faults: readonly Fault[] = [
  {
    id: "gear-shaft-frozen",
    name: "Gear sleeve seized on its post",
    section: "gear-side",
    feltAs: "Hard to turn in gear, free spool good",
    tellBy: "Handle off, bridge out: turn the sleeve alone with two fingers.",
    remedy: { words: "Free, polish and grease the sleeve and post", minutes: 20, partRoles: ["gear-sleeve"] },
  },
  {
    id: "hardened-grease",
    name: "Grease hardened in the gear side",
    section: "gear-side",
    feltAs: "Stiff in gear, even all round",
    tellBy: "Plate off: dark, waxy grease in the valleys of the teeth.",
    remedy: { words: "Strip, clean and re-grease the gear side", minutes: 35, partRoles: [] },
    caution: "Solvents: air moving, gloves, no flame or hot surface near; rags into a closed metal bin.",
  },
  {
    id: "line-trapped",
    name: "Line trapped behind the spool",
    section: "shaft-line",
    feltAs: "Stiff in both, worse after a slack line",
    tellBy: "Spool out: look round both shaft ends for a turn of line.",
    remedy: { words: "Cut the line free and check the flange", minutes: 10, partRoles: [] },
  },
  {
    id: "gears-worn",
    name: "Main gear and pinion worn",
    section: "gear-side",
    feltAs: "Gritty or skipping in gear, still so when clean",
    tellBy: "Teeth under a light: hooked, bent or missing; run a nail along each.",
    remedy: { words: "Fit gear and pinion as a pair", minutes: 30, partRoles: ["main-gear", "pinion"] },
  },
  {
    id: "gear-burr",
    name: "A burr on one tooth",
    section: "gear-side",
    feltAs: "One tick each turn of the handle",
    tellBy: "Count: once a handle turn is the main gear, several is the pinion.",
    remedy: { words: "File the burr off and clean", minutes: 15, partRoles: [] },
  },
  {
    id: "plate-overtight",
    name: "Side plate drawn down skew",
    section: "shaft-line",
    feltAs: "Binds or rubs since it was last closed",
    tellBy: "Ease the plate screws an eighth of a turn: it frees.",
    remedy: { words: "Refit the plate crosswise, first bite only", minutes: 8, partRoles: [] },
  },
  {
    id: "spool-bearing-dirty",
    name: "Spool bearings dirty or dry",
    section: "spool-side",
    feltAs: "Short free spin, a whizz",
    tellBy: "Turn each on a pencil: rough when clean means renew, smooth means oil.",
    remedy: { words: "Flush, dry and oil the spool bearings, one small drop each", minutes: 15, partRoles: [] },
  },
  {
    id: "spool-bearing-rough",
    name: "Spool bearing rough or pitted",
    section: "spool-side",
    feltAs: "Grinds in free spool",
    tellBy: "Hold the outer ring, press and turn the inner slowly: it ticks.",
    remedy: { words: "Fit new spool bearings, both", minutes: 15, partRoles: ["spool-bearing"] },
  },
  {
    id: "tension-closed",
    name: "Side adjuster too tight",
    section: "spool-side",
    feltAs: "Short free spin, free at once when the cap is eased",
    tellBy: "Open the cap half a turn and spin again.",
    remedy: { words: "Set side play to barely there", minutes: 5, partRoles: [] },
  },
  {
    id: "side-play-large",
    name: "Side play too large",
    section: "spool-side",
    feltAs: "Line gets behind the spool; a chipped flange",
    tellBy: "Rock the spool end to end by the flange.",
    remedy: { words: "Set side play; look at the flange", minutes: 8, partRoles: [] },
  },
  {
    id: "drag-dry",
    name: "Friction washers dry or glazed",
    section: "drag",
    feltAs: "Jerks at the start, then runs",
    tellBy: "The trace's start peak stands far above its running mean.",
    remedy: { words: "Clean the stack, dress glazed washers, re-grease as wished", minutes: 20, partRoles: [] },
    caution:
      "If the linings could be an old asbestos kind: do not sand, brush, blow or wash. Wet wipe, bag, leave sound ones in place; local rules and licensed handling stand above this.",
  },
  {
    id: "drag-worn",
    name: "Friction washers worn thin",
    section: "drag",
    feltAs: "Weak with the star home",
    tellBy: "Caliper each washer against its size on the schematic.",
    remedy: { words: "Fit new friction washers", minutes: 25, partRoles: ["friction-washer", "friction-washer-low"] },
  },
  {
    id: "drag-oiled",
    name: "Oil on washers meant to be dry",
    section: "drag",
    feltAs: "Weak all through its range, smooth",
    tellBy: "Press a washer between paper: it leaves a stain.",
    remedy: { words: "Degrease or renew the washers and refit", minutes: 25, partRoles: ["friction-washer"] },
  },
  {
    id: "drag-ridged",
    name: "Metal washers ridged",
    section: "drag",
    feltAs: "Pulses while it runs",
    tellBy: "A nail catches on the ring where the friction washer ran.",
    remedy: { words: "Dress or renew the metal washers", minutes: 25, partRoles: ["keyed-washer", "eared-washer"] },
  },
  {
    id: "tension-washers-nested",
    name: "Tension washers nested or flat",
    section: "drag",
    feltAs: "Jumps from loose to locked in a little turn of the star",
    tellBy: "Look from the side: the two must face each other with a slit between.",
    remedy: { words: "Oppose the tension washers, renew flat ones", minutes: 10, partRoles: ["tension-washer"] },
  },
  {
    id: "spacer-missing",
    name: "Spacer under the handle missing",
    section: "drag",
    feltAs: "Drag locks as the handle nut is tightened",
    tellBy: "Handle off: the star turns freely again.",
    remedy: { words: "Fit the spacer and press the stack down before the nut", minutes: 8, partRoles: ["handle-spacer"] },
  },
  {
    id: "jack-off-stud",
    name: "Jack off the eccentric's stud",
    section: "gear-side",
    feltAs: "Will not go into gear, or not out of it",
    tellBy: "Watch the yoke through the plate as the lever moves.",
    remedy: { words: "Seat the jack on its stud", minutes: 15, partRoles: [] },
  },
  {
    id: "yoke-springs-weak",
    name: "Yoke springs tired or lost",
    section: "gear-side",
    feltAs: "Engages late or only half",
    tellBy: "Compare the two: same length, same push.",
    remedy: { words: "Renew both yoke springs", minutes: 15, partRoles: ["yoke-spring"] },
    caution: "The yoke springs fly: glasses on, hand cupped over the yoke.",
  },
  {
    id: "lever-spring-tired",
    name: "Free-spool lever spring fatigued",
    section: "gear-side",
    feltAs: "Lever spongy",
    tellBy: "Plate off: it no longer throws the eccentric home by itself.",
    remedy: { words: "Renew the eccentric spring", minutes: 12, partRoles: ["eccentric-spring"] },
  },
  {
    id: "lever-gummed",
    name: "Lever and eccentric gummed up",
    section: "gear-side",
    feltAs: "Lever stiff",
    tellBy: "Push it with the bridge out: still stiff is dirt behind the eccentric.",
    remedy: { words: "Clean behind the eccentric, one drop of oil", minutes: 12, partRoles: [] },
  },
  {
    id: "dog-spring-off",
    name: "Dog spring off or broken",
    section: "anti-reverse",
    feltAs: "Slips backwards before it holds",
    tellBy: "Under the bridge: the spring must sit behind its stud.",
    remedy: { words: "Refit or renew the dog spring", minutes: 12, partRoles: ["dog-spring"] },
    caution: "The dog spring flies: glasses on, hand cupped over it.",
  },
  {
    id: "dog-upside-down",
    name: "Dog in upside down",
    section: "anti-reverse",
    feltAs: "Turns both ways, or neither",
    tellBy: "The dog's square nose must meet the ratchet.",
    remedy: { words: "Turn the dog over", minutes: 10, partRoles: [] },
  },
  {
    id: "ratchet-worn",
    name: "Dog and ratchet worn round",
    section: "anti-reverse",
    feltAs: "Skips under load",
    tellBy: "Look at the ratchet's corners and the dog's nose.",
    remedy: { words: "Fit dog and ratchet", minutes: 20, partRoles: ["dog", "ratchet"] },
  },
  {
    id: "click-tongue-worn",
    name: "Click tongue worn",
    section: "click",
    feltAs: "Click weak",
    tellBy: "The point is sheared to a slope, bright dust below it.",
    remedy: { words: "Fit a new tongue", minutes: 10, partRoles: ["click-tongue"] },
  },
  {
    id: "click-spring-tired",
    name: "Click spring tired",
    section: "click",
    feltAs: "Click silent or one-sided",
    tellBy: "Push the tongue aside: it should snap back to the middle.",
    remedy: { words: "Renew the click spring", minutes: 10, partRoles: ["click-spring"] },
  },
  {
    id: "click-gear-loose",
    name: "Click gear loose or toothless",
    section: "click",
    feltAs: "Click uneven though the tongue is good",
    tellBy: "Spool out: hold the click gear, turn the spool.",
    remedy: { words: "Fit a click gear", minutes: 20, partRoles: ["click-gear"] },
  },
  {
    id: "knob-stiff",
    name: "Handle knob stiff",
    section: "gear-side",
    feltAs: "Knob drags in the hand",
    tellBy: "Spin it.",
    remedy: { words: "Flush and two drops of oil", minutes: 5, partRoles: [] },
  },
  {
    id: "cosmetic-only",
    name: "Nothing wrong: stain, thin chrome, normal noise",
    section: "shaft-line",
    feltAs: "Looks or sounds worse than it is",
    tellBy: "A nail glides over it; the numbers stand where they should.",
    remedy: { words: "Say so; no action", minutes: 0, partRoles: [] },
  },
];

const byId = new Map(faults.map((fault) => [fault.id, fault]));

/** The fault of an id, or null when the catalogue no longer holds it (an old job may name one that was withdrawn). */
export const findFault = (id: string): Fault | null => byId.get(id) ?? null;
