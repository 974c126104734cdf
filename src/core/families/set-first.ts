import type { Position } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";

/** What is set, the seat of the control that is set, and the parts that do not come off before; a name with a star for all that begin so. */
type Rule = readonly [words: string, control: string | null, ...parts: string[]];

const plateScrews = ["head-screw-*", "tail-screw-*", "take-apart-screw"];
const conventional: readonly Rule[] = [
  ["star wound back: it lifts the handle, nothing is pried", "star", "handle"],
  ["side adjuster cap backed off till there is play", "cap", ...plateScrews],
  ["free-spool lever up", "lever", "bridge-screw-*"],
  // Where the lever leaves before the bridge it is left up.
  ["free-spool lever up", "bridge", "lever"],
  ["click on", "click-button", "click-spring"],
  ["line guide at one end", "guide", "pawl-cap"],
];
const bails: readonly Rule[] = [
  ["bail shut", "bail-wire", "roller-screw"],
  ["bail open", "bail-wire", "trigger"],
  ["anti-reverse on", "switch", "rotor-nut"],
  ["drag knob slack", "drag-knob", "spool"],
];
const casting: readonly Rule[] = [
  ["tension knob backed off, its turns noted", "tension-cap", "side-screw-*", "gear-screw-*"],
  ["line guide at one end", "guide", "pawl-cap", "worm-clip"],
];

/** What is set before the hand moves, at each family. Source: common practice. */
const rules: Readonly<Record<FamilyId, readonly Rule[]>> = {
  "star-drag-bridge": conventional,
  "star-drag-clutch": conventional,
  "lever-drag": [
    ["lever at free", "lever", "knob-preset", "quadrant-screw-*", "plate-screw-*"],
    ["preset backed right off", "knob-preset", "knob-preset"],
    ["the cam marked as it lies", "cam", "cam"],
    ["click off", "click-button", "spool"],
  ],
  "baitcaster-low-profile": casting,
  "baitcaster-round": casting,
  spinning: bails,
  "spinning-fluid-sealed": bails,
  "spinning-sealed-bail-less": [
    ["drag knob slack", "drag-knob", "spool"],
    ["its pin at a cut-out of the housing", "clutch-pin", "clutch"],
  ],
  spincast: [
    ["lure off, the line drawn out of the ring and held", null, "front-cover"],
    ["anti-reverse on", "stop-switch", "cone-nut"],
    ["drag at its slackest", "toothed-nut", "spool-clip"],
    ["stop switch out of the way", "stop-switch", "hinge-screw", "cover-screw-*"],
  ],
  centrepin: [
    ["line taped", null, "drum-screw", "latch"],
    ["check off", "check-switch", "drum-screw", "latch"],
  ],
  fly: [
    ["line held", null, "spool-cap"],
    ["drag backed off", "drag-knob", "spool-cap"],
  ],
};

const meets = (pattern: string, seat: string): boolean =>
  pattern.endsWith("*") ? seat.startsWith(pattern.slice(0, -1)) : pattern === seat;

/** The seats of a reel of a family, each with what is set before it comes off; nothing is said of a control that the reel has not. */
export function withSetFirst(family: FamilyId, positions: readonly Position[]): Position[] {
  const there = new Set(positions.map(({ id }) => id));
  const own = rules[family].filter(([, control]) => control === null || there.has(control));
  return positions.map((position) => {
    const said = own.flatMap(([words, control, ...parts]) =>
      parts.some((pattern) => meets(pattern, position.id)) ? [control === null ? { words } : { words, control }] : [],
    );
    return said.length ? { ...position, setFirst: [...position.setFirst, ...said] } : position;
  });
}
