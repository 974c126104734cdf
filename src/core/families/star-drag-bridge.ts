import { stackInGear, twoEars } from "./modules/gear-stack";
import { levelWindBatches, levelWindParts, levelWindSeats, windGate } from "./modules/level-wind";
import { stackSeats, tensionSeats } from "./modules/look-seats";
import { variantOf } from "./modules/module";
import { ringOf } from "./modules/ring";
import { spoolSupport } from "./modules/spool-support";
import { starFace } from "./modules/star-face";
import { tailMagnets } from "./modules/tail-magnets";
import { takeApart } from "./modules/take-apart";
import { tensionWashers, withEitherSide } from "./modules/tension";
import { frictionUnderGear } from "./modules/under-gear";
import { starDragHandle } from "./star-drag-handle";
import { clickParts, freeSpoolParts, gearParts } from "./star-drag-parts";
import {
  barsAlone,
  closeHead,
  closeTail,
  footBetweenPlates,
  headRing,
  headScrews,
  ringBatches,
  tailRing,
  tailScrews,
} from "./star-drag-plates";
import { greased, look, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable, Variant } from "./tables/table";
import { templateOf } from "./template";

const othersOfBridge = ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-rear"];
const bridgeScrews = ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"];

const dogLooks = [
  look("Dog spring: is it behind its stud?", ["dog-spring"], "left-out"),
  look("Dog: square nose to the ratchet, not upside down?", ["dog"], "turned"),
  look("Ratchet: steep side of the teeth to the dog?", ["ratchet"], "turned"),
];
/** The dog is loaded last, by its screw: it is tried with two screws in, before they are drawn down. */
const dogGate = (after: readonly string[]) => ({
  id: "gate-dog",
  kind: "gate" as const,
  words: "Two screws in, turn the sleeve by hand: the dog clicks and holds",
  after: [...after, ...place("ratchet", "bridge-screw-top-rear")],
  before: ["tighten-bridge"],
  lookAt: dogLooks,
});
const loaded = (words: string, after: readonly string[]) => ({
  id: "load-dog",
  kind: "press" as const,
  words,
  after: place(...after),
  before: place("bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-rear"),
  caution: "The dog's spring is under tension from here: a hand cupped over it, glasses on.",
});
/** A dog on the bridge's own post is tried bare, before the gear covers it. */
const bareGate = {
  id: "gate-dog",
  kind: "gate" as const,
  words: "Turn the sleeve by hand: the dog clicks and holds",
  after: place("dog-spring", "ratchet"),
  before: place("under-gear-washer"),
  lookAt: dogLooks,
};
const sleeve = "gear-sleeve";
const { belowHandle, handleEnds, knobs, end, knob } = starDragHandle(sleeve);
const stacks = stackInGear({
  shaft: sleeve,
  heldBy: bridgeScrews,
  closes: { orientation: "flats on the sleeve's flats, closes the stack" },
  below: ["under-gear-washer", "main-gear"],
  numbers: { low: "230", friction: "231", keyed: "232", eared: "233", cap: "234" },
});
const [stack] = stacks.builds;
const tensions = tensionWashers({
  shaft: sleeve,
  restsOn: "ferrule",
  below: ["ferrule"],
  number: "241",
  outsideMm: 16,
  insideMm: 8.2,
  star: [],
});
const [tension] = tensions.builds;

/** How such reels differ. Source: common practice. */
// biome-ignore format: one choice a line, read as a table
const variants: readonly Variant[] = [
  {
    id: "dog-spring",
    name: "Dog spring",
    choices: [
      { id: "coil", name: "a coil in a pocket: the bridge is turned home over it" },
      {
        id: "wire",
        name: "a wire under the dog, worked round to its snap",
        change: {
          parts: [["dog-spring", "214", "Dog spring, wire", "dog-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 14 }, "spring steel", 160]],
          put: [
            { after: "ratchet", assembly: "bridge", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 20, restsOn: ["bridge"], heldBy: ["bridge-screw-low-front"], caution: "The dog spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "first, its eye over the screw's hole", trap: "The dog goes over it: under it the spring never snaps home." }] },
            { after: "dog-spring", assembly: "bridge", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: 20, restsOn: ["bridge", "dog-spring"], heldBy: ["bridge-screw-low-front"], orientation: "over the spring, screw up through both, then worked round until it snaps", twoSided: true, ...oiled("1 drop", "it must swing freely"), trap: "Upside down the reel turns both ways, or neither." }] },
          ],
          operations: [loaded("Coax the wire round under the dog until it snaps", ["bridge-screw-low-front"]), dogGate(["load-dog"])],
        },
      },
      {
        id: "inside",
        name: "a coil inside the dog",
        change: {
          parts: [["dog-spring", "214", "Dog spring, in the dog", "dog-coil", { kind: "coil-spring", wireMm: 0.3, outsideMm: 2.4, lengthMm: 6, coils: 7 }, "spring steel", 160]],
          put: [
            { after: "bridge-screw-low-front", assembly: "bridge", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: 20, restsOn: ["bridge-screw-low-front"], orientation: "on the screw, square nose to the ratchet", ...oiled("1 drop", "it must swing freely"), trap: "Upside down the reel turns both ways, or neither." }] },
            { after: "dog", assembly: "bridge", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 20, restsOn: ["dog"], heldBy: othersOfBridge, caution: "It sits inside the dog and does not fly.", cautionSays: "spring", orientation: "inside the dog, to its stud", twoSided: true }] },
          ],
          operations: [loaded("Coil to its stud, then turn the bridge home", ["dog-spring"])],
        },
      },
      {
        id: "post",
        name: "a coil, the dog on the bridge's own post",
        change: {
          put: [
            { after: "ratchet", assembly: "bridge", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: 20, restsOn: ["bridge"], orientation: "square nose to the ratchet", ...oiled("1 drop", "it must swing freely"), trap: "Upside down the reel turns both ways, or neither." }] },
            { after: "dog", assembly: "bridge", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 20, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring", orientation: "behind its stud", trap: "Not behind its stud it holds for a day." }] },
          ],
          reseat: { "under-gear-washer": { restsOn: ["ratchet", "dog-spring"] } },
          omit: ["load-dog"],
          operations: [bareGate],
          batches: [["dog", "Ratchet, dog and spring", "ratchet", "dog", "dog-spring"]],
        },
      },
    ],
  },
  {
    id: "under-gear",
    name: "Under the main gear",
    choices: [
      { id: "spacer", name: "a metal spacer: no drag face" },
      frictionUnderGear("219"),
      { id: "plastic", name: "a plastic washer: no drag face", change: { parts: [["gear-washer", "219", "Under-gear washer, plastic", "under-gear-washer", { kind: "washer", outsideMm: 18, insideMm: 8.2, thicknessMm: 0.8 }, "plastic", 60]] } },
    ],
  },
  {
    id: "sleeve-seat",
    name: "Seat of the gear sleeve",
    choices: [
      { id: "post", name: "plain, on the bridge's post" },
      {
        id: "bearing",
        name: "a bearing held by a wire clip",
        change: {
          parts: [
            ["sleeve-bearing", "215", "Gear sleeve bearing 8 × 16 × 5", "gear-bearing", { kind: "bearing", boreMm: 8, outsideMm: 16, widthMm: 5, closure: "shielded" }, steel, 790],
            ["bearing-clip", "216", "Bearing clip", "clip", { kind: "clip", outsideMm: 17, wireMm: 0.8, form: "wire" }, "spring steel", 90],
          ],
          put: [
            { after: "tail-plate", assembly: "tail", row: ["sleeve-bearing", "Gear sleeve bearing", "sleeve-bearing", { acrossMm: 10, restsOn: ["tail-plate"], ...oiled("1 drop", "the one that freezes: free spool is fine, the handle is hard"), trap: "Frozen here the reel is hard to turn though free spool is fine." }] },
            { after: "sleeve-bearing", assembly: "tail", row: ["bearing-clip", "Bearing clip", "bearing-clip", { acrossMm: 10, restsOn: ["sleeve-bearing"], caution: "The clip flies: a finger over it, glasses on.", cautionSays: "spring", orientation: "flat side in first", twoSided: true }] },
          ],
        },
      },
    ],
  },
  {
    id: "brake",
    name: "Cast brake",
    choices: [
      { id: "none", name: "none" },
      tailMagnets("magnets in the tail plate, for long casting"),
    ],
  },
  {
    id: "level-wind",
    name: "Level wind",
    choices: [
      { id: "none", name: "none" },
      {
        id: "worm",
        name: "a worm across the frame, driven by the spool",
        change: {
          parts: levelWindParts((number) => `3${number}`),
          assemblies: [{ after: "spool", row: ["wind", "Level wind", "frame"] }],
          put: levelWindSeats.map((row, at) => ({ after: at ? levelWindSeats[at - 1]![0] : null, assembly: "wind", row })),
          operations: [windGate("spool-in")],
          batches: levelWindBatches,
        },
      },
    ],
  },
  {
    id: "override",
    name: "Anti-reverse override",
    choices: [
      { id: "none", name: "none" },
      { id: "switch", name: "a switch on the dog", change: { parts: [["override", "292", "Override switch", "anti-reverse-lever", { kind: "lever", lengthMm: 12, boreMm: 3, thicknessMm: 2 }, "chromed brass", 480]], put: [{ after: "lever", assembly: "head", row: ["override", "Override switch", "override", { acrossMm: 26, restsOn: ["head-plate"], orientation: "set to hold" }] }] } },
    ],
  },
  {
    id: "plates",
    name: "Head plate",
    choices: [
      { id: "plain", name: "plain, its screws in sight" },
      {
        id: "trim",
        name: "trim ring over hidden screws, a locating pin",
        change: {
          parts: [
            ["trim-ring", "293", "Trim ring", "trim-ring", { kind: "washer", outsideMm: 62, insideMm: 48, thicknessMm: 1.5 }, "chromed brass", 890],
            ["locating-pin", "294", "Locating pin", "locating-pin", { kind: "pin", diameterMm: 2, lengthMm: 6 }, steel, 60],
          ],
          put: [
            { after: "head-plate", assembly: "head", row: ["locating-pin", "Locating pin", "locating-pin", { acrossMm: 29, restsOn: ["head-plate"], hides: true, trap: "It drops out unseen: without it the plate sits askew." }] },
            { after: headScrews.at(-1)!, assembly: "head", row: ["trim-ring", "Trim ring", "trim-ring", { restsOn: headScrews, orientation: "notch over the screw heads" }] },
          ],
        },
      },
    ],
  },
];

/** Conventional star drag on a bridge: gear sleeve and drag stack on the bridge, pinion in a yoke moved by an eccentric through a jack. */
export const starDragBridgeTable: TemplateTable = {
  family: "star-drag-bridge",
  lineRadiusMm: 24,
  assemblies: [
    ["handle", "Handle and star", "handle", { quick: true }],
    ["head", "Head plate, yoke and free spool", "handle", { carrier: "head-plate", freedBy: headScrews, shutBy: ["head-plate"] }],
    ["spool", "Spool", "frame", { carrier: "spool", quick: true, shutBy: ["spool"] }],
    ["tail", "Tail plate and click", "tail", { carrier: "tail-plate", freedBy: tailScrews, shutBy: ["tail-plate"] }],
    ["bridge", "Bridge and anti-reverse", "handle", { carrier: "bridge", freedBy: bridgeScrews, shutBy: ["head-plate"] }],
    ["stack", "Gear and drag stack", "handle", { shutBy: ["head-plate"] }],
    ["frame", "Frame and foot", "frame", { stays: true }],
  ],
  batches: [
    ...end.batches,
    ...tension.batches,
    ["spool", "Spool with its bearings", "spool", "click-gear", "tail-bearing", "head-bearing"],
    ...ringBatches(headScrews, tailScrews),
    ["click", "Click", "click-tongue", "click-spring", "click-button"],
    ["tail", "Tail plate with its cap", "tail-plate", "cap"],
    ["yoke-screws", "Yoke screws", "bridge-screw-top-front", "bridge-screw-top-rear"],
    ["yoke", "Pinion and yoke over their springs", "yoke-spring-front", "yoke-spring-rear", "yoke", "pinion"],
    ["free-spool", "Eccentric, spring and jack", "eccentric", "eccentric-spring", "jack"],
    ...stack.batches,
    ["dog", "Dog on its screw, and its spring", "bridge-screw-low-front", "dog", "dog-spring"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["frame", "101", "Frame, four posts", "frame", { kind: "frame", outsideMm: 62, widthMm: 40, posts: 4 }, "anodised aluminium", 5400],
    ["foot", "102", "Reel foot", "foot", { kind: "foot", lengthMm: 58, widthMm: 16, thicknessMm: 3 }, "chromed brass", 980],
    ["head-plate", "110", "Head plate", "head-plate", { kind: "plate", outsideMm: 62, thicknessMm: 4, holes: 6 }, "phenolic", 3200],
    ["plate-screw-long", "111", "Plate screw, long", "plate-screw", screw(3, 9), steel, 70],
    ["plate-screw-short", "112", "Plate screw, short, into the foot", "plate-screw", screw(3, 5), steel, 70],
    ["tail-plate", "120", "Tail plate", "tail-plate", { kind: "plate", outsideMm: 62, thicknessMm: 4, holes: 4 }, "phenolic", 2700],
    ...clickParts,
    ["spool", "130", "Spool", "spool", { kind: "spool", flangeMm: 56, arborMm: 24, widthMm: 34, shaftMm: 5, shaftLengthMm: 62 }, "anodised aluminium", 4600],
    ["spool-bearing", "131", "Spool bearing 5 × 11 × 5", "spool-bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 5, closure: "shielded" }, steel, 690],
    ["click-gear", "132", "Click gear", "click-gear", { kind: "ratchet", teeth: 16, outsideMm: 16, boreMm: 5, thicknessMm: 2 }, "brass", 1480],
    ["bridge", "200", "Bridge with post", "bridge", { kind: "bridge", lengthMm: 52, widthMm: 26, thicknessMm: 3, postMm: 5, postLengthMm: 30 }, "brass", 2600],
    ["bridge-screw-part", "201", "Bridge screw, part thread", "bridge-screw", screw(2.5, 12, 5), steel, 80],
    ["bridge-screw-full", "202", "Bridge screw, full thread", "bridge-screw", screw(2.5, 8), steel, 70],
    ["gear-sleeve", "210", "Gear sleeve", "gear-sleeve", { kind: "sleeve", outsideMm: 8, boreMm: 5.05, lengthMm: 34, flangeMm: 12, acrossFlatsMm: 6.4 }, "brass", 1450],
    ["sleeve-pin", "211", "Sleeve pin", "sleeve-pin", { kind: "pin", diameterMm: 1.5, lengthMm: 9 }, steel, 90],
    ...gearParts,
    ...stack.parts,
    ["ferrule", "240", "Stack ferrule", "stack-ferrule", { kind: "sleeve", outsideMm: 12, boreMm: 8.2, lengthMm: 6 }, "brass", 260],
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
      ["ferrule", "Stack ferrule", "ferrule", { ridesOn: "gear-sleeve", restsOn: ["keyed-high"], passesThrough: ["head-plate"], turnsWith: "sleeve", hides: true, orientation: "wide end down on the top washer", twoSided: true }],
      ...tension.seats,
      ["star", "Star", "star", { ridesOn: "gear-sleeve", restsOn: ["tension-upper"], turnsWith: "sleeve", orientation: "flat side out", twoSided: true, ...greased("a touch on the thread", "it turns under load"), trap: "Start it by hand: a crossed thread here ends the sleeve." }],
      ...belowHandle.builds[0].seats,
      ["handle", "Handle", "handle", { ridesOn: "gear-sleeve", restsOn: ["handle-spacer"], turnsWith: "handle", hole: "the one the customer had", orientation: "as found: short or long hole; the star backed off lets it lift, never pried", asFound: true, trap: "Press the stack down before the nut goes on." }],
      ...knob.seats,
      ...end.seats,
    ],
    head: [
      ["head-plate", "Head plate", "head-plate", { turnsWith: "frame", orientation: "name level with the foot" }],
      ["eccentric", "Eccentric", "eccentric", { acrossMm: -16, restsOn: ["head-plate"], orientation: "stud towards the yoke", ...oiled("1 drop behind it", "grease here gums the lever") }],
      ["eccentric-spring", "Eccentric spring", "eccentric-spring", { acrossMm: -16, restsOn: ["eccentric"], caution: "The eccentric spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "long leg to the plate's rim", trap: "A proud end hooks the jack." }],
      ["lever", "Free-spool lever", "lever", { acrossMm: -16, passesThrough: ["head-plate"], restsOn: ["eccentric"], orientation: "up is free", twoSided: true }],
      ["jack", "Jack", "jack", { acrossMm: -4, restsOn: ["eccentric-spring"], orientation: "hole on the eccentric's stud", ...greased("a dab", "it slides"), trap: "Off its stud the reel will not engage." }],
      ["yoke-spring-front", "Yoke spring, front", "yoke-spring", { acrossMm: 20, restsOn: ["head-plate"], caution: "The yoke springs fly: glasses on, hand cupped.", cautionSays: "spring", orientation: "upright over its hole, before the yoke is laid on" }],
      ["yoke-spring-rear", "Yoke spring, rear", "yoke-spring", { acrossMm: -4, restsOn: ["head-plate"], caution: "The yoke springs fly: glasses on, hand cupped.", cautionSays: "spring", orientation: "upright over its hole, before the yoke is laid on" }],
      ["yoke", "Yoke", "yoke", { acrossMm: 8, restsOn: ["jack", "yoke-spring-front", "yoke-spring-rear"], heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear"], orientation: "shoulder to the jack", ...greased("a dab on the shoulders", "it slides") }],
      ["pinion", "Pinion", "pinion", { acrossMm: 8, restsOn: ["yoke"], heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear"], turnsWith: "spool", orientation: "slot to the spool", ...greased("a light film on the teeth", "the bore stays clean and dry"), trap: "Slot facing out, the spool never engages." }],
      ...ringOf("head-plate", "frame", headRing),
    ],
    spool: [
      ["spool", "Spool", "spool", { restsOn: ["frame"], turnsWith: "spool", heldBy: headScrews, orientation: "long shaft end to the pinion" }],
      ["click-gear", "Click gear", "click-gear", { alongMm: 8, ridesOn: "spool", turnsWith: "spool", orientation: "on the tail end" }],
      ["tail-bearing", "Spool bearing, tail", "spool-bearing", { alongMm: 1, ridesOn: "spool", restsOn: ["click-gear"], turnsWith: "spool", oilPort: "under the side adjuster cap", ...oiled("1 small drop", "more only slows it") }],
      ["head-bearing", "Spool bearing, head", "spool-bearing", { alongMm: 55, ridesOn: "spool", turnsWith: "spool", hides: true, ...oiled("1 small drop", "more only slows it") }],
    ],
    tail: [
      ["tail-plate", "Tail plate", "tail-plate", { turnsWith: "frame", orientation: "click button to the rear" }],
      ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -12, restsOn: ["tail-plate"], turnsWith: "frame", heldBy: tailScrews, orientation: "point to the spool", ...greased("a dab", "keeps water off; more quietens it") }],
      ["click-spring", "Click spring", "click-spring", { acrossMm: -12, restsOn: ["click-tongue"], heldBy: tailScrews, caution: "The click spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "one leg each side of the tongue", twoSided: true }],
      ["click-button", "Click button", "click-button", { shutBy: [], acrossMm: -12, passesThrough: ["tail-plate"], restsOn: ["click-tongue"], orientation: "from outside, into the tongue" }],
      ["cap", "Side adjuster cap", "cap", { shutBy: [], restsOn: ["tail-plate"], turnsWith: "frame", orientation: "half a turn open", ...greased("a touch on the thread", "it must turn by hand"), trap: "Backed off before the plates are drawn down, or the shaft ends suffer." }],
      ...ringOf("tail-plate", "frame", tailRing),
    ],
    bridge: [
      ["bridge", "Bridge", "bridge", { turnsWith: "frame", heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"], orientation: "post up", twoSided: true, ...greased("a film on the post", "the sleeve turns on it") }],
      ["gear-sleeve", "Gear sleeve", "gear-sleeve", { stays: true, ridesOn: "bridge", turnsWith: "sleeve", orientation: "flange to the bridge", trap: "It may leave with the spool's shaft: look for it there." }],
      ["sleeve-pin", "Sleeve pin", "sleeve-pin", { stays: true, alongMm: 4, heldBy: ["ratchet"], passesThrough: ["gear-sleeve"], restsOn: ["bridge"], orientation: "flush both ends, threads untouched" }],
      ["ratchet", "Anti-reverse ratchet", "ratchet", { alongMm: 5.5, ridesOn: "gear-sleeve", turnsWith: "sleeve", orientation: "square to the shaft, steep side of the teeth to the dog", twoSided: true, ...oiled("1 drop", "the dog must fall by itself") }],
      ["bridge-screw-low-front", "Bridge screw, low front", "bridge-screw-full", { acrossMm: -14, passesThrough: ["head-plate"], restsOn: ["bridge"], startOrder: 1, hole: "bridge, low front", holeDepthMm: 9, orientation: "first and loose: the dog turns on it", ...threadFilm }],
      ["dog", "Anti-reverse dog", "dog", { acrossMm: 20, restsOn: ["bridge-screw-low-front"], orientation: "on its screw, square nose to the ratchet", ...oiled("1 drop", "it must swing freely"), trap: "Upside down the reel turns both ways, or neither." }],
      ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 20, restsOn: ["dog"], heldBy: othersOfBridge, caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring", orientation: "in the pocket between the dog and the wall", trap: "Over its pocket's edge it is late, and no snap is heard." }],
      ["bridge-screw-top-rear", "Bridge screw, top rear", "bridge-screw-part", { acrossMm: 14, passesThrough: ["head-plate", "yoke-spring-rear"], restsOn: ["bridge"], startOrder: 2, hole: "bridge, top rear", holeDepthMm: 13, ...threadFilm, trap: "Part thread on top: the yoke spring rides on the smooth part." }],
      ["bridge-screw-top-front", "Bridge screw, top front", "bridge-screw-part", { acrossMm: 22, passesThrough: ["head-plate", "yoke-spring-front"], restsOn: ["bridge"], startOrder: 3, hole: "bridge, top front", holeDepthMm: 13, ...threadFilm, trap: "Part thread on top: the yoke spring rides on the smooth part." }],
      ["bridge-screw-low-rear", "Bridge screw, low rear", "bridge-screw-full", { acrossMm: -22, passesThrough: ["head-plate"], restsOn: ["bridge"], startOrder: 4, hole: "bridge, low rear", holeDepthMm: 9, ...threadFilm }],
    ],
    stack: [
      ["under-gear-washer", "Under-gear washer", "gear-washer", { ridesOn: "gear-sleeve", restsOn: ["ratchet"], hides: true }],
      ["main-gear", "Main gear", "main-gear", { ridesOn: "gear-sleeve", restsOn: ["under-gear-washer"], turnsWith: "gear", orientation: "cup up", twoSided: true, ...greased("half round the teeth", "it spreads itself; more is squeezed out") }],
      ...stack.seats,
    ],
    frame: [
      ["frame", "Frame", "frame", { turnsWith: "frame" }],
      ["foot", "Reel foot", "foot", { restsOn: ["frame"], turnsWith: "frame", heldBy: footBetweenPlates, orientation: "long end back, held between the plates" }],
    ],
  },
  gearPairs: [{ wheel: "main-gear", pinion: "pinion", centreMm: 27.3 }],
  variants: [
    ...variants,
    {
      id: "ring",
      name: "Screws of the plates",
      choices: [
        { id: "six", name: "six each: four into the posts, two short ones into the foot" },
        barsAlone("four", "four each into bars, the foot on its own screws", ["top", "front", "rear", "low"]),
        barsAlone("three", "three each into bars, the foot on its own screws", ["top", "front", "rear"]),
        takeApart({
          ring: tailScrews,
          after: "cap",
          number: "129",
          holds: {
            "click-tongue": { heldBy: ["take-apart-screw"] },
            "click-spring": { heldBy: ["take-apart-screw"] },
            foot: { heldBy: footBetweenPlates.filter((id) => !tailScrews.includes(id)) },
          },
          close: {
            id: "close-tail",
            words: "Cap backed off; tail plate into its lugs and a little clockwise until it stops",
            over: ["click-spring", "click-tongue"],
          },
          before: ["spool-in"],
        }),
      ],
    },
    variantOf(stacks, { assembly: "stack", after: "main-gear", carries: "ferrule" }),
    {
      id: "ears",
      name: "Ears of the eared washer",
      choices: [
        { id: "four", name: "four" },
        { id: "two", name: "two", change: { parts: [twoEars("235")] } },
      ],
    },
    variantOf(belowHandle, { assembly: "handle", after: "star", carries: "handle" }),
    withEitherSide(variantOf(tensions, { assembly: "handle", after: "ferrule", carries: "star" }), "handle", {
      shaft: sleeve,
      restsOn: "ferrule",
    }),
    starFace(sleeve, 8.2, { gear: "251", spring: "252", washer: "253" }),
    spoolSupport({
      id: "head-support",
      name: "Spool's head end",
      bearing: "head-bearing",
      plate: { assembly: "head", seat: "head-plate" },
      cap: null,
      bush: { seat: "head-bush", name: "Head bush", number: "136" },
      boreMm: 5,
      reached: "in the plate, the spool out",
      reachedWithout: ["spool"],
    }),
    spoolSupport({
      id: "tail-support",
      name: "Spool's tail end",
      bearing: "tail-bearing",
      plate: { assembly: "tail", seat: "tail-plate" },
      cap: { assembly: "tail", seat: "cap" },
      bush: { seat: "tail-bush", name: "Tail bush", number: "137" },
      boreMm: 5,
      reached: "under the side adjuster cap",
    }),
    variantOf(handleEnds, { assembly: "handle", after: "handle" }),
    variantOf(knobs, { assembly: "handle", after: "handle" }),
  ],
  operations: [
    loaded("Turn the bridge home over the coil, a quarter turn", ["dog-spring"]),
    dogGate(["load-dog"]),
    {
      id: "free-lever",
      kind: "set-state",
      words: "Free-spool lever up, then bring the bridge through the plate",
      after: place("keyed-high", "pinion", "yoke-spring-front", "yoke-spring-rear", "lever"),
      before: place(...bridgeScrews),
    },
    {
      id: "tighten-bridge",
      kind: "tighten",
      words: "Draw the four bridge screws down crosswise, snug",
      after: place(...bridgeScrews),
      tool: "blade 3 mm, as wide as the slot",
    },
    {
      id: "gate-sleeve",
      kind: "gate",
      words: "The sleeve turns forward and not back",
      after: ["tighten-bridge"],
      lookAt: [
        look("Dog spring slipped off its stud while the bridge went in", ["dog-spring"], "left-out"),
        look("Grease on the ratchet holding the dog up", ["ratchet"]),
        look(
          "Bridge screw too long in a low hole: part thread belongs on top",
          ["bridge-screw-low-front", "bridge-screw-low-rear", "bridge-screw-top-front", "bridge-screw-top-rear"],
          "swapped",
        ),
      ],
    },
    {
      id: "gate-lever",
      kind: "gate",
      words: "The free-spool lever throws the yoke up and down, no gap under the plate",
      after: ["tighten-bridge", ...place("lever", "pinion", "yoke", "jack", "eccentric-spring")],
      lookAt: [
        look("Jack: off the eccentric's stud?", ["jack"]),
        look("Yoke springs on the smooth part of their screws?", ["yoke-spring-front", "yoke-spring-rear"], "left-out"),
        look("Pinion: slot to the spool?", ["pinion"], "turned"),
      ],
    },
    closeTail(tailScrews),
    {
      id: "spool-in",
      kind: "press",
      words: "Spool into the frame, tail end first, turning it past the tongue",
      after: place("head-bearing", "tail-bearing", "click-gear", "spool"),
      before: ["close-head"],
    },
    ...closeHead(headScrews),
    {
      id: "gate-spool",
      kind: "gate",
      words: "The spool spins free; side play is barely there",
      after: ["tighten-head"],
      lookAt: [
        look("Cap closed too far: back it off half a turn", ["cap"]),
        look("Plate drawn down skew: ease the screws an eighth", ["tail-plate", "head-plate"]),
        look("Line or a fibre behind the flange", ["spool"]),
        look("A bearing not home in its seat", ["tail-bearing", "head-bearing"], "left-out"),
      ],
    },
    {
      id: "gate-click",
      kind: "gate",
      words: "The click sounds in both directions",
      after: ["tighten-head"],
      lookAt: [
        look("Click spring: a leg each side of the tongue?", ["click-spring"], "left-out"),
        look("Tongue's point worn to a slope?", ["click-tongue"]),
        look("Click gear loose on the shaft?", ["click-gear"]),
      ],
    },
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
        look("Ferrule on the top washer?", ["ferrule"], "left-out"),
      ],
    },
    ...end.operations,
  ],
};

export const starDragBridge = templateOf(starDragBridgeTable);
