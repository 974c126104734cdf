import type { Strength } from "./strength-table";

/** One fault that brings another about in time. */
export interface Consequence {
  readonly cause: string;
  readonly effect: string;
  /** How often the effect is there because of the cause, the cause having been there a while. */
  readonly strength: Strength;
  /** Why it is so. */
  readonly note: string;
}

type Row = readonly [cause: string, effect: string, strength: Strength, note: string];

// Source: common practice; each note says by what way the one brings the other about.
// biome-ignore format: one arrow a line, read as a table
const rows: readonly Row[] = [
  ["seals-worn", "water-in", "often", "what the seal lets by stands in the gears"],
  ["o-ring-leaks", "water-in", "often", "it creeps under the cover"],
  ["water-in", "gear-bearing-rough", "often", "rust pits balls and rings"],
  ["water-in", "gears-dry", "sometimes", "the grease goes milky and leaves the teeth"],
  ["sand-inside", "gear-bearing-rough", "sometimes", "it gets past the shields"],
  ["sand-inside", "gears-worn", "often", "it grinds the teeth"],
  ["gears-dry", "gears-worn", "often", "bare teeth wear each other"],
  ["gear-bearing-rough", "gears-worn", "sometimes", "the gear runs off its line"],
  ["water-in-bearings", "spool-bearing-rough", "often", "rust pits balls and rings"],
  ["spool-bearing-dry", "spool-bearing-rough", "sometimes", "balls run bare"],
  ["side-play-large", "line-trapped", "sometimes", "line slips behind the flange"],
  ["drag-dry", "drag-glazed", "often", "a dry washer polishes itself"],
  ["drag-fused", "drag-worn", "sometimes", "it tears as it parts"],
  ["stack-wrong", "drag-ridged", "sometimes", "metal runs on metal"],
  ["dog-spring-off", "ratchet-worn", "sometimes", "the dog strikes the corners late"],
  ["clutch-worn", "ratchet-worn", "sometimes", "the dog catches every load instead"],
  ["clutch-sleeve-pitted", "clutch-worn", "sometimes", "the needles run on pits"],
  ["yoke-springs-weak", "pinion-slot-worn", "sometimes", "half engaged it rounds its corners"],
  ["click-gear-loose", "click-tongue-worn", "sometimes", "it strikes unevenly"],
  ["worm-dry", "pawl-worn", "often", "grit in the groove files the pawl"],
  ["roller-bearing-rough", "roller-seized", "sometimes", "rust closes it"],
  ["lever-gummed", "lever-spring-tired", "sometimes", "the spring strains at each throw"],
  ["hub-clip-astray", "preload-lost", "often", "what it held walks out"],
];

export const consequences: readonly Consequence[] = rows.map(([cause, effect, strength, note]) => ({ cause, effect, strength, note }));
