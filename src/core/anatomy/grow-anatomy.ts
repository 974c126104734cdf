import type { Anatomy, Operation } from "./types";

/** Whether a schematic was made from a tray and nobody has confirmed a seat of it yet: then a later half can join it. */
export const mayGrow = ({ positions }: Pick<Anatomy, "positions">): boolean => positions.every(({ guessed }) => guessed);

/**
 * A later half joins a schematic made from a tray: what came off later lay deeper, so it stands before what is there. A check that both halves
 * know waits for the parts of both. Ids of the later half must be its own.
 */
export function growAnatomy(there: Anatomy, later: Anatomy): Anatomy {
  const known = new Map(there.operations.map((operation) => [operation.id, operation]));
  const joined = new Map(later.operations.map((operation) => [operation.id, operation]));
  const both = (one: Operation, other: Operation | undefined): Operation =>
    other ? { ...one, after: [...new Set([...one.after, ...other.after])], before: [...new Set([...one.before, ...other.before])] } : one;
  const assemblies = new Set(there.assemblies.map(({ id }) => id));
  return {
    ...there,
    assemblies: [...there.assemblies, ...later.assemblies.filter(({ id }) => !assemblies.has(id))],
    positions: [
      ...there.positions.map((position) => ({ ...position, ordinal: position.ordinal + later.positions.length })),
      ...later.positions,
    ],
    operations: [
      ...there.operations.map((operation) => both(operation, joined.get(operation.id))),
      ...later.operations.filter(({ id }) => !known.has(id)),
    ],
    batches: [...there.batches, ...later.batches],
  };
}
