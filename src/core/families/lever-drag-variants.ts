import { type RingScrew, ringChoice } from "./modules/ring";
import { greased, look, oiled, place, screw, sealGreased, steel, threadFilm } from "./tables/rows";
import type { Seat, SeatRow, TableChange, Variant } from "./tables/table";

const plateScrew = { part: "plate-screw", holeDepthMm: 11.5 };
const shortScrew = { part: "plate-screw-short", holeDepthMm: 7 };
const longScrew = { part: "plate-screw-long", holeDepthMm: 17 };
const at = (id: string, acrossMm: number, hole: string, kind: Pick<RingScrew, "part" | "holeDepthMm">): RingScrew => ({
  id: `plate-screw-${id}`,
  name: `Plate screw, ${id.replace("-", " ")}`,
  acrossMm,
  hole,
  ...kind,
});

/** The ring of a small one-piece reel: three alike. */
export const plateRing: readonly RingScrew[] = [
  at("top", 30, "frame, top", plateScrew),
  at("front", 0, "frame, front", plateScrew),
  at("rear", -30, "frame, rear", plateScrew),
];
const five = [...plateRing, at("low-front", 15, "frame, low front", plateScrew), at("low-rear", -15, "frame, low rear", plateScrew)];
const six = [
  at("top", 30, "post, top", longScrew),
  at("front", 0, "post, front", longScrew),
  at("rear", -30, "anchor, rear", longScrew),
  at("foot-front", 18, "foot, front", shortScrew),
  at("foot-middle", -6, "foot, middle", shortScrew),
  at("foot-rear", -18, "foot, rear", shortScrew),
];
const seven = [...five, at("anchor-front", 22, "anchor, front", plateScrew), at("anchor-rear", -22, "anchor, rear", plateScrew)];

export const idsOf = (screws: readonly RingScrew[]): string[] => screws.map(({ id }) => id);

/** The plate closed: free, started, tried both ways, then drawn down. */
export const closePlate = (screws: readonly string[]): NonNullable<TableChange["operations"]> => [
  {
    id: "lever-free",
    kind: "set-state",
    words: "Lever at free, then close the head plate: no gap all round",
    after: ["spool-in", ...place("pinion")],
    before: place(...screws),
  },
  {
    id: "gate-reverse",
    kind: "gate",
    words: "Screws only begun, turn the shaft: forward it runs, back it holds",
    after: place(...screws),
    before: ["tighten-plate"],
    lookAt: [
      look("Dog upside down or its spring astray: the plate comes off again now", ["dog", "dog-spring", "ratchet"], "turned", "left-out"),
      look("Gear's plain side on the pinion", ["main-gear"], "turned"),
      look("Pinion upside down", ["pinion"], "turned"),
    ],
  },
  {
    id: "tighten-plate",
    kind: "tighten",
    words: "Plate screws: start each one, then tighten crosswise 1/8 turn at a time",
    after: place(...screws),
    before: place("lever-washer-plastic"),
  },
];

const ringOfPlate = (id: string, name: string, screws: readonly RingScrew[]) =>
  ringChoice(
    id,
    name,
    { assembly: "head", after: "pinion", plate: "head-plate", onto: "frame", holds: ["spool"], operations: closePlate(idsOf(screws)) },
    plateRing,
    screws,
    [
      ["plate-screw-short", "35", "Plate screw, short, into the foot", "plate-screw", screw(3, 6), steel, 80],
      ["plate-screw-long", "36", "Plate screw, long, into the post", "plate-screw", screw(3, 16), steel, 90],
    ],
  );

const quadrantScrews = ["quadrant-screw-front", "quadrant-screw-middle", "quadrant-screw-rear"];
const clickSeats = ["click-tongue", "click-spring", "click-washer", "click-button", "click-clip"];
/** What the click is behind: the spool, or the plate it stands in. */
const behindPlate = { shutBy: ["head-plate"] };
const clickBehindPlate = Object.fromEntries(clickSeats.map((seat) => [seat, behindPlate]));

/** A washer under the tongue too, and one under the button: both counts are normal. */
const clickWashers = (on: "frame" | "head-plate"): TableChange => ({
  put: [
    {
      after: "tail-bearing",
      assembly: "tail",
      row: [
        "click-washer-below",
        "Click washer, below",
        "click-washer",
        { acrossMm: -16, restsOn: [on], hides: true, orientation: "under the tongue, on the post", ...(on === "frame" ? {} : behindPlate) },
      ],
    },
    {
      after: "click-washer",
      assembly: "tail",
      row: [
        "click-washer-button",
        "Click washer, under the button",
        "click-washer",
        {
          acrossMm: -16,
          restsOn: ["click-washer"],
          hides: true,
          orientation: "plastic alone, or metal and plastic",
          ...(on === "frame" ? {} : behindPlate),
        },
      ],
    },
  ],
  reseat: {
    "click-tongue": { restsOn: ["click-washer-below"] },
    "click-washer": { name: "Click washer, above" },
    "click-button": { restsOn: ["click-spring", "click-washer-button"] },
  },
  batches: [
    [
      "click",
      "Click",
      "click-washer-below",
      "click-tongue",
      "click-spring",
      "click-washer",
      "click-washer-button",
      "click-button",
      "click-clip",
    ],
  ],
});
const headClick: NonNullable<TableChange["operations"]> = [
  { id: "click-in", kind: "set-state", words: "Click off while the plate is closed", after: place("click-clip"), before: ["lever-free"] },
  {
    id: "spool-in",
    kind: "press",
    words: "Spool and shaft into the frame, tail end first",
    after: place("cupped-upper", "cross-pin", "tail-bearing", "spool-bearing-tail", "click-gear"),
    before: ["lever-free"],
  },
];
const withWashers = clickWashers("head-plate");
const mergedSeats = (all: Readonly<Record<string, Seat>>, some: NonNullable<TableChange["reseat"]>): NonNullable<TableChange["reseat"]> =>
  Object.fromEntries([...new Set([...Object.keys(all), ...Object.keys(some)])].map((seat) => [seat, { ...all[seat], ...some[seat] }]));

/** Where the click stands, and how many washers lie on its post. */
export const leverClick: Variant = {
  id: "click",
  name: "Click",
  choices: [
    { id: "tail", name: "in the tail plate, behind the spool" },
    { id: "tail-washers", name: "in the tail plate, washers below the tongue and under the button", change: clickWashers("frame") },
    {
      id: "head",
      name: "in the head plate, within reach once it is off",
      change: { reseat: { ...clickBehindPlate, "click-tongue": { restsOn: ["head-plate"], ...behindPlate } }, operations: headClick },
    },
    {
      id: "head-washers",
      name: "in the head plate, washers below the tongue and under the button",
      change: { ...withWashers, reseat: mergedSeats(clickBehindPlate, withWashers.reseat!), operations: headClick },
    },
  ],
};

const spring = (id: string, caution: string, restsOn: string[], acrossMm: number): SeatRow => [
  id,
  "Pin spring",
  "pin-spring",
  { acrossMm, restsOn, caution, cautionSays: "spring" },
];
const pinFlies = "The pins jump on their springs: glasses on, a finger over them.";

/** How lever drags differ beside handle and knob. Source: common practice; what is inferred is only a preset. */
// biome-ignore format: one choice a line, read as a table
export const leverVariants: readonly Variant[] = [
  {
    id: "ring",
    name: "Screws of the head plate",
    choices: [
      { id: "three", name: "three alike, a small one-piece frame" },
      ringOfPlate("five", "five alike", five),
      ringOfPlate("six", "six: three short into the foot, three long into posts and anchor", six),
      ringOfPlate("seven", "seven alike", seven),
    ],
  },
  {
    id: "quadrant-screws",
    name: "Screws of the quadrant",
    choices: [
      { id: "short-middle", name: "three, the middle one short" },
      { id: "flat-middle", name: "a flat head between two raised ones with plastic ends", change: { parts: [["quadrant-screw-flat", "37", "Quadrant screw, flat head", "quadrant-screw", screw(2.5, 6), steel, 80], ["quadrant-screw-raised", "38", "Quadrant screw, raised head, plastic end", "quadrant-screw", screw(2.5, 9), "plastic-tipped steel", 120]], reseat: { "quadrant-screw-middle": { part: "quadrant-screw-flat", orientation: "the flat head, between the raised ones", trap: "A raised head here stops the lever." }, "quadrant-screw-front": { part: "quadrant-screw-raised" }, "quadrant-screw-rear": { part: "quadrant-screw-raised" } } } },
      { id: "three-lengths", name: "three lengths: a light one, one short into the wall, one very long into the post", change: { parts: [["quadrant-screw-wall", "30", "Quadrant screw, short, into the wall", "quadrant-screw", screw(2.5, 7), steel, 80], ["quadrant-screw-post", "39", "Quadrant screw, very long, into the post", "quadrant-screw", screw(2.5, 18), steel, 110]], reseat: { "quadrant-screw-middle": { stripsEasily: true, trap: "The light one: it strips." }, "quadrant-screw-front": { part: "quadrant-screw-wall", hole: "quadrant, front, into the frame's wall", holeDepthMm: 8, trap: "The very long one here comes out behind." }, "quadrant-screw-rear": { part: "quadrant-screw-post", hole: "quadrant, rear, into the post", holeDepthMm: 19 } } } },
      { id: "two", name: "two", change: { drop: ["quadrant-screw-middle"], operations: [{ id: "tighten-quadrant", kind: "tighten", words: "Quadrant screws, a little at a time", after: place("quadrant-screw-front", "quadrant-screw-rear"), before: place("cam") }] } },
    ],
  },
  {
    id: "back-stop",
    name: "Back-stop",
    choices: [
      { id: "dog", name: "a dog under the gear" },
      { id: "dog-last", name: "a dog over the gear, its square on the gear's", change: { move: [{ seat: "dog", after: "main-gear" }, { seat: "dog-spring", after: "dog" }], reseat: { dog: { restsOn: ["head-plate", "main-gear"], orientation: "last, its square over the gear's" }, "main-gear": { restsOn: ["ratchet"] } }, operations: [{ id: "gate-dog", kind: "gate", words: "All gears in, turn the gear shaft: the dog clicks and holds", after: place("dog-spring", "ratchet"), before: ["lever-free"], lookAt: [look("Dog spring behind its stud?", ["dog-spring"], "left-out"), look("Dog upside down?", ["dog"], "turned")] }] } },
      {
        id: "pins",
        name: "two pins, each on its spring",
        change: {
          parts: [["stop-pin", "50", "Stop pin", "dog", { kind: "pin", diameterMm: 3, lengthMm: 8 }, "hardened steel", 240], ["pin-spring", "51", "Pin spring", "dog-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 2.8, lengthMm: 8, coils: 7 }, "spring steel", 90]],
          drop: ["dog", "dog-spring"],
          put: [
            { after: "ratchet", assembly: "head", row: spring("pin-spring-front", pinFlies, ["head-plate"], 8) },
            { after: "pin-spring-front", assembly: "head", row: ["stop-pin-front", "Stop pin, front", "stop-pin", { acrossMm: 8, restsOn: ["pin-spring-front"], orientation: "in its recess, sloped end to the teeth", twoSided: true, ...greased("a little in the recess", "it must jump back") }] },
            { after: "stop-pin-front", assembly: "head", row: spring("pin-spring-rear", pinFlies, ["head-plate"], -24) },
            { after: "pin-spring-rear", assembly: "head", row: ["stop-pin-rear", "Stop pin, rear", "stop-pin", { acrossMm: -24, restsOn: ["pin-spring-rear"], orientation: "in its recess, sloped end to the teeth", twoSided: true, ...greased("a little in the recess", "it must jump back") }] },
          ],
          reseat: { "main-gear": { restsOn: ["ratchet", "stop-pin-front", "stop-pin-rear"] } },
          operations: [{ id: "gate-dog", kind: "gate", words: "Turn the gear shaft: both pins are heard to click and hold, before the spool hides them", after: place("stop-pin-front", "stop-pin-rear", "ratchet"), before: place("main-gear"), lookAt: [look("A pin turned over", ["stop-pin-front", "stop-pin-rear"], "turned"), look("A spring left out", ["pin-spring-front", "pin-spring-rear"], "left-out"), look("Grease packed in a recess", ["stop-pin-front", "stop-pin-rear"])] }],
          batches: [["dog", "Ratchet, pins and springs", "ratchet", "pin-spring-front", "stop-pin-front", "pin-spring-rear", "stop-pin-rear"]],
        },
      },
    ],
  },
  {
    id: "far-end",
    name: "The spool's far end",
    choices: [
      { id: "plain", name: "a bearing in the wall" },
      {
        id: "cover",
        name: "under an end cover with two tiny screws, copper washers and a clip",
        change: {
          parts: [
            ["end-cover", "71", "End cover", "end-cover", { kind: "cap", outsideMm: 20, heightMm: 3 }, "anodised aluminium", 690],
            ["end-cover-screw", "72", "End cover screw, tiny", "end-cover-screw", screw(1.6, 4), steel, 60],
            ["copper-washer", "73", "Copper washer, thin", "shim", { kind: "washer", outsideMm: 10, insideMm: 6.1, thicknessMm: 0.3 }, "copper", 60],
            ["end-clip", "74", "Shaft end clip", "clip", { kind: "clip", outsideMm: 8, wireMm: 0.8, form: "C" }, "spring steel", 60],
          ],
          put: [
            { after: "tail-bearing", assembly: "tail", row: ["copper-inner", "Copper washer, on the bearing", "copper-washer", { shutBy: [], restsOn: ["tail-bearing"], hides: true }] },
            { after: "copper-inner", assembly: "tail", row: ["end-clip", "Shaft end clip", "end-clip", { shutBy: [], restsOn: ["copper-inner"], caution: "The clip flies: a finger over it before the blade goes in.", cautionSays: "spring", orientation: "sits all round its groove" }] },
            { after: "end-clip", assembly: "tail", row: ["copper-outer", "Copper washer, in the cover", "copper-washer", { shutBy: [], restsOn: ["end-clip"], hides: true, trap: "It clings inside the cover: count." }] },
            { after: "copper-outer", assembly: "tail", row: ["end-cover", "End cover", "end-cover", { shutBy: [], restsOn: ["copper-outer"], heldBy: ["end-cover-screw-front", "end-cover-screw-rear"] }] },
            { after: "end-cover", assembly: "tail", row: ["end-cover-screw-front", "End cover screw, front", "end-cover-screw", { shutBy: [], acrossMm: 8, restsOn: ["end-cover"], hole: "wall, end cover, front", holeDepthMm: 5, tightness: "finger", ...threadFilm }] },
            { after: "end-cover-screw-front", assembly: "tail", row: ["end-cover-screw-rear", "End cover screw, rear", "end-cover-screw", { shutBy: [], acrossMm: -8, restsOn: ["end-cover"], hole: "wall, end cover, rear", holeDepthMm: 5, tightness: "finger", ...threadFilm }] },
          ],
          reseat: { "tail-bearing": { shutBy: [] } },
          batches: [["end-cover", "End cover with its screws", "copper-outer", "end-cover", "end-cover-screw-front", "end-cover-screw-rear"], ["end-clip", "Shaft end clip and its washer", "copper-inner", "end-clip"]],
        },
      },
    ],
  },
  {
    id: "drag",
    name: "Drag",
    choices: [
      { id: "one", name: "one face" },
      {
        id: "twin",
        name: "twin: a washer at either end of the spool",
        change: {
          parts: [["pressure-plate-tail", "75", "Pressure plate, tail", "pressure-plate", { kind: "plate", outsideMm: 58, thicknessMm: 3.5, holes: 3 }, steel, 3300]],
          put: [
            { after: "spool-bearing-tail", assembly: "spool", row: ["drag-washer-tail", "Drag washer, tail", "drag-washer", { restsOn: ["spool-bearing-tail"], turnsWith: "spool", lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why: "as the other" } }] },
            { after: "drag-washer-tail", assembly: "spool", row: ["pressure-plate-tail", "Pressure plate, tail", "pressure-plate-tail", { restsOn: ["drag-washer-tail"], turnsWith: "sleeve", hides: true }] },
          ],
          reseat: { shaft: { restsOn: ["pressure-plate-tail"] } },
          batches: [["drag-tail", "Drag washer and plate, tail", "drag-washer-tail", "pressure-plate-tail"]],
        },
      },
      {
        id: "sealed",
        name: "one face, sealed by a ring in its cap",
        change: {
          parts: [["drag-seal", "76", "Drag seal ring", "o-ring", { kind: "o-ring", outsideMm: 58, sectionMm: 1.5 }, "rubber", 190]],
          put: [{ after: "preload-spring", assembly: "spool", row: ["drag-seal", "Drag seal ring", "drag-seal", { restsOn: ["pressure-plate"], orientation: "flat in its groove, not twisted", ...sealGreased("it keeps water off the washer") }] }],
          reseat: { "drag-cap": { restsOn: ["preload-spring", "drag-seal"] } },
          batches: [["drag", "Drag from cap to washer", "drag-washer", "pressure-plate", "plate-bearing", "preload-spring", "drag-seal", "drag-cap"]],
        },
      },
    ],
  },
  {
    id: "speeds",
    name: "Speeds",
    choices: [
      { id: "one", name: "one" },
      {
        id: "two",
        name: "two, changed by a button in the handle's end",
        change: {
          parts: [
            ["main-gear-low", "52", "Low gear, 38 teeth", "main-gear", { kind: "gear", teeth: 38, moduleMm: 0.8, boreMm: 8.1, faceMm: 5 }, "stainless steel", 4600],
            ["pinion-low", "53", "Low pinion, 26 teeth", "pinion", { kind: "pinion", teeth: 26, moduleMm: 0.8, boreMm: 6.1, lengthMm: 6 }, "stainless steel", 2900],
            ["shift-key", "54", "Shift key", "shift-key", { kind: "slider", lengthMm: 10, widthMm: 4, thicknessMm: 3 }, "hardened steel", 390],
            ["shift-spring", "55", "Shift spring", "shift-spring", { kind: "coil-spring", wireMm: 0.4, outsideMm: 4, lengthMm: 14, coils: 9 }, "spring steel", 140],
            ["shift-button", "56", "Shift button", "shift-button", { kind: "button", outsideMm: 6, stemMm: 4, lengthMm: 20 }, steel, 690],
            ["shift-clip", "57", "Shift clip", "clip", { kind: "clip", outsideMm: 7, wireMm: 0.7, form: "E" }, steel, 50],
          ],
          put: [
            { after: "main-gear", assembly: "head", row: ["main-gear-low", "Low gear", "main-gear-low", { acrossMm: -10, alongMm: 24, ridesOn: "gear-shaft", restsOn: ["main-gear"], turnsWith: "gear", ...greased("half round the teeth", "it spreads itself") }] },
            { after: "pinion", assembly: "head", row: ["pinion-low", "Low pinion", "pinion-low", { acrossMm: 15.6, restsOn: ["pinion", "main-gear-low"], turnsWith: "spool", ...greased("a light film on the teeth", "the bore stays clean") }] },
            { after: null, assembly: "handle", row: ["shift-key", "Shift key", "shift-key", { restsOn: ["gear-shaft", "main-gear-low"], orientation: "in the shaft's slot, high gear in", ...greased("a trace", "it slides under load") }] },
            { after: "shift-key", assembly: "handle", row: ["shift-spring", "Shift spring", "shift-spring", { restsOn: ["shift-key"], caution: "The shift button is sprung: a thumb on it, glasses on.", cautionSays: "spring" }] },
            { after: "shift-spring", assembly: "handle", row: ["shift-button", "Shift button", "shift-button", { restsOn: ["shift-spring"], caution: "The shift button is sprung: a thumb on it, glasses on.", cautionSays: "spring" }] },
            { after: "shift-button", assembly: "handle", row: ["shift-clip", "Shift clip", "shift-clip", { restsOn: ["shift-button"], orientation: "sits all round its groove" }] },
          ],
          reseat: { "handle-washer": { restsOn: ["gear-shaft", "shift-clip"] } },
          operations: [
            { id: "gate-shift", kind: "gate", words: "Both speeds under the hand, changed and back, each with its back-stop", after: [...place("shift-clip", "handle"), "tighten-plate"], lookAt: [look("Key across its slot", ["shift-key"]), look("Shift spring left out", ["shift-spring"], "left-out"), look("Low gear's plain side to the high one", ["main-gear-low"], "turned")] },
          ],
          batches: [["shift", "Shift button, clip, spring and key", "shift-key", "shift-spring", "shift-button", "shift-clip"], ["gears", "Gears and pinions", "main-gear", "main-gear-low", "pinion-bearing", "pinion", "pinion-low"]],
        },
      },
    ],
  },
  {
    id: "shaft",
    name: "The shaft",
    choices: [
      { id: "last", name: "goes in last, through the closed drag" },
      {
        id: "first",
        name: "goes in first, the drag is built on it",
        change: {
          move: [{ seat: "shaft", after: "spacer-sleeve" }],
          reseat: {
            shaft: { restsOn: ["spool-bearing-tail"], passesThrough: ["spool"], orientation: "from the far end, its bearing with it; flat end to the lever" },
            "spool-bearing-head": { restsOn: ["spool", "spacer-sleeve", "shaft"] },
            "cross-pin": { restsOn: ["shaft", "drag-cap"] },
          },
          operations: [{ id: "gate-preload", kind: "gate", words: "Press the drag cap: it bounces on its spring", after: place("drag-cap"), before: place("cross-pin"), lookAt: [look("Preload spring left out?", ["preload-spring"], "left-out"), look("Pressure plate turned against its holes?", ["pressure-plate"])] }],
        },
      },
    ],
  },
  {
    id: "tail-bearing",
    name: "Bearing in the wall",
    choices: [
      { id: "drawn", name: "is drawn" },
      { id: "stays", name: "does not come out of this finish: serviced in place, checked that it turns", change: { reseat: { "tail-bearing": { inPlace: true, stays: true, oilPort: "at the spool's shaft end, tail side", trap: "Do not drive it: served where it sits and proved turning.", ...oiled("2–3 small drops", "it stays in the wall") } } } },
    ],
  },
];

export { quadrantScrews };
