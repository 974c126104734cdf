import { handleEnd } from "./modules/handle-end";
import { knobOn } from "./modules/knob";
import { levelWindBatches, levelWindParts, levelWindSeats, windGate } from "./modules/level-wind";
import { tensionSeats, yokeSprings } from "./modules/look-seats";
import { builtAs, variantOf } from "./modules/module";
import { tensionWashers, withEitherSide } from "./modules/tension";
import { underHandle, underSeats } from "./modules/under-handle";
import { greased, look, mediumOiled, oiled, place, screw, sealGreased, steel, threadFilm } from "./tables/rows";
import type { PartRow, SeatRow, TemplateTable, VariantChoice } from "./tables/table";
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
    secondAcrossMm: 45,
    numbers: { bush: "36", screw: "37", cap: "38" },
  }),
  "bearing",
  "pin",
  "bush-under-cap",
  "bearings-under-cap",
);
const [knob] = knobs.builds;

const shaft = "gear-shaft";
const tensions = tensionWashers({
  shaft,
  restsOn: "clutch-sleeve",
  below: [],
  number: "17",
  outsideMm: 12,
  insideMm: 6.2,
  star: ["star-click"],
});
const [tension] = tensions.builds;

const outerScrews = ["gear-screw-top", "gear-screw-front", "gear-screw-rear"];
const gearScrews = [...outerScrews, "gear-screw-inner"];
export const blocks = ["a", "b", "c", "d", "e", "f"].map((letter) => `brake-block-${letter}`);
const blockSeats = (count: number, name = "Brake block"): SeatRow[] =>
  blocks.slice(0, count).map((id, at) => [
    id,
    `${name}, ${["first", "second", "third", "fourth", "fifth", "sixth"][at]}`,
    "brake-block",
    {
      acrossMm: at % 2 ? -6 - at : 6 + at,
      alongMm: 12,
      restsOn: ["brake-hub"],
      freeOrder: "blocks",
      orientation: "as found: in or out",
      asFound: true,
      ...(at === 0 ? { trap: "Note which blocks are active and restore them." } : {}),
    },
  ]);
/** Blocks in another number or of another make than the four sliding ones; magnets stay or go. */
function otherBlocks(id: string, name: string, count: number, part: PartRow, what: string): VariantChoice {
  const seats = blockSeats(count, what);
  const ids = seats.map(([seat]) => seat);
  return {
    id,
    name,
    change: {
      parts: [part],
      drop: ["magnet-front", "magnet-rear", "magnet-dial", ...blocks.slice(0, 4).filter((seat) => !ids.includes(seat))],
      put: seats.map((row, at) => ({ after: at ? ids[at - 1]! : "brake-hub", assembly: "spool", row })),
      reseat: { "side-plate": { restsOn: ["spool", "spool-bearing", ...ids] } },
      batches: [["spool", "Spool with bearing and brake", "spool", "bearing-pin", "spool-bearing", "brake-hub", ...ids]],
    },
  };
}
const slidingBlock: PartRow = [
  "brake-block",
  "33",
  "Brake block",
  "brake-block",
  { kind: "block", lengthMm: 5, widthMm: 2.4, thicknessMm: 2.4 },
  "plastic",
  60,
];
const shoe: PartRow = [
  "brake-shoe",
  "83",
  "Brake shoe, pivoting",
  "brake-block",
  { kind: "block", lengthMm: 8, widthMm: 3, thicknessMm: 2 },
  "plastic",
  140,
];

const mediumDrop = mediumOiled("1 drop", "slow and loaded, and water gets in with the handle");
export const sideScrews = ["side-screw-top", "side-screw-front", "side-screw-rear"];

/** Low-profile baitcaster: star drag in small, level wind, spool on fine bearings, centrifugal and magnetic brakes. */
export const baitcasterLowProfileTable: TemplateTable = {
  family: "baitcaster-low-profile",
  lineRadiusMm: 16,
  assemblies: [
    ["handle", "Handle and star", "handle", { quick: true }],
    [
      "brake",
      "Brake side",
      "tail",
      { carrier: "side-plate", freedBy: ["side-screw-top", "side-screw-front", "side-screw-rear"], shutBy: ["side-plate"] },
    ],
    ["spool", "Spool", "frame", { carrier: "spool", quick: true, shutBy: ["spool"] }],
    ["gears", "Gear side and drag", "handle"],
    ["wind", "Level wind", "frame", { shutBy: ["gear-plate"] }],
    ["frame", "Frame and thumb bar", "frame", { shutBy: ["gear-plate"] }],
  ],
  batches: [
    ...end.batches,
    ...knob.batches,
    ...tension.batches,
    [
      "side-plate",
      "Side plate with its track, bearing and keeper",
      "side-plate",
      "recess-washer",
      "plate-bearing",
      "plate-keeper",
      "brake-drum",
    ],
    ["magnets", "Magnets and dial", "magnet-front", "magnet-rear", "magnet-dial"],
    ["spool", "Spool with bearing and brake", "spool", "bearing-pin", "spool-bearing", "brake-hub", ...blocks.slice(0, 4)],
    ["tension", "Tension cap, ring, shim and bearing", "cap-bearing", "tension-shim", "cap-ring", "tension-cap"],
    ["clutch", "One-way clutch and its sleeve", "clutch", "clutch-sleeve"],
    ["yoke", "Pinion and yoke with its springs", "pinion-bearing", "yoke", "pinion", "yoke-spring-upper", "yoke-spring-lower"],
    ["gear", "Gear, drag and ratchet", "ratchet", "main-gear", "friction", "keyed"],
    ["gear-ring", "Gear plate screws", ...gearScrews],
    ["gear-plate", "Gear plate with its bearing", "gear-plate", "plate-shaft-bearing"],
    ["kick", "Clutch cam, kick lever and spring", "clutch-cam", "kick-lever", "kick-spring"],
    ["gear-shaft", "Gear shaft and its bearing", "shaft-bearing", "gear-shaft"],
    ...levelWindBatches,
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
    ...tension.parts,
    ["side-plate", "20", "Brake side plate", "tail-plate", { kind: "plate", outsideMm: 62, thicknessMm: 3, holes: 3, lowMm: 40 }, "plastic", 1690],
    ["magnet", "21", "Brake magnet", "magnet", { kind: "magnet", lengthMm: 5, widthMm: 4, thicknessMm: 2 }, "magnet", 220],
    ["magnet-dial", "22", "Magnet dial", "magnet-dial", { kind: "cap", outsideMm: 16, heightMm: 4 }, "plastic", 390],
    ["brake-drum", "23", "Brake track", "brake-drum", { kind: "sleeve", outsideMm: 22, boreMm: 20, lengthMm: 4 }, "aluminium", 490],
    ["side-screw", "24", "Side plate screw", "side-screw", screw(2.5, 8), steel, 70],
    ["spool", "30", "Spool", "spool", { kind: "spool", flangeMm: 34, arborMm: 22, widthMm: 23, shaftMm: 3, shaftLengthMm: 52 }, "anodised aluminium", 3900],
    ["spool-bearing", "31", "Spool bearing 3 × 10 × 4", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 10, widthMm: 4, closure: "shielded" }, steel, 890],
    ["brake-hub", "32", "Brake hub", "brake-hub", { kind: "drum", outsideMm: 18, depthMm: 3, boreMm: 3.1, arms: 6 }, "plastic", 590],
    slidingBlock,
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
    ["gear-screw", "75", "Gear plate screw", "plate-screw", screw(2.5, 8), steel, 70],
    ["gear-screw-short", "76", "Gear plate screw, inner, short", "plate-screw", screw(2.5, 5), steel, 70],
    ["recess-washer", "77", "Recess washer", "recess-washer", { kind: "cupped-washer", outsideMm: 9, insideMm: 3.2, thicknessMm: 0.2, coneHeightMm: 0.3 }, steel, 60],
    ["clutch-cam", "78", "Clutch cam", "clutch-cam", { kind: "eccentric", outsideMm: 16, throwMm: 2, thicknessMm: 1.5, boreMm: 6 }, "plastic", 290],
    ["kick-lever", "79", "Kick lever", "kick-lever", { kind: "dog", lengthMm: 12, widthMm: 4, thicknessMm: 1.2, boreMm: 2 }, steel, 190],
    ["kick-spring", "88", "Kick lever spring", "kick-spring", { kind: "wire-spring", wireMm: 0.4, lengthMm: 10 }, "spring steel", 90],
    ["plate-bearing", "25", "Side plate bearing 3 × 10 × 4", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 10, widthMm: 4, closure: "shielded" }, steel, 890],
    ["plate-keeper", "26", "Bearing keeper", "clip", { kind: "clip", outsideMm: 11, wireMm: 0.5, form: "wire" }, "spring steel", 60],
    ["pinion-bearing", "55", "Pinion bearing 5 × 11 × 4", "pinion-bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 4, closure: "shielded" }, steel, 690],
    ["cap-bearing", "56", "Tension cap bearing 3 × 8 × 3", "spool-bearing", { kind: "bearing", boreMm: 3, outsideMm: 8, widthMm: 3, closure: "shielded" }, steel, 690],
    ["foot-screw", "74", "Foot screw", "foot-screw", screw(3, 6), steel, 60],
    ["foot", "73", "Reel foot", "foot", { kind: "foot", lengthMm: 58, widthMm: 15, thicknessMm: 2.5 }, "aluminium", 790],
    ...levelWindParts((number) => number),
    ["frame", "70", "Frame", "frame", { kind: "frame", outsideMm: 62, widthMm: 34, posts: 3, lowMm: 40 }, "aluminium", 6900],
    ["thumb-bar", "71", "Thumb bar", "thumb-bar", { kind: "slider", lengthMm: 30, widthMm: 8, thicknessMm: 5 }, "plastic", 590],
    ["thumb-spring", "72", "Thumb bar spring", "thumb-bar-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 16 }, "spring steel", 120],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    handle: [
      ...tension.seats,
      ["star-click", "Star click spring", "star-click", { acrossMm: 10, restsOn: ["tension-upper"], caution: "The click spring flies: glasses on.", cautionSays: "spring" }],
      ["star", "Star", "star", { ridesOn: "gear-shaft", restsOn: ["star-click", "tension-upper"], orientation: "flats on the shaft's flats, started square", trap: "Stops early: back it off and begin again." }],
      ...under.seats,
      ["handle", "Handle", "handle", { ridesOn: "gear-shaft", restsOn: ["handle-spacer"], turnsWith: "handle", trap: "A spring under the star may push it: a hand on it as the nut leaves." }],
      ...end.seats,
      ...knob.seats,
    ],
    brake: [
      ["side-plate", "Brake side plate", "side-plate", { restsOn: ["spool", "spool-bearing", ...blocks.slice(0, 4)], turnsWith: "frame", heldBy: sideScrews, ...greased("a trace on the lugs", "it turns home and comes off again") }],
      ["recess-washer", "Recess washer", "recess-washer", { acrossMm: 0, restsOn: ["side-plate"], hides: true, orientation: "behind the bearing, its dish to it", twoSided: true, ...oiled("a dot under, a dot over", "it holds the bearing still"), trap: "Turned or absent, the bearing sits loose." }],
      ["plate-bearing", "Side plate bearing", "plate-bearing", { acrossMm: 0, restsOn: ["recess-washer"], ...oiled("1 small drop", "more only shortens the cast") }],
      ["plate-keeper", "Bearing keeper", "plate-keeper", { restsOn: ["plate-bearing"], orientation: "under its ledge all round", caution: "The keeper flies: a finger over it, glasses on.", cautionSays: "spring" }],
      ["brake-drum", "Brake track", "brake-drum", { restsOn: ["side-plate"], orientation: "clean and bone dry", trap: "Oil here and the brakes fade: casts run wild." }],
      ["magnet-front", "Brake magnet, front", "magnet", { acrossMm: 8, restsOn: ["side-plate"], freeOrder: "magnets", caution: "Strong magnet: keep from medical implants as their makers say; it pulls small screws.", cautionSays: "magnet" }],
      ["magnet-rear", "Brake magnet, rear", "magnet", { acrossMm: -8, restsOn: ["side-plate"], freeOrder: "magnets" }],
      ["magnet-dial", "Magnet dial", "magnet-dial", { shutBy: [], restsOn: ["magnet-front", "magnet-rear"], orientation: "as found: note the number", asFound: true }],
      ["side-screw-top", "Side screw, top", "side-screw", { acrossMm: 18, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, top", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
      ["side-screw-front", "Side screw, front", "side-screw", { acrossMm: 0, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, front", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
      ["side-screw-rear", "Side screw, rear", "side-screw", { acrossMm: -18, passesThrough: ["side-plate"], restsOn: ["frame"], hole: "frame, rear", holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }],
    ],
    spool: [
      ["spool", "Spool", "spool", { round: true, restsOn: ["pinion", "frame", "gear-screw-inner"], turnsWith: "spool", orientation: "long shaft end to the pinion" }],
      ["bearing-pin", "Bearing pin", "bearing-pin", { restsOn: ["spool"], alongMm: 2, hides: true }],
      ["spool-bearing", "Spool bearing", "spool-bearing", { ridesOn: "spool", restsOn: ["bearing-pin"], alongMm: 4, oilPort: "under the cast control cap", ...oiled("1 small drop", "more only shortens the cast") }],
      ["brake-hub", "Brake hub", "brake-hub", { ridesOn: "spool", alongMm: 12, restsOn: ["spool"] }],
      ...blockSeats(4),
    ],
    gears: [
      ["shaft-bearing", "Drive shaft bearing, frame", "shaft-bearing", { restsOn: ["frame"], ...mediumDrop }],
      ["gear-shaft", "Drive shaft", "gear-shaft", { restsOn: ["shaft-bearing"], turnsWith: "sleeve" }],
      ["clutch-cam", "Clutch cam", "clutch-cam", { acrossMm: 12, restsOn: ["frame"], orientation: "its ramps to the yoke", ...greased("a trace on the ramps", "the yoke slides up them") }],
      ["kick-lever", "Kick lever", "kick-lever", { acrossMm: 6, restsOn: ["clutch-cam"], orientation: "its nose to the ratchet" }],
      ["kick-spring", "Kick lever spring", "kick-spring", { acrossMm: 6, restsOn: ["kick-lever"], heldBy: ["main-gear"], caution: "The kick lever's spring flies: glasses on, a finger over it.", cautionSays: "spring" }],
      ["ratchet", "Ratchet", "ratchet", { ridesOn: "gear-shaft", alongMm: 6, turnsWith: "sleeve" }],
      ["main-gear", "Main gear", "main-gear", { ridesOn: "gear-shaft", alongMm: 8, restsOn: ["ratchet"], turnsWith: "gear", ...greased("half round the teeth", "a film, no more: it slows the cast") }],
      ["friction", "Friction washer", "friction", { lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "smooth start" }, restsOn: ["main-gear"], ridesOn: "gear-shaft", insideOf: "main-gear", hides: true }],
      ["keyed", "Keyed washer", "keyed", { restsOn: ["friction"], ridesOn: "gear-shaft", insideOf: "main-gear", turnsWith: "sleeve" }],
      ["pinion-bearing", "Pinion bearing", "pinion-bearing", { acrossMm: 18.3, restsOn: ["frame"], ...oiled("1 small drop", "it carries the pinion beside the spool") }],
      ["yoke", "Yoke", "yoke", { acrossMm: 18.3, restsOn: ["pinion-bearing", "clutch-cam"] }],
      ["pinion", "Pinion", "pinion", { acrossMm: 18.3, restsOn: ["yoke"], ...greased("a fingerprint on the teeth", "the bore stays clean: dirt there shortens the cast"), orientation: "slot to the spool" }],
      ["yoke-spring-upper", "Yoke spring, upper", "yoke-spring", { acrossMm: 26.3, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on.", cautionSays: "spring" }],
      ["yoke-spring-lower", "Yoke spring, lower", "yoke-spring", { acrossMm: 10.3, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on.", cautionSays: "spring" }],
      ["gear-plate", "Gear side plate", "gear-plate", { restsOn: ["keyed", "pinion", "yoke-spring-upper", "yoke-spring-lower"], turnsWith: "frame", heldBy: gearScrews, caution: "The yoke springs stand under it: lift it level, glasses on.", cautionSays: "spring", trap: "A plate that resists is not pried: the inner screw under the spool is still in." }],
      ...outerScrews.map((id): SeatRow => [id, `Gear plate screw, ${id.slice("gear-screw-".length)}`, "gear-screw", { acrossMm: { top: 20, front: 4, rear: -20 }[id.slice("gear-screw-".length)], passesThrough: ["gear-plate"], restsOn: ["frame"], hole: `frame, ${id.slice("gear-screw-".length)}, from outside`, holeDepthMm: 9, orientation: "stays in the plate", ...threadFilm }]),
      ["gear-screw-inner", "Gear plate screw, inner", "gear-screw-short", { acrossMm: -6, passesThrough: ["frame"], restsOn: ["gear-plate"], hole: "gear plate, from the spool's side", holeDepthMm: 6, ...threadFilm, trap: "The short one, under the spool: forgotten there, the plate works loose." }],
      ["plate-shaft-bearing", "Drive shaft bearing, plate", "shaft-bearing", { ridesOn: "gear-shaft", restsOn: ["gear-plate"], ...mediumDrop }],
      ["clutch", "One-way roller clutch", "clutch", { restsOn: ["gear-plate", "plate-shaft-bearing"], lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles" } }],
      ["clutch-sleeve", "Clutch inner sleeve", "clutch-sleeve", { ridesOn: "gear-shaft", restsOn: ["clutch", "keyed"], hides: true, orientation: "clean and dry", trap: "It leaves with the star: look for it there." }],
      ["cap-bearing", "Tension cap bearing", "cap-bearing", { acrossMm: 20, restsOn: ["gear-plate"], ...oiled("1 small drop", "more only shortens the cast") }],
      ["tension-shim", "Tension shim", "tension-shim", { acrossMm: 20, restsOn: ["cap-bearing"], hides: true }],
      ["cap-ring", "Tension O-ring", "cap-ring", { acrossMm: 20, restsOn: ["tension-shim"], ...sealGreased("the knob must hold its place") }],
      ["tension-cap", "Spool tension knob", "tension-cap", { acrossMm: 20, restsOn: ["cap-ring"], orientation: "backed off" }],
    ],
    wind: levelWindSeats,
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
    withEitherSide(variantOf(tensions, { assembly: "handle", after: null }), "handle", { shaft, restsOn: "clutch-sleeve" }),
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
        { id: "both", name: "four blocks, and magnets" },
        otherBlocks("blocks", "four blocks alone", 4, slidingBlock, "Brake block"),
        otherBlocks("six", "six blocks alone", 6, slidingBlock, "Brake block"),
        otherBlocks("shoes", "four pivoting shoes", 4, shoe, "Brake shoe"),
        { id: "magnets", name: "magnets alone", change: { drop: ["brake-hub", ...blocks.slice(0, 4), "brake-drum"] } },
        { id: "none", name: "none", change: { drop: ["brake-hub", ...blocks.slice(0, 4), "brake-drum", "magnet-front", "magnet-rear", "magnet-dial"] } },
      ],
    },
    {
      id: "tail-door",
      name: "The brake side is held by",
      choices: [
        { id: "screws", name: "three screws" },
        { id: "coin", name: "one coin screw", change: { drop: ["side-screw-top", "side-screw-rear"], reseat: { "side-screw-front": { name: "Coin screw" } }, freedBy: { brake: ["side-screw-front"] } } },
        {
          id: "lugs",
          name: "lugs and a catch",
          change: {
            drop: sideScrews,
            freedBy: { brake: [] },
            reseat: { "side-plate": { setFirst: [{ words: "tension knob backed off, the plate's catch open", control: "tension-cap" }] } },
            operations: [
              { id: "back-off", kind: "set-state", words: "Spool tension knob backed off, dial at its open place, before the side plate is turned home", after: place("tension-cap", "spool"), before: ["turn-home"] },
              { id: "turn-home", kind: "press", words: "Side plate turned home on its lugs: the catch snaps, no gap", after: place("side-plate", "plate-keeper") },
              { id: "gate-spin", kind: "gate", words: "The spool spins free; side play is barely there", after: ["turn-home"], lookAt: [look("Tension closed", ["tension-cap"]), look("Bearing not home", ["spool-bearing", "plate-bearing", "cap-bearing"], "left-out"), look("Oil on the brake track", ["brake-drum"])] },
            ],
          },
        },
      ],
    },
    {
      id: "star-click",
      name: "Click of the star",
      choices: [
        { id: "loose", name: "a loose spring on the washers" },
        { id: "in-star", name: "in the star, it leaves with it", change: { drop: ["star-click"], operations: [{ id: "gate-star", kind: "gate", pullsLine: true, words: "The star goes from free to locked, click heard", proves: "drag", after: place("star"), before: place("handle-spacer"), lookAt: [look("Tension washers nested", tensionSeats, "turned"), look("Star not on its flats", ["star"])] }] } },
        { id: "none", name: "none", change: { drop: ["star-click"], operations: [{ id: "gate-star", kind: "gate", pullsLine: true, words: "The star takes the drag from free to locked", proves: "drag", after: place("star"), before: place("handle-spacer"), lookAt: [look("Tension washers nested", tensionSeats, "turned"), look("Star not on its flats", ["star"])] }] } },
      ],
    },
    {
      id: "dog",
      name: "Behind the clutch",
      choices: [
        { id: "none", name: "nothing" },
        {
          id: "dog",
          name: "a dog with its spring",
          change: {
            parts: [
              ["dog", "94", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 10, widthMm: 4, thicknessMm: 1.5, boreMm: 2 }, "hardened steel", 290],
              ["dog-spring", "95", "Dog spring", "dog-spring", { kind: "wire-spring", wireMm: 0.4, lengthMm: 10 }, "spring steel", 110],
            ],
            put: [
              { after: "kick-spring", assembly: "gears", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: -12, restsOn: ["frame"], orientation: "square nose to the ratchet", twoSided: true, ...oiled("1 drop", "it must swing freely") }] },
              { after: "dog", assembly: "gears", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: -12, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }] },
            ],
            reseat: { "gear-plate": { restsOn: ["keyed", "pinion", "yoke-spring-upper", "yoke-spring-lower", "dog-spring"] } },
            batches: [["kick", "Clutch cam, levers and springs", "clutch-cam", "kick-lever", "kick-spring", "dog", "dog-spring"]],
          },
        },
      ],
    },
    {
      id: "worm-ends",
      name: "The worm turns in",
      choices: [
        { id: "bushes", name: "two bushes" },
        { id: "bearings", name: "two bearings", change: { parts: [["worm-bearing", "69", "Worm bearing 3 × 7 × 3", "worm-bearing", { kind: "bearing", boreMm: 3, outsideMm: 7, widthMm: 3, closure: "shielded" }, steel, 490]], reseat: { "worm-bush-far": { name: "Worm bearing, far end", part: "worm-bearing" }, "worm-bush": { name: "Worm bearing, gear end", part: "worm-bearing", ridesOn: undefined } } } },
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
      id: "gate-gear-plate",
      kind: "gate",
      words: "Thumb bar up, gear plate shut by hand: no gap all round, before any screw",
      after: place("gear-plate"),
      before: place(...gearScrews),
      lookAt: [
        look("Yoke off the pinion's groove", ["yoke"]),
        look("A yoke spring off its post", yokeSprings, "left-out"),
        look("Inner sleeve beside the clutch", ["clutch-sleeve"]),
      ],
    },
    {
      id: "tighten-gear",
      kind: "tighten",
      words: "Gear plate screws: one in each zone, then crosswise; the short one inside",
      after: place(...gearScrews),
      before: ["gate-yoke"],
      tool: "blade 3 mm",
    },
    {
      id: "gate-yoke",
      kind: "gate",
      words: "Thumb bar down, shaft turned: the yoke snaps back",
      after: place("thumb-bar"),
      before: place("star"),
      lookAt: [
        look("A yoke spring off its post", yokeSprings, "left-out"),
        look("Kick lever's spring out", ["kick-spring"], "left-out"),
        look("Clutch cam turned", ["clutch-cam"], "turned"),
      ],
    },
    {
      id: "gate-clutch",
      kind: "gate",
      words: "The drive shaft turns forward and not back",
      after: place("clutch", "clutch-sleeve"),
      before: place("tension-lower", "tension-upper"),
      lookAt: [look("Grease in the clutch", ["clutch"]), look("Inner sleeve dirty or left out", ["clutch-sleeve"], "left-out")],
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
      lookAt: [
        look("Tension closed", ["tension-cap"]),
        look("Bearing not home", ["spool-bearing", "plate-bearing", "cap-bearing"], "left-out"),
        look("Oil on the brake track", ["brake-drum"]),
      ],
    },
    windGate("place-spool"),
    {
      id: "gate-star",
      kind: "gate",
      pullsLine: true,
      words: "The star goes from free to locked, click heard",
      proves: "drag",
      after: place("star"),
      before: place("handle-spacer"),
      lookAt: [look("Tension washers nested", tensionSeats, "turned"), look("Star click spring left out", ["star-click"], "left-out")],
    },
    ...end.operations,
  ],
};
export const baitcasterLowProfile = templateOf(baitcasterLowProfileTable);
