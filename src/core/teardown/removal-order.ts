import { seatConstraints } from "@/core/anatomy/constraints";
import { peel } from "@/core/anatomy/graph";
import type { Anatomy } from "@/core/anatomy/types";

/**
 * The order in which parts are expected to come off: a part comes off once everything that sits on it, goes through it or holds it is off.
 * Among those that are free the tray follows the model's own sequence, outermost first: assemblies as the model lists them, then from the
 * top of the axis down. A model with a cycle never gets here (checkAnatomy refuses it).
 * @returns position ids, first off first.
 */
export function removalOrder(anatomy: Pick<Anatomy, "assemblies" | "positions">): string[] {
  const rank = new Map(anatomy.assemblies.map((assembly, index) => [assembly.id, index]));
  const sequence = [...anatomy.positions].sort(
    (a, b) => (rank.get(a.assemblyId) ?? 0) - (rank.get(b.assemblyId) ?? 0) || b.ordinal - a.ordinal || (a.id < b.id ? -1 : 1),
  );
  const { order, stuck } = peel(
    sequence.map(({ id }) => id),
    // What goes in after a part comes off before it.
    seatConstraints(anatomy).map(({ before, after }) => ({ before: after, after: before })),
  );
  if (stuck.size) throw new Error("removalOrder: the seats wait for each other in a circle; check-anatomy names it");
  return order;
}
