import type { Anatomy, PartType } from "./types";

export interface AnatomyChange {
  readonly what: "added" | "removed" | "changed";
  readonly kind: "assembly" | "seat" | "operation" | "part";
  readonly name: string;
  /** Which fields differ, for a change. */
  readonly fields: readonly string[];
}

type Named = { readonly id: string };

function changes<T extends Named>(
  kind: AnatomyChange["kind"],
  before: readonly T[],
  after: readonly T[],
  name: (item: T) => string,
): AnatomyChange[] {
  const was = new Map(before.map((item) => [item.id, item]));
  const is = new Map(after.map((item) => [item.id, item]));
  const found: AnatomyChange[] = [];
  for (const item of before) if (!is.has(item.id)) found.push({ what: "removed", kind, name: name(item), fields: [] });
  for (const item of after) {
    const old = was.get(item.id);
    if (!old) {
      found.push({ what: "added", kind, name: name(item), fields: [] });
      continue;
    }
    const fields = [...new Set([...Object.keys(old), ...Object.keys(item)])].filter(
      (key) => JSON.stringify(old[key as keyof T]) !== JSON.stringify(item[key as keyof T]),
    );
    if (fields.length) found.push({ what: "changed", kind, name: name(item), fields });
  }
  return found;
}

/** What an update would change, in the order a person reads a machine: assemblies, seats, parts, acts. Empty when nothing does. */
export const compareAnatomies = (
  before: { anatomy: Anatomy; partTypes: readonly PartType[] },
  after: { anatomy: Anatomy; partTypes: readonly PartType[] },
): AnatomyChange[] => [
  ...changes("assembly", before.anatomy.assemblies, after.anatomy.assemblies, (item) => item.name),
  ...changes("seat", before.anatomy.positions, after.anatomy.positions, (item) => item.name),
  ...changes("part", before.partTypes, after.partTypes, (item) => `${item.number} ${item.name}`),
  ...changes("operation", before.anatomy.operations, after.anatomy.operations, (item) => item.words),
];
