import { type Anatomy, anatomySchema, type PartType } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";
import { withLedgerDefaults } from "./ledger-defaults";
import { withSetFirst } from "./set-first";
import type { Frames, TemplateTable, Variant } from "./tables/table";
import { changedTable, choiceOf } from "./tables/variants";

/**
 * A family of reels as a template: the usual assemblies, seats, part roles, order, lubrication, cautions and traps, with sizes that fit each
 * other. A new model starts as a copy of it and is edited. Source: common practice; sizes are typical and ours.
 */
export interface FamilyTemplate {
  readonly family: FamilyId;
  /** Half the spool's line diameter at a normal fill, mm. */
  readonly lineRadiusMm: number;
  /** Catalogue entries with numbers and ids that a model's prefix goes before. */
  readonly parts: readonly PartType[];
  readonly anatomy: Anatomy;
  /** Ways such reels are built, the usual one first; of the skeleton that was chosen, which is the first of them where there are several. */
  readonly variants: readonly Variant[];
  /** The skeletons of the family; null where it has one. */
  readonly frames: Frames | null;
  /** The choice made in each variant. */
  readonly chosen: Readonly<Record<string, string>>;
}

/**
 * Reads a template from its tables. @param chosen the choice in each variant; the usual one where nobody said.
 * @throws ZodError when a row is not what it should be: only a programmer can cause that.
 */
export function templateOf(usual: TemplateTable, chosen: Readonly<Record<string, string>> = {}): FamilyTemplate {
  const { frames } = usual;
  const frame = frames?.choices.find(({ id }) => id === chosen[frames.id]) ?? frames?.choices[0];
  const skeleton = frame?.table ?? usual;
  const joined = skeleton.variants ?? [];
  const choices = joined.map((variant) => [variant.id, choiceOf(variant, chosen[variant.id])] as const);
  const table = choices.reduce((so, [, { change }]) => (change ? changedTable(so, change) : so), skeleton);
  const parts = table.parts.map(
    ([id, number, name, role, shape, material, priceMinor]): PartType => ({ id, number, name, role, shape, material, priceMinor }),
  );
  const seats = new Set(Object.values(table.seats).flatMap((rows) => rows.map(([id]) => id)));
  const anatomy = anatomySchema.parse({
    assemblies: table.assemblies.map(([id, name, side, more]) => ({ id, name, side, ...more })),
    positions: Object.entries(table.seats).flatMap(([assemblyId, rows]) =>
      rows.map(([id, name, part, seat], ordinal) => ({ id, assemblyId, ordinal, name, partTypeId: part, ...seat })),
    ),
    // A look names its seats in any build of the family; this one has some of them.
    operations: table.operations.map((operation) => ({
      ...operation,
      lookAt: operation.lookAt?.map((look) =>
        typeof look === "string" ? look : { ...look, seats: look.seats?.filter((seat) => seats.has(seat)) },
      ),
    })),
    editions: table.editions,
    gearPairs: table.gearPairs,
    // A sibling grown from this table may lack some of the seats.
    batches: table.batches
      ?.map(([id, name, ...positionIds]) => ({ id, name, positionIds: positionIds.filter((seat) => seats.has(seat)) }))
      .filter(({ positionIds }) => positionIds.length > 1),
  });
  const byId = new Map(parts.map((part) => [part.id, part]));
  return {
    family: usual.family,
    lineRadiusMm: table.lineRadiusMm,
    parts,
    anatomy: { ...anatomy, positions: withSetFirst(usual.family, withLedgerDefaults(anatomy.positions, byId)) },
    variants: frames ? [{ id: frames.id, name: frames.name, choices: skeletons(frames) }, ...joined] : joined,
    frames: frames ?? null,
    chosen: Object.fromEntries([
      ...(frames && frame ? [[frames.id, frame.id] as const] : []),
      ...choices.map(([id, choice]) => [id, choice.id] as const),
    ]),
  };
}

/** The choice among skeletons: it has no change of the table, it is another table. */
const skeletons = ({ choices: [usual, ...others] }: Frames): Variant["choices"] => {
  const named = ({ id, name }: Frames["choices"][number]) => ({ id, name });
  return [named(usual), ...others.map(named)];
};

export interface ModelDraft {
  readonly partTypes: PartType[];
  readonly lineRadiusMm: number;
  readonly anatomy: Anatomy;
}

/** A new model from its family: the same machine with its own catalogue ids and numbers. */
export function modelFromTemplate(template: FamilyTemplate, prefix: string): ModelDraft {
  const own = (id: string) => `${prefix.toLowerCase()}-${id}`;
  return {
    partTypes: template.parts.map((part) => ({ ...part, id: own(part.id), number: `${prefix.toUpperCase()}-${part.number}` })),
    lineRadiusMm: template.lineRadiusMm,
    anatomy: {
      ...template.anatomy,
      positions: template.anatomy.positions.map((position) => ({ ...position, partTypeId: own(position.partTypeId) })),
    },
  };
}
