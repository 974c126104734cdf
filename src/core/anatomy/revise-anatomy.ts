import type { PartShape } from "./shapes";
import type { Anatomy, PartType, Position } from "./types";

export interface SeatRevision {
  readonly id: string;
  readonly name: string;
  readonly ordinal: number;
  readonly turned: boolean;
  readonly guessed: boolean;
  readonly orientation?: string | undefined;
  readonly caution?: string | undefined;
  /** A new measure of the part in this seat. */
  readonly shape?: PartShape | undefined;
}

/**
 * Applies what was edited at the drawing to a machine. A part that was measured anew becomes a catalogue entry of its own, because reports
 * of older jobs still draw the old one.
 * @param nextVersion names the new entries: id and number get it as a suffix.
 * @returns the machine with only the named seats changed, and the entries that have to be added to the catalogue.
 */
export function reviseAnatomy(
  anatomy: Anatomy,
  partTypes: ReadonlyMap<string, PartType>,
  revisions: readonly SeatRevision[],
  nextVersion: number,
): { anatomy: Anatomy; newPartTypes: PartType[] } {
  const bySeat = new Map(revisions.map((revision) => [revision.id, revision]));
  const fresh = new Map<string, PartType>();
  const positions = anatomy.positions.map((position): Position => {
    const revision = bySeat.get(position.id);
    if (!revision) return position;
    const { shape, id: _, ...seat } = revision;
    const type = partTypes.get(position.partTypeId);
    let partTypeId = position.partTypeId;
    if (shape && type && JSON.stringify(shape) !== JSON.stringify(type.shape)) {
      // Like parts measured alike stay one entry; measured apart they part.
      const key = `${type.id} ${JSON.stringify(shape)}`;
      const known = fresh.get(key);
      const suffix = known ? "" : `v${nextVersion}${fresh.size ? `-${fresh.size + 1}` : ""}`;
      const made = known ?? { ...type, id: `${type.id}-${suffix}`.slice(0, 60), number: `${type.number}.${suffix}`.slice(0, 40), shape };
      fresh.set(key, made);
      partTypeId = made.id;
    }
    return { ...position, ...seat, orientation: seat.orientation || undefined, caution: seat.caution || undefined, partTypeId };
  });
  return { anatomy: { ...anatomy, positions }, newPartTypes: [...fresh.values()] };
}
