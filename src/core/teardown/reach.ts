import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy } from "@/core/anatomy/types";

/**
 * Everything that has to come off so that some seats can be emptied, themselves among them: what sits on one, rides on it, goes through it or
 * holds it, and so on outward. @param wanted seat ids; unknown ones are passed over.
 */
export function reachOf(anatomy: Pick<Anatomy, "positions">, wanted: Iterable<string>): Set<string> {
  const above = new Map<string, string[]>();
  for (const { before, after } of seatConstraints(anatomy)) above.set(before, [...(above.get(before) ?? []), after]);
  const known = new Set(anatomy.positions.map(({ id }) => id));
  const reach = new Set([...wanted].filter((id) => known.has(id)));
  // A set hands out what is added to it while it is walked.
  for (const id of reach) for (const outer of above.get(id) ?? []) reach.add(outer);
  return reach;
}
