import type { FamilyId } from "@/core/vocabulary/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { UseFactor } from "@/core/vocabulary/use";
import type { FindingId } from "./finding-table";

/**
 * Cases the diagnosis is tried on, one for each cause. They were written from the trade's fault list (common practice) before any strength was
 * set, and are not changed to suit the strengths. Each has one finding that has nothing to do with it, and one typical finding that nobody
 * looked at.
 */
export interface Scenario {
  readonly cause: string;
  readonly family: FamilyId;
  readonly use: readonly UseFactor[];
  /** What the customer says. */
  readonly told: readonly FindingId[];
  readonly tested: Partial<Record<TestId, Verdict>>;
  /** What was looked at, and whether it was so. */
  readonly seen: Partial<Record<FindingId, boolean>>;
  readonly irrelevant: FindingId;
  readonly missing: FindingId;
  /** Any of these looks would part the cause from its neighbours. */
  readonly isolating: readonly FindingId[];
}

type Row = readonly [
  cause: string,
  family: FamilyId,
  use: readonly UseFactor[],
  told: readonly FindingId[],
  tested: Partial<Record<TestId, Verdict>>,
  seen: Partial<Record<FindingId, boolean>>,
  irrelevant: FindingId,
  missing: FindingId,
  isolating: readonly FindingId[],
];

// biome-ignore format: one case a line, read as a table
const rows: readonly Row[] = [
  // Hard to turn in gear, free spool good.
  ["gear-shaft-frozen", "star-drag-bridge", ["kayak", "salt"], ["stiff-in-gear"], { turning: "bad", "free-spool": "good" }, {}, "knob-stiff", "shaft-alone-stiff", ["shaft-alone-stiff", "grease-hard", "gear-bearing-ticks"]],
  ["hardened-grease", "star-drag-bridge", ["stored", "old"], ["stiff-in-gear"], { turning: "bad", "free-spool": "good" }, {}, "stain-only", "grease-hard", ["grease-hard", "shaft-alone-stiff"]],
  ["line-trapped", "star-drag-bridge", [], ["stiff-in-gear", "line-behind-spool"], { turning: "bad", "free-spool": "bad" }, {}, "knob-stiff", "braid-on-shaft", ["braid-on-shaft", "side-play-large"]],
  ["gear-burr", "star-drag-bridge", ["fleet"], ["tick-per-turn"], { turning: "doubtful", "free-spool": "good" }, {}, "stain-only", "tooth-burred", ["tooth-burred", "teeth-hooked"]],
  ["plate-overtight", "star-drag-bridge", ["opened"], ["hums-after-closing"], { turning: "bad", "free-spool": "bad" }, {}, "star-silent", "eases-with-plate", ["eases-with-plate", "eases-with-tension", "bearing-cocked"]],
  // Gritty in gear.
  ["gears-worn", "lever-drag", ["fleet"], ["gritty-in-gear"], { turning: "bad", "free-spool": "good" }, {}, "stain-only", "teeth-hooked", ["teeth-hooked", "gear-bearing-ticks", "sand-in-grease"]],
  ["sand-inside", "spinning", ["salt"], ["gritty-in-gear", "level-wind-sticks"], { turning: "bad" }, { "rust-inside": false }, "level-wind-sticks", "sand-in-grease", ["sand-in-grease", "teeth-hooked", "gear-bearing-ticks"]],
  ["gears-dry", "spinning", ["old"], ["gritty-in-gear"], { turning: "doubtful" }, { "teeth-hooked": false, "sand-in-grease": false }, "knob-stiff", "teeth-bare", ["teeth-bare", "gear-bearing-ticks", "grease-hard"]],
  ["gear-bearing-rough", "spinning", ["salt"], ["gritty-in-gear"], { turning: "bad" }, { "teeth-hooked": false, "sand-in-grease": false }, "stain-only", "gear-bearing-ticks", ["gear-bearing-ticks", "teeth-bare"]],
  ["main-shaft-bent", "spinning", [], ["tight-spot"], { turning: "doubtful" }, {}, "knob-stiff", "shaft-runs-out", ["shaft-runs-out", "tooth-burred"]],
  ["water-in", "spinning", ["kayak"], ["gritty-in-gear", "water-inside"], { turning: "doubtful" }, {}, "star-silent", "rust-inside", ["rust-inside", "water-inside", "gear-bearing-ticks"]],
  ["knob-stiff", "spinning", ["salt"], ["knob-stiff"], { turning: "good" }, {}, "stain-only", "stiff-in-gear", ["knob-stiff", "stiff-in-gear"]],
  // Free spool.
  ["spool-bearing-rough", "lever-drag", ["salt"], ["gritty-free-spool"], { "free-spool": "bad", turning: "good" }, {}, "click-weak", "spool-bearing-ticks", ["spool-bearing-ticks", "spool-bearing-dirty"]],
  ["water-in-bearings", "lever-drag", ["kayak"], ["gritty-free-spool", "stiff-free-spool"], { "free-spool": "bad" }, {}, "star-silent", "spool-bearing-ticks", ["spool-bearing-ticks", "spool-bearing-dirty", "rust-inside"]],
  ["spool-bearing-dirty", "baitcaster-low-profile", ["salt"], ["whizz-on-cast"], { "free-spool": "bad", turning: "good" }, { "eases-with-tension": false }, "stain-only", "spool-bearing-dirty", ["spool-bearing-dirty", "spool-bearing-ticks", "longer-without-brakes"]],
  ["spool-bearing-dry", "baitcaster-round", ["old"], ["whizz-on-cast"], { "free-spool": "good" }, {}, "knob-stiff", "spool-bearing-dirty", ["spool-bearing-dirty", "spool-bearing-ticks", "ceramic-fitted"]],
  ["spool-bearing-drowned", "baitcaster-low-profile", ["opened"], ["short-spin"], { "free-spool": "bad", turning: "good" }, { "eases-with-tension": false, "longer-without-brakes": false }, "star-silent", "bearing-swims", ["bearing-swims", "spool-bearing-dirty", "whizz-on-cast"]],
  ["tension-closed", "baitcaster-low-profile", [], ["short-spin"], { "free-spool": "bad", turning: "good" }, {}, "stain-only", "eases-with-tension", ["eases-with-tension", "longer-without-brakes"]],
  ["brakes-on", "baitcaster-low-profile", [], ["short-spin"], { "free-spool": "bad" }, { "eases-with-tension": false }, "knob-stiff", "longer-without-brakes", ["longer-without-brakes", "spool-bearing-dirty"]],
  ["spool-bent", "baitcaster-round", ["fleet"], ["short-spin", "tight-spot"], { "free-spool": "bad" }, {}, "star-silent", "spool-runs-out", ["spool-runs-out", "eases-with-tension", "eases-with-plate"]],
  ["ceramic-noise", "baitcaster-low-profile", ["opened"], ["louder-since-bearings"], { "free-spool": "good" }, {}, "knob-stiff", "ceramic-fitted", ["ceramic-fitted", "spool-bearing-ticks", "louder-since-bearings"]],
  ["pinion-bore-dirty", "baitcaster-low-profile", [], ["short-casts"], { "free-spool": "good" }, { "longer-without-brakes": false }, "stain-only", "pinion-bore-dirty", ["pinion-bore-dirty", "line-low"]],
  ["line-low", "baitcaster-low-profile", ["old"], ["short-casts"], { "free-spool": "good" }, { "pinion-bore-dirty": false }, "knob-stiff", "line-low", ["line-low", "longer-without-brakes"]],
  ["brake-oiled", "baitcaster-low-profile", ["opened"], ["casts-wild"], { "free-spool": "good" }, {}, "stain-only", "track-oily", ["track-oily", "blocks-worn"]],
  ["blocks-worn", "baitcaster-round", ["old"], ["casts-wild"], { "free-spool": "good" }, { "track-oily": false }, "knob-stiff", "blocks-worn", ["blocks-worn"]],
  ["side-play-large", "star-drag-bridge", [], ["line-behind-spool"], { "free-spool": "good" }, {}, "stain-only", "side-play-large", ["side-play-large", "flange-chipped", "braid-on-shaft"]],
  ["bearing-cocked", "star-drag-bridge", ["opened"], ["binds-after-refit"], { turning: "bad", "free-spool": "bad" }, { "eases-with-plate": false, "eases-with-tension": false }, "star-silent", "bearing-cocked", ["bearing-cocked", "washer-doubled"]],
  ["washer-doubled", "star-drag-bridge", ["opened"], ["binds-after-refit"], { "free-spool": "bad" }, { "eases-with-plate": false, "bearing-cocked": false }, "stain-only", "washer-doubled", ["washer-doubled", "eases-with-tension"]],
  // Lever drag.
  ["cam-half-turn", "lever-drag", ["opened"], ["free-spool-dead"], { "free-spool": "bad" }, { "eases-with-preset": false }, "click-weak", "cam-mark-wrong", ["cam-mark-wrong", "preload-spring-gone"]],
  ["preset-tight", "lever-drag", [], ["free-spool-dead"], { "free-spool": "bad" }, {}, "stain-only", "eases-with-preset", ["eases-with-preset", "cam-mark-wrong"]],
  ["preload-spring-missing", "lever-drag", ["opened"], ["free-spool-dead"], { "free-spool": "bad" }, { "eases-with-preset": false, "cam-mark-wrong": false }, "knob-stiff", "preload-spring-gone", ["preload-spring-gone"]],
  // Drag.
  ["drag-dry", "star-drag-bridge", ["stored"], ["drag-jerks-start"], { "drag-light": "bad", "drag-full": "good" }, {}, "click-weak", "washers-dry", ["washers-dry", "washers-glazed"]],
  ["drag-glazed", "star-drag-bridge", ["fleet"], ["drag-jerks-start", "drag-weak"], { "drag-light": "bad", "drag-full": "doubtful" }, {}, "knob-stiff", "washers-glazed", ["washers-glazed", "washers-dry", "washers-thin"]],
  ["drag-fused", "star-drag-bridge", ["stored", "old"], ["drag-stuck"], { "drag-light": "bad" }, {}, "stain-only", "washers-fused", ["washers-fused", "washers-dry", "cups-nested"]],
  ["drag-ridged", "spinning", ["fleet"], ["drag-pulses"], { "drag-strike": "good", "drag-light": "doubtful" }, {}, "knob-stiff", "plates-ridged", ["plates-ridged", "washers-glazed", "spool-runs-out"]],
  ["drag-oiled", "spinning", ["opened", "second-hand"], ["drag-weak"], { "drag-full": "bad", "drag-light": "good" }, {}, "stain-only", "washers-stain-paper", ["washers-stain-paper", "washers-thin", "stack-count-wrong"]],
  ["drag-worn", "star-drag-bridge", ["fleet"], ["drag-weak"], { "drag-full": "bad" }, {}, "knob-stiff", "washers-thin", ["washers-thin", "washers-stain-paper"]],
  ["tension-washers-nested", "star-drag-bridge", ["opened"], ["drag-jumps"], { "drag-full": "good" }, {}, "click-weak", "cups-nested", ["cups-nested", "cups-flat"]],
  ["tension-washers-flat", "star-drag-bridge", ["old"], ["drag-weak", "drag-jumps"], { "drag-full": "doubtful" }, { "cups-nested": false }, "stain-only", "cups-flat", ["cups-flat", "washers-thin"]],
  ["stack-wrong", "star-drag-bridge", ["opened", "second-hand"], ["drag-weak"], { "drag-full": "bad" }, { "washers-thin": false, "washers-stain-paper": false }, "knob-stiff", "stack-count-wrong", ["stack-count-wrong", "cups-flat", "cups-nested"]],
  ["spacer-missing", "star-drag-bridge", ["opened"], ["drag-locks-with-nut"], {}, { "star-free-without-handle": true }, "stain-only", "spacer-gone", ["spacer-gone", "star-sits-low"]],
  ["stack-not-pressed", "star-drag-bridge", ["opened"], ["drag-locks-with-nut"], {}, { "spacer-gone": false }, "knob-stiff", "star-free-without-handle", ["star-free-without-handle", "star-sits-low"]],
  ["star-wrong", "star-drag-bridge", ["second-hand"], ["drag-locks-with-nut", "drag-weak"], {}, { "spacer-gone": false }, "click-weak", "star-sits-low", ["star-sits-low", "star-free-without-handle"]],
  ["star-click-worn", "baitcaster-low-profile", ["old"], ["star-silent"], {}, {}, "knob-stiff", "star-spring-bent", ["star-spring-bent", "star-silent"]],
  // Anti-reverse.
  ["clutch-greased", "spinning", ["opened"], ["slips-back"], { "anti-reverse": "bad" }, {}, "stain-only", "clutch-greasy", ["clutch-greasy", "sleeve-pitted"]],
  ["clutch-sleeve-pitted", "spinning", ["salt"], ["slips-back"], { "anti-reverse": "bad" }, { "clutch-greasy": false }, "knob-stiff", "sleeve-pitted", ["sleeve-pitted", "needles-worn"]],
  ["clutch-worn", "star-drag-clutch", ["old"], ["fixed-slip"], { "anti-reverse": "doubtful" }, {}, "stain-only", "needles-worn", ["needles-worn", "clutch-greasy", "sleeve-pitted"]],
  ["dog-spring-off", "star-drag-bridge", ["opened"], ["slips-back"], { "anti-reverse": "bad" }, {}, "knob-stiff", "dog-spring-astray", ["dog-spring-astray", "ratchet-round"]],
  ["ratchet-worn", "star-drag-bridge", ["fleet"], ["slips-back"], { "anti-reverse": "bad" }, { "dog-spring-astray": false }, "stain-only", "ratchet-round", ["ratchet-round"]],
  ["dog-upside-down", "star-drag-bridge", ["opened"], ["turns-backwards"], { "anti-reverse": "bad" }, {}, "click-weak", "dog-inverted", ["dog-inverted", "dog-spring-astray"]],
  ["switch-off", "spinning", ["second-hand"], ["turns-backwards"], { "anti-reverse": "bad" }, {}, "knob-stiff", "switch-off", ["switch-off", "clutch-greasy"]],
  // Click.
  ["click-tongue-worn", "star-drag-bridge", ["fleet"], ["click-weak"], { click: "bad" }, {}, "knob-stiff", "tongue-sloped", ["tongue-sloped", "click-greased", "click-spring-lazy"]],
  ["click-spring-tired", "star-drag-bridge", ["old"], ["click-one-sided"], { click: "bad" }, {}, "stain-only", "click-spring-lazy", ["click-spring-lazy", "tongue-sloped"]],
  ["click-gear-loose", "star-drag-bridge", ["fleet"], ["click-weak", "click-one-sided"], { click: "bad" }, { "tongue-sloped": false, "click-spring-lazy": false }, "knob-stiff", "click-gear-worn", ["click-gear-worn", "click-greased"]],
  ["click-greased", "lever-drag", ["opened"], ["click-weak"], { click: "doubtful" }, { "tongue-sloped": false }, "stain-only", "click-greased", ["click-greased", "click-spring-lazy"]],
  ["button-spring-tired", "star-drag-bridge", ["fleet"], ["button-spongy"], { click: "doubtful" }, {}, "knob-stiff", "button-spring-tired", ["button-spring-tired", "click-spring-lazy"]],
  // Spinning.
  ["bail-spring-tired", "spinning", [], ["bail-lazy"], { bail: "bad" }, { "bail-wire-bent": false }, "knob-stiff", "bail-spring-broken", ["bail-spring-broken", "bail-pivots-dirty"]],
  ["bail-wire-bent", "spinning", ["second-hand"], ["bail-lazy"], { bail: "bad" }, { "bail-sticks": true }, "stain-only", "bail-wire-bent", ["bail-wire-bent", "bail-pivots-dirty"]],
  ["bail-dirty", "spinning", ["salt"], ["bail-lazy", "bail-sticks"], { bail: "doubtful" }, {}, "knob-stiff", "bail-pivots-dirty", ["bail-pivots-dirty", "bail-wire-bent"]],
  ["trip-lever-bent", "spinning", [], ["bail-lazy"], { bail: "bad" }, { "bail-spring-broken": false, "bail-pivots-dirty": false }, "stain-only", "trip-lever-bent", ["trip-lever-bent", "bail-wire-bent"]],
  ["roller-bearing-rough", "spinning", ["salt"], ["slow-retrieve-grind"], { turning: "good" }, {}, "knob-stiff", "roller-drags", ["roller-drags"]],
  ["rotor-misfit", "spinning", ["opened"], ["hums-after-closing"], { turning: "doubtful" }, {}, "stain-only", "pinion-stands-low", ["pinion-stands-low", "eases-with-plate"]],
  // Level wind and controls.
  ["worm-dry", "baitcaster-low-profile", ["salt"], ["level-wind-sticks"], { "level-wind": "bad" }, {}, "knob-stiff", "worm-gritty", ["worm-gritty", "line-in-worm", "pawl-edge-worn"]],
  ["pawl-worn", "baitcaster-round", ["old"], ["level-wind-sticks"], { "level-wind": "bad" }, { "worm-gritty": false, "line-in-worm": false }, "stain-only", "pawl-edge-worn", ["pawl-edge-worn"]],
  ["worm-fouled", "baitcaster-low-profile", [], ["level-wind-sticks"], { "level-wind": "bad", turning: "bad" }, { "worm-gritty": false }, "knob-stiff", "line-in-worm", ["line-in-worm", "pawl-edge-worn"]],
  ["thumb-bar-salted", "baitcaster-low-profile", ["salt"], ["lever-stiff"], { turning: "good" }, {}, "stain-only", "lever-slot-salted", ["lever-slot-salted"]],
  ["lever-gummed", "star-drag-bridge", ["stored"], ["lever-stiff"], { turning: "good" }, {}, "knob-stiff", "lever-slot-salted", ["lever-slot-salted", "spring-end-proud", "control-spring-tired"]],
  ["spring-proud", "star-drag-bridge", ["opened"], ["lever-stiff"], { turning: "good" }, { "lever-slot-salted": false }, "stain-only", "spring-end-proud", ["spring-end-proud", "control-spring-tired"]],
  ["lever-spring-tired", "star-drag-bridge", ["fleet"], ["lever-spongy"], { turning: "good" }, {}, "knob-stiff", "control-spring-tired", ["control-spring-tired"]],
  ["jack-off-stud", "star-drag-bridge", ["opened"], ["will-not-engage"], {}, {}, "stain-only", "jack-astray", ["jack-astray", "yoke-springs-short"]],
  ["yoke-springs-weak", "star-drag-bridge", ["old"], ["engages-late"], { turning: "good" }, {}, "knob-stiff", "yoke-springs-short", ["yoke-springs-short", "pinion-slot-round"]],
  ["pinion-slot-worn", "star-drag-bridge", ["fleet"], ["engages-late"], { turning: "good" }, { "yoke-springs-short": false }, "stain-only", "pinion-slot-round", ["pinion-slot-round"]],
  ["pick-up-pin-hangs", "spincast", ["stored"], ["loses-line"], { "cast-pin": "bad" }, {}, "knob-stiff", "pin-hangs", ["pin-hangs", "loses-line"]],
  // Sealed, outside, and nothing at all.
  ["seals-worn", "spinning-sealed-bail-less", ["kayak"], ["water-inside", "gritty-in-gear"], { turning: "doubtful" }, { "o-ring-flat": false }, "stain-only", "seal-lip-torn", ["seal-lip-torn", "rust-inside"]],
  ["o-ring-leaks", "spinning-sealed-bail-less", ["kayak", "opened"], ["water-inside"], {}, { "seal-lip-torn": false }, "knob-stiff", "o-ring-flat", ["o-ring-flat", "rust-inside"]],
  ["handle-loose", "star-drag-bridge", [], ["wobbles"], { turning: "good" }, {}, "stain-only", "handle-screw-loose", ["handle-screw-loose", "frame-crack-seen"]],
  ["rotor-nut-loose", "spinning", ["opened"], ["wobbles"], { turning: "good" }, { "handle-screw-loose": false }, "knob-stiff", "rotor-nut-turns", ["rotor-nut-turns", "frame-crack-seen"]],
  ["oscillation-broken", "spinning", ["fleet"], ["no-oscillation"], {}, {}, "knob-stiff", "block-worn", ["block-worn", "line-twists"]],
  ["roller-seized", "spinning", ["salt"], ["line-twists"], { turning: "good" }, {}, "stain-only", "roller-stuck", ["roller-stuck", "roller-drags", "no-oscillation"]],
  ["frame-cracked", "baitcaster-round", ["fleet"], ["creaks"], { turning: "good" }, {}, "stain-only", "frame-crack-seen", ["frame-crack-seen", "handle-screw-loose"]],
  ["plate-bearing-rough", "lever-drag", ["salt"], ["drag-growls"], { "drag-full": "good" }, {}, "stain-only", "plate-bearing-ticks", ["plate-bearing-ticks", "washers-glazed"]],
  ["lever-washers-dry", "lever-drag", ["stored"], ["lever-stiff-up"], { turning: "good" }, {}, "knob-stiff", "stiff-without-preset", ["stiff-without-preset"]],
  ["shield-dented", "centrepin", ["opened"], ["stiff-free-spool"], { "free-spool": "bad" }, { "line-behind-spool": false }, "stain-only", "shield-dent-seen", ["shield-dent-seen", "braid-on-shaft", "spool-bearing-ticks"]],
  ["preload-lost", "centrepin", ["opened"], ["drum-rocks"], {}, {}, "stain-only", "no-preload", ["no-preload", "clip-proud"]],
  ["hub-clip-astray", "centrepin", ["opened"], ["drum-rocks"], {}, { "no-preload": false }, "knob-stiff", "clip-proud", ["clip-proud"]],
  ["screw-seized", "star-drag-bridge", ["salt", "old"], ["will-not-open"], {}, {}, "knob-stiff", "rust-inside", ["will-not-open"]],
  ["screw-missing", "star-drag-bridge", ["second-hand", "opened"], ["screw-hole-empty"], {}, {}, "knob-stiff", "stack-count-wrong", ["screw-hole-empty", "stack-count-wrong"]],
  ["cosmetic-only", "star-drag-bridge", ["old"], ["stain-only"], { turning: "good", "free-spool": "good", "drag-full": "good", "anti-reverse": "good" }, {}, "knob-stiff", "nail-glides", ["nail-glides", "stain-only"]],
];

export const scenarios: readonly Scenario[] = rows.map(([cause, family, use, told, tested, seen, irrelevant, missing, isolating]) => ({
  cause,
  family,
  use,
  told,
  tested,
  seen,
  irrelevant,
  missing,
  isolating,
}));
