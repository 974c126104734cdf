import { steel } from "../tables/rows";
import type { PartRow, Seat } from "../tables/table";
import type { Module, ModuleBuild } from "./module";

/** What the frame gives the pieces below a handle to sit on. */
export interface UnderHandleJoint {
  /** The seat they turn on: sleeve or drive shaft. */
  readonly shaft: string;
  /** The seat under them. */
  readonly restsOn: string;
  readonly boreMm: number;
  /** Catalogue numbers of what stands on the star, and of the spring plate over it. */
  readonly numbers: { readonly spacer: string; readonly plate: string };
}

/** Every seat below a handle in any build, from the star outwards. */
export const underSeats: readonly string[] = ["handle-spacer", "spring-plate"];

/**
 * What keeps a handle's nut from locking the drag: a thick spacer, one with a spring plate, a square plate in the handle's recess, or a thin washer.
 * Source: common practice; sizes are typical and ours.
 */
export function underHandle({ shaft, restsOn, boreMm, numbers }: UnderHandleJoint): Module {
  const spacer = (name: string, outsideMm: number, thicknessMm: number, material: string): PartRow => [
    "handle-spacer",
    numbers.spacer,
    name,
    "handle-spacer",
    { kind: "washer", outsideMm, insideMm: boreMm, thicknessMm },
    material,
    110,
  ];
  const seat: Seat = {
    ridesOn: shaft,
    restsOn: [restsOn],
    hides: true,
    orientation: "flat",
    trap: "Without it the handle's end locks the drag.",
  };
  const build = (id: string, name: string, part: PartRow, rest: Seat = {}): ModuleBuild => ({
    id,
    name,
    parts: [part],
    seats: [["handle-spacer", part[2], "handle-spacer", { ...seat, ...rest }]],
    operations: [],
    batches: [],
  });
  const thick = build("spacer", "a thick spacer", spacer("Handle spacer", boreMm + 3.8, 1.5, "brass"));
  return {
    id: "under-handle",
    name: "Under the handle",
    builds: [
      thick,
      {
        id: "spring-plate",
        name: "a thick spacer and a spring plate",
        parts: [
          ...thick.parts,
          [
            "spring-plate",
            numbers.plate,
            "Spring plate",
            "spring-plate",
            { kind: "washer", outsideMm: boreMm + 4.8, insideMm: boreMm, thicknessMm: 0.4 },
            "spring steel",
            90,
          ],
        ],
        seats: [
          ...thick.seats,
          [
            "spring-plate",
            "Spring plate",
            "spring-plate",
            { ridesOn: shaft, restsOn: ["handle-spacer"], hides: true, orientation: "bow up" },
          ],
        ],
        operations: [],
        batches: [],
      },
      build("square-plate", "a square plate in the handle's recess", spacer("Square plate", boreMm + 4.8, 1.2, steel), {
        orientation: "its square in the handle's recess",
      }),
      build("thin-washer", "a thin washer", spacer("Handle washer", boreMm + 3.8, 0.5, steel)),
    ],
  };
}
