/** What a technician says of a test. */
export const verdicts = ["good", "doubtful", "bad"] as const;
export type Verdict = (typeof verdicts)[number];

/** The tests a bench makes before and after. */
export const testIds = [
  "free-spool",
  "turning",
  "drag-light",
  "drag-strike",
  "drag-full",
  "anti-reverse",
  "click",
  "bail",
  "roller",
  "level-wind",
  "cast-pin",
  "side-play",
  "dead-angle",
  "knob",
] as const;
export type TestId = (typeof testIds)[number];
