import { greased, oiled, place, screw, steel, threadFilm } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

/** Centrepin: a drum on two precision bearings in its hub, preloaded by a wave spring. */
export const centrepinTable: TemplateTable = {
  family: "centrepin",
  lineRadiusMm: 46,
  assemblies: [
    ["drum", "Drum and knobs", "handle", { carrier: "drum", freedBy: ["drum-screw"], quick: true }],
    ["hub", "Hub, bearings and spring", "frame"],
    ["check", "Check", "tail"],
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
      ["drum-screw", "Drum screw", "drum-screw", { restsOn: ["drum"], hole: "spindle's end", holeDepthMm: 9, ...greased("a touch on the thread", "it must come off at the water") }],
      ["knob-front", "Knob, front", "knob", { stays: true, oilPort: "at the end of the knob", acrossMm: 40, restsOn: ["drum"], ...oiled("1 drop", "it spins on its screw") }],
      ["knob-screw-front", "Knob screw, front", "knob-screw", { acrossMm: 40, restsOn: ["knob-front"], hole: "drum, front knob", holeDepthMm: 26, ...threadFilm }],
      ["knob-rear", "Knob, rear", "knob", { stays: true, oilPort: "at the end of the knob", acrossMm: -40, restsOn: ["drum"], ...oiled("1 drop", "it spins on its screw") }],
      ["knob-screw-rear", "Knob screw, rear", "knob-screw", { acrossMm: -40, restsOn: ["knob-rear"], hole: "drum, rear knob", holeDepthMm: 26, ...threadFilm }],
    ],
    hub: [
      ["middle-clip", "Middle clip", "middle-clip", { stays: true, orientation: "stays in the hub: it is the stop", trap: "Soft hub: leave it where it is." }],
      ["front-bearing", "Front bearing", "bearing", { restsOn: ["middle-clip"], ...oiled("1 drop", "light oil"), trap: "A shield dents at a touch and then binds. Too tight to push: stop." }],
      ["front-clip", "Front clip", "hub-clip", { restsOn: ["front-bearing"], caution: "The clip flies: a finger on top, glasses on.", cautionSays: "spring", orientation: "even gap, seated all round" }],
      ["outer-sleeve", "Outer sleeve", "outer-sleeve", { restsOn: ["front-clip"], hides: true, orientation: "bears on the front bearing's outer ring" }],
      ["wave-spring", "Wave spring", "wave-spring", { restsOn: ["outer-sleeve"], caution: "Compress it with a screw, washer and nut through the bore; it flies otherwise.", cautionSays: "spring" }],
      ["inner-sleeve", "Inner sleeve", "inner-sleeve", { restsOn: ["wave-spring"], hides: true, orientation: "bears on the rear bearing's inner ring", trap: "Both sleeves must go back: without the inner one the preload is lost." }],
      ["rear-bearing", "Rear bearing", "bearing", { restsOn: ["inner-sleeve"], hides: true, ...oiled("1 drop", "light oil"), trap: "A shield dents at a touch and then binds." }],
      ["rear-clip", "Rear clip", "hub-clip", { restsOn: ["rear-bearing"], caution: "Hold the wave spring compressed before the clip comes off, and while it goes on: the clip flies, glasses on.", cautionSays: "spring", orientation: "started opposite the gap, even gap, seated all round; the drum turned over between the two clips" }],
    ],
    check: [
      ["check-wheel", "Check wheel", "check-wheel", { restsOn: ["back-plate"] }],
      ["check-pawl", "Check pawl", "check-pawl", { acrossMm: 24, restsOn: ["back-plate"] }],
      ["check-spring", "Check spring", "check-spring", { acrossMm: 24, restsOn: ["check-pawl"], caution: "The spring flies: glasses on.", cautionSays: "spring" }],
      ["check-switch", "Check switch", "check-switch", { acrossMm: 24, restsOn: ["check-spring"] }],
    ],
    back: [
      ["back-plate", "Back plate", "back-plate", { turnsWith: "frame" }],
      ["spindle", "Spindle", "spindle", { oilPort: "the drum drawn off", restsOn: ["back-plate", "check-wheel"], ...oiled("a film", "dry it scores the bearings"), heldBy: ["drum-screw"] }],
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
      lookAt: ["Inner sleeve left out: the preload is lost", "A clip not seated in its groove", "A shield dented"],
    },
    {
      id: "gate-check",
      kind: "gate",
      words: "The check speaks both ways and switches off",
      after: place("check-switch", "check-wheel"),
      before: place("spindle"),
      lookAt: ["Check spring off its pawl", "Pawl worn to a slope"],
    },
  ],
};

export const centrepin = templateOf(centrepinTable);
