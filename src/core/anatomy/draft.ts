import { z } from "zod";
import type { Edition } from "./edition";
import { kindWords, type PartKind } from "./shapes";
import {
  type Anatomy,
  type Assembly,
  anatomySchema,
  type Batch,
  type Operation,
  type PartType,
  type Position,
  partTypeSchema,
  placeOperationId,
} from "./types";
import { typicalShapes } from "./typical-shape";
import { withoutSeats } from "./without-seats";

/**
 * A machine on the drawing table: the anatomy as it is being edited, and every part that was measured, renamed or added and is not in the
 * catalogue yet. Acts give back a new draft and never change the old one, so undo is the one before.
 */
export const draftPartSchema = z.object({
  /** The catalogue entry it was before; null for a part that is new. */
  from: z.string().max(60).nullable(),
  part: partTypeSchema,
});
export type DraftPart = z.infer<typeof draftPartSchema>;

export const draftSchema = z.object({ anatomy: anatomySchema, parts: z.record(z.string().max(60), draftPartSchema) });
export type Draft = z.infer<typeof draftSchema>;

export const startDraft = (anatomy: Anatomy): Draft => ({ anatomy, parts: {} });

/** The id of a part that only the draft knows; two dashes never stand in the catalogue's own. */
const draftPartId = (seatId: string) => `draft--${seatId}`.slice(0, 60);

const seatOf = (draft: Draft, seatId: string): Position => {
  const seat = draft.anatomy.positions.find((position) => position.id === seatId);
  if (!seat) throw new Error(`draft: no seat ${seatId}`);
  return seat;
};

const withSeats = (draft: Draft, change: (position: Position) => Position): Draft => ({
  ...draft,
  anatomy: { ...draft.anatomy, positions: draft.anatomy.positions.map(change) },
});

export type SeatChange = Partial<Omit<Position, "id" | "partTypeId">>;

/** Changes what a seat says of itself; an empty text takes a word away. */
export const editSeat = (draft: Draft, seatId: string, change: SeatChange): Draft =>
  withSeats(draft, (position) => {
    if (position.id !== seatId) return position;
    const kept = Object.entries({ ...position, ...change }).filter(([, value]) => value !== undefined && value !== "");
    return Object.fromEntries(kept) as Position;
  });

/** Gives the part of one seat other data: measured anew, renamed, another material. The other seats keep theirs. */
export function editPart(
  draft: Draft,
  seatId: string,
  change: Partial<Omit<PartType, "id">>,
  catalogue: ReadonlyMap<string, PartType>,
): Draft {
  const seat = seatOf(draft, seatId);
  const before = draft.parts[seat.partTypeId];
  const part = before?.part ?? catalogue.get(seat.partTypeId);
  if (!part) throw new Error(`draft: no part type ${seat.partTypeId}`);
  const id = draftPartId(seatId);
  const kept = Object.entries({ ...part, ...change, id }).filter(([, value]) => value !== undefined && value !== "");
  return {
    ...withSeats(draft, (position) => (position.id === seatId ? { ...position, partTypeId: id } : position)),
    parts: { ...draft.parts, [id]: { from: before ? before.from : part.id, part: Object.fromEntries(kept) as PartType } },
  };
}

/** The seats of an assembly along its axis, base first. */
export const alongAxis = (anatomy: Anatomy, assemblyId: string): Position[] =>
  anatomy.positions
    .filter((position) => position.assemblyId === assemblyId)
    .sort((a, b) => a.ordinal - b.ordinal || (a.id < b.id ? -1 : 1));

/** Moves a seat to another place along its axis, counted from the base; the others close up. */
export function moveSeat(draft: Draft, seatId: string, to: number): Draft {
  const row = alongAxis(draft.anatomy, seatOf(draft, seatId).assemblyId).map((position) => position.id);
  const at = row.indexOf(seatId);
  const place = Math.max(0, Math.min(row.length - 1, to));
  if (place === at) return draft;
  row.splice(place, 0, ...row.splice(at, 1));
  const ordinals = new Map(row.map((id, ordinal) => [id, ordinal]));
  return withSeats(draft, (position) => ({ ...position, ordinal: ordinals.get(position.id) ?? position.ordinal }));
}

const freeId = (base: string, taken: ReadonlySet<string>): string => {
  let n = 1;
  while (taken.has(`${base}-${n}`)) n++;
  return `${base}-${n}`;
};

/** An id out of a name, free among those that are taken. */
export function idFor(name: string, taken: readonly string[]): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 40) || "one";
  return taken.includes(base) ? freeId(base, new Set(taken)) : base;
}

/**
 * Adds a part of a kind after a seat, or at the base of an assembly: typical sizes, guessed until somebody confirms it, resting on what is
 * below it along the axis.
 * @param numberPrefix what its number begins with until somebody types the right one.
 */
export function addSeat(
  draft: Draft,
  place: { assemblyId: string; afterSeatId: string | null },
  kind: PartKind,
  numberPrefix: string,
): { draft: Draft; seatId: string } {
  const id = freeId(kind, new Set(draft.anatomy.positions.map((position) => position.id)));
  const row = alongAxis(draft.anatomy, place.assemblyId);
  const at = place.afterSeatId === null ? 0 : row.findIndex((position) => position.id === place.afterSeatId) + 1;
  const word = `${kindWords[kind][0]!.toUpperCase()}${kindWords[kind].slice(1)}`;
  const partId = draftPartId(id);
  const ordinals = new Map(row.map((position, i) => [position.id, i < at ? i : i + 1]));
  const seat = anatomySchema.shape.positions.element.parse({
    id,
    assemblyId: place.assemblyId,
    ordinal: at,
    name: word,
    partTypeId: partId,
    restsOn: place.afterSeatId === null ? [] : [place.afterSeatId],
    guessed: true,
  });
  return {
    seatId: id,
    draft: {
      anatomy: {
        ...draft.anatomy,
        positions: [
          ...draft.anatomy.positions.map((position) => ({ ...position, ordinal: ordinals.get(position.id) ?? position.ordinal })),
          seat,
        ],
      },
      parts: {
        ...draft.parts,
        [partId]: {
          from: null,
          part: {
            id: partId,
            number: `${numberPrefix}-${id}`.toUpperCase().slice(0, 40),
            name: word,
            role: kind,
            shape: typicalShapes[kind],
            material: "not known yet",
            priceMinor: 0,
          },
        },
      },
    },
  };
}

/** Takes a seat away; what rested on it rests on what it rested on. @throws Error for the last seat: a machine has at least one. */
export function removeSeat(draft: Draft, seatId: string): Draft {
  if (draft.anatomy.positions.length < 2) throw new Error("draft: the last seat stays");
  return { ...draft, anatomy: withoutSeats(draft.anatomy, new Set([seatId])) };
}

export function addAssembly(draft: Draft, assembly: Omit<Assembly, "id">): { draft: Draft; assemblyId: string } {
  const { assemblies } = draft.anatomy;
  const id = idFor(
    assembly.name,
    assemblies.map((other) => other.id),
  );
  return { assemblyId: id, draft: { ...draft, anatomy: { ...draft.anatomy, assemblies: [...assemblies, { ...assembly, id }] } } };
}

/** Says whether an assembly is put together in the hand and fitted as one; its parts then stay together in the order. */
export const buildBeside = (draft: Draft, assemblyId: string, beside: boolean): Draft => ({
  ...draft,
  anatomy: {
    ...draft.anatomy,
    assemblies: draft.anatomy.assemblies.map((assembly) => {
      if (assembly.id !== assemblyId) return assembly;
      const { beside: _was, ...plain } = assembly;
      return beside ? { ...plain, beside: true as const } : plain;
    }),
  },
});

/** Says what hands do as one on this machine; a handful of fewer than two parts is none. */
export const setBatches = (draft: Draft, batches: readonly Batch[]): Draft => ({
  ...draft,
  anatomy: { ...draft.anatomy, batches: batches.filter(({ positionIds }) => positionIds.length > 1) },
});

/** Changes an act, or adds it when the machine has none of this id. */
export function editOperation(draft: Draft, operation: Operation): Draft {
  const { operations } = draft.anatomy;
  const known = operations.some(({ id }) => id === operation.id);
  return {
    ...draft,
    anatomy: {
      ...draft.anatomy,
      operations: known ? operations.map((other) => (other.id === operation.id ? operation : other)) : [...operations, operation],
    },
  };
}

export const removeOperation = (draft: Draft, operationId: string): Draft => ({
  ...draft,
  anatomy: withoutSeats(draft.anatomy, new Set(), new Set([operationId])),
});

/** Changes an edition, or adds it at the end of the list. */
export function editEdition(draft: Draft, edition: Edition): Draft {
  const { editions } = draft.anatomy;
  const known = editions.some(({ id }) => id === edition.id);
  return {
    ...draft,
    anatomy: {
      ...draft.anatomy,
      editions: known ? editions.map((other) => (other.id === edition.id ? edition : other)) : [...editions, edition],
    },
  };
}

/** Takes an edition away; seats and acts that were only in it go with it, the others are no longer bound to it. */
export function removeEdition(draft: Draft, editionId: string): Draft {
  const only = (items: readonly { id: string; editions: readonly string[] }[]) =>
    new Set(items.filter(({ editions }) => editions.length === 1 && editions[0] === editionId).map(({ id }) => id));
  const { anatomy } = draft;
  const left = withoutSeats(anatomy, only(anatomy.positions), only(anatomy.operations));
  const unbound = <T extends { editions: string[]; partIn?: Record<string, string> | undefined }>(item: T): T => {
    const { [editionId]: _, ...partIn } = item.partIn ?? {};
    return { ...item, editions: item.editions.filter((id) => id !== editionId), ...(item.partIn ? { partIn } : {}) };
  };
  return {
    ...draft,
    anatomy: {
      ...left,
      positions: left.positions.map(unbound),
      operations: left.operations.map(unbound),
      editions: left.editions.filter(({ id }) => id !== editionId),
    },
  };
}

/** A free id for an act of a kind. */
export const freeOperationId = (anatomy: Anatomy, kind: Operation["kind"]): string =>
  freeId(kind, new Set(anatomy.operations.map(({ id }) => id)));

/** Every act there is to wait for, with its words: those that fit a part, then the others. */
export const actWords = (anatomy: Anatomy): Record<string, string> =>
  Object.fromEntries([
    ...anatomy.positions.map((position) => [placeOperationId(position.id), `Fit ${position.name}`]),
    ...anatomy.operations.map((operation) => [operation.id, operation.words]),
  ]);

/** The catalogue as the draft sees it: with the parts that only it knows. */
export const draftCatalogue = (draft: Draft, catalogue: ReadonlyMap<string, PartType>): Map<string, PartType> =>
  new Map([...catalogue, ...Object.entries(draft.parts).map(([id, { part }]) => [id, part] as const)]);

/** What differs from the machine the draft began as, counted in seats and acts. */
export function countChanges(before: Anatomy, draft: Draft): number {
  const differs = <T extends { id: string }>(was: readonly T[], is: readonly T[]) => {
    const old = new Map(was.map((item) => [item.id, JSON.stringify(item)]));
    return (
      is.filter((item) => old.get(item.id) !== JSON.stringify(item)).length +
      was.filter((item) => !is.some((other) => other.id === item.id)).length
    );
  };
  const { anatomy } = draft;
  return (
    differs(before.positions, anatomy.positions) +
    differs(before.operations, anatomy.operations) +
    differs(before.assemblies, anatomy.assemblies) +
    differs(before.editions, anatomy.editions)
  );
}
