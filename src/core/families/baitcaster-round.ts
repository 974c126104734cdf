import { baitcasterLowProfileTable, blocks, sideScrews } from "./baitcaster";
import { greased, look, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { PartRow, SeatRow, TableChange, TemplateTable } from "./tables/table";
import { changedTable } from "./tables/variants";
import { templateOf } from "./template";

const bars = ["front", "rear", "low"] as const;
const barScrewsAt = (end: "head" | "tail") => bars.map((bar) => `bar-screw-${bar}-${end}`);
const barScrews = [...barScrewsAt("head"), ...barScrewsAt("tail")];
const barScrewSeats = (["head", "tail"] as const).flatMap((end) =>
  bars.map(
    (bar, at): SeatRow => [
      `bar-screw-${bar}-${end}`,
      `Bar screw, ${bar}, ${end}`,
      "bar-screw",
      {
        stays: true,
        acrossMm: [18, -2, -20][at],
        restsOn: [end === "tail" ? "tail-ring" : `bar-${bar}`],
        hole: `bar, ${bar}, ${end} end`,
        holeDepthMm: 12,
        ...threadFilm,
        trap: "Long ones at the bars, short ones at the foot.",
      },
    ],
  ),
);

/** What a round one has otherwise than a low-profile one: a frame of bars, a cap with a copper shim at either end, a click on its tail plate. */
// biome-ignore format: one seat a line, read as a table
const round: TableChange = {
  parts: [
    ["side-plate", "20", "Tail side plate, round", "tail-plate", { kind: "plate", outsideMm: 54, thicknessMm: 5, holes: 3 }, "chromed brass", 2490],
    ["gear-plate", "40", "Head side plate, round", "head-plate", { kind: "plate", outsideMm: 56, thicknessMm: 6, holes: 3 }, "chromed brass", 2990],
    ["frame", "70", "Frame ring, head side", "frame", { kind: "frame", outsideMm: 54, widthMm: 40, posts: 3 }, "chromed brass", 4900],
    ["bar", "96", "Frame bar", "frame-bar", { kind: "shaft", diameterMm: 5, lengthMm: 38 }, "chromed brass", 390],
    ["bar-screw", "97", "Bar screw, long", "bar-screw", screw(2.5, 10), steel, 70],
    ["tail-ring", "98", "Frame ring, tail side", "frame-ring", { kind: "washer", outsideMm: 54, insideMm: 46, thicknessMm: 3 }, "chromed brass", 2400],
    ["tail-cap", "99", "Tail end cap", "bearing-cap", { kind: "cap", outsideMm: 15, heightMm: 6 }, "chromed brass", 590],
    ["click-tongue", "80", "Click tongue", "click-tongue", { kind: "tongue", lengthMm: 11, widthMm: 5, thicknessMm: 1.4 }, "bronze", 290],
    ["click-button", "81", "Click button", "click-button", { kind: "button", outsideMm: 7, stemMm: 3, lengthMm: 9 }, "chromed brass", 390],
    ["click-spring", "86", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 12 }, "spring steel", 140],
    ["click-gear", "87", "Click gear", "click-gear", { kind: "ratchet", teeth: 16, outsideMm: 12, boreMm: 3.1, thicknessMm: 1.5 }, "brass", 690],
  ],
  put: [
    { after: "brake-drum", assembly: "brake", row: ["click-tongue", "Click tongue", "click-tongue", { acrossMm: -16, restsOn: ["side-plate"], orientation: "point to the spool", ...greased("a dab", "keeps water off; more quietens it") }] },
    { after: "click-tongue", assembly: "brake", row: ["click-spring", "Click spring", "click-spring", { acrossMm: -16, restsOn: ["click-tongue"], caution: "The click spring flies: glasses on, a finger over it.", cautionSays: "spring" }] },
    { after: "click-spring", assembly: "brake", row: ["click-button", "Click button", "click-button", { acrossMm: -16, restsOn: ["click-tongue"], orientation: "from outside, into the tongue" }] },
    { after: "click-button", assembly: "brake", row: ["tail-shim", "Copper shim, tail", "tension-shim", { shutBy: [], restsOn: ["plate-bearing"], hides: true, trap: "Count them at each side: they set the side play." }] },
    { after: "tail-shim", assembly: "brake", row: ["tail-cap", "Tail end cap", "tail-cap", { shutBy: [], restsOn: ["tail-shim", "side-plate"], orientation: "by hand", ...greased("a touch on the thread", "it must come off again") }] },
    { after: "bearing-pin", assembly: "spool", row: ["click-gear", "Click gear", "click-gear", { ridesOn: "spool", alongMm: 8, turnsWith: "spool" }] },
    ...bars.map((bar, at) => ({ after: at ? `bar-${bars[at - 1]}` : "frame", assembly: "frame", row: [`bar-${bar}`, `Frame bar, ${bar}`, "bar", { stays: true as const, acrossMm: [18, -2, -20][at], restsOn: ["frame"] }] as SeatRow })),
    { after: "bar-low", assembly: "frame", row: ["tail-ring", "Frame ring, tail side", "tail-ring", { stays: true, restsOn: bars.map((bar) => `bar-${bar}`), heldBy: barScrewsAt("tail") }] },
    ...barScrewSeats.map((row, at) => ({ after: at ? barScrews[at - 1]! : "tail-ring", assembly: "frame", row })),
  ],
  reseat: {
    "tension-shim": { name: "Copper shim, head" },
    "gear-screw-inner": { trap: "The short one: forgotten, the plate works loose." },
    foot: { restsOn: ["frame", "tail-ring"] },
  },
  operations: [
    { id: "gate-click", kind: "gate", words: "The click sounds in both directions, button out and in", after: place(...sideScrews, "click-spring"), lookAt: [look("Click spring: a leg each side of the tongue?", ["click-spring"], "left-out"), look("Tongue's point worn to a slope?", ["click-tongue"])] },
  ],
  batches: [
    ["side-plate", "Side plate with its track, bearing and keeper", "side-plate", "recess-washer", "plate-bearing", "plate-keeper", "brake-drum"],
    ["tail-cap", "Tail end cap with its shim", "tail-shim", "tail-cap"],
    ["click", "Click", "click-tongue", "click-spring", "click-button"],
    ["spool", "Spool with bearing and brake", "spool", "bearing-pin", "click-gear", "spool-bearing", "brake-hub", ...blocks.slice(0, 4)],
    ["bars", "Bars of the frame with their screws", ...bars.map((bar) => `bar-${bar}`), "tail-ring", ...barScrews],
  ],
};

/** Round baitcaster: plates on a frame of bars, a click, a copper shim under each cap. Inferred from the trade at large. */
export const baitcasterRoundTable: TemplateTable = {
  ...changedTable(baitcasterLowProfileTable, round),
  family: "baitcaster-round",
  lineRadiusMm: 19,
  // biome-ignore format: one choice a line, read as a table
  variants: [
    ...(baitcasterLowProfileTable.variants ?? []).filter(({ id }) => id !== "tail-door" && id !== "dog" && id !== "brakes"),
    {
      id: "brakes",
      name: "Cast brakes",
      choices: [
        { id: "both", name: "four blocks, and magnets" },
        { id: "blocks", name: "four blocks alone", change: { drop: ["magnet-front", "magnet-rear", "magnet-dial"] } },
        { id: "two", name: "two blocks alone", change: { drop: ["magnet-front", "magnet-rear", "magnet-dial", "brake-block-c", "brake-block-d"] } },
        { id: "none", name: "none", change: { drop: ["brake-hub", ...blocks.slice(0, 4), "brake-drum", "magnet-front", "magnet-rear", "magnet-dial"] } },
      ],
    },
    {
      id: "tail-click",
      name: "Click on the tail plate",
      choices: [
        { id: "click", name: "a tongue on the spool's gear" },
        { id: "none", name: "none", change: { drop: ["click-tongue", "click-spring", "click-button", "click-gear"], omit: ["gate-click"] } },
      ],
    },
    {
      id: "side-screws",
      name: "The tail plate is held by",
      choices: [
        { id: "slotted", name: "three slotted screws" },
        { id: "thumb", name: "three thumb screws", change: { parts: [["side-screw-thumb", "89", "Thumb screw", "side-screw", { ...screw(2.5, 8), headMm: 9, headHeightMm: 5 } as PartRow[4], "chromed brass", 290]], reseat: Object.fromEntries(sideScrews.map((id) => [id, { part: "side-screw-thumb" }])) } },
      ],
    },
    {
      id: "wind-drive",
      name: "The level wind is driven by",
      choices: [
        { id: "gear", name: "the handle: it stands on the cast" },
        {
          id: "spool",
          name: "the spool, through an idler: it runs on the cast",
          change: {
            parts: [["idler", "93", "Idler gear", "idler-gear", { kind: "gear", teeth: 24, moduleMm: 0.5, boreMm: 3.1, faceMm: 3 }, "plastic", 290]],
            put: [{ after: "worm-clip", assembly: "wind", row: ["idler", "Idler gear", "idler", { acrossMm: -14, restsOn: ["worm-gear", "frame"], orientation: "it meshes with no load", ...greased("a trace on the teeth", "it runs on every cast") }] }],
            reseat: { spool: { restsOn: ["pinion", "frame", "gear-screw-inner", "idler"], trap: "The guide's line at its end before the spool goes in; never turned against a stuck guide." } },
          },
        },
      ],
    },
    {
      id: "anti-reverse",
      name: "Anti-reverse",
      choices: [
        { id: "clutch", name: "a one-way clutch" },
        {
          id: "dog",
          name: "a dog alone, its ears over the ratchet",
          change: {
            parts: [
              ["dog", "94", "Anti-reverse dog, eared", "dog", { kind: "dog", lengthMm: 12, widthMm: 5, thicknessMm: 1.5, boreMm: 2 }, "bronze", 290],
              ["dog-spring", "95", "Dog spring", "dog-spring", { kind: "wire-spring", wireMm: 0.4, lengthMm: 10 }, "spring steel", 110],
              ["shaft-sleeve", "92", "Sleeve on the shaft", "shaft-sleeve", { kind: "sleeve", outsideMm: 8.9, boreMm: 6.2, lengthMm: 9 }, "brass", 290],
            ],
            drop: ["clutch"],
            put: [
              { after: "ratchet", assembly: "gears", row: ["dog", "Anti-reverse dog", "dog", { acrossMm: -12, restsOn: ["frame", "ratchet"], orientation: "its ears straddle the ratchet", ...oiled("1 drop, no grease", "it clicks by ear and must fall") }] },
              { after: "dog", assembly: "gears", row: ["dog-spring", "Dog spring", "dog-spring", { acrossMm: -12, restsOn: ["dog"], heldBy: ["main-gear"], caution: "The dog spring flies: glasses on, cup the hand over it.", cautionSays: "spring" }] },
            ],
            reseat: {
              "clutch-sleeve": { name: "Sleeve on the shaft", part: "shaft-sleeve", restsOn: ["plate-shaft-bearing", "keyed"], orientation: "flat end to the washers", trap: "It leaves with the star: look for it there." },
            },
            omit: ["gate-clutch"],
            operations: [{ id: "gate-dog", kind: "gate", words: "Turn the shaft by hand: forward free, back it holds at each tooth", after: place("dog-spring", "ratchet"), before: place("main-gear"), lookAt: [look("Dog's ears beside the ratchet", ["dog", "ratchet"], "turned"), look("Dog spring astray", ["dog-spring"], "left-out"), look("Grease on the dog", ["dog"])] }],
            batches: [["kick", "Clutch cam, levers and springs", "clutch-cam", "kick-lever", "kick-spring", "dog", "dog-spring"], ["clutch", "Sleeve on the shaft", "clutch-sleeve"]],
          },
        },
      ],
    },
  ],
};
export const baitcasterRound = templateOf(baitcasterRoundTable);
