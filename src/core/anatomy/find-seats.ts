import { findBySize } from "./find-by-size";
import { kindWords } from "./shapes";
import type { Anatomy, PartType, Position } from "./types";

/**
 * Seats of a machine by anything one knows of them: words of the seat's or part's name, kind, role, material or number, or a measured size
 * ("washer 20 × 8 × 1"). In the order of the machine.
 */
export function findSeats(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, text: string): Position[] {
  const words = text.toLowerCase().match(/[\p{L}\p{N}.,-]+/gu) ?? [];
  if (!words.length) return [];
  const bySize = new Set(findBySize([...types.values()], text).map(({ part }) => part.id));
  return anatomy.positions.filter((position) => {
    const type = types.get(position.partTypeId);
    if (!type) return false;
    if (bySize.has(type.id)) return true;
    const haystack =
      `${position.name} ${type.name} ${kindWords[type.shape.kind]} ${type.role} ${type.material} ${type.number}`.toLowerCase();
    return words.every((word) => haystack.includes(word));
  });
}
