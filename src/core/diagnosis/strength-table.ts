import type { FindingId } from "./finding-table";

/** How often a fault, being there alone, brings a finding about: five named classes, so that nobody quarrels over a digit. */
export const strengths = { always: 0.97, usually: 0.8, often: 0.5, sometimes: 0.2, seldom: 0.05 } as const;
export type Strength = keyof typeof strengths;

export interface Link {
  readonly fault: string;
  readonly finding: FindingId;
  readonly strength: Strength;
  /** Why it is so. */
  readonly note: string;
}

type LinkRow = readonly [finding: FindingId, strength: Strength, note: string];

// Source: common practice; each note says by what way the one brings the other about.
// biome-ignore format: one link a line, read as a table
const rows: Readonly<Record<string, readonly LinkRow[]>> = {
  "gear-shaft-frozen": [
    ["stiff-in-gear", "always", "the handle drags the frozen shaft round with it"],
    ["shaft-alone-stiff", "always", "by itself it is as stiff"],
    ["gear-bearing-ticks", "sometimes", "what froze it pitted its bearing"],
    ["rust-inside", "sometimes", "salt got that far"],
    ["gritty-in-gear", "sometimes", "corrosion breaks up as it turns"],
  ],
  "hardened-grease": [
    ["stiff-in-gear", "usually", "wax between the teeth"],
    ["grease-hard", "always", "it is the grease itself"],
    ["shaft-alone-stiff", "seldom", "it hardened round the shaft too"],
    ["engages-late", "seldom", "the yoke wades through it"],
    ["lever-stiff", "sometimes", "the same grease behind the eccentric"],
    ["click-weak", "seldom", "it crept to the tongue"],
  ],
  "line-trapped": [
    ["stiff-in-gear", "usually", "braid winds round the shaft and brakes it"],
    ["short-spin", "usually", "it brakes the spool too"],
    ["braid-on-shaft", "always", "there it is"],
    ["line-behind-spool", "often", "that is how it got there"],
    ["stiff-free-spool", "often", "wound tight it holds the spool"],
    ["hums-after-closing", "seldom", "a strand caught in the plate"],
  ],
  "gears-worn": [
    ["gritty-in-gear", "usually", "worn flanks roll unevenly"],
    ["teeth-hooked", "always", "the teeth show it"],
    ["stiff-in-gear", "sometimes", "hooks climb on each other"],
    ["tick-per-turn", "sometimes", "one tooth is worse"],
    ["slow-retrieve-grind", "seldom", "felt when it turns slowly"],
  ],
  "gear-burr": [
    ["tick-per-turn", "always", "the burr passes once a turn"],
    ["tooth-burred", "always", "a nail finds it"],
    ["gritty-in-gear", "sometimes", "felt as grit when it turns fast"],
    ["stiff-in-gear", "sometimes", "a large burr binds"],
    ["tight-spot", "sometimes", "it binds where it meets"],
  ],
  "plate-overtight": [
    ["hums-after-closing", "usually", "spool and plate no longer line up"],
    ["eases-with-plate", "always", "an eighth of a turn frees it"],
    ["stiff-in-gear", "often", "shafts are pulled out of line"],
    ["short-spin", "usually", "the spool's bearings are squeezed"],
    ["binds-after-refit", "often", "since the screws were drawn"],
    ["stiff-free-spool", "often", "the spool's bearings are squeezed"],
  ],
  "sand-inside": [
    ["gritty-in-gear", "always", "sand between the teeth"],
    ["sand-in-grease", "always", "two fingers feel it"],
    ["stiff-in-gear", "sometimes", "grains wedge"],
    ["gear-bearing-ticks", "sometimes", "it got into the bearings"],
    ["knob-stiff", "seldom", "and into the knob"],
  ],
  "gears-dry": [
    ["gritty-in-gear", "usually", "bare metal whispers"],
    ["teeth-bare", "always", "bright and dry"],
    ["stiff-in-gear", "sometimes", "dry flanks rub"],
    ["slow-retrieve-grind", "sometimes", "heard when it turns slowly"],
  ],
  "gear-bearing-rough": [
    ["gritty-in-gear", "usually", "the pits are felt through the handle"],
    ["gear-bearing-ticks", "always", "under a finger it ticks"],
    ["stiff-in-gear", "often", "a bad one drags"],
    ["rust-inside", "sometimes", "what pitted it"],
    ["tight-spot", "seldom", "one pit is deep"],
  ],
  "main-shaft-bent": [
    ["tight-spot", "always", "it binds where it bows"],
    ["shaft-runs-out", "always", "on glass it rocks"],
    ["stiff-in-gear", "sometimes", "a bad bow binds all round"],
    ["hums-after-closing", "seldom", "the spool rubs once a turn"],
  ],
  "water-in": [
    ["gritty-in-gear", "usually", "salt and rust in the grease"],
    ["grease-milky", "always", "water beaten into the grease"],
    ["rust-inside", "always", "it blooms in days"],
    ["water-inside", "usually", "it runs out when tilted"],
    ["stiff-in-gear", "sometimes", "milky grease thickens"],
    ["gear-bearing-ticks", "often", "bearings go first"],
  ],
  "knob-stiff": [["knob-stiff", "always", "it is the knob itself"]],
  "spool-bearing-rough": [
    ["gritty-free-spool", "usually", "pits felt at the flange"],
    ["spool-bearing-ticks", "always", "clean, it still ticks"],
    ["short-spin", "usually", "rolling over pits brakes"],
    ["whizz-on-cast", "often", "and howls"],
    ["stiff-free-spool", "sometimes", "a bad one nearly holds"],
    ["gritty-in-gear", "sometimes", "the spool turns in gear too"],
  ],
  "water-in-bearings": [
    ["gritty-free-spool", "always", "rust in the races"],
    ["stiff-free-spool", "usually", "they seize"],
    ["short-spin", "always", "hardly a turn"],
    ["spool-bearing-ticks", "always", "pitted"],
    ["spool-bearing-rusty", "always", "brown water in them"],
    ["spool-bearing-dirty", "usually", "brown to the eye"],
    ["rust-inside", "often", "not only there"],
    ["stiff-in-gear", "often", "the spool turns in gear too"],
  ],
  "spool-bearing-dirty": [
    ["short-spin", "usually", "dirt brakes it evenly"],
    ["whizz-on-cast", "often", "dirt sings"],
    ["spool-bearing-dirty", "always", "brown to the eye"],
    ["gritty-free-spool", "sometimes", "fine grit"],
    ["short-casts", "sometimes", "less run at the end"],
  ],
  "spool-bearing-dry": [
    ["whizz-on-cast", "always", "dry balls sing"],
    ["spool-bearing-parched", "always", "no film to be seen"],
    ["spool-bearing-dirty", "usually", "dust where oil was"],
    ["short-spin", "seldom", "a dry one runs long, for a while"],
  ],
  "spool-bearing-drowned": [
    ["short-spin", "usually", "oil shears"],
    ["bearing-swims", "always", "a ring on the paper"],
    ["short-casts", "often", "it brakes most at speed"],
  ],
  "tension-closed": [
    ["short-spin", "always", "the shaft ends are pressed"],
    ["eases-with-tension", "always", "half a turn frees it"],
    ["short-casts", "often", "and it casts short"],
    ["stiff-free-spool", "sometimes", "closed hard it nearly holds"],
    ["hums-after-closing", "sometimes", "closed with the plate"],
  ],
  "brakes-on": [
    ["short-spin", "usually", "magnets brake as it spins"],
    ["longer-without-brakes", "always", "set to nothing it runs"],
    ["short-casts", "often", "and it casts short"],
  ],
  "spool-bent": [
    ["spool-runs-out", "always", "it wobbles"],
    ["short-spin", "usually", "it rubs or shakes"],
    ["tight-spot", "often", "it rubs once a turn"],
    ["hums-after-closing", "sometimes", "and hums"],
    ["whizz-on-cast", "sometimes", "out of balance it sings"],
  ],
  "ceramic-noise": [
    ["louder-since-bearings", "always", "hard balls on steel"],
    ["ceramic-fitted", "always", "white balls"],
    ["whizz-on-cast", "usually", "it is their voice"],
  ],
  "pinion-bore-dirty": [
    ["short-casts", "always", "the shaft turns in the dirt"],
    ["pinion-bore-dirty", "always", "the swab is black"],
    ["short-spin", "sometimes", "felt at the end of a spin"],
  ],
  "line-low": [
    ["short-casts", "usually", "line rubs over the lip"],
    ["line-low", "always", "to be seen"],
  ],
  "brake-oiled": [
    ["casts-wild", "always", "blocks slide on the film"],
    ["track-oily", "always", "the swab shows it"],
  ],
  "blocks-worn": [
    ["casts-wild", "usually", "little left to press"],
    ["blocks-worn", "always", "flat faces"],
  ],
  "side-play-large": [
    ["side-play-large", "always", "it rocks"],
    ["line-behind-spool", "usually", "line finds the gap"],
    ["flange-chipped", "sometimes", "and chips the flange"],
    ["hums-after-closing", "seldom", "the flange touches"],
  ],
  "bearing-cocked": [
    ["binds-after-refit", "always", "it came askew then"],
    ["bearing-cocked", "always", "not square in its seat"],
    ["stiff-in-gear", "often", "the shaft is forced"],
    ["short-spin", "usually", "and the spool with it"],
    ["stiff-free-spool", "often", "it holds the shaft"],
  ],
  "washer-doubled": [
    ["binds-after-refit", "always", "no room left"],
    ["washer-doubled", "always", "one more than the schematic"],
    ["short-spin", "often", "the shaft is pressed"],
    ["stiff-in-gear", "sometimes", "and the gears"],
  ],
  "cam-half-turn": [
    ["free-spool-dead", "always", "the drag is on when the lever says off"],
    ["cam-mark-wrong", "always", "half a turn round"],
    ["short-spin", "always", "it does not spin"],
    ["drag-weak", "often", "and is off at full"],
  ],
  "preset-tight": [
    ["free-spool-dead", "usually", "the plate never lifts"],
    ["eases-with-preset", "always", "backed off it frees"],
    ["short-spin", "always", "the plate rubs"],
    ["drag-jumps", "sometimes", "all the pull in the first of the lever"],
  ],
  "preload-spring-missing": [
    ["free-spool-dead", "usually", "nothing lifts the plate"],
    ["preload-spring-gone", "always", "not under the cap"],
    ["short-spin", "usually", "the plate drags"],
  ],
  "drag-dry": [
    ["drag-jerks-start", "usually", "dry faces stick, then let go"],
    ["washers-dry", "always", "nothing between the fingers"],
    ["drag-pulses", "seldom", "dry in patches"],
  ],
  "drag-hard": [
    ["drag-jerks-start", "often", "it neither gives nor grips"],
    ["drag-weak", "usually", "hard faces slide"],
    ["washers-hard", "always", "the nail stays on top"],
    ["washers-dry", "sometimes", "the grease has gone out of it"],
  ],
  "drag-glazed": [
    ["drag-jerks-start", "usually", "glass on steel"],
    ["drag-weak", "often", "the glaze slides"],
    ["washers-glazed", "always", "they shine"],
    ["drag-pulses", "sometimes", "glazed in patches"],
  ],
  "drag-fused": [
    ["drag-stuck", "usually", "it holds until it tears"],
    ["drag-jerks-start", "always", "then lets go at once"],
    ["washers-fused", "always", "stuck to its plate"],
  ],
  "drag-oiled": [
    ["drag-weak", "always", "oil carries the load"],
    ["washers-stain-paper", "always", "the paper shows it"],
  ],
  "drag-worn": [
    ["drag-weak", "usually", "the stack no longer closes"],
    ["washers-thin", "always", "the caliper shows it"],
    ["drag-jumps", "seldom", "the star runs out of thread"],
  ],
  "drag-ridged": [
    ["drag-pulses", "usually", "the ridge passes once a turn"],
    ["plates-ridged", "always", "a nail catches"],
    ["drag-jerks-start", "sometimes", "it climbs the ridge"],
  ],
  "tension-washers-nested": [
    ["drag-jumps", "always", "four times as stiff, half the travel"],
    ["cups-nested", "always", "no light between them"],
    ["star-silent", "seldom", "the star sits differently"],
  ],
  "tension-washers-flat": [
    ["cups-flat", "always", "flat on the glass"],
    ["drag-weak", "often", "little force left"],
    ["drag-jumps", "often", "no travel left"],
  ],
  "stack-wrong": [
    ["drag-weak", "usually", "a gap too few"],
    ["stack-count-wrong", "always", "beside the schematic it shows"],
    ["drag-jumps", "seldom", "the height is off"],
    ["drag-jerks-start", "seldom", "metal on metal"],
  ],
  "spacer-missing": [
    ["drag-locks-with-nut", "always", "the nut presses the star"],
    ["star-free-without-handle", "always", "without the handle it is free"],
    ["spacer-gone", "always", "it is not there"],
  ],
  "stack-not-pressed": [
    ["drag-locks-with-nut", "always", "the nut presses what was not home"],
    ["frees-when-pressed", "always", "pressed home it leaves the star free"],
    ["star-free-without-handle", "usually", "without the handle it is free"],
  ],
  "star-wrong": [
    ["drag-locks-with-nut", "often", "it meets the handle"],
    ["star-sits-low", "always", "or the collar"],
    ["drag-weak", "often", "or stops before the stack is closed"],
  ],
  "star-click-worn": [
    ["star-silent", "always", "nothing to click with"],
    ["star-spring-bent", "always", "bent or gone"],
  ],
  "clutch-greased": [
    ["slips-back", "usually", "needles slide in grease"],
    ["clutch-greasy", "always", "to be seen"],
    ["fixed-slip", "sometimes", "it grips late"],
    ["turns-backwards", "sometimes", "stiff grease in the cold"],
  ],
  "clutch-sleeve-pitted": [
    ["slips-back", "usually", "needles fall into the pits"],
    ["sleeve-pitted", "always", "a nail feels them"],
    ["fixed-slip", "sometimes", "until they climb out"],
  ],
  "clutch-worn": [
    ["fixed-slip", "usually", "the dog catches after the clutch let go"],
    ["needles-worn", "always", "clean, it still grips late"],
    ["slips-back", "often", "counted as a slip"],
  ],
  "dog-spring-off": [
    ["slips-back", "usually", "the dog falls when it likes"],
    ["dog-spring-astray", "always", "not behind its stud"],
    ["turns-backwards", "often", "or does not fall at all"],
  ],
  "dog-upside-down": [
    ["turns-backwards", "usually", "the nose slides over"],
    ["dog-inverted", "always", "to be seen"],
    ["slips-back", "often", "it catches now and then"],
  ],
  "ratchet-worn": [
    ["slips-back", "usually", "round corners let go under load"],
    ["ratchet-round", "always", "to be seen"],
  ],
  "switch-off": [
    ["turns-backwards", "always", "that is what it is for"],
    ["switch-off", "always", "to be seen"],
  ],
  "click-tongue-worn": [
    ["click-weak", "usually", "a slope strikes softly"],
    ["tongue-sloped", "always", "beside a new one it shows"],
    ["click-one-sided", "sometimes", "worn on one side"],
  ],
  "click-spring-tired": [
    ["click-one-sided", "usually", "it does not come back"],
    ["click-spring-lazy", "always", "pushed aside it stays"],
    ["click-weak", "often", "and strikes softly"],
    ["button-spongy", "seldom", "the same spring holds the button"],
  ],
  "click-gear-loose": [
    ["click-weak", "often", "it gives way"],
    ["click-gear-worn", "always", "it turns on its shaft"],
    ["click-one-sided", "often", "or jumps"],
  ],
  "click-greased": [
    ["click-weak", "usually", "grease dulls it"],
    ["click-greased", "always", "packed full"],
    ["click-one-sided", "seldom", "it sticks"],
  ],
  "button-spring-tired": [
    ["button-spongy", "always", "it does not snap"],
    ["button-spring-tired", "always", "beside its mate it shows"],
    ["click-weak", "sometimes", "the tongue is not held in"],
  ],
  "bail-spring-tired": [
    ["bail-lazy", "always", "no force to shut it"],
    ["bail-spring-broken", "always", "to be seen"],
  ],
  "bail-wire-bent": [
    ["bail-lazy", "usually", "it hangs"],
    ["bail-wire-bent", "always", "sighted along"],
    ["bail-sticks", "often", "it rubs on one side"],
  ],
  "bail-dirty": [
    ["bail-sticks", "usually", "salt in the pivots"],
    ["bail-pivots-dirty", "always", "to be seen"],
    ["bail-lazy", "often", "the spring cannot"],
  ],
  "trip-lever-bent": [
    ["bail-lazy", "usually", "it trips late or not"],
    ["trip-lever-bent", "always", "to be seen"],
  ],
  "roller-bearing-rough": [
    ["slow-retrieve-grind", "always", "the line drags it slowly"],
    ["roller-drags", "always", "under a braid it drags"],
    ["gritty-in-gear", "seldom", "felt in the hand"],
  ],
  "rotor-misfit": [
    ["hums-after-closing", "always", "it rubs"],
    ["pinion-stands-low", "always", "measured above the rotor"],
    ["stiff-in-gear", "often", "and drags"],
    ["binds-after-refit", "often", "since it was off"],
  ],
  "worm-dry": [
    ["level-wind-sticks", "usually", "the pawl drags"],
    ["worm-gritty", "always", "turned by itself it grates"],
    ["gritty-in-gear", "sometimes", "felt in the handle"],
  ],
  "pawl-worn": [
    ["level-wind-sticks", "always", "it stops at an end"],
    ["pawl-edge-worn", "always", "a lens shows it"],
  ],
  "worm-fouled": [
    ["level-wind-sticks", "always", "it jams"],
    ["line-in-worm", "always", "to be seen"],
    ["stiff-in-gear", "often", "and holds the handle"],
  ],
  "thumb-bar-salted": [
    ["lever-stiff", "always", "it rubs in its slot"],
    ["lever-slot-salted", "always", "to be seen"],
  ],
  "lever-gummed": [
    ["lever-stiff", "always", "grease behind the eccentric"],
    ["lever-slot-salted", "always", "seen at the slot"],
    ["engages-late", "sometimes", "it moves slowly"],
  ],
  "spring-proud": [
    ["lever-stiff", "usually", "it hooks halfway"],
    ["spring-end-proud", "always", "a nail finds it"],
  ],
  "lever-spring-tired": [
    ["lever-spongy", "always", "it does not throw home"],
    ["control-spring-tired", "always", "by hand it shows"],
    ["engages-late", "sometimes", "half thrown"],
  ],
  "jack-off-stud": [
    ["will-not-engage", "always", "nothing moves the yoke"],
    ["jack-astray", "always", "to be seen"],
    ["lever-spongy", "sometimes", "the lever works against nothing"],
  ],
  "yoke-springs-weak": [
    ["engages-late", "always", "they push the pinion late"],
    ["yoke-springs-short", "always", "side by side it shows"],
    ["will-not-engage", "often", "or not at all"],
  ],
  "pinion-slot-worn": [
    ["engages-late", "often", "the corners ride up"],
    ["pinion-slot-round", "always", "to be seen"],
    ["will-not-engage", "sometimes", "or slip off"],
    ["tick-per-turn", "seldom", "it jumps"],
  ],
  "pick-up-pin-hangs": [
    ["loses-line", "always", "nothing takes the line"],
    ["pin-hangs", "always", "to be seen"],
  ],
  "seals-worn": [
    ["water-inside", "usually", "it came past the lip"],
    ["seal-lip-torn", "always", "a lens shows it"],
    ["gritty-in-gear", "often", "the gears felt it"],
    ["rust-inside", "often", "and rusted"],
  ],
  "o-ring-leaks": [
    ["water-inside", "usually", "it came past the ring"],
    ["o-ring-flat", "always", "between the fingers it shows"],
    ["rust-inside", "often", "and rusted"],
    ["gritty-in-gear", "sometimes", "the gears felt it"],
  ],
  "handle-loose": [
    ["wobbles", "usually", "the handle rocks on its seat"],
    ["handle-screw-loose", "always", "it is the screw itself"],
    ["tick-per-turn", "sometimes", "it knocks once a turn"],
  ],
  "rotor-nut-loose": [
    ["wobbles", "usually", "the rotor rocks on the pinion"],
    ["rotor-nut-turns", "always", "it is the nut itself"],
    ["hums-after-closing", "sometimes", "the rotor rubs as it tilts"],
  ],
  "oscillation-broken": [
    ["no-oscillation", "always", "nothing carries the shaft to and fro"],
    ["block-worn", "always", "there it is"],
    ["line-twists", "sometimes", "line piles up at one place"],
  ],
  "roller-seized": [
    ["line-twists", "usually", "line is dragged over it and rolled"],
    ["roller-drags", "sometimes", "before it stands still"],
    ["roller-stuck", "always", "it is the roller itself"],
  ],
  "frame-cracked": [
    ["creaks", "usually", "the crack works under load"],
    ["frame-crack-seen", "always", "there it is"],
    ["wobbles", "seldom", "the foot gives"],
    ["stiff-in-gear", "seldom", "shafts go out of line under load"],
  ],
  "plate-bearing-rough": [
    ["drag-growls", "usually", "it carries the drag's thrust"],
    ["plate-bearing-ticks", "always", "by itself it ticks"],
    ["drag-jerks-start", "sometimes", "it sticks before it rolls"],
    ["rust-inside", "sometimes", "what spoiled it shows"],
  ],
  "lever-washers-dry": [
    ["lever-stiff-up", "always", "metal rubs on plastic without a film"],
    ["stiff-without-preset", "always", "no spring has a share in it"],
  ],
  "shield-dented": [
    ["shield-dent-seen", "always", "it is the shield itself"],
    ["stiff-free-spool", "usually", "the shield brakes the inner ring"],
    ["short-spin", "often", "it brakes at every turn"],
    ["spool-bearing-ticks", "sometimes", "the ring catches it"],
  ],
  "preload-lost": [
    ["drum-rocks", "usually", "nothing holds the bearings apart"],
    ["no-preload", "always", "there is no spring to feel"],
    ["side-play-large", "often", "the drum moves end to end"],
  ],
  "hub-clip-astray": [
    ["clip-proud", "always", "it is the clip itself"],
    ["drum-rocks", "often", "the bearing walks"],
    ["side-play-large", "often", "the bearing walks"],
  ],
  "screw-seized": [
    ["will-not-open", "always", "it is the screw itself"],
    ["rust-inside", "seldom", "the same salt"],
  ],
  "screw-missing": [["screw-hole-empty", "always", "there is the hole"]],
  "cosmetic-only": [
    ["stain-only", "always", "it is all there is"],
    ["nail-glides", "always", "nothing to feel"],
  ],
};

export const links: readonly Link[] = Object.entries(rows).flatMap(([fault, list]) =>
  list.map(([finding, strength, note]) => ({ fault, finding, strength, note })),
);
