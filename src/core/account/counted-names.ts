/**
 * Names of seats as a person reads them out: seats of one kind are counted, and keep what tells them apart only where there is one of them.
 * @example countedNames(["Head plate screw, top", "Head plate screw, rear", "Star", "O-ring, low"]) // ["head plate screw (2)", "star", "O-ring (low)"]
 */
export function countedNames(names: readonly string[]): string[] {
  const kinds = new Map<string, string[]>();
  for (const name of names) {
    const kind = name.split(",")[0]!.trim();
    kinds.set(kind, [...(kinds.get(kind) ?? []), name]);
  }
  return [...kinds].map(([kind, own]) => {
    const apart = own[0]!.slice(kind.length).replace(/^[,\s]+/, "");
    return `${lowered(kind)}${own.length > 1 ? ` (${own.length})` : apart && ` (${apart})`}`;
  });
}

/** The first letter small, unless the word is one of letters alone. @example lowered("O-ring") // "O-ring" */
export const lowered = (name: string): string => (/^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name);
