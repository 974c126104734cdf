import type { Anatomy, Operation, PartType, Position } from "@/core/anatomy/types";

export interface RingScrew {
  readonly positionId: string;
  readonly name: string;
  /** Which is drawn first, from 1. */
  readonly order: number;
}

/**
 * The order round a ring of screws in which each lies as far as can be from the one before: crosswise. Four are 1, 3, 2, 4; six are 1, 4, 2,
 * 5, 3, 6 (the usual star pattern of bolted flanges). @returns places round the ring, from 0.
 */
export function crosswise(count: number): number[] {
  const half = Math.ceil(count / 2);
  return Array.from({ length: count }, (_, i) => (i % 2 === 0 ? i / 2 : half + (i - 1) / 2));
}

/**
 * The screws that are drawn together with a step: those of one plate for a screw that is started, those a tightening waits for. Their order is
 * the model's, else crosswise. Fewer than two are no ring.
 */
export function screwRing(
  anatomy: Pick<Anatomy, "positions">,
  types: ReadonlyMap<string, PartType>,
  step: { readonly operation: Operation; readonly position: Position | null },
): RingScrew[] {
  const isScrew = (position: Position) => types.get(position.partTypeId)?.shape.kind === "screw";
  const { operation, position } = step;
  let ring: Position[] = [];
  if (operation.kind === "tighten") {
    const after = new Set(operation.after);
    ring = anatomy.positions.filter((one) => after.has(`place-${one.id}`) && isScrew(one));
  } else if (position && isScrew(position) && position.startOrder !== undefined) {
    const plate = (one: Position) => `${one.assemblyId} ${one.passesThrough[0] ?? one.restsOn[0] ?? ""}`;
    ring = anatomy.positions.filter((one) => isScrew(one) && one.startOrder !== undefined && plate(one) === plate(position));
  }
  if (ring.length < 2) return [];
  const cross = crosswise(ring.length);
  return ring.map((one, place) => ({ positionId: one.id, name: one.name, order: one.startOrder ?? cross.indexOf(place) + 1 }));
}
