import { kept } from "@/core/kept";
import type { Anatomy } from "./types";

/** One "before → after" between two positions, with the reason in the bench's words. */
export interface Constraint {
  readonly before: string;
  readonly after: string;
  readonly reason: string;
}

/**
 * All seat constraints of an anatomy, as pairs of position ids in the order they go **in**.
 * Rests on, rides on and passes through put the other first; held by puts the holder last.
 */
export const seatConstraints: (anatomy: Pick<Anatomy, "positions">) => readonly Constraint[] = kept(
  (anatomy) => constraintsOf(anatomy),
  () => "",
);

function constraintsOf(anatomy: Pick<Anatomy, "positions">): Constraint[] {
  const names = new Map(anatomy.positions.map((position) => [position.id, position.name]));
  const name = (id: string) => names.get(id) ?? id;
  return anatomy.positions.flatMap((position) => [
    ...position.restsOn.map((below) => ({ before: below, after: position.id, reason: `${position.name} sits on ${name(below)}` })),
    ...(position.ridesOn
      ? [{ before: position.ridesOn, after: position.id, reason: `${position.name} rides on ${name(position.ridesOn)}` }]
      : []),
    ...position.passesThrough.map((outer) => ({
      before: outer,
      after: position.id,
      reason: `${position.name} goes through ${name(outer)}`,
    })),
    ...position.heldBy.map((holder) => ({ before: position.id, after: holder, reason: `${name(holder)} holds ${position.name}` })),
  ]);
}
