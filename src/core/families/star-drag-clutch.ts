import { bridgeClutchTable } from "./bridge-clutch";
import { footScrewPart, footScrewSeats, footScrews } from "./modules/foot";
import { stackInGear, twoEars } from "./modules/gear-stack";
import { stackSeats, tensionSeats, yokeSprings } from "./modules/look-seats";
import { variantOf } from "./modules/module";
import { ringOf } from "./modules/ring";
import { starFace } from "./modules/star-face";
import { tailMagnets } from "./modules/tail-magnets";
import { takeApart } from "./modules/take-apart";
import { tensionWashers, withEitherSide } from "./modules/tension";
import { frictionUnderGear } from "./modules/under-gear";
import { starDragHandle } from "./star-drag-handle";
import { clickParts, freeSpoolParts, gearParts } from "./star-drag-parts";
import { greased, look, mediumOiled, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable, Variant } from "./tables/table";
import { templateOf } from "./template";

const shaft = "gear-shaft";
const coverRing = [
  {
    id: "cover-screw-top-front",
    name: "Cover screw, top front, large",
    acrossMm: 26,
    part: "cover-screw-large",
    hole: "frame, top front",
    holeDepthMm: 10,
  },
  {
    id: "cover-screw-top-rear",
    name: "Cover screw, top rear, large",
    acrossMm: 14,
    part: "cover-screw-large",
    hole: "frame, top rear",
    holeDepthMm: 10,
  },
  {
    id: "cover-screw-low-front",
    name: "Cover screw, low front, small",
    acrossMm: -16,
    part: "cover-screw-small",
    hole: "frame, low front",
    holeDepthMm: 7,
    trap: "The small low ones go in before star and handle stand in their way.",
  },
  {
    id: "cover-screw-low-rear",
    name: "Cover screw, low rear, small",
    acrossMm: -26,
    part: "cover-screw-small",
    hole: "frame, low rear",
    holeDepthMm: 7,
    trap: "The small low ones go in before star and handle stand in their way.",
  },
] as const;
const tailRing = [
  { id: "tail-screw-top", name: "Tail plate screw, top", acrossMm: 26, part: "tail-screw", hole: "frame, tail, top", holeDepthMm: 9 },
  { id: "tail-screw-front", name: "Tail plate screw, front", acrossMm: -6, part: "tail-screw", hole: "frame, tail, front", holeDepthMm: 9 },
  {
    id: "tail-screw-rear",
    name: "Tail plate screw, rear",
    acrossMm: -26,
    part: "tail-screw",
    hole: "frame, tail, rear",
    holeDepthMm: 9,
    trap: "The rear ones of a plastic plate crack it: feel the bite, stop.",
  },
] as const;
const coverScrews = coverRing.map(({ id }) => id);
const tailScrews = tailRing.map(({ id }) => id);
const retainerScrews = ["retainer-screw-front", "retainer-screw-rear"];

const { belowHandle, handleEnds, knobs, end, knob } = starDragHandle(shaft);
const tensions = tensionWashers({
  shaft,
  restsOn: "shaft-washer",
  below: [],
  number: "241",
  outsideMm: 16,
  insideMm: 8.2,
  star: [],
});
const [tension] = tensions.builds;
const stacks = stackInGear({
  shaft,
  heldBy: [],
  closes: {
    orientation: "the thick one, convex side up, flats on the shaft's flats",
    twoSided: true,
    trap: "Convex down it rocks: press a finger on its rim.",
  },
  below: ["under-gear-washer", "main-gear"],
  numbers: { low: "230", friction: "231", keyed: "232", eared: "233", cap: "234" },
});
const [stack] = stacks.builds;

const dogGate = {
  id: "gate-dog",
  kind: "gate" as const,
  words: "Turn the shaft by hand: the dog clicks, holds, and comes back by itself",
  after: place("dog-spring", "ratchet"),
  before: place("under-gear-washer"),
  lookAt: [
    look("Dog spring: is it behind its stud?", ["dog-spring"], "left-out"),
    look("Dog: square nose to the ratchet, not upside down?", ["dog"], "turned"),
    look("Ratchet: has it fallen onto its square?", ["ratchet"], "turned"),
  ],
};
const clutchGate = (after: readonly string[], before: readonly string[]) => ({
  id: "gate-clutch",
  kind: "gate" as const,
  words: "Under one finger the shaft turns forward only: backwards it holds at once, no step before it",
  after: [...after],
  before: place(...before),
  lookAt: [
    look("Grease in the clutch", ["clutch"]),
    look("Collar pitted or left out", ["clutch-collar"], "left-out"),
    look("Clutch turned over", ["clutch"], "turned"),
    look("Slips a little, then the dog catches: the clutch", ["clutch"]),
  ],
});
const closeCover = {
  id: "close-cover",
  kind: "press" as const,
  words: "Lever at free, cover lowered over the collar and rocked until it drops: no hammer",
  after: place("clutch-collar", "yoke-spring-front", "yoke-spring-rear", "lever", "clutch"),
  before: ["gate-lever"],
};

const drawnDown = (before: string) => ({
  id: "tighten-cover",
  kind: "tighten" as const,
  words: "Cover screws: start each one, then tighten crosswise 1/8 turn at a time, the small low ones too",
  after: place(...coverScrews),
  before: place(before),
  tool: "blade 3 mm and 4 mm, as wide as the slot",
});

// biome-ignore format: one choice a line, read as a table
const variants: readonly Variant[] = [
  {
    id: "tail-ring",
    name: "The tail plate is held by",
    choices: [
      { id: "three", name: "three screws" },
      takeApart({
        ring: tailScrews,
        after: "cap",
        number: "129",
        holds: { spool: { heldBy: ["take-apart-screw"] } },
        close: {
          id: "close-tail",
          words: "Cap backed off, spool in by the tail, turned past the tongue; plate into its lugs and a little clockwise until it stops",
          over: ["spool", "click-gear", "cap", "click-tongue", "click-spring", "tail-bearing", "bearing-retainer-screw"],
        },
        before: [],
      }),
    ],
  },
  {
    id: "under-gear",
    name: "Under the main gear",
    choices: [
      { id: "spacer", name: "a metal spacer: no drag face" },
      frictionUnderGear("219"),
    ],
  },
  {
    id: "shaft-foot",
    name: "Bearing at the shaft's foot",
    choices: [
      { id: "screw", name: "held by a screw in the shaft's end" },
      { id: "pressed", name: "pressed into its pocket", change: { drop: ["shaft-end-screw"], reseat: { "foot-bearing": { inPlace: true, stays: true, oilPort: "in its pocket, the shaft drawn", portBehind: ["gear-shaft"], trap: "Pressed: served where it sits, and proved to turn." } } } },
    ],
  },
  {
    id: "clutch-place",
    name: "One-way clutch",
    choices: [
      { id: "cover", name: "pressed in the head cover" },
      {
        id: "outside",
        name: "set from outside, under a cap with two lugs",
        change: {
          parts: [["clutch-cap", "284", "Clutch cap, two lugs", "clutch-plate", { kind: "cap", outsideMm: 26, heightMm: 3 }, steel, 420]],
          put: [
            { after: null, assembly: "handle", row: ["clutch", "One-way roller clutch", "clutch", { restsOn: ["head-plate"], ridesOn: "clutch-collar", orientation: "pushed on square, its inner sleeve held", twoSided: true, lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" }, trap: "Turned over it holds forward." }] },
            { after: "clutch", assembly: "handle", row: ["clutch-cap", "Clutch cap", "clutch-cap", { shutBy: [], restsOn: ["clutch"], passesThrough: ["head-plate"], orientation: "two lugs in two holes: two clicks" }] },
          ],
          reseat: { "head-end-bearing": { restsOn: ["clutch-cap"] } },
          operations: [{ ...closeCover, after: place("clutch-collar", "yoke-spring-front", "yoke-spring-rear", "lever") }, drawnDown("clutch"), clutchGate(["tighten-cover", ...place("clutch-cap")], ["head-end-bearing"])],
          batches: [["clutch", "One-way clutch with its cap", "clutch", "clutch-cap"], ["cover", "Head cover", "head-plate"]],
        },
      },
    ],
  },
  {
    id: "anti-reverse",
    name: "Anti-reverse",
    choices: [
      { id: "both", name: "roller clutch, the dog behind it" },
      { id: "clutch", name: "roller clutch alone", change: { drop: ["dog", "dog-spring", "ratchet"], reseat: { "under-gear-washer": { restsOn: ["retainer"] } } } },
    ],
  },
  {
    id: "cover",
    name: "Head cover",
    choices: [
      { id: "plain", name: "plain, its screws in sight" },
      {
        id: "trim",
        name: "a trim ring over a tiny screw",
        change: {
          parts: [
            ["trim-ring", "293", "Trim ring", "trim-ring", { kind: "washer", outsideMm: 62, insideMm: 48, thicknessMm: 1.5 }, "chromed brass", 890],
            ["ring-screw", "295", "Tiny screw under the ring", "ring-screw", screw(1.4, 4), steel, 40],
          ],
          put: [
            { after: "lever", assembly: "cover", row: ["ring-screw", "Tiny screw under the ring", "ring-screw", { acrossMm: 22, restsOn: ["frame"], passesThrough: ["head-plate"], hole: "frame, under the ring", holeDepthMm: 5, trap: "The ring hides it: in before the ring. Missing, somebody was here before." }] },
            { after: "ring-screw", assembly: "cover", row: ["trim-ring", "Trim ring", "trim-ring", { restsOn: ["head-plate", "ring-screw"], orientation: "its holes over the cover's", caution: "With the ring off nothing holds the cover but its fit: the springs under it are free.", cautionSays: "spring" }] },
          ],
          reseat: Object.fromEntries(coverScrews.map((id) => [id, { passesThrough: ["head-plate", "trim-ring"] }])),
        },
      },
    ],
  },
  {
    id: "brake",
    name: "Cast brake",
    choices: [
      { id: "none", name: "none" },
      tailMagnets("magnets and a dial in the tail plate", [{ id: "gate-spool", kind: "gate", words: "With the dial at nothing the spool spins free, side play barely there; each mark of the dial slows it", after: ["tighten-tail"], lookAt: [look("Cap closed too far: back it off half a turn", ["cap"]), look("Dial turned the wrong way round: no mark slows it", ["magnet-dial"]), look("Plate drawn down skew: ease the screws an eighth", ["tail-plate", "head-plate"]), look("A bearing not home in its seat", ["tail-bearing", "head-bearing"], "left-out")] }]),
    ],
  },
  variantOf(stacks, { assembly: "stack", after: "main-gear", carries: "clutch-collar" }),
  { id: "ears", name: "Ears of the eared washer", choices: [{ id: "four", name: "four" }, { id: "two", name: "two", change: { parts: [twoEars("235")] } }] },
  variantOf(belowHandle, { assembly: "handle", after: "star", carries: "handle" }),
  withEitherSide(variantOf(tensions, { assembly: "handle", after: "shaft-washer", carries: "star" }), "handle", { shaft, restsOn: "shaft-washer" }),
  starFace(shaft, 8.2, { gear: "251", spring: "252", washer: "253" }),
  variantOf(handleEnds, { assembly: "handle", after: "handle" }),
  variantOf(knobs, { assembly: "handle", after: "handle" }),
];

/**
 * Conventional star drag, full frame with a one-way clutch: the shaft stands in the frame's wall under a retainer, and the spool leaves through the
 * tail.
 */
export const starDragClutchTable: TemplateTable = {
  family: "star-drag-clutch",
  lineRadiusMm: 24,
  assemblies: [
    ["handle", "Handle and star", "handle", { quick: true }],
    ["tail", "Tail plate and click", "tail", { carrier: "tail-plate", freedBy: tailScrews, shutBy: ["tail-plate"] }],
    ["spool", "Spool", "frame", { carrier: "spool", quick: true, shutBy: ["spool"] }],
    ["cover", "Head cover with clutch and lever", "handle", { carrier: "head-plate", freedBy: coverScrews, shutBy: ["head-plate"] }],
    ["stack", "Gear and drag stack", "handle", { shutBy: ["head-plate"] }],
    ["yoke", "Pinion and yoke", "handle", { shutBy: ["head-plate"] }],
    ["wall", "Shaft, dog and the frame's bearings", "handle", { shutBy: ["head-plate"] }],
    ["frame", "Frame and foot", "frame", { stays: true }],
  ],
  batches: [
    ...end.batches,
    ...tension.batches,
    ["head-end", "Bearing and washer on the shaft's head", "head-end-bearing", "shaft-washer"],
    [
      "tail-bearing",
      "Tail bearing with its cover and retainer",
      "tail-bearing",
      "dust-cover",
      "bearing-retainer",
      "bearing-retainer-screw",
    ],
    ["cover-ring", "Head cover screws", ...coverScrews],
    ["tail-ring", "Tail plate screws", ...tailScrews],
    ["click", "Click", "click-tongue", "click-spring", "click-button"],
    ["tail", "Tail plate with its cap", "tail-plate", "cap"],
    ["spool", "Spool with its click gear", "spool", "click-gear"],
    ["cover", "Head cover with its clutch", "head-plate", "clutch"],
    ["free-spool", "Eccentric, spring and lever", "eccentric", "eccentric-spring", "lever"],
    ["yoke-springs", "Yoke springs", "yoke-spring-front", "yoke-spring-rear"],
    ["yoke", "Jack, yoke and pinion", "jack", "yoke", "pinion"],
    ...stack.batches,
    ["dog", "Ratchet, dog and spring", "ratchet", "dog", "dog-spring"],
    ["shaft", "Shaft on its bearing", "foot-bearing", "gear-shaft", "shaft-end-screw"],
    ["retainer", "Retainer with its screws", "retainer", ...retainerScrews],
    ["wall-bearing", "Wall bearing with its clip", "wall-bearing", "wall-clip"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["frame", "105", "Full frame, one piece", "frame", { kind: "frame", outsideMm: 62, widthMm: 40, posts: 4 }, "anodised aluminium", 7900],
    ["foot", "102", "Reel foot", "foot", { kind: "foot", lengthMm: 58, widthMm: 16, thicknessMm: 3 }, "chromed brass", 980],
    footScrewPart("103"),
    ["head-plate", "113", "Head cover", "head-plate", { kind: "plate", outsideMm: 62, thicknessMm: 8, holes: 4 }, "anodised aluminium", 3900],
    ["cover-screw-large", "114", "Cover screw, large", "plate-screw", screw(3, 8), steel, 70],
    ["cover-screw-small", "115", "Cover screw, small", "plate-screw", screw(2.5, 6), steel, 60],
    ["tail-plate", "122", "Tail plate", "tail-plate", { kind: "plate", outsideMm: 62, thicknessMm: 4, holes: 3 }, "anodised aluminium", 2900],
    ["tail-screw", "123", "Tail plate screw", "plate-screw", screw(3, 7), steel, 70],
    ...clickParts,
    ["dust-cover", "133", "Bearing dust cover", "dust-cover", { kind: "washer", outsideMm: 12, insideMm: 5.4, thicknessMm: 0.3 }, "plastic", 60],
    ["bearing-retainer", "134", "Bearing retainer, two ears", "bearing-retainer", { kind: "washer", outsideMm: 18, insideMm: 8, thicknessMm: 0.8 }, steel, 140],
    ["bearing-retainer-screw", "135", "Bearing retainer screw", "retainer-screw", screw(2, 4), steel, 60],
    ["spool", "138", "Spool", "spool", { kind: "spool", flangeMm: 56, arborMm: 24, widthMm: 34, shaftMm: 5, shaftLengthMm: 62 }, "anodised aluminium", 4600],
    ["spool-bearing", "131", "Spool bearing 5 × 11 × 5", "spool-bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 5, closure: "shielded" }, steel, 690],
    ["click-gear", "132", "Click gear", "click-gear", { kind: "ratchet", teeth: 16, outsideMm: 16, boreMm: 5, thicknessMm: 2 }, "brass", 1480],
    ["wall-bearing", "139", "Wall bearing 12 × 21 × 5", "spool-bearing", { kind: "bearing", boreMm: 12, outsideMm: 21, widthMm: 5, closure: "shielded" }, steel, 990],
    ["wall-clip", "140", "Wall bearing clip", "clip", { kind: "clip", outsideMm: 22, wireMm: 0.8, form: "wire" }, "spring steel", 90],
    ["foot-bearing", "208", "Shaft foot bearing 8 × 16 × 5", "gear-bearing", { kind: "bearing", boreMm: 8, outsideMm: 16, widthMm: 5, closure: "shielded" }, steel, 790],
    ["gear-shaft", "205", "Gear shaft", "gear-sleeve", { kind: "sleeve", outsideMm: 8, boreMm: 2.5, lengthMm: 58, flangeMm: 12, acrossFlatsMm: 6.4 }, steel, 1850],
    ["shaft-end-screw", "206", "Shaft end screw", "shaft-end-screw", screw(2.5, 5), steel, 80],
    ["retainer", "207", "Shaft retainer", "shaft-retainer", { kind: "plate", outsideMm: 30, thicknessMm: 1.2, holes: 2 }, steel, 420],
    ["retainer-screw", "283", "Retainer screw", "retainer-screw", screw(2.5, 5), steel, 60],
    ...gearParts,
    ...stack.parts,
    ["clutch", "280", "One-way roller clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 22, boreMm: 12, lengthMm: 9, rollers: 8 }, steel, 2290],
    ["clutch-collar", "281", "Clutch collar", "clutch-sleeve", { kind: "sleeve", outsideMm: 11.9, boreMm: 8.2, lengthMm: 10 }, "hardened steel", 790],
    ["head-end-bearing", "217", "Shaft head bearing 8 × 14 × 4", "gear-bearing", { kind: "bearing", boreMm: 8, outsideMm: 14, widthMm: 4, closure: "shielded" }, steel, 740],
    ["shaft-washer", "218", "Thin washer on the bearing", "shim", { kind: "washer", outsideMm: 13, insideMm: 8.2, thicknessMm: 0.3 }, steel, 60],
    ...tension.parts,
    ["star", "250", "Star, five arms", "star", { kind: "star", outsideMm: 44, boreMm: 8.1, arms: 5, hubMm: 14 }, "anodised aluminium", 1190],
    ...belowHandle.builds[0].parts,
    ["handle", "260", "Handle with knob", "handle", { kind: "handle", armMm: 62, knobMm: 19, boreMm: 6.5, thicknessMm: 3 }, steel, 2450],
    ...knob.parts,
    ...end.parts,
    ...freeSpoolParts,
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    handle: [
      ["head-end-bearing", "Shaft head bearing", "head-end-bearing", { ridesOn: shaft, restsOn: ["head-plate"], ...mediumOiled("1 drop", "slow and loaded: it carries the handle's end"), trap: "On the shaft's end instead of its plate, the plate stands off." }],
      ["shaft-washer", "Thin washer on the bearing", "shaft-washer", { ridesOn: shaft, restsOn: ["head-end-bearing"], hides: true, trap: "It clings to the tension washer." }],
      ...tension.seats,
      ["star", "Star", "star", { ridesOn: shaft, restsOn: ["tension-upper"], turnsWith: "sleeve", orientation: "flat side out", twoSided: true, ...greased("a touch on the thread", "it turns under load"), trap: "Start it by hand and square: a crossed thread here ends the shaft." }],
      ...belowHandle.builds[0].seats,
      ["handle", "Handle", "handle", { ridesOn: shaft, restsOn: ["handle-spacer"], turnsWith: "handle", hole: "the one the customer had", orientation: "as found: short or long hole; the star backed off lets it lift, never pried", asFound: true, trap: "Press the stack down before the nut goes on." }],
      ...knob.seats,
      ...end.seats,
    ],
    tail: [
      ["tail-plate", "Tail plate", "tail-plate", { turnsWith: "frame", orientation: "on its locating pin, click button to the rear" }],
      ["tail-bearing", "Spool bearing, tail", "spool-bearing", { restsOn: ["tail-plate"], oilPort: "under the side adjuster cap", ...oiled("1 small drop", "more only slows it") }],
      ["dust-cover", "Bearing dust cover", "dust-cover", { restsOn: ["tail-bearing"], hides: true, trap: "Forgotten, salt walks into the bearing." }],
      ["bearing-retainer", "Bearing retainer", "bearing-retainer", { restsOn: ["dust-cover"], orientation: "its two ears under their edge" }],
      ["bearing-retainer-screw", "Bearing retainer screw", "bearing-retainer-screw", { acrossMm: 10, restsOn: ["bearing-retainer"], hole: "tail plate, beside the bearing", holeDepthMm: 5, ...threadFilm }],
      ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -12, restsOn: ["tail-plate"], turnsWith: "frame", orientation: "point to the spool", ...greased("a dab", "keeps water off; more quietens it") }],
      ["click-spring", "Click spring", "click-spring", { acrossMm: -12, restsOn: ["click-tongue"], caution: "The click spring flies: button on, glasses on, a finger over it.", cautionSays: "spring", orientation: "in its groove, one leg each side of the tongue", twoSided: true, trap: "Not in its groove, the button springs back." }],
      ["click-button", "Click button", "click-button", { shutBy: [], acrossMm: -12, passesThrough: ["tail-plate"], restsOn: ["click-tongue"], orientation: "from outside, into the tongue" }],
      ["cap", "Side adjuster cap", "cap", { shutBy: [], restsOn: ["tail-plate"], turnsWith: "frame", orientation: "half a turn open", ...greased("a touch on the thread", "it must turn by hand"), trap: "Backed off before the plate is drawn down, or the shaft ends suffer." }],
      ...ringOf("tail-plate", "frame", tailRing),
    ],
    spool: [
      ["spool", "Spool", "spool", { restsOn: ["frame", "wall-bearing"], turnsWith: "spool", heldBy: [...tailScrews], orientation: "slot end to the pinion" }],
      ["click-gear", "Click gear", "click-gear", { alongMm: 8, ridesOn: "spool", turnsWith: "spool", orientation: "on the tail end" }],
    ],
    cover: [
      ["head-plate", "Head cover", "head-plate", { turnsWith: "frame", orientation: "name level with the foot" }],
      ["clutch", "One-way roller clutch", "clutch", { restsOn: ["head-plate"], stays: true, inPlace: true, oilPort: "in the head cover, swabbed first", portBehind: ["head-plate"], twoSided: true, orientation: "pressed in the cover: swabbed and oiled there", lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" }, trap: "Turned over it holds forward." }],
      ["eccentric", "Eccentric", "eccentric", { acrossMm: -16, restsOn: ["head-plate"], orientation: "stud towards the jack", ...oiled("1 drop behind it", "grease here gums the lever") }],
      ["eccentric-spring", "Eccentric spring", "eccentric-spring", { acrossMm: -16, restsOn: ["eccentric"], caution: "The eccentric spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "long leg to the cover's rim", trap: "A proud end hooks the jack." }],
      ["lever", "Free-spool lever", "lever", { acrossMm: -16, passesThrough: ["head-plate"], restsOn: ["eccentric"], orientation: "forward is free", twoSided: true }],
      ...ringOf("head-plate", "frame", coverRing),
    ],
    stack: [
      ["under-gear-washer", "Under-gear washer", "gear-washer", { ridesOn: shaft, restsOn: ["ratchet", "dog-spring"], hides: true, trap: "It stays on the shaft and is forgotten there." }],
      ["main-gear", "Main gear", "main-gear", { ridesOn: shaft, restsOn: ["under-gear-washer", "pinion"], turnsWith: "gear", orientation: "cup up, turned until the pinion's teeth mesh", twoSided: true, ...greased("half round the teeth", "it spreads itself; more is squeezed out"), trap: "Pressed down before the teeth mesh, the cover stands off." }],
      ...stack.seats,
      ["clutch-collar", "Clutch collar", "clutch-collar", { ridesOn: shaft, restsOn: ["keyed-high"], hides: true, orientation: "clean and dry, free of pits, touched by clean fingers", trap: "Left out the reel closes and turns both ways; pitted or greased it slips." }],
    ],
    yoke: [
      ["jack", "Jack", "jack", { acrossMm: 20, restsOn: ["frame"], orientation: "below the yoke, its hole where the eccentric's stud comes", ...greased("a thin film on both faces", "it slides"), trap: "Its hole beside the stud: the lever is dead." }],
      ["yoke", "Yoke", "yoke", { acrossMm: 27.3, restsOn: ["jack"], orientation: "over its two posts, shoulder to the jack", ...greased("a dab on the shoulders", "it slides") }],
      ["pinion", "Pinion", "pinion", { acrossMm: 27.3, restsOn: ["yoke"], turnsWith: "spool", orientation: "slot to the spool", ...greased("a light film on the teeth", "the bore stays clean and dry"), trap: "Slot facing out, the spool never engages." }],
      ["yoke-spring-front", "Yoke spring, front", "yoke-spring", { acrossMm: 38, restsOn: ["yoke", "main-gear"], caution: "The yoke springs fly: glasses on, hand cupped.", cautionSays: "spring", orientation: "upright on its post" }],
      ["yoke-spring-rear", "Yoke spring, rear", "yoke-spring", { acrossMm: 16, restsOn: ["yoke", "main-gear"], caution: "The yoke springs fly: glasses on, hand cupped.", cautionSays: "spring", orientation: "upright on its post" }],
    ],
    wall: [
      ["wall-bearing", "Wall bearing", "wall-bearing", { shutBy: ["spool"], acrossMm: 27.3, restsOn: ["frame"], oilPort: "from the spool's side, the spool out", portBehind: ["spool"], ...oiled("1 small drop", "the spool turns in it at every cast, the pinion in gear") }],
      ["wall-clip", "Wall bearing clip", "wall-clip", { shutBy: ["spool"], acrossMm: 27.3, restsOn: ["wall-bearing"], caution: "The clip flies: a finger over it, glasses on.", cautionSays: "spring", orientation: "seated all round its groove" }],
      ["foot-bearing", "Shaft foot bearing", "foot-bearing", { restsOn: ["frame"], ...mediumOiled("1 drop, its pocket packed with grease where it goes to sea", "the one that freezes: free spool is fine, the handle is hard"), trap: "Frozen here the reel is hard to turn though free spool is fine." }],
      ["gear-shaft", "Gear shaft", "gear-shaft", { restsOn: ["foot-bearing"], turnsWith: "sleeve", heldBy: [...retainerScrews], orientation: "flange to the wall", ...greased("a film", "dry it freezes in its bearing") }],
      ["shaft-end-screw", "Shaft end screw", "shaft-end-screw", { shutBy: ["spool"], alongMm: -6, restsOn: ["gear-shaft", "foot-bearing"], hole: "the shaft's end, from the spool's side", holeDepthMm: 7, caution: "Held on its flats, not in a bare vice; seized, it is soaked, not forced.", ...threadFilm }],
      ["retainer", "Shaft retainer", "retainer", { restsOn: ["gear-shaft"], heldBy: [...retainerScrews], orientation: "on its pins", trap: "A locating pin may have dropped out." }],
      ["retainer-screw-front", "Retainer screw, front", "retainer-screw", { acrossMm: 12, restsOn: ["retainer"], hole: "wall, retainer, front", holeDepthMm: 6, ...threadFilm }],
      ["retainer-screw-rear", "Retainer screw, rear", "retainer-screw", { acrossMm: -12, restsOn: ["retainer"], hole: "wall, retainer, rear", holeDepthMm: 6, ...threadFilm }],
      ["ratchet", "Anti-reverse ratchet", "ratchet", { ridesOn: shaft, restsOn: ["retainer", ...retainerScrews], turnsWith: "sleeve", orientation: "the shaft turned until it falls on its square, steep side of the teeth to the dog", twoSided: true, ...oiled("1 drop", "the dog must fall by itself") }],
      ["dog", "Anti-reverse dog", "dog", { acrossMm: -20, restsOn: ["frame"], orientation: "square nose to the ratchet", ...oiled("1 drop", "it must swing freely"), trap: "Upside down the reel turns both ways, or neither." }],
      ["dog-spring", "Dog spring", "dog-spring", { acrossMm: -20, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring", orientation: "behind its stud", trap: "Not behind its stud it holds for a day." }],
    ],
    frame: [
      ["frame", "Frame", "frame", { turnsWith: "frame" }],
      ["foot", "Reel foot", "foot", { restsOn: ["frame"], turnsWith: "frame", heldBy: [...footScrews], orientation: "long end back" }],
      ...footScrewSeats,
    ],
  },
  gearPairs: [{ wheel: "main-gear", pinion: "pinion", centreMm: 27.3 }],
  frames: {
    id: "gear-carrier",
    name: "What carries the gear",
    choices: [
      { id: "wall", name: "a shaft in the frame's wall under a retainer; the spool leaves through the tail" },
      { id: "bridge", name: "a bridge screwed behind the head plate", table: bridgeClutchTable },
    ],
  },
  variants,
  operations: [
    {
      id: "gate-shaft",
      kind: "gate",
      words: "The shaft spins alone under a finger, before its retainer is drawn down and after",
      after: place("gear-shaft", ...retainerScrews),
      before: place("ratchet", "under-gear-washer"),
      lookAt: [
        look("Bearing at the shaft's foot not home", ["foot-bearing"], "left-out"),
        look("Retainer beside its pins", ["retainer"]),
        look("A rough bearing: draw it now", ["foot-bearing"]),
      ],
    },
    dogGate,
    {
      id: "gate-yoke",
      kind: "gate",
      words: "The pinion goes down and comes back by its springs",
      after: place("pinion", "yoke-spring-front", "yoke-spring-rear"),
      before: ["close-cover"],
      lookAt: [
        look("A spring off its post", ["yoke-spring-front", "yoke-spring-rear"], "left-out"),
        look("Pinion askew in the wall bearing", ["pinion"]),
        look("Yoke beside its posts", ["yoke"]),
      ],
    },
    closeCover,
    {
      id: "gate-lever",
      kind: "gate",
      words: "Lever to and fro: the pinion follows, and the cover has no gap all round",
      after: place("eccentric-spring"),
      before: place(...coverScrews),
      lookAt: [
        look("Jack: its hole beside the eccentric's stud?", ["jack"]),
        look("Gear down before the pinion's teeth meshed", ["main-gear"]),
        look("A yoke spring off its post", yokeSprings, "left-out"),
      ],
    },
    drawnDown("head-end-bearing"),
    clutchGate(["tighten-cover"], ["head-end-bearing"]),
    {
      id: "gate-star",
      kind: "gate",
      pullsLine: true,
      words: "The star goes from free to locked in half a turn or more",
      proves: "drag",
      after: place("star"),
      before: place("handle-spacer"),
      lookAt: [
        look("Tension washers: do they face each other?", tensionSeats, "turned"),
        look("Keyed washers low and high, the eared one between?", stackSeats, "stacked"),
        look("Last metal washer: convex side up?", ["keyed-high"], "turned"),
      ],
    },
    {
      id: "close-tail",
      kind: "press",
      words: "Cap backed off, spool in by the tail, turned past the tongue; plate on its pin",
      after: place("spool", "click-gear", "cap", "click-tongue", "click-spring", "tail-bearing", "bearing-retainer-screw"),
      before: place(...tailScrews),
    },
    {
      id: "tighten-tail",
      kind: "tighten",
      words: "Tail plate screws: start each one, then tighten crosswise 1/8 turn at a time",
      after: place(...tailScrews),
      tool: "blade 4 mm",
    },
    {
      id: "gate-click",
      kind: "gate",
      words: "The click sounds in both directions",
      after: ["tighten-tail"],
      lookAt: [
        look("Click spring in its groove?", ["click-spring"], "left-out"),
        look("Tongue's point worn to a slope?", ["click-tongue"]),
        look("Click gear loose on the shaft?", ["click-gear"]),
      ],
    },
    {
      id: "gate-spool",
      kind: "gate",
      words: "The spool spins free; side play is barely there",
      after: ["tighten-tail"],
      lookAt: [
        look("Cap closed too far: back it off half a turn", ["cap"]),
        look("Plate drawn down skew: ease the screws an eighth", ["tail-plate", "head-plate"]),
        look("Braid wound behind the flange feels like a bad bearing", ["spool"]),
        look("A bearing not home in its seat", ["tail-bearing", "head-bearing"], "left-out"),
      ],
    },
    ...end.operations,
  ],
};

export const starDragClutch = templateOf(starDragClutchTable);
