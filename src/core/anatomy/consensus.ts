import { distance } from "fastest-levenshtein";
import type { LoosePart } from "./guess-anatomy";

/** What many teardowns teach of a seat: how it fails, how many there are. */
export const lessonKinds = ["fails", "count"] as const;
export type LessonKind = (typeof lessonKinds)[number];

/** A seat on which several teardowns agree, as far as they do. */
export interface ConsensusSeat {
  readonly part: LoosePart;
  /** Teardowns that had it, of all. */
  readonly seen: number;
  /** How sure it is that such a reel has it, 0 to 1: seen of all, drawn to a half as if one more teardown were undecided. */
  readonly sure: number;
  /** Kinds hands took it for, where they differ: the most named first. */
  readonly kinds: readonly { readonly kind: LoosePart["kind"]; readonly hands: number }[];
  /** Where each teardown had it: its place there from 1, null where it had none. */
  readonly places: readonly (number | null)[];
}

export interface Consensus {
  readonly teardowns: number;
  /** In the order they come off, by what most hands did. */
  readonly seats: readonly ConsensusSeat[];
  /** Seats most hands took in this order, and some in the other. */
  readonly turned: readonly { readonly first: number; readonly after: number; readonly hands: number; readonly of: number }[];
}

/** Kinds that are taken for one another (common practice). */
const alike: readonly (readonly LoosePart["kind"][])[] = [
  ["washer", "keyed-washer", "eared-washer", "friction-washer", "cupped-washer"],
  ["coil-spring", "wire-spring", "wave-spring"],
  ["gear", "pinion", "ratchet"],
  ["sleeve", "bearing", "roller-clutch"],
  ["pin", "screw"],
  ["o-ring", "lip-seal"],
];

/** What speaks against two parts being the same; 0 is nothing. */
function against(part: LoosePart, place: number, seat: Draft): number {
  // A usual seat of the family is certain when both know it.
  if (part.seat && seat.seat) return part.seat === seat.seat ? 0 : 3;
  const kind = seat.top()[0]!;
  const kindCost = part.kind === kind ? 0 : alike.some((group) => group.includes(part.kind) && group.includes(kind)) ? 0.6 : 1.4;
  const [mine, theirs] = [part.name.trim().toLowerCase(), seat.name.toLowerCase()];
  const nameCost = mine && theirs ? 1.2 * Math.min(1, distance(mine, theirs) / Math.max(mine.length, theirs.length, 1)) : 0.35;
  const sideCost = part.side && seat.side && part.side !== seat.side ? 0.8 : 0;
  return kindCost + nameCost + sideCost + 2.2 * Math.abs(place - seat.place());
}

/** A seat while teardowns are laid on it. */
class Draft {
  readonly parts: { readonly teardown: number; readonly part: LoosePart; readonly place: number; readonly at: number }[] = [];
  seat: string | null = null;
  name = "";
  side: LoosePart["side"] = null;

  add(teardown: number, part: LoosePart, place: number, at: number): void {
    this.parts.push({ teardown, part, place, at });
    this.seat = this.seat ?? part.seat ?? null;
    this.side = this.side ?? part.side ?? null;
    this.name = this.most(this.parts.map(({ part: { name } }) => name.trim()).filter(Boolean))[0] ?? "";
  }
  place = (): number => this.parts.reduce((sum, { place }) => sum + place, 0) / this.parts.length;
  top = (): LoosePart["kind"][] => this.most(this.parts.map(({ part: { kind } }) => kind));
  most = <T extends string>(of: readonly T[]): T[] => {
    const counts = new Map<T, number>();
    for (const one of of) counts.set(one, (counts.get(one) ?? 0) + 1);
    return [...counts].sort((a, b) => b[1] - a[1]).map(([one]) => one);
  };
}

/** What a part without a fellow costs: above it two parts are not the same. */
const apart = 1.6;

/**
 * The cheapest pairing of rows and columns, each row left alone for a price (Kuhn 1955, by shortest augmenting paths; Jonker and Volgenant 1987).
 * @returns the column of each row; -1 for a row that is cheaper alone.
 */
export function cheapestPairs(cost: readonly (readonly number[])[], alone: number): number[] {
  const rows = cost.length;
  const columns = (cost[0]?.length ?? 0) + rows;
  const price = (row: number, column: number) => (column < columns - rows ? cost[row]![column]! : alone);
  const [u, v] = [new Float64Array(rows + 1), new Float64Array(columns + 1)];
  const rowOf = new Int32Array(columns + 1);
  const way = new Int32Array(columns + 1);
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Number.POSITIVE_INFINITY);
    const used = new Uint8Array(columns + 1);
    do {
      used[column] = 1;
      const from = rowOf[column]!;
      let [delta, next] = [Number.POSITIVE_INFINITY, 0];
      for (let j = 1; j <= columns; j++) {
        if (used[j]) continue;
        const reduced = price(from - 1, j - 1) - u[from]! - v[j]!;
        if (reduced < least[j]!) {
          least[j] = reduced;
          way[j] = column;
        }
        if (least[j]! < delta) [delta, next] = [least[j]!, j];
      }
      for (let j = 0; j <= columns; j++)
        if (used[j]) {
          u[rowOf[j]!]! += delta;
          v[j]! -= delta;
        } else least[j]! -= delta;
      column = next;
    } while (rowOf[column] !== 0);
    do {
      const before = way[column]!;
      rowOf[column] = rowOf[before]!;
      column = before;
    } while (column);
  }
  const pairs = Array<number>(rows).fill(-1);
  for (let j = 1; j <= columns - rows; j++) if (rowOf[j]) pairs[rowOf[j]! - 1] = j - 1;
  return pairs;
}

/**
 * Lays teardowns on seats, one after the other; what fits none begins one of its own.
 * @param profile seats to lay them on as they are; none where they are made on the way.
 */
function layOut(teardowns: readonly (readonly LoosePart[])[], order: readonly number[], profile: readonly Draft[] | null): Draft[] {
  const seats: Draft[] = profile?.map(() => new Draft()) ?? [];
  for (const t of order) {
    const parts = teardowns[t]!;
    const place = (i: number) => (parts.length > 1 ? i / (parts.length - 1) : 0);
    const like = profile ?? [...seats];
    const pairs = like.length
      ? cheapestPairs(
          parts.map((part, i) => like.map((seat) => against(part, place(i), seat))),
          apart,
        )
      : parts.map(() => -1);
    for (const [i, part] of parts.entries()) {
      const at = pairs[i]!;
      const own = at >= 0 ? seats[at]! : new Draft();
      own.add(t, part, place(i), i + 1);
      if (at < 0) seats.push(own);
    }
  }
  return seats.filter(({ parts }) => parts.length > 0);
}

/** How often of those teardowns that had both one seat came off before another. */
function before(a: Draft, b: Draft): { readonly hands: number; readonly of: number } {
  let [hands, of] = [0, 0];
  for (const { teardown, at } of a.parts) {
    const other = b.parts.find((one) => one.teardown === teardown);
    if (!other) continue;
    of++;
    if (at < other.at) hands++;
  }
  return { hands, of };
}

/**
 * Lays several teardowns of one reel type over each other: which of their parts are the same, by what they were taken for, called and lay beside; how
 * sure each seat is; and where hands differed in order. The fullest teardown comes first, and all are laid once more on what came of it.
 */
export function consensusOf(teardowns: readonly (readonly LoosePart[])[]): Consensus {
  const order = teardowns.map((_, t) => t).sort((a, b) => teardowns[b]!.length - teardowns[a]!.length || a - b);
  const seats = layOut(teardowns, order, layOut(teardowns, order, null));
  seats.sort((a, b) => a.place() - b.place());
  // Neighbours that most hands took the other way round change over, until none are left.
  for (let round = 0; round < seats.length; round++) {
    let calm = true;
    for (let i = 0; i + 1 < seats.length; i++) {
      const { hands, of } = before(seats[i]!, seats[i + 1]!);
      if (of > 0 && hands < of / 2) {
        [seats[i], seats[i + 1]] = [seats[i + 1]!, seats[i]!];
        calm = false;
      }
    }
    if (calm) break;
  }
  const turned: Consensus["turned"][number][] = [];
  for (let i = 0; i < seats.length; i++)
    for (let j = i + 1; j < seats.length; j++) {
      const { hands, of } = before(seats[i]!, seats[j]!);
      if (of > 1 && hands < of) turned.push({ first: i, after: j, hands, of });
    }
  return {
    teardowns: teardowns.length,
    turned,
    seats: seats.map((seat, i): ConsensusSeat => {
      const kinds = seat.top();
      const inPlace = seat.parts.every(({ part }) => part.inPlace) ? (seat.parts[0]!.part.inPlace ?? null) : null;
      return {
        part: { well: i + 1, kind: kinds[0]!, name: seat.name, seat: seat.seat, side: seat.side ?? null, act: 0, inPlace },
        seen: seat.parts.length,
        sure: (seat.parts.length + 0.5) / (teardowns.length + 1),
        kinds: kinds.map((kind) => ({ kind, hands: seat.parts.filter(({ part }) => part.kind === kind).length })),
        places: teardowns.map((_, t) => seat.parts.find(({ teardown }) => teardown === t)?.at ?? null),
      };
    }),
  };
}

/** The parts of a consensus that are likelier there than not, as one teardown to make a machine of. */
export const consensusParts = ({ seats }: Consensus): LoosePart[] =>
  seats.filter(({ sure }) => sure >= 0.5).map(({ part }, i) => ({ ...part, well: i + 1 }));
