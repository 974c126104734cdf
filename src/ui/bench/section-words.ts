import type { ReelSection } from "@/core/diagnosis/isolation";

/** Where a reel is opened, in the bench's words. */
export const sectionWords: Record<ReelSection, string> = {
  "gear-side": "Gear side",
  "spool-side": "Spool side",
  "shaft-line": "Line of the shafts",
  drag: "Drag",
  "anti-reverse": "Anti-reverse",
  click: "Click",
  bail: "Bail and roller",
  "level-wind": "Level wind",
  controls: "Levers and clutch",
  outside: "Outside and seals",
};
