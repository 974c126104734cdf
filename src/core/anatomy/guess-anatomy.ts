import type { z } from "zod";
import { kindWords, type PartKind } from "./shapes";
import { type Anatomy, anatomySchema, type PartType, type positionSchema } from "./types";
import { typicalShapes } from "./typical-shape";

export interface LoosePart {
  readonly well: number;
  readonly kind: PartKind;
  /** Empty until somebody names it. */
  readonly name: string;
}

/** Kinds that hold others and carry nothing themselves. */
const fasteners: ReadonlySet<PartKind> = new Set(["screw", "clip", "nut", "pin"]);

/**
 * A machine guessed from the order its parts came off, and nothing else.
 * Rule of thumb (common practice): what comes off next lay under this one, so this one rests on it; a screw, clip, nut or pin holds the next
 * part that is none. Every seat is marked as guessed until somebody confirms it.
 * @param parts in the order they came off; at least one.
 * @param prefix for ids and numbers of the new catalogue entries.
 */
export function guessAnatomy(parts: readonly LoosePart[], prefix: string): { anatomy: Anatomy; partTypes: PartType[] } {
  const counts = new Map<PartKind, number>();
  const named = parts.map((part) => {
    const nth = (counts.get(part.kind) ?? 0) + 1;
    counts.set(part.kind, nth);
    const alone = parts.filter((other) => other.kind === part.kind).length === 1;
    const word = kindWords[part.kind];
    return {
      ...part,
      id: `part-${part.well}`,
      label: part.name.trim() || `${word[0]!.toUpperCase()}${word.slice(1)}${alone ? "" : ` ${nth}`}`,
    };
  });
  const type = (well: number) => `${prefix}-${well}`;
  const partTypes = named.map(
    (part): PartType => ({
      id: type(part.well),
      number: `${prefix.toUpperCase()}-${String(part.well).padStart(2, "0")}`,
      name: part.label,
      role: part.kind,
      shape: typicalShapes[part.kind],
      material: "not known yet",
      priceMinor: 0,
    }),
  );
  const positions = named.map((part, i): z.input<typeof positionSchema> => {
    const nextBody = named.slice(i + 1).find((other) => !fasteners.has(other.kind));
    const holders: string[] = [];
    if (!fasteners.has(part.kind))
      for (let back = i - 1; back >= 0 && fasteners.has(named[back]!.kind); back--) holders.push(named[back]!.id);
    return {
      id: part.id,
      assemblyId: "as-taken-off",
      ordinal: named.length - 1 - i,
      name: part.label,
      partTypeId: type(part.well),
      restsOn: fasteners.has(part.kind) || !nextBody ? [] : [nextBody.id],
      heldBy: holders.reverse(),
      guessed: true,
    };
  });
  return {
    partTypes,
    anatomy: anatomySchema.parse({
      assemblies: [{ id: "as-taken-off", name: "As received apart", side: "frame" }],
      positions,
      operations: [],
    }),
  };
}
