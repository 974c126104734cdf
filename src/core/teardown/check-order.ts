import { type Anatomy, placeOperationId } from "@/core/anatomy/types";
import { buildOrder, type OrderReason, orderReasons } from "./build-order";

export interface OrderError {
  /** Place in the performed order, counted from 1; null for what was never done. */
  readonly at: number | null;
  readonly kind: "too-early" | "twice" | "stranger" | "never";
  readonly operation: string;
  /** What had to be done first and was not: it is trapped, or cannot be reached any more. */
  readonly trapped: string | null;
  readonly reason: string;
}

/** The chain of reasons that makes one operation wait for another, shortest first found; empty when nothing does. */
function chain(reasons: readonly OrderReason[], before: string, after: string): OrderReason[] {
  const cameBy = new Map<string, OrderReason>();
  const queue = [after];
  for (let i = 0; i < queue.length; i++)
    for (const reason of reasons)
      if (reason.after === queue[i] && reason.before !== after && !cameBy.has(reason.before)) {
        cameBy.set(reason.before, reason);
        queue.push(reason.before);
      }
  const path: OrderReason[] = [];
  for (let at = before; at !== after; ) {
    const reason = cameBy.get(at);
    if (!reason) return [];
    path.push(reason);
    at = reason.after;
  }
  return path;
}

/**
 * What is wrong with an order in which a reel was really put together: what went in before something that belongs under it, what was done
 * twice, what nobody asked for, what was never done. Empty when the order holds.
 * @param removed seats that were off. @param performed operation ids, or seat ids for their placing, first done first.
 * @throws RangeError when the anatomy itself has no order; buildOrder explains it.
 */
export function checkOrder(anatomy: Anatomy, removed: readonly string[], performed: readonly string[]): OrderError[] {
  const built = buildOrder(anatomy, removed);
  if (!built.ok) throw new RangeError(built.message);
  const steps = new Map(built.value.steps.map((step) => [step.operation.id, step]));
  const reasons = orderReasons(anatomy);
  const nameOf = (id: string) => steps.get(id)?.position?.name ?? steps.get(id)?.operation.words ?? id;
  const errors: OrderError[] = [];
  const done = new Set<string>();
  performed.forEach((said, i) => {
    const id = steps.has(said) ? said : placeOperationId(said);
    const step = steps.get(id);
    const at = i + 1;
    if (!step) errors.push({ at, kind: "stranger", operation: said, trapped: null, reason: `${said} is not a step of this build.` });
    else if (done.has(id))
      errors.push({ at, kind: "twice", operation: id, trapped: null, reason: `${nameOf(id)} was done before already.` });
    else
      for (const need of step.needs)
        if (!done.has(need)) {
          const why = chain(reasons, need, id).map(({ reason }) => reason);
          errors.push({
            at,
            kind: "too-early",
            operation: id,
            trapped: need,
            reason: why.join(", and ") || `${nameOf(need)} comes first.`,
          });
        }
    if (step) done.add(id);
  });
  for (const id of steps.keys())
    if (!done.has(id)) errors.push({ at: null, kind: "never", operation: id, trapped: null, reason: `${nameOf(id)} was never done.` });
  return errors;
}
