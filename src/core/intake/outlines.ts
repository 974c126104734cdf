import type { FamilyId } from "@/core/vocabulary/families";

/** A part of a reel's outside that a finger can point at. */
export interface OutlineZone {
  readonly id: ZoneId;
  /** SVG path in the outline's own units. */
  readonly path: string;
  /** Where a mark's number stands. */
  readonly at: readonly [x: number, y: number];
}

export const zoneWords = {
  foot: "foot",
  frame: "frame",
  "tail-plate": "tail plate",
  "head-plate": "head plate",
  posts: "posts",
  spool: "spool",
  star: "star or lever",
  "handle-arm": "handle arm",
  knob: "knob",
  click: "click button",
  guide: "line guide",
  "thumb-bar": "thumb bar or lever",
  stem: "stem",
  body: "body",
  rotor: "rotor",
  bail: "bail",
  roller: "line roller",
  "drag-knob": "drag knob",
  cover: "front cover",
  "back-plate": "back plate",
} as const;
export type ZoneId = keyof typeof zoneWords;
export const zoneIds = Object.keys(zoneWords) as [ZoneId, ...ZoneId[]];

/** Width and height of every outline. */
export const outlineSize = { width: 360, height: 170 } as const;

const box = (x: number, y: number, w: number, h: number, r = 0) =>
  `M${x + r} ${y}H${x + w - r}a${r} ${r} 0 0 1 ${r} ${r}V${y + h - r}a${r} ${r} 0 0 1 ${-r} ${r}H${x + r}a${r} ${r} 0 0 1 ${-r} ${-r}V${y + r}a${r} ${r} 0 0 1 ${r} ${-r}Z`;
const round = (x: number, y: number, rx: number, ry = rx) =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
const zone = (id: ZoneId, path: string, x: number, y: number): OutlineZone => ({ id, path, at: [x, y] });

/** Seen from above the rod: foot behind, plates left and right, handle on the right. */
const conventional: readonly OutlineZone[] = [
  zone("foot", "M70 146L108 138H212L250 146V154L212 160H108L70 154Z", 160, 149),
  zone("posts", `${box(92, 26, 136, 9, 3)}${box(92, 124, 136, 9, 3)}`, 160, 30),
  zone("spool", `${box(98, 44, 12, 72, 3)}${box(110, 58, 100, 44)}${box(210, 44, 12, 72, 3)}`, 160, 80),
  zone("tail-plate", box(68, 18, 24, 124, 8), 80, 60),
  zone("click", round(58, 96, 10, 12), 58, 96),
  zone("head-plate", box(228, 14, 30, 132, 9), 243, 50),
  zone("star", `${box(264, 48, 10, 64, 4)}${box(274, 70, 14, 20, 2)}`, 269, 80),
  zone("handle-arm", box(288, 60, 11, 84, 5), 293, 96),
  zone("knob", box(299, 112, 48, 30, 12), 324, 127),
];

const lowProfile: readonly OutlineZone[] = [
  zone("foot", "M84 148L120 140H206L242 148V156L206 162H120L84 156Z", 163, 152),
  zone("frame", "M84 34H246L256 60V118L240 138H88L70 118V60Z", 100, 126),
  zone("guide", box(104, 20, 118, 20, 9), 163, 30),
  zone("spool", box(112, 48, 104, 52, 6), 164, 74),
  zone("thumb-bar", box(112, 106, 104, 16, 7), 164, 114),
  zone("tail-plate", "M68 48C50 56 44 70 44 88C44 106 52 122 70 130L84 118V58Z", 62, 88),
  zone("head-plate", "M258 44C276 54 282 70 282 88C282 108 274 124 256 132L244 118V58Z", 264, 72),
  zone("star", `${box(286, 58, 9, 60, 4)}${box(295, 78, 17, 20, 2)}`, 291, 88),
  zone("handle-arm", box(312, 40, 10, 96, 5), 317, 88),
  zone("knob", `${box(322, 28, 30, 24, 10)}${box(322, 124, 30, 24, 10)}`, 337, 40),
];

/** Seen from the side: foot on top, spool to the left, handle towards you. */
const spinning: readonly OutlineZone[] = [
  zone("foot", "M150 8H286V18L250 24H186Z", 218, 15),
  zone("stem", "M206 24H232L240 66H216Z", 223, 46),
  zone("body", "M196 66H268C292 70 300 88 300 106C300 132 282 146 254 146H206C192 138 188 120 188 104C188 86 190 74 196 66Z", 228, 128),
  zone("rotor", "M126 58H190V140H126C116 120 116 78 126 58Z", 172, 118),
  zone("spool", `${box(44, 66, 12, 66, 3)}${box(56, 76, 62, 46)}${box(118, 64, 10, 70, 3)}`, 86, 99),
  zone("drag-knob", "M26 78H44V120H26C20 110 20 88 26 78Z", 33, 99),
  zone("bail", "M128 58L92 34C74 26 58 34 54 48L60 52C64 42 76 36 90 43L122 66Z", 80, 38),
  zone("roller", round(58, 56, 9), 58, 56),
  zone("handle-arm", "M258 98L270 104L244 156L232 152Z", 252, 116),
  zone("knob", box(206, 146, 36, 20, 9), 224, 156),
];

const spincast: readonly OutlineZone[] = [
  zone("foot", "M120 146L152 138H244L276 146V154L244 160H152L120 154Z", 198, 149),
  zone("cover", "M40 78C46 50 92 34 148 30V134C92 130 46 112 40 86Z", 96, 82),
  zone("body", "M148 26H256C276 34 282 56 282 82C282 108 276 128 256 136H148Z", 200, 110),
  zone("thumb-bar", "M262 32C290 30 306 48 308 70L286 76C284 56 276 44 262 40Z", 290, 54),
  zone("star", `${round(206, 78, 16)}${round(206, 78, 6)}`, 206, 78),
  zone("handle-arm", "M224 72L290 112L284 122L220 84Z", 254, 97),
  zone("knob", box(284, 104, 40, 26, 11), 304, 117),
];

const centrepin: readonly OutlineZone[] = [
  zone("foot", "M96 148L130 140H230L264 148V156L230 162H130L96 156Z", 180, 151),
  zone("back-plate", round(180, 76, 72, 66), 128, 124),
  zone("spool", round(180, 76, 60, 55), 180, 112),
  zone("drag-knob", round(180, 76, 18, 17), 180, 76),
  zone("knob", `${round(146, 58, 12)}${round(214, 94, 12)}`, 146, 58),
  zone("click", box(250, 92, 26, 16, 7), 263, 100),
];

const outlines: Readonly<Record<FamilyId, readonly OutlineZone[]>> = {
  "star-drag-bridge": conventional,
  "star-drag-clutch": conventional,
  "lever-drag": conventional,
  "baitcaster-low-profile": lowProfile,
  "baitcaster-round": [...conventional, zone("guide", box(104, 4, 112, 16, 7), 160, 12)],
  spinning,
  "spinning-fluid-sealed": spinning,
  "spinning-sealed-bail-less": spinning.filter(({ id }) => id !== "bail"),
  spincast,
  centrepin,
  fly: centrepin,
};

/** The outline of a family, back to front. */
export const outlineOf = (family: FamilyId): readonly OutlineZone[] => outlines[family];
