import { type Anatomy, type Operation, placeOperationId } from "@/core/anatomy/types";
import type { Mistake } from "./mistakes";

/** Something that is looked at while a reel goes together, and what it would show. */
export interface Check {
  readonly id: string;
  readonly words: string;
  /** Minutes it takes. */
  readonly minutes: number;
  /** Ids of the mistakes it catches. */
  readonly catches: ReadonlySet<string>;
  /** A gate the machine has already; else one that could be added, after this operation. */
  readonly gate: boolean;
  readonly after: string;
  /** The pieces that are counted; a reel built otherwise has others, so their number is said where it lies open. */
  readonly counts?: readonly string[];
}

/** A gate costs a turn of the hand; the others what laying out and looking takes (rule of thumb). */
const minutesOf = { gate: 0.3, count: 0.2, faces: 0.15, lengths: 0.4, order: 0.1 } as const;

/** The mistakes a gate shows: those its looks say as values, at pieces that are in by then. */
export function caughtByGate(gate: Operation, mistakes: readonly Mistake[], in_: ReadonlySet<string>): Set<string> {
  const shown = (kind: Mistake["kind"], seats: readonly string[]) =>
    gate.lookAt.some((look) => look.shows.includes(kind) && seats.every((seat) => look.seats.includes(seat)));
  return new Set(mistakes.filter(({ kind, seats }) => seats.every((seat) => in_.has(seat)) && shown(kind, seats)).map(({ id }) => id));
}

/**
 * The gates a machine has, and the checks it could have: counting an assembly's small pieces before it is closed, a look at the faces of what has
 * two sides, screws laid beside each other by length, a stack read off in its order.
 */
export function checksOf(anatomy: Anatomy, order: readonly string[], mistakes: readonly Mistake[]): Check[] {
  const at = new Map(order.map((id, i) => [id, i]));
  const seatOf = new Map(anatomy.positions.map((position) => [placeOperationId(position.id), position.id]));
  const gates = anatomy.operations
    .filter(({ kind, id }) => kind === "gate" && at.has(id))
    .map((gate): Check => {
      const before = new Set(order.slice(0, at.get(gate.id)!).flatMap((id) => seatOf.get(id) ?? []));
      return {
        id: gate.id,
        words: gate.words,
        minutes: minutesOf.gate,
        catches: caughtByGate(gate, mistakes, before),
        gate: true,
        after: gate.id,
      };
    });
  const offered: Check[] = [];
  const assemblyOf = new Map(anatomy.positions.map(({ id, assemblyId }) => [id, assemblyId]));
  const lastOf = (seats: readonly string[]) =>
    seats
      .map(placeOperationId)
      .filter((id) => at.has(id))
      .sort((a, b) => at.get(b)! - at.get(a)!)[0] ?? "";
  for (const { id, name } of anatomy.assemblies) {
    const own = mistakes.filter(({ seats }) => seats.every((seat) => assemblyOf.get(seat) === id));
    const offer = (kind: Mistake["kind"], how: keyof typeof minutesOf, words: (count: number) => string, counts = false) => {
      const some = own.filter((mistake) => mistake.kind === kind);
      const seats = [...new Set(some.flatMap((mistake) => mistake.seats))];
      const after = lastOf(seats);
      if (!some.length || !after) return;
      offered.push({
        id: `${how}-${id}`,
        words: words(seats.length),
        minutes: minutesOf[how] * seats.length,
        catches: new Set(some.map((mistake) => mistake.id)),
        gate: false,
        after,
        ...(counts ? { counts: seats } : {}),
      });
    };
    const lower = name.toLowerCase();
    offer(
      "left-out",
      "count",
      (n) =>
        n === 1 ? `See that the small piece of ${lower} is in and not in the tray` : `Count the small pieces of ${lower}, none in the tray`,
      true,
    );
    offer("turned", "faces", (n) =>
      n === 1
        ? `Look at the piece of ${lower} that has two sides: is it as it was?`
        : `Look at the ${n} pieces of ${lower} that have two sides: each as it was`,
    );
    offer("swapped", "lengths", (n) => `Lay the ${n} screws of ${lower} beside each other by length before they go in`);
    offer("stacked", "order", (n) => `Read the stack of ${lower} off from the base: ${n} rings in their order`);
  }
  return [...gates, ...offered];
}
