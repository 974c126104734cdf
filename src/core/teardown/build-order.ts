import { seatConstraints } from "@/core/anatomy/constraints";
import { shortestCycle } from "@/core/anatomy/graph";
import { type Anatomy, type Operation, type Position, placeOperationId } from "@/core/anatomy/types";
import { kept } from "@/core/kept";
import { ok, type Result } from "@/core/result";
import { fewestInversions } from "./fewest-inversions";
import { removalOrder } from "./removal-order";

export interface BuildStep {
  readonly operation: Operation;
  readonly position: Position | null;
  /** Operations of this build that must be done first, directly or through parts that never came off. */
  readonly needs: readonly string[];
}

/** One "before → after" between two operations, and why. */
export interface OrderReason {
  readonly before: string;
  readonly after: string;
  readonly reason: string;
}

export interface BuildOrder {
  readonly steps: readonly BuildStep[];
  /** Pairs of parts that go in the other way round than the reverse of their removal; 0 is exactly the reverse. */
  readonly inversions: number;
  /** Whether no order has fewer; false where too many parts hang together to prove it. */
  readonly proven: boolean;
}

export type BuildConflict =
  | { readonly ok: false; readonly code: "unknown"; readonly message: string }
  /** A shortest circle of operations that wait for each other. */
  | { readonly ok: false; readonly code: "conflict"; readonly message: string; readonly circle: readonly OrderReason[] };

/** Every operation of an anatomy, the placing of each seat among them, by id. */
function operationsOf(anatomy: Anatomy): Map<string, Operation> {
  const all = new Map<string, Operation>();
  for (const position of anatomy.positions) {
    const id = placeOperationId(position.id);
    all.set(id, {
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
  for (const operation of anatomy.operations) all.set(operation.id, operation);
  return all;
}

/** Everything an anatomy says about what comes before what, each with its reason. */
export function orderReasons(anatomy: Anatomy, operations: ReadonlyMap<string, Operation> = operationsOf(anatomy)): OrderReason[] {
  const words = (id: string) => operations.get(id)?.words ?? id;
  return [
    ...seatConstraints(anatomy).map(({ before, after, reason }) => ({
      before: placeOperationId(before),
      after: placeOperationId(after),
      reason,
    })),
    ...[...operations.values()].flatMap((operation) => [
      // Anything done to a part waits until the part is in its seat.
      ...(operation.positionId && operation.kind !== "place"
        ? [{ before: placeOperationId(operation.positionId), after: operation.id, reason: `${operation.words}: its part has to be in` }]
        : []),
      ...operation.after.map((before) => ({ before, after: operation.id, reason: `${operation.words} comes after “${words(before)}”` })),
      ...operation.before.map((after) => ({ before: operation.id, after, reason: `${operation.words} comes before “${words(after)}”` })),
    ]),
  ];
}

/**
 * The order in which the hands put a reel together again: the last off goes in first, unless a seat or an operation forbids it. Of all orders
 * that keep every constraint it has the fewest inversions against the reverse of the removal (fewest-inversions.ts); where nothing is against
 * it, it is exactly the reverse. Gates, tightening and states come as soon as what they need is done, so that a test is made before the next
 * cover goes on. Assemblies that are built beside the reel stay together.
 *
 * @param removed position ids in the order they came off; parts still in place take no step, but order is carried through them.
 * @param added seats that are filled though nothing came off them: a kit's companions, a part that was missing. They go in where the model
 * would have taken them off.
 */
export const buildOrder: (
  anatomy: Anatomy,
  removed: readonly string[],
  added?: readonly string[],
) => Result<BuildOrder, "conflict" | "unknown"> | BuildConflict = kept(orderOf, (removed, added = []) => JSON.stringify([removed, added]));

function orderOf(
  anatomy: Anatomy,
  removed: readonly string[],
  added: readonly string[] = [],
): Result<BuildOrder, "conflict" | "unknown"> | BuildConflict {
  const positions = new Map(anatomy.positions.map((position) => [position.id, position]));
  const filled = [...removed, ...added];
  const stranger = filled.find((id) => !positions.has(id));
  if (stranger) return { ok: false, code: "unknown", message: `${stranger} is not a seat of this model.` };
  if (new Set(filled).size !== filled.length)
    return { ok: false, code: "unknown", message: "A seat is listed twice in the removal order." };

  const operations = operationsOf(anatomy);
  const reasons = orderReasons(anatomy, operations);
  const cycle = shortestCycle([...operations.keys()], reasons);
  if (cycle) {
    const circle = cycle.map((id, i) => reasons.find(({ before, after }) => before === id && after === cycle[(i + 1) % cycle.length])!);
    return {
      ok: false,
      code: "conflict",
      message: `These wait for each other: ${cycle.map((id) => operations.get(id)?.words ?? id).join(" → ")}. Correct the model's order. (${circle.map(({ reason }) => reason).join("; ")}.)`,
      circle,
    };
  }

  const before = new Map<string, string[]>();
  for (const reason of reasons) before.set(reason.after, [...(before.get(reason.after) ?? []), reason.before]);
  const isOff = new Set(filled);
  const due = new Map<string, boolean>();
  const inBuild = (operation: Operation): boolean => {
    if (operation.positionId) return isOff.has(operation.positionId);
    // A gate or state without a part of its own is due when something it follows was disturbed. Each is asked once.
    const known = due.get(operation.id);
    if (known !== undefined) return known;
    const disturbed = operation.after.some((id) => {
      const earlier = operations.get(id);
      return earlier ? inBuild(earlier) : false;
    });
    due.set(operation.id, disturbed);
    return disturbed;
  };
  const chosen = [...operations.values()].filter(inBuild);
  const chosenIds = new Set(chosen.map((operation) => operation.id));
  /** What must be done first: of the chosen ones, directly or through what never came off. */
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

  const reverse = [...withAdded(anatomy, removed, added)].reverse();
  const numberOf = new Map(reverse.map((id, i) => [placeOperationId(id), i]));
  // Between parts, also by way of the gates and states that stand between them.
  const partsBefore = reverse.map((id) => {
    const first = new Set<number>();
    const seen = new Set<string>();
    const stack = [...needsOf.get(placeOperationId(id))!];
    while (stack.length) {
      const need = stack.pop()!;
      if (seen.has(need)) continue;
      seen.add(need);
      const number = numberOf.get(need);
      if (number === undefined) stack.push(...needsOf.get(need)!);
      else first.add(number);
    }
    return first;
  });
  const together = anatomy.assemblies
    .filter(({ beside }) => beside)
    .map(({ id }) => reverse.flatMap((position, i) => (positions.get(position)!.assemblyId === id ? [i] : [])));
  const { order, inversions, proven } = fewestInversions(partsBefore, together);

  const done = new Set<string>();
  const steps: BuildStep[] = [];
  const others = chosen.filter((operation) => operation.kind !== "place");
  const take = (operation: Operation) => {
    done.add(operation.id);
    steps.push({
      operation,
      position: operation.positionId ? (positions.get(operation.positionId) ?? null) : null,
      needs: needsOf.get(operation.id)!,
    });
  };
  const takeWhatIsDue = () => {
    for (let ready: Operation | undefined; ; take(ready)) {
      ready = others.find(({ id }) => !done.has(id) && needsOf.get(id)!.every((need) => done.has(need)));
      if (!ready) return;
    }
  };
  takeWhatIsDue();
  for (const i of order) {
    take(operations.get(placeOperationId(reverse[i]!))!);
    takeWhatIsDue();
  }
  return ok({ steps, inversions, proven });
}

/** The removal with the added seats in it, each just after the nearest seat that the model would have taken off before it. */
function withAdded(anatomy: Anatomy, removed: readonly string[], added: readonly string[]): string[] {
  const order = [...removed];
  if (!added.length) return order;
  const usual = removalOrder(anatomy);
  for (const id of [...added].sort((a, b) => usual.indexOf(a) - usual.indexOf(b))) {
    const earlier = usual.slice(0, usual.indexOf(id)).findLast((other) => order.includes(other));
    order.splice(earlier === undefined ? 0 : order.indexOf(earlier) + 1, 0, id);
  }
  return order;
}
