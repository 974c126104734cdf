import { type Anatomy, placeOperationId } from "./types";

/**
 * A machine with some seats and acts taken away. Whatever rested on a seat that goes now rests on what that one rested on, and acts wait for
 * what the lost ones waited for, so that the order of the rest stays what it was.
 */
export function withoutSeats(anatomy: Anatomy, seats: ReadonlySet<string>, operations: ReadonlySet<string> = new Set()): Anatomy {
  const gone = new Map(anatomy.positions.filter((position) => seats.has(position.id)).map((position) => [position.id, position]));
  const goneActs = new Map(
    anatomy.operations
      .filter((operation) => operations.has(operation.id) || (operation.positionId !== undefined && gone.has(operation.positionId)))
      .map((operation) => [operation.id, operation]),
  );
  if (!gone.size && !goneActs.size) return anatomy;
  const carry = (ids: readonly string[], through: (id: string) => readonly string[] | undefined): string[] => {
    const kept = new Set<string>();
    const seen = new Set<string>();
    const walk = (id: string) => {
      if (seen.has(id)) return;
      seen.add(id);
      const onward = through(id);
      if (onward) onward.forEach(walk);
      else kept.add(id);
    };
    ids.forEach(walk);
    return [...kept];
  };
  const here = (id: string) => !gone.has(id);
  const placesGone = new Set([...gone.keys()].map(placeOperationId));
  const acts = (ids: readonly string[], side: "after" | "before") =>
    carry(ids, (id) => (placesGone.has(id) ? [] : goneActs.get(id)?.[side]));
  return {
    ...anatomy,
    positions: anatomy.positions
      .filter((position) => here(position.id))
      .map(({ ridesOn, insideOf, shutBy, portBehind, ...seat }) => ({
        ...seat,
        ...(shutBy ? { shutBy: shutBy.filter(here) } : {}),
        ...(portBehind ? { portBehind: portBehind.filter(here) } : {}),
        restsOn: carry(seat.restsOn, (id) => gone.get(id)?.restsOn),
        setFirst: seat.setFirst.filter(({ control }) => control === undefined || here(control)),
        passesThrough: seat.passesThrough.filter(here),
        heldBy: carry(seat.heldBy, (id) => gone.get(id)?.heldBy),
        ...(ridesOn !== undefined && here(ridesOn) ? { ridesOn } : {}),
        ...(insideOf !== undefined && here(insideOf) ? { insideOf } : {}),
      })),
    operations: anatomy.operations
      .filter((operation) => !goneActs.has(operation.id))
      .map((operation) => ({ ...operation, after: acts(operation.after, "after"), before: acts(operation.before, "before") })),
    gearPairs: anatomy.gearPairs.filter((pair) => here(pair.wheel) && here(pair.pinion)),
    assemblies: anatomy.assemblies.map(({ carrier, freedBy, shutBy, ...assembly }) => ({
      ...assembly,
      ...(carrier !== undefined && here(carrier) ? { carrier } : {}),
      ...(freedBy ? { freedBy: freedBy.filter(here) } : {}),
      ...(shutBy ? { shutBy: shutBy.filter(here) } : {}),
    })),
    batches: anatomy.batches
      .map((batch) => ({ ...batch, positionIds: batch.positionIds.filter(here) }))
      .filter(({ positionIds }) => positionIds.length > 1),
  };
}
