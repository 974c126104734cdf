import type { PartKind } from "@/core/anatomy/shapes";
import { sharedName } from "@/core/anatomy/shared-name";
import type { Anatomy, Batch, PartType, Position } from "@/core/anatomy/types";

/** Kinds that lie on each other along an axis and come off as one. */
const stacked: ReadonlySet<PartKind> = new Set([
  "washer",
  "keyed-washer",
  "eared-washer",
  "cupped-washer",
  "friction-washer",
  "wave-spring",
]);
const fasteners: ReadonlySet<PartKind> = new Set(["screw", "nut"]);

/**
 * What hands do as one on a machine: what its model says, then the rings of screws through one plate and the stacks of washers that it does not
 * mention. A seat belongs to one of them at most. @param unit seats that come out as one whatever they are, such as a sealed clutch.
 */
export function batchesOf(
  anatomy: Pick<Anatomy, "positions" | "batches">,
  types: ReadonlyMap<string, PartType>,
  unit: ReadonlySet<string> = new Set(),
): Batch[] {
  const kindOf = (position: Position) => types.get(position.partTypeId)?.shape.kind;
  const taken = new Set<string>();
  const batches: Batch[] = [];
  const add = (id: string, name: string, seats: readonly string[]) => {
    const positionIds = seats.filter((seat) => !taken.has(seat));
    if (positionIds.length < 2) return;
    for (const seat of positionIds) taken.add(seat);
    batches.push({ id, name, positionIds });
  };
  if (unit.size) add("sealed-unit", "Sealed unit", [...unit]);
  for (const { id, name, positionIds } of anatomy.batches) add(id, name, positionIds);

  const rings = new Map<string, Position[]>();
  for (const position of anatomy.positions) {
    const kind = kindOf(position);
    if (!kind || !fasteners.has(kind) || taken.has(position.id)) continue;
    const key = `${position.assemblyId} ${kind} ${position.passesThrough[0] ?? position.restsOn[0] ?? ""}`;
    rings.set(key, [...(rings.get(key) ?? []), position]);
  }
  for (const ring of rings.values())
    add(
      `ring-${ring[0]!.id}`.slice(0, 60),
      sharedName(ring.map(({ name }) => name)),
      ring.map(({ id }) => id),
    );

  const along = [...anatomy.positions].sort((a, b) =>
    a.assemblyId < b.assemblyId ? -1 : a.assemblyId > b.assemblyId ? 1 : a.ordinal - b.ordinal,
  );
  let run: Position[] = [];
  const close = () => {
    if (run.length > 1)
      add(
        `stack-${run[0]!.id}`.slice(0, 60),
        "Stack",
        run.map(({ id }) => id),
      );
    run = [];
  };
  for (const position of along) {
    const kind = kindOf(position);
    const last = run.at(-1);
    const goesOn = last && last.assemblyId === position.assemblyId && last.acrossMm === position.acrossMm;
    if (!kind || !stacked.has(kind) || taken.has(position.id)) close();
    else {
      if (last && !goesOn) close();
      run.push(position);
    }
  }
  close();
  return batches;
}
