import type { PlaceId } from "./places";

/** What a fault opens where it is not its own parts alone: a whole place that is cleaned for it, or nothing, because it is put right from outside. */
const opens: Readonly<Record<string, PlaceId | "nothing">> = {
  "hardened-grease": "gears",
  "sand-inside": "gears",
  "gears-dry": "gears",
  "water-in": "gears",
  "line-trapped": "spool",
  // Swabbed through from the spool's side.
  "pinion-bore-dirty": "spool",
  "drag-dry": "drag",
  "drag-oiled": "drag",
  "drag-glazed": "drag",
  "drag-hard": "drag",
  "drag-fused": "drag",
  "stack-wrong": "drag",
  "clutch-greased": "anti-reverse",
  "click-greased": "click",
  "roller-bearing-rough": "roller",
  "roller-seized": "roller",
  "bail-dirty": "bail",
  "pick-up-pin-hangs": "pick-up",
  "worm-dry": "level-wind",
  "worm-fouled": "level-wind",
  "plate-overtight": "nothing",
  "tension-closed": "nothing",
  "side-play-large": "nothing",
  "knob-stiff": "nothing",
  "preset-tight": "nothing",
  "brakes-on": "nothing",
  "line-low": "nothing",
  "ceramic-noise": "nothing",
  "switch-off": "nothing",
  "thumb-bar-salted": "nothing",
  "handle-loose": "nothing",
  "frame-cracked": "nothing",
  "screw-seized": "nothing",
  "screw-missing": "nothing",
  "cosmetic-only": "nothing",
};

/** @returns null for its own parts. */
export const opensOfFault = (id: string): PlaceId | "nothing" | null => opens[id] ?? null;
