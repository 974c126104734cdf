import type { Position } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";

/** The position a control has to be in before a part comes off, and the parts; a name with a star for all that begin so. */
type Rule = readonly [position: string, ...seats: string[]];

const capOpen = "side adjuster cap backed off till there is play";
const starBack: Rule = ["star wound back: it lifts the handle, nothing is pried", "handle"];
const knobOpen = "tension knob backed off, its turns noted";
const bails: readonly Rule[] = [
  ["bail shut", "roller-screw"],
  ["bail open", "trigger"],
  ["anti-reverse on", "rotor-nut"],
  ["drag knob slack", "spool"],
];
const casting: readonly Rule[] = [
  [knobOpen, "side-screw-*", "gear-screw-*"],
  ["line guide at one end", "pawl-cap", "worm-clip"],
];

/** What is set before the hand moves, at each family. Source: common practice. */
const rules: Readonly<Record<FamilyId, readonly Rule[]>> = {
  "star-drag-bridge": [
    starBack,
    [capOpen, "head-screw-*", "tail-screw-*", "take-apart-screw"],
    ["free-spool lever up", "bridge-screw-*"],
    ["line guide at one end", "pawl-cap"],
  ],
  "star-drag-clutch": [
    starBack,
    [capOpen, "head-screw-*", "tail-screw-*", "take-apart-screw"],
    ["free-spool lever up", "bridge-screw-*"],
    ["click on", "click-spring"],
  ],
  "lever-drag": [
    ["lever at free, preset backed right off", "knob-preset"],
    ["lever at free", "quadrant-screw-*", "plate-screw-*"],
    ["marked as it lies", "cam"],
    ["click off", "spool"],
  ],
  "baitcaster-low-profile": casting,
  "baitcaster-round": casting,
  spinning: bails,
  "spinning-fluid-sealed": bails,
  "spinning-sealed-bail-less": [
    ["drag knob slack", "spool"],
    ["pin at a cut-out of its housing", "clutch"],
  ],
  spincast: [
    ["lure off, the line drawn out of the ring and held", "front-cover"],
    ["anti-reverse on", "cone-nut"],
    ["drag at its slackest", "spool-clip"],
    ["stop switch out of the way", "hinge-screw", "cover-screw-*"],
  ],
  centrepin: [["line taped, check off", "drum-screw", "latch"]],
  fly: [["drag backed off, line held", "spool-cap"]],
};

const meets = (pattern: string, seat: string): boolean =>
  pattern.endsWith("*") ? seat.startsWith(pattern.slice(0, -1)) : pattern === seat;

/** The seats of a family, each with what is set before it comes off. */
export const withSetFirst = (family: FamilyId, positions: readonly Position[]): Position[] =>
  positions.map((position) => {
    const said = rules[family].flatMap(([words, ...seats]) => (seats.some((pattern) => meets(pattern, position.id)) ? [words] : []));
    return said.length ? { ...position, setFirst: [position.setFirst, ...said].filter(Boolean).join("; ") } : position;
  });
