import { type Anatomy, type Operation, type PartType, placeOperationId } from "@/core/anatomy/types";
import { groupBy } from "@/core/group-by";
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
}

/** A gate costs a turn of the hand; the others what laying out and looking takes (rule of thumb). */
const minutesOf = { gate: 0.3, count: 0.2, faces: 0.15, lengths: 0.4, order: 0.1 } as const;

const aboutTurned = /upside|turned|cup|face|slot|square|steep|half a turn|nested|thick end|flat|way round|side/i;
const aboutMissing = /missing|left out|gone|behind|lost|not there/i;
const aboutOrder = /order|swapped|exchanged|alternate|between|instead of over/i;

/**
 * Seats a text names, the longest names first, so that "dog spring" is not also a dog. The last word of a name stands for it where only parts of one
 * role end so: a dog is an anti-reverse dog, a washer may be any.
 */
function named(text: string, anatomy: Pick<Anatomy, "positions">, roleOf: (seat: string) => string): string[] {
  let rest = text.toLowerCase();
  const heads = anatomy.positions.map(({ id, name }) => ({ id, head: name.toLowerCase().split(",")[0]!.trim().replace(/s$/, "") }));
  const byLast = groupBy(heads, ({ head }) => head.split(" ").at(-1)!);
  const words = [
    ...groupBy(heads, ({ head }) => head),
    ...[...byLast].filter(([, some]) => new Set(some.map(({ id }) => roleOf(id))).size === 1),
  ].sort(([a], [b]) => b.length - a.length);
  const found = new Set<string>();
  for (const [word, some] of words) {
    const pattern = new RegExp(`\\b${word.replace(/[^a-z ]/g, ".")}s?\\b`, "g");
    if (word.length < 3 || !pattern.test(rest)) continue;
    for (const { id } of some) found.add(id);
    rest = rest.replaceAll(pattern, " ");
  }
  return [...found];
}

/** The mistakes a gate shows: those at the pieces it says to look at, of the kind it speaks of; it tests nothing that is not in by then. */
export function caughtByGate(
  gate: Operation,
  anatomy: Anatomy,
  roleOf: (seat: string) => string,
  mistakes: readonly Mistake[],
  in_: ReadonlySet<string>,
): Set<string> {
  const caught = new Set<string>();
  for (const text of [gate.words, ...gate.lookAt]) {
    const seats = new Set(named(text, anatomy, roleOf));
    const [turned, missing, order] = [aboutTurned.test(text), aboutMissing.test(text), aboutOrder.test(text)];
    const any = !turned && !missing && !order;
    for (const { id, kind, seats: at } of mistakes) {
      if (!at.every((seat) => in_.has(seat)) || !at.some((seat) => seats.has(seat))) continue;
      if (
        any
          ? kind === "turned" || kind === "left-out"
          : (turned && kind === "turned") || (missing && kind === "left-out") || (order && (kind === "stacked" || kind === "swapped"))
      )
        caught.add(id);
    }
  }
  return caught;
}

/**
 * The gates a machine has, and the checks it could have: counting an assembly's small pieces before it is closed, a look at the faces of what has
 * two sides, screws laid beside each other by length, a stack read off in its order.
 */
export function checksOf(
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  order: readonly string[],
  mistakes: readonly Mistake[],
): Check[] {
  const at = new Map(order.map((id, i) => [id, i]));
  const typeOf = new Map(anatomy.positions.map(({ id, partTypeId }) => [id, types.get(partTypeId)]));
  const roleOf = (seat: string) => typeOf.get(seat)?.role ?? seat;
  const seatOf = new Map(anatomy.positions.map((position) => [placeOperationId(position.id), position.id]));
  const gates = anatomy.operations
    .filter(({ kind, id }) => kind === "gate" && at.has(id))
    .map((gate): Check => {
      const before = new Set(order.slice(0, at.get(gate.id)!).flatMap((id) => seatOf.get(id) ?? []));
      return {
        id: gate.id,
        words: gate.words,
        minutes: minutesOf.gate,
        catches: caughtByGate(gate, anatomy, roleOf, mistakes, before),
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
    const offer = (kind: Mistake["kind"], how: keyof typeof minutesOf, words: (count: number) => string) => {
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
      });
    };
    const lower = name.toLowerCase();
    offer("left-out", "count", (n) =>
      n === 1
        ? `See that the small piece of ${lower} is in and not in the tray`
        : `Count the small pieces of ${lower}: ${n} are in, none in the tray`,
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
