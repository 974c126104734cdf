import { look, oiled, place, steel } from "../tables/rows";
import type { PartRow, SeatRow, TemplateTable } from "../tables/table";

/**
 * A level wind: a worm in two bushes, a guide on worm and bar, a pawl up into the groove. Source: common practice; sizes are typical and ours.
 * @param number its catalogue numbers, by the last two figures of a baitcaster's
 */
// biome-ignore format: one part a line, read as a table
export const levelWindParts = (number: (ofBaitcaster: string) => string): PartRow[] => [
  ["pawl-washer", number("68"), "Pawl washer", "pawl-washer", { kind: "washer", outsideMm: 5, insideMm: 2, thicknessMm: 0.3 }, "plastic", 40],
  ["worm", number("60"), "Worm", "worm", { kind: "worm", diameterMm: 5, lengthMm: 44, turns: 6 }, "stainless steel", 1690],
  ["worm-bush", number("61"), "Worm bush", "worm-bush", { kind: "sleeve", outsideMm: 7, boreMm: 3.2, lengthMm: 3 }, "plastic", 90],
  ["worm-gear", number("62"), "Worm gear", "worm-gear", { kind: "gear", teeth: 18, moduleMm: 0.5, boreMm: 3.1, faceMm: 3 }, "plastic", 240],
  ["worm-clip", number("63"), "Worm clip", "clip", { kind: "clip", outsideMm: 6, wireMm: 0.6, form: "E" }, steel, 40],
  ["guide", number("64"), "Line guide", "line-guide", { kind: "line-guide", widthMm: 12, heightMm: 20, boreMm: 6 }, "plastic", 790],
  ["guide-bar", number("65"), "Guide bar", "guide-bar", { kind: "shaft", diameterMm: 2, lengthMm: 44 }, steel, 290],
  ["pawl", number("66"), "Pawl", "pawl", { kind: "pawl", diameterMm: 5, lengthMm: 8 }, "brass", 390],
  ["pawl-cap", number("67"), "Pawl cap", "pawl-cap", { kind: "cap", outsideMm: 8, heightMm: 4 }, "brass", 240],
];

/** From the far end of the worm to its clip. */
// biome-ignore format: one seat a line, read as a table
export const levelWindSeats: readonly SeatRow[] = [
  ["worm-bush-far", "Worm bush, far end", "worm-bush", { restsOn: ["frame"], hides: true, ...oiled("1 drop", "both ends of the worm turn in one") }],
  ["worm", "Worm", "worm", { restsOn: ["worm-bush-far"], oilPort: "along the worm, the guide run from end to end", lubricant: { product: "viscous reel oil", amount: "1 drop", why: "grease holds grit; another way greases it" } }],
  ["guide-bar", "Guide bar", "guide-bar", { acrossMm: 9, restsOn: ["frame"] }],
  ["guide", "Line guide", "guide", { restsOn: ["worm", "guide-bar"], alongMm: 20 }],
  ["pawl", "Pawl", "pawl", { shutBy: [], acrossMm: -10, restsOn: ["guide"], orientation: "its curve in the groove", trap: "A thumb on the spool while loosening the star bends it." }],
  ["pawl-washer", "Pawl washer", "pawl-washer", { shutBy: [], acrossMm: -10, restsOn: ["pawl"], hides: true, trap: "It stays in the cap." }],
  ["pawl-cap", "Pawl cap", "pawl-cap", { shutBy: [], acrossMm: -10, restsOn: ["pawl-washer"], orientation: "down only when the pawl's blade drops into the groove" }],
  ["worm-bush", "Worm bush, gear end", "worm-bush", { ridesOn: "worm", restsOn: ["worm"], hides: true, ...oiled("1 drop", "both ends of the worm turn in one") }],
  ["worm-gear", "Worm gear", "worm-gear", { restsOn: ["worm-bush"] }],
  ["worm-clip", "Worm clip", "worm-clip", { restsOn: ["worm-gear"], caution: "The clip flies: twist a blade in its gap with a finger over it.", cautionSays: "spring" }],
];

export const levelWindBatches: NonNullable<TemplateTable["batches"]> = [
  ["worm-gear", "Worm gear, bush and clip", "worm-bush", "worm-gear", "worm-clip"],
  ["guide", "Worm, bar, guide and pawl", "worm-bush-far", "worm", "guide-bar", "guide", "pawl", "pawl-washer", "pawl-cap"],
];

/** The guide felt from end to end. @param before what it has to come before */
export const windGate = (before: string) => ({
  id: "gate-wind",
  kind: "gate" as const,
  words: "The line guide runs end to end and back",
  after: place("pawl-cap", "worm-clip"),
  before: [before],
  lookAt: [look("Pawl not in the groove", ["pawl"]), look("Worm dry or gritty", ["worm"])],
});
