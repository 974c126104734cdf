import { spinningTable } from "./spinning";
import { greased, insertAfter, oiled, place, reseat, threadFilm, threadLock } from "./tables/rows";
import type { TemplateTable } from "./tables/table";
import { templateOf } from "./template";

const packCaution =
  "Turn the cap slowly, a towel under it: the pack may drop. Strong magnet: keep from medical implants as their makers say. Magnetic fluid stains: gloves, no solvent near it.";
const sealFilm = greased("a film of seal-safe grease", "a dry seal wears and lets water in");

/** Spinning with a magnetic-fluid seal round its clutch: the unit is lifted out whole, the fluid goes in last. */
export const spinningFluidSealedTable: TemplateTable = {
  ...spinningTable,
  family: "spinning-fluid-sealed",
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...spinningTable.parts,
    ["fluid-magnet", "66", "Seal magnet ring", "seal-magnet", { kind: "sleeve", outsideMm: 26, boreMm: 15, lengthMm: 3 }, "magnet", 1290],
    ["clutch-ring", "67", "Clutch O-ring", "o-ring", { kind: "o-ring", outsideMm: 25, sectionMm: 1.2 }, "rubber", 110],
    ["two-ear", "68", "Two-eared washer", "eared-washer", { kind: "eared-washer", outsideMm: 22, insideMm: 14, thicknessMm: 0.8, ears: 2, earMm: 3 }, "stainless steel", 140],
    ["second-washer", "108", "Second pack washer", "shim", { kind: "washer", outsideMm: 22, insideMm: 14, thicknessMm: 0.6 }, "stainless steel", 90],
    ["recessed-plate", "109", "Recessed plate", "clutch-cover", { kind: "plate", outsideMm: 27, thicknessMm: 1.2, holes: 1 }, "plastic", 190],
    ["unit-cap", "69", "Clutch unit cap", "clutch-cap", { kind: "cap", outsideMm: 28, heightMm: 3 }, "plastic", 490],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...spinningTable.seats,
    clutch: insertAfter(
      reseat(reseat(spinningTable.seats.clutch, "clutch-sleeve", { orientation: "flats on the pinion, clean and dry; nothing else centres it while the rotor is off" }), "clutch-plate", { restsOn: ["unit-cap"] }),
      "clutch",
      ["two-ear", "Two-eared washer", "two-ear", { restsOn: ["clutch"], hides: true, orientation: "in the pack before the pack goes into the body" }],
      ["second-washer", "Second pack washer", "second-washer", { restsOn: ["two-ear"], hides: true }],
      ["clutch-ring", "Clutch O-ring", "clutch-ring", { restsOn: ["second-washer"], ...sealFilm }],
      ["recessed-plate", "Recessed plate", "recessed-plate", { restsOn: ["clutch-ring"], orientation: "plain side out", twoSided: true }],
      ["fluid-magnet", "Seal magnet ring", "fluid-magnet", { restsOn: ["recessed-plate", "clutch-sleeve"], orientation: "goes in with a pop, the keyed sleeve down before it", twoSided: true, caution: packCaution, lubricant: { product: "its own magnetic fluid", amount: "one tiny drop, last of all", why: "let it run round by itself; never wipe after" } }],
      ["unit-cap", "Clutch unit cap", "unit-cap", { restsOn: ["fluid-magnet"], orientation: "turned slowly home, tight", ...greased("a touch on the thread", "it comes off slowly and whole"), caution: packCaution, trap: "Lift the unit whole: with the rotor off nothing centres the sleeve." }],
    ),
  },
  variants: spinningTable.variants?.filter(({ id }) => id !== "anti-reverse"),
  operations: [
    ...spinningTable.operations,
    {
      id: "fluid-last",
      kind: "lubricate",
      words: "Its own fluid last of all: one tiny drop, let it close all round, wipe nothing after",
      after: place("unit-cap"),
      before: place("clutch-plate"),
      caution: "Magnetic fluid stains: gloves on, no solvent near it.",
    },
  ],
};

export const spinningFluidSealed = templateOf(spinningFluidSealedTable);

const pinnedClutch = reseat(spinningTable.seats.clutch, "clutch", {
  orientation: "its pin to the cut-out before it is pressed; turned over it locks the other way",
});

/** Spinning, sealed and bail-less, for the surf: O-rings and lip seals everywhere, all new at every opening. */
export const spinningSealedBailLessTable: TemplateTable = {
  ...spinningTable,
  family: "spinning-sealed-bail-less",
  lineRadiusMm: 29,
  variants: spinningTable.variants?.filter(({ id }) => id !== "anti-reverse"),
  batches: [
    ...(spinningTable.batches ?? []),
    ["guide", "Seals of the shaft's guide", "guide-seal-inner", "guide-seal-outer", "shaft-seal"],
    ["main-seal", "Main seal with its rings", "housing-ring", "neck-ring", "main-seal"],
    ["cover-seals", "Seals under the side cover", "gear-ring", "cover-ring", "handle-seal"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...spinningTable.parts.filter(([id]) => !["bail-wire", "bail-spring", "trip-lever"].includes(id)),
    ["main-seal", "66", "Main seal", "main-seal", { kind: "lip-seal", outsideMm: 24, boreMm: 12, widthMm: 4 }, "rubber", 690],
    ["guide-seal", "104", "Guide seal", "lip-seal", { kind: "lip-seal", outsideMm: 10, boreMm: 5, widthMm: 2 }, "rubber", 240],
    ["gear-ring", "105", "Gear cover O-ring", "o-ring", { kind: "o-ring", outsideMm: 28, sectionMm: 1.2 }, "rubber", 140],
    ["housing-ring", "106", "Housing O-ring", "o-ring", { kind: "o-ring", outsideMm: 34, sectionMm: 1.4 }, "rubber", 150],
    ["neck-ring", "107", "Neck O-ring", "o-ring", { kind: "o-ring", outsideMm: 16, sectionMm: 1.2 }, "rubber", 110],
    ["cover-ring", "91", "Cover O-ring", "o-ring", { kind: "o-ring", outsideMm: 40, sectionMm: 1.6 }, "rubber", 160],
    ["handle-seal", "92", "Handle lip seal", "lip-seal", { kind: "lip-seal", outsideMm: 14, boreMm: 7, widthMm: 3 }, "rubber", 290],
    ["shaft-seal", "93", "Shaft lip seal", "lip-seal", { kind: "lip-seal", outsideMm: 11, boreMm: 5, widthMm: 3 }, "rubber", 290],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...spinningTable.seats,
    bail: [
      ["bail-arm", "Manual line arm", "bail-arm", { acrossMm: -20, restsOn: ["rotor"], oilPort: "at the pivot", ...oiled("1 drop at the pivot", "it is worked by hand") }],
      ["roller-spacer", "Roller spacer", "roller-spacer", { acrossMm: -10, restsOn: ["bail-arm"], hides: true, orientation: "shallow side as this model has it", twoSided: true }],
      ["roller-bearing", "Roller bearing", "roller-bearing", { acrossMm: -10, restsOn: ["roller-spacer"], oilPort: "at both sides of the line roller", ...oiled("1 drop, both faces greased", "the first bearing that water spoils") }],
      ["roller", "Line roller", "roller", { acrossMm: -10, restsOn: ["roller-bearing"], heldBy: ["roller-screw"], orientation: "thick end as found", asFound: true, trap: "Thick end wrong: line climbs off it." }],
      ["roller-screw", "Roller screw", "roller-screw", { acrossMm: -10, restsOn: ["roller"], hole: "line arm", holeDepthMm: 10, orientation: "drawn down at once", twoSided: true, ...threadLock }],
      ["bail-screw", "Counterweight screw", "bail-screw", { acrossMm: 24, restsOn: ["rotor"], hole: "far arm", holeDepthMm: 7, ...threadFilm }],
    ],
    clutch: insertAfter(
      insertAfter(
        reseat(
          reseat(pinnedClutch, "pinion", { caution: "Left-hand thread: it loosens clockwise. Pinion wrench and block.", restsOn: ["pinion-bearing", "shaft-seal"] }),
          "clutch-plate",
          { restsOn: ["main-seal"] },
        ),
        "pinion-bearing",
        ["guide-seal-inner", "Guide seal, inner", "guide-seal", { restsOn: ["pinion-bearing"], orientation: "curved end down", twoSided: true, ...sealFilm }],
        ["guide-seal-outer", "Guide seal, outer", "guide-seal", { restsOn: ["guide-seal-inner"], orientation: "curved end down", twoSided: true, ...sealFilm }],
        ["shaft-seal", "Shaft lip seal", "shaft-seal", { restsOn: ["guide-seal-outer"], orientation: "lip outward, curved end down", twoSided: true, ...sealFilm, trap: "Seals are never used again: all out before cleaning, all new in." }],
      ),
      "clutch",
      ["housing-ring", "Housing O-ring", "housing-ring", { restsOn: ["clutch"], ...sealFilm }],
      ["neck-ring", "Neck O-ring", "neck-ring", { restsOn: ["housing-ring"], ...sealFilm }],
      ["main-seal", "Main seal", "main-seal", { restsOn: ["neck-ring"], orientation: "lip outward", twoSided: true, ...sealFilm, trap: "Renew it every year." }],
    ),
    body: insertAfter(
      reseat(spinningTable.seats.body, "side-cover", { restsOn: ["gear-bearing-outer", "gear-ring", "cover-ring", "handle-seal"], orientation: "opened only at signs of water" }),
      "gear-bearing-outer",
      ["gear-ring", "Gear cover O-ring", "gear-ring", { restsOn: ["gear-bearing-outer"], alongMm: 22, ...sealFilm }],
      ["cover-ring", "Cover O-ring", "cover-ring", { restsOn: ["body"], alongMm: 24, ...sealFilm }],
      ["handle-seal", "Handle lip seal", "handle-seal", { restsOn: ["gear-bearing-outer"], orientation: "lip outward", twoSided: true, ...sealFilm }],
    ),
  },
  operations: [
    ...spinningTable.operations.filter(({ id }) => id !== "gate-bail" && id !== "tighten-roller"),
    {
      id: "gate-arm",
      kind: "gate",
      words: "The roller turns under a braid",
      after: place("roller-screw", "roller"),
      lookAt: ["Roller screw too tight", "Bearing seized"],
    },
  ],
};

export const spinningSealedBailLess = templateOf(spinningSealedBailLessTable);
