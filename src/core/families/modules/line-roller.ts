import { greased, oiled, screw, steel, threadLock } from "../tables/rows";
import type { PartRow, Seat, SeatRow } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

const across = { acrossMm: -10 } as const;

/**
 * A line roller at the end of its arm: on a bearing between a deep and a shallow spacer, or on a bush with two tabs. Source: common practice;
 * sizes are typical and ours. @param arm the seat it stands on. @param hole where its screw goes. @param screwLies how its screw is left and drawn down
 */
export function lineRoller(arm: string, hole: string, screwLies: string): Module {
  const roller: PartRow = [
    "roller",
    "34",
    "Line roller",
    "line-roller",
    { kind: "roller", outsideMm: 9, lengthMm: 8, boreMm: 6.1 },
    "hardened steel",
    690,
  ];
  const rollerScrew: PartRow = ["roller-screw", "36", "Roller screw", "roller-screw", screw(3, 9, 5), steel, 120];
  const rollerSeat = (restsOn: string): SeatRow => [
    "roller",
    "Line roller",
    "roller",
    {
      ...across,
      restsOn: [restsOn],
      heldBy: ["roller-screw"],
      orientation: "thick end as found",
      asFound: true,
      trap: "Thick end wrong: line climbs off it.",
    },
  ];
  const screwSeat = (restsOn: string): SeatRow => [
    "roller-screw",
    "Roller screw",
    "roller-screw",
    { ...across, restsOn: [restsOn], hole, holeDepthMm: 10, orientation: screwLies, twoSided: true, ...threadLock },
  ];
  const spacer = (id: string, name: string, restsOn: string, rest: Seat): SeatRow => [
    id,
    name,
    id === "roller-spacer" ? "roller-spacer" : "roller-spacer-shallow",
    { ...across, restsOn: [restsOn], hides: true, twoSided: true, ...rest },
  ];
  const where = "at both sides of the line roller";
  const build = (id: string, name: string, parts: readonly PartRow[], seats: readonly SeatRow[]): ModuleBuild => ({
    id,
    name,
    parts: [roller, rollerScrew, ...parts],
    seats,
    operations: [],
    batches: [["roller", "Line roller unit", ...seats.map(([seat]) => seat)]],
  });
  return {
    id: "roller",
    name: "Line roller",
    builds: [
      build(
        "bearing",
        "on a bearing between two spacers",
        [
          [
            "roller-bearing",
            "35",
            "Roller bearing 3 × 6 × 2.5",
            "roller-bearing",
            { kind: "bearing", boreMm: 3, outsideMm: 6, widthMm: 2.5, closure: "shielded" },
            steel,
            590,
          ],
          [
            "roller-spacer",
            "38",
            "Roller spacer, deep",
            "shim",
            { kind: "washer", outsideMm: 7, insideMm: 3.1, thicknessMm: 1.4 },
            "plastic",
            60,
          ],
          [
            "roller-spacer-shallow",
            "39",
            "Roller spacer, shallow",
            "shim",
            { kind: "washer", outsideMm: 7, insideMm: 3.1, thicknessMm: 0.6 },
            "plastic",
            60,
          ],
        ],
        [
          spacer("roller-spacer", "Roller spacer, inner", arm, {
            orientation: "the deep one, as this model has it",
            trap: "Exchanged with the outer one the roller rubs: a gap at one side.",
          }),
          [
            "roller-bearing",
            "Roller bearing",
            "roller-bearing",
            {
              ...across,
              restsOn: ["roller-spacer"],
              oilPort: where,
              ...oiled("1 drop, both faces greased", "the first bearing that water spoils"),
            },
          ],
          rollerSeat("roller-bearing"),
          spacer("roller-spacer-outer", "Roller spacer, outer", "roller", {
            orientation: "the shallow one, its shallow face away from the arm",
          }),
          screwSeat("roller-spacer-outer"),
        ],
      ),
      build(
        "bush",
        "on a bush with two tabs",
        [
          [
            "roller-bush",
            "40",
            "Roller bush, two tabs",
            "roller-bush",
            { kind: "sleeve", outsideMm: 6, boreMm: 3.1, lengthMm: 8 },
            "plastic",
            140,
          ],
          ["roller-washer", "41", "Roller washer", "shim", { kind: "washer", outsideMm: 7, insideMm: 3.1, thicknessMm: 0.4 }, steel, 50],
        ],
        [
          [
            "roller-bush",
            "Roller bush",
            "roller-bush",
            {
              ...across,
              restsOn: [arm],
              orientation: "tabs in their slots, flush with the post",
              oilPort: where,
              ...greased("a film, surplus wiped", "bush and roller turn on it"),
              trap: "Tabs off their slots: it does not stand flush.",
            },
          ],
          rollerSeat("roller-bush"),
          ["roller-washer", "Roller washer", "roller-washer", { ...across, restsOn: ["roller"], hides: true }],
          screwSeat("roller-washer"),
        ],
      ),
    ],
  };
}
