import { lineRoller } from "./modules/line-roller";
import { variantOf } from "./modules/module";
import { spinningTable } from "./spinning";
import { spinningKnob } from "./spinning-variants";
import { greased, look, mediumOiled, oiled, place, screw, sealGreased, steel, threadFilm } from "./tables/rows";
import type { SeatRow, TableChange, TemplateTable } from "./tables/table";
import { changedTable } from "./tables/variants";
import { templateOf } from "./template";

const packCaution =
  "Turn the cap slowly, a towel under it: the pack may drop. Strong magnet: keep from medical implants as their makers say. Magnetic fluid stains: gloves, no solvent near it.";
const sealFilm = sealGreased("a dry seal wears and lets water in");

/** What a fluid-sealed spinning reel has otherwise: a unit over the plate, and a bearing with a seal under the spool. */
// biome-ignore format: one seat a line, read as a table
const fluidSealed: TableChange = {
  parts: [
    ["fluid-magnet", "66", "Magnet disc with its cover", "seal-magnet", { kind: "sleeve", outsideMm: 26, boreMm: 15, lengthMm: 3 }, "magnet", 1290],
    ["clutch-ring", "67", "Unit O-ring", "o-ring", { kind: "o-ring", outsideMm: 25, sectionMm: 1.2 }, "rubber", 110],
    ["two-ear", "68", "Two-eared washer", "pack-washer", { kind: "eared-washer", outsideMm: 22, insideMm: 14, thicknessMm: 0.8, ears: 2, earMm: 3 }, steel, 140],
    ["three-ear", "108", "Three-eared washer, one ear larger", "pack-washer", { kind: "eared-washer", outsideMm: 22, insideMm: 14, thicknessMm: 0.8, ears: 3, earMm: 3 }, steel, 140],
    ["recessed-washer", "109", "Recessed washer", "clutch-cover", { kind: "plate", outsideMm: 27, thicknessMm: 1.2, holes: 1 }, "brass", 190],
    ["unit-cap", "69", "Clutch unit cap", "clutch-cap", { kind: "cap", outsideMm: 28, heightMm: 3 }, "plastic", 490],
    ["cosmetic-plate", "110", "Plate over the nut", "cosmetic-plate", { kind: "washer", outsideMm: 20, insideMm: 6, thicknessMm: 0.5 }, "plastic", 140],
    ["cross-pin", "111", "Cross pin", "cross-pin", { kind: "pin", diameterMm: 2, lengthMm: 9 }, steel, 90],
    ["support-bearing", "112", "Spool support bearing 5 × 9 × 3", "spool-support-bearing", { kind: "bearing", boreMm: 5, outsideMm: 9, widthMm: 3, closure: "shielded" }, steel, 590],
    ["support-seal", "113", "Seal of the support bearing", "lip-seal", { kind: "lip-seal", outsideMm: 10, boreMm: 5, widthMm: 1.5 }, "rubber", 190],
    ["tip-clip", "114", "Clip at the shaft's tip", "clip", { kind: "clip", outsideMm: 7, wireMm: 0.7, form: "E" }, steel, 50],
  ],
  put: [
    { after: "pinion", assembly: "clutch", row: ["three-ear", "Three-eared washer", "three-ear", { restsOn: ["pinion"], hides: true, orientation: "into the pack before the pack goes into the body, its larger ear to its slot" }] },
    { after: "three-ear", assembly: "clutch", row: ["clutch", "One-way roller clutch, pack", "clutch", { restsOn: ["three-ear", "clutch-plate", "clutch-screw-top", "clutch-screw-front", "clutch-screw-rear"], alongMm: 12, orientation: "to its large slot, as marked: turned over it locks the other way", lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" }, trap: "Dropped, look for all its rollers." }] },
    { after: "clutch", assembly: "clutch", row: ["two-ear", "Two-eared washer", "two-ear", { restsOn: ["clutch"], hides: true, orientation: "above the pack, the pack turned a little until it drops flush", trap: "Exchanged with the three-eared one the ears will not enter." }] },
    { after: "two-ear", assembly: "clutch", row: ["clutch-ring", "Unit O-ring", "clutch-ring", { restsOn: ["two-ear"], orientation: "flush in its groove", ...sealFilm }] },
    { after: "clutch-ring", assembly: "clutch", row: ["recessed-washer", "Recessed washer", "recessed-washer", { restsOn: ["clutch-ring"], orientation: "recess to the ring, flush", twoSided: true, trap: "Proud, the cap stands high." }] },
    { after: "recessed-washer", assembly: "clutch", row: ["clutch-sleeve", "Clutch inner sleeve", "clutch-sleeve", { ridesOn: "pinion", alongMm: 12, restsOn: ["recessed-washer", "pinion"], orientation: "keyed on the pinion, clean and dry, home before the magnet disc; nothing else centres it while the rotor is off", trap: "It is not spun with the rotor off." }] },
    { after: "clutch-sleeve", assembly: "clutch", row: ["fluid-magnet", "Magnet disc", "fluid-magnet", { restsOn: ["recessed-washer", "clutch-sleeve"], orientation: "straight down by fingertips, in with a pop", twoSided: true, caution: packCaution, lubricant: { product: "its own magnetic fluid", amount: "one tiny drop, last of all", why: "let it run round by itself; never wipe after" } }] },
    { after: "fluid-magnet", assembly: "clutch", row: ["unit-cap", "Clutch unit cap", "unit-cap", { restsOn: ["fluid-magnet"], orientation: "turned slowly home, tight", ...greased("a touch on the thread", "it comes off slowly and whole"), caution: packCaution, trap: "Turned off fast it draws the disc and its fluid up with it." }] },
    { after: "nut-screw", assembly: "rotor", row: ["cosmetic-plate", "Plate over the nut", "cosmetic-plate", { restsOn: ["rotor-nut", "nut-screw"] }] },
    { after: null, assembly: "drag", row: ["cross-pin", "Cross pin", "cross-pin", { passesThrough: ["main-shaft"], restsOn: ["cosmetic-plate"], orientation: "centred", trap: "Short of centre it fouls the bearing." }] },
    { after: "cross-pin", assembly: "drag", row: ["support-bearing", "Spool support bearing", "support-bearing", { ridesOn: "main-shaft", restsOn: ["cross-pin"], ...oiled("1 small drop", "the spool turns on it") }] },
    { after: "support-bearing", assembly: "drag", row: ["support-seal", "Seal of the support bearing", "support-seal", { ridesOn: "main-shaft", restsOn: ["support-bearing"], orientation: "lip outward", twoSided: true, ...sealFilm, trap: "Turned over it lets water in." }] },
    { after: "support-seal", assembly: "drag", row: ["tip-clip", "Clip at the shaft's tip", "tip-clip", { restsOn: ["support-seal"], caution: "The clip flies: a finger over it, glasses on.", cautionSays: "spring", orientation: "seated in its groove" }] },
  ],
  move: [
    { seat: "clutch-plate", after: "pinion-bearing" },
    { seat: "clutch-screw-top", after: "clutch-plate" },
    { seat: "clutch-screw-front", after: "clutch-screw-top" },
    { seat: "clutch-screw-rear", after: "clutch-screw-front" },
  ],
  reseat: {
    "clutch-plate": { name: "Bearing retaining plate", restsOn: ["pinion-bearing"], orientation: "under the unit: it holds the pinion's bearing" },
    "collar-spring": { restsOn: ["unit-cap"] },
    "click-ratchet": { restsOn: ["tip-clip"] },
    // Oil run down the shaft comes to the ring of fluid.
    "main-shaft": { oilPort: undefined, portBehind: undefined, lubricant: undefined },
  },
  operations: [
    {
      id: "fluid-last",
      kind: "lubricate",
      words: "Its own fluid last of all: one tiny drop, let it close all round, wipe nothing after",
      after: place("unit-cap"),
      before: ["gate-ring"],
      caution: "Magnetic fluid stains: gloves on, no solvent near it.",
    },
    {
      id: "gate-ring",
      kind: "gate",
      words: "The ring of fluid is seen closed all round; no drag felt beyond the seal's own",
      after: ["fluid-last"],
      before: place("collar-spring"),
      lookAt: [look("O-ring not flush, or the recessed washer proud: the cap stands high", ["clutch-ring", "recessed-washer"]), look("Fluid bled onto the cap: wipe it there, never in the gap", ["unit-cap"]), "A second drop, where the ring is not shut"],
    },
    {
      id: "gate-clutch",
      kind: "gate",
      words: "The pinion turns one way and holds the other, no slip in twenty",
      after: place("unit-cap"),
      before: place("collar-spring"),
      lookAt: [look("Grease or fluid in the clutch: wash it, oil it", ["clutch"]), look("Inner sleeve dirty, pitted or left out", ["clutch-sleeve"], "left-out"), look("Clutch turned over", ["clutch"], "turned")],
    },
  ],
  batches: [
    ["clutch", "One-way clutch in its pack", "three-ear", "clutch", "two-ear", "clutch-ring", "recessed-washer"],
    ["unit", "Sleeve, magnet disc and cap", "clutch-sleeve", "fluid-magnet", "unit-cap"],
    ["tip", "Support bearing with seal, clip and pin", "cross-pin", "support-bearing", "support-seal", "tip-clip"],
    ["rotor-nut", "Rotor nut with its set screw and plate", "nut-bush", "rotor-nut", "nut-screw", "cosmetic-plate"],
  ],
};
const openVariants = (...without: readonly string[]) => (spinningTable.variants ?? []).filter(({ id }) => !without.includes(id));

/** Spinning with a magnetic-fluid seal round its clutch: the unit is lifted out whole, the fluid goes in last. */
export const spinningFluidSealedTable: TemplateTable = {
  ...changedTable(spinningTable, fluidSealed),
  family: "spinning-fluid-sealed",
  variants: openVariants("anti-reverse", "nut-lock", "spool-shims", "neck"),
};

export const spinningFluidSealed = templateOf(spinningFluidSealedTable);

const rotorScrews = ["rotor-screw-top", "rotor-screw-front", "rotor-screw-rear"];
const gearScrews = ["top", "front-top", "front-low", "low", "rear-low", "rear-top"].map((at) => `gear-screw-${at}`);
const armRollers = lineRoller("line-arm", "line arm", "drawn down at once");
const [armRoller] = armRollers.builds;
const drag = [
  "click-ratchet",
  "spool-shim",
  "spool",
  "click-tongue",
  "click-spring",
  "line-clip",
  "friction-low",
  "keyed-low",
  "friction-mid",
  "eared",
  "friction-high",
  "keyed-high",
  "drag-clip",
  "knob-ring",
  "drag-knob",
];
const open = (assembly: string, ...ids: readonly string[]): SeatRow[] =>
  (spinningTable.seats[assembly] ?? []).filter(([id]) => ids.includes(id));
const shared = (...ids: readonly string[]) => spinningTable.parts.filter(([id]) => ids.includes(id));
// The knob is the open reel's.
const knobSeats = spinningKnob.seats.map(([id]) => id);
const knobParts = spinningKnob.parts.map(([id]) => id);
const seal = (id: string, name: string, part: string, restsOn: readonly string[], orientation: string, more: SeatRow[3] = {}): SeatRow => [
  id,
  name,
  part,
  {
    restsOn: [...restsOn],
    orientation,
    twoSided: true,
    onceOnly: true,
    ...sealFilm,
    trap: "Never used again: the old one out before washing, a new one in.",
    ...more,
  },
];

/**
 * Spinning, sealed and bail-less, for the surf: rotor on three screws, the gear riding in a cover on six, a unit of clutch, seals and pinion under a
 * knurled ring. Eight seals, all new at every opening.
 */
export const spinningSealedBailLessTable: TemplateTable = {
  family: "spinning-sealed-bail-less",
  lineRadiusMm: 29,
  assemblies: [
    ["drag", "Drag and spool", "frame", { carrier: "spool", freedBy: ["drag-knob"], quick: true }],
    ["roller", "Line roller", "frame", { carrier: "line-arm", freedBy: ["arm-screw"], quick: true }],
    ["rotor", "Rotor and line arm", "frame", { carrier: "rotor", freedBy: rotorScrews, shutBy: ["spool"] }],
    ["handle", "Handle", "handle"],
    ["gear", "Side cover, gear cover and gear", "handle", { carrier: "gear-cover", freedBy: gearScrews }],
    ["neck", "Neck: clutch, seals and pinion", "frame"],
    ["body", "Body, shaft and oscillation", "handle", { shutBy: ["gear-cover"] }],
  ],
  batches: [
    ...(spinningTable.batches ?? []).filter(([id]) => ["drag", "knob", "spool"].includes(id)),
    ...armRoller.batches,
    ["arm", "Line arm with its screw", "line-arm", "arm-screw"],
    ["rotor", "Rotor with its screws", "rotor", ...rotorScrews],
    ["side-cover", "Side cover with its nut and ring", "side-cover-seal", "side-cover", "side-cover-nut"],
    ["gear-ring-screws", "Gear cover screws", ...gearScrews],
    [
      "gear",
      "Gear in its cover",
      "gear-cover",
      "gear-shaft-seal",
      "cover-bearing",
      "drive-gear",
      "gear-bearing",
      "gear-retainer",
      "gear-clutch",
      "gear-cover-seal",
    ],
    ["unit", "Knurled ring and clutch housing", "housing-seal", "clutch-housing", "neck-seal", "knurled-ring"],
    ["clutch", "One-way clutch with its pin", "clutch-pin", "clutch"],
    ["guide", "Shaft guide with its seals", "guide-seal-inner", "guide-seal-outer", "shaft-guide"],
    ["pinion", "Pinion, main bearing and main seal", "main-bearing", "main-seal", "pinion"],
    ["shaft", "Main shaft with its screw", "main-shaft", "block-screw"],
    ["oscillation", "Oscillation block and gear", "oscillation-gear", "oscillation-block"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...shared("drag-knob", "knob-ring", "drag-clip", "eared", "friction", "keyed", "spool", "spool-shim", "click-tongue", "click-spring", "line-clip", "click-ratchet", "handle", "oscillation-gear", "oscillation-block", "block-screw", "main-shaft", ...knobParts),
    ...armRoller.parts,
    ["line-arm", "31", "Line arm, worked by hand", "bail-arm", { kind: "lever", lengthMm: 18, boreMm: 4, thicknessMm: 4 }, "anodised aluminium", 690],
    ["arm-screw", "42", "Line arm screw", "bail-screw", screw(3, 8), steel, 90],
    ["rotor", "52", "Rotor", "rotor", { kind: "rotor", outsideMm: 76, heightMm: 40, boreMm: 7.1 }, "anodised aluminium", 4900],
    ["rotor-screw", "51", "Rotor screw", "rotor-screw", screw(2.5, 7), steel, 80],
    ["side-cover", "81", "Side cover", "side-cover", { kind: "plate", outsideMm: 40, thicknessMm: 3, holes: 1 }, "anodised aluminium", 1850],
    ["side-cover-nut", "82", "Side cover nut", "side-cover-nut", { kind: "nut", acrossFlatsMm: 14, boreMm: 10, heightMm: 4 }, "brass", 590],
    ["gear-cover", "83", "Gear cover", "gear-cover", { kind: "plate", outsideMm: 46, thicknessMm: 5, holes: 6 }, "anodised aluminium", 2650],
    ["gear-screw", "84", "Gear cover screw, hexagon", "cover-screw", { ...screw(2.5, 8), drive: "hex" } as never, steel, 80],
    ["drive-gear", "85", "Drive gear on its shaft", "main-gear", { kind: "gear", teeth: 44, moduleMm: 0.8, boreMm: 5, faceMm: 5 }, "bronze", 3900],
    ["gear-clutch", "64", "Clutch at the gear", "roller-clutch", { kind: "roller-clutch", outsideMm: 14, boreMm: 8, lengthMm: 6, rollers: 6 }, steel, 1490],
    ["gear-bearing", "116", "Gear bearing 7 × 11 × 3", "gear-bearing", { kind: "bearing", boreMm: 7, outsideMm: 11, widthMm: 3, closure: "shielded" }, steel, 690],
    ["gear-retainer", "117", "Gear retaining ring, curved", "gear-retainer", { kind: "clip", outsideMm: 14, wireMm: 0.8, form: "C" }, "spring steel", 140],
    ["knurled-ring", "60", "Knurled ring", "knurled-ring", { kind: "nut", acrossFlatsMm: 30, boreMm: 24, heightMm: 5 }, "anodised aluminium", 1190],
    ["clutch-housing", "61", "Clutch housing", "clutch-housing", { kind: "cover", outsideMm: 36, heightMm: 14, boreMm: 12 }, "anodised aluminium", 2200],
    ["clutch", "62", "One-way clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 24, boreMm: 13, lengthMm: 10, rollers: 8 }, steel, 2490],
    ["clutch-pin", "63", "Clutch pin", "clutch-pin", { kind: "pin", diameterMm: 2, lengthMm: 6 }, "hardened steel", 90],
    ["main-bearing", "65", "Main bearing 7 × 14 × 5", "pinion-bearing", { kind: "bearing", boreMm: 7, outsideMm: 14, widthMm: 5, closure: "shielded" }, steel, 890],
    ["pinion", "68", "Pinion, left-hand thread", "pinion", { kind: "pinion", teeth: 9, moduleMm: 0.9, boreMm: 5.2, lengthMm: 34 }, "stainless steel", 2490],
    ["shaft-guide", "69", "Shaft guide", "shaft-guide", { kind: "sleeve", outsideMm: 16, boreMm: 5.1, lengthMm: 18 }, "brass", 990],
    ["main-seal", "66", "Main seal", "main-seal", { kind: "lip-seal", outsideMm: 24, boreMm: 12, widthMm: 4 }, "rubber", 690],
    ["guide-seal", "104", "Guide seal", "lip-seal", { kind: "lip-seal", outsideMm: 10, boreMm: 5, widthMm: 2 }, "rubber", 240],
    ["gear-cover-seal", "105", "Gear cover seal", "o-ring", { kind: "o-ring", outsideMm: 44, sectionMm: 1.4 }, "rubber", 160],
    ["housing-seal", "106", "Clutch housing seal", "o-ring", { kind: "o-ring", outsideMm: 34, sectionMm: 1.4 }, "rubber", 150],
    ["neck-seal", "107", "Neck seal", "o-ring", { kind: "o-ring", outsideMm: 27, sectionMm: 1.2 }, "rubber", 110],
    ["side-cover-seal", "91", "Side cover seal", "o-ring", { kind: "o-ring", outsideMm: 38, sectionMm: 1.4 }, "rubber", 140],
    ["gear-shaft-seal", "92", "Gear shaft seal", "lip-seal", { kind: "lip-seal", outsideMm: 14, boreMm: 7, widthMm: 3 }, "rubber", 290],
    ["body", "80", "Body with foot, one piece", "frame", { kind: "body", lengthMm: 50, heightMm: 42, widthMm: 26 }, "anodised aluminium", 7900],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    drag: open("drag", ...drag),
    roller: armRoller.seats,
    rotor: [
      ["rotor", "Rotor", "rotor", { restsOn: ["knurled-ring", "pinion"], heldBy: rotorScrews, orientation: "its holes over the pinion's flange" }],
      ...rotorScrews.map((id, at): SeatRow => [id, `Rotor screw, ${["top", "front", "rear"][at]}`, "rotor-screw", { acrossMm: [12, 0, -12][at], passesThrough: ["rotor"], restsOn: ["pinion"], hole: `pinion flange, ${["top", "front", "rear"][at]}`, holeDepthMm: 8, ...threadFilm }]),
      ["line-arm", "Line arm", "line-arm", { shutBy: [], acrossMm: -20, restsOn: ["rotor"], heldBy: ["arm-screw"], oilPort: "at the pivot", ...oiled("1 drop at the pivot", "it is worked by hand") }],
      ["arm-screw", "Line arm screw", "arm-screw", { shutBy: [], acrossMm: -24, restsOn: ["line-arm"], hole: "rotor, arm's pivot", holeDepthMm: 9, ...threadFilm }],
    ],
    handle: [
      ["handle", "Handle", "handle", { turnsWith: "handle", restsOn: ["side-cover-nut"], orientation: "side the customer had", asFound: true, twoSided: true, oilPort: "where its knob arm folds", ...oiled("1 drop at the fold", "it folds in spray") }],
      ...open("handle", ...knobSeats),
    ],
    gear: [
      ["gear-cover", "Gear cover", "gear-cover", { restsOn: ["body"], heldBy: gearScrews, orientation: "opened only to reach what is under it: the gear stays in it" }],
      seal("gear-shaft-seal", "Gear shaft seal", "gear-shaft-seal", ["gear-cover"], "lip outward"),
      ["cover-bearing", "Cover bearing", "gear-bearing", { restsOn: ["gear-shaft-seal"], ...mediumOiled("1 drop", "slow and loaded") }],
      ["drive-gear", "Drive gear", "drive-gear", { restsOn: ["cover-bearing"], turnsWith: "gear", orientation: "rides in its cover: pressed out only at signs of water (rust, grey or milky grease)", ...greased("half round the teeth", "the pinion spreads it") }],
      ["gear-bearing", "Gear bearing", "gear-bearing", { restsOn: ["drive-gear"], hides: true, ...mediumOiled("1 drop", "slow and loaded") }],
      ["gear-retainer", "Gear retaining ring", "gear-retainer", { shutBy: ["gear-cover"], restsOn: ["gear-bearing"], orientation: "curved: its ends bear on the bearing, its middle stands up", twoSided: true, caution: "The ring springs out of its groove: hook tool and press, a hand behind it, glasses on.", cautionSays: "spring", trap: "Upside down the gear moves out of its cover." }],
      ["gear-clutch", "Clutch at the gear", "gear-clutch", { shutBy: ["gear-cover"], restsOn: ["drive-gear"], orientation: "turned for the winding side; the gear rotated until it drops into its slot", lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles" } }],
      seal("gear-cover-seal", "Gear cover seal", "gear-cover-seal", ["gear-cover"], "in its groove, not twisted"),
      ...gearScrews.map((id, at): SeatRow => [id, `Gear cover screw, ${id.slice("gear-screw-".length).replace("-", " ")}`, "gear-screw", { acrossMm: [20, 14, -8, -20, -14, 8][at], passesThrough: ["gear-cover"], restsOn: ["body", "gear-cover-seal"], hole: `body, gear cover, ${id.slice("gear-screw-".length).replace("-", " ")}`, holeDepthMm: 9, ...threadFilm }]),
      seal("side-cover-seal", "Side cover seal", "side-cover-seal", ["gear-cover", ...gearScrews], "in its groove, not twisted"),
      ["side-cover", "Side cover", "side-cover", { restsOn: ["side-cover-seal"], heldBy: ["side-cover-nut"] }],
      ["side-cover-nut", "Side cover nut", "side-cover-nut", { restsOn: ["side-cover"], ...greased("a bead on the thread", "it must come off again") }],
    ],
    neck: [
      ["clutch-housing", "Clutch housing", "clutch-housing", { orientation: "apart and together on the block", turnsWith: "frame" }],
      ["main-bearing", "Main bearing", "main-bearing", { restsOn: ["clutch-housing"], ...mediumOiled("1 drop", "slow and loaded") }],
      seal("main-seal", "Main seal", "main-seal", ["main-bearing"], "lip outward", { trap: "Never used again, and new every year." }),
      ["clutch-pin", "Clutch pin", "clutch-pin", { restsOn: ["clutch-housing"], hides: true, orientation: "at the housing's cut-out" }],
      ["clutch", "One-way clutch", "clutch", { restsOn: ["clutch-pin", "clutch-housing"], orientation: "its pin to the cut-out before it is pressed; turned over it locks the other way", twoSided: true, lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" }, trap: "The press stops: the pin is off its cut-out. Stop pressing." }],
      ["pinion", "Pinion", "pinion", { restsOn: ["clutch", "main-seal"], turnsWith: "gear", ...greased("a light film on the teeth", "the bore stays clean for the shaft"), caution: "Left-hand thread: it loosens clockwise. Guide in the block's cut-out, rod through its two holes, pinion wrench; no grip on the teeth." }],
      ["shaft-guide", "Shaft guide", "shaft-guide", { restsOn: ["pinion"], orientation: "to the pinion's far end", twoSided: true }],
      seal("guide-seal-inner", "Guide seal, inner", "guide-seal", ["shaft-guide"], "lip as found", { asFound: true }),
      seal("guide-seal-outer", "Guide seal, outer", "guide-seal", ["shaft-guide", "guide-seal-inner"], "lip as found", { asFound: true }),
      seal("housing-seal", "Clutch housing seal", "housing-seal", ["clutch-housing"], "in its groove, not twisted"),
      seal("neck-seal", "Neck seal", "neck-seal", ["clutch-housing", "housing-seal"], "in its groove, not twisted"),
      ["knurled-ring", "Knurled ring", "knurled-ring", { restsOn: ["neck-seal", "pinion", "guide-seal-outer", "main-shaft"], orientation: "hand-tight; off anticlockwise", ...greased("a touch on the thread", "it must come off again") }],
    ],
    body: [
      ["body", "Body", "body", { stays: true, turnsWith: "frame" }],
      ["oscillation-gear", "Oscillation gear", "oscillation-gear", { acrossMm: -12, restsOn: ["body"], ...greased("a dab", "it slides in the block") }],
      ["oscillation-block", "Oscillation block", "oscillation-block", { restsOn: ["oscillation-gear"], orientation: "flat side as found, post in the channel", asFound: true, twoSided: true, ...greased("a dab in the channel", "it slides"), trap: "Flat side wrong it rubs the cover." }],
      ["main-shaft", "Main shaft", "main-shaft", { alongMm: -20, restsOn: ["body"], orientation: "flat up", twoSided: true, heldBy: ["block-screw"], oilPort: "on the shaft, the spool lifted", portBehind: ["spool"], ...oiled("a film", "it slides in its guide") }],
      ["block-screw", "Block screw", "block-screw", { acrossMm: 5, restsOn: ["oscillation-block"], hole: "oscillation block", holeDepthMm: 7, ...threadFilm }],
    ],
  },
  variants: [
    ...openVariants().filter(({ id }) => ["knob", "drag-pieces", "drag-material", "spool-shims"].includes(id)),
    variantOf(armRollers, { assembly: "roller", after: null }),
    {
      id: "guide",
      name: "Shaft guide",
      choices: [
        { id: "one", name: "one piece" },
        {
          id: "two",
          name: "two pieces with a loose sleeve",
          change: {
            parts: [
              [
                "guide-sleeve",
                "115",
                "Guide sleeve, loose",
                "guide-sleeve",
                { kind: "sleeve", outsideMm: 9, boreMm: 5.1, lengthMm: 8 },
                "brass",
                290,
              ],
            ],
            put: [
              {
                after: "shaft-guide",
                assembly: "neck",
                row: [
                  "guide-sleeve",
                  "Guide sleeve",
                  "guide-sleeve",
                  { restsOn: ["shaft-guide"], hides: true, trap: "It stays in the shaft guide and is lost with the wash." },
                ],
              },
            ],
            reseat: { "knurled-ring": { restsOn: ["neck-seal", "pinion", "guide-seal-outer", "main-shaft", "guide-sleeve"] } },
            batches: [
              ["guide", "Shaft guide with its seals and sleeve", "guide-seal-inner", "guide-seal-outer", "shaft-guide", "guide-sleeve"],
            ],
          },
        },
      ],
    },
  ],
  operations: [
    {
      id: "gate-gear",
      kind: "gate",
      words: "The gear cannot be pushed out of its cover, and turns forward only",
      after: place("gear-retainer", "gear-clutch"),
      before: place(...gearScrews),
      lookAt: [
        look("Ring upside down or half in its groove", ["gear-retainer"], "left-out"),
        look("Clutch at the gear turned over", ["gear-clutch"], "turned"),
      ],
    },
    {
      id: "gate-unit",
      kind: "gate",
      words: "Pinion tight, ring hand-tight: one way it turns, no slip in twenty the other",
      after: place("knurled-ring"),
      before: place("rotor"),
      lookAt: [
        look("Clutch turned over", ["clutch"], "turned"),
        look("Pinion not drawn home: it tightens anticlockwise", ["pinion"]),
        look("Grease in the clutch", ["clutch"]),
      ],
    },
    {
      id: "gate-roller",
      kind: "gate",
      words: "The roller turns under a braid",
      after: place("roller-screw", "roller"),
      lookAt: [look("Roller screw too tight", ["roller-screw"]), look("Bearing seized", ["roller-bearing"])],
    },
    ...spinningTable.operations.filter(({ id }) => ["tape-line", "gate-drag"].includes(id)),
  ],
};

export const spinningSealedBailLess = templateOf(spinningSealedBailLessTable);
