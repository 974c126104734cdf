import { type Anatomy, placeOperationId } from "./types";

/**
 * The machine as one edition was built: its own seats and acts, with every reference to a seat it does not have carried on to what that
 * seat rested on, so that the order of the rest stays what it was.
 * @param editionId null, or a model without editions, gives the anatomy itself.
 */
export function anatomyOfEdition(anatomy: Anatomy, editionId: string | null): Anatomy {
  if (editionId === null || !anatomy.editions.length) return anatomy;
  const applies = (item: { editions: readonly string[] }) => !item.editions.length || item.editions.includes(editionId);
  const gone = new Map(anatomy.positions.filter((position) => !applies(position)).map((position) => [position.id, position]));
  const goneActs = new Map(
    anatomy.operations
      .filter((operation) => !applies(operation) || (operation.positionId !== undefined && gone.has(operation.positionId)))
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
      .map((position) => {
        const { ridesOn, insideOf, ...seat } = position;
        return {
          ...seat,
          restsOn: carry(position.restsOn, (id) => gone.get(id)?.restsOn),
          passesThrough: position.passesThrough.filter(here),
          heldBy: carry(position.heldBy, (id) => gone.get(id)?.heldBy),
          ...(ridesOn !== undefined && here(ridesOn) ? { ridesOn } : {}),
          ...(insideOf !== undefined && here(insideOf) ? { insideOf } : {}),
        };
      }),
    operations: anatomy.operations
      .filter((operation) => !goneActs.has(operation.id))
      .map((operation) => ({ ...operation, after: acts(operation.after, "after"), before: acts(operation.before, "before") })),
    gearPairs: anatomy.gearPairs.filter((pair) => here(pair.wheel) && here(pair.pinion)),
  };
}

/** Every machine a model stands for: one for each edition, or the one there is. */
export const machinesOf = (anatomy: Anatomy): { name: string | null; anatomy: Anatomy }[] =>
  anatomy.editions.length
    ? anatomy.editions.map((edition) => ({ name: edition.name, anatomy: anatomyOfEdition(anatomy, edition.id) }))
    : [{ name: null, anatomy }];
