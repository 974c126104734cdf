import { knobOn } from "./modules/knob";
import { lineRoller } from "./modules/line-roller";
import { builtAs, variantOf } from "./modules/module";
import { greased, look, mediumOiled, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TableChange, Variant } from "./tables/table";

export const felt = { product: "drag grease", amount: "worked in, wiped off", why: "keeps the felt supple" };
export const coverScrews = ["cover-screw-top", "cover-screw-front", "cover-screw-rear"];
export const tripScrews = ["trip-screw", "trip-cover-screw-front", "trip-cover-screw-rear"];
export const medium = (why: string) => mediumOiled("1 drop", why);
export const gearSides = {
  oilPort: "through the handle's hole, the handle off",
  portBehind: ["handle"],
  ...medium("slow and loaded, water gets in with the handle"),
};

export const rollers = lineRoller(
  "bail-arm",
  "bail arm",
  "left loose until the bail is whole; drawn down at once when only the roller was out",
);
export const [roller] = rollers.builds;

/** The mesh felt once the cover is drawn down. */
export const meshFelt = (screws: readonly string[]) => ({
  id: "gate-mesh",
  kind: "gate" as const,
  words: "Turn the drive gear by hand: even all round, the block runs end to end",
  after: place(...screws),
  lookAt: [
    look("Gear shim missing", ["gear-shim", "gear-shim-second", "gear-shim-third"], "left-out"),
    look("Block's flat side wrong", ["oscillation-block"], "turned"),
    look("Cover drawn down skew", ["side-cover"]),
  ],
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
export const [knob] = knobs.builds;
export const spinningKnob = knob;

/** How open spinning reels differ. Source: common practice. */
// biome-ignore format: one choice a line, read as a table
export const spinningVariants: readonly Variant[] = [
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
          operations: [{ id: "gate-clutch", kind: "gate", words: "The pinion turns one way; the dog catches at every tooth the other way", after: place("dog-spring", "ratchet"), before: place("collar-spring"), lookAt: [look("Dog spring not behind its stud", ["dog-spring"], "left-out"), look("Dog turned over", ["dog"], "turned"), look("Grease holding the dog up", ["dog"])] }],
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
          operations: [{ id: "gate-clutch", kind: "gate", words: "Turn the pinion in: a snap is heard; one way it runs, the other the dog holds", after: place("dog-spring", "ratchet", "pinion"), before: place("side-cover"), lookAt: [look("Dog spring not behind its stud", ["dog-spring"], "left-out"), look("Dog turned over", ["dog"], "turned"), look("Grease holding the dog up", ["dog"])] }],
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
      { id: "plate", name: "a lock plate with its screw", change: { parts: [["lock-plate", "59", "Lock plate", "lock-plate", { kind: "washer", outsideMm: 18, insideMm: 12.2, thicknessMm: 0.6 }, steel, 140]], put: [{ after: "rotor-nut", assembly: "rotor", row: ["lock-plate", "Lock plate", "lock-plate", { restsOn: ["rotor-nut"], orientation: "over the nut's flats" }] }], reseat: { "nut-screw": { restsOn: ["lock-plate"], name: "Lock plate screw" } }, operations: [{ id: "tighten-nut", kind: "tighten", words: "Rotor nut snug, to where the lock plate goes over it: too tight cracks what is below", after: place("rotor-nut"), before: place("lock-plate") }, { id: "gate-rotor", kind: "gate", words: "The pinion stands proud of the rotor and the rotor turns free", after: ["tighten-nut"], before: place("lock-plate"), lookAt: [look("Wide key in the narrow channel", ["rotor"]), look("A washer missing under the rotor", ["rotor-washer", "rotor-collar"], "left-out")] }], batches: [["rotor-nut", "Rotor nut with its lock plate", "nut-bush", "rotor-nut", "lock-plate", "nut-screw"]] } },
      { id: "plain", name: "nothing", change: { drop: ["nut-screw"], freedBy: { rotor: ["rotor-nut"] }, operations: [{ id: "tighten-nut", kind: "tighten", words: "Rotor nut snug: too tight cracks what is below", after: place("rotor-nut") }, { id: "gate-rotor", kind: "gate", words: "The pinion stands proud of the rotor and the rotor turns free", after: ["tighten-nut"], lookAt: [look("Wide key in the narrow channel", ["rotor"]), look("A washer missing under the rotor", ["rotor-washer", "rotor-collar"], "left-out")] }] } },
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
      { id: "trigger", name: "a trigger under a finger", change: { parts: [["trigger", "47", "Bail trigger", "bail-trigger", { kind: "lever", lengthMm: 24, boreMm: 3, thicknessMm: 2.5 }, "plastic", 390], ["trigger-spring", "48", "Trigger spring", "trigger-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 14 }, "spring steel", 120]], put: [{ after: "far-cover", assembly: "bail", row: ["trigger", "Bail trigger", "trigger", { acrossMm: -26, restsOn: ["bail-arm"], oilPort: "at its pivot", ...oiled("1 drop", "it springs back by itself") }] }, { after: "trigger", assembly: "bail", row: ["trigger-spring", "Trigger spring", "trigger-spring", { acrossMm: -26, restsOn: ["trigger"], caution: "The trigger's spring flies: glasses on, a finger over it.", cautionSays: "spring" }] }], operations: [{ id: "gate-bail", kind: "gate", words: "The bail snaps ten times of ten by hand, and again by its trigger", after: [...place("bail-screw", "arm-screw", "trigger-spring")], before: place("spool"), lookAt: [look("Bail spring not on its post", ["bail-spring"], "left-out"), look("Bail wire bent", ["bail-wire"]), look("Trigger spring astray", ["trigger-spring"], "left-out")] }], batches: [["trigger", "Trigger and its spring", "trigger", "trigger-spring"]] } },
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
      { id: "stays", name: "does not come out of this finish: serviced in place, checked that it turns", change: { reseat: { "pinion-bearing": { inPlace: true, stays: true, oilPort: "round its inner ring, the pinion drawn", portBehind: ["pinion"], trap: "Do not drive it: served where it sits and proved turning." } } } },
    ],
  },
];
