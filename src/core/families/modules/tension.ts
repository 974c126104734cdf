import type { PartRow, Seat, SeatRow, Variant } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

/** What the frame gives the washers that a star presses on. */
export interface TensionJoint {
  /** The seat of the sleeve or shaft they ride on. */
  readonly shaft: string;
  /** What they lie on. */
  readonly restsOn: string;
  /** Seats below them that hands take with the star. */
  readonly below: readonly string[];
  readonly number: string;
  readonly outsideMm: number;
  readonly insideMm: number;
  /** What of the star comes off and goes on with it, beside the star. */
  readonly star: readonly string[];
}

/**
 * The cupped washers under a star: two facing each other, one, three, or one on each side of the star. The one next below the star is always the
 * seat "tension-upper". Source: common practice; sizes are typical and ours.
 */
export function tensionWashers(joint: TensionJoint): Module {
  const { shaft, below, star } = joint;
  const part: PartRow = [
    "tension",
    joint.number,
    "Tension washer",
    "tension-washer",
    { kind: "cupped-washer", outsideMm: joint.outsideMm, insideMm: joint.insideMm, thicknessMm: 0.5, coneHeightMm: 0.4 },
    "spring steel",
    140,
  ];
  const row = (id: string, name: string, restsOn: string, rest: Seat): SeatRow => [
    id,
    name,
    "tension",
    { ridesOn: shaft, restsOn: [restsOn], turnsWith: "sleeve", twoSided: true, ...rest },
  ];
  const build = (id: string, name: string, seats: readonly SeatRow[]): ModuleBuild => ({
    id,
    name,
    parts: [part],
    seats,
    operations: [],
    batches: [["star", "Star and tension washers", ...below, ...seats.map(([seat]) => seat), ...star, "star"]],
  });
  const lower = row("tension-lower", "Tension washer, lower", joint.restsOn, {
    turned: true,
    orientation: "cup up",
    trap: "Nested with the upper one it is four times as stiff: the star jumps from loose to locked.",
  });
  return {
    id: "tension",
    name: "Tension washers",
    builds: [
      build("two", "two, facing each other", [
        lower,
        row("tension-upper", "Tension washer, upper", "tension-lower", {
          orientation: "cup down, facing the lower one, a slit of light between",
          trap: "The two must face each other, not lie in one another.",
        }),
      ]),
      build("one", "one, cup up", [
        row("tension-upper", "Tension washer", joint.restsOn, {
          turned: true,
          orientation: "cup up",
          trap: "Cup up: turned over the star works on its rim alone.",
        }),
      ]),
      build("three", "three: up, up, down", [
        lower,
        row("tension-middle", "Tension washer, middle", "tension-lower", { turned: true, orientation: "cup up, in the lower one" }),
        row("tension-upper", "Tension washer, upper", "tension-middle", {
          orientation: "cup down, facing the two below",
          trap: "The upper one must face the two below, not lie in them.",
        }),
      ]),
    ],
  };
}

/** Tension washers as a choice of their family, with one on each side of the star as one more: what stands on the star then stands on the outer one. */
export const withEitherSide = (
  { id, name, choices: [usual, ...others] }: Variant,
  assembly: string,
  { shaft, restsOn }: Pick<TensionJoint, "shaft" | "restsOn">,
): Variant => ({
  id,
  name,
  choices: [
    usual,
    ...others,
    {
      id: "either-side",
      name: "one on each side of the star",
      change: {
        drop: ["tension-lower"],
        put: [
          {
            after: "star",
            assembly,
            row: [
              "tension-outer",
              "Tension washer, outer",
              "tension",
              {
                ridesOn: shaft,
                restsOn: ["star"],
                turnsWith: "sleeve",
                twoSided: true,
                orientation: "cup to the star",
                trap: "It leaves with the handle: look for it there.",
              },
            ],
          },
        ],
        reseat: {
          "tension-upper": {
            name: "Tension washer, inner",
            restsOn: [restsOn],
            turned: true,
            orientation: "cup up, to the star",
            trap: "Cup up: turned over the star works on its rim alone.",
          },
          "handle-spacer": { restsOn: ["tension-outer"] },
        },
      },
    },
  ],
});
