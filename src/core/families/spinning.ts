import { knobOn } from "./modules/knob";
import { builtAs, variantOf } from "./modules/module";
import { greased, oiled, place, screw, steel, threadFilm, threadLock } from "./tables/rows";
import type { TableChange, TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const felt = { product: "drag grease", amount: "worked in, wiped off", why: "keeps the felt supple" };
const coverScrews = ["cover-screw-top", "cover-screw-front", "cover-screw-rear"];

/** The dog that stands behind the clutch, or alone in its stead. */
// biome-ignore format: one part a line, read as a table
const dogParts: NonNullable<TableChange["parts"]> = [
  ["ratchet", "94", "Anti-reverse ratchet", "ratchet", { kind: "ratchet", teeth: 12, outsideMm: 20, boreMm: 8.1, thicknessMm: 2 }, "hardened steel", 590],
  ["dog", "95", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 13, widthMm: 5, thicknessMm: 2, boreMm: 2.6 }, "hardened steel", 390],
  ["dog-spring", "96", "Dog spring", "dog-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 12 }, "spring steel", 120],
];
// biome-ignore format: one seat a line, read as a table
const dogSeats: NonNullable<TableChange["put"]> = [
  { after: "clutch-screw-rear", assembly: "clutch", row: ["ratchet", "Anti-reverse ratchet", "ratchet", { restsOn: ["clutch-plate"], orientation: "steep side of the teeth to the dog", twoSided: true }] },
  { after: "ratchet", assembly: "clutch", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: 12, restsOn: ["clutch-plate"], orientation: "ridge down, square nose to the ratchet, engaged as the rotor goes on", twoSided: true, ...oiled("1 drop", "it must swing freely") }] },
  { after: "dog", assembly: "clutch", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 12, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }] },
];

const knobs = builtAs(
  knobOn({
    handle: "handle",
    acrossMm: -52,
    knob: { number: "72", outsideMm: 18, lengthMm: 24, material: "hard plastic", priceMinor: 490 },
    pinMm: 4,
    washer: { number: "73", outsideMm: 7, thicknessMm: 0.3, material: "plastic" },
    bearing: { number: "74", outsideMm: 7, widthMm: 2.5 },
    numbers: { bush: "75", screw: "76", cap: "77" },
  }),
  "pin",
  "bearing",
  "bush-under-cap",
  "bearings-under-cap",
);
const [knob] = knobs.builds;

/** Spinning, open with bail: fixed spool with the drag in it, rotor with bail and line roller, roller clutch, oscillation block. */
export const spinningTable: TemplateTable = {
  family: "spinning",
  lineRadiusMm: 23,
  assemblies: [
    ["drag", "Drag and spool", "frame", { carrier: "spool", freedBy: ["drag-knob"], quick: true }],
    ["bail", "Bail and line roller", "frame", { carrier: "rotor" }],
    ["rotor", "Rotor", "frame", { carrier: "rotor", freedBy: ["rotor-nut", "nut-screw"] }],
    ["handle", "Handle", "handle", { carrier: "handle", freedBy: ["handle-cap"] }],
    ["clutch", "Anti-reverse and pinion", "frame"],
    ["body", "Body, gear and oscillation", "handle"],
  ],
  batches: [
    ["drag", "Drag stack and its clip", "friction-low", "keyed-low", "friction-mid", "eared", "friction-high", "keyed-high", "drag-clip"],
    ["knob", "Drag knob with its ring", "knob-ring", "drag-knob"],
    ["spool", "Spool, shim and click ratchet", "click-ratchet", "spool-shim", "spool"],
    ["bail-wire", "Bail wire with its screw", "bail-wire", "bail-screw"],
    ["roller", "Line roller unit", "roller-spacer", "roller-bearing", "roller", "roller-screw"],
    ["arm", "Bail arm, spring and trip lever", "trip-lever", "bail-spring", "bail-arm"],
    ["rotor-nut", "Rotor nut with its set screw", "rotor-nut", "nut-screw"],
    ["rotor", "Rotor and its washer", "rotor-washer", "rotor"],
    ["handle", "Handle with its cap", "handle", "handle-cap"],
    ["clutch", "One-way clutch and its sleeve", "clutch-sleeve", "clutch"],
    ["pinion", "Pinion and its bearing", "pinion-bearing", "pinion"],
    ["clutch-plate", "Clutch plate with its screws", "clutch-plate", "clutch-screw-top", "clutch-screw-front", "clutch-screw-rear"],
    ["cover", "Side cover with its screws", "side-cover", "cover-screw-top", "cover-screw-front", "cover-screw-rear"],
    ["gear", "Drive gear, shim and bearings", "gear-bearing-inner", "drive-gear", "gear-shim", "gear-bearing-outer"],
    ["shaft", "Main shaft with its screw", "main-shaft", "block-screw"],
    ["oscillation", "Oscillation block and gear", "oscillation-gear", "oscillation-block"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["drag-knob", "10", "Drag knob", "drag-knob", { kind: "cap", outsideMm: 26, heightMm: 10 }, "plastic", 890],
    ["knob-ring", "11", "Knob O-ring", "knob-o-ring", { kind: "o-ring", outsideMm: 22, sectionMm: 1.5 }, "rubber", 90],
    ["drag-clip", "12", "Drag retaining ring", "drag-clip", { kind: "clip", outsideMm: 24, wireMm: 1, form: "wire" }, "spring steel", 120],
    ["eared", "13", "Eared drag washer", "eared-washer", { kind: "eared-washer", outsideMm: 20, insideMm: 6.4, thicknessMm: 1, ears: 2, earMm: 3 }, steel, 210],
    ["friction", "14", "Friction washer", "friction-washer", { kind: "friction-washer", outsideMm: 20, insideMm: 6.6, thicknessMm: 0.9 }, "felt", 190],
    ["keyed", "15", "Keyed drag washer", "keyed-washer", { kind: "keyed-washer", outsideMm: 20, insideMm: 6.4, thicknessMm: 1, acrossFlatsMm: 4.6 }, steel, 210],
    ["spool", "16", "Spool", "spool", { kind: "spool", flangeMm: 52, arborMm: 34, widthMm: 20, shaftMm: 26, shaftLengthMm: 32 }, "anodised aluminium", 3900],
    ["spool-shim", "17", "Spool shim", "shim", { kind: "washer", outsideMm: 11, insideMm: 6.2, thicknessMm: 0.5 }, "plastic", 60],
    ["click-ratchet", "18", "Click ratchet", "click-gear", { kind: "ratchet", teeth: 24, outsideMm: 16, boreMm: 6.2, thicknessMm: 2 }, "plastic", 240],
    ["bail-wire", "30", "Bail wire", "bail-wire", { kind: "bail", spanMm: 64, reachMm: 34, wireMm: 2 }, steel, 1190],
    ["bail-arm", "31", "Bail arm", "bail-arm", { kind: "lever", lengthMm: 18, boreMm: 4, thicknessMm: 4 }, "anodised aluminium", 690],
    ["bail-spring", "32", "Bail spring", "bail-spring", { kind: "coil-spring", wireMm: 0.8, outsideMm: 6, lengthMm: 12, coils: 5 }, "spring steel", 160],
    ["trip-lever", "33", "Trip lever", "trip-lever", { kind: "jack", lengthMm: 16, widthMm: 5, thicknessMm: 1.5 }, steel, 290],
    ["roller", "34", "Line roller", "line-roller", { kind: "roller", outsideMm: 9, lengthMm: 8, boreMm: 6.1 }, "hardened steel", 690],
    ["roller-bearing", "35", "Roller bearing 3 × 6 × 2.5", "roller-bearing", { kind: "bearing", boreMm: 3, outsideMm: 6, widthMm: 2.5, closure: "shielded" }, steel, 590],
    ["roller-spacer", "38", "Roller spacer", "shim", { kind: "washer", outsideMm: 7, insideMm: 3.1, thicknessMm: 0.8 }, "plastic", 60],
    ["roller-screw", "36", "Roller screw", "roller-screw", screw(3, 9, 5), steel, 120],
    ["bail-screw", "37", "Bail screw", "bail-screw", screw(2.5, 6), steel, 90],
    ["rotor-nut", "50", "Rotor nut", "rotor-nut", { kind: "nut", acrossFlatsMm: 12, boreMm: 7, heightMm: 3.5 }, "brass", 310],
    ["nut-screw", "51", "Nut set screw", "nut-screw", screw(2, 4), steel, 70],
    ["rotor", "52", "Rotor", "rotor", { kind: "rotor", outsideMm: 66, heightMm: 36, boreMm: 7.1 }, "plastic", 2900],
    ["rotor-washer", "53", "Rotor washer", "shim", { kind: "washer", outsideMm: 12, insideMm: 7.2, thicknessMm: 0.4 }, steel, 60],
    ["pinion", "60", "Pinion, 9 teeth", "pinion", { kind: "pinion", teeth: 9, moduleMm: 0.9, boreMm: 5.2, lengthMm: 34 }, "brass", 1890],
    ["clutch", "61", "One-way roller clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 24, boreMm: 13, lengthMm: 10, rollers: 8 }, steel, 2100],
    ["clutch-sleeve", "62", "Clutch inner sleeve", "clutch-sleeve", { kind: "sleeve", outsideMm: 12.8, boreMm: 8, lengthMm: 11 }, "hardened steel", 690],
    ["clutch-plate", "63", "Clutch retaining plate", "clutch-plate", { kind: "plate", outsideMm: 30, thicknessMm: 1.2, holes: 3 }, steel, 350],
    ["clutch-screw", "64", "Clutch screw", "clutch-screw", screw(2, 6), steel, 60],
    ["pinion-bearing", "65", "Pinion bearing 7 × 14 × 5", "pinion-bearing", { kind: "bearing", boreMm: 7, outsideMm: 14, widthMm: 5, closure: "shielded" }, steel, 790],
    ["handle", "70", "Handle with knob", "handle", { kind: "handle", armMm: 52, knobMm: 18, boreMm: 5, thicknessMm: 4 }, "anodised aluminium", 1990],
    ...knob.parts,
    ["handle-cap", "71", "Handle cap", "handle-cap", { kind: "cap", outsideMm: 14, heightMm: 7 }, "plastic", 290],
    ["body", "80", "Body with foot", "frame", { kind: "body", lengthMm: 46, heightMm: 40, widthMm: 24 }, "plastic", 4200],
    ["side-cover", "81", "Side cover", "side-cover", { kind: "plate", outsideMm: 42, thicknessMm: 4, holes: 3 }, "plastic", 1450],
    ["cover-screw", "82", "Cover screw", "cover-screw", screw(2.5, 8), steel, 70],
    ["drive-gear", "83", "Drive gear on its shaft", "main-gear", { kind: "gear", teeth: 44, moduleMm: 0.8, boreMm: 5, faceMm: 5 }, "zinc alloy", 2400],
    ["gear-bearing", "84", "Gear bearing 7 × 11 × 3", "gear-bearing", { kind: "bearing", boreMm: 7, outsideMm: 11, widthMm: 3, closure: "shielded" }, steel, 690],
    ["gear-shim", "85", "Gear shim", "shim", { kind: "washer", outsideMm: 9, insideMm: 7.1, thicknessMm: 0.2 }, steel, 60],
    ["oscillation-gear", "86", "Oscillation gear", "oscillation-gear", { kind: "gear", teeth: 26, moduleMm: 0.7, boreMm: 3.1, faceMm: 4 }, "plastic", 490],
    ["oscillation-block", "87", "Oscillation block", "oscillation-block", { kind: "slider", lengthMm: 22, widthMm: 10, thicknessMm: 6 }, "plastic", 390],
    ["block-screw", "88", "Block screw", "block-screw", screw(2, 6), steel, 60],
    ["main-shaft", "89", "Main shaft", "main-shaft", { kind: "shaft", diameterMm: 5, lengthMm: 92, flatMm: 14, acrossFlatsMm: 4.5 }, steel, 990],
    ["switch", "90", "Anti-reverse lever", "anti-reverse-lever", { kind: "lever", lengthMm: 14, boreMm: 3, thicknessMm: 3 }, "plastic", 290],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    drag: [
      ["click-ratchet", "Click ratchet", "click-ratchet", { ridesOn: "main-shaft", orientation: "flat to the shaft's flat, raised side to the rotor", twoSided: true }],
      ["spool-shim", "Spool shim", "spool-shim", { ridesOn: "main-shaft", restsOn: ["click-ratchet"], hides: true, trap: "It sets how the line lies; it clings to the spool." }],
      ["spool", "Spool", "spool", { restsOn: ["spool-shim"], turnsWith: "spool" }],
      ["friction-low", "Friction washer, low", "friction", { lubricant: felt, restsOn: ["spool"], hides: true }],
      ["keyed-low", "Keyed washer, low", "keyed", { ridesOn: "main-shaft", restsOn: ["friction-low"], turnsWith: "sleeve", orientation: "flats on the shaft" }],
      ["friction-mid", "Friction washer, middle", "friction", { lubricant: felt, restsOn: ["keyed-low"] }],
      ["eared", "Eared washer", "eared", { restsOn: ["friction-mid"], turnsWith: "spool", orientation: "ears in the spool's slots", trap: "Keyed and eared alternate: swapped, the drag slips where it should not." }],
      ["friction-high", "Friction washer, high", "friction", { lubricant: felt, restsOn: ["eared"] }],
      ["keyed-high", "Keyed washer, high", "keyed", { ridesOn: "main-shaft", restsOn: ["friction-high"], turnsWith: "sleeve" }],
      ["drag-clip", "Drag retaining ring", "drag-clip", { restsOn: ["keyed-high"], caution: "The ring flies: glasses on, a finger on top.", cautionSays: "spring", orientation: "seated all round its groove" }],
      ["knob-ring", "Knob O-ring", "knob-ring", { restsOn: ["drag-clip"], ...greased("a film of seal-safe grease", "it keeps water off the washers") }],
      ["drag-knob", "Drag knob", "drag-knob", { restsOn: ["knob-ring"], orientation: "started by hand" }],
    ],
    bail: [
      ["trip-lever", "Trip lever", "trip-lever", { acrossMm: -24, restsOn: ["rotor"], hides: true, ...greased("a dab", "it snaps; not worth taking off when it moves freely") }],
      ["bail-spring", "Bail spring", "bail-spring", { acrossMm: -24, restsOn: ["trip-lever"], caution: "The bail spring flies: glasses on, cup the hand.", cautionSays: "spring" }],
      ["bail-arm", "Bail arm", "bail-arm", { acrossMm: -20, restsOn: ["bail-spring"], oilPort: "at the pivot", ...oiled("1 drop at the pivot", "it must fall shut") }],
      ["roller-spacer", "Roller spacer", "roller-spacer", { acrossMm: -10, restsOn: ["bail-arm"], hides: true, orientation: "shallow side as this model has it", twoSided: true }],
      ["roller-bearing", "Roller bearing", "roller-bearing", { acrossMm: -10, restsOn: ["roller-spacer"], oilPort: "at both sides of the line roller", ...oiled("1 drop, both faces greased", "the first bearing that water spoils") }],
      ["roller", "Line roller", "roller", { acrossMm: -10, restsOn: ["roller-bearing"], heldBy: ["roller-screw"], orientation: "thick end as found", asFound: true, trap: "Thick end wrong: line climbs off it." }],
      ["bail-wire", "Bail wire", "bail-wire", { restsOn: ["roller", "bail-arm"], heldBy: ["bail-screw"], orientation: "tabs in their slots" }],
      ["roller-screw", "Roller screw", "roller-screw", { acrossMm: -10, restsOn: ["roller"], hole: "bail arm", holeDepthMm: 10, orientation: "left loose until the bail is whole; drawn down at once when only the roller was out", twoSided: true, ...threadLock }],
      ["bail-screw", "Bail screw", "bail-screw", { acrossMm: 24, restsOn: ["bail-wire"], hole: "far pivot", holeDepthMm: 7, ...threadFilm }],
    ],
    rotor: [
      ["rotor-washer", "Rotor washer", "rotor-washer", { ridesOn: "pinion", restsOn: ["clutch-plate"], hides: true, trap: "Count them: one or two hide under the rotor." }],
      ["rotor", "Rotor", "rotor", { restsOn: ["rotor-washer"], heldBy: ["rotor-nut"], orientation: "wide key to wide channel", trap: "Wide key in the narrow channel: the pinion stands low." }],
      ["rotor-nut", "Rotor nut", "rotor-nut", { restsOn: ["rotor"], orientation: "flat to the set screw's hole", caution: "Some rotor nuts have a left-hand thread: try both ways gently before force." }],
      ["nut-screw", "Nut set screw", "nut-screw", { acrossMm: 8, restsOn: ["rotor-nut"], hole: "rotor, beside the nut", holeDepthMm: 5, ...threadFilm }],
    ],
    handle: [
      ["handle", "Handle", "handle", { turnsWith: "handle", orientation: "side the customer had", asFound: true, twoSided: true, oilPort: "at the handle's fold", ...oiled("1 drop at the fold", "it folds in spray") }],
      ...knob.seats,
      ["handle-cap", "Handle cap", "handle-cap", { restsOn: ["handle"], ...greased("a touch on the thread", "it must come off again") }],
    ],
    clutch: [
      ["pinion-bearing", "Pinion bearing", "pinion-bearing", { restsOn: ["body"], ...oiled("1 drop", "light oil") }],
      ["pinion", "Pinion", "pinion", { restsOn: ["pinion-bearing"], turnsWith: "gear", ...greased("a light film on the teeth", "the bore stays clean for the shaft") }],
      ["clutch-sleeve", "Clutch inner sleeve", "clutch-sleeve", { ridesOn: "pinion", alongMm: 12, restsOn: ["pinion"], orientation: "flats on the pinion, clean and dry", trap: "It drops out as the rotor comes off; grease on it makes the clutch slip." }],
      ["clutch", "One-way roller clutch", "clutch", { restsOn: ["clutch-sleeve"], alongMm: 12, orientation: "as marked: turned over it locks the other way", lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" } }],
      ["clutch-plate", "Clutch retaining plate", "clutch-plate", { restsOn: ["clutch"], heldBy: ["clutch-screw-top", "clutch-screw-front", "clutch-screw-rear"] }],
      ["clutch-screw-top", "Clutch screw, top", "clutch-screw", { acrossMm: 12, restsOn: ["clutch-plate"], hole: "body, clutch, top", holeDepthMm: 7, ...threadFilm }],
      ["clutch-screw-front", "Clutch screw, front", "clutch-screw", { acrossMm: 0, restsOn: ["clutch-plate"], hole: "body, clutch, front", holeDepthMm: 7, ...threadFilm }],
      ["clutch-screw-rear", "Clutch screw, rear", "clutch-screw", { acrossMm: -12, restsOn: ["clutch-plate"], hole: "body, clutch, rear", holeDepthMm: 7, ...threadFilm }],
    ],
    body: [
      ["body", "Body", "body", { stays: true, turnsWith: "frame" }],
      ["switch", "Anti-reverse lever", "switch", { acrossMm: -14, restsOn: ["body"] }],
      ["oscillation-gear", "Oscillation gear", "oscillation-gear", { acrossMm: -12, restsOn: ["body"], ...greased("a dab", "it slides in the block") }],
      ["oscillation-block", "Oscillation block", "oscillation-block", { restsOn: ["oscillation-gear"], orientation: "flat side as found, post in the channel", asFound: true, twoSided: true, ...greased("a dab in the channel", "it slides"), trap: "Flat side wrong it rubs the cover." }],
      ["main-shaft", "Main shaft", "main-shaft", { alongMm: -20, passesThrough: ["pinion"], orientation: "flat up", twoSided: true, heldBy: ["block-screw"], oilPort: "on the shaft, the spool lifted", ...oiled("a film", "it slides in the pinion") }],
      ["block-screw", "Block screw", "block-screw", { acrossMm: 5, restsOn: ["oscillation-block"], hole: "oscillation block", holeDepthMm: 7, ...threadFilm }],
      ["gear-bearing-inner", "Gear bearing, inner", "gear-bearing", { acrossMm: 0, restsOn: ["body"], alongMm: 18, ...oiled("1 drop", "medium oil") }],
      ["drive-gear", "Drive gear", "drive-gear", { restsOn: ["gear-bearing-inner", "oscillation-block", "block-screw"], turnsWith: "gear", ...greased("half round the teeth", "the pinion spreads it") }],
      ["gear-shim", "Gear shim", "gear-shim", { restsOn: ["drive-gear"], hides: true, trap: "It sets how the gears mesh: count them." }],
      ["gear-bearing-outer", "Gear bearing, outer", "gear-bearing", { restsOn: ["gear-shim"], ...oiled("1 drop", "medium oil"), hides: true }],
      ["side-cover", "Side cover", "side-cover", { restsOn: ["gear-bearing-outer"], heldBy: coverScrews }],
      ["cover-screw-top", "Cover screw, top", "cover-screw", { acrossMm: 16, restsOn: ["side-cover"], hole: "body, top", holeDepthMm: 9, ...threadFilm }],
      ["cover-screw-front", "Cover screw, front", "cover-screw", { acrossMm: 0, restsOn: ["side-cover"], hole: "body, front", holeDepthMm: 9, ...threadFilm }],
      ["cover-screw-rear", "Cover screw, rear", "cover-screw", { acrossMm: -16, restsOn: ["side-cover"], hole: "body, rear", holeDepthMm: 9, ...threadFilm }],
    ],
  },
  // biome-ignore format: one choice a line, read as a table
  variants: [
    variantOf(knobs, { assembly: "handle", after: "handle" }),
    {
      id: "anti-reverse",
      name: "Anti-reverse",
      choices: [
        { id: "clutch", name: "roller clutch" },
        {
          id: "both",
          name: "roller clutch, dog and ratchet behind it",
          change: {
            parts: dogParts,
            put: dogSeats,
            reseat: { "rotor-washer": { restsOn: ["ratchet", "dog-spring"] } },
            batches: [["dog", "Ratchet, dog and spring", "ratchet", "dog", "dog-spring"]],
          },
        },
        {
          id: "dog",
          name: "dog and ratchet alone, as on older large ones",
          change: {
            parts: dogParts,
            drop: ["clutch", "clutch-sleeve"],
            put: dogSeats,
            reseat: { "clutch-plate": { name: "Bearing retaining plate", restsOn: ["pinion"] }, "rotor-washer": { restsOn: ["ratchet", "dog-spring"] } },
            operations: [{ id: "gate-clutch", kind: "gate", words: "The pinion turns one way; the dog catches at every tooth the other way", after: place("dog-spring", "ratchet"), before: place("rotor-washer"), lookAt: ["Dog spring not behind its stud", "Dog turned over", "Grease holding the dog up"] }],
            batches: [["dog", "Ratchet, dog and spring", "ratchet", "dog", "dog-spring"]],
          },
        },
      ],
    },
    {
      id: "drag-pieces",
      name: "Drag in the spool",
      choices: [
        { id: "usual", name: "three friction washers" },
        {
          id: "nine",
          name: "nine pieces, as in older large ones",
          change: {
            put: [
              { after: "keyed-high", assembly: "drag", row: ["friction-top", "Friction washer, top", "friction", { lubricant: felt, restsOn: ["keyed-high"] }] },
              { after: "friction-top", assembly: "drag", row: ["eared-top", "Eared washer, top", "eared", { restsOn: ["friction-top"], turnsWith: "spool", orientation: "ears in the spool's slots" }] },
              { after: "eared-top", assembly: "drag", row: ["friction-last", "Friction washer, last", "friction", { lubricant: felt, restsOn: ["eared-top"] }] },
            ],
            reseat: { "drag-clip": { restsOn: ["friction-last"] } },
            batches: [["drag", "Drag stack and its clip", "friction-low", "keyed-low", "friction-mid", "eared", "friction-high", "keyed-high", "friction-top", "eared-top", "friction-last", "drag-clip"]],
          },
        },
      ],
    },
    {
      id: "main-bearing",
      name: "Main bearing",
      choices: [
        { id: "out", name: "comes out" },
        { id: "stays", name: "does not come out of this finish: served in place, proved turning", change: { reseat: { "pinion-bearing": { inPlace: true, stays: true, oilPort: "round its inner ring, the pinion drawn", trap: "Do not drive it: served where it sits and proved turning." } } } },
      ],
    },
  ],
  operations: [
    {
      id: "gate-clutch",
      kind: "gate",
      words: "The pinion turns one way and holds the other, no slip in twenty",
      after: place("clutch-plate", "clutch-screw-top", "clutch-screw-front", "clutch-screw-rear"),
      before: place("rotor-washer"),
      lookAt: ["Grease in the clutch: wash it, oil it", "Inner sleeve dirty, pitted or left out", "Clutch turned over"],
    },
    {
      id: "gate-mesh",
      kind: "gate",
      words: "Turn the drive gear by hand: even all round, the block runs end to end",
      after: place(...coverScrews),
      lookAt: ["Gear shim missing", "Block's flat side wrong", "Cover drawn down skew"],
    },
    {
      id: "tighten-nut",
      kind: "tighten",
      words: "Rotor nut snug, to its notch: too tight cracks what is below",
      after: place("rotor-nut"),
      before: place("nut-screw"),
    },
    {
      id: "gate-rotor",
      kind: "gate",
      words: "The pinion stands proud of the rotor and the rotor turns free",
      after: ["tighten-nut"],
      before: place("nut-screw"),
      lookAt: ["Wide key in the narrow channel", "A washer missing under the rotor"],
    },
    {
      id: "tighten-roller",
      kind: "tighten",
      words: "Roller screw down now that the bail is whole",
      after: place("bail-screw", "roller-screw"),
    },
    {
      id: "gate-bail",
      kind: "gate",
      words: "The bail snaps ten times of ten, the roller turns under a braid",
      after: ["tighten-roller"],
      lookAt: ["Bail spring not on its post", "Bail wire bent", "Roller screw too tight"],
    },
    {
      id: "gate-drag",
      kind: "gate",
      pullsLine: true,
      words: "The drag runs from free to locked",
      proves: "drag",
      after: place("drag-knob"),
      lookAt: ["Keyed and eared swapped", "Retaining ring not in its groove"],
    },
  ],
};

export const spinning = templateOf(spinningTable);
