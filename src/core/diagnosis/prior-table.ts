import type { UseFactor } from "@/core/vocabulary/use";

/** How common a fault is among reels that come to a bench, by class. Rule of thumb; a shop's own findings sharpen it. */
export const commonness = { everyday: 0.16, common: 0.07, uncommon: 0.025, rare: 0.008 } as const;
export type Commonness = keyof typeof commonness;

type PriorRow = readonly [how: Commonness, likelier?: Partial<Record<UseFactor, number>>];

/** Times as likely, in odds, when the reel was used so. */
const [much, more, some] = [5, 3, 1.8];

// biome-ignore format: one fault a line, read as a table
const rows: Readonly<Record<string, PriorRow>> = {
  "gear-shaft-frozen": ["common", { salt: some, kayak: much, old: some }],
  "hardened-grease": ["common", { stored: much, old: more }],
  "line-trapped": ["uncommon"],
  "gears-worn": ["common", { fleet: more, old: some }],
  "gear-burr": ["uncommon", { fleet: some }],
  "plate-overtight": ["uncommon", { opened: much }],
  "sand-inside": ["common", { salt: some, kayak: some }],
  "gears-dry": ["common", { old: some, fleet: some }],
  "gear-bearing-rough": ["common", { salt: more, kayak: more }],
  "main-shaft-bent": ["rare", { fleet: some }],
  "water-in": ["uncommon", { kayak: much, salt: some }],
  "knob-stiff": ["common", { salt: some }],
  "spool-bearing-rough": ["common", { salt: more, kayak: more }],
  "water-in-bearings": ["rare", { kayak: much, salt: some }],
  "spool-bearing-dirty": ["everyday", { salt: some, fleet: some }],
  "spool-bearing-dry": ["common", { old: some, stored: some }],
  "spool-bearing-drowned": ["common", { opened: more }],
  "tension-closed": ["common"],
  "brakes-on": ["common"],
  "spool-bent": ["rare", { fleet: more }],
  "ceramic-noise": ["rare", { opened: more }],
  "pinion-bore-dirty": ["common"],
  "line-low": ["common", { old: some }],
  "brake-oiled": ["uncommon", { opened: more }],
  "blocks-worn": ["uncommon", { old: some, fleet: some }],
  "side-play-large": ["uncommon", { fleet: some }],
  "bearing-cocked": ["rare", { opened: much }],
  "washer-doubled": ["rare", { opened: much }],
  "cam-half-turn": ["rare", { opened: much }],
  "preset-tight": ["uncommon", { opened: some }],
  "preload-spring-missing": ["rare", { opened: much }],
  "drag-dry": ["common", { stored: more, old: some }],
  "drag-glazed": ["common", { fleet: more }],
  "drag-fused": ["uncommon", { stored: much, old: some }],
  "drag-oiled": ["uncommon", { opened: more, "second-hand": some }],
  "drag-worn": ["common", { fleet: more, old: some }],
  "drag-ridged": ["uncommon", { fleet: more }],
  "tension-washers-nested": ["uncommon", { opened: much }],
  "tension-washers-flat": ["uncommon", { old: more }],
  "stack-wrong": ["uncommon", { opened: much, "second-hand": more }],
  "spacer-missing": ["rare", { opened: much, "second-hand": some }],
  "stack-not-pressed": ["rare", { opened: much }],
  "star-wrong": ["rare", { "second-hand": much, opened: some }],
  "star-click-worn": ["uncommon", { old: some }],
  "clutch-greased": ["common", { opened: much }],
  "clutch-sleeve-pitted": ["uncommon", { salt: more, kayak: more }],
  "clutch-worn": ["uncommon", { old: some, fleet: some }],
  "dog-spring-off": ["uncommon", { opened: more, fleet: some }],
  "dog-upside-down": ["rare", { opened: much }],
  "ratchet-worn": ["uncommon", { fleet: more, old: some }],
  "switch-off": ["rare", { "second-hand": some }],
  "click-tongue-worn": ["common", { fleet: some, old: some }],
  "click-spring-tired": ["uncommon", { old: some, fleet: some }],
  "click-gear-loose": ["rare", { fleet: some }],
  "click-greased": ["uncommon", { opened: more }],
  "button-spring-tired": ["uncommon", { fleet: more }],
  "bail-spring-tired": ["common"],
  "bail-wire-bent": ["uncommon", { "second-hand": some, fleet: some }],
  "bail-dirty": ["common", { salt: some }],
  "trip-lever-bent": ["rare"],
  "roller-bearing-rough": ["common", { salt: more, kayak: more }],
  "rotor-misfit": ["rare", { opened: much }],
  "worm-dry": ["everyday", { salt: some }],
  "pawl-worn": ["uncommon", { old: some, fleet: some }],
  "worm-fouled": ["uncommon"],
  "thumb-bar-salted": ["common", { salt: more }],
  "lever-gummed": ["common", { stored: more, old: some }],
  "spring-proud": ["rare", { opened: more }],
  "lever-spring-tired": ["uncommon", { fleet: more, old: some }],
  "jack-off-stud": ["rare", { opened: much }],
  "yoke-springs-weak": ["uncommon", { old: some, fleet: some }],
  "pinion-slot-worn": ["uncommon", { fleet: more }],
  "pick-up-pin-hangs": ["common", { stored: some }],
  "seals-worn": ["common", { kayak: some, salt: some }],
  "o-ring-leaks": ["uncommon", { opened: more }],
  "screw-seized": ["uncommon", { salt: more, old: some }],
  "screw-missing": ["uncommon", { "second-hand": more, opened: more }],
  "cosmetic-only": ["common", { old: more }],
};

export const hasPrior = (faultId: string): boolean => faultId in rows;

/**
 * How likely a fault is before anything was seen, from how the reel was used: the odds of its class times those of each factor.
 * @throws Error for a fault without a row: only a programmer can cause that.
 */
export function priorOf(faultId: string, use: readonly UseFactor[]): number {
  const row = rows[faultId];
  if (!row) throw new Error(`priorOf: no row for ${faultId}`);
  const base = commonness[row[0]];
  const odds = use.reduce((product, factor) => product * (row[1]?.[factor] ?? 1), base / (1 - base));
  return odds / (1 + odds);
}
