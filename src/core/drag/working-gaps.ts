import type { Anatomy, Member, PartType } from "@/core/anatomy/types";

export interface StackElement {
  /** What it turns with; a loose friction washer turns with nothing. */
  readonly member: Member;
}

/**
 * The working gaps of a stack: what lies between two neighbouring elements that are fixed to different members, each counted once however
 * many friction washers lie in it. Between two of one member nothing slips. Source: plate clutch theory (one pair of surfaces a gap).
 */
export function workingGaps(stack: readonly StackElement[]): number {
  const fixed = stack.filter(({ member }) => member !== "none");
  return fixed.filter(({ member }, i) => i > 0 && member !== fixed[i - 1]!.member).length;
}

/** The elements of one assembly's drag stack from the base up: from the first to the last one a friction washer touches. */
export function dragStackOf(anatomy: Pick<Anatomy, "positions">, types: ReadonlyMap<string, PartType>, assemblyId: string) {
  const seats = anatomy.positions
    .filter((position) => position.assemblyId === assemblyId && position.acrossMm === 0)
    .sort((a, b) => a.ordinal - b.ordinal);
  const rubs = seats.map((seat) => types.get(seat.partTypeId)?.shape.kind === "friction-washer");
  const [first, last] = [rubs.indexOf(true), rubs.lastIndexOf(true)];
  return first < 0 ? [] : seats.slice(Math.max(0, first - 1), last + 2);
}
