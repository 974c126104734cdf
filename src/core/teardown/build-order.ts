import { seatConstraints } from "@/core/anatomy/constraints";
import { shortestCycle } from "@/core/anatomy/graph";
import { type Anatomy, type Operation, type Position, placeOperationId } from "@/core/anatomy/types";
import { fail, ok, type Result } from "@/core/result";

export interface BuildStep {
  readonly operation: Operation;
  readonly position: Position | null;
  /** Operations of this build that must be done first, directly or through parts that never came off. */
  readonly needs: readonly string[];
}

/**
 * The order in which the hands put a reel together again.
 *
 * The last off goes in first, unless a seat or an operation forbids it: a topological order that always takes the free operation nearest
 * to the reverse of the removal. Where no constraint is against it the result is exactly the reverse. Gates, tightening and states come as
 * soon as what they need is done, so that a test is made before the next cover goes on.
 *
 * @param removed position ids in the order they came off; parts still in place take no step, but order is carried through them.
 * @returns steps, first in first; or `conflict` naming one shortest circle of operations that wait for each other.
 */
export function buildOrder(anatomy: Anatomy, removed: readonly string[]): Result<BuildStep[], "conflict" | "unknown"> {
  const positions = new Map(anatomy.positions.map((position) => [position.id, position]));
  const stranger = removed.find((id) => !positions.has(id));
  if (stranger) return fail("unknown", `${stranger} is not a seat of this model.`);
  if (new Set(removed).size !== removed.length) return fail("unknown", "A seat stands twice in the removal order.");

  const everyOperation = new Map<string, Operation>();
  for (const position of anatomy.positions) {
    const id = placeOperationId(position.id);
    everyOperation.set(id, {
      id,
      kind: "place",
      positionId: position.id,
      words: `Fit ${position.name}`,
      after: [],
      before: [],
      lookAt: [],
      editions: [],
    });
  }
  for (const operation of anatomy.operations) everyOperation.set(operation.id, operation);

  const edges = [
    ...seatConstraints(anatomy).map((c) => ({ before: placeOperationId(c.before), after: placeOperationId(c.after) })),
    ...[...everyOperation.values()].flatMap((operation) => [
      // Anything done to a part waits until the part is in its seat.
      ...(operation.positionId && operation.kind !== "place"
        ? [{ before: placeOperationId(operation.positionId), after: operation.id }]
        : []),
      ...operation.after.map((before) => ({ before, after: operation.id })),
      ...operation.before.map((after) => ({ before: operation.id, after })),
    ]),
  ];
  const cycle = shortestCycle([...everyOperation.keys()], edges);
  if (cycle)
    return fail(
      "conflict",
      `These wait for each other: ${cycle.map((id) => everyOperation.get(id)?.words ?? id).join(" → ")}. Mend the model's order.`,
    );

  const before = new Map<string, string[]>();
  for (const edge of edges) before.set(edge.after, [...(before.get(edge.after) ?? []), edge.before]);

  const isOff = new Set(removed);
  const inBuild = (operation: Operation): boolean => {
    if (operation.kind === "place") return isOff.has(operation.positionId!);
    if (operation.positionId) return isOff.has(operation.positionId);
    // A gate or state without a part of its own is due when something it follows was disturbed.
    return operation.after.some((id) => {
      const earlier = everyOperation.get(id);
      return earlier?.positionId ? isOff.has(earlier.positionId) : earlier ? inBuild(earlier) : false;
    });
  };
  const chosen = [...everyOperation.values()].filter(inBuild);
  const chosenIds = new Set(chosen.map((operation) => operation.id));

  const needsOf = new Map<string, string[]>();
  for (const operation of chosen) {
    const needs = new Set<string>();
    const seen = new Set<string>();
    const stack = [...(before.get(operation.id) ?? [])];
    while (stack.length) {
      const id = stack.pop()!;
      if (seen.has(id)) continue;
      seen.add(id);
      if (chosenIds.has(id)) needs.add(id);
      else stack.push(...(before.get(id) ?? []));
    }
    needsOf.set(operation.id, [...needs]);
  }

  const reverseRank = new Map([...removed].reverse().map((id, index) => [placeOperationId(id), index]));
  const rank = (operation: Operation): number => (operation.kind === "place" ? (reverseRank.get(operation.id) ?? 0) : -1);
  const done = new Set<string>();
  const steps: BuildStep[] = [];
  while (steps.length < chosen.length) {
    let next: Operation | null = null;
    for (const operation of chosen) {
      if (done.has(operation.id) || !needsOf.get(operation.id)!.every((id) => done.has(id))) continue;
      if (!next || rank(operation) < rank(next)) next = operation;
    }
    if (!next) throw new Error("buildOrder: no operation is free though the order has no circle");
    done.add(next.id);
    steps.push({
      operation: next,
      position: next.positionId ? (positions.get(next.positionId) ?? null) : null,
      needs: needsOf.get(next.id)!,
    });
  }
  return ok(steps);
}
