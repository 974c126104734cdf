import type { Anatomy } from "@/core/anatomy/types";
import { planOpening } from "./opening";
import type { Step } from "./step";

/** A step as far as it can shut a place in. */
type Shuts = Pick<Step, "operation" | "position" | "state">;

/** Seats that have to be out so that oil gets to a place; none where it gets there from outside. */
export function behindOf(anatomy: Pick<Anatomy, "assemblies" | "positions">, positionId: string): string[] {
  const position = anatomy.positions.find(({ id }) => id === positionId);
  if (position?.oilPort) return position.portBehind ?? [];
  return [...planOpening(anatomy, { whole: new Set(), seats: new Set(), looked: new Set([positionId]) }).off];
}

/** The first part that went in over a place: its window is shut until that step is opened again. Null while it lies open. */
export function shutBy<S extends Shuts>(behind: readonly string[], steps: readonly S[]): S | null {
  return (
    steps.find(
      ({ operation, position, state }) =>
        operation.kind === "place" && state === "done" && position !== null && behind.includes(position.id),
    ) ?? null
  );
}

/** Whether an act would shut a place that lies open. */
export const shutsIn = (behind: readonly string[], steps: readonly Shuts[], operationIds: readonly string[]): boolean =>
  shutBy(behind, steps) === null &&
  steps.some(
    ({ operation, position }) =>
      operation.kind === "place" && position !== null && operationIds.includes(operation.id) && behind.includes(position.id),
  );
