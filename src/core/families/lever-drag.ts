import { closePlate, idsOf, leverClick, leverVariants, plateRing, quadrantScrews } from "./lever-drag-variants";
import { handleEnd } from "./modules/handle-end";
import { knobOn } from "./modules/knob";
import { builtAs, variantOf } from "./modules/module";
import { ringOf } from "./modules/ring";
import { greased, look, mediumOiled, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const plateScrews = idsOf(plateRing);

const handleEnds = builtAs(
  handleEnd({
    handle: "handle",
    under: ["handle-washer"],
    star: false,
    threadMm: 8,
    acrossFlatsMm: 10,
    numbers: { nut: "11", lock: "15", keeper: "16", keeperScrew: "17", guard: "34", screw: "18" },
  }),
  "keeper",
  "guard",
  "slotted-screw",
);
const [end] = handleEnds.builds;

const knobs = builtAs(
  knobOn({
    handle: "handle",
    acrossMm: -70,
    knob: { number: "12", outsideMm: 24, lengthMm: 30, material: "hard plastic", priceMinor: 890 },
    pinMm: 6,
    washer: { number: "13", outsideMm: 11, thicknessMm: 0.4, material: steel },
    bearing: { number: "19", outsideMm: 12, widthMm: 4 },
    numbers: { bush: "31", screw: "32", cap: "33" },
  }),
  "pin",
  "bearing",
  "bush-under-cap",
  "bearings-under-cap",
);
const [knob] = knobs.builds;

/** Conventional lever drag: one big friction washer on the spool's end, pressed along the shaft by a cam under the lever. */
export const leverDragTable: TemplateTable = {
  family: "lever-drag",
  lineRadiusMm: 28,
  assemblies: [
    ["handle", "Handle", "handle", { carrier: "handle", freedBy: end.seats.map(([id]) => id) }],
    ["lever", "Lever, cam and quadrant", "handle"],
    ["head", "Head plate and gears", "handle", { carrier: "head-plate", freedBy: plateScrews, shutBy: ["head-plate"] }],
    ["spool", "Spool and drag", "frame", { carrier: "spool", quick: true, shutBy: ["spool"] }],
    ["tail", "Tail side and click", "tail", { shutBy: ["spool"] }],
    ["frame", "Frame and foot", "frame", { stays: true }],
  ],
  batches: [
    ...end.batches,
    ["preset", "Preset knob, detent and cam", "cam", "detent-spring", "detent-pin", "stop-piece", "preset-spring", "knob-preset"],
    ["washers", "Washers under the lever", "lever-washer-plastic", "lever-washer-metal"],
    ["quadrant", "Lever's quadrant with its screws", "quadrant", "quadrant-screw-front", "quadrant-screw-middle", "quadrant-screw-rear"],
    ["gears", "Gear and pinion", "main-gear", "pinion-bearing", "pinion"],
    ["dog", "Ratchet, dog and spring", "ratchet", "dog", "dog-spring"],
    ["gear-shaft", "Gear shaft and its bearing", "gear-bearing", "gear-shaft"],
    ["shaft", "Shaft, pin and cupped washers", "shaft", "cross-pin", "cupped-lower", "cupped-upper"],
    ["drag", "Drag from cap to washer", "drag-washer", "pressure-plate", "plate-bearing", "preload-spring", "drag-cap"],
    ["spool", "Spool with its bearings", "spool", "click-gear", "spool-bearing-tail", "spacer-sleeve", "spool-bearing-head"],
    ["click", "Click", "click-tongue", "click-spring", "click-washer", "click-button", "click-clip"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["handle", "10", "Handle with knob", "handle", { kind: "handle", armMm: 70, knobMm: 24, boreMm: 8.2, thicknessMm: 4 }, "anodised aluminium", 3900],
    ["handle-washer", "14", "Washer under the arm", "handle-washer", { kind: "washer", outsideMm: 13, insideMm: 8.2, thicknessMm: 0.8 }, steel, 90],
    ...end.parts,
    ["knob-preset", "20", "Preset knob", "preset-knob", { kind: "cap", outsideMm: 20, heightMm: 9 }, "anodised aluminium", 1350],
    ["stop-piece", "58", "Stop piece", "stop-piece", { kind: "tongue", lengthMm: 6, widthMm: 3, thicknessMm: 1.5 }, steel, 90],
    ["preset-spring", "59", "Preset spring", "preset-spring", { kind: "coil-spring", wireMm: 0.5, outsideMm: 9, lengthMm: 8, coils: 4 }, "spring steel", 110],
    ["lever", "21", "Drag lever", "drag-lever", { kind: "lever", lengthMm: 34, boreMm: 10.2, thicknessMm: 3 }, "anodised aluminium", 1900],
    ["lever-washer-plastic", "22", "Lever washer, plastic", "lever-washer", { kind: "washer", outsideMm: 18, insideMm: 10.2, thicknessMm: 0.8 }, "nylon", 90],
    ["lever-washer-metal", "23", "Lever washer, metal", "lever-washer", { kind: "washer", outsideMm: 18, insideMm: 10.2, thicknessMm: 1 }, steel, 110],
    ["cam", "24", "Cam", "cam", { kind: "cam", outsideMm: 22, boreMm: 10.2, thicknessMm: 4, riseMm: 2.4 }, "bronze", 2100],
    ["quadrant", "25", "Quadrant", "quadrant", { kind: "tongue", lengthMm: 58, widthMm: 14, thicknessMm: 2.5 }, "anodised aluminium", 1750],
    ["quadrant-screw-long", "26", "Quadrant screw, long", "quadrant-screw", screw(2.5, 10), steel, 80],
    ["quadrant-screw-short", "27", "Quadrant screw, short", "quadrant-screw", screw(2.5, 6), steel, 80],
    ["detent-spring", "28", "Detent spring", "detent-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 2.6, lengthMm: 7, coils: 6 }, "spring steel", 120],
    ["detent-pin", "29", "Detent pin", "detent-pin", { kind: "pin", diameterMm: 2.5, lengthMm: 6 }, steel, 140],
    ["head-plate", "40", "Head plate", "head-plate", { kind: "plate", outsideMm: 72, thicknessMm: 6, holes: 6 }, "anodised aluminium", 6900],
    ["plate-screw", "41", "Plate screw", "plate-screw", screw(3, 10), steel, 80],
    ["gear-shaft", "42", "Gear shaft", "gear-sleeve", { kind: "sleeve", outsideMm: 8, boreMm: 5, lengthMm: 30, flangeMm: 13, acrossFlatsMm: 6.4 }, steel, 2300],
    ["gear-bearing", "43", "Gear shaft bearing 8 × 16 × 5", "gear-bearing", { kind: "bearing", boreMm: 8, outsideMm: 16, widthMm: 5, closure: "shielded" }, steel, 890],
    ["main-gear", "44", "Main gear, 48 teeth", "main-gear", { kind: "gear", teeth: 48, moduleMm: 0.8, boreMm: 8.1, faceMm: 6 }, "stainless steel", 4900],
    ["pinion", "45", "Pinion, 16 teeth", "pinion", { kind: "pinion", teeth: 16, moduleMm: 0.8, boreMm: 6.1, lengthMm: 15 }, "stainless steel", 3100],
    ["pinion-bearing", "46", "Pinion bearing 6 × 13 × 5", "pinion-bearing", { kind: "bearing", boreMm: 6, outsideMm: 13, widthMm: 5, closure: "shielded" }, steel, 790],
    ["ratchet", "47", "Anti-reverse ratchet", "ratchet", { kind: "ratchet", teeth: 12, outsideMm: 24, boreMm: 8.1, thicknessMm: 2.5 }, "hardened steel", 890],
    ["dog", "48", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 16, widthMm: 6, thicknessMm: 2.5, boreMm: 2.6 }, "hardened steel", 560],
    ["dog-spring", "49", "Dog spring", "dog-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 3.4, lengthMm: 9, coils: 7 }, "spring steel", 140],
    ["shaft", "60", "Spool shaft", "spool-shaft", { kind: "shaft", diameterMm: 6, lengthMm: 92, flatMm: 12 }, "stainless steel", 3600],
    ["cross-pin", "61", "Cross pin", "cross-pin", { kind: "pin", diameterMm: 2.5, lengthMm: 14 }, "hardened steel", 190],
    ["spool", "62", "Spool", "spool", { kind: "spool", flangeMm: 66, arborMm: 36, widthMm: 38, shaftMm: 12, shaftLengthMm: 44 }, "anodised aluminium", 7900],
    ["spacer-sleeve", "77", "Spacer sleeve", "spacer-sleeve", { kind: "sleeve", outsideMm: 9, boreMm: 6.1, lengthMm: 20 }, "anodised aluminium", 290],
    ["spool-bearing", "63", "Spool bearing 6 × 15 × 5", "spool-bearing", { kind: "bearing", boreMm: 6, outsideMm: 15, widthMm: 5, closure: "shielded" }, steel, 790],
    ["drag-washer", "64", "Drag washer", "friction-washer", { kind: "friction-washer", outsideMm: 56, insideMm: 20, thicknessMm: 1.6 }, "carbon", 1290],
    ["pressure-plate", "65", "Pressure plate", "pressure-plate", { kind: "plate", outsideMm: 58, thicknessMm: 3.5, holes: 3 }, steel, 3300],
    ["plate-bearing", "66", "Pressure plate bearing 6 × 15 × 5", "pressure-plate-bearing", { kind: "bearing", boreMm: 6, outsideMm: 15, widthMm: 5, closure: "shielded" }, steel, 790],
    ["preload-spring", "67", "Preload spring", "preload-spring", { kind: "coil-spring", wireMm: 1, outsideMm: 12, lengthMm: 12, coils: 4 }, "spring steel", 310],
    ["cupped", "68", "Cupped washer, tiny", "tension-washer", { kind: "cupped-washer", outsideMm: 12, insideMm: 6.2, thicknessMm: 0.5, coneHeightMm: 0.4 }, "spring steel", 130],
    ["drag-cap", "69", "Drag cap, left-hand thread", "drag-cap", { kind: "cap", outsideMm: 62, heightMm: 6 }, "anodised aluminium", 2400],
    ["tail-bearing", "70", "Tail bearing 6 × 15 × 5", "spool-bearing", { kind: "bearing", boreMm: 6, outsideMm: 15, widthMm: 5, closure: "shielded" }, steel, 790],
    ["click-tongue", "80", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 15, widthMm: 7, thicknessMm: 2 }, steel, 390],
    ["click-spring", "81", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.7, lengthMm: 18 }, "spring steel", 210],
    ["click-button", "82", "Click button", "click-button", { kind: "button", outsideMm: 10, stemMm: 4, lengthMm: 12 }, "anodised aluminium", 620],
    ["click-washer", "84", "Click washer, plastic", "click-washer", { kind: "washer", outsideMm: 9, insideMm: 4.1, thicknessMm: 0.5 }, "plastic", 40],
    ["click-clip", "85", "Click clip", "clip", { kind: "clip", outsideMm: 6, wireMm: 0.6, form: "E" }, steel, 40],
    ...knob.parts,
    ["click-gear", "83", "Click gear", "click-gear", { kind: "ratchet", teeth: 20, outsideMm: 20, boreMm: 12.2, thicknessMm: 2 }, "brass", 1680],
    ["frame", "90", "Frame, one piece", "frame", { kind: "frame", outsideMm: 72, widthMm: 46, posts: 4 }, "anodised aluminium", 11900],
    ["foot", "91", "Reel foot", "foot", { kind: "foot", lengthMm: 66, widthMm: 18, thicknessMm: 3 }, "stainless steel", 1450],
    ["foot-nut", "92", "Acorn nut", "foot-nut", { kind: "nut", acrossFlatsMm: 8, boreMm: 5, heightMm: 7 }, "chromed brass", 210],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    handle: [
      ["handle-washer", "Washer under the arm", "handle-washer", { ridesOn: "gear-shaft", restsOn: ["gear-shaft"], hides: true, orientation: "flat, under the arm" }],
      ["handle", "Handle", "handle", { ridesOn: "gear-shaft", restsOn: ["handle-washer"], turnsWith: "handle", orientation: "as found", asFound: true }],
      ...knob.seats,
      ...end.seats,
    ],
    lever: [
      ["lever-washer-plastic", "Lever washer, plastic", "lever-washer-plastic", { restsOn: ["head-plate"], hides: true, orientation: "first on the plate" }],
      ["lever-washer-metal", "Lever washer, metal", "lever-washer-metal", { restsOn: ["lever-washer-plastic"], orientation: "on the plastic one" }],
      ["lever", "Drag lever", "lever", { restsOn: ["lever-washer-metal"], orientation: "at free, hooked over the quadrant's ring first" }],
      ["quadrant", "Quadrant", "quadrant", { restsOn: ["head-plate", "lever"], heldBy: quadrantScrews, acrossMm: 24, orientation: "numbers outward", twoSided: true }],
      ["quadrant-screw-front", "Quadrant screw, front", "quadrant-screw-long", { acrossMm: 18, restsOn: ["quadrant"], hole: "quadrant, front, into the frame", holeDepthMm: 11, ...threadFilm }],
      ["quadrant-screw-middle", "Quadrant screw, middle", "quadrant-screw-short", { acrossMm: -2, restsOn: ["quadrant"], hole: "quadrant, middle", holeDepthMm: 6.5, ...threadFilm, trap: "The middle one is the short one: a long screw here stops the lever." }],
      ["quadrant-screw-rear", "Quadrant screw, rear", "quadrant-screw-long", { acrossMm: -18, restsOn: ["quadrant"], hole: "quadrant, rear, into the frame", holeDepthMm: 11, ...threadFilm }],
      ["cam", "Cam", "cam", { restsOn: ["lever"], passesThrough: ["head-plate"], orientation: "mark at 0°, lever at free", ...greased("a film on the ramps", "the ramps slide under load"), trap: "Half a turn round it fits too, and free spool is dead: mark it before it comes out." }],
      ["detent-spring", "Detent spring", "detent-spring", { acrossMm: -20, restsOn: ["lever"], caution: "The detent spring flies: glasses on, a finger over it.", cautionSays: "spring" }],
      ["detent-pin", "Detent pin", "detent-pin", { acrossMm: -20, restsOn: ["detent-spring"] }],
      ["stop-piece", "Stop piece", "stop-piece", { acrossMm: 10, restsOn: ["lever"], hides: true, orientation: "against its stop", trap: "Loose: it drops as the knob lifts." }],
      ["preset-spring", "Preset spring", "preset-spring", { restsOn: ["cam"], caution: "The preset spring flies: a finger on the knob, glasses on.", cautionSays: "spring" }],
      ["knob-preset", "Preset knob", "knob-preset", { restsOn: ["cam", "detent-pin", "preset-spring", "stop-piece"], orientation: "backed right off", ...greased("a touch on the thread", "it must turn by hand") }],
    ],
    head: [
      ["head-plate", "Head plate", "head-plate", { turnsWith: "frame", orientation: "its uneven hole pattern fits one way only" }],
      ["gear-bearing", "Gear shaft bearing", "gear-bearing", { acrossMm: -10, restsOn: ["head-plate"], ...mediumOiled("1 drop", "slow and loaded, and it stands water"), trap: "Frozen here the whole reel is hard to turn though free spool is fine." }],
      ["gear-shaft", "Gear shaft", "gear-shaft", { acrossMm: -10, restsOn: ["gear-bearing"], turnsWith: "sleeve", ...greased("a film", "dry it freezes in its bearing") }],
      ["ratchet", "Ratchet", "ratchet", { acrossMm: -10, alongMm: 14, ridesOn: "gear-shaft", turnsWith: "sleeve", orientation: "steep side of the teeth to the dog", twoSided: true, ...oiled("1 drop", "the dog must fall by itself") }],
      ["dog", "Dog", "dog", { acrossMm: 8, restsOn: ["head-plate"], orientation: "square nose to the ratchet", ...oiled("1 drop", "it must swing freely"), trap: "Upside down it holds neither way." }],
      ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 8, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }],
      ["main-gear", "Main gear", "main-gear", { acrossMm: -10, alongMm: 18, ridesOn: "gear-shaft", restsOn: ["ratchet", "dog-spring"], turnsWith: "gear", ...greased("half round the teeth", "it spreads itself") }],
      ["pinion-bearing", "Pinion bearing", "pinion-bearing", { acrossMm: 15.6, restsOn: ["head-plate"], ...oiled("1 drop", "light load, high speed") }],
      ["pinion", "Pinion", "pinion", { acrossMm: 15.6, restsOn: ["pinion-bearing", "main-gear"], turnsWith: "spool", ...greased("a light film on the teeth", "the bore stays clean") }],
      ...ringOf("head-plate", "frame", plateRing),
    ],
    spool: [
      ["spool", "Spool", "spool", { round: true, turnsWith: "spool", heldBy: plateScrews }],
      ["click-gear", "Click gear", "click-gear", { alongMm: 1, ridesOn: "spool", turnsWith: "spool" }],
      ["spool-bearing-tail", "Spool bearing, tail", "spool-bearing", { restsOn: ["spool"], alongMm: -3, turnsWith: "spool", ...oiled("1 small drop", "free spool lives here") }],
      ["spacer-sleeve", "Spacer sleeve", "spacer-sleeve", { restsOn: ["spool-bearing-tail"], hides: true, orientation: "between the two bearings", trap: "Left out, the bearings bind when it is drawn tight." }],
      ["spool-bearing-head", "Spool bearing, head", "spool-bearing", { restsOn: ["spool", "spacer-sleeve"], turnsWith: "spool", hides: true, ...oiled("1 small drop", "free spool lives here") }],
      ["drag-washer", "Drag washer", "drag-washer", { insideOf: "spool", restsOn: ["spool-bearing-head"], turnsWith: "spool", lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "smooth start; one face or both is a way of working" }, trap: "Water behind it: look at the cap's seat." }],
      ["pressure-plate", "Pressure plate", "pressure-plate", { restsOn: ["drag-washer"], turnsWith: "sleeve", orientation: "by its uneven holes", hides: true }],
      ["plate-bearing", "Pressure plate bearing", "plate-bearing", { restsOn: ["pressure-plate"], ...oiled("1 small drop", "it carries the drag's thrust") }],
      ["preload-spring", "Preload spring", "preload-spring", { restsOn: ["plate-bearing"], hides: true, orientation: "its bounce is felt under the cap", trap: "Missing, free spool is dead or drags." }],
      ["drag-cap", "Drag cap", "drag-cap", { restsOn: ["preload-spring"], caution: "Left-hand thread: it comes off clockwise. By hand only.", orientation: "hand-tight, left-hand thread", ...greased("a touch on the thread", "it must come off again") }],
      ["shaft", "Spool shaft", "shaft", { passesThrough: ["spool", "drag-cap"], alongMm: -16, turnsWith: "none", orientation: "flat end to the lever", ...greased("a film", "parts slide along it") }],
      ["cross-pin", "Cross pin", "cross-pin", { restsOn: ["shaft"], alongMm: 66, orientation: "centred in its slot", trap: "Off centre it jams the preload." }],
      ["cupped-lower", "Cupped washer, lower", "cupped", { ridesOn: "shaft", restsOn: ["cross-pin"], alongMm: 70, turned: true, orientation: "cup up", twoSided: true, trap: "The two face each other." }],
      ["cupped-upper", "Cupped washer, upper", "cupped", { ridesOn: "shaft", restsOn: ["cupped-lower"], alongMm: 72, orientation: "cup down", twoSided: true }],
    ],
    tail: [
      ["tail-bearing", "Tail bearing", "tail-bearing", { restsOn: ["frame"], oilPort: "at the spool's shaft end, tail side", ...oiled("1 drop", "some finishes do not let it be drawn: then oil it in place") }],
      ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -16, restsOn: ["frame"], orientation: "point to the spool", ...greased("a dab", "keeps water off; more quietens it") }],
      ["click-spring", "Click spring", "click-spring", { acrossMm: -16, restsOn: ["click-tongue"], caution: "Click spring and clip fly: glasses on, a finger over them.", cautionSays: "spring" }],
      ["click-washer", "Click washer", "click-washer", { acrossMm: -16, restsOn: ["click-tongue"], hides: true, orientation: "plastic against graphite; brass lies either way" }],
      ["click-button", "Click button", "click-button", { acrossMm: -16, restsOn: ["click-spring", "click-washer"] }],
      ["click-clip", "Click clip", "click-clip", { acrossMm: -16, restsOn: ["click-button"], caution: "Click spring and clip fly: glasses on, a finger over them.", cautionSays: "spring" }],
    ],
    frame: [
      ["frame", "Frame", "frame", { turnsWith: "frame", oilPort: "inside, the spool out", portBehind: ["spool"], ...oiled("a drop, rubbed to a sheen", "the wall stays dry behind the spool; what runs is wiped off") }],
      ["foot", "Reel foot", "foot", { restsOn: ["frame"], heldBy: ["foot-nut-front", "foot-nut-rear"] }],
      ["foot-nut-front", "Acorn nut, front", "foot-nut", { acrossMm: 9, restsOn: ["foot"], oilPort: "nut by nut: thread and blind end wiped", ...oiled("1 drop on the thread", "water collects under it: first of all at sea") }],
      ["foot-nut-rear", "Acorn nut, rear", "foot-nut", { acrossMm: -9, restsOn: ["foot"], oilPort: "nut by nut: thread and blind end wiped", ...oiled("1 drop on the thread", "water collects under it: first of all at sea") }],
    ],
  },
  gearPairs: [{ wheel: "main-gear", pinion: "pinion", centreMm: 25.6 }],
  // biome-ignore format: one choice a line, read as a table
  variants: [
    variantOf(handleEnds, { assembly: "handle", after: "handle", frees: "handle" }),
    variantOf(knobs, { assembly: "handle", after: "handle" }),
    ...leverVariants,
    {
      id: "ring-over",
      name: "The lever's ring",
      choices: [
        { id: "clear", name: "clear of the plate's screws: the plate comes away with lever and ring on it" },
        { id: "over", name: "over the plate's screws: ring and lever come off first", change: { reseat: { spool: { shutBy: ["lever"] } } } },
      ],
    },
    {
      id: "way-in",
      name: "The way in",
      choices: [
        { id: "cam-first", name: "cam out, then the quadrant's screws and the lever" },
        {
          id: "ring-and-lever",
          name: "ring and lever come away together, the cam stays on its post",
          change: {
            put: [
              { after: null, assembly: "lever", row: ["cam", "Cam", "cam", { stays: true, restsOn: ["head-plate"], orientation: "stays on its post, the way it sat", asFound: true, ...greased("a film on the ramps", "the ramps slide under load"), trap: "Half a turn round it fits too, and free spool is dead: leave it the way it sits." }] },
            ],
            reseat: { lever: { restsOn: ["lever-washer-metal", "cam"], orientation: "with the ring, at free; where it hooks over the ring, hook first, then the ring's screws" }, "knob-preset": { restsOn: ["lever", "detent-pin", "preset-spring", "stop-piece"] } },
            operations: [{ id: "tighten-quadrant", kind: "tighten", words: "Quadrant screws, the middle one last", after: place(...quadrantScrews) }],
            batches: [["quadrant", "Ring and lever with their screws", "lever", "quadrant", "quadrant-screw-front", "quadrant-screw-middle", "quadrant-screw-rear"], ["preset", "Preset knob and detent", "detent-spring", "detent-pin", "stop-piece", "preset-spring", "knob-preset"]],
          },
        },
      ],
    },
    {
      id: "drag-cap",
      name: "Drag cap",
      choices: [
        { id: "thread", name: "threaded left-hand" },
        {
          id: "tabs",
          name: "on three tabs",
          change: {
            parts: [["drag-cap", "69", "Drag cap on three tabs", "drag-cap", { kind: "cap", outsideMm: 62, heightMm: 6 }, "anodised aluminium", 2400]],
            reseat: { "drag-cap": { caution: "The three tabs are bent out a little at a time: they break at the third bending.", orientation: "its tabs pressed in all round", trap: "A tab left out lets the cap tilt and the drag drags." } },
          },
        },
      ],
    },
    leverClick,
    {
      id: "size",
      name: "Build",
      choices: [
        { id: "usual", name: "anti-reverse by dog, gear on its own shaft" },
        { id: "small", name: "small, one piece: pinion without a bearing of its own", change: { drop: ["pinion-bearing"], reseat: { pinion: { restsOn: ["head-plate", "main-gear"] } }, batches: [["gears", "Gear and pinion", "main-gear", "pinion"]] } },
      ],
    },
  ],
  operations: [
    {
      id: "gate-dog",
      kind: "gate",
      words: "Turn the gear shaft: the dog clicks and holds",
      after: place("dog-spring", "ratchet"),
      before: place("main-gear"),
      lookAt: [look("Dog spring behind its stud?", ["dog-spring"], "left-out"), look("Dog upside down?", ["dog"], "turned")],
    },
    {
      id: "gate-preload",
      kind: "gate",
      words: "Press the drag cap: it bounces on its spring",
      after: place("drag-cap"),
      before: place("shaft"),
      lookAt: [
        look("Preload spring left out?", ["preload-spring"], "left-out"),
        look("Pressure plate turned against its holes?", ["pressure-plate"]),
      ],
    },
    {
      id: "spool-in",
      kind: "press",
      words: "Spool and shaft into the frame, tail end first",
      after: place("cupped-upper", "cross-pin", "click-clip", "tail-bearing", "spool-bearing-tail", "click-gear"),
      before: ["lever-free"],
    },
    ...closePlate(plateScrews),
    {
      id: "gate-free-spool",
      kind: "gate",
      pullsLine: true,
      words: "Lever at free the spool spins; at strike it pulls what it should: move the preset until both are true",
      after: place("lever", "cam", "knob-preset"),
      before: place("handle-washer"),
      lookAt: [
        look("Cam half a turn round", ["cam"], "turned"),
        look("Preset too tight: back the knob off", ["knob-preset"]),
        look("Preload spring missing", ["preload-spring"], "left-out"),
        look("Cupped washers nested", ["cupped-lower", "cupped-upper"], "turned"),
      ],
    },
    {
      id: "tighten-quadrant",
      kind: "tighten",
      words: "Quadrant screws, the middle one last",
      after: place(...quadrantScrews),
      before: place("cam"),
    },
    ...end.operations,
  ],
};

export const leverDrag = templateOf(leverDragTable);
