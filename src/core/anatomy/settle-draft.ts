import type { Draft } from "./draft";
import type { Anatomy, PartType } from "./types";

const slug = (number: string) =>
  number
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 50);

/**
 * Turns a draft into the machine to be saved. A part that was measured or renamed becomes a catalogue entry of its own, because reports of
 * older jobs still draw the old one; one that ended as it began goes back to its entry; like parts changed alike share one.
 * @param nextVersion names the new entries where nobody typed a number: it is their suffix.
 */
export function settleDraft(
  draft: Draft,
  catalogue: ReadonlyMap<string, PartType>,
  nextVersion: number,
): { anatomy: Anatomy; newPartTypes: PartType[] } {
  const fresh = new Map<string, PartType>();
  const settled = new Map<string, string>();
  const settle = (id: string): string => {
    const known = settled.get(id);
    if (known) return known;
    const entry = draft.parts[id];
    if (!entry) return id;
    const { id: _, ...data } = entry.part;
    const base = entry.from === null ? undefined : catalogue.get(entry.from);
    const { id: baseId, ...baseData } = base ?? { id: null };
    const content = JSON.stringify(Object.entries(data).sort());
    let result = base && baseId !== null && JSON.stringify(Object.entries(baseData).sort()) === content ? baseId : null;
    if (result === null) {
      const key = `${entry.from} ${content}`;
      const alike = fresh.get(key);
      if (alike) result = alike.id;
      else {
        const suffix = `v${nextVersion}${fresh.size ? `-${fresh.size + 1}` : ""}`;
        const renumbered = !base || base.number !== data.number;
        const part = renumbered
          ? { ...data, id: slug(data.number) || `part-${suffix}` }
          : { ...data, id: `${base.id}-${suffix}`.slice(0, 60), number: `${base.number}.${suffix}`.slice(0, 40) };
        fresh.set(key, part);
        result = part.id;
      }
    }
    settled.set(id, result);
    return result;
  };
  const positions = draft.anatomy.positions.map((position) => ({ ...position, partTypeId: settle(position.partTypeId) }));
  return { anatomy: { ...draft.anatomy, positions }, newPartTypes: [...fresh.values()] };
}
