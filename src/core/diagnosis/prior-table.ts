import type { UseFactor } from "@/core/vocabulary/use";
import { type HistoryId, historyOdds, historyOfUse, historyStates } from "./histories";

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
  "tension-closed": ["everyday"],
  "brakes-on": ["everyday"],
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
  "drag-hard": ["uncommon", { old: much, stored: more }],
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
  "switch-off": ["uncommon", { "second-hand": some }],
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
  "handle-loose": ["uncommon", { opened: some, fleet: some }],
  "rotor-nut-loose": ["uncommon", { opened: more }],
  "oscillation-broken": ["rare", { fleet: more, old: some }],
  "roller-seized": ["common", { salt: more, kayak: more, stored: some }],
  "frame-cracked": ["rare", { fleet: more, old: some }],
  "plate-bearing-rough": ["uncommon", { salt: more, kayak: more }],
  "lever-washers-dry": ["uncommon", { stored: more, old: some }],
  "shield-dented": ["uncommon", { opened: much }],
  "preload-lost": ["rare", { opened: much }],
  "hub-clip-astray": ["rare", { opened: much }],
  "screw-seized": ["uncommon", { salt: more, old: some }],
  "screw-missing": ["uncommon", { "second-hand": more, opened: more }],
  "cosmetic-only": ["common", { old: more }],
};

export const hasPrior = (faultId: string): boolean => faultId in rows;

/**
 * How likely a fault is given what the reel has been through: the odds of its class, moved by each history that raises it and by hard use.
 * @throws Error for a fault without a row: only a programmer can cause that.
 */
export function priorGiven(faultId: string, use: readonly UseFactor[], there: ReadonlySet<HistoryId>): number {
  const row = rows[faultId];
  if (!row) throw new Error(`priorOf: no row for ${faultId}`);
  const base = commonness[row[0]];
  // The strongest word of a history says how much that history matters to the fault.
  const moved = new Map<HistoryId, number>();
  let odds = base / (1 - base);
  for (const [factor, times] of Object.entries(row[1] ?? {}) as [UseFactor, number][]) {
    const history = historyOfUse[factor];
    if (history) moved.set(history, Math.max(moved.get(history) ?? 1, times));
    else if (use.includes(factor)) odds *= times;
  }
  for (const [history, factor] of moved) {
    const by = historyOdds(factor);
    odds *= there.has(history) ? by.there : by.absent;
  }
  return odds / (1 + odds);
}

/**
 * How likely a fault is before anything was seen, from how the reel was used: over all that it may have been through.
 * @throws Error for a fault without a row: only a programmer can cause that.
 */
export const priorOf = (faultId: string, use: readonly UseFactor[]): number =>
  historyStates(use).reduce((sum, { there, weight }) => sum + weight * priorGiven(faultId, use, there), 0);
