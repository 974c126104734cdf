import type { FamilyId } from "@/core/vocabulary/families";

/**
 * What hands cannot do otherwise when a reel of each family goes together, written from the bench and not from the templates (common practice).
 * A line is read from left to right: everything before a ">" is done before everything after it.
 */

const foot = "frame > foot > foot-screw-front foot-screw-rear";

/** What hands cannot do otherwise at a module, by how it is built; a line names the module in brackets. */
const modules: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  "under-handle": {
    spacer: "handle-spacer",
    "spring-plate": "handle-spacer > spring-plate",
    "square-plate": "handle-spacer",
    "thin-washer": "handle-spacer",
  },
  knob: {
    pin: "knob-washer > knob",
    bearing: "knob-washer > knob-bearing > knob",
    "bush-under-cap": "knob-washer > knob-bush > knob > knob-screw > knob-cap",
    "bearings-under-cap": "knob-washer > knob-bearing > knob > knob-bearing-outer > knob-screw > knob-cap",
  },
  // The star is felt with the end tight, before anything locks it.
  "handle-end": {
    "lock-screw": "handle-nut > tighten-nut > gate-handle > lock-screw",
    "slotted-screw": "handle-screw > tighten-handle-screw > gate-handle",
    keeper: "handle-nut > tighten-nut > gate-handle > nut-keeper > keeper-screw",
  },
  // Screws of a plate go in before it is drawn down, the foot's with them where it is held between the plates.
  "ring head": {
    six: "head-screw-top head-screw-front head-screw-rear head-screw-low head-screw-foot-front head-screw-foot-rear",
    four: "head-screw-top head-screw-front head-screw-rear head-screw-low",
    three: "head-screw-top head-screw-front head-screw-rear",
    lugs: "head-screw-top head-screw-front head-screw-rear head-screw-low head-screw-foot-front head-screw-foot-rear",
  },
  "ring tail": {
    six: "tail-screw-top tail-screw-front tail-screw-rear tail-screw-low tail-screw-foot-front tail-screw-foot-rear",
    four: "tail-screw-top tail-screw-front tail-screw-rear tail-screw-low",
    three: "tail-screw-top tail-screw-front tail-screw-rear",
    // The plate is turned home before its one screw.
    lugs: "close-tail > take-apart-screw",
  },
  "ring foot": {
    six: "head-screw-foot-front head-screw-foot-rear tail-screw-foot-front tail-screw-foot-rear",
    four: "foot-screw-front foot-screw-rear",
    three: "foot-screw-front foot-screw-rear",
    lugs: "head-screw-foot-front head-screw-foot-rear",
  },
  // Spool and click are in before the tail plate closes.
  "tail-ring": {
    three: "tail-screw-top tail-screw-front tail-screw-rear > tighten-tail",
    lugs: "take-apart-screw > tighten-tail",
  },
  stack: {
    "three-three": "friction-low > keyed-low > friction-mid > eared > friction-high > keyed-high",
    "four-three-cap": "friction-low > keyed-low > friction-mid > eared > friction-high > keyed-third > friction-top > keyed-high",
  },
  // Where a washer lies on the star too, the star is felt without it.
  tension: {
    two: "tension-lower > tension-upper > star > gate-star",
    one: "tension-upper > star > gate-star",
    three: "tension-lower > tension-middle > tension-upper > star > gate-star",
    "either-side": "tension-upper > star > tension-outer gate-star",
  },
  "head-support": { bearing: "spool > head-bearing > spool-in", bush: "head-plate > head-bush" },
  "tail-support": {
    bearing: "click-gear > tail-bearing > spool-in",
    bush: "tail-plate > tail-bush",
    "cap-bush": "cap > tail-bush",
  },
  "star-click": {
    loose: "tension-upper > star-click > star",
    "in-star": "tension-upper > star",
    none: "tension-upper > star",
  },
  brakes: {
    both: "spool > brake-hub > brake-block-a brake-block-b brake-block-c brake-block-d > side-plate > magnet-front magnet-rear > magnet-dial; side-plate > brake-drum",
    blocks: "spool > brake-hub > brake-block-a brake-block-b brake-block-c brake-block-d > side-plate > brake-drum",
    six: "spool > brake-hub > brake-block-a brake-block-b brake-block-c brake-block-d brake-block-e brake-block-f > side-plate > brake-drum",
    shoes: "spool > brake-hub > brake-block-a brake-block-b brake-block-c brake-block-d > side-plate > brake-drum",
    two: "spool > brake-hub > brake-block-a brake-block-b > side-plate > brake-drum",
    magnets: "side-plate > magnet-front magnet-rear > magnet-dial",
    none: "spool > side-plate",
  },
  "tail-door": {
    screws:
      "spool tension-cap > back-off > side-screw-top side-screw-front side-screw-rear > gate-spin; side-plate > side-screw-top side-screw-front side-screw-rear",
    coin: "spool tension-cap > back-off > side-screw-front > gate-spin; side-plate > side-screw-front",
    lugs: "spool tension-cap > back-off > turn-home > gate-spin; side-plate plate-keeper > turn-home",
  },
  dog: { none: "ratchet > main-gear", dog: "frame > dog > dog-spring > gear-plate" },
  // A spinning reel.
  "gear-shims": {
    one: "gear-shim",
    none: "",
    two: "gear-shim > gear-shim-second",
    three: "gear-shim > gear-shim-second > gear-shim-third",
  },
  "cover-screws": {
    three: "cover-screw-top cover-screw-front cover-screw-rear",
    four: "cover-screw-top cover-screw-front cover-screw-rear cover-screw-low",
    five: "cover-screw-top cover-screw-front cover-screw-rear cover-screw-low cover-screw-neck",
  },
  "spool-shims": { one: "spool-shim", two: "spool-shim > spool-shim-upper" },
  neck: {
    plain: "clutch-plate > collar-spring",
    ramp: "clutch-plate > neck-shield > snap-wire > trip-ramp > ramp-screw-front ramp-screw-rear > boot > rotor",
  },
  "nut-lock": {
    screw: "gate-rotor > nut-screw",
    plate: "gate-rotor > lock-plate > nut-screw",
    plain: "rotor-nut > tighten-nut",
  },
  "handle-end of a spinning reel": { bolted: "handle > handle-insert; handle > cap-washer > handle-cap", screwed: "handle > knob" },
  roller: {
    bearing: "roller-spacer > roller-bearing > roller > roller-spacer-outer > roller-screw",
    bush: "roller-bush > roller > roller-washer > roller-screw",
  },
  "drag-pieces": {
    usual: "keyed-high > drag-clip",
    nine: "keyed-high > friction-top > eared-top > friction-last > drag-clip",
  },
  guide: {
    one: "shaft-guide > guide-seal-inner > guide-seal-outer",
    two: "shaft-guide > guide-seal-inner > guide-seal-outer; shaft-guide > guide-sleeve > knurled-ring",
  },
  // With a trigger the bail is tried by it too.
  trigger: {
    hand: "bail-screw arm-screw > gate-bail > spool",
    trigger: "bail-arm > trigger > trigger-spring > gate-bail; bail-screw arm-screw > gate-bail > spool",
  },
  // Loaded by its screw the dog comes last, over a closed stack; on a post of its own it is tried bare.
  "dog-spring": {
    coil: "sleeve-pin > ratchet > under-gear-washer; keyed-high > bridge-screw-low-front > dog > dog-spring > load-dog > bridge-screw-top-rear bridge-screw-top-front bridge-screw-low-rear; ratchet load-dog bridge-screw-top-rear > gate-dog > tighten-bridge",
    wire: "sleeve-pin > ratchet > under-gear-washer; bridge > dog-spring > dog > bridge-screw-low-front > load-dog > bridge-screw-top-rear bridge-screw-top-front bridge-screw-low-rear; ratchet load-dog bridge-screw-top-rear > gate-dog > tighten-bridge",
    inside:
      "sleeve-pin > ratchet > under-gear-washer; keyed-high > bridge-screw-low-front > dog > dog-spring > load-dog > bridge-screw-top-rear bridge-screw-top-front bridge-screw-low-rear; ratchet load-dog bridge-screw-top-rear > gate-dog > tighten-bridge",
    post: "sleeve-pin > ratchet; bridge > dog > dog-spring; ratchet dog-spring > gate-dog > under-gear-washer",
  },
  "anti-reverse of a bridge": { both: "[dog-spring]", clutch: "gear-sleeve > under-gear-washer" },
  "anti-reverse of a full frame": {
    both: "gate-shaft > ratchet; frame > dog > dog-spring; ratchet dog-spring > gate-dog > under-gear-washer",
    clutch: "gate-shaft > under-gear-washer",
  },
  "sleeve-seat": { post: "", bearing: "tail-plate > sleeve-bearing > bearing-clip" },
  brake: { none: "", magnets: "tail-plate > brake-magnet > magnet-dial" },
  "level-wind": {
    none: "",
    worm: "frame > worm-bush-far > worm > worm-bush > worm-gear > worm-clip; frame > guide-bar; worm guide-bar > guide > pawl > pawl-washer > pawl-cap; pawl-cap worm-clip > gate-wind > spool-in",
  },
  override: { none: "", switch: "head-plate > override" },
  plates: { plain: "", trim: "head-plate > locating-pin; [ring head] > trim-ring" },
  cover: {
    plain: "",
    trim: "head-plate frame > ring-screw > trim-ring > cover-screw-top-front cover-screw-top-rear cover-screw-low-front cover-screw-low-rear",
  },
  size: { usual: "head-plate > pinion-bearing > pinion", small: "head-plate > pinion" },
  "way-in": {
    "cam-first": "lever > quadrant > [quadrant-screws] > tighten-quadrant > cam",
    "ring-and-lever": "head-plate > cam > lever > quadrant > [quadrant-screws] > tighten-quadrant",
  },
  "under-gear": { nothing: "", friction: "ratchet > under-gear > main-gear", plastic: "ratchet > under-gear > main-gear" },
  pinion: { bearing: "frame > pinion-bearing > yoke", spool: "frame > yoke" },
  "anti-reverse of a spinning reel": {
    clutch:
      "pinion > clutch-sleeve > clutch > clutch-plate > clutch-screw-top clutch-screw-front clutch-screw-rear > gate-clutch > collar-spring",
    both: "pinion > clutch-sleeve > clutch > clutch-plate > clutch-screw-top clutch-screw-front clutch-screw-rear > gate-clutch > collar-spring; clutch-plate > ratchet > friction-spring > collar-spring; clutch-plate > dog > dog-screw > collar-spring; clutch-plate > dog-spring > collar-spring",
    dog: "pinion > clutch-plate > clutch-screw-top clutch-screw-front clutch-screw-rear; clutch-plate > ratchet > friction-spring > collar-spring; clutch-plate > dog > dog-screw > collar-spring; clutch-plate > dog-spring > gate-clutch; ratchet dog > gate-clutch > collar-spring",
    body: "pinion > clutch-plate > clutch-screw-top clutch-screw-front clutch-screw-rear; body > dog > dog-spring > drive-gear > ratchet > gear-bearing-outer; ratchet > [gear-shims] > gear-bearing-outer; ratchet pinion > gate-clutch > side-cover",
  },
  "anti-reverse": {
    clutch: "gear-plate > plate-shaft-bearing > clutch > clutch-sleeve > gate-clutch > [tension]",
    dog: "ratchet > dog > dog-spring > gate-dog > main-gear; gear-plate > plate-shaft-bearing > clutch-sleeve > [tension]",
  },
  "tail-click": {
    click:
      "side-plate > click-tongue > click-spring click-button; click-spring side-screw-top side-screw-front side-screw-rear > gate-click; spool > click-gear",
    none: "spool > side-plate",
  },
  "wind-drive": { gear: "worm-clip > spool", spool: "worm-gear > idler > spool" },
  // A lever drag.
  ring: {
    three: "plate-screw-top plate-screw-front plate-screw-rear",
    five: "plate-screw-top plate-screw-front plate-screw-rear plate-screw-low-front plate-screw-low-rear",
    six: "plate-screw-top plate-screw-front plate-screw-rear plate-screw-foot-front plate-screw-foot-middle plate-screw-foot-rear",
    seven:
      "plate-screw-top plate-screw-front plate-screw-rear plate-screw-low-front plate-screw-low-rear plate-screw-anchor-front plate-screw-anchor-rear",
  },
  "quadrant-screws": {
    "short-middle": "quadrant-screw-front quadrant-screw-middle quadrant-screw-rear",
    "flat-middle": "quadrant-screw-front quadrant-screw-middle quadrant-screw-rear",
    "three-lengths": "quadrant-screw-front quadrant-screw-middle quadrant-screw-rear",
    two: "quadrant-screw-front quadrant-screw-rear",
  },
  "far-end": {
    plain: "frame > tail-bearing",
    cover: "tail-bearing > copper-inner > end-clip > copper-outer > end-cover > end-cover-screw-front end-cover-screw-rear",
  },
  // Behind the spool it is in before the spool.
  click: {
    tail: "frame > click-tongue > click-spring click-washer > click-button > click-clip > spool-in",
    "tail-washers":
      "frame > click-washer-below > click-tongue > click-spring click-washer; click-washer > click-washer-button; click-spring click-washer-button > click-button > click-clip > spool-in",
    head: "head-plate > click-tongue > click-spring click-washer > click-button > click-clip > click-in > lever-free",
    "head-washers":
      "head-plate > click-washer-below > click-tongue > click-spring click-washer; click-washer > click-washer-button; click-spring click-washer-button > click-button > click-clip > click-in > lever-free",
  },
  drag: {
    one: "preload-spring > drag-cap",
    twin: "spool-bearing-tail > drag-washer-tail > pressure-plate-tail > shaft",
    sealed: "pressure-plate > drag-seal > drag-cap",
  },
  shaft: {
    last: "gate-preload > shaft > cross-pin",
    first: "spool-bearing-tail > shaft > spool-bearing-head; gate-preload > cross-pin",
  },
  "back-stop": {
    // A spincast's.
    pawl: "body > anti-reverse-hub > anti-reverse > hair-spring > gate-anti-reverse",
    hub: "body > anti-reverse-hub > hair-spring > gate-anti-reverse",
    roller: "body > one-way-roller > gate-anti-reverse",
    // A lever drag's.
    dog: "head-plate > dog > dog-spring; ratchet dog-spring > gate-dog > main-gear",
    "dog-last": "ratchet > main-gear > dog > dog-spring > gate-dog > lever-free",
    pins: "head-plate > pin-spring-front > stop-pin-front; head-plate > pin-spring-rear > stop-pin-rear; ratchet stop-pin-front stop-pin-rear > gate-dog > main-gear",
  },
  speeds: {
    one: "main-gear > pinion",
    two: "main-gear > main-gear-low > pinion-low; pinion > pinion-low; gear-shaft main-gear-low > shift-key > shift-spring > shift-button > shift-clip > handle-washer; shift-clip handle tighten-plate > gate-shift",
  },
  "drag of a fly reel": {
    disc: "frame spindle > friction > drag-plate > tension-lower > tension-upper > hub-sleeve > drag-clip > spool; hub-bearing > clutch > outer-bearing > spool; clutch spool > gate-hand > spool-cap; frame > knob-spring > knob-ball > drag-knob > knob-cap-screw; knob-cap-screw spool-cap > gate-drag",
    sealed:
      "frame > drag-unit > hub-sleeve; spindle > hub-sleeve > spool; hub-bearing > clutch > outer-bearing > spool; clutch spool > gate-hand > spool-cap; frame > knob-spring > knob-ball > drag-knob > knob-cap-screw; knob-cap-screw spool-cap > gate-drag",
    pawl: "frame > click-tongue-second > click-spring-second; spindle click-spring-second > spool; hub-bearing > outer-bearing > spool",
  },
  body: {
    plate:
      "back-cover > cover-screw-left cover-screw-right; button back-cover > hinge-screw; cover-screw-left cover-screw-right hinge-screw stop-switch > gate-closed",
    cap: "button > hinge-screw; back-cover stop-switch > gate-closed",
  },
  pin: {
    spring: "cone > pin-spring > pick-up-pin",
    cam: "cam-ring > pick-up-pin",
    two: "cone > pin-spring > pick-up-pin; cone > pin-spring-second > pick-up-pin-second",
  },
  // A centrepin: hub in halves, turned over, the rear one under its clip.
  hub: {
    sprung: "middle-clip > front-bearing > front-clip > outer-sleeve > wave-spring > inner-sleeve > rear-bearing > rear-clip > gate-hub",
    spaced: "middle-clip > front-bearing > front-clip > outer-sleeve > rear-bearing > rear-clip > gate-hub",
    pressed: "front-bearing > rear-bearing > gate-hub",
  },
  "drum-hold": {
    screw: "gate-drum > drum-screw > gate-turns",
    nut: "gate-drum > drum-screw > gate-turns",
    latch: "drum > latch > latch-spring; gate-drum > gate-turns",
  },
  check: {
    pawl: "back-plate > check-wheel; back-plate > check-pawl > check-spring > check-switch; check-switch check-wheel > gate-check > spindle",
    lever:
      "back-plate > check-wheel; back-plate > check-pawl > check-spring > check-switch > drag-lever; check-switch check-wheel > gate-check > spindle",
    none: "back-plate > spindle",
  },
  "shaft-foot": { screw: "foot-bearing > gear-shaft > shaft-end-screw", pressed: "foot-bearing > gear-shaft" },
  "clutch-place": {
    cover: "head-plate > clutch > close-cover > head-end-bearing",
    outside: "tighten-cover > clutch > clutch-cap > gate-clutch > head-end-bearing",
  },
  "star-face": {
    flat: "tension-upper > star",
    coated: "tension-upper > star-click-gear > star-click star-washer > star",
    hollow: "tension-upper > star",
  },
  // Where no star turns below, nothing is felt between the nut and its lock.
  "handle-end without a star": {
    "slotted-screw": "handle-screw > tighten-handle-screw",
    keeper: "handle-nut > tighten-nut > nut-keeper > keeper-screw",
    guard: "handle-nut > tighten-nut > nut-guard",
  },
};

/** Whatever carries the gear: the stack closed, then what a star needs. */
const starBench = [
  "frame > foot > [ring foot]",
  // Bridge in the hand: sleeve pinned, ratchet over the pin, dog and its spring, then whatever covers them.
  "bridge > gear-sleeve > sleeve-pin",
  "gear-sleeve > under-gear-washer > main-gear > [stack]",
  "[sleeve-seat]",
  "[brake]",
  "[override]",
  "[level-wind]",
  "[plates]",
  // Plate: eccentric, its spring, jack, yoke, pinion; the lever from outside.
  "head-plate > eccentric > eccentric-spring > jack > yoke > pinion",
  "head-plate > yoke-spring-front yoke-spring-rear",
  "eccentric > lever",
  // Bridge and plate become one.
  "keyed-high pinion yoke-spring-front yoke-spring-rear lever > free-lever > bridge-screw-top-front bridge-screw-top-rear bridge-screw-low-front bridge-screw-low-rear > tighten-bridge > gate-sleeve gate-lever > close-head",
  // Tail plate with its click, drawn down before the spool is turned past the tongue.
  "tail-plate > click-tongue > click-spring click-button",
  "tail-plate > cap",
  "frame tail-plate click-tongue click-spring > [ring tail] > tighten-tail > spool-in",
  // Spool with what rides on it.
  "frame > spool > click-gear > spool-in",
  "[head-support]",
  "[tail-support]",
  "spool-in > close-head > [ring head] > tighten-head > gate-spool gate-click",
  "[star-face]",
  // Outside of the plate, down the shaft.
  "ferrule > [tension] > [under-handle] > handle > [handle-end]",
  "handle > [knob]",
];

/** A shaft in the frame's wall: everything stands on it, and the cover closes over it. */
const fullFrame = [
  foot,
  "frame > wall-bearing > wall-clip",
  "[shaft-foot]",
  "frame > foot-bearing > gear-shaft > retainer > retainer-screw-front retainer-screw-rear > gate-shaft > under-gear-washer",
  "[anti-reverse of a full frame]",
  "[brake]",
  "[cover]",
  "frame > jack > yoke > pinion",
  // Pinion before the gear that meshes with it, the yoke's springs after both.
  "under-gear-washer pinion > main-gear > [stack]",
  "main-gear yoke > yoke-spring-front yoke-spring-rear",
  "pinion yoke-spring-front yoke-spring-rear > gate-yoke > close-cover",
  "keyed-high > clutch-collar > close-cover",
  // Cover in the hand, then over the collar, tried before a screw goes in.
  "head-plate > eccentric > eccentric-spring > gate-lever",
  "eccentric > lever > close-cover > gate-lever > cover-screw-top-front cover-screw-top-rear cover-screw-low-front cover-screw-low-rear > tighten-cover > gate-clutch > head-end-bearing",
  "[clutch-place]",
  "head-end-bearing > shaft-washer > [tension] > [under-handle] > handle > [handle-end]",
  "handle > [knob]",
  "[star-face]",
  // Tail, at any time beside all that.
  "tail-plate > tail-bearing > dust-cover > bearing-retainer > bearing-retainer-screw",
  "tail-plate > click-tongue > click-spring click-button",
  "tail-plate > cap",
  "frame wall-bearing > spool > click-gear",
  "click-gear cap click-spring bearing-retainer-screw > close-tail > [tail-ring] > gate-click gate-spool",
];

const baitcaster = [
  foot,
  "frame > thumb-spring > thumb-bar > gate-yoke",
  // Level wind: far bush, worm, its other bush, gear and clip; the guide on bar and worm, the pawl up into it.
  "frame > worm-bush-far > worm > worm-bush > worm-gear > worm-clip",
  "frame > guide-bar",
  "worm guide-bar > guide > pawl > pawl-washer > pawl-cap",
  "pawl-cap worm-clip > gate-wind > spool",
  // Gear side: what the plate closes over, then the plate tried by hand before any screw.
  "frame > clutch-cam > kick-lever > kick-spring > main-gear",
  "frame > shaft-bearing > gear-shaft > ratchet > main-gear > friction > keyed",
  "[pinion]",
  "[under-gear]",
  "yoke > pinion yoke-spring-upper yoke-spring-lower",
  "clutch-cam > yoke",
  "keyed pinion yoke-spring-upper yoke-spring-lower > gear-plate > gate-gear-plate > gear-screw-top gear-screw-front gear-screw-rear gear-screw-inner > tighten-gear > gate-yoke > star",
  "[tension] > [under-handle] > handle > [handle-end]",
  "[star-click]",
  "gear-plate > cap-bearing > tension-shim > cap-ring > tension-cap",
  "handle > [knob]",
  "handle > [knob second]",
  // Spool with its pin, bearing and brake, met by the pinion; the short screw lies under it.
  "frame pinion gear-screw-inner > spool > bearing-pin > spool-bearing",
  "[brakes]",
  // Side plate with what rides on it goes on over them.
  "spool-bearing > side-plate > recess-washer > plate-bearing > plate-keeper",
];
const oneWayClutch = "gear-plate > plate-shaft-bearing > clutch > clutch-sleeve > gate-clutch > [tension]";

/** Below the rotor: whatever the clutch is. */
const spinningBody = [
  "body > switch",
  "body > oscillation-gear > oscillation-block",
  "body > pinion-bearing > pinion > main-shaft > block-screw",
  "oscillation-block > block-screw > drive-gear",
  "body > gear-bearing-inner > drive-gear > [gear-shims] > gear-bearing-outer > side-cover > [cover-screws] > gate-mesh",
  "[neck]",
  "clutch-plate > collar-spring > rotor-collar > rotor-washer > rotor > nut-bush > rotor-nut > tighten-nut > gate-rotor",
  "[nut-lock]",
  "rotor > rotor-weight > weight-cover",
  "handle > [knob]",
  "[handle-end of a spinning reel]",
  "bail-arm > [roller] > gate-roller",
  "main-shaft > click-ratchet > [spool-shims] > spool > tape-line > friction-low > keyed-low > friction-mid > eared > friction-high > keyed-high",
  "spool > click-tongue > click-spring",
  "spool > line-clip",
  "[drag-pieces]",
  "drag-clip > knob-ring > drag-knob > gate-drag",
];
const bail = [
  "rotor > trip-lever > bail-spring > bail-arm > arm-screw > gate-trip > trip-cover > trip-screw trip-cover-screw-front trip-cover-screw-rear",
  "bail-arm > bail-wire > bail-screw > far-cover",
  "[trigger]",
  "roller-screw bail-screw > tighten-roller > gate-roller",
];
/** The lines of a family; those of another skeleton than the usual by its name behind the family's. */
const lines: Readonly<Record<string, readonly string[]>> = {
  "star-drag-bridge": [
    ...starBench,
    "[dog-spring]",
    // The yoke is laid over its springs.
    "yoke-spring-front yoke-spring-rear > yoke",
    "keyed-high head-plate > ferrule",
  ],
  "star-drag-clutch": fullFrame,
  "star-drag-clutch/bridge": [
    ...starBench,
    "[anti-reverse of a bridge]",
    // Pinion before the gear that meshes with it, the yoke's springs after both.
    "pinion > main-gear > yoke-spring-front yoke-spring-rear",
    // One-way clutch in the plate under its retainer, then the collar down the sleeve.
    "head-plate > clutch > retainer > retainer-screw-front retainer-screw-rear",
    "keyed-high retainer > clutch-collar",
    "clutch-collar retainer-screw-front retainer-screw-rear > gate-clutch > ferrule",
  ],
  // Drag in the spool, gears in the head plate; whatever closes over them is tried both ways before it is drawn down.
  "lever-drag": [
    "frame > foot > foot-nut-front foot-nut-rear",
    "frame > tail-bearing",
    "[far-end]",
    "[click]",
    // Drag in the spool: bearings, washer, plate with its bearing, preload spring, cap; the shaft through it all.
    "spool > spool-bearing-tail > spacer-sleeve > spool-bearing-head",
    "spool > click-gear",
    "spool-bearing-head > drag-washer > pressure-plate > plate-bearing > preload-spring > drag-cap > gate-preload",
    "[drag]",
    "[shaft]",
    "cross-pin > cupped-lower > cupped-upper > spool-in",
    "frame tail-bearing click-gear spool-bearing-tail > spool-in",
    // Gears in the head plate.
    "head-plate > gear-bearing > gear-shaft > ratchet",
    "[back-stop]",
    "[size]",
    "main-gear > pinion",
    "spool-in pinion > lever-free > [ring] > gate-reverse > tighten-plate > lever-washer-plastic > lever-washer-metal > lever",
    "[way-in]",
    "cam > preset-spring > knob-preset > gate-free-spool > handle-washer > handle > [handle-end without a star]",
    "lever > detent-spring > detent-pin > knob-preset",
    "lever > stop-piece > knob-preset",
    "[speeds]",
    "gear-shaft > handle-washer",
    "handle > [knob]",
  ],
  "baitcaster-low-profile": [...baitcaster, oneWayClutch, "[tail-door]", "[dog]"],
  "baitcaster-round": [
    ...baitcaster,
    "spool tension-cap > back-off > side-screw-top side-screw-front side-screw-rear > gate-spin",
    "side-plate > side-screw-top side-screw-front side-screw-rear",
    "[anti-reverse]",
    "[tail-click]",
    "[wind-drive]",
    "plate-bearing > tail-shim > tail-cap",
    "frame > bar-front bar-rear bar-low > tail-ring > bar-screw-front-tail bar-screw-rear-tail bar-screw-low-tail foot",
    "bar-front > bar-screw-front-head",
    "bar-rear > bar-screw-rear-head",
    "bar-low > bar-screw-low-head",
  ],
  spinning: [...spinningBody, ...bail, "[anti-reverse of a spinning reel]"],
  "spinning-fluid-sealed": [
    ...spinningBody.filter(
      (line) =>
        !line.includes("[neck]") &&
        !line.includes("[nut-lock]") &&
        !line.startsWith("main-shaft > click-ratchet") &&
        !line.startsWith("clutch-plate > collar-spring"),
    ),
    ...bail,
    // The plate is under the unit: it holds the pinion's bearing.
    "pinion-bearing > clutch-plate > clutch-screw-top clutch-screw-front clutch-screw-rear > clutch",
    "pinion > three-ear > clutch > two-ear > clutch-ring > recessed-washer > clutch-sleeve > fluid-magnet > unit-cap > fluid-last > gate-ring > collar-spring",
    "unit-cap > gate-clutch > collar-spring > rotor-collar > rotor-washer > rotor > nut-bush > rotor-nut > tighten-nut > gate-rotor > nut-screw > cosmetic-plate",
    // A bearing with its seal under the spool.
    "main-shaft cosmetic-plate > cross-pin > support-bearing > support-seal > tip-clip > click-ratchet > spool-shim > spool > tape-line > friction-low > keyed-low > friction-mid > eared > friction-high > keyed-high",
  ],
  "spinning-sealed-bail-less": [
    "main-shaft > click-ratchet > [spool-shims] > spool > tape-line > friction-low > keyed-low > friction-mid > eared > friction-high > keyed-high",
    "spool > click-tongue > click-spring",
    "spool > line-clip",
    "[drag-pieces]",
    "drag-clip > knob-ring > drag-knob > gate-drag",
    "rotor > line-arm > arm-screw",
    "line-arm > [roller] > gate-roller",
    // Gear in its cover, on the bench.
    "body > gear-cover > gear-shaft-seal > cover-bearing > drive-gear > gear-bearing > gear-retainer > gate-gear",
    "drive-gear > gear-clutch > gate-gear > gear-screw-top gear-screw-front-top gear-screw-front-low gear-screw-low gear-screw-rear-low gear-screw-rear-top > side-cover-seal > side-cover > side-cover-nut > handle",
    "gear-cover > gear-cover-seal > gear-screw-top gear-screw-front-top gear-screw-front-low gear-screw-low gear-screw-rear-low gear-screw-rear-top",
    "handle > [knob]",
    // The unit, on its block.
    "clutch-housing > main-bearing > main-seal > pinion",
    "clutch-housing > clutch-pin > clutch > pinion > [guide]",
    "clutch-housing > housing-seal > neck-seal > knurled-ring",
    "pinion main-shaft guide-seal-outer > knurled-ring > gate-unit > rotor > rotor-screw-top rotor-screw-front rotor-screw-rear",
    "body > oscillation-gear > oscillation-block > block-screw",
    "body > main-shaft > block-screw",
  ],
  spincast: [
    "body > click-tongue drag-dial stop-switch > back-cover",
    "body > button button-spring shaft-clip",
    "body > shaft-bush > main-shaft > return-spring > crown-gear",
    "body > gear-bush",
    "crown-gear gear-bush > drive-gear > gear-bush-outer > back-cover",
    "[back-stop]",
    "drive-gear > gate-anti-reverse > back-cover",
    "[body]",
    "gear-bush-outer > handle-washer > handle > handle-screw > handle-cap",
    "handle > knob",
    // Up from the shaft; the cup and the slots are looked at before the fibre hides them.
    "body > copper-lower > toothed-nut > copper-upper > spring-washer > keyed > gate-cup > fibre-lower > spool > fibre-upper > flatted > spool-clip",
    "spool-clip drag-dial > gate-drag > cone > cone-nut",
    // The cone carries its ring and pin.
    "crown-gear > cone > cam-ring",
    "[pin]",
    "hinge-screw cone-nut > gate-button > front-cover > line-ring",
    "cone-nut > gate-pin > front-cover",
  ],
  fly: [
    foot,
    "frame > spindle",
    "[drag of a fly reel]",
    "spool > click-gear",
    "spool > weight",
    "spool > knob > knob-screw",
    "spool > spool-cap > gate-turns",
    "frame > click-tongue > click-spring",
    "click-spring spool-cap > gate-click",
  ],
  centrepin: [
    "back-plate > foot > foot-screw-front foot-screw-rear",
    "[check]",
    "[hub]",
    "spindle gate-hub > drum > gate-drum",
    "[drum-hold]",
    "drum > knob-front > knob-screw-front",
    "drum > knob-rear > knob-screw-rear",
  ],
};

const bracket = /\[([a-z -]+)\]/g;
/** The second knob of a handle with two arms is built like the first. */
const second = (law: string) => law.replace(/knob[a-z-]*/g, (id) => `${id}-second`);
/** The module a bracket names; what follows its name is the frame it sits in. */
const moduleOf = (named: string): string => named.split(" ")[0]!;

/** The lines of a skeleton. @param frame its name; null for the family's usual one. @throws Error where none stand here. */
function linesOf(family: FamilyId, frame: string | null): readonly string[] {
  const found = lines[frame ? `${family}/${frame}` : family];
  if (!found) throw new Error(`handLaws: no lines for ${family}, ${frame}`);
  return found;
}

/** The modules whose laws stand here for a family, with every way each is built. */
export const modulesWithLaws = (
  family: FamilyId,
  frame: string | null,
): readonly (readonly [module: string, builds: readonly string[]])[] =>
  [...new Set([...linesOf(family, frame).join(" ").matchAll(bracket)].map(([, named]) => named!))].map((named) => [
    moduleOf(named),
    Object.keys(modules[named] ?? modules[moduleOf(named)] ?? {}),
  ]);

/**
 * What has to be done before each act, by its id; a seat is named as its part's place. @param chosen how the modules are built.
 * @throws Error for a build without laws.
 */
export function handLaws(
  family: FamilyId,
  frame: string | null,
  chosen: Readonly<Record<string, string>>,
): ReadonlyMap<string, ReadonlySet<string>> {
  const after = new Map<string, Set<string>>();
  const lawsOf = (module: string): string => {
    if (module === "knob second") return second(lawsOf("knob"));
    const laws = modules[module]?.[chosen[moduleOf(module)] ?? ""];
    if (laws === undefined) throw new Error(`handLaws: no laws for ${module} built ${chosen[module]}`);
    return laws;
  };
  const spelledOut = (line: string): string => line.replace(bracket, (_, module: string) => spelledOut(lawsOf(module)));
  for (const written of linesOf(family, frame)) {
    // A build may have several lines of its own.
    for (const line of spelledOut(written).split("; ")) {
      // A build that has nothing of it leaves its place empty.
      const links = line
        .split(" > ")
        .map((link) => link.split(" ").filter(Boolean))
        .filter((link) => link.length > 0);
      for (const [i, then] of links.entries())
        for (const id of then) for (const before of links[i - 1] ?? []) after.set(id, (after.get(id) ?? new Set()).add(before));
    }
  }
  return after;
}
