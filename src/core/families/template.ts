import type { z } from "zod";
import type { Edition } from "@/core/anatomy/edition";
import { type Anatomy, anatomySchema, type GearPair, type operationSchema, type PartType, type positionSchema } from "@/core/anatomy/types";
import type { FamilyId } from "@/core/vocabulary/families";
import { withLedgerDefaults } from "./ledger-defaults";

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
}

export type Seat = Omit<z.input<typeof positionSchema>, "id" | "assemblyId" | "ordinal" | "name" | "partTypeId">;
export type SeatRow = readonly [id: string, name: string, part: string, seat?: Seat];
export type PartRow = readonly [
  id: string,
  number: string,
  name: string,
  role: string,
  shape: PartType["shape"],
  material: string,
  priceMinor: number,
];

export type AssemblyRow = readonly [
  id: string,
  name: string,
  side: "handle" | "tail" | "frame",
  /** The part its others ride on while it is not serviced itself; whether it stays together unless asked for. */
  more?: { readonly carrier?: string; readonly freedBy?: readonly string[]; readonly stays?: true; readonly quick?: true },
];

export interface TemplateTable {
  readonly family: FamilyId;
  readonly lineRadiusMm: number;
  /** Outermost first: the order a full strip takes them in. */
  readonly assemblies: readonly AssemblyRow[];
  readonly parts: readonly PartRow[];
  /** For each assembly its seats from the base up. */
  readonly seats: Readonly<Record<string, readonly SeatRow[]>>;
  readonly operations: readonly z.input<typeof operationSchema>[];
  readonly editions?: readonly Edition[];
  readonly gearPairs?: readonly GearPair[];
  /** What hands take off and fit as one, beside the rings of screws and the stacks that are told by themselves. */
  readonly batches?: readonly (readonly [id: string, name: string, ...seats: string[]])[];
}

/** Reads a template from its tables. @throws ZodError when a row is not what it should be: only a programmer can cause that. */
export function templateOf(table: TemplateTable): FamilyTemplate {
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
export const threadFilm = greased("a bead on the thread", "a dry thread seizes in salt");
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
