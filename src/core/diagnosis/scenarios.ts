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
  ["spool-bearing-dry", "baitcaster-round", ["old"], ["whizz-on-cast"], { "free-spool": "good" }, {}, "knob-stiff", "spool-bearing-dirty", ["spool-bearing-dirty", "spool-bearing-ticks", "ceramic-fitted", "spool-bearing-parched"]],
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
  ["drag-hard", "star-drag-bridge", ["old", "stored"], ["drag-weak", "drag-jerks-start"], { "drag-full": "bad", "drag-light": "bad" }, { "washers-glazed": false }, "star-silent", "washers-hard", ["washers-hard", "washers-thin", "washers-dry", "washers-fused"]],
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

/** More of them, in other families and with other tellings; written before the looks' false alarms were set anew. */
// biome-ignore format: one case a line, read as a table
const moreRows: readonly Row[] = [
  ["gear-shaft-frozen", "star-drag-clutch", ["kayak"], ["stiff-in-gear"], { turning: "bad", "free-spool": "good", "drag-full": "good" }, { "grease-hard": false }, "knob-stiff", "shaft-alone-stiff", ["shaft-alone-stiff", "gear-bearing-ticks"]],
  ["hardened-grease", "lever-drag", ["stored", "old"], ["stiff-in-gear", "lever-stiff-up"], { turning: "bad", "free-spool": "good" }, {}, "stain-only", "grease-hard", ["grease-hard", "shaft-alone-stiff", "stiff-without-preset"]],
  ["hardened-grease", "baitcaster-round", ["stored"], ["stiff-in-gear", "lever-stiff"], { turning: "bad" }, { "shaft-alone-stiff": false }, "star-silent", "grease-hard", ["grease-hard", "lever-slot-salted", "gear-bearing-ticks"]],
  ["gears-worn", "star-drag-bridge", ["fleet", "salt"], ["gritty-in-gear", "tick-per-turn"], { turning: "bad", "free-spool": "good" }, { "tooth-burred": false }, "knob-stiff", "teeth-hooked", ["teeth-hooked", "gear-bearing-ticks", "sand-in-grease"]],
  ["gears-worn", "spinning", ["old"], ["gritty-in-gear"], { turning: "bad" }, { "sand-in-grease": false, "gear-bearing-ticks": false }, "stain-only", "teeth-hooked", ["teeth-hooked", "teeth-bare"]],
  ["gear-burr", "baitcaster-low-profile", [], ["tick-per-turn", "gritty-in-gear"], { turning: "doubtful" }, {}, "star-silent", "tooth-burred", ["tooth-burred", "teeth-hooked", "gear-bearing-ticks"]],
  ["gear-bearing-rough", "baitcaster-low-profile", ["salt", "kayak"], ["gritty-in-gear", "stiff-in-gear"], { turning: "bad", "free-spool": "good" }, { "teeth-hooked": false }, "stain-only", "gear-bearing-ticks", ["gear-bearing-ticks", "sand-in-grease", "shaft-alone-stiff", "grease-hard"]],
  ["sand-inside", "baitcaster-low-profile", ["kayak"], ["gritty-in-gear"], { turning: "bad" }, { "gear-bearing-ticks": false, "teeth-hooked": false }, "stain-only", "sand-in-grease", ["sand-in-grease", "teeth-bare", "shaft-alone-stiff"]],
  ["plate-overtight", "lever-drag", ["opened"], ["binds-after-refit", "stiff-in-gear"], { turning: "bad", "free-spool": "bad" }, { "bearing-cocked": false }, "click-weak", "eases-with-plate", ["eases-with-plate", "washer-doubled"]],
  ["line-trapped", "lever-drag", [], ["stiff-free-spool", "line-behind-spool"], { "free-spool": "bad", turning: "bad" }, { "spool-bearing-ticks": false }, "stain-only", "braid-on-shaft", ["braid-on-shaft", "side-play-large"]],
  ["spool-bearing-rough", "star-drag-bridge", ["salt"], ["gritty-free-spool", "short-spin"], { "free-spool": "bad", turning: "good" }, { "eases-with-tension": false }, "knob-stiff", "spool-bearing-ticks", ["spool-bearing-ticks", "spool-bearing-dirty"]],
  ["spool-bearing-dirty", "star-drag-bridge", ["fleet"], ["short-spin"], { "free-spool": "doubtful", turning: "good" }, { "spool-bearing-ticks": false, "eases-with-tension": false }, "stain-only", "spool-bearing-dirty", ["spool-bearing-dirty", "bearing-swims", "longer-without-brakes"]],
  ["tension-closed", "baitcaster-round", ["second-hand"], ["short-casts", "short-spin"], { "free-spool": "bad", turning: "good" }, { "longer-without-brakes": false }, "stain-only", "eases-with-tension", ["eases-with-tension", "pinion-bore-dirty", "spool-bearing-dirty"]],
  ["brakes-on", "baitcaster-round", ["second-hand"], ["short-casts"], { "free-spool": "doubtful" }, { "eases-with-tension": false, "pinion-bore-dirty": false }, "star-silent", "longer-without-brakes", ["longer-without-brakes", "line-low", "spool-bearing-dirty"]],
  ["pinion-bore-dirty", "baitcaster-round", ["salt"], ["short-casts"], { "free-spool": "good", turning: "good" }, { "line-low": false, "eases-with-tension": false }, "knob-stiff", "pinion-bore-dirty", ["pinion-bore-dirty", "longer-without-brakes"]],
  ["brake-oiled", "baitcaster-round", ["opened"], ["casts-wild"], { "free-spool": "good", turning: "good" }, { "blocks-worn": false }, "knob-stiff", "track-oily", ["track-oily"]],
  ["drag-dry", "spinning", ["stored", "old"], ["drag-jerks-start"], { "drag-light": "bad", "drag-strike": "doubtful" }, { "washers-glazed": false }, "stain-only", "washers-dry", ["washers-dry", "washers-fused", "plates-ridged"]],
  ["drag-dry", "lever-drag", ["salt"], ["drag-jerks-start"], { "drag-light": "bad", "drag-full": "good" }, { "washers-glazed": false }, "knob-stiff", "washers-dry", ["washers-dry", "plate-bearing-ticks", "washers-fused"]],
  ["drag-glazed", "star-drag-clutch", ["fleet"], ["drag-weak", "drag-jerks-start"], { "drag-light": "bad", "drag-full": "bad" }, { "washers-dry": false }, "star-silent", "washers-glazed", ["washers-glazed", "washers-thin", "washers-stain-paper"]],
  ["drag-worn", "spinning", ["fleet", "old"], ["drag-weak"], { "drag-full": "bad", "drag-light": "doubtful" }, { "washers-stain-paper": false }, "stain-only", "washers-thin", ["washers-thin", "washers-glazed", "stack-count-wrong"]],
  ["drag-fused", "spinning", ["stored"], ["drag-stuck"], { "drag-light": "bad", "drag-full": "good" }, {}, "knob-stiff", "washers-fused", ["washers-fused", "washers-dry"]],
  ["tension-washers-nested", "baitcaster-low-profile", ["opened"], ["drag-jumps"], { "drag-light": "doubtful" }, { "cups-flat": false }, "stain-only", "cups-nested", ["cups-nested"]],
  ["preset-tight", "lever-drag", ["second-hand"], ["short-spin", "free-spool-dead"], { "free-spool": "bad", turning: "good" }, { "cam-mark-wrong": false }, "knob-stiff", "eases-with-preset", ["eases-with-preset", "preload-spring-gone"]],
  ["cam-half-turn", "lever-drag", ["opened", "second-hand"], ["free-spool-dead", "drag-weak"], { "free-spool": "bad", "drag-full": "bad" }, {}, "stain-only", "cam-mark-wrong", ["cam-mark-wrong", "eases-with-preset", "preload-spring-gone"]],
  ["clutch-greased", "baitcaster-low-profile", ["opened"], ["slips-back"], { "anti-reverse": "bad", turning: "good" }, {}, "star-silent", "clutch-greasy", ["clutch-greasy", "sleeve-pitted"]],
  ["clutch-sleeve-pitted", "star-drag-clutch", ["kayak", "salt"], ["slips-back", "fixed-slip"], { "anti-reverse": "bad" }, { "clutch-greasy": false }, "stain-only", "sleeve-pitted", ["sleeve-pitted", "needles-worn"]],
  ["ratchet-worn", "lever-drag", ["fleet"], ["slips-back"], { "anti-reverse": "bad" }, { "dog-spring-astray": false, "dog-inverted": false }, "click-weak", "ratchet-round", ["ratchet-round"]],
  ["dog-spring-off", "lever-drag", ["opened"], ["slips-back", "turns-backwards"], { "anti-reverse": "bad" }, { "dog-inverted": false }, "knob-stiff", "dog-spring-astray", ["dog-spring-astray", "ratchet-round"]],
  ["click-tongue-worn", "baitcaster-round", ["old"], ["click-weak"], { click: "bad" }, { "click-greased": false }, "stain-only", "tongue-sloped", ["tongue-sloped"]],
  ["bail-dirty", "spinning-fluid-sealed", ["salt"], ["bail-sticks", "bail-lazy"], { bail: "bad" }, { "bail-wire-bent": false }, "stain-only", "bail-pivots-dirty", ["bail-pivots-dirty", "bail-spring-broken", "trip-lever-bent"]],
  ["bail-spring-tired", "spinning-fluid-sealed", [], ["bail-lazy"], { bail: "bad", turning: "good" }, { "bail-pivots-dirty": false }, "stain-only", "bail-spring-broken", ["bail-spring-broken", "bail-wire-bent", "trip-lever-bent"]],
  ["roller-bearing-rough", "spinning-sealed-bail-less", ["salt"], ["slow-retrieve-grind"], { turning: "good", roller: "bad" }, {}, "stain-only", "roller-drags", ["roller-drags", "roller-stuck"]],
  ["worm-dry", "baitcaster-round", ["salt", "old"], ["level-wind-sticks", "gritty-in-gear"], { "level-wind": "bad" }, { "line-in-worm": false }, "knob-stiff", "worm-gritty", ["worm-gritty", "pawl-edge-worn"]],
  ["pick-up-pin-hangs", "spincast", ["old"], ["loses-line"], { "cast-pin": "bad", turning: "good" }, {}, "stain-only", "pin-hangs", ["pin-hangs"]],
  ["seals-worn", "spinning-sealed-bail-less", ["salt"], ["water-inside"], { turning: "doubtful" }, { "rust-inside": true, "o-ring-flat": false }, "knob-stiff", "seal-lip-torn", ["seal-lip-torn"]],
  ["water-in", "star-drag-bridge", ["kayak", "salt"], ["water-inside", "gritty-in-gear"], { turning: "bad" }, { "sand-in-grease": false }, "star-silent", "rust-inside", ["rust-inside", "gear-bearing-ticks", "grease-milky"]],
  ["hardened-grease", "spincast", ["stored", "old"], ["stiff-in-gear"], { turning: "bad" }, {}, "stain-only", "grease-hard", ["grease-hard"]],
  ["shield-dented", "centrepin", ["opened", "second-hand"], ["stiff-free-spool", "short-spin"], { "free-spool": "bad" }, { "braid-on-shaft": false, "no-preload": false }, "stain-only", "shield-dent-seen", ["shield-dent-seen", "spool-bearing-ticks"]],
];

/** Two at once, as is usual: each has its own signs among what is told. */
// biome-ignore format: one case a line, read as a table
const pairs: readonly (readonly [second: string, row: Row])[] = [
  ["gear-shaft-frozen", ["hardened-grease", "star-drag-bridge", ["stored", "old", "salt"], ["stiff-in-gear"], { turning: "bad", "free-spool": "good" }, { "grease-hard": true, "shaft-alone-stiff": true }, "knob-stiff", "gear-bearing-ticks", ["gear-bearing-ticks", "rust-inside"]]],
  ["spool-bearing-rough", ["gear-bearing-rough", "lever-drag", ["salt", "kayak"], ["gritty-in-gear", "gritty-free-spool"], { turning: "bad", "free-spool": "bad" }, {}, "stain-only", "spool-bearing-ticks", ["gear-bearing-ticks", "spool-bearing-ticks"]]],
  ["click-tongue-worn", ["drag-worn", "star-drag-bridge", ["fleet"], ["drag-weak", "click-weak"], { "drag-full": "bad", click: "bad" }, {}, "knob-stiff", "washers-thin", ["washers-thin", "tongue-sloped", "washers-glazed", "click-greased"]]],
  ["drag-dry", ["bail-spring-tired", "spinning", ["stored"], ["bail-lazy", "drag-jerks-start"], { bail: "bad", "drag-light": "bad" }, {}, "stain-only", "washers-dry", ["bail-spring-broken", "washers-dry", "bail-pivots-dirty"]]],
  ["roller-bearing-rough", ["clutch-greased", "spinning", ["opened", "salt"], ["slips-back", "slow-retrieve-grind"], { "anti-reverse": "bad", roller: "bad" }, {}, "stain-only", "clutch-greasy", ["clutch-greasy", "roller-drags", "sleeve-pitted"]]],
  ["tension-closed", ["worm-dry", "baitcaster-low-profile", ["salt"], ["level-wind-sticks", "short-spin"], { "level-wind": "bad", "free-spool": "bad" }, {}, "stain-only", "worm-gritty", ["eases-with-tension", "worm-gritty", "longer-without-brakes", "line-in-worm"]]],
  ["brake-oiled", ["spool-bearing-dirty", "baitcaster-low-profile", ["opened"], ["casts-wild", "whizz-on-cast"], { "free-spool": "doubtful" }, { "track-oily": true }, "stain-only", "spool-bearing-dirty", ["spool-bearing-dirty", "spool-bearing-ticks"]]],
  ["yoke-springs-weak", ["drag-glazed", "star-drag-bridge", ["fleet", "old"], ["drag-jerks-start", "engages-late"], { "drag-light": "bad", "drag-full": "doubtful" }, {}, "stain-only", "washers-glazed", ["washers-glazed", "washers-dry", "yoke-springs-short", "pinion-slot-round"]]],
  ["preload-spring-missing", ["plate-bearing-rough", "lever-drag", ["salt", "opened"], ["drag-growls", "free-spool-dead"], { "free-spool": "bad" }, { "cam-mark-wrong": false, "eases-with-preset": false }, "knob-stiff", "plate-bearing-ticks", ["plate-bearing-ticks", "preload-spring-gone"]]],
  ["line-low", ["pinion-bore-dirty", "baitcaster-round", ["old"], ["short-casts"], { "free-spool": "good" }, { "line-low": true, "longer-without-brakes": false }, "stain-only", "pinion-bore-dirty", ["pinion-bore-dirty"]]],
  ["dog-spring-off", ["stack-wrong", "star-drag-bridge", ["opened", "second-hand"], ["drag-weak", "slips-back"], { "drag-full": "bad", "anti-reverse": "bad" }, {}, "knob-stiff", "stack-count-wrong", ["stack-count-wrong", "dog-spring-astray", "washers-stain-paper", "washers-thin"]]],
  ["water-in", ["seals-worn", "spinning-sealed-bail-less", ["kayak"], ["water-inside", "gritty-in-gear"], { turning: "bad" }, { "rust-inside": true }, "stain-only", "seal-lip-torn", ["seal-lip-torn", "o-ring-flat", "gear-bearing-ticks"]]],
];

/** Nothing wrong: a service, a vague word, a mark that only looks bad. */
// biome-ignore format: one case a line, read as a table
const soundRows: readonly (readonly [what: string, ...row: readonly [FamilyId, readonly UseFactor[], readonly FindingId[], Partial<Record<TestId, Verdict>>, Partial<Record<FindingId, boolean>>]])[] = [
  ["yearly service, all tests good", "star-drag-bridge", [], [], { turning: "good", "free-spool": "good", "drag-light": "good", "drag-full": "good", "anti-reverse": "good", click: "good" }, {}],
  ["yearly service of a salt reel, all good", "lever-drag", ["salt"], [], { turning: "good", "free-spool": "good", "drag-light": "good", "drag-strike": "good", "drag-full": "good", "anti-reverse": "good" }, {}],
  ["spinning reel, all good", "spinning", [], [], { turning: "good", "drag-light": "good", "drag-full": "good", "anti-reverse": "good", bail: "good", roller: "good" }, {}],
  ["stain a nail glides over", "star-drag-bridge", [], ["stain-only"], { turning: "good", "free-spool": "good", "drag-full": "good" }, { "nail-glides": true }],
  ["louder since ceramic bearings", "baitcaster-low-profile", ["opened"], ["louder-since-bearings"], { "free-spool": "good", turning: "good" }, { "ceramic-fitted": true, "spool-bearing-ticks": false }],
  ["told of a weak drag, pulls what it should", "star-drag-clutch", [], ["drag-weak"], { "drag-light": "good", "drag-strike": "good", "drag-full": "good" }, { "drag-weak": false }],
  ["told of slipping, holds twenty of twenty", "spinning", [], ["slips-back"], { "anti-reverse": "good", "dead-angle": "good" }, { "slips-back": false }],
  ["bought second hand, wants to know", "baitcaster-round", ["second-hand"], [], { turning: "good", "free-spool": "good", "drag-full": "good", "anti-reverse": "good", "level-wind": "good", click: "good" }, {}],
  ["spincast, all good", "spincast", [], [], { turning: "good", "cast-pin": "good", "drag-full": "good", "anti-reverse": "good" }, {}],
  ["centrepin, spins true", "centrepin", [], [], { "free-spool": "good", click: "good", "side-play": "good" }, { "drum-rocks": false }],
];

const scenarioOf = ([cause, family, use, told, tested, seen, irrelevant, missing, isolating]: Row): Scenario => ({
  cause,
  family,
  use,
  told,
  tested,
  seen,
  irrelevant,
  missing,
  isolating,
});

/** One for each cause. */
export const scenarios: readonly Scenario[] = rows.map(scenarioOf);
/** Other families and other tellings. */
export const moreScenarios: readonly Scenario[] = moreRows.map(scenarioOf);
export const pairScenarios: readonly (Scenario & { readonly second: string })[] = pairs.map(([second, row]) => ({
  ...scenarioOf(row),
  second,
}));
export const soundScenarios = soundRows.map(([what, family, use, told, tested, seen]) => ({ what, family, use, told, tested, seen }));
