import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy } from "@/core/anatomy/types";

/**
 * The order in which parts are expected to come off: a part comes off once everything that sits on it, goes through it or holds it is off.
 * Among those that are free the tray follows the model's own sequence, outermost first: assemblies as the model lists them, then from the
 * top of the axis down. Kahn's topological sort; a model with a cycle never gets here (checkAnatomy refuses it).
 * @returns position ids, first off first.
 */
export function removalOrder(anatomy: Pick<Anatomy, "assemblies" | "positions">): string[] {
  const rank = new Map(anatomy.assemblies.map((assembly, index) => [assembly.id, index]));
  const sequence = [...anatomy.positions].sort(
    (a, b) => (rank.get(a.assemblyId) ?? 0) - (rank.get(b.assemblyId) ?? 0) || b.ordinal - a.ordinal || (a.id < b.id ? -1 : 1),
  );
  const constraints = seatConstraints(anatomy);
  const off = new Set<string>();
  const order: string[] = [];
  while (order.length < sequence.length) {
    const free = sequence.find(
      (position) => !off.has(position.id) && constraints.every((c) => c.before !== position.id || off.has(c.after)),
    );
    if (!free) throw new Error("removalOrder: the anatomy has a cycle; checkAnatomy names it");
    off.add(free.id);
    order.push(free.id);
  }
  return order;
}
