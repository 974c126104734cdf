import type { PartKind } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";

/** Kinds that come off a shaft as one stack. */
const stacked: ReadonlySet<PartKind> = new Set([
  "washer",
  "keyed-washer",
  "eared-washer",
  "cupped-washer",
  "friction-washer",
  "wave-spring",
  "ratchet",
  "clip",
  "bearing",
  "sleeve",
]);

/**
 * What comes off in one pull with the next part: the run of washers, friction washers and the like that lie on each other in one assembly.
 * They stay together and keep their order. One part alone is no group.
 * @param unit seats that come out as one whatever they are, such as a sealed clutch. @param expected seats in the order they are expected off. @returns seats in that order, the next one first; empty when nothing is expected.
 */
export function pullGroup(
  anatomy: Pick<Anatomy, "positions">,
  types: ReadonlyMap<string, PartType>,
  expected: readonly string[],
  unit: ReadonlySet<string> = new Set(),
): string[] {
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  const first = expected[0] ? byId.get(expected[0]) : undefined;
  if (!first) return [];
  if (unit.has(first.id)) return expected.filter((id) => unit.has(id));
  const group: string[] = [];
  for (const id of expected) {
    const position = byId.get(id);
    const kind = position && types.get(position.partTypeId)?.shape.kind;
    if (!position || !kind || position.assemblyId !== first.assemblyId || !stacked.has(kind)) break;
    const above = group.at(-1);
    // What lies beside the last one, in a hole of its own, is not of the stack.
    if (above && position.acrossMm !== byId.get(above)!.acrossMm) break;
    group.push(id);
  }
  return group.length ? group : [first.id];
}
