import { oiled, screw, steel } from "../tables/rows";
import type { PartRow, Seat, SeatRow } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

/** What the frame gives a handle's knob to turn on. */
export interface KnobJoint {
  /** The seat of the handle. */
  readonly handle: string;
  /** Where the knob stands beside the handle's axis, mm. */
  readonly acrossMm: number;
  readonly knob: {
    readonly number: string;
    readonly outsideMm: number;
    readonly lengthMm: number;
    readonly material: string;
    readonly priceMinor: number;
  };
  /** Of the pin it turns on. */
  readonly pinMm: number;
  readonly washer: { readonly number: string; readonly outsideMm: number; readonly thicknessMm: number; readonly material: string };
  readonly bearing: { readonly number: string; readonly outsideMm: number; readonly widthMm: number };
  /** Where a second knob like it stands, mm; left out for a handle with one arm. */
  readonly secondAcrossMm?: number;
  /** Catalogue numbers of bush, screw and cap. */
  readonly numbers: { readonly bush: string; readonly screw: string; readonly cap: string };
}

/** The same pieces once more, at the other end of the handle. */
const secondKnob = (seats: readonly SeatRow[], handle: string, acrossMm: number): SeatRow[] =>
  seats.map(([id, name, part, seat]) => [
    `${id}-second`,
    `${name}, second`,
    part,
    { ...seat, acrossMm, restsOn: seat?.restsOn?.map((under) => (under === handle ? under : `${under}-second`)) },
  ]);

/**
 * What a knob turns on: its pin alone with a washer, one bearing, or a bush or two bearings under a prised cap with a screw. It stays on its handle
 * unless it is asked for. Source: common practice; sizes are typical and ours.
 */
export function knobOn(joint: KnobJoint): Module {
  const { handle, acrossMm, pinMm, washer, bearing, numbers } = joint;
  const stays = { stays: true, acrossMm } as const;
  const part: PartRow = [
    "knob",
    joint.knob.number,
    "Handle knob",
    "handle-knob",
    { kind: "knob", outsideMm: joint.knob.outsideMm, lengthMm: joint.knob.lengthMm, boreMm: pinMm },
    joint.knob.material,
    joint.knob.priceMinor,
  ];
  const washerPart: PartRow = [
    "knob-washer",
    washer.number,
    "Knob washer",
    "shim",
    { kind: "washer", outsideMm: washer.outsideMm, insideMm: pinMm + 0.1, thicknessMm: washer.thicknessMm },
    washer.material,
    40,
  ];
  const bearingPart: PartRow = [
    "knob-bearing",
    bearing.number,
    `Knob bearing ${pinMm} × ${bearing.outsideMm} × ${bearing.widthMm}`,
    "knob-bearing",
    { kind: "bearing", boreMm: pinMm, outsideMm: bearing.outsideMm, widthMm: bearing.widthMm, closure: "shielded" },
    steel,
    490,
  ];
  const bushPart: PartRow = [
    "knob-bush",
    numbers.bush,
    "Knob bush",
    "knob-bush",
    { kind: "sleeve", outsideMm: bearing.outsideMm, boreMm: pinMm, lengthMm: bearing.widthMm },
    "plastic",
    90,
  ];
  const capped: readonly PartRow[] = [
    ["knob-screw", numbers.screw, "Knob screw", "knob-screw", screw(2, 6), steel, 90],
    ["knob-cap", numbers.cap, "Knob cap", "knob-cap", { kind: "cap", outsideMm: joint.knob.outsideMm - 8, heightMm: 2 }, "plastic", 140],
  ];
  const washerSeat: SeatRow = [
    "knob-washer",
    "Knob washer",
    "knob-washer",
    { ...stays, restsOn: [handle], hides: true, orientation: "in its recess" },
  ];
  const on = (restsOn: string, more: Seat): SeatRow => ["knob", "Handle knob", "knob", { ...stays, restsOn: [restsOn], ...more }];
  const underCap = (restsOn: string): readonly SeatRow[] => [
    [
      "knob-screw",
      "Knob screw",
      "knob-screw",
      { ...stays, restsOn: [restsOn], hole: "the end of the knob's pin", holeDepthMm: 7, stripsEasily: true },
    ],
    ["knob-cap", "Knob cap", "knob-cap", { ...stays, restsOn: ["knob-screw"], orientation: "pressed in; prised with something soft" }],
  ];
  const drops = (where: string): Seat => ({ oilPort: where, ...oiled("1 drop each side", "the knob spins in spray") });
  const build = (id: string, name: string, parts: readonly PartRow[], seats: readonly SeatRow[], apart: boolean): ModuleBuild => {
    const second = joint.secondAcrossMm === undefined ? [] : secondKnob(seats, handle, joint.secondAcrossMm);
    const asOne = (of: readonly SeatRow[]) => of.map(([seat]) => seat);
    return {
      id,
      name,
      parts,
      seats: [...seats, ...second],
      operations: [],
      batches: apart
        ? [
            ["knob", "Knob with what it turns on", ...asOne(seats)],
            ...(second.length ? [["knob-second", "Second knob with what it turns on", ...asOne(second)] as const] : []),
          ]
        : [],
    };
  };
  const where = "where the knob turns, a drop each side";
  return {
    id: "knob",
    name: "Knob",
    builds: [
      build("pin", "on its pin, with a washer", [part, washerPart], [washerSeat, on("knob-washer", drops(where))], false),
      build(
        "bearing",
        "on one bearing",
        [part, washerPart, bearingPart],
        [
          washerSeat,
          ["knob-bearing", "Knob bearing", "knob-bearing", { ...stays, restsOn: ["knob-washer"], hides: true }],
          on("knob-bearing", { oilPort: "at the end of the knob", ...oiled("1 drop", "it spins in spray") }),
        ],
        true,
      ),
      build(
        "bush-under-cap",
        "on a bush, a screw under a prised cap",
        [part, washerPart, bushPart, ...capped],
        [
          washerSeat,
          ["knob-bush", "Knob bush", "knob-bush", { ...stays, restsOn: ["knob-washer"], hides: true }],
          on("knob-bush", drops("under its cap, and at the arm")),
          ...underCap("knob"),
        ],
        true,
      ),
      build(
        "bearings-under-cap",
        "on two bearings, a screw under a prised cap",
        [part, washerPart, bearingPart, ...capped],
        [
          washerSeat,
          ["knob-bearing", "Knob bearing, at the arm", "knob-bearing", { ...stays, restsOn: ["knob-washer"], hides: true }],
          on("knob-bearing", drops("under its cap, and at the arm")),
          ["knob-bearing-outer", "Knob bearing, under the cap", "knob-bearing", { ...stays, restsOn: ["knob"], hides: true }],
          ...underCap("knob-bearing-outer"),
        ],
        true,
      ),
    ],
  };
}
