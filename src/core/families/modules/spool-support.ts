import { greased, oiled } from "../tables/rows";
import type { SeatRow, TableChange, Variant } from "../tables/table";

/** Which end of a spool, and what the frame has there. */
export interface SupportJoint {
  readonly id: "head-support" | "tail-support";
  readonly name: string;
  /** The seat of the bearing that the usual reel has at this end. */
  readonly bearing: string;
  /** The plate or wall a bush is pressed into; the cap that may hold one. */
  readonly plate: { readonly assembly: string; readonly seat: string };
  readonly cap: { readonly assembly: string; readonly seat: string } | null;
  /** Seat, name and number of the bush. */
  readonly bush: { readonly seat: string; readonly name: string; readonly number: string };
  readonly boreMm: number;
  /** What has to be off to reach it. */
  readonly reached: string;
  /** Seats that are out then; none where the reel stays whole. */
  readonly reachedWithout?: string[];
  /** What else changes where a bush carries the end. */
  readonly also?: Pick<TableChange, "reseat" | "drop" | "operations" | "omit" | "batches">;
}

/**
 * What an end of the spool turns in: a ball bearing, a plain bush in the plate, or one inside the adjuster cap. Source: common practice; sizes are
 * typical and ours.
 */
export function spoolSupport(joint: SupportJoint): Variant {
  const { bush, plate, cap } = joint;
  const bushIn = (on: string, orientation: string, shutBy: string[]): SeatRow => [
    bush.seat,
    bush.name,
    bush.seat,
    {
      restsOn: [on],
      stays: true,
      inPlace: true,
      shutBy,
      oilPort: joint.reached,
      ...(joint.reachedWithout ? { portBehind: joint.reachedWithout } : {}),
      orientation,
      ...(joint.id === "head-support"
        ? greased("a dab inside for the spool end, a film outside for the pinion", "both turn on it")
        : oiled("1 drop", "the spool's end turns in it")),
    },
  ];
  const change = (into: { assembly: string; seat: string }, orientation: string, shutBy: string[]): TableChange => {
    const { drop = [], ...also } = joint.also ?? {};
    return {
      parts: [
        [
          bush.seat,
          bush.number,
          bush.name,
          "spool-bush",
          { kind: "sleeve", outsideMm: joint.boreMm + 3, boreMm: joint.boreMm, lengthMm: 5 },
          "bronze",
          190,
        ],
      ],
      drop: [joint.bearing, ...drop],
      put: [{ after: into.seat, assembly: into.assembly, row: bushIn(into.seat, orientation, shutBy) }],
      ...also,
    };
  };
  return {
    id: joint.id,
    name: joint.name,
    choices: [
      { id: "bearing", name: "a ball bearing" },
      { id: "bush", name: "a plain bush in the plate", change: change(plate, "pressed in: it stays, and is felt for wear", ["spool"]) },
      ...(cap
        ? [{ id: "cap-bush", name: "a bush inside the adjuster cap", change: change(cap, "inside the cap: it leaves with it", ["cap"]) }]
        : []),
    ],
  };
}
