import { greased, look, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

/** Centrepin: a drum on two precision bearings in its hub, preloaded by a wave spring. */
export const centrepinTable: TemplateTable = {
  family: "centrepin",
  lineRadiusMm: 46,
  assemblies: [
    ["drum", "Drum and knobs", "handle", { carrier: "drum", freedBy: ["drum-screw"], quick: true }],
    ["hub", "Hub, bearings and spring", "frame", { shutBy: ["drum"] }],
    ["check", "Check", "tail", { shutBy: ["drum"] }],
    ["back", "Back plate and spindle", "tail", { stays: true }],
  ],
  batches: [
    ["drum", "Drum with its screw", "drum", "drum-screw"],
    ["knobs", "Knobs with their screws", "knob-front", "knob-screw-front", "knob-rear", "knob-screw-rear"],
    ["rear", "Rear bearing, sleeves and spring", "outer-sleeve", "wave-spring", "inner-sleeve", "rear-bearing"],
    ["check", "Check pawl, spring and switch", "check-pawl", "check-spring", "check-switch"],
    ["foot", "Foot with its screws", "foot", "foot-screw-front", "foot-screw-rear"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ["drum", "10", "Drum", "spool", { kind: "drum", outsideMm: 112, depthMm: 22, boreMm: 22, arms: 8 }, "aluminium", 14900],
    ["knob", "11", "Drum knob", "handle-knob", { kind: "knob", outsideMm: 11, lengthMm: 20, boreMm: 3.1 }, "hard plastic", 590],
    ["knob-screw", "12", "Knob screw", "knob-screw", screw(3, 24, 6), steel, 110],
    ["drum-screw", "13", "Drum screw", "drum-screw", screw(4, 8), steel, 190],
    ["bearing", "20", "Hub bearing 8 × 22 × 7", "spool-bearing", { kind: "bearing", boreMm: 8, outsideMm: 22, widthMm: 7, closure: "shielded" }, steel, 1490],
    ["hub-clip", "21", "Hub clip", "clip", { kind: "clip", outsideMm: 23, wireMm: 1, form: "wire" }, "spring steel", 120],
    ["middle-clip", "22", "Middle clip", "clip", { kind: "clip", outsideMm: 23, wireMm: 1, form: "C" }, "spring steel", 120],
    ["outer-sleeve", "23", "Outer sleeve", "hub-sleeve", { kind: "sleeve", outsideMm: 21.8, boreMm: 18, lengthMm: 8 }, "aluminium", 590],
    ["inner-sleeve", "24", "Inner sleeve", "hub-sleeve", { kind: "sleeve", outsideMm: 11, boreMm: 8.1, lengthMm: 12 }, "aluminium", 590],
    ["wave-spring", "25", "Wave spring", "wave-spring", { kind: "wave-spring", outsideMm: 21, insideMm: 17, heightMm: 3, waves: 3 }, "spring steel", 290],
    ["check-wheel", "30", "Check wheel", "click-gear", { kind: "ratchet", teeth: 36, outsideMm: 30, boreMm: 9, thicknessMm: 2 }, "brass", 1190],
    ["check-pawl", "31", "Check pawl", "click-tongue", { kind: "tongue", lengthMm: 16, widthMm: 6, thicknessMm: 2 }, "brass", 590],
    ["check-spring", "32", "Check spring", "click-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 18 }, "spring steel", 160],
    ["check-switch", "33", "Check switch", "click-button", { kind: "button", outsideMm: 9, stemMm: 4, lengthMm: 10 }, "brass", 490],
    ["back-plate", "40", "Back plate", "tail-plate", { kind: "plate", outsideMm: 114, thicknessMm: 5, holes: 4 }, "aluminium", 9900],
    ["spindle", "41", "Spindle", "spindle", { kind: "shaft", diameterMm: 8, lengthMm: 40 }, "hardened steel", 2900],
    ["foot", "42", "Reel foot", "foot", { kind: "foot", lengthMm: 62, widthMm: 16, thicknessMm: 3 }, "aluminium", 990],
    ["foot-screw", "43", "Foot screw", "foot-screw", screw(3, 6), steel, 70],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    drum: [
      ["drum", "Drum", "drum", { restsOn: ["spindle"], turnsWith: "spool", heldBy: ["drum-screw"] }],
      ["drum-screw", "Drum screw", "drum-screw", { restsOn: ["drum"], hole: "spindle's end", holeDepthMm: 9, tightness: "snug", orientation: "by a coin: the slot is wide and the metal soft", ...greased("a touch on the thread", "it must come off at the water") }],
      ["knob-front", "Knob, front", "knob", { stays: true, oilPort: "at the end of the knob", acrossMm: 40, restsOn: ["drum"], ...oiled("1 drop", "it spins on its screw") }],
      ["knob-screw-front", "Knob screw, front", "knob-screw", { stays: true, acrossMm: 40, restsOn: ["knob-front"], hole: "drum, front knob", holeDepthMm: 26, ...threadFilm }],
      ["knob-rear", "Knob, rear", "knob", { stays: true, oilPort: "at the end of the knob", acrossMm: -40, restsOn: ["drum"], ...oiled("1 drop", "it spins on its screw") }],
      ["knob-screw-rear", "Knob screw, rear", "knob-screw", { stays: true, acrossMm: -40, restsOn: ["knob-rear"], hole: "drum, rear knob", holeDepthMm: 26, ...threadFilm }],
    ],
    hub: [
      ["middle-clip", "Middle clip", "middle-clip", { stays: true, insideOf: "drum", orientation: "stays in the hub: it is the stop", trap: "Soft hub: leave it where it is." }],
      ["front-bearing", "Front bearing", "bearing", { restsOn: ["middle-clip"], oilPort: "at the inner ring's edge, the drum off", portBehind: ["drum"], ...oiled("1 small drop", "at the inner ring's edge, the shield untouched"), trap: "A shield dents at a touch and then binds. Too tight to push: stop." }],
      ["front-clip", "Front clip", "hub-clip", { restsOn: ["front-bearing"], caution: "The clip flies: a finger on top, glasses on.", cautionSays: "spring", orientation: "even gap, seated all round" }],
      ["outer-sleeve", "Outer sleeve", "outer-sleeve", { restsOn: ["front-clip"], hides: true, orientation: "bears on the front bearing's outer ring" }],
      ["wave-spring", "Wave spring", "wave-spring", { restsOn: ["outer-sleeve"], caution: "Compress it with a screw, washer and nut through the bore; it flies otherwise.", cautionSays: "spring" }],
      ["inner-sleeve", "Inner sleeve", "inner-sleeve", { restsOn: ["wave-spring"], hides: true, orientation: "bears on the rear bearing's inner ring", trap: "Both sleeves must go back: without the inner one the preload is lost." }],
      ["rear-bearing", "Rear bearing", "bearing", { restsOn: ["inner-sleeve"], hides: true, oilPort: "at the inner ring's edge, the drum off", portBehind: ["drum"], ...oiled("1 small drop", "at the inner ring's edge, the shield untouched"), trap: "A shield dents at a touch and then binds." }],
      ["rear-clip", "Rear clip", "hub-clip", { restsOn: ["rear-bearing"], caution: "Hold the wave spring compressed before the clip comes off, and while it goes on: the clip flies, glasses on.", cautionSays: "spring", orientation: "started opposite the gap, even gap, seated all round; the drum turned over between the two clips" }],
    ],
    check: [
      ["check-wheel", "Check wheel", "check-wheel", { restsOn: ["back-plate"] }],
      ["check-pawl", "Check pawl", "check-pawl", { acrossMm: 24, restsOn: ["back-plate"], oilPort: "at its pivot, the drum drawn off", portBehind: ["drum"], ...greased("a trace at its pivot", "or dry: it speaks louder") }],
      ["check-spring", "Check spring", "check-spring", { acrossMm: 24, restsOn: ["check-pawl"], caution: "The spring flies: glasses on.", cautionSays: "spring" }],
      ["check-switch", "Check switch", "check-switch", { shutBy: [], acrossMm: 24, restsOn: ["check-spring"] }],
    ],
    back: [
      ["back-plate", "Back plate", "back-plate", { turnsWith: "frame" }],
      ["spindle", "Spindle", "spindle", { oilPort: "the drum drawn off", portBehind: ["drum"], restsOn: ["back-plate", "check-wheel"], ...oiled("a film", "dry it scores the bearings"), heldBy: ["drum-screw"] }],
      ["foot", "Reel foot", "foot", { acrossMm: 40, restsOn: ["back-plate"], heldBy: ["foot-screw-front", "foot-screw-rear"] }],
      ["foot-screw-front", "Foot screw, front", "foot-screw", { acrossMm: 48, restsOn: ["foot"], hole: "back plate, front", holeDepthMm: 7, ...threadFilm }],
      ["foot-screw-rear", "Foot screw, rear", "foot-screw", { acrossMm: 32, restsOn: ["foot"], hole: "back plate, rear", holeDepthMm: 7, ...threadFilm }],
    ],
  },
  // biome-ignore format: one choice a line, read as a table
  variants: [
    {
      id: "hub",
      name: "Hub, told by the serial's year",
      choices: [
        { id: "sprung", name: "two bearings preloaded by a wave spring" },
        { id: "spaced", name: "two bearings with a plain sleeve between", change: { drop: ["wave-spring", "inner-sleeve"], reseat: { "rear-bearing": { restsOn: ["outer-sleeve"] }, "rear-clip": { caution: "The clip flies: a finger on top, glasses on.", cautionSays: "spring" } }, batches: [["rear", "Rear bearing and sleeve", "outer-sleeve", "rear-bearing"]] } },
        {
          id: "pressed",
          name: "bearings pressed in: no work for the bench",
          change: {
            drop: ["middle-clip", "front-clip", "outer-sleeve", "wave-spring", "inner-sleeve", "rear-clip"],
            reseat: {
              "front-bearing": { inPlace: true, stays: true, trap: "Pressed: it stays. Oil it, prove it turns, or send it on." },
              "rear-bearing": { inPlace: true, stays: true, restsOn: ["front-bearing"], trap: "Pressed: it stays. Oil it, prove it turns, or send it on." },
            },
            operations: [{ id: "gate-hub", kind: "gate", words: "The hub turns on its bearings, smooth and with no rock", after: place("rear-bearing", "front-bearing"), before: place("drum"), lookAt: [look("A shield dented", ["front-bearing", "rear-bearing"]), look("Rough: the maker's work, or a shop with a press", ["front-bearing", "rear-bearing"])] }],
          },
        },
      ],
    },
    {
      id: "drum-hold",
      name: "The drum is held by",
      choices: [
        { id: "screw", name: "a screw with a coin slot" },
        { id: "nut", name: "a knurled nut", change: { parts: [["drum-nut", "14", "Knurled nut", "drum-screw", { kind: "nut", acrossFlatsMm: 14, boreMm: 4, heightMm: 5 }, "brass", 390]], reseat: { "drum-screw": { name: "Knurled nut", part: "drum-nut", orientation: "by hand" } } } },
        {
          id: "latch",
          name: "a latch",
          change: {
            parts: [["latch", "15", "Drum latch", "drum-latch", { kind: "tongue", lengthMm: 12, widthMm: 6, thicknessMm: 1.5 }, "brass", 690], ["latch-spring", "16", "Latch spring", "latch-spring", { kind: "wire-spring", wireMm: 0.6, lengthMm: 12 }, "spring steel", 140]],
            drop: ["drum-screw"],
            freedBy: { drum: [] },
            put: [
              { after: "drum", assembly: "drum", row: ["latch", "Drum latch", "latch", { stays: true, restsOn: ["drum"], oilPort: "at its pivot", ...oiled("a trace", "it must snap in its groove") }] },
              { after: "latch", assembly: "drum", row: ["latch-spring", "Latch spring", "latch-spring", { stays: true, restsOn: ["latch"], caution: "The latch spring flies: a finger over it, glasses on.", cautionSays: "spring" }] },
            ],
            reseat: { drum: { orientation: "pushed home until the latch snaps in its groove" } },
            operations: [{ id: "gate-turns", kind: "gate", words: "The latch snaps and holds the drum; it turns as before", after: ["gate-drum"], lookAt: [look("Dirt in the latch's groove", ["latch"]), look("Latch spring tired", ["latch-spring"])] }],
          },
        },
      ],
    },
    {
      id: "shim",
      name: "Shim under the drum",
      choices: [
        { id: "none", name: "none" },
        { id: "one", name: "one, thin, on the spindle", change: { parts: [["drum-shim", "44", "Drum shim, thin", "shim", { kind: "washer", outsideMm: 12, insideMm: 8.1, thicknessMm: 0.2 }, "bronze", 90]], put: [{ after: "spindle", assembly: "back", row: ["drum-shim", "Drum shim", "drum-shim", { shutBy: ["drum"], ridesOn: "spindle", restsOn: ["spindle"], hides: true, orientation: "flat on the spindle's shoulder", trap: "It clings under the drum's hub: without it the drum touches the back plate." }] }], reseat: { drum: { restsOn: ["drum-shim"] } } } },
      ],
    },
    {
      id: "line-guard",
      name: "Line guard",
      choices: [
        { id: "none", name: "none" },
        { id: "wire", name: "a wire across the drum, on two screws", change: { parts: [["line-guard", "45", "Line guard", "line-guard", { kind: "bail", spanMm: 60, reachMm: 20, wireMm: 2 }, steel, 990], ["guard-screw", "46", "Line guard screw", "guard-screw", screw(2.5, 6), steel, 70]], assemblies: [{ after: "drum", row: ["guard", "Line guard", "tail", { stays: true }] }], put: [{ after: null, assembly: "guard", row: ["line-guard", "Line guard", "line-guard", { restsOn: ["back-plate"], orientation: "clear of the drum all the way round" }] }, { after: "line-guard", assembly: "guard", row: ["guard-screw-front", "Line guard screw, front", "guard-screw", { acrossMm: 30, restsOn: ["line-guard"], hole: "back plate's rim, front", holeDepthMm: 7, ...threadFilm }] }, { after: "guard-screw-front", assembly: "guard", row: ["guard-screw-rear", "Line guard screw, rear", "guard-screw", { acrossMm: -30, restsOn: ["line-guard"], hole: "back plate's rim, rear", holeDepthMm: 7, ...threadFilm }] }] } },
      ],
    },
    {
      id: "check",
      name: "Check",
      choices: [
        { id: "pawl", name: "pawl and wheel" },
        { id: "lever", name: "pawl and wheel, with a drag lever", change: { parts: [["drag-lever", "34", "Drag lever", "drag-lever", { kind: "lever", lengthMm: 26, boreMm: 3, thicknessMm: 2 }, "brass", 890]], put: [{ after: "check-switch", assembly: "check", row: ["drag-lever", "Drag lever", "drag-lever", { acrossMm: 30, restsOn: ["check-switch"], orientation: "as found", asFound: true }] }], batches: [["check", "Check pawl, spring, switch and lever", "check-pawl", "check-spring", "check-switch", "drag-lever"]] } },
        { id: "none", name: "none", change: { drop: ["check-wheel", "check-pawl", "check-spring", "check-switch"], omit: ["gate-check"] } },
      ],
    },
  ],
  operations: [
    {
      id: "gate-hub",
      kind: "gate",
      words: "The hub spins true with no play end to end",
      after: place("rear-clip"),
      before: place("drum"),
      lookAt: [
        look("Inner sleeve left out: the preload is lost", ["inner-sleeve"], "left-out"),
        look("A clip not seated in its groove", ["front-clip", "rear-clip"], "left-out"),
        look("A shield dented", ["front-bearing", "rear-bearing"]),
      ],
    },
    {
      id: "gate-drum",
      kind: "gate",
      words: "Drum on the spindle: it turns true and silent, clear of the back plate",
      after: place("drum"),
      before: place("drum-screw"),
      lookAt: [
        look("Drum crooked: lift it off square", ["drum"]),
        look("Shim under the drum left out", ["drum-shim"], "left-out"),
        look("Clip or shield touching", ["front-clip"]),
      ],
    },
    {
      id: "gate-turns",
      kind: "gate",
      words: "Drawn snug it turns as before",
      after: place("drum-screw"),
      lookAt: [
        look("Screw too long, or dirt under it: it brakes the drum", ["drum-screw"]),
        look("Shim missing", ["drum-shim"], "left-out"),
      ],
    },
    {
      id: "gate-check",
      kind: "gate",
      words: "The check speaks both ways and switches off",
      after: place("check-switch", "check-wheel"),
      before: place("spindle"),
      lookAt: [look("Check spring off its pawl", ["check-spring"], "left-out"), look("Pawl worn to a slope", ["check-pawl"])],
    },
  ],
};

export const centrepin = templateOf(centrepinTable);
