import { hazards } from "@/core/safety/cautions";
import type { FamilyId } from "@/core/vocabulary/families";
import type { TestId } from "@/core/vocabulary/tests";

type Adjuster = "star" | "lever" | "knob";

export interface TestSpec {
  readonly id: TestId;
  readonly name: string;
  readonly how: string;
  readonly why: string;
  /** The kept unit of the number; every test can be answered without one. */
  readonly unit: "s" | "N" | "cN·m" | "slips of 20" | "trips of 10" | "mm" | "°" | "dB" | null;
  readonly takesLineRadius: boolean;
  /** What sets the drag that is pulled against; none of any other test. */
  readonly adjuster?: Adjuster;
  /** Which way is better: more, less, or neither alone. */
  readonly better: "more" | "less" | "none";
  readonly caution?: string;
}
/** A test without the words it has on a reel. */
export type TestKind = Omit<TestSpec, "name" | "how" | "why">;

const pull = (id: TestId, name: string, how: string, why: string, better: TestSpec["better"]): TestSpec => ({
  id,
  name,
  how,
  why,
  unit: "N",
  takesLineRadius: true,
  better,
  caution: hazards.pull,
});
const feel = (id: TestId, name: string, how: string, why: string): TestSpec => ({
  id,
  name,
  how,
  why,
  unit: null,
  takesLineRadius: false,
  better: "none",
});

/** Every test with the words it has on a star drag; other families put their own adjuster's name in. Source: common practice. */
const specs: Readonly<Record<TestId, TestSpec>> = {
  "free-spool": {
    id: "free-spool",
    name: "Free spool",
    how: "Lever to free, spin the spool once by the flange with a firm flick, count until it stops.",
    why: "Tells the spool side from the gear side.",
    unit: "s",
    takesLineRadius: false,
    better: "more",
  },
  turning: {
    id: "turning",
    name: "Turning in gear",
    how: "Put it in gear and turn the handle slowly three times; feel for stiffness or grit. The reading is the torque at the handle.",
    why: "Together with the free-spool test it tells you which side to open.",
    unit: "cN·m",
    takesLineRadius: false,
    better: "less",
  },
  "drag-light": pull(
    "drag-light",
    "Drag, star 1/4 turn",
    "Draw line straight off the spool, slowly and evenly.",
    "Shows a sticky start when the stack is lightly pressed.",
    "none",
  ),
  "drag-strike": pull(
    "drag-strike",
    "Drag, star 1/2 turn",
    "The same pull with the star 1/2 turn on.",
    "Where most fish are fought; before and after are compared here.",
    "none",
  ),
  "drag-full": pull(
    "drag-full",
    "Drag, star fully tight",
    "Star fully tight by hand, no tool. Stop as soon as it slips evenly.",
    "Weak at full means worn washers, oil or a wrong stack.",
    "more",
  ),
  "anti-reverse": {
    id: "anti-reverse",
    name: "Anti-reverse",
    how: "Turn the handle back sharply twenty times, count how often it slips.",
    why: "A slip here can break a knuckle later.",
    unit: "slips of 20",
    takesLineRadius: false,
    better: "less",
  },
  click: {
    id: "click",
    name: "Click",
    how: "Click on, draw line by hand and listen. The reading is how much louder it is than the room.",
    why: "A worn tongue is cheap to replace; the gear it runs on is not.",
    unit: "dB",
    takesLineRadius: false,
    better: "more",
  },
  bail: {
    id: "bail",
    name: "Bail",
    how: "Open it and turn the handle, ten times; count how often it snaps shut.",
    why: "A weak spring or a bent wire spoils casts.",
    unit: "trips of 10",
    takesLineRadius: false,
    better: "more",
  },
  roller: feel("roller", "Line roller", "Turn the roller under a loop of braid.", "Grinding only on a slow retrieve means this bearing."),
  "level-wind": feel(
    "level-wind",
    "Level wind",
    "Turn the handle: watch the guide go end to end and back.",
    "It sticks well before it stops working.",
  ),
  "side-play": {
    id: "side-play",
    name: "Side play",
    how: "In free spool tighten the tension until there is just no play, then back it off to the first play you can feel. The reading is from a dial gauge on the flange.",
    why: "Barely any is right; with none it binds, with much the pinion and bearings wear.",
    unit: "mm",
    takesLineRadius: false,
    better: "none",
  },
  "dead-angle": {
    id: "dead-angle",
    name: "Dead angle",
    how: "Turn the handle back until it stops, ten times; the widest counts.",
    why: "It increases before the anti-reverse starts to slip.",
    unit: "°",
    takesLineRadius: false,
    better: "less",
  },
  knob: feel(
    "knob",
    "Handle knob",
    "Spin the knob with one finger.",
    "Salt collects here first: two drops of oil, or take it off and clean it.",
  ),
  "cast-pin": feel(
    "cast-pin",
    "Pick-up pin",
    "Press the button and turn: the pin goes in and comes out.",
    "A pin that sticks drops the line.",
  ),
};

/** The same pulls at the marks of the family's own adjuster. */
function withAdjuster(spec: TestSpec, adjuster: Adjuster): TestSpec {
  if (!spec.takesLineRadius) return spec;
  if (adjuster === "star") return { ...spec, adjuster };
  const marks: Record<"lever" | "knob", Partial<Record<TestId, [name: string, how: string]>>> = {
    lever: {
      "drag-light": ["Drag, lever at 1/4", "Lever at 1/4 of its travel. Draw line straight off the spool, slowly and evenly."],
      "drag-strike": ["Drag, lever at strike", "The same pull with the lever at the strike stop, free spool still free at the other end."],
      "drag-full": ["Drag, lever at full", "Lever past the strike stop. Stop as soon as it slips evenly."],
    },
    knob: {
      "drag-light": ["Drag, knob 1/4 turn", "Draw line straight off the spool, slowly and evenly."],
      "drag-strike": ["Drag, knob 1/2 turn", "The same pull with the knob 1/2 turn on."],
      "drag-full": ["Drag, knob fully tight", "Knob fully tight by hand, no tool. Stop as soon as it slips evenly."],
    },
  };
  const [name, how] = marks[adjuster][spec.id] ?? [spec.name, spec.how];
  return { ...spec, name, how, adjuster };
}

const drags: readonly TestId[] = ["drag-light", "drag-strike", "drag-full"];
const conventional: readonly TestId[] = ["free-spool", "turning", ...drags, "anti-reverse", "click"];
const fixedSpool: readonly TestId[] = ["turning", ...drags, "anti-reverse"];

interface Protocol {
  readonly adjuster: Adjuster;
  readonly tests: readonly TestId[];
  /** What sets the drag is called on it, where not as its kind is. */
  readonly called?: string;
  /** A test's own words on it, where its own parts make it otherwise. */
  readonly own?: Readonly<Partial<Record<TestId, Partial<Pick<TestSpec, "name" | "how" | "why">>>>>;
}

const spun = "spin the spool once by the flange with a firm flick, count until it stops.";

// Nothing puts these in gear, and there is no free spool to compare with.
const wound =
  "Turn the handle three times, slowly, then fast; feel for stiffness, grit or a tick. The reading is the torque at the handle.";
const spinningOwn = {
  turning: {
    name: "Turning",
    how: wound,
    why: "Grinding on a slow retrieve alone: the line roller first, the gears last. Stiff without line: the body.",
  },
};

const byCap = {
  how: "In free spool screw the side adjuster cap in until there is just no play, then back it off to the first play you can feel. The reading is from a dial gauge on the flange.",
};

const protocols: Readonly<Record<FamilyId, Protocol>> = {
  "star-drag-bridge": { adjuster: "star", tests: conventional, own: { "side-play": byCap } },
  "star-drag-clutch": {
    adjuster: "star",
    tests: conventional,
    own: {
      "side-play": byCap,
      turning: {
        how: "In gear wind it under one fingertip, slowly, three turns; feel for stiffness or grit. The reading is the torque at the handle.",
        why: "Stiff: look to the bearing at the shaft's foot. Easier with the plate's screws eased an eighth: plate overdrawn, or a magnet rubbing.",
      },
    },
  },
  "lever-drag": {
    adjuster: "lever",
    tests: conventional,
    own: {
      "free-spool": { how: `Drag lever back to free, ${spun}` },
      turning: {
        how: "Lever at strike, turn the handle slowly three times; feel for stiffness or grit. The reading is the torque at the handle.",
      },
      "side-play": {
        name: "End float",
        how: "Lever at free, push and pull the spool along its shaft. The reading is from a dial gauge on the flange.",
        why: "A little is right at free; much means a worn bearing, or a spacer left out.",
      },
    },
  },
  "baitcaster-low-profile": {
    adjuster: "star",
    tests: ["free-spool", "turning", ...drags, "anti-reverse", "level-wind"],
    own: { "free-spool": { how: `Thumb bar pressed, ${spun}` } },
  },
  "baitcaster-round": {
    adjuster: "star",
    tests: [...conventional, "level-wind"],
    own: { "free-spool": { how: `Thumb bar pressed, ${spun}` } },
  },
  spinning: { adjuster: "knob", tests: [...fixedSpool, "bail", "roller"], own: spinningOwn },
  "spinning-fluid-sealed": { adjuster: "knob", tests: [...fixedSpool, "bail", "roller"], own: spinningOwn },
  "spinning-sealed-bail-less": { adjuster: "knob", tests: [...fixedSpool, "roller"], own: spinningOwn },
  spincast: {
    adjuster: "knob",
    called: "dial",
    tests: [...fixedSpool, "cast-pin"],
    own: { turning: { name: "Turning", how: wound, why: "Stiff or gritty: the rear, its gear and the crank's bearings." } },
  },
  centrepin: {
    adjuster: "knob",
    tests: ["free-spool", "click"],
    own: {
      "free-spool": {
        name: "Free spin",
        how: "Check off, spin the drum by one flick of a fingertip on its rim, count until it stops. Twice or three times; the middle one counts.",
        why: "Dirt, a dented shield or lost preload shows here first.",
      },
      click: {
        name: "Check",
        how: "Check on, draw line by hand both ways and listen; then off. The reading is how much louder it is than the room.",
        why: "A pawl worn to a slope slips; off, it must leave the drum alone.",
      },
      "side-play": {
        name: "Rock at the rim",
        how: "Rock the drum at its rim, push and pull it along its spindle: barely there. The reading is from a dial gauge on the rim.",
        why: "Rock means preload lost or a worn bearing; a rub is a shim, or dirt under the drum.",
      },
      knob: { name: "Drum knobs", how: "Spin each knob with one finger." },
    },
  },
  fly: {
    adjuster: "knob",
    tests: ["turning", ...drags, "click"],
    own: {
      turning: {
        name: "Winding",
        how: "Wind the spool by its knob, the drag backed off: even, no tick, no rock.",
        why: "A tick or a tight spot is a bearing, or grit on the spindle.",
      },
      "side-play": {
        name: "Rock at the rim",
        how: "Rock the spool at its rim, push and pull it along its spindle. The reading is from a dial gauge on the rim.",
        why: "Barely any is right; more is a worn bearing or bush.",
      },
    },
  },
};

/** Whether such a reel has a drag to be backed off. */
export const hasDrag = (family: FamilyId): boolean => protocols[family].tests.includes("drag-full");

/** A test in the words of the reel's own parts: the name it has wherever a person reads of it. */
export function testOn(family: FamilyId, id: TestId): TestSpec {
  const { adjuster, called, own } = protocols[family];
  const spec = withAdjuster(specs[id], adjuster);
  // Only what is pulled against the adjuster speaks of it: a handle's knob is no dial.
  const named = (words: string) =>
    called && spec.adjuster ? words.replaceAll(adjuster, called).replaceAll(capital(adjuster), capital(called)) : words;
  return { ...spec, name: named(spec.name), how: named(spec.how), ...own?.[id] };
}
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** The tests of a family, in the order that needs nothing opened. */
export const protocolFor = (family: FamilyId): TestSpec[] => protocols[family].tests.map((id) => testOn(family, id));

const withHandle: readonly TestId[] = ["dead-angle", "knob"];
const extras: Readonly<Record<FamilyId, readonly TestId[]>> = {
  "star-drag-bridge": ["side-play", ...withHandle],
  "star-drag-clutch": ["side-play", ...withHandle],
  "lever-drag": ["side-play", ...withHandle],
  "baitcaster-low-profile": ["side-play", ...withHandle],
  "baitcaster-round": ["side-play", ...withHandle],
  spinning: withHandle,
  "spinning-fluid-sealed": withHandle,
  "spinning-sealed-bail-less": withHandle,
  spincast: withHandle,
  centrepin: ["side-play", "knob"],
  fly: ["side-play", "knob"],
};

/** Tests made when there is a reason to: nothing waits for them. */
export const extraTests = (family: FamilyId): TestSpec[] => extras[family].map((id) => testOn(family, id));

/** Whether a reel of a family can be tested so: a centrepin has no bail to snap. */
export const canBeTested = (family: FamilyId, id: TestId): boolean => protocols[family].tests.includes(id) || extras[family].includes(id);

/** A test by itself, for its unit and which way is better. It has no words: those are the reel's, and testOn says them. */
export const testSpec = (id: TestId): TestKind => specs[id];
