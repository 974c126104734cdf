import type { PartKind } from "@/core/anatomy/shapes";
import type { Operation } from "@/core/anatomy/types";

const fasteners: ReadonlySet<PartKind> = new Set(["screw", "nut", "clip"]);

/**
 * Acts of a build that nobody can do, because a part stays out on purpose: its own placing, and a check or an act that works on it. A missing
 * fastener among others leaves the check due: what it holds has to work all the same.
 * @param operations the acts of the build. @param leftOut seats that stay out. @param kindOf the kind of the part in a seat.
 * @returns by operation the seats that make it impossible.
 */
export function notDue(
  operations: readonly Operation[],
  leftOut: ReadonlySet<string>,
  kindOf: (positionId: string) => PartKind | undefined,
): ReadonlyMap<string, readonly string[]> {
  if (!leftOut.size) return new Map();
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  /** The seats an act works on: its own, or those of the acts it follows at once. */
  const worksOn = (operation: Operation, seen = new Set<string>()): string[] => {
    if (operation.positionId) return [operation.positionId];
    seen.add(operation.id);
    return operation.after.flatMap((id) => {
      const earlier = byId.get(id);
      return earlier && !seen.has(id) ? worksOn(earlier, seen) : [];
    });
  };
  const impossible = new Map<string, readonly string[]>();
  for (const operation of operations) {
    const seats = [...new Set(worksOn(operation))];
    const out = seats.filter((seat) => leftOut.has(seat));
    // What follows an act that nobody can do cannot be done either.
    const stranded = operation.after.some((id) => impossible.has(id) && byId.get(id)?.kind !== "place");
    if (out.length > 0 && (stranded || out.length === seats.length || out.some((seat) => !fasteners.has(kindOf(seat) ?? "body"))))
      impossible.set(operation.id, out);
  }
  return impossible;
}
