import { spinningTable } from "./spinning";
import { greased, insertAfter, oiled, place, reseat, templateOf } from "./template";

const sealFilm = greased("a film of seal-safe grease", "a dry seal wears and lets water in");

/** Spinning with a magnetic-fluid seal round its clutch: the unit is lifted out whole, the fluid goes in last. */
export const spinningFluidSealed = templateOf({
  ...spinningTable,
  family: "spinning-fluid-sealed",
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...spinningTable.parts,
    ["fluid-magnet", "66", "Seal magnet ring", "seal-magnet", { kind: "sleeve", outsideMm: 26, boreMm: 15, lengthMm: 3 }, "magnet", 1290],
    ["clutch-ring", "67", "Clutch O-ring", "o-ring", { kind: "o-ring", outsideMm: 25, sectionMm: 1.2 }, "rubber", 110],
    ["two-ear", "68", "Two-eared washer", "eared-washer", { kind: "eared-washer", outsideMm: 22, insideMm: 14, thicknessMm: 0.8, ears: 2, earMm: 3 }, "stainless steel", 140],
    ["unit-cap", "69", "Clutch unit cap", "clutch-cap", { kind: "cap", outsideMm: 28, heightMm: 3 }, "plastic", 490],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...spinningTable.seats,
    clutch: insertAfter(
      reseat(spinningTable.seats.clutch, "clutch-plate", { restsOn: ["unit-cap"] }),
      "clutch",
      ["two-ear", "Two-eared washer", "two-ear", { restsOn: ["clutch"], hides: true, orientation: "into the pack before the pack enters" }],
      ["clutch-ring", "Clutch O-ring", "clutch-ring", { restsOn: ["two-ear"], ...sealFilm }],
      ["fluid-magnet", "Seal magnet ring", "fluid-magnet", { restsOn: ["clutch-ring"], caution: "Strong magnet: keep from medical implants as their makers say. Magnetic fluid stains: gloves, no solvent near it.", lubricant: { product: "its own magnetic fluid", amount: "one tiny drop, last of all", why: "let it run round by itself; never wipe after" } }],
      ["unit-cap", "Clutch unit cap", "unit-cap", { restsOn: ["fluid-magnet"], orientation: "turned slowly home", trap: "Lift the unit whole: with the rotor off nothing centres the sleeve." }],
    ),
  },
});

/** Spinning, sealed and bail-less, for the surf: O-rings and lip seals everywhere, all new at every opening. */
export const spinningSealedBailLess = templateOf({
  ...spinningTable,
  family: "spinning-sealed-bail-less",
  lineRadiusMm: 29,
  // biome-ignore format: one part a line, read as a table
  parts: [
    ...spinningTable.parts.filter(([id]) => !["bail-wire", "bail-spring", "trip-lever"].includes(id)),
    ["main-seal", "66", "Main seal", "main-seal", { kind: "lip-seal", outsideMm: 24, boreMm: 12, widthMm: 4 }, "rubber", 690],
    ["cover-ring", "91", "Cover O-ring", "o-ring", { kind: "o-ring", outsideMm: 40, sectionMm: 1.6 }, "rubber", 160],
    ["handle-seal", "92", "Handle lip seal", "lip-seal", { kind: "lip-seal", outsideMm: 14, boreMm: 7, widthMm: 3 }, "rubber", 290],
    ["shaft-seal", "93", "Shaft lip seal", "lip-seal", { kind: "lip-seal", outsideMm: 11, boreMm: 5, widthMm: 3 }, "rubber", 290],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...spinningTable.seats,
    bail: [
      ["bail-arm", "Manual line arm", "bail-arm", { acrossMm: -20, restsOn: ["rotor"], oilPort: "at the pivot", ...oiled("1 drop at the pivot", "it is worked by hand") }],
      ["roller-bearing", "Roller bearing", "roller-bearing", { acrossMm: -10, restsOn: ["bail-arm"], oilPort: "at both sides of the line roller", ...oiled("1 drop, both faces greased", "the first bearing to go in salt") }],
      ["roller", "Line roller", "roller", { acrossMm: -10, ridesOn: "roller-screw", restsOn: ["roller-bearing"], orientation: "thick end as found" }],
      ["roller-screw", "Roller screw", "roller-screw", { acrossMm: -10, alongMm: 14 }],
      ["bail-screw", "Counterweight screw", "bail-screw", { acrossMm: 24, restsOn: ["rotor"], hole: "far arm" }],
    ],
    clutch: insertAfter(
      insertAfter(
        reseat(
          reseat(spinningTable.seats.clutch, "pinion", { caution: "Left-hand thread: it loosens clockwise. Pinion wrench and block.", restsOn: ["pinion-bearing", "shaft-seal"] }),
          "clutch-plate",
          { restsOn: ["main-seal"] },
        ),
        "pinion-bearing",
        ["shaft-seal", "Shaft lip seal", "shaft-seal", { restsOn: ["pinion-bearing"], orientation: "lip outward", ...sealFilm, trap: "Seals are never used again: all out before cleaning, all new in." }],
      ),
      "clutch",
      ["main-seal", "Main seal", "main-seal", { restsOn: ["clutch"], orientation: "lip outward", ...sealFilm, trap: "Renew it every year." }],
    ),
    body: insertAfter(
      reseat(spinningTable.seats.body, "side-cover", { restsOn: ["gear-bearing-outer", "cover-ring", "handle-seal"] }),
      "gear-bearing-outer",
      ["cover-ring", "Cover O-ring", "cover-ring", { restsOn: ["body"], alongMm: 24, ...sealFilm }],
      ["handle-seal", "Handle lip seal", "handle-seal", { restsOn: ["gear-bearing-outer"], orientation: "lip outward", ...sealFilm }],
    ),
  },
  operations: [
    ...spinningTable.operations.filter(({ id }) => id !== "gate-bail"),
    {
      id: "gate-arm",
      kind: "gate",
      words: "The roller turns under a braid",
      after: place("roller-screw", "roller"),
      lookAt: ["Roller screw too tight", "Bearing seized"],
    },
  ],
});
