import { footScrewPart, footScrewSeats, footScrews } from "./modules/foot";
import { tensionSeats } from "./modules/look-seats";
import { greased, look, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const dragSeats = ["friction", "drag-plate", "tension-lower", "tension-upper", "hub-sleeve", "drag-clip"];
const knobSeats = ["knob-spring", "knob-ball", "drag-knob", "knob-cap-screw"];

/** Fly reel: a spool on a spindle, the drag under it, a knob behind. Inferred from the trade at large. */
export const flyTable: TemplateTable = {
  family: "fly",
  lineRadiusMm: 38,
  assemblies: [
    ["spool", "Spool and its cap", "handle", { carrier: "spool", freedBy: ["spool-cap"], quick: true }],
    ["hub", "Clutch and bearings in the spool", "handle", { carrier: "spool", freedBy: ["spool-cap"] }],
    ["drag", "Drag under the spool", "tail"],
    ["knob", "Drag knob", "tail"],
    ["click", "Click", "tail", { shutBy: ["spool"] }],
    ["frame", "Frame, spindle and foot", "frame", { stays: true }],
  ],
  batches: [
    ["spool", "Spool with its cap", "spool", "spool-cap"],
    ["hub", "Clutch and bearings of the spool", "hub-bearing", "clutch", "outer-bearing"],
    ["drag", "Drag from its clip to its disc", ...dragSeats],
    ["knob", "Drag knob with its click", ...knobSeats],
    ["click", "Click pawl and its spring", "click-tongue", "click-spring"],
    ["foot", "Foot with its screws", "foot", ...footScrews],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["spool", "10", "Spool", "spool", { kind: "drum", outsideMm: 92, depthMm: 26, boreMm: 24, arms: 6 }, "anodised aluminium", 8900],
    ["spool-cap", "11", "Spool cap", "spool-cap", { kind: "cap", outsideMm: 16, heightMm: 6 }, "anodised aluminium", 890],
    ["knob", "12", "Handle knob", "handle-knob", { kind: "knob", outsideMm: 12, lengthMm: 20, boreMm: 3.1 }, "hard plastic", 490],
    ["knob-screw", "13", "Knob screw", "knob-screw", screw(3, 22, 6), steel, 110],
    ["weight", "14", "Counterweight", "rotor-weight", { kind: "block", lengthMm: 8, widthMm: 5, thicknessMm: 4 }, "brass", 190],
    ["click-gear", "15", "Click gear", "click-gear", { kind: "ratchet", teeth: 28, outsideMm: 30, boreMm: 20.2, thicknessMm: 2 }, "brass", 890],
    ["hub-bearing", "20", "Spool bearing 8 × 16 × 5", "spool-bearing", { kind: "bearing", boreMm: 8, outsideMm: 16, widthMm: 5, closure: "shielded" }, steel, 790],
    ["clutch", "21", "One-way clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 18, boreMm: 12, lengthMm: 10, rollers: 8 }, steel, 1990],
    ["hub-sleeve", "22", "Hub sleeve, the clutch's inner", "clutch-sleeve", { kind: "sleeve", outsideMm: 11.9, boreMm: 8.1, lengthMm: 12 }, "hardened steel", 690],
    ["friction", "30", "Drag disc", "friction-washer", { kind: "friction-washer", outsideMm: 40, insideMm: 12, thicknessMm: 2 }, "cork", 1190],
    ["drag-plate", "31", "Drag plate", "keyed-washer", { kind: "keyed-washer", outsideMm: 40, insideMm: 12.2, thicknessMm: 1.5, acrossFlatsMm: 10.4 }, steel, 890],
    ["tension", "32", "Tension washer", "tension-washer", { kind: "cupped-washer", outsideMm: 20, insideMm: 8.2, thicknessMm: 0.6, coneHeightMm: 0.5 }, "spring steel", 140],
    ["drag-clip", "33", "Drag clip", "clip", { kind: "clip", outsideMm: 13, wireMm: 0.9, form: "E" }, steel, 60],
    ["drag-knob", "40", "Drag knob", "drag-knob", { kind: "cap", outsideMm: 30, heightMm: 9 }, "anodised aluminium", 1290],
    ["knob-spring", "41", "Knob click spring", "detent-spring", { kind: "coil-spring", wireMm: 0.3, outsideMm: 2.6, lengthMm: 6, coils: 6 }, "spring steel", 70],
    ["knob-ball", "42", "Knob click ball", "detent-pin", { kind: "pin", diameterMm: 2.5, lengthMm: 2.5 }, steel, 40],
    ["knob-cap-screw", "43", "Knob holding screw", "knob-cap-screw", screw(3, 6), steel, 80],
    ["click-tongue", "50", "Click pawl", "click-tongue", { kind: "tongue", lengthMm: 12, widthMm: 5, thicknessMm: 1.5 }, steel, 290],
    ["click-spring", "51", "Click spring", "click-spring", { kind: "wire-spring", wireMm: 0.5, lengthMm: 14 }, "spring steel", 120],
    ["frame", "60", "Frame, one piece", "frame", { kind: "frame", outsideMm: 96, widthMm: 30, posts: 3 }, "anodised aluminium", 9900],
    ["spindle", "61", "Spindle", "spindle", { kind: "shaft", diameterMm: 8, lengthMm: 36 }, "hardened steel", 1990],
    ["foot", "62", "Reel foot", "foot", { kind: "foot", lengthMm: 62, widthMm: 14, thicknessMm: 3 }, "anodised aluminium", 990],
    footScrewPart("63"),
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    spool: [
      ["spool", "Spool", "spool", { round: true, restsOn: ["drag-clip", "spindle", "outer-bearing"], turnsWith: "spool", heldBy: ["spool-cap"], orientation: "pushed straight home, turned a little until the clutch takes the sleeve", trap: "Forced on crooked it marks the sleeve." }],
      ["click-gear", "Click gear", "click-gear", { shutBy: ["spool"], stays: true, restsOn: ["spool"], trap: "A loose one ticks." }],
      ["weight", "Counterweight", "weight", { stays: true, acrossMm: 36, restsOn: ["spool"] }],
      ["knob", "Handle knob", "knob", { stays: true, oilPort: "at the end of the knob", acrossMm: -36, restsOn: ["spool"], ...oiled("1 drop", "it spins on its screw") }],
      ["knob-screw", "Knob screw", "knob-screw", { stays: true, acrossMm: -36, restsOn: ["knob"], hole: "spool, knob", holeDepthMm: 24, ...threadFilm }],
      ["spool-cap", "Spool cap", "spool-cap", { restsOn: ["spool"], orientation: "by hand", ...greased("a touch on the thread", "it must come off at the water") }],
    ],
    hub: [
      ["hub-bearing", "Spool bearing, inner", "hub-bearing", { orientation: "into the spool, in the hand", ...oiled("1 small drop", "more only draws grit") }],
      ["clutch", "One-way clutch", "clutch", { restsOn: ["hub-bearing"], orientation: "as marked: turned over the drag works on the wrong hand", twoSided: true, lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the rollers and takes the grip" }, trap: "For the other hand it is turned over." }],
      ["outer-bearing", "Spool bearing, outer", "hub-bearing", { restsOn: ["clutch"], ...oiled("1 small drop", "more only draws grit") }],
    ],
    drag: [
      ["friction", "Drag disc", "friction", { ridesOn: "spindle", restsOn: ["frame"], turnsWith: "frame", lubricant: { product: "drag grease", amount: "a film, worked in and wiped", why: "it keeps a cork disc supple" } }],
      ["drag-plate", "Drag plate", "drag-plate", { ridesOn: "spindle", restsOn: ["friction"], turnsWith: "sleeve", orientation: "polished side to the disc", twoSided: true }],
      ["tension-lower", "Tension washer, lower", "tension", { ridesOn: "spindle", restsOn: ["drag-plate"], turned: true, orientation: "cup up", twoSided: true, trap: "Nested with the upper one the drag jumps." }],
      ["tension-upper", "Tension washer, upper", "tension", { ridesOn: "spindle", restsOn: ["tension-lower"], orientation: "cup down, facing the lower one", twoSided: true }],
      ["hub-sleeve", "Hub sleeve", "hub-sleeve", { ridesOn: "spindle", restsOn: ["tension-upper"], turnsWith: "sleeve", orientation: "flats in the plate, clean and dry", trap: "Grease on it and the clutch slips." }],
      ["drag-clip", "Drag clip", "drag-clip", { restsOn: ["hub-sleeve"], caution: "The clip flies: a finger over it, glasses on.", cautionSays: "spring", orientation: "seated in its groove" }],
    ],
    knob: [
      ["knob-spring", "Knob click spring", "knob-spring", { acrossMm: 10, restsOn: ["frame"], caution: "Spring and ball fly as the knob lifts: glasses on, a tray under it.", cautionSays: "spring" }],
      ["knob-ball", "Knob click ball", "knob-ball", { acrossMm: 10, restsOn: ["knob-spring"], hides: true, trap: "A tiny ball: count it." }],
      ["drag-knob", "Drag knob", "drag-knob", { restsOn: ["knob-ball", "frame"], orientation: "at its loose mark", ...greased("a touch on the thread", "it turns at every fish") }],
      ["knob-cap-screw", "Knob holding screw", "knob-cap-screw", { restsOn: ["drag-knob"], hole: "spindle's end, behind", holeDepthMm: 7, ...threadFilm }],
    ],
    click: [
      ["click-tongue", "Click pawl", "click-tongue", { acrossMm: 18, restsOn: ["frame"], orientation: "point to the spool", ...greased("a dab", "it clicks at every turn") }],
      ["click-spring", "Click spring", "click-spring", { acrossMm: 18, restsOn: ["click-tongue"], caution: "The click spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "one leg each side of the pawl" }],
    ],
    frame: [
      ["frame", "Frame", "frame", { turnsWith: "frame" }],
      ["spindle", "Spindle", "spindle", { stays: true, restsOn: ["frame"], oilPort: "the spool drawn off", portBehind: ["spool"], ...oiled("a film", "dry it scores the bearings") }],
      ["foot", "Reel foot", "foot", { restsOn: ["frame"], heldBy: [...footScrews] }],
      ...footScrewSeats,
    ],
  },
  // biome-ignore format: one choice a line, read as a table
  variants: [
    {
      id: "drag",
      name: "Drag",
      choices: [
        { id: "disc", name: "a disc under tension washers" },
        {
          id: "sealed",
          name: "sealed by its maker: left shut",
          change: {
            parts: [["drag-unit", "34", "Drag unit, sealed", "drag-unit", { kind: "cap", outsideMm: 44, heightMm: 10 }, "anodised aluminium", 6900]],
            drop: ["friction", "drag-plate", "tension-lower", "tension-upper", "drag-clip"],
            put: [{ after: null, assembly: "drag", row: ["drag-unit", "Drag unit, sealed", "drag-unit", { stays: true, inPlace: true, restsOn: ["frame"], orientation: "not opened: wiped outside, proved by its pull", trap: "Opened it is open for good: water in it is its maker's work." }] }],
            reseat: { "hub-sleeve": { restsOn: ["drag-unit"] }, spool: { restsOn: ["hub-sleeve", "spindle", "outer-bearing"] } },
            batches: [["drag", "Hub sleeve", "hub-sleeve"]],
          },
        },
        {
          id: "pawl",
          name: "none: a click and two pawls",
          change: {
            drop: [...dragSeats, ...knobSeats, "clutch"],
            put: [
              { after: "click-spring", assembly: "click", row: ["click-tongue-second", "Click pawl, second", "click-tongue", { acrossMm: -18, restsOn: ["frame"], orientation: "point to the spool, as found: turned for the hand that winds", asFound: true, twoSided: true, ...greased("a dab", "it clicks at every turn") }] },
              { after: "click-tongue-second", assembly: "click", row: ["click-spring-second", "Click spring, second", "click-spring", { acrossMm: -18, restsOn: ["click-tongue-second"], caution: "The click spring flies: glasses on, a finger over it.", cautionSays: "spring", orientation: "one leg each side of the pawl" }] },
            ],
            reseat: { spool: { restsOn: ["spindle", "outer-bearing", "click-spring-second"] }, "outer-bearing": { restsOn: ["hub-bearing"] } },
            omit: ["gate-drag", "gate-hand"],
            batches: [["click", "Click pawls and their springs", "click-tongue", "click-spring", "click-tongue-second", "click-spring-second"], ["hub", "Bearings of the spool", "hub-bearing", "outer-bearing"]],
          },
        },
      ],
    },
    {
      id: "disc",
      name: "The disc is",
      choices: [
        { id: "cork", name: "cork" },
        { id: "carbon", name: "carbon", change: { parts: [["friction", "35", "Drag disc, carbon", "friction-washer", { kind: "friction-washer", outsideMm: 40, insideMm: 12, thicknessMm: 1.2 }, "carbon", 1490]] } },
      ],
    },
  ],
  operations: [
    {
      id: "gate-hand",
      kind: "gate",
      words: "Turn the spool on its sleeve: free as it winds, held as the line runs out",
      after: place("spool", "clutch"),
      before: place("spool-cap"),
      lookAt: [
        look("Clutch turned over: it is set for the other hand", ["clutch"], "turned"),
        look("Grease on the sleeve", ["hub-sleeve"]),
        look("A roller out of the clutch", ["clutch"]),
      ],
    },
    {
      id: "gate-turns",
      kind: "gate",
      words: "The cap tightened by hand: the spool turns true, no rock at its rim",
      after: place("spool-cap"),
      lookAt: [
        look("A bearing not home in the spool", ["hub-bearing", "outer-bearing"], "left-out"),
        look("Spindle dry or scored", ["spindle"]),
        look("Line behind the spool", ["spool"]),
      ],
    },
    {
      id: "gate-click",
      kind: "gate",
      words: "The click sounds in both directions",
      after: place("spool-cap", "click-spring"),
      lookAt: [
        look("Click spring: a leg each side of the pawl?", ["click-spring"], "left-out"),
        look("Pawl worn to a slope?", ["click-tongue"]),
      ],
    },
    {
      id: "gate-drag",
      kind: "gate",
      pullsLine: true,
      words: "The knob goes from free to locked evenly over a turn",
      proves: "drag",
      after: place("drag-knob", "knob-cap-screw", "spool-cap"),
      lookAt: [
        look("Tension washers: do they face each other?", tensionSeats, "turned"),
        look("Disc glazed or dry", ["friction"]),
        look("Plate turned over", ["drag-plate"], "turned"),
      ],
    },
  ],
};

export const fly = templateOf(flyTable);
