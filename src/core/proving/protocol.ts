import { z } from "zod";

export const verdicts = ["good", "doubtful", "bad"] as const;
export type Verdict = (typeof verdicts)[number];

export interface TestSpec {
  readonly id: TestId;
  readonly name: string;
  readonly how: string;
  readonly why: string;
  /** The kept unit of the number; every test can be answered without one. */
  readonly unit: "s" | "N" | "cN·m" | "slips of 20" | null;
  readonly takesLineRadius: boolean;
  /** Which way is better: more, less, or neither alone. */
  readonly better: "more" | "less" | "none";
  readonly caution?: string;
}

export const testIds = ["free-spool", "turning", "drag-light", "drag-strike", "drag-full", "anti-reverse", "click"] as const;
export type TestId = (typeof testIds)[number];
export const testIdSchema = z.enum(testIds);

const pullCaution =
  "The line is loaded: lash the rod down, stand out of its line, glove on. Stay under a third of what rod and line are rated for; their makers' limits stand above this.";

/** The tests of a bridge star-drag reel, in the order that needs nothing opened (common practice). */
export const starDragProtocol: readonly TestSpec[] = [
  {
    id: "free-spool",
    name: "Free spool",
    how: "Lever to free, spin the spool once by the flange with a firm flick, count until it stands.",
    why: "Tells the spool side from the gear side.",
    unit: "s",
    takesLineRadius: false,
    better: "more",
  },
  {
    id: "turning",
    name: "Turning in gear",
    how: "Engage, turn the handle slowly three times; feel for stiffness and grit. The number is the effort at the knob's circle.",
    why: "With free spool it says which half to open.",
    unit: "cN·m",
    takesLineRadius: false,
    better: "less",
  },
  {
    id: "drag-light",
    name: "Drag, star a quarter on",
    how: "Draw line straight off the spool, slowly and evenly.",
    why: "Shows a sticky start when the stack is lightly pressed.",
    unit: "N",
    takesLineRadius: true,
    better: "none",
    caution: pullCaution,
  },
  {
    id: "drag-strike",
    name: "Drag, star half on",
    how: "The same pull with the star half on.",
    why: "Where most fish are fought; before and after are compared here.",
    unit: "N",
    takesLineRadius: true,
    better: "none",
    caution: pullCaution,
  },
  {
    id: "drag-full",
    name: "Drag, star home",
    how: "Star home by hand, no tool. Stop as soon as it slips evenly.",
    why: "Weak at full means worn washers, oil or a wrong stack.",
    unit: "N",
    takesLineRadius: true,
    better: "more",
    caution: pullCaution,
  },
  {
    id: "anti-reverse",
    name: "Anti-reverse",
    how: "Turn the handle back sharply twenty times, count how often it slips.",
    why: "A slip now is a broken knuckle later.",
    unit: "slips of 20",
    takesLineRadius: false,
    better: "less",
  },
  {
    id: "click",
    name: "Click",
    how: "Click on, draw line by hand; listen.",
    why: "A worn tongue is cheap, the gear it runs on is dear.",
    unit: null,
    takesLineRadius: false,
    better: "none",
  },
];

/** The spec of a test. @throws Error for an id outside the protocol: only a programmer can cause it. */
export function testSpec(id: TestId): TestSpec {
  const spec = starDragProtocol.find((test) => test.id === id);
  if (!spec) throw new Error(`testSpec: ${id} is not in the protocol`);
  return spec;
}
