import { threadFilm } from "../tables/rows";
import type { PartRow, Seat, SeatRow, TableChange, VariantChoice } from "../tables/table";

/** A screw in a plate's ring. */
export interface RingScrew {
  readonly id: string;
  readonly name: string;
  readonly acrossMm: number;
  readonly hole: string;
  readonly holeDepthMm: number;
  readonly part: string;
  readonly trap?: string;
}

/** The seats of the screws that hold a plate to what lies under it. */
export const ringOf = (plate: string, onto: string, screws: readonly RingScrew[], rest: Seat = {}): SeatRow[] =>
  screws.map(({ id, name, acrossMm, hole, holeDepthMm, part, trap }) => [
    id,
    name,
    part,
    { acrossMm, passesThrough: [plate], restsOn: [onto], hole, holeDepthMm, ...threadFilm, ...(trap ? { trap } : {}), ...rest },
  ]);

/** Where a ring stands: the plate it holds, and who waits for its screws. */
export interface RingJoint {
  readonly assembly: string;
  readonly after: string;
  readonly plate: string;
  readonly onto: string;
  /** Seats that the ring holds down. */
  readonly holds: readonly string[];
  readonly operations: NonNullable<TableChange["operations"]>;
}

/** A ring with other screws than the usual one's, as a choice. */
export function ringChoice(
  id: string,
  name: string,
  { assembly, after, plate, onto, holds, operations }: RingJoint,
  usual: readonly RingScrew[],
  screws: readonly RingScrew[],
  parts: readonly PartRow[],
): VariantChoice {
  const ids = screws.map((screw) => screw.id);
  return {
    id,
    name,
    change: {
      parts,
      drop: usual.map((screw) => screw.id).filter((screw) => !ids.includes(screw)),
      put: ringOf(plate, onto, screws).map((row, i) => ({ after: i ? ids[i - 1]! : after, assembly, row })),
      reseat: Object.fromEntries(holds.map((seat) => [seat, { heldBy: [...ids] }])),
      freedBy: { [assembly]: ids },
      operations,
    },
  };
}
