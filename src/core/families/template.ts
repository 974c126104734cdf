import { type Anatomy, anatomySchema, type PartType } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";
import { withLedgerDefaults } from "./ledger-defaults";
import type { Seat, SeatRow, TemplateTable, Variant } from "./table";
import { changedTable, choiceOf } from "./variants";

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
  /** Ways such reels are built, the usual one first. */
  readonly variants: readonly Variant[];
  /** The choice made in each variant. */
  readonly chosen: Readonly<Record<string, string>>;
}

/**
 * Reads a template from its tables. @param chosen the choice in each variant; the usual one where nobody said.
 * @throws ZodError when a row is not what it should be: only a programmer can cause that.
 */
export function templateOf(usual: TemplateTable, chosen: Readonly<Record<string, string>> = {}): FamilyTemplate {
  const variants = usual.variants ?? [];
  const choices = variants.map((variant) => [variant.id, choiceOf(variant, chosen[variant.id])] as const);
  const table = choices.reduce((so, [, { change }]) => (change ? changedTable(so, change) : so), usual);
  const parts = table.parts.map(
    ([id, number, name, role, shape, material, priceMinor]): PartType => ({ id, number, name, role, shape, material, priceMinor }),
  );
  const seats = new Set(Object.values(table.seats).flatMap((rows) => rows.map(([id]) => id)));
  const anatomy = anatomySchema.parse({
    assemblies: table.assemblies.map(([id, name, side, more]) => ({ id, name, side, ...more })),
    positions: Object.entries(table.seats).flatMap(([assemblyId, rows]) =>
      rows.map(([id, name, part, seat], ordinal) => ({ id, assemblyId, ordinal, name, partTypeId: part, ...seat })),
    ),
    operations: table.operations,
    editions: table.editions,
    gearPairs: table.gearPairs,
    // A sibling grown from this table may lack some of the seats.
    batches: table.batches
      ?.map(([id, name, ...positionIds]) => ({ id, name, positionIds: positionIds.filter((seat) => seats.has(seat)) }))
      .filter(({ positionIds }) => positionIds.length > 1),
  });
  const byId = new Map(parts.map((part) => [part.id, part]));
  return {
    family: table.family,
    lineRadiusMm: table.lineRadiusMm,
    parts,
    anatomy: { ...anatomy, positions: withLedgerDefaults(anatomy.positions, byId) },
    variants,
    chosen: Object.fromEntries(choices.map(([id, choice]) => [id, choice.id])),
  };
}

/** The rows of an assembly with one seat changed: how a family grows out of its sibling. */
export const reseat = (rows: readonly SeatRow[] | undefined, seatId: string, change: Seat): SeatRow[] =>
  (rows ?? []).map((row) => (row[0] === seatId ? [row[0], row[1], row[2], { ...row[3], ...change }] : row));

/** The rows of an assembly with others put in along its axis, after the seat they sit on. */
export const insertAfter = (rows: readonly SeatRow[], seatId: string, ...added: SeatRow[]): SeatRow[] =>
  rows.flatMap((row) => (row[0] === seatId ? [row, ...added] : [row]));

/** Operation ids of "fit this part", for tables. */
export const place = (...ids: string[]): string[] => ids.map((id) => `place-${id}`);

/** A slotted screw with the proportions usual at this size; threaded to its end unless said. */
export const screw = (threadMm: number, lengthMm: number, threadedMm = lengthMm): PartType["shape"] => ({
  kind: "screw",
  threadMm,
  lengthMm,
  threadedMm,
  headMm: threadMm * 1.9,
  headHeightMm: threadMm * 0.6,
  drive: "slot",
});

export const greased = (amount: string, why: string) => ({ lubricant: { product: "reel grease", amount, why } });
export const oiled = (amount: string, why: string) => ({ lubricant: { product: "light oil", amount, why } });
export const threadFilm = greased("a bead on the thread", "a dry thread seizes");
export const threadLock = {
  lubricant: {
    product: "thread-lock",
    amount: "one small drop on the thread, only where it was",
    why: "it was locked by its maker and turns out by itself otherwise",
  },
} as const;
export const steel = "stainless steel";

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
