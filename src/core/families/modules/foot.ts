import { screw, steel, threadFilm } from "../tables/rows";
import type { PartRow, SeatRow } from "../tables/table";

/** A foot held by two short screws of its own. Source: common practice; sizes are typical and ours. */
export const footScrewPart = (number: string, lengthMm = 5): PartRow => [
  "foot-screw",
  number,
  "Foot screw, short",
  "foot-screw",
  screw(3, lengthMm),
  steel,
  60,
];

export const footScrewSeats: readonly SeatRow[] = (["front", "rear"] as const).map((end, at) => [
  `foot-screw-${end}`,
  `Foot screw, ${end}`,
  "foot-screw",
  {
    acrossMm: at ? -9 : 9,
    restsOn: ["foot"],
    hole: `foot, ${end}`,
    holeDepthMm: 5.5,
    tightness: "firm",
    ...threadFilm,
    trap: "Short ones here: a long screw goes through the frame.",
  },
]);
export const footScrews: readonly string[] = footScrewSeats.map(([id]) => id);
