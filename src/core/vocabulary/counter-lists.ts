import type { UseFactor } from "./use";

/** What the counter offers to tick, so that little is typed with wet hands. Ids are kept; words may be bettered. */
export const complaints = {
  stiff: "stiff to turn",
  gritty: "gritty or grinding",
  "short-spin": "spins short",
  "drag-jerky": "drag jerks",
  "drag-weak": "drag weak",
  "slips-back": "slips backwards",
  "click-weak": "click weak",
  "no-gear": "will not engage",
  wobbles: "handle or rotor wobbles",
  "line-twists": "line twists",
  "no-rise": "spool does not rise",
  "bail-hangs": "bail sticks",
  "drops-line": "drops the line",
  whirrs: "whirrs or whines on the cast",
  service: "service only",
} as const;

export const broughtWith = {
  line: "line on the spool",
  clamp: "rod clamp",
  box: "box",
  "spare-spool": "spare spool",
  bag: "bag",
  wrench: "wrench",
} as const;

export const conditionMarks = {
  pitting: "pitting",
  green: "green corrosion",
  crack: "cracked plate",
  "missing-screw": "screw missing",
  "missing-nut": "handle nut missing",
  "missing-knob": "knob missing",
  "missing-cap": "cap or cover missing",
  bent: "bent handle or post",
  opened: "opened before",
  clean: "clean",
} as const;

/** What the counter asks of a reel's life; salt and opening are told elsewhere on the page. Ids are the diagnosis's own. */
export const lives = {
  kayak: "kayak, or dunked",
  fleet: "hire or charter",
  stored: "stored for years",
  "second-hand": "bought second hand",
  old: "decades old",
} as const satisfies Partial<Record<UseFactor, string>>;

export type ComplaintId = keyof typeof complaints;
export type BroughtId = keyof typeof broughtWith;
export type ConditionId = keyof typeof conditionMarks;

export const dragWishes = { greased: "greased: smooth start", dry: "dry: most pull", shop: "shop standard" } as const;
export type DragWish = keyof typeof dragWishes;
export const handleHoles = { "as-found": "as found", short: "short hole", long: "long hole" } as const;
export type HandleHole = keyof typeof handleHoles;
export const hands = { right: "right hand", left: "left hand" } as const;
export type Hand = keyof typeof hands;
