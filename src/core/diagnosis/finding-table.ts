/**
 * Conditions of a reel: what is really so, apart from who noticed it. A complaint, a test and a look are observations of one of them, each with
 * its own hits and false alarms. Source: common practice.
 */
export const findingAreas = ["turning", "spool", "drag", "anti-reverse", "click", "bail", "level-wind", "controls", "outside"] as const;
export type FindingArea = (typeof findingAreas)[number];

/** [id, what is so, where it is felt or seen, how often it is so in a reel in which nothing of the catalogue is wrong]. */
type FindingRow = readonly [id: string, name: string, area: FindingArea, leak: number];

// biome-ignore format: one finding a line, read as a table
const rows = [
  // Felt and heard with the reel closed.
  ["stiff-in-gear", "Hard to turn in gear", "turning", 0.03],
  ["gritty-in-gear", "Gritty or grinding in gear", "turning", 0.03],
  ["tick-per-turn", "A tick at the same place of every handle turn", "turning", 0.01],
  ["tight-spot", "A tight spot once a turn", "turning", 0.01],
  ["slow-retrieve-grind", "Grinds on a slow retrieve", "turning", 0.01],
  ["binds-after-refit", "Binds since it was put together", "turning", 0.005],
  ["hums-after-closing", "Rubs or hums since it was closed, quiet before", "turning", 0.005],
  ["knob-stiff", "Handle knob drags", "turning", 0.05],
  ["stiff-free-spool", "Spool hard to turn in free spool", "spool", 0.01],
  ["gritty-free-spool", "Grinds in free spool", "spool", 0.01],
  ["short-spin", "Spins short", "spool", 0.04],
  ["whizz-on-cast", "Whizzes or howls on the cast", "spool", 0.02],
  ["short-casts", "Casts short though the spool runs smoothly", "spool", 0.02],
  ["casts-wild", "Casts run wild, the brake fades", "spool", 0.01],
  ["free-spool-dead", "No free spool at free", "spool", 0.003],
  ["side-play-large", "Spool rocks end to end", "spool", 0.02],
  ["line-behind-spool", "Line gets behind the spool", "spool", 0.01],
  ["louder-since-bearings", "Louder since bearings were changed", "spool", 0.003],
  ["drag-jerks-start", "Drag jerks at the start", "drag", 0.03],
  ["drag-pulses", "Drag pulses while it runs", "drag", 0.01],
  ["drag-weak", "Drag weak with its adjuster home", "drag", 0.02],
  ["drag-jumps", "Drag jumps from loose to locked", "drag", 0.005],
  ["drag-stuck", "Drag holds though it is backed off", "drag", 0.003],
  ["drag-locks-with-nut", "Drag locks as the handle nut is drawn", "drag", 0.002],
  ["star-silent", "Star or knob turns without its click", "drag", 0.02],
  ["slips-back", "Slips backwards before it holds", "anti-reverse", 0.02],
  ["turns-backwards", "Turns backwards freely", "anti-reverse", 0.003],
  ["fixed-slip", "Gives the same small angle, then holds", "anti-reverse", 0.01],
  ["will-not-engage", "Will not go into gear", "controls", 0.003],
  ["engages-late", "Goes into gear late or half", "controls", 0.01],
  ["lever-stiff", "Free-spool lever or thumb bar stiff", "controls", 0.02],
  ["lever-spongy", "Free-spool lever spongy", "controls", 0.01],
  ["button-spongy", "Click button spongy", "controls", 0.01],
  ["click-weak", "Click weak", "click", 0.03],
  ["click-one-sided", "Click speaks one way only, or not at all", "click", 0.01],
  ["bail-lazy", "Bail does not snap", "bail", 0.01],
  ["bail-sticks", "Bail moves stiffly all the way", "bail", 0.01],
  ["loses-line", "Winds nothing, or drops the line", "bail", 0.003],
  ["level-wind-sticks", "Level wind sticks or stops", "level-wind", 0.01],
  ["water-inside", "Water or milky grease comes out", "outside", 0.01],
  ["will-not-open", "A screw does not turn", "outside", 0.01],
  ["stain-only", "A dark stain, or bronze under thin chrome", "outside", 0.08],
  ["screw-hole-empty", "A screw hole is empty", "outside", 0.03],
  ["flange-chipped", "Flange chipped", "outside", 0.01],
  // Seen or felt by a look, most of them with a side open.
  ["shaft-alone-stiff", "Gear shaft turns hard by itself", "turning", 0.004],
  ["gear-bearing-ticks", "Gear-side bearing ticks under a finger", "turning", 0.004],
  ["grease-hard", "Grease dark and waxy", "turning", 0.04],
  ["teeth-bare", "Teeth bare of grease", "turning", 0.02],
  ["sand-in-grease", "Sand in the grease", "turning", 0.01],
  ["teeth-hooked", "Teeth hooked or thin", "turning", 0.005],
  ["tooth-burred", "One tooth bent or burred", "turning", 0.003],
  ["braid-on-shaft", "Line round a shaft", "turning", 0.003],
  ["eases-with-plate", "Frees when the plate screws are eased", "turning", 0.004],
  ["shaft-runs-out", "Main shaft bent", "turning", 0.003],
  ["rust-inside", "Rust bloom inside", "turning", 0.02],
  ["roller-drags", "Line roller drags under a braid", "turning", 0.01],
  ["eases-with-tension", "Frees when the tension is opened", "spool", 0.01],
  ["longer-without-brakes", "Spins clearly longer with magnets at nothing and blocks parked", "spool", 0.05],
  ["spool-bearing-ticks", "Spool bearing ticks under a finger when clean", "spool", 0.01],
  ["spool-bearing-dirty", "Spool bearing brown or dry", "spool", 0.04],
  ["bearing-swims", "Spool bearing swims in oil, or the oil is thick", "spool", 0.02],
  ["bearing-cocked", "Bearing sits askew in its seat", "spool", 0.003],
  ["spool-runs-out", "Spool runs out of true", "spool", 0.005],
  ["pinion-bore-dirty", "Swab through the pinion comes out black", "spool", 0.03],
  ["line-low", "Line old or low on the spool", "spool", 0.05],
  ["track-oily", "Brake track oily", "spool", 0.01],
  ["blocks-worn", "Brake blocks worn flat", "spool", 0.01],
  ["ceramic-fitted", "Ceramic balls in the bearing", "spool", 0.02],
  ["washer-doubled", "A washer or shim too many", "spool", 0.003],
  ["cam-mark-wrong", "Cam's mark on the wrong side", "spool", 0.001],
  ["eases-with-preset", "Frees when the preset is backed off", "spool", 0.004],
  ["preload-spring-gone", "No spring under the cap", "spool", 0.001],
  ["washers-dry", "Friction washers dry", "drag", 0.03],
  ["washers-glazed", "Friction washers shine", "drag", 0.01],
  ["washers-fused", "A friction washer sticks to its plate", "drag", 0.003],
  ["washers-thin", "Friction washers thinner than their size", "drag", 0.01],
  ["washers-stain-paper", "Washers leave a stain on paper", "drag", 0.01],
  ["plates-ridged", "A nail catches on a metal washer", "drag", 0.01],
  ["cups-nested", "Tension washers lie in one another", "drag", 0.003],
  ["cups-flat", "Tension washers have lost their cup", "drag", 0.005],
  ["stack-count-wrong", "Stack differs from the schematic in count or order", "drag", 0.003],
  ["star-free-without-handle", "Star turns freely once the handle is off", "drag", 0.01],
  ["spacer-gone", "No spacer under the handle", "drag", 0.002],
  ["star-sits-low", "Star of another pattern: it meets the collar", "drag", 0.002],
  ["star-spring-bent", "Star click spring bent or gone", "drag", 0.01],
  ["clutch-greasy", "Grease between the clutch's needles", "anti-reverse", 0.01],
  ["sleeve-pitted", "Clutch sleeve pitted where the needles run", "anti-reverse", 0.005],
  ["needles-worn", "Clutch grips late even clean", "anti-reverse", 0.003],
  ["dog-spring-astray", "Dog spring off its stud or broken", "anti-reverse", 0.002],
  ["dog-inverted", "Dog in upside down", "anti-reverse", 0.001],
  ["ratchet-round", "Dog's nose or ratchet's corners round", "anti-reverse", 0.005],
  ["switch-off", "Anti-reverse switched off", "anti-reverse", 0.01],
  ["jack-astray", "Jack off the eccentric's stud", "controls", 0.001],
  ["yoke-springs-short", "Yoke springs short, or one gone", "controls", 0.004],
  ["pinion-slot-round", "Pinion's slot worn round", "controls", 0.004],
  ["lever-slot-salted", "Salt or dry grease in the lever's slot", "controls", 0.02],
  ["control-spring-tired", "Wire spring of the lever no longer throws it home", "controls", 0.004],
  ["button-spring-tired", "Wire spring of the click button tired or broken", "controls", 0.004],
  ["spring-end-proud", "A spring's end stands proud and has cut a rut", "controls", 0.003],
  ["tongue-sloped", "Click tongue sheared to a slope", "click", 0.01],
  ["click-spring-lazy", "Click spring does not snap the tongue back", "click", 0.005],
  ["click-gear-worn", "Click gear loose or its teeth gone", "click", 0.003],
  ["click-greased", "Tongue and gear packed with grease", "click", 0.01],
  ["bail-spring-broken", "Bail spring bent or broken", "bail", 0.003],
  ["bail-wire-bent", "Bail wire bent", "bail", 0.005],
  ["bail-pivots-dirty", "Bail pivots dirty or dry", "bail", 0.02],
  ["trip-lever-bent", "Trip lever bent or worn", "bail", 0.002],
  ["pinion-stands-low", "Pinion stands low in the rotor", "bail", 0.001],
  ["pin-hangs", "Pick-up pin stays in", "bail", 0.002],
  ["worm-gritty", "Worm dry or gritty", "level-wind", 0.02],
  ["pawl-edge-worn", "Pawl's edge worn", "level-wind", 0.005],
  ["line-in-worm", "Line in the level wind", "level-wind", 0.003],
  ["seal-lip-torn", "Lip of the main seal torn or hard", "outside", 0.004],
  ["o-ring-flat", "An O-ring flat, nicked or missing", "outside", 0.005],
  ["nail-glides", "A nail glides over the stain", "outside", 0.05],
] as const satisfies readonly FindingRow[];

/** A finding of the table, or one a shop added. */
export type FindingId = (typeof rows)[number][0] | `shop-${string}`;

export interface FindingSpec {
  readonly id: FindingId;
  readonly name: string;
  readonly area: FindingArea;
  /** Probability that it is so though no fault of the catalogue brings it about. */
  readonly leak: number;
}

export const findings: readonly FindingSpec[] = rows.map(([id, name, area, leak]) => ({ id, name, area, leak }));
