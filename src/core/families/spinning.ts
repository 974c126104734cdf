import { knobOn } from "./modules/knob";
import { lineRoller } from "./modules/line-roller";
import { builtAs, variantOf } from "./modules/module";
import { greased, oiled, place, screw, sealGreased, steel, threadFilm } from "./tables/rows";
import type { TableChange, TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const felt = { product: "drag grease", amount: "worked in, wiped off", why: "keeps the felt supple" };
const coverScrews = ["cover-screw-top", "cover-screw-front", "cover-screw-rear"];
const tripScrews = ["trip-screw", "trip-cover-screw-front", "trip-cover-screw-rear"];
const medium = (why: string) => ({ lubricant: { product: "medium oil", amount: "1 drop", why } });
const gearSides = { oilPort: "through the handle's hole, the handle off", ...medium("slow and loaded, water gets in with the handle") };

const rollers = lineRoller("bail-arm", "bail arm", "left loose until the bail is whole; drawn down at once when only the roller was out");
const [roller] = rollers.builds;

/** The mesh felt once the cover is drawn down. */
const meshFelt = (screws: readonly string[]) => ({
  id: "gate-mesh",
  kind: "gate" as const,
  words: "Turn the drive gear by hand: even all round, the block runs end to end",
  after: place(...screws),
  lookAt: ["Gear shim missing", "Block's flat side wrong", "Cover drawn down skew"],
});
const moreCoverScrews = (count: 4 | 5): TableChange => {
  const added = ["cover-screw-low", "cover-screw-neck"].slice(0, count - 3);
  const all = [...coverScrews, ...added];
  return {
    put: added.map((id, at) => ({
      after: at ? added[at - 1]! : "cover-screw-rear",
      assembly: "body",
      row: [
        id,
        `Cover screw, ${at ? "neck" : "low"}`,
        "cover-screw",
        { acrossMm: at ? 22 : -22, restsOn: ["side-cover"], hole: `body, ${at ? "neck" : "low"}`, holeDepthMm: 9, ...threadFilm },
      ],
    })),
    reseat: { "side-cover": { heldBy: all } },
    operations: [meshFelt(all)],
    batches: [["cover", "Side cover with its screws", "side-cover", ...all]],
  };
};
const moreShims = (count: 0 | 2 | 3): TableChange =>
  count === 0
    ? {
        drop: ["gear-shim"],
        reseat: { "gear-bearing-outer": { restsOn: ["drive-gear"] } },
        batches: [["gear", "Drive gear and bearings", "gear-bearing-inner", "drive-gear", "gear-bearing-outer"]],
      }
    : {
        put: ["second", "third"].slice(0, count - 1).map((nth, at) => ({
          after: at ? "gear-shim-second" : "gear-shim",
          assembly: "body",
          row: [`gear-shim-${nth}`, `Gear shim, ${nth}`, "gear-shim", { restsOn: [at ? "gear-shim-second" : "gear-shim"], hides: true }],
        })),
        reseat: { "gear-bearing-outer": { restsOn: [count === 3 ? "gear-shim-third" : "gear-shim-second"] } },
        batches: [
          [
            "gear",
            "Drive gear, shims and bearings",
            "gear-bearing-inner",
            "drive-gear",
            "gear-shim",
            "gear-shim-second",
            ...(count === 3 ? ["gear-shim-third"] : []),
            "gear-bearing-outer",
          ],
        ],
      };

/** The dog that stands behind the clutch, or alone in its stead. */
// biome-ignore format: one part a line, read as a table
const dogParts: NonNullable<TableChange["parts"]> = [
  ["friction-spring", "97", "Friction spring", "friction-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 20 }, "spring steel", 110],
  ["dog-screw", "98", "Dog screw", "dog-screw", screw(2, 5), steel, 60],
  ["ratchet", "94", "Anti-reverse ratchet", "ratchet", { kind: "ratchet", teeth: 12, outsideMm: 20, boreMm: 8.1, thicknessMm: 2 }, "hardened steel", 590],
  ["dog", "95", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 13, widthMm: 5, thicknessMm: 2, boreMm: 2.6 }, "hardened steel", 390],
  ["dog-spring", "96", "Dog spring", "dog-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 12 }, "spring steel", 120],
];
// biome-ignore format: one seat a line, read as a table
const dogSeats: NonNullable<TableChange["put"]> = [
  { after: "clutch-screw-rear", assembly: "clutch", row: ["ratchet", "Anti-reverse ratchet", "ratchet", { restsOn: ["clutch-plate"], orientation: "raised side to the rotor, its friction spring's tab to the bearing; steep side of the teeth to the dog", twoSided: true }] },
  { after: "ratchet", assembly: "clutch", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: 12, restsOn: ["clutch-plate"], orientation: "ridge down, square nose to the ratchet, engaged as the rotor goes on", twoSided: true, ...oiled("1 drop", "it must swing freely") }] },
  { after: "ratchet", assembly: "clutch", row: ["friction-spring", "Friction spring", "friction-spring", { restsOn: ["ratchet"], orientation: "round the ratchet's hub, inside its stop", caution: "The friction spring jumps off its hub: glasses on.", cautionSays: "spring", trap: "Outside its stop the dog never moves." }] },
  { after: "dog", assembly: "clutch", row: ["dog-screw", "Dog screw", "dog-screw", { acrossMm: 12, restsOn: ["dog"], hole: "plate, dog", holeDepthMm: 6, ...threadFilm, caution: "The dog's spring is free when this screw is out: a finger on it, glasses on.", cautionSays: "spring" }] },
  { after: "dog-screw", assembly: "clutch", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 12, restsOn: ["clutch-plate"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }] },
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
export const spinningKnob = knob;

/** Spinning, open with bail: fixed spool with the drag in it, rotor with bail and line roller, roller clutch, oscillation block. */
export const spinningTable: TemplateTable = {
  family: "spinning",
  lineRadiusMm: 23,
  assemblies: [
    ["drag", "Drag and spool", "frame", { carrier: "spool", freedBy: ["drag-knob"], quick: true }],
    ["roller", "Line roller", "frame", { carrier: "bail-arm", freedBy: ["arm-screw"], quick: true }],
    ["bail", "Bail and its trip", "frame", { carrier: "rotor" }],
    ["rotor", "Rotor", "frame", { carrier: "rotor", freedBy: ["rotor-nut", "nut-screw"] }],
    ["handle", "Handle", "handle", { carrier: "handle", freedBy: ["handle-cap"], quick: true }],
    ["clutch", "Anti-reverse and pinion", "frame"],
    ["body", "Body, gear and oscillation", "handle"],
  ],
  batches: [
    ["drag", "Drag stack and its clip", "friction-low", "keyed-low", "friction-mid", "eared", "friction-high", "keyed-high", "drag-clip"],
    ["knob", "Drag knob with its ring", "knob-ring", "drag-knob"],
    ["spool", "Spool, shim and click ratchet", "click-ratchet", "spool-shim", "spool"],
    ["bail-wire", "Bail wire with its screw", "bail-wire", "bail-screw", "far-cover"],
    ...roller.batches,
    ["arm", "Bail arm, spring and trip lever", "trip-lever", "bail-spring", "bail-arm", "arm-screw"],
    ["trip-cover", "Cover of the trip lever with its screws", "trip-cover", ...tripScrews],
    ["rotor-nut", "Rotor nut with its set screw", "nut-bush", "rotor-nut", "nut-screw"],
    ["rotor", "Rotor, washer and collar", "collar-spring", "rotor-collar", "rotor-washer", "rotor"],
    ["weight", "Counterweight and its cover", "rotor-weight", "weight-cover"],
    ["handle", "Handle with its cap", "handle", "cap-washer", "handle-cap"],
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
    ["click-tongue", "19", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 10, widthMm: 4, thicknessMm: 1.2 }, "plastic", 190],
    ["click-spring", "20", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.4, lengthMm: 10 }, "spring steel", 90],
    ["line-clip", "21", "Line clip", "line-clip", { kind: "button", outsideMm: 8, stemMm: 3, lengthMm: 7 }, "plastic", 190],
    ["click-ratchet", "18", "Click ratchet", "click-gear", { kind: "ratchet", teeth: 24, outsideMm: 16, boreMm: 6.2, thicknessMm: 2 }, "plastic", 240],
    ["bail-wire", "30", "Bail wire", "bail-wire", { kind: "bail", spanMm: 64, reachMm: 34, wireMm: 2 }, steel, 1190],
    ["bail-arm", "31", "Bail arm", "bail-arm", { kind: "lever", lengthMm: 18, boreMm: 4, thicknessMm: 4 }, "anodised aluminium", 690],
    ["bail-spring", "32", "Bail spring", "bail-spring", { kind: "coil-spring", wireMm: 0.8, outsideMm: 6, lengthMm: 12, coils: 5 }, "spring steel", 160],
    ["trip-lever", "33", "Trip lever", "trip-lever", { kind: "jack", lengthMm: 16, widthMm: 5, thicknessMm: 1.5 }, steel, 290],
    ...roller.parts,
    ["arm-screw", "42", "Bail arm screw", "bail-screw", screw(3, 8), steel, 90],
    ["trip-cover", "43", "Cover of the trip lever", "trip-cover", { kind: "cap", outsideMm: 22, heightMm: 5 }, "plastic", 290],
    ["trip-screw", "44", "Trip lever screw, big", "trip-screw", screw(3, 7), steel, 80],
    ["trip-cover-screw", "45", "Trip cover screw, small", "trip-cover-screw", screw(2, 5), steel, 60],
    ["far-cover", "46", "Far pivot cover", "far-cover", { kind: "cap", outsideMm: 12, heightMm: 3 }, "plastic", 140],
    ["bail-screw", "37", "Bail screw", "bail-screw", screw(2.5, 6), steel, 90],
    ["rotor-nut", "50", "Rotor nut", "rotor-nut", { kind: "nut", acrossFlatsMm: 12, boreMm: 7, heightMm: 3.5 }, "brass", 310],
    ["nut-screw", "51", "Nut set screw", "nut-screw", screw(2, 4), steel, 70],
    ["rotor", "52", "Rotor", "rotor", { kind: "rotor", outsideMm: 66, heightMm: 36, boreMm: 7.1 }, "plastic", 2900],
    ["collar-spring", "54", "Collar spring", "collar-spring", { kind: "wave-spring", outsideMm: 14, insideMm: 9, heightMm: 1.2, waves: 3 }, "spring steel", 120],
    ["rotor-collar", "55", "Rotor collar, wide and narrow channel", "rotor-collar", { kind: "sleeve", outsideMm: 16, boreMm: 7.2, lengthMm: 4 }, "plastic", 240],
    ["rotor-weight", "56", "Counterweight", "rotor-weight", { kind: "block", lengthMm: 12, widthMm: 6, thicknessMm: 5 }, "zinc alloy", 190],
    ["weight-cover", "57", "Cover of the counterweight", "weight-cover", { kind: "cap", outsideMm: 14, heightMm: 3 }, "plastic", 140],
    ["nut-bush", "58", "Bush under the nut", "nut-bush", { kind: "washer", outsideMm: 11, insideMm: 7.1, thicknessMm: 1.2 }, "brass", 110],
    ["rotor-washer", "53", "Rotor washer", "shim", { kind: "washer", outsideMm: 12, insideMm: 7.2, thicknessMm: 0.4 }, steel, 60],
    ["pinion", "60", "Pinion, 9 teeth", "pinion", { kind: "pinion", teeth: 9, moduleMm: 0.9, boreMm: 5.2, lengthMm: 34 }, "brass", 1890],
    ["clutch", "61", "One-way roller clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 24, boreMm: 13, lengthMm: 10, rollers: 8 }, steel, 2100],
    ["clutch-sleeve", "62", "Clutch inner sleeve", "clutch-sleeve", { kind: "sleeve", outsideMm: 12.8, boreMm: 8, lengthMm: 11 }, "hardened steel", 690],
    ["clutch-plate", "63", "Clutch retaining plate", "clutch-plate", { kind: "plate", outsideMm: 30, thicknessMm: 1.2, holes: 3 }, steel, 350],
    ["clutch-screw", "64", "Clutch screw", "clutch-screw", screw(2, 6), steel, 60],
    ["pinion-bearing", "65", "Pinion bearing 7 × 14 × 5", "pinion-bearing", { kind: "bearing", boreMm: 7, outsideMm: 14, widthMm: 5, closure: "shielded" }, steel, 790],
    ["handle", "70", "Handle with knob", "handle", { kind: "handle", armMm: 52, knobMm: 18, boreMm: 5, thicknessMm: 4 }, "anodised aluminium", 1990],
    ...knob.parts,
    ["cap-washer", "78", "Washer under the cap", "shim", { kind: "washer", outsideMm: 11, insideMm: 5.1, thicknessMm: 0.5 }, "plastic", 40],
    ["handle-insert", "79", "Square insert in the gear", "handle-insert", { kind: "sleeve", outsideMm: 7, boreMm: 5, lengthMm: 8 }, "plastic", 190],
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
      ["click-ratchet", "Click ratchet", "click-ratchet", { ridesOn: "main-shaft", orientation: "flat to the shaft's flat" }],
      ["spool-shim", "Spool shim", "spool-shim", { ridesOn: "main-shaft", restsOn: ["click-ratchet"], hides: true, trap: "It sets how the line lies; it clings to the spool." }],
      ["spool", "Spool", "spool", { restsOn: ["spool-shim"], turnsWith: "spool" }],
      ["click-tongue", "Click tongue", "click-tongue", { stays: true, acrossMm: -14, restsOn: ["spool"], oilPort: "under the spool, the spool lifted", ...oiled("1 drop", "it clicks at every turn of the drag") }],
      ["click-spring", "Click spring", "click-spring", { stays: true, acrossMm: -14, restsOn: ["click-tongue"], caution: "The click spring flies: glasses on, a finger over it.", cautionSays: "spring" }],
      ["line-clip", "Line clip", "line-clip", { stays: true, acrossMm: 24, restsOn: ["spool"], oilPort: "behind the clip, the spool in the hand", ...greased("a trace", "dirt and old grease hide here") }],
      ["friction-low", "Friction washer, low", "friction", { lubricant: felt, restsOn: ["spool"], hides: true }],
      ["keyed-low", "Keyed washer, low", "keyed", { ridesOn: "main-shaft", restsOn: ["friction-low"], turnsWith: "sleeve", orientation: "flats on the shaft" }],
      ["friction-mid", "Friction washer, middle", "friction", { lubricant: felt, restsOn: ["keyed-low"] }],
      ["eared", "Eared washer", "eared", { restsOn: ["friction-mid"], turnsWith: "spool", orientation: "ears in the spool's slots", trap: "Keyed and eared alternate: swapped, the drag slips where it should not." }],
      ["friction-high", "Friction washer, high", "friction", { lubricant: felt, restsOn: ["eared"] }],
      ["keyed-high", "Keyed washer, high", "keyed", { ridesOn: "main-shaft", restsOn: ["friction-high"], turnsWith: "sleeve" }],
      ["drag-clip", "Drag retaining ring", "drag-clip", { restsOn: ["keyed-high"], caution: "The ring flies: glasses on, a finger on top.", cautionSays: "spring", orientation: "seated all round its groove" }],
      ["knob-ring", "Knob O-ring", "knob-ring", { restsOn: ["drag-clip"], ...sealGreased("it keeps water off the washers") }],
      ["drag-knob", "Drag knob", "drag-knob", { restsOn: ["knob-ring"], orientation: "started by hand" }],
    ],
    bail: [
      ["trip-lever", "Trip lever", "trip-lever", { acrossMm: -24, restsOn: ["rotor"], hides: true, ...greased("a dab", "it snaps; not worth taking off when it moves freely") }],
      ["bail-spring", "Bail spring", "bail-spring", { acrossMm: -24, restsOn: ["trip-lever"], caution: "The bail spring flies: glasses on, cup the hand.", cautionSays: "spring" }],
      ["bail-arm", "Bail arm", "bail-arm", { acrossMm: -20, restsOn: ["bail-spring", "trip-lever"], heldBy: ["arm-screw"], orientation: "its fork over the lever's end", oilPort: "at the pivot", ...oiled("1 drop at the pivot", "it must fall shut"), trap: "Fork not over the lever: the lever does not move." }],
      ["arm-screw", "Bail arm screw", "arm-screw", { acrossMm: -24, restsOn: ["bail-arm"], hole: "rotor, arm's pivot", holeDepthMm: 9, ...threadFilm, caution: "The bail spring is under the arm: a thumb on it while its screw comes out.", cautionSays: "spring", trap: "This pivot's screw is not the far one's." }],
      ["trip-cover", "Cover of the trip lever", "trip-cover", { acrossMm: -30, restsOn: ["bail-arm", "trip-lever"], heldBy: tripScrews }],
      ["trip-screw", "Trip lever screw", "trip-screw", { acrossMm: -30, restsOn: ["trip-cover"], hole: "rotor, through the lever", holeDepthMm: 8, ...threadFilm, trap: "The big one, through the lever." }],
      ["trip-cover-screw-front", "Trip cover screw, front", "trip-cover-screw", { acrossMm: -36, restsOn: ["trip-cover"], hole: "rotor, trip cover, front", holeDepthMm: 6, ...threadFilm }],
      ["trip-cover-screw-rear", "Trip cover screw, rear", "trip-cover-screw", { acrossMm: -27, restsOn: ["trip-cover"], hole: "rotor, trip cover, rear", holeDepthMm: 6, ...threadFilm }],
      ["bail-wire", "Bail wire", "bail-wire", { restsOn: ["bail-arm", "rotor"], heldBy: ["bail-screw"], orientation: "tabs in their slots" }],
      ["bail-screw", "Bail screw, far pivot", "bail-screw", { acrossMm: 24, restsOn: ["bail-wire"], hole: "far pivot", holeDepthMm: 7, ...threadFilm }],
      ["far-cover", "Far pivot cover", "far-cover", { acrossMm: 26, restsOn: ["bail-screw"] }],
    ],
    roller: [
      ...roller.seats,
    ],
    rotor: [
      ["collar-spring", "Collar spring", "collar-spring", { ridesOn: "pinion", restsOn: ["clutch-plate"], hides: true, caution: "The collar's spring flies as the collar lifts: level, glasses on.", cautionSays: "spring" }],
      ["rotor-collar", "Rotor collar", "rotor-collar", { ridesOn: "pinion", restsOn: ["collar-spring"], orientation: "wide and narrow channel as the pinion has them", twoSided: true, trap: "The nut overdrawn cracks it." }],
      ["rotor-washer", "Rotor washer", "rotor-washer", { ridesOn: "pinion", restsOn: ["rotor-collar"], hides: true, trap: "Count them: one or two hide under the rotor." }],
      ["rotor", "Rotor", "rotor", { restsOn: ["rotor-washer"], heldBy: ["rotor-nut"], orientation: "wide key to wide channel", ...greased("a film in the bore", "it must come off again"), trap: "Wide key in the narrow channel: the pinion stands low." }],
      ["rotor-weight", "Counterweight", "rotor-weight", { stays: true, acrossMm: 26, restsOn: ["rotor"], trap: "Loose under its cover: it drops out." }],
      ["weight-cover", "Cover of the counterweight", "weight-cover", { stays: true, acrossMm: 26, restsOn: ["rotor-weight"] }],
      ["nut-bush", "Bush under the nut", "nut-bush", { restsOn: ["rotor"], hides: true, trap: "It stays on the pinion." }],
      ["rotor-nut", "Rotor nut", "rotor-nut", { restsOn: ["rotor", "nut-bush"], orientation: "flat to the set screw's hole", caution: "Some rotor nuts have a left-hand thread: try both ways gently before force." }],
      ["nut-screw", "Nut set screw", "nut-screw", { acrossMm: 8, restsOn: ["rotor-nut"], hole: "rotor, beside the nut", holeDepthMm: 5, ...threadFilm }],
    ],
    handle: [
      ["handle", "Handle", "handle", { turnsWith: "handle", orientation: "side the customer had", asFound: true, twoSided: true, oilPort: "at the handle's fold", ...oiled("1 drop at the fold", "it folds in spray") }],
      ...knob.seats,
      ["handle-insert", "Square insert in the gear", "handle-insert", { stays: true, restsOn: ["handle"], hides: true, trap: "Keep it in the gear's channel: without it the handle rocks." }],
      ["cap-washer", "Washer under the cap", "cap-washer", { restsOn: ["handle"], hides: true, trap: "It clings in the cap." }],
      ["handle-cap", "Handle cap, far side", "handle-cap", { restsOn: ["cap-washer"], ...greased("a touch on the thread", "it must come off again") }],
    ],
    clutch: [
      ["pinion-bearing", "Pinion bearing", "pinion-bearing", { restsOn: ["body"], ...medium("slow and loaded; buried by plate and rotor") }],
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
      ["switch", "Anti-reverse lever", "switch", { acrossMm: -14, restsOn: ["body"], oilPort: "at its pivot", ...oiled("1 drop", "it stiffens with time and water") }],
      ["oscillation-gear", "Oscillation gear", "oscillation-gear", { acrossMm: -12, restsOn: ["body"], ...greased("a dab", "it slides in the block") }],
      ["oscillation-block", "Oscillation block", "oscillation-block", { restsOn: ["oscillation-gear"], orientation: "flat side as found, post in the channel", asFound: true, twoSided: true, ...greased("a dab in the channel", "it slides"), trap: "Flat side wrong it rubs the cover." }],
      ["main-shaft", "Main shaft", "main-shaft", { alongMm: -20, passesThrough: ["pinion"], orientation: "flat up", twoSided: true, heldBy: ["block-screw"], oilPort: "on the shaft, the spool lifted", ...oiled("a film", "it slides in the pinion") }],
      ["block-screw", "Block screw", "block-screw", { acrossMm: 5, restsOn: ["oscillation-block"], hole: "oscillation block", holeDepthMm: 7, ...threadFilm }],
      ["gear-bearing-inner", "Gear bearing, inner", "gear-bearing", { acrossMm: 0, restsOn: ["body"], alongMm: 18, ...gearSides }],
      ["drive-gear", "Drive gear", "drive-gear", { restsOn: ["gear-bearing-inner", "oscillation-block", "block-screw"], turnsWith: "gear", ...greased("half round the teeth", "the pinion spreads it") }],
      ["gear-shim", "Gear shim", "gear-shim", { restsOn: ["drive-gear"], hides: true, trap: "It sets how the gears mesh: count them." }],
      ["gear-bearing-outer", "Gear bearing, outer", "gear-bearing", { restsOn: ["gear-shim"], ...gearSides, hides: true }],
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
            reseat: { "collar-spring": { restsOn: ["ratchet", "dog-spring", "dog-screw", "friction-spring"] } },
            batches: [["dog", "Ratchet, dog and springs", "ratchet", "friction-spring", "dog", "dog-screw", "dog-spring"]],
          },
        },
        {
          id: "dog",
          name: "dog and ratchet alone, as on older large ones",
          change: {
            parts: dogParts,
            drop: ["clutch", "clutch-sleeve"],
            put: dogSeats,
            reseat: { "clutch-plate": { name: "Bearing retaining plate", restsOn: ["pinion"] }, "collar-spring": { restsOn: ["ratchet", "dog-spring", "dog-screw", "friction-spring"] } },
            operations: [{ id: "gate-clutch", kind: "gate", words: "The pinion turns one way; the dog catches at every tooth the other way", after: place("dog-spring", "ratchet"), before: place("collar-spring"), lookAt: ["Dog spring not behind its stud", "Dog turned over", "Grease holding the dog up"] }],
            batches: [["dog", "Ratchet, dog and springs", "ratchet", "friction-spring", "dog", "dog-screw", "dog-spring"]],
          },
        },
        {
          id: "body",
          name: "dog in the body, under the drive gear",
          change: {
            parts: dogParts.filter(([id]) => id === "ratchet" || id === "dog" || id === "dog-spring"),
            drop: ["clutch", "clutch-sleeve"],
            put: [
              { after: "oscillation-block", assembly: "body", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: -18, restsOn: ["body"], orientation: "square nose to the gear's ratchet", twoSided: true, ...oiled("1 drop", "old penetrating oil wiped away first: it thins the new") }] },
              { after: "dog", assembly: "body", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: -18, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }] },
              { after: "drive-gear", assembly: "body", row: ["ratchet", "Ratchet at the gear", "ratchet", { restsOn: ["drive-gear"], heldBy: ["gear-bearing-outer"], orientation: "steep side of the teeth to the dog", twoSided: true }] },
            ],
            reseat: {
              "clutch-plate": { name: "Bearing retaining plate", restsOn: ["pinion"] },
              "drive-gear": { restsOn: ["gear-bearing-inner", "oscillation-block", "block-screw", "dog-spring"] },
              "gear-shim": { restsOn: ["ratchet"] },
            },
            operations: [{ id: "gate-clutch", kind: "gate", words: "Turn the pinion in: a snap is heard; one way it runs, the other the dog holds", after: place("dog-spring", "ratchet", "pinion"), before: place("side-cover"), lookAt: ["Dog spring not behind its stud", "Dog turned over", "Grease holding the dog up"] }],
            batches: [["dog", "Dog and its spring", "dog", "dog-spring"]],
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
      id: "drag-material",
      name: "Friction washers of the drag",
      choices: [
        { id: "felt", name: "felt" },
        { id: "carbon", name: "carbon", change: { parts: [["friction", "22", "Friction washer, carbon", "friction-washer", { kind: "friction-washer", outsideMm: 20, insideMm: 6.6, thicknessMm: 0.9 }, "carbon", 240]] } },
        { id: "mixed", name: "felt, with a slippery plastic one in the middle", change: { parts: [["friction-plastic", "23", "Friction washer, slippery plastic", "friction-washer", { kind: "friction-washer", outsideMm: 20, insideMm: 6.6, thicknessMm: 0.5 }, "PTFE", 190]], reseat: { "friction-mid": { part: "friction-plastic", lubricant: { product: "nothing", amount: "clean, or a trace", why: "it slides by itself" } } } } },
      ],
    },
    {
      id: "nut-lock",
      name: "The rotor nut is held by",
      choices: [
        { id: "screw", name: "a set screw" },
        { id: "plate", name: "a lock plate with its screw", change: { parts: [["lock-plate", "59", "Lock plate", "lock-plate", { kind: "washer", outsideMm: 18, insideMm: 12.2, thicknessMm: 0.6 }, steel, 140]], put: [{ after: "rotor-nut", assembly: "rotor", row: ["lock-plate", "Lock plate", "lock-plate", { restsOn: ["rotor-nut"], orientation: "over the nut's flats" }] }], reseat: { "nut-screw": { restsOn: ["lock-plate"], name: "Lock plate screw" } }, operations: [{ id: "tighten-nut", kind: "tighten", words: "Rotor nut snug, to where the lock plate goes over it: too tight cracks what is below", after: place("rotor-nut"), before: place("lock-plate") }, { id: "gate-rotor", kind: "gate", words: "The pinion stands proud of the rotor and the rotor turns free", after: ["tighten-nut"], before: place("lock-plate"), lookAt: ["Wide key in the narrow channel", "A washer missing under the rotor"] }], batches: [["rotor-nut", "Rotor nut with its lock plate", "nut-bush", "rotor-nut", "lock-plate", "nut-screw"]] } },
        { id: "plain", name: "nothing", change: { drop: ["nut-screw"], freedBy: { rotor: ["rotor-nut"] }, operations: [{ id: "tighten-nut", kind: "tighten", words: "Rotor nut snug: too tight cracks what is below", after: place("rotor-nut") }, { id: "gate-rotor", kind: "gate", words: "The pinion stands proud of the rotor and the rotor turns free", after: ["tighten-nut"], lookAt: ["Wide key in the narrow channel", "A washer missing under the rotor"] }] } },
      ],
    },
    {
      id: "handle-end",
      name: "Handle",
      choices: [
        { id: "bolted", name: "bolted through from a cap on the far side" },
        { id: "screwed", name: "screwed into the gear", change: { drop: ["handle-cap", "cap-washer", "handle-insert"], freedBy: { handle: [] }, reseat: { handle: { caution: "The thread may be left-hand on one side: try both ways gently before force.", orientation: "side the customer had, screwed home by hand", ...greased("a film on the shaft where it enters the gear", "it seizes there") } } } },
      ],
    },
    variantOf(rollers, { assembly: "roller", after: null }),
    {
      id: "trigger",
      name: "The bail is opened by",
      choices: [
        { id: "hand", name: "the hand" },
        { id: "trigger", name: "a trigger under a finger", change: { parts: [["trigger", "47", "Bail trigger", "bail-trigger", { kind: "lever", lengthMm: 24, boreMm: 3, thicknessMm: 2.5 }, "plastic", 390], ["trigger-spring", "48", "Trigger spring", "trigger-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 14 }, "spring steel", 120]], put: [{ after: "far-cover", assembly: "bail", row: ["trigger", "Bail trigger", "trigger", { acrossMm: -26, restsOn: ["bail-arm"], oilPort: "at its pivot", ...oiled("1 drop", "it springs back by itself") }] }, { after: "trigger", assembly: "bail", row: ["trigger-spring", "Trigger spring", "trigger-spring", { acrossMm: -26, restsOn: ["trigger"], caution: "The trigger's spring flies: glasses on, a finger over it.", cautionSays: "spring" }] }], operations: [{ id: "gate-bail", kind: "gate", words: "The bail snaps ten times of ten by hand, and again by its trigger", after: [...place("bail-screw", "arm-screw", "trigger-spring")], before: place("spool"), lookAt: ["Bail spring not on its post", "Bail wire bent", "Trigger spring astray"] }], batches: [["trigger", "Trigger and its spring", "trigger", "trigger-spring"]] } },
      ],
    },
    {
      id: "gear-seats",
      name: "The drive gear turns in",
      choices: [
        { id: "bearings", name: "two bearings" },
        { id: "bushes", name: "two bushes with tabs", change: { parts: [["gear-bush", "99", "Gear bush, two tabs", "gear-bush", { kind: "sleeve", outsideMm: 11, boreMm: 7.1, lengthMm: 4 }, "plastic", 120]], reseat: { "gear-bearing-inner": { name: "Gear bush, inner", part: "gear-bush", orientation: "tabs in their slots, down" }, "gear-bearing-outer": { name: "Gear bush, outer", part: "gear-bush", orientation: "tabs in their slots" } } } },
      ],
    },
    {
      id: "gear-shims",
      name: "Shims at the gear",
      choices: [
        { id: "one", name: "one" },
        { id: "none", name: "none", change: moreShims(0) },
        { id: "two", name: "two", change: moreShims(2) },
        { id: "three", name: "three", change: moreShims(3) },
      ],
    },
    {
      id: "spool-shims",
      name: "Washers above the click",
      choices: [
        { id: "one", name: "one" },
        { id: "two", name: "two, the upper one slippery plastic", change: { put: [{ after: "spool-shim", assembly: "drag", row: ["spool-shim-upper", "Spool shim, upper", "spool-shim", { ridesOn: "main-shaft", restsOn: ["spool-shim"], hides: true, trap: "It clings to the spool." }] }], reseat: { spool: { restsOn: ["spool-shim-upper"] } }, batches: [["spool", "Spool, shims and click ratchet", "click-ratchet", "spool-shim", "spool-shim-upper", "spool"]] } },
      ],
    },
    {
      id: "cover-screws",
      name: "Screws of the side cover",
      choices: [
        { id: "three", name: "three" },
        { id: "four", name: "four", change: moreCoverScrews(4) },
        { id: "five", name: "five", change: moreCoverScrews(5) },
      ],
    },
    {
      id: "neck",
      name: "The neck under the rotor",
      choices: [
        { id: "plain", name: "open" },
        {
          id: "ramp",
          name: "a shield under a snap wire, a ramp with two screws and a boot",
          change: {
            parts: [
              ["neck-shield", "100", "Bearing shield", "neck-shield", { kind: "washer", outsideMm: 26, insideMm: 9, thicknessMm: 0.5 }, steel, 190],
              ["snap-wire", "101", "Snap wire", "clip", { kind: "clip", outsideMm: 27, wireMm: 0.7, form: "wire" }, "spring steel", 90],
              ["trip-ramp", "102", "Trip ramp", "trip-ramp", { kind: "cam", outsideMm: 30, boreMm: 10, thicknessMm: 4, riseMm: 3 }, "plastic", 290],
              ["ramp-screw", "103", "Ramp screw", "ramp-screw", screw(2, 6), steel, 60],
              ["boot", "24", "Neck boot", "neck-boot", { kind: "cap", outsideMm: 34, heightMm: 8 }, "rubber", 240],
            ],
            put: [
              { after: null, assembly: "rotor", row: ["neck-shield", "Bearing shield", "neck-shield", { restsOn: ["clutch-plate"] }] },
              { after: "neck-shield", assembly: "rotor", row: ["snap-wire", "Snap wire", "snap-wire", { restsOn: ["neck-shield"], caution: "The snap wire flies at the pick: a finger over it, glasses on.", cautionSays: "spring", orientation: "seated all round", trap: "Half seated, it lets the shield walk." }] },
              { after: "snap-wire", assembly: "rotor", row: ["trip-ramp", "Trip ramp", "trip-ramp", { restsOn: ["snap-wire"], orientation: "as found: turned, the bail will not trip", asFound: true, twoSided: true }] },
              { after: "trip-ramp", assembly: "rotor", row: ["ramp-screw-front", "Ramp screw, front", "ramp-screw", { acrossMm: 10, restsOn: ["trip-ramp"], hole: "neck, ramp, front", holeDepthMm: 7, ...threadFilm }] },
              { after: "ramp-screw-front", assembly: "rotor", row: ["ramp-screw-rear", "Ramp screw, rear", "ramp-screw", { acrossMm: -10, restsOn: ["trip-ramp"], hole: "neck, ramp, rear", holeDepthMm: 7, ...threadFilm }] },
              { after: "ramp-screw-rear", assembly: "rotor", row: ["boot", "Neck boot", "boot", { restsOn: ["trip-ramp", "ramp-screw-front", "ramp-screw-rear"], orientation: "snapped over the ramp" }] },
            ],
            reseat: { rotor: { restsOn: ["rotor-washer", "boot"] } },
            batches: [["neck", "Shield, wire, ramp and boot", "neck-shield", "snap-wire", "trip-ramp", "ramp-screw-front", "ramp-screw-rear", "boot"]],
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
      before: place("collar-spring"),
      lookAt: ["Grease in the clutch: wash it, oil it", "Inner sleeve dirty, pitted or left out", "Clutch turned over"],
    },
    meshFelt(coverScrews),
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
      id: "gate-trip",
      kind: "gate",
      words: "Move the arm: the trip lever is felt to move through it",
      after: place("arm-screw", "trip-lever"),
      before: place("trip-cover"),
      lookAt: ["The arm's fork beside the lever", "Bail spring pushed to the side: the arm lifts"],
    },
    {
      id: "gate-bail",
      kind: "gate",
      words: "The bail snaps open and shut ten times of ten",
      after: place("bail-screw", "arm-screw"),
      before: place("spool"),
      lookAt: ["Bail spring not on its post", "Bail wire bent", "Trip lever stiff"],
    },
    {
      id: "tighten-roller",
      kind: "tighten",
      words: "Roller screw down, the bail whole",
      after: place("bail-screw", "roller-screw"),
      before: ["gate-roller"],
    },
    {
      id: "gate-roller",
      kind: "gate",
      words: "The roller turns under a braid, quietly",
      after: place("roller-screw"),
      lookAt: ["Spacers exchanged", "Roller screw too tight", "Bearing seized"],
    },
    {
      id: "tape-line",
      kind: "set-state",
      words: "Line covered with tape before any drag grease; fingers wiped before the tape comes off",
      after: place("spool"),
      before: place("friction-low"),
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
