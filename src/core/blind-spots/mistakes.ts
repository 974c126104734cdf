import type { PartKind } from "@/core/anatomy/shapes";
import { isSidedKind } from "@/core/anatomy/two-sides";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import type { MistakeKind } from "@/core/vocabulary/mistakes";

export interface Mistake {
  readonly id: string;
  readonly kind: MistakeKind;
  /** The seats it is made at: one, or the two that are exchanged. */
  readonly seats: readonly string[];
  readonly words: string;
}

const ringKinds: ReadonlySet<PartKind> = new Set(["washer", "keyed-washer", "eared-washer", "cupped-washer", "friction-washer"]);
/** Small enough to stay in the tray, and the reel still closes. */
const smallKinds: ReadonlySet<PartKind> = new Set([
  ...ringKinds,
  "coil-spring",
  "wire-spring",
  "wave-spring",
  "pin",
  "sleeve",
  "bearing",
  "o-ring",
  "lip-seal",
  "clip",
  "magnet",
  "block",
]);
/**
 * Every single mistake a build of this machine allows: a piece turned over that has two sides, a small one left out, two of like size exchanged,
 * two neighbours of a stack the other way round. Common practice.
 */
export function singleMistakes(anatomy: Pick<Anatomy, "positions">, types: ReadonlyMap<string, PartType>): Mistake[] {
  const typeOf = (position: Position) => types.get(position.partTypeId);
  const mistakes: Mistake[] = [];
  for (const position of anatomy.positions) {
    const shape = typeOf(position)?.shape;
    if (!shape || position.stays) continue;
    if (isSidedKind(shape.kind) || position.turned || (ringKinds.has(shape.kind) && position.twoSided))
      mistakes.push({ id: `turned ${position.id}`, kind: "turned", seats: [position.id], words: `${position.name} turned over` });
    if (smallKinds.has(shape.kind))
      mistakes.push({ id: `left-out ${position.id}`, kind: "left-out", seats: [position.id], words: `${position.name} left out` });
  }
  const { positions } = anatomy;
  for (const [i, a] of positions.entries())
    for (const b of positions.slice(i + 1)) {
      const [one, other] = [typeOf(a)?.shape, typeOf(b)?.shape];
      if (one?.kind !== "screw" || other?.kind !== "screw" || a.assemblyId !== b.assemblyId) continue;
      if (one.threadMm === other.threadMm && one.lengthMm !== other.lengthMm)
        mistakes.push({
          id: `swapped ${a.id} ${b.id}`,
          kind: "swapped",
          seats: [a.id, b.id],
          words: `${a.name} and ${b.name} exchanged`,
        });
    }
  for (const assembly of new Set(positions.map(({ assemblyId }) => assemblyId))) {
    const rings = positions
      .filter((position) => position.assemblyId === assembly && position.acrossMm === 0)
      .sort((a, b) => a.ordinal - b.ordinal);
    for (let i = 1; i < rings.length; i++) {
      const [a, b] = [rings[i - 1]!, rings[i]!];
      const [one, other] = [typeOf(a), typeOf(b)];
      // Two of one type are the same either way round.
      if (!one || !other || one.id === other.id) continue;
      if (!ringKinds.has(one.shape.kind) || !ringKinds.has(other.shape.kind) || !b.restsOn.includes(a.id)) continue;
      mistakes.push({
        id: `stacked ${a.id} ${b.id}`,
        kind: "stacked",
        seats: [a.id, b.id],
        words: `${b.name} under ${a.name} instead of over it`,
      });
    }
  }
  return mistakes;
}
