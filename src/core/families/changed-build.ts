import { type Anatomy, anatomySchema, type PartType, type Position } from "@/core/anatomy/types";
import type { FamilyTemplate } from "./template";

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

/** One list by id, as another build has it: what that build lacks goes, what it has comes, what it says otherwise is taken over key by key. */
function rebuilt<T extends { readonly id: string }>(own: readonly T[], from: readonly T[], to: readonly T[]): T[] {
  const [before, after] = [from, to].map((list) => new Map(list.map((one) => [one.id, one])));
  const kept = own
    .filter(({ id }) => !before!.has(id) || after!.has(id))
    .map((one) => {
      const [was, is] = [before!.get(one.id), after!.get(one.id)];
      if (!was || !is) return one;
      const next: Record<string, unknown> = { ...one };
      for (const key of new Set([...Object.keys(was), ...Object.keys(is)]) as Set<keyof T & string>)
        if (differs(was[key], is[key])) {
          if (is[key] === undefined) delete next[key];
          else next[key] = is[key];
        }
      return next as unknown as T;
    });
  const ids = new Set(kept.map(({ id }) => id));
  const all = [...kept, ...to.filter(({ id }) => !before!.has(id) && !ids.has(id))];
  // What the build has stands in its order; one's own stay between, where they were.
  const byId = new Map(all.map((one) => [one.id, one]));
  const inOrder = to.flatMap(({ id }) => byId.get(id) ?? []);
  let next = 0;
  return all.map((one) => (after!.has(one.id) ? inOrder[next++]! : one));
}

/**
 * A model's machine as another build of its family has it. What somebody edited stays, as far as the two builds do not differ there; seats of
 * one's own keep their place. @param ownPart the model's own catalogue id of a template's part.
 */
export function changedBuild(anatomy: Anatomy, from: FamilyTemplate, to: FamilyTemplate, ownPart: (part: PartType) => string): Anatomy {
  const parts = (template: FamilyTemplate) => new Map(template.parts.map((part) => [part.id, part]));
  const [partsFrom, partsTo] = [parts(from), parts(to)];
  const seats = new Map(to.anatomy.positions.map((seat) => [seat.id, seat]));
  // Part ids are compared as the template's, and become the model's own where the part is another.
  const changedPart = (seat: Position): boolean => {
    const [a, b] = [from.anatomy.positions.find(({ id }) => id === seat.id), seats.get(seat.id)];
    return !a || !b || differs(partsFrom.get(a.partTypeId), partsTo.get(b.partTypeId));
  };
  const mine = new Map(anatomy.positions.map((seat) => [seat.id, seat.partTypeId]));
  const positions = rebuilt(anatomy.positions, from.anatomy.positions, to.anatomy.positions).map((seat) => {
    const template = seats.get(seat.id);
    if (!template) return seat;
    const partTypeId = changedPart(seat) ? ownPart(partsTo.get(template.partTypeId)!) : (mine.get(seat.id) ?? seat.partTypeId);
    return { ...seat, partTypeId };
  });
  const there = new Set(positions.map(({ id }) => id));
  const only = (ids: readonly string[]) => ids.filter((id) => there.has(id));
  const operations = rebuilt(anatomy.operations, from.anatomy.operations, to.anatomy.operations);
  const acts = new Set([...operations.map(({ id }) => id), ...[...there].map((id) => `place-${id}`)]);
  return anatomySchema.parse({
    ...anatomy,
    assemblies: rebuilt(anatomy.assemblies, from.anatomy.assemblies, to.anatomy.assemblies),
    positions: positions.map((seat) => ({
      ...seat,
      restsOn: only(seat.restsOn),
      heldBy: only(seat.heldBy),
      passesThrough: only(seat.passesThrough),
    })),
    operations: operations.map((operation) => ({
      ...operation,
      after: operation.after.filter((id) => acts.has(id)),
      before: operation.before.filter((id) => acts.has(id)),
    })),
    batches: rebuilt(anatomy.batches, from.anatomy.batches, to.anatomy.batches)
      .map((batch) => ({ ...batch, positionIds: only(batch.positionIds) }))
      .filter(({ positionIds }) => positionIds.length > 1),
  });
}
