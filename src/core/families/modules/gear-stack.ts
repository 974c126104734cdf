import { steel } from "../tables/rows";
import type { PartRow, Seat, SeatRow } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

/** What the frame gives a stack in the main gear. */
export interface StackJoint {
  /** The seat of the sleeve or shaft whose flats the keyed washers find. */
  readonly shaft: string;
  /** What of the frame holds the closing plate down, where it does. */
  readonly heldBy: readonly string[];
  /** How the closing plate lies. */
  readonly closes: Seat;
  /** What hands take off and fit as one with it. */
  readonly below: readonly string[];
  /** Catalogue numbers. */
  readonly numbers: {
    readonly low: string;
    readonly friction: string;
    readonly keyed: string;
    readonly eared: string;
    readonly cap: string;
  };
}

const film = (why: string): Seat => ({ lubricant: { product: "drag grease", amount: "a film, wiped till the weave shows", why } });

/**
 * The drag stack in the main gear: three friction and three metal closed by a thick keyed plate, or four and three under a cap. Source: common
 * practice; sizes are typical and ours.
 */
export function stackInGear(joint: StackJoint): Module {
  const { numbers, shaft } = joint;
  const friction = (id: string, name: string, restsOn: string, part: string, rest: Seat): SeatRow => [
    id,
    name,
    part,
    { ridesOn: shaft, insideOf: "main-gear", restsOn: [restsOn], ...rest },
  ];
  const keyed = (id: string, name: string, restsOn: string, rest: Seat, part = "keyed"): SeatRow => [
    id,
    name,
    part,
    {
      ridesOn: shaft,
      insideOf: "main-gear",
      restsOn: [restsOn],
      turnsWith: "sleeve",
      orientation: "flats on the sleeve's flats",
      ...rest,
    },
  ];
  const closing = (restsOn: string, rest: Seat) => ({ heldBy: joint.heldBy.slice(), ...joint.closes, ...rest, restsOn: [restsOn] });
  const lowFive: readonly SeatRow[] = [
    friction("friction-low", "Friction washer, low", "main-gear", "friction-low", {
      orientation: "the one with the larger hole",
      lubricant: {
        product: "drag grease",
        amount: "a film, wiped till the weave shows",
        why: "smooth start; leave dry if the customer wants most pull",
      },
    }),
    keyed("keyed-low", "Keyed washer, low", "friction-low", {
      trap: "Keyed low and high, the eared one between: swapped, the stack does not slip where it should.",
    }),
    friction("friction-mid", "Friction washer, middle", "keyed-low", "friction", film("as the low one")),
    [
      "eared",
      "Eared washer",
      "eared",
      { ridesOn: shaft, insideOf: "main-gear", restsOn: ["friction-mid"], turnsWith: "gear", orientation: "ears in the gear's slots" },
    ],
    friction("friction-high", "Friction washer, high", "eared", "friction", {
      hides: true,
      ...film("as the low one"),
      trap: "It clings to the washer above and is left out.",
    }),
  ];
  const metals: readonly PartRow[] = [
    [
      "friction-low",
      numbers.low,
      "Friction washer, large hole",
      "friction-washer-low",
      { kind: "friction-washer", outsideMm: 31, insideMm: 10, thicknessMm: 0.9 },
      "carbon",
      340,
    ],
    [
      "friction",
      numbers.friction,
      "Friction washer",
      "friction-washer",
      { kind: "friction-washer", outsideMm: 31, insideMm: 8.6, thicknessMm: 0.9 },
      "carbon",
      320,
    ],
    [
      "keyed",
      numbers.keyed,
      "Keyed drag washer",
      "keyed-washer",
      { kind: "keyed-washer", outsideMm: 30, insideMm: 8.2, thicknessMm: 1.2, acrossFlatsMm: 6.5 },
      steel,
      280,
    ],
    [
      "eared",
      numbers.eared,
      "Eared drag washer",
      "eared-washer",
      { kind: "eared-washer", outsideMm: 29, insideMm: 8.6, thicknessMm: 1.2, ears: 4, earMm: 3.2 },
      steel,
      310,
    ],
  ];
  const build = (id: string, name: string, parts: readonly PartRow[], seats: readonly SeatRow[]): ModuleBuild => ({
    id,
    name,
    parts,
    seats,
    operations: [],
    batches: [["stack", "Gear and drag stack", ...joint.below, ...seats.map(([seat]) => seat)]],
  });
  return {
    id: "stack",
    name: "Drag stack",
    builds: [
      build("three-three", "three friction and three metal, a thick keyed plate on top", metals, [
        ...lowFive,
        keyed("keyed-high", "Keyed washer, high", "friction-high", closing("friction-high", {})),
      ]),
      build(
        "four-three-cap",
        "four friction and three metal under a cap",
        [
          ...metals,
          [
            "stack-cap",
            numbers.cap,
            "Stack cap",
            "keyed-washer",
            { kind: "keyed-washer", outsideMm: 30, insideMm: 8.2, thicknessMm: 2, acrossFlatsMm: 6.5 },
            steel,
            390,
          ],
        ],
        [
          ...lowFive,
          keyed("keyed-third", "Keyed washer, third", "friction-high", {}),
          friction("friction-top", "Friction washer, under the cap", "keyed-third", "friction", {
            hides: true,
            ...film("as the low one"),
            trap: "It clings under the cap and is left out.",
          }),
          keyed("keyed-high", "Stack cap", "friction-top", closing("friction-top", {}), "stack-cap"),
        ],
      ),
    ],
  };
}

/** Ears of the eared washer: two or four. */
export const twoEars = (number: string): PartRow => [
  "eared",
  number,
  "Eared drag washer, two ears",
  "eared-washer",
  { kind: "eared-washer", outsideMm: 29, insideMm: 8.6, thicknessMm: 1.2, ears: 2, earMm: 3.2 },
  steel,
  310,
];
