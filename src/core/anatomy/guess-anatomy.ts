import type { z } from "zod";
import { kindWords, type PartKind } from "./shapes";
import { sharedName } from "./shared-name";
import {
  type Anatomy,
  type Assembly,
  anatomySchema,
  type Operation,
  type operationSchema,
  type PartType,
  placeOperationId,
  type positionSchema,
  seatOfPlacing,
} from "./types";
import { typicalShapes } from "./typical-shape";

export interface LoosePart {
  readonly well: number;
  readonly kind: PartKind;
  /** Empty until somebody names it. */
  readonly name: string;
  /** Which of its family's usual seats it sat in; null or left out for a piece the family does not know. */
  readonly seat?: string | null;
  readonly side?: Assembly["side"] | null;
  /** Wells taken in one press share a number. */
  readonly act?: number;
  /** It stayed in and was served where it sits. */
  readonly inPlace?: string | null;
}

/** What is known of the family such a reel belongs to. */
export interface FamilyOfGuess {
  readonly anatomy: Pick<Anatomy, "positions" | "operations">;
  readonly parts: readonly PartType[];
}

/** Kinds that hold others and carry nothing themselves. */
const fasteners: ReadonlySet<PartKind> = new Set(["screw", "clip", "nut", "pin"]);

/** Assemblies of a guess: what lay on which side, as far as somebody said. */
const sides = { handle: "Handle side", tail: "Tail side", frame: "Frame" } as const;
const unsaid = { id: "as-taken-off", name: "As received apart", side: "frame" } as const;

/**
 * A machine guessed from the order its parts came off, and what its family tells of the pieces that were known by name.
 * Rule of thumb (common practice): what comes off next lay under this one, so this one rests on it; a screw, clip, nut or pin holds the next
 * part that is none. A piece of the family brings what goes on it, how it lies, what goes wrong there and where oil gets to it; the family's
 * checks come along where the parts they test are there. Every seat is marked as guessed until somebody confirms it.
 * @param parts in the order they came off; at least one.
 * @param prefix for ids and numbers of the new catalogue entries. @param seatId the id of a part's seat, by its well.
 */
export function guessAnatomy(
  parts: readonly LoosePart[],
  prefix: string,
  family: FamilyOfGuess | null = null,
  seatId: (well: number) => string = (well) => `part-${well}`,
): { anatomy: Anatomy; partTypes: PartType[] } {
  const seats = new Map(family?.anatomy.positions.map((position) => [position.id, position]));
  const types = new Map(family?.parts.map((part) => [part.id, part]));
  const counts = new Map<PartKind, number>();
  const named = parts.map((part) => {
    const like = part.seat ? (seats.get(part.seat) ?? null) : null;
    const nth = (counts.get(part.kind) ?? 0) + 1;
    if (!like) counts.set(part.kind, nth);
    const alone = parts.filter((other) => other.kind === part.kind && !(other.seat && seats.has(other.seat))).length === 1;
    const word = kindWords[part.kind];
    return {
      ...part,
      like,
      likeType: like ? (types.get(like.partTypeId) ?? null) : null,
      id: seatId(part.well),
      label: part.name.trim() || like?.name || `${word[0]!.toUpperCase()}${word.slice(1)}${alone ? "" : ` ${nth}`}`,
    };
  });
  const type = (well: number) => `${prefix}-${well}`;
  const partTypes = named.map(
    (part): PartType => ({
      id: type(part.well),
      number: `${prefix.toUpperCase()}-${String(part.well).padStart(2, "0")}`,
      name: part.label,
      role: part.likeType?.role ?? part.kind,
      shape: part.likeType?.shape ?? typicalShapes[part.kind],
      material: "not known yet",
      priceMinor: 0,
      ...(part.likeType?.thread ? { thread: part.likeType.thread } : {}),
      ...(part.likeType?.flies ? { flies: part.likeType.flies } : {}),
    }),
  );
  const sideOf = (part: (typeof named)[number]) => part.side ?? null;
  const positions = named.map((part, i): z.input<typeof positionSchema> => {
    const nextBody = named.slice(i + 1).find((other) => !fasteners.has(other.kind));
    const holders: string[] = [];
    if (!fasteners.has(part.kind))
      for (let back = i - 1; back >= 0 && fasteners.has(named[back]!.kind); back--) holders.push(named[back]!.id);
    const { orientation, setFirst, lubricant, caution, trap, hides, oilPort, hole, tightness } = part.like ?? {};
    return {
      id: part.id,
      assemblyId: sideOf(part) ?? unsaid.id,
      ordinal: named.length - 1 - i,
      name: part.label,
      partTypeId: type(part.well),
      restsOn: fasteners.has(part.kind) || !nextBody ? [] : [nextBody.id],
      heldBy: holders.reverse(),
      guessed: true,
      ...(orientation ? { orientation } : {}),
      // Which of the pieces is the control nobody knows here: its words stay.
      ...(setFirst ? { setFirst: setFirst.map(({ words }) => ({ words })) } : {}),
      ...(lubricant ? { lubricant } : {}),
      ...(caution ? { caution } : {}),
      ...(trap ? { trap } : {}),
      ...(hides ? { hides } : {}),
      ...(oilPort ? { oilPort } : {}),
      ...(hole ? { hole } : {}),
      ...(tightness ? { tightness } : {}),
      ...(part.inPlace ? { inPlace: true } : {}),
    };
  });
  const used = new Set(positions.map(({ assemblyId }) => assemblyId));
  const acts = new Map<number, (typeof named)[number][]>();
  for (const part of named) if (part.act && !part.inPlace) acts.set(part.act, [...(acts.get(part.act) ?? []), part]);
  return {
    partTypes,
    anatomy: anatomySchema.parse({
      assemblies: [
        ...(used.has(unsaid.id) ? [unsaid] : []),
        ...Object.entries(sides).flatMap(([id, name]) => (used.has(id) ? [{ id, name, side: id }] : [])),
      ],
      positions,
      operations: family ? gatesOf(family.anatomy.operations, named) : [],
      batches: [...acts].flatMap(([act, of]) =>
        of.length > 1
          ? [
              {
                id: `act-${seatId(act)}`,
                name: sharedName(of.map(({ label }) => label)),
                positionIds: of.map(({ id }) => id),
              },
            ]
          : [],
      ),
    }),
  };
}

/**
 * The family's checks of the parts that are there: each after the last of them is in, and before what covers it, as far as this reel came apart in
 * that order.
 */
function gatesOf(
  operations: readonly Operation[],
  named: readonly {
    readonly id: string;
    readonly well: number;
    readonly seat?: string | null | undefined;
    readonly inPlace?: string | null | undefined;
  }[],
): z.input<typeof operationSchema>[] {
  const bySeat = new Map(named.flatMap((part) => (part.seat && !part.inPlace ? [[placeOperationId(part.seat), part] as const] : [])));
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  /** Fitting steps behind a step: a check after a tightening is after the screws it tightens. */
  const fittings = (id: string, seen = new Set<string>()): string[] => {
    if (seatOfPlacing(id) !== null) return [id];
    if (seen.has(id)) return [];
    seen.add(id);
    return byId.get(id)?.after.flatMap((before) => fittings(before, seen)) ?? [];
  };
  return operations.flatMap((operation) => {
    if (operation.kind !== "gate") return [];
    const tested = operation.after.flatMap((id) => fittings(id)).flatMap((id) => bySeat.get(id) ?? []);
    if (!tested.length) return [];
    // What came off last goes in first: the check waits for the one of its parts that came off first.
    const lastIn = Math.min(...tested.map(({ well }) => well));
    const covers = operation.before.flatMap((id) => bySeat.get(id) ?? []).filter(({ well }) => well < lastIn);
    return [
      {
        id: operation.id,
        kind: "gate" as const,
        words: operation.words,
        after: tested.map(({ id }) => placeOperationId(id)),
        before: covers.map(({ id }) => placeOperationId(id)),
        lookAt: [...operation.lookAt],
        ...(operation.caution ? { caution: operation.caution } : {}),
      },
    ];
  });
}
