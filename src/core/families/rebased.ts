import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { changedBuild } from "./changed-build";
import type { FamilyTemplate } from "./template";

/** Seats that a build of the family has and a model begun from an older one lacks, in their order. */
export const lackingSeats = (anatomy: Pick<Anatomy, "positions">, template: FamilyTemplate): Position[] => {
  const there = new Set(anatomy.positions.map(({ id }) => id));
  return template.anatomy.positions.filter(({ id }) => !there.has(id));
};

/** The build as the model knew it: what it has of it, and no word of what it lacks. */
function asKnown(anatomy: Anatomy, template: FamilyTemplate): FamilyTemplate {
  const lacks = new Set(lackingSeats(anatomy, template).map(({ id }) => id));
  const known = (ids: readonly string[]) => ids.filter((id) => !lacks.has(id));
  const of = (list: readonly { readonly id: string }[]) => new Set(list.map(({ id }) => id));
  const [assemblies, operations, batches] = [of(anatomy.assemblies), of(anatomy.operations), of(anatomy.batches)];
  return {
    ...template,
    anatomy: {
      ...template.anatomy,
      assemblies: template.anatomy.assemblies.filter(({ id }) => assemblies.has(id)),
      positions: template.anatomy.positions
        .filter(({ id }) => !lacks.has(id))
        .map((seat) => ({
          ...seat,
          restsOn: known(seat.restsOn),
          heldBy: known(seat.heldBy),
          passesThrough: known(seat.passesThrough),
        })),
      operations: template.anatomy.operations.filter(({ id }) => operations.has(id)),
      batches: template.anatomy.batches
        .filter(({ id }) => batches.has(id))
        .map((batch) => ({ ...batch, positionIds: known(batch.positionIds) })),
    },
  };
}

/**
 * A model begun from an older build of its family, with what such reels have today: seats, acts and ties that it lacks come; what it has, edited or not,
 * stays as it is. @param ownPart the model's own catalogue id of a template's part
 */
export const rebased = (anatomy: Anatomy, template: FamilyTemplate, ownPart: (part: PartType) => string): Anatomy =>
  changedBuild(anatomy, asKnown(anatomy, template), template, ownPart);
