import type { Anatomy } from "@/core/anatomy/types";
import type { Choice } from "@/core/ways/ways";

/**
 * The order in which parts are expected off, by bench order: everything in the model's own sequence, or one half (side) after the other.
 * @param expected seats in the model's order. The result keeps it within each half.
 */
export function byBenchOrder(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  expected: readonly string[],
  way: Choice<"benchOrder">,
  mayGo: (id: string, off: ReadonlySet<string>) => boolean,
): string[] {
  if (way === "whole") return [...expected];
  const sideOf = new Map(anatomy.assemblies.map(({ id, side }) => [id, side]));
  const side = (id: string) => sideOf.get(anatomy.positions.find((position) => position.id === id)!.assemblyId)!;
  const left = [...expected];
  const order: string[] = [];
  const off = new Set(anatomy.positions.map(({ id }) => id).filter((id) => !expected.includes(id)));
  let here = left[0] ? side(left[0]) : null;
  while (left.length) {
    // Stay on this half as long as anything of it can come off; only then turn the reel over.
    const next = left.find((id) => side(id) === here && mayGo(id, off)) ?? left.find((id) => mayGo(id, off)) ?? left[0]!;
    here = side(next);
    order.push(next);
    off.add(next);
    left.splice(left.indexOf(next), 1);
  }
  return order;
}
