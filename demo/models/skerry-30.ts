import type { z } from "zod";
import { type Anatomy, anatomySchema, type PartType, type positionSchema } from "@/core/anatomy/types";

/** The invented model of the demo: a conventional star-drag bridge reel, its sizes chosen so that everything fits everything. */
export const skerry30 = { id: "skerry-30", maker: "Marrowby", name: "Skerry 30", family: "conventional, star drag" };
export const skerry30LineRadiusMm = 24;

const steel = "stainless steel";

const part = (
  id: string,
  number: string,
  name: string,
  role: string,
  shape: PartType["shape"],
  material: string,
  priceMinor: number,
): PartType => ({
  id: `sk-${id}`,
  number: `SK-${number}`,
  name,
  role,
  shape,
  material,
  priceMinor,
});

const screw = (threadMm: number, lengthMm: number, threadedMm = lengthMm): PartType["shape"] => ({
  kind: "screw",
  threadMm,
  lengthMm,
  threadedMm,
  headMm: threadMm * 1.9,
  headHeightMm: threadMm * 0.6,
  drive: "slot",
});

// biome-ignore format: one part a line, read as a table
export const skerry30Parts: PartType[] = [
  part("frame", "101", "Frame, three posts", "frame", { kind: "frame", outsideMm: 62, widthMm: 40, posts: 3 }, "anodised aluminium", 5400),
  part("foot", "102", "Reel foot", "foot", { kind: "foot", lengthMm: 58, widthMm: 16, thicknessMm: 3 }, "chromed brass", 980),
  part("foot-screw", "103", "Foot screw, short", "foot-screw", screw(3, 5), steel, 60),
  part("head-plate", "110", "Head plate", "head-plate", { kind: "plate", outsideMm: 62, thicknessMm: 4, holes: 6 }, "phenolic", 3200),
  part("head-screw", "111", "Plate screw, long", "plate-screw", screw(3, 9), steel, 70),
  part("tail-plate", "120", "Tail plate", "tail-plate", { kind: "plate", outsideMm: 62, thicknessMm: 4, holes: 4 }, "phenolic", 2700),
  part("tail-screw", "121", "Plate screw, medium", "plate-screw", screw(3, 7), steel, 70),
  part("click-tongue", "125", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 14, widthMm: 6, thicknessMm: 1.6 }, "bronze", 310),
  part("click-spring", "126", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 16 }, "spring steel", 190),
  part("click-button", "127", "Click button", "click-button", { kind: "button", outsideMm: 9, stemMm: 3.4, lengthMm: 11 }, "chromed brass", 520),
  part("cap", "128", "Side adjuster cap", "bearing-cap", { kind: "cap", outsideMm: 18, heightMm: 9 }, "chromed brass", 760),
  part("spool", "130", "Spool", "spool", { kind: "spool", flangeMm: 56, arborMm: 24, widthMm: 34, shaftMm: 5, shaftLengthMm: 62 }, "anodised aluminium", 4600),
  part("spool-bearing", "131", "Spool bearing 5 × 11 × 5", "spool-bearing", { kind: "bearing", boreMm: 5, outsideMm: 11, widthMm: 5, closure: "shielded" }, steel, 690),
  part("click-gear", "132", "Click gear", "click-gear", { kind: "ratchet", teeth: 16, outsideMm: 16, boreMm: 5, thicknessMm: 2 }, "brass", 1480),
  part("bridge", "200", "Bridge with post", "bridge", { kind: "bridge", lengthMm: 52, widthMm: 26, thicknessMm: 3, postMm: 5, postLengthMm: 30 }, "brass", 2600),
  part("bridge-screw-part", "201", "Bridge screw, part thread", "bridge-screw", screw(2.5, 12, 5), steel, 80),
  part("bridge-screw-full", "202", "Bridge screw, full thread", "bridge-screw", screw(2.5, 8), steel, 70),
  part("gear-sleeve", "210", "Gear sleeve", "gear-sleeve", { kind: "sleeve", outsideMm: 8, boreMm: 5.05, lengthMm: 34, flangeMm: 12, acrossFlatsMm: 6.4 }, "brass", 1450),
  part("sleeve-pin", "211", "Sleeve pin", "sleeve-pin", { kind: "pin", diameterMm: 1.5, lengthMm: 9 }, steel, 90),
  part("ratchet", "212", "Anti-reverse ratchet", "ratchet", { kind: "ratchet", teeth: 10, outsideMm: 20, boreMm: 8.1, thicknessMm: 2 }, "hardened steel", 640),
  part("dog", "213", "Anti-reverse dog", "dog", { kind: "dog", lengthMm: 17, widthMm: 6, thicknessMm: 2, boreMm: 2.6 }, "hardened steel", 520),
  part("dog-spring", "214", "Dog spring", "dog-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 4, lengthMm: 10, coils: 7 }, "spring steel", 160),
  part("gear-washer", "219", "Under-gear washer", "under-gear-washer", { kind: "washer", outsideMm: 18, insideMm: 8.2, thicknessMm: 0.8 }, "brass", 120),
  part("main-gear", "220", "Main gear, 51 teeth", "main-gear", { kind: "gear", teeth: 51, moduleMm: 0.8, boreMm: 8.1, faceMm: 6, cupMm: 33 }, "bronze", 2890),
  part("pinion", "221", "Pinion, 17 teeth", "pinion", { kind: "pinion", teeth: 17, moduleMm: 0.8, boreMm: 5.1, lengthMm: 18 }, "brass", 1760),
  part("friction-low", "230", "Friction washer, large hole", "friction-washer-low", { kind: "friction-washer", outsideMm: 31, insideMm: 10, thicknessMm: 0.9 }, "carbon", 340),
  part("friction", "231", "Friction washer", "friction-washer", { kind: "friction-washer", outsideMm: 31, insideMm: 8.6, thicknessMm: 0.9 }, "carbon", 320),
  part("keyed", "232", "Keyed drag washer", "keyed-washer", { kind: "keyed-washer", outsideMm: 30, insideMm: 8.2, thicknessMm: 1.2, acrossFlatsMm: 6.5 }, steel, 280),
  part("eared", "233", "Eared drag washer", "eared-washer", { kind: "eared-washer", outsideMm: 29, insideMm: 8.6, thicknessMm: 1.2, ears: 4, earMm: 3.2 }, steel, 310),
  part("ferrule", "240", "Stack ferrule", "stack-ferrule", { kind: "sleeve", outsideMm: 12, boreMm: 8.2, lengthMm: 6 }, "brass", 260),
  part("tension", "241", "Tension washer", "tension-washer", { kind: "cupped-washer", outsideMm: 16, insideMm: 8.2, thicknessMm: 0.8, coneHeightMm: 0.6 }, "spring steel", 140),
  part("star", "250", "Star, five arms", "star", { kind: "star", outsideMm: 44, boreMm: 8.1, arms: 5, hubMm: 14 }, "anodised aluminium", 1190),
  part("handle-spacer", "259", "Handle spacer", "handle-spacer", { kind: "washer", outsideMm: 12, insideMm: 8.2, thicknessMm: 1.5 }, "brass", 110),
  part("handle", "260", "Handle with knob", "handle", { kind: "handle", armMm: 62, knobMm: 19, boreMm: 6.5, thicknessMm: 3 }, steel, 2450),
  part("handle-nut", "261", "Handle nut", "handle-nut", { kind: "nut", acrossFlatsMm: 10, boreMm: 6, heightMm: 5 }, "chromed brass", 390),
  part("lock-screw", "262", "Handle lock screw", "lock-screw", screw(2, 4), steel, 90),
  part("eccentric", "270", "Eccentric", "eccentric", { kind: "eccentric", outsideMm: 15, throwMm: 4, thicknessMm: 2.5, boreMm: 4 }, "brass", 840),
  part("eccentric-spring", "271", "Eccentric spring", "eccentric-spring", { kind: "wire-spring", wireMm: 0.8, lengthMm: 20 }, "spring steel", 180),
  part("lever", "272", "Free-spool lever", "free-spool-lever", { kind: "lever", lengthMm: 22, boreMm: 4, thicknessMm: 2 }, "chromed brass", 930),
  part("jack", "273", "Jack", "jack", { kind: "jack", lengthMm: 24, widthMm: 8, thicknessMm: 1.6 }, "brass", 470),
  part("yoke", "274", "Yoke", "yoke", { kind: "yoke", widthMm: 30, boreMm: 2.8, pinionMm: 10, thicknessMm: 2 }, "brass", 580),
  part("yoke-spring", "275", "Yoke spring", "yoke-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 4.4, lengthMm: 11, coils: 6 }, "spring steel", 130),
];

type Seat = Omit<z.input<typeof positionSchema>, "id" | "assemblyId" | "ordinal" | "name" | "partTypeId">;
const grease = (amount: string, why: string) => ({ product: "reel grease", amount, why });
const screwFilm = { product: "reel grease", amount: "a bead on the thread", why: "a dry thread seizes in salt" };

/** Assemblies outermost first, each with its seats from the base up: that is also how a full strip goes, top of the axis first. */
// biome-ignore format: one seat a line, read as a table
const seats: Record<string, [id: string, name: string, partTypeId: string, seat: Seat][]> = {
  handle: [
    ["ferrule", "Stack ferrule", "ferrule", { ridesOn: "gear-sleeve", restsOn: ["keyed-high"], passesThrough: ["head-plate"], turnsWith: "sleeve", hides: true, orientation: "wide end down on the top washer" }],
    ["tension-lower", "Tension washer, lower", "tension", { ridesOn: "gear-sleeve", restsOn: ["ferrule"], turnsWith: "sleeve", turned: true, orientation: "cup up", trap: "Nested with the upper one it is four times as stiff: the star jumps from loose to locked." }],
    ["tension-upper", "Tension washer, upper", "tension", { ridesOn: "gear-sleeve", restsOn: ["tension-lower"], turnsWith: "sleeve", orientation: "cup down, facing the lower one, a slit of light between", trap: "The two must face each other, not lie in one another." }],
    ["star", "Star", "star", { ridesOn: "gear-sleeve", restsOn: ["tension-upper"], turnsWith: "sleeve", orientation: "flat side out", lubricant: grease("a touch on the thread", "it turns under load"), trap: "Start it by hand: a crossed thread here ends the sleeve." }],
    ["handle-spacer", "Handle spacer", "handle-spacer", { ridesOn: "gear-sleeve", restsOn: ["star"], hides: true, orientation: "flat", trap: "Without it the handle nut locks the drag." }],
    ["handle", "Handle", "handle", { ridesOn: "gear-sleeve", restsOn: ["handle-spacer"], turnsWith: "handle", hole: "the one the customer had", orientation: "as found: short or long hole", trap: "Press the stack down before the nut goes on." }],
    ["handle-nut", "Handle nut", "handle-nut", { restsOn: ["handle"], turnsWith: "handle", orientation: "flat to the lock screw's hole", lubricant: grease("a film", "salt sits here first") }],
    ["lock-screw", "Handle lock screw", "lock-screw", { acrossMm: 8, restsOn: ["handle-nut"], hole: "in the handle, beside the nut", orientation: "slot out", lubricant: grease("plenty", "a dry one ends with a drill and a new handle") }],
  ],
  head: [
    ["head-plate", "Head plate", "head-plate", { turnsWith: "frame", orientation: "name level with the foot" }],
    ["eccentric", "Eccentric", "eccentric", { acrossMm: -16, restsOn: ["head-plate"], orientation: "stud towards the yoke", lubricant: { product: "light oil", amount: "1 drop behind it", why: "grease here gums the lever" } }],
    ["eccentric-spring", "Eccentric spring", "eccentric-spring", { acrossMm: -16, restsOn: ["eccentric"], caution: "The eccentric spring flies: glasses on, a finger over it.", orientation: "long leg to the plate's rim", trap: "A proud end hooks the jack." }],
    ["lever", "Free-spool lever", "lever", { acrossMm: -16, passesThrough: ["head-plate"], restsOn: ["eccentric"], orientation: "up is free" }],
    ["jack", "Jack", "jack", { acrossMm: -4, restsOn: ["eccentric-spring"], orientation: "hole on the eccentric's stud", lubricant: grease("a dab", "it slides"), trap: "Off its stud the reel will not engage." }],
    ["yoke", "Yoke", "yoke", { acrossMm: 8, restsOn: ["jack"], heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear"], orientation: "shoulder to the jack", lubricant: grease("a dab on the shoulders", "it slides") }],
    ["pinion", "Pinion", "pinion", { acrossMm: 8, restsOn: ["yoke"], heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear"], turnsWith: "spool", orientation: "slot to the spool", lubricant: grease("a light film on the teeth", "the bore stays clean and dry"), trap: "Slot facing out, the spool never engages." }],
    ["yoke-spring-front", "Yoke spring, front", "yoke-spring", { acrossMm: 20, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on, hand cupped.", orientation: "upright on the yoke's ear" }],
    ["yoke-spring-rear", "Yoke spring, rear", "yoke-spring", { acrossMm: -4, restsOn: ["yoke"], caution: "The yoke springs fly: glasses on, hand cupped.", orientation: "upright on the yoke's ear" }],
    ["head-screw-top", "Head plate screw, top", "head-screw", { acrossMm: 26, passesThrough: ["head-plate"], restsOn: ["frame"], hole: "post 1, top", lubricant: screwFilm, trap: "Long ones here, into the posts." }],
    ["head-screw-front", "Head plate screw, front", "head-screw", { acrossMm: 0, passesThrough: ["head-plate"], restsOn: ["frame"], hole: "post 2, front", lubricant: screwFilm }],
    ["head-screw-rear", "Head plate screw, rear", "head-screw", { acrossMm: -26, passesThrough: ["head-plate"], restsOn: ["frame"], hole: "post 3, rear", lubricant: screwFilm }],
  ],
  spool: [
    ["spool", "Spool", "spool", { restsOn: ["frame"], turnsWith: "spool", heldBy: ["head-screw-top", "head-screw-front", "head-screw-rear"], orientation: "long shaft end to the pinion" }],
    ["click-gear", "Click gear", "click-gear", { alongMm: 8, ridesOn: "spool", turnsWith: "spool", orientation: "on the tail end" }],
    ["tail-bearing", "Spool bearing, tail", "spool-bearing", { alongMm: 1, ridesOn: "spool", restsOn: ["click-gear"], turnsWith: "spool", lubricant: { product: "light oil", amount: "1 small drop", why: "more only slows it" } }],
    ["head-bearing", "Spool bearing, head", "spool-bearing", { alongMm: 55, ridesOn: "spool", turnsWith: "spool", hides: true, lubricant: { product: "light oil", amount: "1 small drop", why: "more only slows it" } }],
  ],
  tail: [
    ["tail-plate", "Tail plate", "tail-plate", { turnsWith: "frame", orientation: "click button to the rear" }],
    ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -12, restsOn: ["tail-plate"], turnsWith: "frame", heldBy: ["tail-screw-top", "tail-screw-front", "tail-screw-rear"], orientation: "point to the spool", lubricant: grease("a dab", "keeps salt off; more quietens it") }],
    ["click-spring", "Click spring", "click-spring", { acrossMm: -12, restsOn: ["click-tongue"], heldBy: ["tail-screw-top", "tail-screw-front", "tail-screw-rear"], caution: "The click spring flies: glasses on, a finger over it.", orientation: "one leg each side of the tongue" }],
    ["click-button", "Click button", "click-button", { acrossMm: -12, passesThrough: ["tail-plate"], restsOn: ["click-tongue"], orientation: "from outside, into the tongue" }],
    ["cap", "Side adjuster cap", "cap", { restsOn: ["tail-plate"], turnsWith: "frame", orientation: "half a turn open", lubricant: grease("a touch on the thread", "it must turn by hand"), trap: "Backed off before the plates are drawn down, or the shaft ends suffer." }],
    ["tail-screw-top", "Tail plate screw, top", "tail-screw", { acrossMm: 26, passesThrough: ["tail-plate"], restsOn: ["frame"], hole: "post 1, top", lubricant: screwFilm }],
    ["tail-screw-front", "Tail plate screw, front", "tail-screw", { acrossMm: 6, passesThrough: ["tail-plate"], restsOn: ["frame"], hole: "post 2, front", lubricant: screwFilm }],
    ["tail-screw-rear", "Tail plate screw, rear", "tail-screw", { acrossMm: -26, passesThrough: ["tail-plate"], restsOn: ["frame"], hole: "post 3, rear", lubricant: screwFilm }],
  ],
  bridge: [
    ["bridge", "Bridge", "bridge", { turnsWith: "frame", heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"], orientation: "post up", lubricant: grease("a film on the post", "the sleeve turns on it") }],
    ["gear-sleeve", "Gear sleeve", "gear-sleeve", { ridesOn: "bridge", turnsWith: "sleeve", orientation: "flange to the bridge", trap: "It may leave with the spool's shaft: look for it there." }],
    ["sleeve-pin", "Sleeve pin", "sleeve-pin", { alongMm: 4, heldBy: ["ratchet"], passesThrough: ["gear-sleeve"], restsOn: ["bridge"], orientation: "flush both ends, threads untouched" }],
    ["ratchet", "Anti-reverse ratchet", "ratchet", { alongMm: 5.5, ridesOn: "gear-sleeve", turnsWith: "sleeve", orientation: "steep side of the teeth to the dog", lubricant: { product: "light oil", amount: "1 drop", why: "the dog must fall by itself" } }],
    ["dog", "Anti-reverse dog", "dog", { acrossMm: 20, restsOn: ["bridge"], orientation: "square nose to the ratchet", lubricant: { product: "light oil", amount: "1 drop", why: "it must swing freely" }, trap: "Upside down the reel turns both ways, or neither." }],
    ["dog-spring", "Dog spring", "dog-spring", { acrossMm: 20, restsOn: ["dog"], caution: "The dog spring flies: glasses on, cup the hand over it.", orientation: "behind its stud", trap: "Not behind its stud it holds for a day." }],
    ["bridge-screw-top-front", "Bridge screw, top front", "bridge-screw-part", { acrossMm: 22, passesThrough: ["head-plate", "yoke-spring-front"], restsOn: ["bridge"], hole: "bridge, top front", lubricant: screwFilm, trap: "Part thread on top: the yoke spring rides on the smooth part." }],
    ["bridge-screw-top-rear", "Bridge screw, top rear", "bridge-screw-part", { acrossMm: 14, passesThrough: ["head-plate", "yoke-spring-rear"], restsOn: ["bridge"], hole: "bridge, top rear", lubricant: screwFilm, trap: "Part thread on top: the yoke spring rides on the smooth part." }],
    ["bridge-screw-low-front", "Bridge screw, low front", "bridge-screw-full", { acrossMm: -14, passesThrough: ["head-plate"], restsOn: ["bridge"], hole: "bridge, low front", lubricant: screwFilm }],
    ["bridge-screw-low-rear", "Bridge screw, low rear", "bridge-screw-full", { acrossMm: -22, passesThrough: ["head-plate"], restsOn: ["bridge"], hole: "bridge, low rear", lubricant: screwFilm }],
  ],
  stack: [
    ["under-gear-washer", "Under-gear washer", "gear-washer", { ridesOn: "gear-sleeve", restsOn: ["ratchet", "dog-spring"], hides: true }],
    ["main-gear", "Main gear", "main-gear", { ridesOn: "gear-sleeve", restsOn: ["under-gear-washer"], turnsWith: "gear", orientation: "cup up", lubricant: grease("half round the teeth", "it spreads itself; more is squeezed out") }],
    ["friction-low", "Friction washer, low", "friction-low", { ridesOn: "gear-sleeve", restsOn: ["main-gear"], orientation: "the one with the larger hole", lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "smooth start; leave dry if the customer wants most pull" } }],
    ["keyed-low", "Keyed washer, low", "keyed", { ridesOn: "gear-sleeve", restsOn: ["friction-low"], turnsWith: "sleeve", orientation: "flats on the sleeve's flats", trap: "Keyed low and high, the eared one between: swapped, the stack does not slip where it should." }],
    ["friction-mid", "Friction washer, middle", "friction", { ridesOn: "gear-sleeve", restsOn: ["keyed-low"], lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "as the low one" } }],
    ["eared", "Eared washer", "eared", { ridesOn: "gear-sleeve", restsOn: ["friction-mid"], turnsWith: "gear", orientation: "ears in the gear's slots" }],
    ["friction-high", "Friction washer, high", "friction", { ridesOn: "gear-sleeve", restsOn: ["eared"], hides: true, lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "as the low one" }, trap: "It clings to the washer above and is left out." }],
    ["keyed-high", "Keyed washer, high", "keyed", { ridesOn: "gear-sleeve", restsOn: ["friction-high"], turnsWith: "sleeve", heldBy: ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"], orientation: "flats on the sleeve's flats, closes the stack" }],
  ],
  frame: [
    ["frame", "Frame", "frame", { turnsWith: "frame" }],
    ["foot", "Reel foot", "foot", { restsOn: ["frame"], turnsWith: "frame", heldBy: ["foot-screw-front", "foot-screw-rear"], orientation: "long end back" }],
    ["foot-screw-front", "Foot screw, front", "foot-screw", { acrossMm: 9, restsOn: ["foot"], hole: "foot, front", lubricant: screwFilm, trap: "Short ones here: a long screw goes through the frame." }],
    ["foot-screw-rear", "Foot screw, rear", "foot-screw", { acrossMm: -9, restsOn: ["foot"], hole: "foot, rear", lubricant: screwFilm, trap: "Short ones here: a long screw goes through the frame." }],
  ],
};

const place = (...ids: string[]) => ids.map((id) => `place-${id}`);
const bridgeScrews = ["bridge-screw-top-front", "bridge-screw-top-rear", "bridge-screw-low-front", "bridge-screw-low-rear"];
const headScrews = ["head-screw-top", "head-screw-front", "head-screw-rear"];
const tailScrews = ["tail-screw-top", "tail-screw-front", "tail-screw-rear"];

const anatomy: z.input<typeof anatomySchema> = {
  assemblies: [
    { id: "handle", name: "Handle and star", side: "handle" },
    { id: "head", name: "Head plate, yoke and free spool", side: "handle" },
    { id: "spool", name: "Spool", side: "frame" },
    { id: "tail", name: "Tail plate and click", side: "tail" },
    { id: "bridge", name: "Bridge and anti-reverse", side: "handle" },
    { id: "stack", name: "Gear and drag stack", side: "handle" },
    { id: "frame", name: "Frame and foot", side: "frame" },
  ],
  positions: Object.entries(seats).flatMap(([assemblyId, list]) =>
    list.map(([id, name, partTypeId, seat], ordinal) => ({ id, assemblyId, ordinal, name, partTypeId: `sk-${partTypeId}`, ...seat })),
  ),
  operations: [
    {
      id: "gate-dog",
      kind: "gate",
      words: "Turn the sleeve by hand: the dog clicks and holds",
      after: place("dog-spring", "ratchet"),
      before: place("under-gear-washer"),
      lookAt: [
        "Dog spring: is it behind its stud?",
        "Dog: square nose to the ratchet, not upside down?",
        "Ratchet: steep side of the teeth to the dog?",
      ],
    },
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
        "Dog spring slipped off its stud while the bridge went in",
        "Grease on the ratchet holding the dog up",
        "Bridge screw too long in a low hole: part thread belongs on top",
      ],
    },
    {
      id: "gate-lever",
      kind: "gate",
      words: "The free-spool lever throws the yoke up and down, no gap under the plate",
      after: ["tighten-bridge"],
      lookAt: ["Jack: off the eccentric's stud?", "Yoke springs on the smooth part of their screws?", "Pinion: slot to the spool?"],
    },
    {
      id: "tighten-tail",
      kind: "tighten",
      words: "Tail plate screws: first bite, then crosswise an eighth at a time",
      after: place(...tailScrews, "click-spring", "click-tongue"),
      before: ["spool-in"],
      tool: "blade 4 mm",
    },
    {
      id: "spool-in",
      kind: "press",
      words: "Spool into the frame, tail end first, turning it past the tongue",
      after: place("head-bearing", "tail-bearing", "click-gear", "spool"),
      before: ["close-head"],
    },
    {
      id: "close-head",
      kind: "press",
      words: "Close the head plate onto the frame, lever free: no gap all round",
      after: ["gate-sleeve", "gate-lever", "spool-in"],
      before: place(...headScrews),
    },
    {
      id: "tighten-head",
      kind: "tighten",
      words: "Head plate screws: first bite, then crosswise an eighth at a time",
      after: place(...headScrews),
      tool: "blade 4 mm",
    },
    {
      id: "gate-spool",
      kind: "gate",
      words: "The spool spins free; side play is barely there",
      after: ["tighten-head"],
      lookAt: [
        "Cap closed too far: back it off half a turn",
        "Plate drawn down skew: ease the screws an eighth",
        "Line or a fibre behind the flange",
        "A bearing not home in its seat",
      ],
    },
    {
      id: "gate-click",
      kind: "gate",
      words: "The click speaks both ways",
      after: ["tighten-head"],
      lookAt: ["Click spring: a leg each side of the tongue?", "Tongue's point worn to a slope?", "Click gear loose on the shaft?"],
    },
    {
      id: "gate-star",
      kind: "gate",
      words: "The star takes the drag from free to locked over half a turn or more",
      after: place("star"),
      before: place("handle-spacer"),
      lookAt: [
        "Tension washers: do they face each other?",
        "Keyed washers low and high, the eared one between?",
        "Ferrule on the top washer?",
      ],
    },
    {
      id: "tighten-nut",
      kind: "tighten",
      words: "Handle nut firm, then on to the next flat at the lock screw",
      after: place("handle-nut"),
      before: place("lock-screw"),
      tool: "reel wrench, 10 mm",
    },
    {
      id: "gate-handle",
      kind: "gate",
      words: "With the nut tight the star still moves",
      after: ["tighten-nut"],
      before: place("lock-screw"),
      lookAt: ["Handle spacer missing?", "Stack not pressed down before the nut?", "Star cross-threaded?"],
    },
  ],
};

export const skerry30Anatomy: Anatomy = anatomySchema.parse(anatomy);
