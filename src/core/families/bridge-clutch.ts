import { starDragBridgeTable as bridge } from "./star-drag-bridge";
import { look, place, reseat } from "./tables/rows";
import type { PartRow, SeatRow, TemplateTable } from "./tables/table";

const clutchGate = {
  id: "gate-clutch",
  kind: "gate" as const,
  words: "The sleeve holds at once backwards: no slip before the dog catches",
  after: place("clutch-collar", "retainer-screw-front", "retainer-screw-rear"),
  before: place("ferrule"),
  lookAt: [
    look("Grease in the clutch", ["clutch"]),
    look("Collar pitted or left out", ["clutch-collar"], "left-out"),
    look("Clutch turned over", ["clutch"], "turned"),
  ],
};

const sleeveGate = {
  id: "gate-sleeve",
  kind: "gate" as const,
  words: "The sleeve turns forward without a drag",
  after: ["tighten-bridge"],
  lookAt: [
    look(
      "Bridge screw too long in a low hole: part thread belongs on top",
      ["bridge-screw-low-front", "bridge-screw-low-rear", "bridge-screw-top-front", "bridge-screw-top-rear"],
      "swapped",
    ),
    look("Sleeve dry on its post", ["gear-sleeve"]),
  ],
};

const springs = ["yoke-spring-front", "yoke-spring-rear"];

/** The head plate's seats with the springs over the yoke. */
function fullFrame(rows: readonly SeatRow[]): SeatRow[] {
  const under = reseat(rows, "yoke", { restsOn: ["jack"] });
  const over = springs.reduce<SeatRow[]>(
    (so, id) => reseat(so, id, { restsOn: ["yoke", "main-gear"], orientation: "upright on the yoke's ear, after the main gear" }),
    under.filter(([id]) => springs.includes(id)),
  );
  const pinion = under.findIndex(([id]) => id === "pinion");
  return [
    ...under.slice(0, pinion + 1).filter(([id]) => !springs.includes(id)),
    ...over,
    ...under.slice(pinion + 1).filter(([id]) => !springs.includes(id)),
  ];
}

/** A star drag's bridge reel with a one-way roller clutch in its head plate; the dog stays as the back-up. */
export const bridgeClutchTable: TemplateTable = {
  ...bridge,
  family: "star-drag-clutch",
  batches: [
    ...(bridge.batches ?? []).filter(([id]) => id !== "yoke" && id !== "yoke-screws"),
    ["yoke", "Pinion and yoke", "yoke", "pinion"],
    ["yoke-screws", "Yoke screws with their springs", ...springs, "bridge-screw-top-front", "bridge-screw-top-rear"],
    ["clutch", "One-way clutch with its plate", "clutch", "retainer", "retainer-screw-front", "retainer-screw-rear", "clutch-collar"],
  ],
  // biome-ignore format: one part a line, read as a table
  parts: [
    // The collar stands in the stack too, so the sleeve is longer than a plain bridge's.
    ...bridge.parts.map((row): PartRow => (row[0] === "gear-sleeve" ? ["gear-sleeve", "210", "Gear sleeve, long", "gear-sleeve", { kind: "sleeve", outsideMm: 8, boreMm: 5.05, lengthMm: 46, flangeMm: 12, acrossFlatsMm: 6.4 }, "brass", 1650] : row)),
    ["clutch", "280", "One-way roller clutch", "roller-clutch", { kind: "roller-clutch", outsideMm: 22, boreMm: 12, lengthMm: 9, rollers: 8 }, "stainless steel", 2290],
    ["clutch-collar", "281", "Clutch collar", "clutch-sleeve", { kind: "sleeve", outsideMm: 11.9, boreMm: 8.2, lengthMm: 10 }, "hardened steel", 790],
    ["retainer", "282", "Retainer plate", "clutch-plate", { kind: "plate", outsideMm: 26, thicknessMm: 1.2, holes: 3 }, "stainless steel", 420],
    ["retainer-screw", "283", "Retainer screw", "retainer-screw", { kind: "screw", threadMm: 2, lengthMm: 5, threadedMm: 5, headMm: 3.8, headHeightMm: 1.2, drive: "cross" }, "stainless steel", 60],
  ],
  // biome-ignore format: one seat a line, read as a table
  seats: {
    ...bridge.seats,
    // In a full frame pinion and yoke go in before the main gear; their springs come last and leave first.
    head: fullFrame(bridge.seats.head!),
    stack: reseat(
      reseat(bridge.seats.stack, "main-gear", { restsOn: ["under-gear-washer", "pinion"] }),
      "keyed-high",
      { orientation: "the thick one, convex side up, flats on the sleeve's flats", twoSided: true },
    ),
    handle: [
      ["clutch", "One-way roller clutch", "clutch", { restsOn: ["head-plate"], passesThrough: ["head-plate"], lubricant: { product: "light oil", amount: "a trace", why: "never grease: it clogs the needles and takes the grip" }, orientation: "as marked" }],
      ["retainer", "Retainer plate", "retainer", { restsOn: ["clutch"], heldBy: ["retainer-screw-front", "retainer-screw-rear"], orientation: "on its pins", trap: "A locating pin may have dropped out." }],
      ["retainer-screw-front", "Retainer screw, front", "retainer-screw", { acrossMm: 9, restsOn: ["retainer"], hole: "head plate, clutch, front", holeDepthMm: 6 }],
      ["retainer-screw-rear", "Retainer screw, rear", "retainer-screw", { acrossMm: -9, restsOn: ["retainer"], hole: "head plate, clutch, rear", holeDepthMm: 6 }],
      ["clutch-collar", "Clutch collar", "clutch-collar", { ridesOn: "gear-sleeve", restsOn: ["retainer", "keyed-high"], hides: true, orientation: "clean and dry, free of pits", trap: "Pitted it slips; greased it slips." }],
      ...reseat(bridge.seats.handle, "ferrule", { restsOn: ["clutch-collar"] }),
    ],
  },
  variants: [
    ...(bridge.variants ?? []),
    {
      id: "anti-reverse",
      name: "Anti-reverse",
      choices: [
        { id: "both", name: "roller clutch, the dog behind it" },
        {
          id: "clutch",
          name: "roller clutch alone",
          change: {
            drop: ["dog", "dog-spring", "ratchet"],
            omit: ["gate-dog", "load-dog"],
            reseat: { "under-gear-washer": { restsOn: ["bridge"] }, "sleeve-pin": { heldBy: [] } },
            operations: [sleeveGate, clutchGate],
          },
        },
      ],
    },
  ],
  operations: [...bridge.operations, clutchGate],
};
