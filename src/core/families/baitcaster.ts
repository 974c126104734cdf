import { handleEnd } from "./modules/handle-end";
import { knobOn } from "./modules/knob";
import { builtAs, variantOf } from "./modules/module";
import { underHandle, underSeats } from "./modules/under-handle";
import { greased, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const belowHandle = builtAs(
  underHandle({ shaft: "gear-shaft", restsOn: "star", boreMm: 6.2, numbers: { spacer: "27", plate: "28" } }),
  "spacer",
  "thin-washer",
);
const [under] = belowHandle.builds;
const handleEnds = builtAs(
  handleEnd({
    handle: "handle",
    under: underSeats,
    star: true,
    threadMm: 6,
    acrossFlatsMm: 10,
    numbers: { nut: "13", lock: "29", keeper: "14", keeperScrew: "18", guard: "39", screw: "35" },
    held: "the handle slipped on again is the lever, no thumb on the spool",
  }),
  "keeper",
  "lock-screw",
  "slotted-screw",
);
const [end] = handleEnds.builds;

const knobs = builtAs(
  knobOn({
    handle: "handle",
    acrossMm: -45,
    knob: { number: "11", outsideMm: 18, lengthMm: 22, material: "cork", priceMinor: 690 },
    pinMm: 4,
    washer: { number: "12", outsideMm: 7, thicknessMm: 0.3, material: "plastic" },
    bearing: { number: "19", outsideMm: 7, widthMm: 2.5 },
    numbers: { bush: "36", screw: "37", cap: "38" },
  }),
  "bearing",
  "pin",
  "bush-under-cap",
  "bearings-under-cap",
);
const [knob] = knobs.builds;

const sideScrews = ["side-screw-top", "side-screw-front", "side-screw-rear"];

/** Low-profile baitcaster: star drag in small, level wind, spool on fine bearings, centrifugal and magnetic brakes. */
export const baitcasterLowProfileTable: TemplateTable = {
  family: "baitcaster-low-profile",
  lineRadiusMm: 16,
  assemblies: [
    ["handle", "Handle and star", "handle", { quick: true }],
    ["brake", "Brake side", "tail", { carrier: "side-plate", freedBy: ["side-screw-top", "side-screw-front", "side-screw-rear"] }],
    ["spool", "Spool", "frame", { carrier: "spool", quick: true }],
    ["gears", "Gear side and drag", "handle"],
    ["wind", "Level wind", "frame"],
    ["frame", "Frame and thumb bar", "frame"],
  ],
  batches: [
    ...end.batches,
    ...knob.batches,
    ["star", "Star and tension washers", "tension-lower", "tension-upper", "star-click", "star"],
    ["side-plate", "Side plate with its track, bearing and keeper", "side-plate", "plate-bearing", "plate-keeper", "brake-drum"],
    ["magnets", "Magnets and dial", "magnet-front", "magnet-rear", "magnet-dial"],
    ["spool", "Spool with bearing and brake", "spool", "bearing-pin", "spool-bearing", "brake-hub", "brake-block-a", "brake-block-b"],
    ["tension", "Tension cap, ring, shim and bearing", "cap-bearing", "tension-shim", "cap-ring", "tension-cap"],
    ["clutch", "One-way clutch and its sleeve", "clutch", "clutch-sleeve"],
    ["yoke", "Pinion and yoke with its springs", "pinion-bearing", "yoke", "pinion", "yoke-spring-upper", "yoke-spring-lower"],
    ["gear", "Gear, drag and ratchet", "ratchet", "main-gear", "friction", "keyed"],
    ["gear-shaft", "Gear shaft and its bearing", "shaft-bearing", "gear-shaft"],
    ["worm-gear", "Worm gear, bush and clip", "worm-bush", "worm-gear", "worm-clip"],
    ["guide", "Worm, bar, guide and pawl", "worm-bush-far", "worm", "guide-bar", "guide", "pawl", "pawl-cap"],
    ["thumb", "Thumb bar and its spring", "thumb-spring", "thumb-bar"],
    ["click", "Click", "click-tongue", "click-button"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["handle", "10", "Double handle", "handle", { kind: "handle", armMm: 45, knobMm: 18, boreMm: 6.1, thicknessMm: 3 }, "anodised aluminium", 2900],
    ...knob.parts,
    ...under.parts,
    ...end.parts,
    ["star", "15", "Star", "star", { kind: "star", outsideMm: 40, boreMm: 6.2, arms: 5, hubMm: 12 }, "anodised aluminium", 1490],
    ["star-click", "16", "Star click spring", "star-click-spring", { kind: "wire-spring", wireMm: 0.4, lengthMm: 8 }, "spring steel", 110],
    ["tension", "17", "Tension washer", "tension-washer", { kind: "cupped-washer", outsideMm: 12, insideMm: 6.2, thicknessMm: 0.6, coneHeightMm: 0.4 }, "spring steel", 110],
    ["side-plate", "20", "Brake side plate", "tail-plate", { kind: "plate", outsideMm: 62, thicknessMm: 3, holes: 3, lowMm: 40 }, "plastic", 1690],
    ["magnet", "21", "Brake magnet", "magnet", { kind: "magnet", lengthMm: 5, widthMm: 4, thicknessMm: 2 }, "magnet", 220],
    ["magnet-dial", "22", "Magnet dial", "magnet-dial", { kind: "cap", outsideMm: 16, heightMm: 4 }, "plastic", 390],
    ["brake-drum", "23", "Brake track", "brake-drum", { kind: "sleeve", outsideMm: 22, boreMm: 20, lengthMm: 4 }, "aluminium", 490],
    ["side-screw", "24", "Side plate screw", "side-screw", screw(2.5, 8), steel, 70],
    ["spool", "30", "Spool", "spool", { kind: "spool", flangeMm: 34, arborMm: 22, widthMm: 23, shaftMm: 3, shaftLengthMm: 52 }, "anodised aluminium", 3900],
    ["spool-bearing", "31", "Spool bearing 3 × 10 × 4", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 10, widthMm: 4, closure: "shielded" }, steel, 890],
    ["brake-hub", "32", "Brake hub", "brake-hub", { kind: "drum", outsideMm: 18, depthMm: 3, boreMm: 3.1, arms: 6 }, "plastic", 590],
    ["brake-block", "33", "Brake block", "brake-block", { kind: "block", lengthMm: 5, widthMm: 2.4, thicknessMm: 2.4 }, "plastic", 60],
    ["bearing-pin", "34", "Bearing pin", "bearing-pin", { kind: "pin", diameterMm: 1, lengthMm: 6 }, steel, 60],
    ["gear-plate", "40", "Gear side plate", "head-plate", { kind: "plate", outsideMm: 64, thicknessMm: 3, holes: 3, lowMm: 42 }, "plastic", 1990],
    ["tension-cap", "41", "Spool tension knob", "bearing-cap", { kind: "cap", outsideMm: 15, heightMm: 8 }, "anodised aluminium", 790],
    ["tension-shim", "42", "Tension shim", "shim", { kind: "washer", outsideMm: 6, insideMm: 1, thicknessMm: 0.4 }, "copper", 60],
    ["cap-ring", "43", "Tension O-ring", "o-ring", { kind: "o-ring", outsideMm: 13, sectionMm: 1 }, "rubber", 60],
    ["gear-shaft", "44", "Drive shaft", "gear-sleeve", { kind: "sleeve", outsideMm: 6, boreMm: 3, lengthMm: 34, flangeMm: 14, acrossFlatsMm: 4.8 }, steel, 1490],
    ["shaft-bearing", "45", "Drive shaft bearing 6 × 10 × 3", "gear-bearing", { kind: "bearing", boreMm: 6, outsideMm: 10, widthMm: 3, closure: "shielded" }, steel, 690],
    ["ratchet", "46", "Ratchet", "ratchet", { kind: "ratchet", teeth: 16, outsideMm: 18, boreMm: 6.1, thicknessMm: 1.5 }, steel, 390],
    ["main-gear", "47", "Main gear, 64 teeth", "main-gear", { kind: "gear", teeth: 64, moduleMm: 0.5, boreMm: 6.1, faceMm: 4, cupMm: 25 }, "brass", 2390],
    ["friction", "48", "Friction washer", "friction-washer", { kind: "friction-washer", outsideMm: 24, insideMm: 6.6, thicknessMm: 0.7 }, "carbon", 290],
    ["keyed", "49", "Keyed drag washer", "keyed-washer", { kind: "keyed-washer", outsideMm: 24, insideMm: 6.2, thicknessMm: 0.8, acrossFlatsMm: 4.9 }, steel, 190],
    ["clutch", "50", "One-way roller clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 16, boreMm: 9, lengthMm: 7, rollers: 6 }, steel, 1490],
    ["clutch-sleeve", "51", "Clutch inner sleeve", "clutch-sleeve", { kind: "sleeve", outsideMm: 8.9, boreMm: 6.2, lengthMm: 9 }, "hardened steel", 490],
    ["pinion", "52", "Pinion, 9 teeth", "pinion", { kind: "pinion", teeth: 9, moduleMm: 0.5, boreMm: 3.1, lengthMm: 18 }, "brass", 1190],
    ["yoke", "53", "Yoke", "yoke", { kind: "yoke", widthMm: 22, boreMm: 2, pinionMm: 5, thicknessMm: 1.2 }, "plastic", 240],
    ["yoke-spring", "54", "Yoke spring", "yoke-spring", { kind: "coil-spring", wireMm: 0.3, outsideMm: 2.6, lengthMm: 8, coils: 8 }, "spring steel", 70],
    ["plate-bearing", "25", "Side plate bearing 3 × 10 × 4", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 10, widthMm: 4, closure: "shielded" }, steel, 890],
    ["plate-keeper", "26", "Bearing keeper", "clip", { kind: "clip", outsideMm: 11, wireMm: 0.5, form: "wire" }, "spring steel", 60],
    ["pinion-bearing", "55", "Pinion bearing 5 × 11 × 4", "pinion-bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 4, closure: "shielded" }, steel, 690],
    ["cap-bearing", "56", "Tension cap bearing 3 × 8 × 3", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 8, widthMm: 3, closure: "shielded" }, steel, 690],
    ["foot-screw", "74", "Foot screw", "foot-screw", screw(3, 6), steel, 60],
    ["foot", "73", "Reel foot", "foot", { kind: "foot", lengthMm: 58, widthMm: 15, thicknessMm: 2.5 }, "aluminium", 790],
    ["worm", "60", "Worm", "worm", { kind: "worm", diameterMm: 5, lengthMm: 44, turns: 6 }, "stainless steel", 1690],
    ["worm-bush", "61", "Worm bush", "worm-bush", { kind: "sleeve", outsideMm: 7, boreMm: 3.2, lengthMm: 3 }, "plastic", 90],
    ["worm-gear", "62", "Worm gear", "worm-gear", { kind: "gear", teeth: 18, moduleMm: 0.5, boreMm: 3.1, faceMm: 3 }, "plastic", 240],
    ["worm-clip", "63", "Worm clip", "clip", { kind: "clip", outsideMm: 6, wireMm: 0.6, form: "E" }, steel, 40],
    ["guide", "64", "Line guide", "line-guide", { kind: "line-guide", widthMm: 12, heightMm: 20, boreMm: 6 }, "plastic", 790],
    ["guide-bar", "65", "Guide bar", "guide-bar", { kind: "shaft", diameterMm: 2, lengthMm: 44 }, steel, 290],
    ["pawl", "66", "Pawl", "pawl", { kind: "pawl", diameterMm: 5, lengthMm: 8 }, "brass", 390],
    ["pawl-cap", "67", "Pawl cap", "pawl-cap", { kind: "cap", outsideMm: 8, heightMm: 4 }, "brass", 240],
    ["frame", "70", "Frame", "frame", { kind: "frame", outsideMm: 62, widthMm: 34, posts: 3, lowMm: 40 }, "aluminium", 6900],
    ["thumb-bar", "71", "Thumb bar", "thumb-bar", { kind: "slider", lengthMm: 30, widthMm: 8, thicknessMm: 5 }, "plastic", 590],
    ["thumb-spring", "72", "Thumb bar spring", "thumb-bar-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 16 }, "spring steel", 120],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    handle: [
      ["tension-lower", "Tension washer, lower", "tension", { ridesOn: "gear-shaft", restsOn: ["clutch-sleeve"], turned: true, orientation: "cup up", twoSided: true, trap: "Facing, not nested." }],
      ["tension-upper", "Tension washer, upper", "tension", { ridesOn: "gear-shaft", restsOn: ["tension-lower"], orientation: "cup down", twoSided: true }],
      ["star-click", "Star click spring", "star-click", { acrossMm: 10, restsOn: ["tension-upper"], caution: "The click spring flies: glasses on.", cautionSays: "spring" }],
      ["star", "Star", "star", { ridesOn: "gear-shaft", restsOn: ["star-click", "tension-upper"] }],
      ...under.seats,
      ["handle", "Handle", "handle", { ridesOn: "gear-shaft", restsOn: ["handle-spacer"], turnsWith: "handle", trap: "A spring under the star may push it: a hand on it as the nut leaves." }],
      ...end.seats,
      ...knob.seats,
    ],
    brake: [
      ["side-plate", "Brake side plate", "side-plate", { restsOn: ["spool", "spool-bearing", "brake-block-a", "brake-block-b"], turnsWith: "frame", heldBy: sideScrews, ...greased("a trace on the lugs", "it turns home and comes off again") }],
      ["plate-bearing", "Side plate bearing", "plate-bearing", { acrossMm: 0, restsOn: ["side-plate"], ...oiled("1 small drop", "more only shortens the cast") }],
      ["plate-keeper", "Bearing keeper", "plate-keeper", { restsOn: ["plate-bearing"], caution: "The keeper flies: a finger over it, glasses on.", cautionSays: "spring" }],
      ["brake-drum", "Brake track", "brake-drum", { restsOn: ["side-plate"], orientation: "clean and bone dry", trap: "Oil here and the brakes fade: casts run wild." }],
      ["magnet-front", "Brake magnet, front", "magnet", { acrossMm: 8, restsOn: ["side-plate"], freeOrder: "magnets", caution: "Strong magnet: keep from medical implants as their makers say; it pulls small screws.", cautionSays: "magnet" }],
      ["magnet-rear", "Brake magnet, rear", "magnet", { acrossMm: -8, restsOn: ["side-plate"], freeOrder: "magnets" }],
      ["magnet-dial", "Magnet dial", "magnet-dial", { restsOn: ["magnet-front", "magnet-rear"], orientation: "as found: note the number", asFound: true }],
      ["side-screw-top", "Side screw, top", "side-screw", { acrossMm: 18, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, top", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
      ["side-screw-front", "Side screw, front", "side-screw", { acrossMm: 0, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, front", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
      ["side-screw-rear", "Side screw, rear", "side-screw", { acrossMm: -18, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, rear", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
    ],
    spool: [
      ["spool", "Spool", "spool", { restsOn: ["pinion", "frame"], turnsWith: "spool", orientation: "long shaft end to the pinion" }],
      ["bearing-pin", "Bearing pin", "bearing-pin", { restsOn: ["spool"], alongMm: 2, hides: true }],
      ["spool-bearing", "Spool bearing", "spool-bearing", { ridesOn: "spool", restsOn: ["bearing-pin"], alongMm: 4, oilPort: "under the cast control cap", ...oiled("1 small drop", "more only shortens the cast") }],
      ["brake-hub", "Brake hub", "brake-hub", { ridesOn: "spool", alongMm: 12, restsOn: ["spool"] }],
      ["brake-block-a", "Brake block, active", "brake-block", { acrossMm: 8, alongMm: 12, restsOn: ["brake-hub"], orientation: "as found: in or out", asFound: true, trap: "Note which blocks are active and restore them." }],
      ["brake-block-b", "Brake block, parked", "brake-block", { acrossMm: -6, alongMm: 12, restsOn: ["brake-hub"], orientation: "as found: in or out", asFound: true }],
    ],
    gears: [
      ["shaft-bearing", "Drive shaft bearing", "shaft-bearing", { restsOn: ["frame"], ...oiled("1 drop", "medium oil") }],
      ["gear-shaft", "Drive shaft", "gear-shaft", { restsOn: ["shaft-bearing"], turnsWith: "sleeve" }],
      ["ratchet", "Ratchet", "ratchet", { ridesOn: "gear-shaft", alongMm: 6, turnsWith: "sleeve" }],
      ["main-gear", "Main gear", "main-gear", { ridesOn: "gear-shaft", alongMm: 8, restsOn: ["ratchet"], turnsWith: "gear", ...greased("half round the teeth", "a film, no more: it slows the cast") }],
      ["friction", "Friction washer", "friction", { lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "smooth start" }, restsOn: ["main-gear"], ridesOn: "gear-shaft", insideOf: "main-gear", hides: true }],
      ["keyed", "Keyed washer", "keyed", { restsOn: ["friction"], ridesOn: "gear-shaft", insideOf: "main-gear", turnsWith: "sleeve" }],
      ["pinion-bearing", "Pinion bearing", "pinion-bearing", { acrossMm: 18.3, restsOn: ["frame"], ...oiled("1 small drop", "it carries the pinion beside the spool") }],
      ["yoke", "Yoke", "yoke", { acrossMm: 18.3, restsOn: ["pinion-bearing"] }],
      ["pinion", "Pinion", "pinion", { acrossMm: 18.3, restsOn: ["yoke"], ...greased("a fingerprint on the teeth", "the bore stays clean: dirt there shortens the cast"), orientation: "slot to the spool" }],
      ["yoke-spring-upper", "Yoke spring, upper", "yoke-spring", { acrossMm: 26.3, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on.", cautionSays: "spring" }],
      ["yoke-spring-lower", "Yoke spring, lower", "yoke-spring", { acrossMm: 10.3, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on.", cautionSays: "spring" }],
      ["gear-plate", "Gear side plate", "gear-plate", { restsOn: ["keyed", "pinion", "yoke-spring-upper", "yoke-spring-lower"], turnsWith: "frame" }],
      ["clutch", "One-way roller clutch", "clutch", { restsOn: ["gear-plate"], lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles" } }],
      ["clutch-sleeve", "Clutch inner sleeve", "clutch-sleeve", { ridesOn: "gear-shaft", restsOn: ["clutch", "keyed"], hides: true, orientation: "clean and dry", trap: "It leaves with the star: look for it there." }],
      ["cap-bearing", "Tension cap bearing", "cap-bearing", { acrossMm: 20, restsOn: ["gear-plate"], ...oiled("1 small drop", "more only shortens the cast") }],
      ["tension-shim", "Tension shim", "tension-shim", { acrossMm: 20, restsOn: ["cap-bearing"], hides: true }],
      ["cap-ring", "Tension O-ring", "cap-ring", { acrossMm: 20, restsOn: ["tension-shim"], ...greased("a film of seal-safe grease", "the knob must hold its place") }],
      ["tension-cap", "Spool tension knob", "tension-cap", { acrossMm: 20, restsOn: ["cap-ring"], orientation: "backed off" }],
    ],
    wind: [
      ["worm-bush-far", "Worm bush, far end", "worm-bush", { restsOn: ["frame"], hides: true, ...oiled("1 drop", "both ends of the worm turn in one") }],
      ["worm", "Worm", "worm", { restsOn: ["worm-bush-far"], oilPort: "along the worm, the guide run from end to end", lubricant: { product: "viscous reel oil", amount: "1 drop", why: "grease holds grit; another way greases it" } }],
      ["guide-bar", "Guide bar", "guide-bar", { acrossMm: 9, restsOn: ["frame"] }],
      ["guide", "Line guide", "guide", { restsOn: ["worm", "guide-bar"], alongMm: 20 }],
      ["pawl", "Pawl", "pawl", { acrossMm: -10, restsOn: ["guide"], orientation: "its curve in the groove", trap: "A thumb on the spool while loosening the star bends it." }],
      ["pawl-cap", "Pawl cap", "pawl-cap", { acrossMm: -10, restsOn: ["pawl"] }],
      ["worm-bush", "Worm bush, gear end", "worm-bush", { ridesOn: "worm", restsOn: ["worm"], hides: true, ...oiled("1 drop", "both ends of the worm turn in one") }],
      ["worm-gear", "Worm gear", "worm-gear", { restsOn: ["worm-bush"] }],
      ["worm-clip", "Worm clip", "worm-clip", { restsOn: ["worm-gear"], caution: "The clip flies: twist a blade in its gap with a finger over it.", cautionSays: "spring" }],
    ],
    frame: [
      ["frame", "Frame", "frame", { stays: true, turnsWith: "frame" }],
      ["foot", "Reel foot", "foot", { stays: true, restsOn: ["frame"] }],
      ["foot-screw-front", "Foot screw, front", "foot-screw", { stays: true, acrossMm: 9, restsOn: ["foot"], hole: "foot, front", holeDepthMm: 7, ...threadFilm }],
      ["foot-screw-rear", "Foot screw, rear", "foot-screw", { stays: true, acrossMm: -9, restsOn: ["foot"], hole: "foot, rear", holeDepthMm: 7, ...threadFilm }],
      ["thumb-spring", "Thumb bar spring", "thumb-spring", { restsOn: ["frame"], caution: "The spring flies: glasses on.", cautionSays: "spring" }],
      ["thumb-bar", "Thumb bar", "thumb-bar", { restsOn: ["thumb-spring"], trap: "Harder over weeks is dirt in its slot: clean, order nothing." }],
    ],
  },
  gearPairs: [{ wheel: "main-gear", pinion: "pinion", centreMm: 18.3 }],
  // biome-ignore format: one choice a line, read as a table
  variants: [
    variantOf(belowHandle, { assembly: "handle", after: "star", carries: "handle" }),
    variantOf(handleEnds, { assembly: "handle", after: "handle" }),
    variantOf(knobs, { assembly: "handle", after: "handle" }),
    {
      id: "under-gear",
      name: "Between ratchet and main gear",
      choices: [
        { id: "nothing", name: "nothing" },
        { id: "friction", name: "a friction washer: a drag face, it counts in the stack", change: { parts: [["gear-washer", "57", "Under-gear friction washer", "friction-washer-under", { kind: "friction-washer", outsideMm: 22, insideMm: 6.6, thicknessMm: 0.7 }, "carbon", 240]], put: [{ after: "ratchet", assembly: "gears", row: ["under-gear", "Under-gear friction washer", "gear-washer", { ridesOn: "gear-shaft", alongMm: 7.5, restsOn: ["ratchet"], hides: true, lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "it slips with the stack" } }] }], reseat: { "main-gear": { restsOn: ["under-gear"] } }, batches: [["gear", "Gear, drag and ratchet", "ratchet", "under-gear", "main-gear", "friction", "keyed"]] } },
        { id: "plastic", name: "a plastic washer: no drag face", change: { parts: [["gear-washer", "57", "Under-gear washer, plastic", "under-gear-washer", { kind: "washer", outsideMm: 14, insideMm: 6.2, thicknessMm: 0.5 }, "plastic", 40]], put: [{ after: "ratchet", assembly: "gears", row: ["under-gear", "Under-gear washer", "gear-washer", { ridesOn: "gear-shaft", alongMm: 7.5, restsOn: ["ratchet"], hides: true }] }], reseat: { "main-gear": { restsOn: ["under-gear"] } }, batches: [["gear", "Gear, drag and ratchet", "ratchet", "under-gear", "main-gear", "friction", "keyed"]] } },
      ],
    },
    {
      id: "brakes",
      name: "Cast brakes",
      choices: [
        { id: "both", name: "blocks and magnets" },
        { id: "blocks", name: "blocks alone", change: { drop: ["magnet-front", "magnet-rear", "magnet-dial"] } },
        { id: "magnets", name: "magnets alone", change: { drop: ["brake-hub", "brake-block-a", "brake-block-b", "brake-drum"] } },
      ],
    },
    {
      id: "pinion",
      name: "Pinion",
      choices: [
        { id: "bearing", name: "in a bearing of its own" },
        { id: "spool", name: "on the spool's shaft alone", change: { drop: ["pinion-bearing"], reseat: { yoke: { restsOn: ["frame"] } } } },
      ],
    },
  ],
  operations: [
    {
      id: "gate-clutch",
      kind: "gate",
      words: "The drive shaft turns forward and not back",
      after: place("clutch", "clutch-sleeve"),
      before: place("tension-lower"),
      lookAt: ["Grease in the clutch", "Inner sleeve dirty or left out"],
    },
    {
      id: "back-off",
      kind: "set-state",
      words: "Spool tension knob backed off before the side plate is drawn down",
      after: place("tension-cap", "spool"),
      before: place(...sideScrews),
    },
    {
      id: "gate-spin",
      kind: "gate",
      words: "The spool spins free; side play is barely there",
      after: place(...sideScrews),
      lookAt: ["Tension closed", "Bearing not home", "Oil on the brake track"],
    },
    {
      id: "gate-wind",
      kind: "gate",
      words: "The line guide runs end to end and back",
      after: place("pawl-cap", "worm-clip"),
      before: place("spool"),
      lookAt: ["Pawl not in the groove", "Worm dry or gritty"],
    },
    {
      id: "gate-star",
      kind: "gate",
      pullsLine: true,
      words: "The star takes the drag from free to locked, click heard",
      proves: "drag",
      after: place("star"),
      before: place("handle-spacer"),
      lookAt: ["Tension washers nested", "Star click spring left out"],
    },
    ...end.operations,
  ],
};
export const baitcasterLowProfile = templateOf(baitcasterLowProfileTable);

/** Round baitcaster: the same machine in a taller frame with round plates and a click. */
export const baitcasterRoundTable: TemplateTable = {
  ...baitcasterLowProfileTable,
  family: "baitcaster-round",
  lineRadiusMm: 19,
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...baitcasterLowProfileTable.parts.filter(([id]) => !["side-plate", "gear-plate", "frame"].includes(id)),
    ["side-plate", "20", "Tail side plate, round", "tail-plate", { kind: "plate", outsideMm: 54, thicknessMm: 5, holes: 3 }, "chromed brass", 2490],
    ["gear-plate", "40", "Head side plate, round", "head-plate", { kind: "plate", outsideMm: 56, thicknessMm: 6, holes: 3 }, "chromed brass", 2990],
    ["frame", "70", "Frame, round", "frame", { kind: "frame", outsideMm: 54, widthMm: 40, posts: 4 }, "chromed brass", 6900],
    ["click-tongue", "80", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 11, widthMm: 5, thicknessMm: 1.4 }, "bronze", 290],
    ["click-button", "81", "Click button", "click-button", { kind: "button", outsideMm: 7, stemMm: 3, lengthMm: 9 }, "chromed brass", 390],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...baitcasterLowProfileTable.seats,
    brake: [
      ...baitcasterLowProfileTable.seats.brake!,
      ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -16, restsOn: ["side-plate"], orientation: "point to the spool" }],
      ["click-button", "Click button", "click-button", { acrossMm: -16, restsOn: ["click-tongue"], orientation: "from outside, into the tongue" }],
    ],
  },
};
export const baitcasterRound = templateOf(baitcasterRoundTable);
