import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import type { Solver } from "@/core/blind-spots/least-cover";
import { partOfWords } from "@/core/bring-in/part-of-words";
import { familyWith } from "@/core/families/families";
import type { FamilyTemplate } from "@/core/families/template";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { meaningOf, near } from "./trade-words";

/** One row of a list. */
export interface SheetRow {
  readonly description: string;
  /** How many the list says; 1 where it says nothing. */
  readonly quantity?: number | undefined;
}

export interface SeatMatch {
  readonly row: number;
  readonly positionId: string;
  /** From 0 to 1: how sure. */
  readonly sure: number;
  readonly doubtful: boolean;
}

export interface MatchedSheet {
  readonly family: FamilyId;
  /** How well each family fits the list, the best first; 1 is every row in a seat. */
  readonly families: readonly { readonly family: FamilyId; readonly fit: number }[];
  /** The choices in which the list differs from the family's usual build. */
  readonly chosen: Readonly<Record<string, string>>;
  readonly matches: readonly SeatMatch[];
  /** Rows that are no seat of the family, with the assembly their neighbours are of. */
  readonly rest: readonly { readonly row: number; readonly assemblyId: string | null }[];
  /** Seats that no row is. */
  readonly empty: readonly string[];
}

/** Where on the reel, or which of several alike: the same part in another place. */
const places = new Set(
  [
    "front",
    "rear",
    "top",
    "low",
    "lower",
    "upper",
    "middle",
    "high",
    "inner",
    "outer",
    "first",
    "second",
    "third",
    "fourth",
    "fifth",
    "sixth",
    "foot",
  ].concat([
    "left",
    "right",
    "last",
    "far",
    "near",
    "large",
    "small",
    "long",
    "short",
    "under",
    "on",
    "at",
    "above",
    "below",
    "in",
    "anchor",
    "neck",
  ]),
);
/** Those that tell the piece itself, not where it sits. */
const ofPiece = new Set(["large", "small", "long", "short"]);
/** Below it nothing is the same. */
const least = 0.3;
/** What is not this sure is looked at by somebody. */
const sureEnough = 0.7;

interface Seat {
  readonly position: Position;
  readonly words: readonly string[];
  readonly head: string | null;
  readonly kind: string;
  readonly sizes: string;
  readonly assembly: readonly string[];
}
interface Row {
  readonly words: readonly string[];
  readonly head: string | null;
  readonly kind: string;
  readonly sizes: string;
  readonly quantity: number;
}

/** Figures of a size in order of size: 7 × 14 × 5 and 5x14x7 are one. */
const sizesOf = (text: string): string => {
  const found = /(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?/.exec(text);
  return found
    ? found
        .slice(1)
        .flatMap((one) => (one === undefined ? [] : [Number(one.replace(",", "."))]))
        .sort((a, b) => a - b)
        .join(" ")
    : "";
};

const typesOf = ({ parts }: Pick<FamilyTemplate, "parts">) => new Map(parts.map((part) => [part.id, part]));

function seatsOf(anatomy: Anatomy, types: ReadonlyMap<string, PartType>): Seat[] {
  const assemblies = new Map(anatomy.assemblies.map(({ id, name }) => [id, meaningOf(name).words]));
  return anatomy.positions.map((position) => {
    const type = types.get(position.partTypeId);
    const [own, part] = [meaningOf(position.name), meaningOf(type?.name ?? "")];
    return {
      position,
      words: [...new Set([...own.words, ...part.words.filter((word) => !places.has(word) || ofPiece.has(word))])],
      head: own.head !== null && !places.has(own.head) ? own.head : part.head,
      kind: type?.shape.kind ?? "",
      sizes: sizesOf(type?.name ?? ""),
      assembly: assemblies.get(position.assemblyId) ?? [],
    };
  });
}

const rowsOf = (rows: readonly SheetRow[]): Row[] =>
  rows.map(({ description, quantity }) => ({
    ...meaningOf(description),
    kind: partOfWords(description).kind,
    sizes: sizesOf(description),
    quantity: Math.max(1, Math.min(40, Math.round(quantity ?? 1))),
  }));

/** Kinds that lists do not keep apart. */
const alike: readonly (readonly string[])[] = [
  ["washer", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer", "wave-spring", "sleeve"],
  ["coil-spring", "wire-spring", "wave-spring", "cupped-washer"],
  ["dog", "pawl", "tongue", "ratchet", "jack"],
  ["gear", "ratchet", "pinion", "worm"],
  ["cap", "cover", "plate", "button", "knob", "nut"],
  ["plate", "frame", "body", "cover", "clip"],
  ["sleeve", "bearing", "shaft", "pin"],
  ["lever", "cam", "jack", "slider", "button", "eccentric", "yoke"],
];
const kindsAgree = (row: string, seat: string): number =>
  row === "unsorted" || seat === "" ? 0.5 : row === seat ? 1 : alike.some((of) => of.includes(row) && of.includes(seat)) ? 0.55 : 0;

/** How rare each word is among the seats: what many are called tells little. */
function weightsOf(seats: readonly Seat[]): (word: string) => number {
  const times = new Map<string, number>();
  for (const { words } of seats) for (const word of new Set(words)) times.set(word, (times.get(word) ?? 0) + 1);
  return (word) => {
    const seen = times.get(word);
    // A word no seat has says that something is otherwise, and not how much.
    const rare = seen === undefined ? 0.6 : Math.log(1 + seats.length / seen) / Math.log(1 + seats.length);
    return places.has(word) ? rare * 0.25 : rare;
  };
}

/** How like a row and a seat are, from 0 to 1. */
function likeness(row: Row, seat: Seat, weight: (word: string) => number): number {
  const sum = (words: readonly string[], of: (word: string) => number) => words.reduce((so, word) => so + of(word), 0);
  const heavy = (head: string | null) => (word: string) => weight(word) * (word === head ? 1.6 : 1);
  const [ofRow, ofSeat] = [heavy(row.head), heavy(seat.head)];
  const common = row.words.filter((word) => seat.words.includes(word));
  const lacking = seat.words.filter((word) => !row.words.includes(word));
  let same = sum(common, (word) => (ofRow(word) + ofSeat(word)) / 2);
  let all = same;
  for (const word of row.words.filter((one) => !seat.words.includes(one))) {
    all += ofRow(word);
    // One word of a row for one of the seat, where lists say either.
    const at = lacking.findIndex((other) => near.some((of) => of.includes(word) && of.includes(other)));
    if (at >= 0) {
      const [other] = lacking.splice(at, 1);
      same += 0.5 * (ofRow(word) + ofSeat(other!)) * 0.5;
    }
    // What the seat's assembly is called may stand in the row instead: "spool click gear" of the click gear in the spool.
    else if (seat.assembly.includes(word)) same += 0.5 * ofRow(word);
  }
  all += sum(lacking, (word) => (places.has(word) ? 0.3 : 1) * ofSeat(word));
  const words = all > 0 ? Math.min(1, same / all) : 0;
  const sized = row.sizes && seat.sizes ? (row.sizes === seat.sizes ? 0.25 : -0.05) : 0;
  const kind = kindsAgree(row.kind, seat.kind);
  return Math.max(0, Math.min(1, 0.78 * words + 0.22 * kind * (words > 0.05 || sized > 0 ? 1 : 0.3) + sized - (kind === 0 ? 0.12 : 0)));
}

/** Likeness of all rows to a seat, each kind of seat of a family reckoned once. */
function reckoner(rows: readonly Row[], weight: (word: string) => number): (seat: Seat) => readonly number[] {
  const known = new Map<string, readonly number[]>();
  return (seat) => {
    const key = `${seat.words.join(" ")}|${seat.head}|${seat.kind}|${seat.sizes}|${seat.assembly.join(" ")}`;
    const found = known.get(key) ?? rows.map((row) => likeness(row, seat, weight));
    known.set(key, found);
    return found;
  };
}

/** The best seats for all rows at once; a row takes as many as its quantity, a seat is taken once. Solved to the optimum by HiGHS. */
function assigned(solver: Solver, rows: readonly Row[], seats: readonly Seat[], value: (row: number, seat: number) => number): number[][] {
  const pairs: [row: number, seat: number, value: number][] = [];
  for (const row of rows.keys())
    for (const seat of seats.keys()) {
      const worth = value(row, seat);
      if (worth >= least) pairs.push([row, seat, worth - least + 0.01]);
    }
  const taken: number[][] = rows.map(() => []);
  if (!pairs.length) return taken;
  const columns = (which: (pair: (typeof pairs)[number]) => boolean) =>
    pairs.flatMap((pair, i) => (which(pair) ? [`x${i}`] : [])).join(" + ");
  const limits = [
    ...[...rows.entries()].map(([row, { quantity }]) => [columns(([of]) => of === row), quantity] as const),
    ...[...seats.keys()].map((seat) => [columns(([, of]) => of === seat), 1] as const),
  ].filter(([terms]) => terms);
  const program = [
    "Maximize",
    ` likeness: ${pairs.map(([, , worth], i) => `${worth.toFixed(5)} x${i}`).join(" + ")}`,
    "Subject To",
    ...limits.map(([terms, most], i) => ` c${i}: ${terms} <= ${most}`),
    "Bounds",
    ...pairs.map((_, i) => ` 0 <= x${i} <= 1`),
    "End",
  ].join("\n");
  const solved = solver.solve(program, { time_limit: 5 });
  for (const [i, [row, seat]] of pairs.entries())
    if (((solved.Columns[`x${i}`] as { Primal?: number } | undefined)?.Primal ?? 0) > 0.5) taken[row]!.push(seat);
  return taken;
}

/** Rows that would as soon have each other's seats, such as a collar A and a collar B, have them in the order of the list. */
function inOrder(taken: number[][], value: (row: number, seat: number) => number): void {
  for (let row = 0; row < taken.length; row++)
    for (let later = row + 1; later < taken.length; later++) {
      const [[one, ...more], [other, ...others]] = [taken[row]!, taken[later]!];
      if (one === undefined || other === undefined || more.length || others.length || one < other) continue;
      if (Math.abs(value(row, one) + value(later, other) - value(row, other) - value(later, one)) < 0.03 && value(row, other) >= least)
        [taken[row], taken[later]] = [[other], [one]];
    }
}

/** How far a list is such a reel: its rows in its seats, the likest first, less what of the reel is on no row. */
function fitOf(rows: readonly Row[], seats: readonly Seat[], like: (seat: Seat) => readonly number[]): number {
  const pairs = seats
    .flatMap((seat, at) => like(seat).map((value, row) => ({ value, row, at })))
    .filter(({ value }) => value >= least)
    .sort((a, b) => b.value - a.value);
  const open = rows.map(({ quantity }) => quantity);
  const claimed = new Set<number>();
  let sum = 0;
  for (const { value, row, at } of pairs)
    if (open[row]! > 0 && !claimed.has(at)) {
      open[row]!--;
      claimed.add(at);
      sum += Math.max(0, value - 0.2) / rows[row]!.quantity;
    }
  return (sum / Math.max(1, rows.length)) * 1.25 - 0.15 * (1 - claimed.size / Math.max(1, seats.length));
}

interface Built {
  readonly family: FamilyId;
  readonly template: FamilyTemplate;
  readonly chosen: Readonly<Record<string, string>>;
  readonly fit: number;
  readonly like: (seat: Seat) => readonly number[];
}

/** A family as it is usually built. */
function usual(rows: readonly Row[], family: FamilyId): Built {
  const template = familyWith(family, {});
  const seats = seatsOf(template.anatomy, typesOf(template));
  const like = reckoner(rows, weightsOf(seats));
  return { family, template, chosen: {}, fit: fitOf(rows, seats, like), like };
}

/** The build of a family that fits a list best: each way it is built taken as the list has it, where that fits better than the usual. */
function asListed(rows: readonly Row[], from: Built): Built {
  let best = from;
  for (const { id, choices } of from.template.variants)
    for (const choice of choices) {
      const chosen = { ...best.chosen, [id]: choice.id };
      const template = familyWith(from.family, chosen);
      const fit = fitOf(rows, seatsOf(template.anatomy, typesOf(template)), from.like);
      if (fit > best.fit + 0.005) best = { ...best, template, chosen, fit };
    }
  return best;
}

/**
 * Which seat of which family each row of a list is: one assignment over all of them, with how sure each is.
 * @param family where it is known; else it is told by the list. @param anatomy of the model it is to be, where there is one already.
 */
export function matchSeats(
  solver: Solver,
  sheet: readonly SheetRow[],
  family: FamilyId | null = null,
  model: { readonly anatomy: Anatomy; readonly parts: readonly PartType[] } | null = null,
): MatchedSheet {
  const rows = rowsOf(sheet);
  const families = (family ? [family] : familyIds).map((id) => usual(rows, id)).sort((a, b) => b.fit - a.fit);
  // The nearest few are built as the list has them before one is chosen.
  const nearest = families
    .slice(0, 2)
    .map((one) => asListed(rows, one))
    .sort((a, b) => b.fit - a.fit);
  const best = nearest[0]!;
  const { anatomy, parts } = model ?? best.template;
  const seats = seatsOf(anatomy, typesOf({ parts }));
  const columns = seats.map(model ? reckoner(rows, weightsOf(seats)) : best.like);
  const like = (row: number, seat: number) => columns[seat]![row]!;
  const first = assigned(solver, rows, seats, like);
  // A list goes through the reel assembly by assembly: what its neighbours are of, it is likely of as well.
  const near3 = (row: number, assemblyId: string): number => {
    let sum = 0;
    for (let by = -3; by <= 3; by++)
      for (const seat of by === 0 ? [] : (first[row + by] ?? []))
        if (seats[seat]!.position.assemblyId === assemblyId) sum += Math.max(0, like(row + by, seat) - 0.4) / Math.abs(by);
    return Math.min(0.12, 0.08 * sum);
  };
  const bonus = rows.map((_, row) => new Map(anatomy.assemblies.map(({ id }) => [id, near3(row, id)])));
  const value = (row: number, seat: number) =>
    like(row, seat) > 0.12 ? like(row, seat) + bonus[row]!.get(seats[seat]!.position.assemblyId)! : 0;
  const taken = assigned(solver, rows, seats, value);
  inOrder(taken, value);
  const matches = taken.flatMap((of, row) =>
    of.map((seat): SeatMatch => {
      const own = value(row, seat);
      // Seats of the same part are one answer; another part is a rival.
      const rival = Math.max(
        0,
        ...seats.flatMap((other, i) =>
          other.position.partTypeId === seats[seat]!.position.partTypeId || of.includes(i) ? [] : [value(row, i)],
        ),
      );
      const other = Math.max(0, ...rows.flatMap((_, i) => (i === row || taken[i]!.includes(seat) ? [] : [value(i, seat)])));
      const margin = own - Math.max(rival, other * 0.9);
      const sure = Math.max(0.02, Math.min(0.98, 1.05 * own - 0.1 + 0.9 * Math.min(0.2, margin)));
      return { row, positionId: seats[seat]!.position.id, sure: Math.round(sure * 100) / 100, doubtful: sure < sureEnough };
    }),
  );
  const assemblyOf = (row: number): string | null => {
    for (let by = 1; by < rows.length; by++)
      for (const at of [row - by, row + by]) {
        const [seat] = taken[at] ?? [];
        if (seat !== undefined) return seats[seat]!.position.assemblyId;
      }
    return null;
  };
  const filled = new Set(matches.map(({ positionId }) => positionId));
  return {
    family: best.family,
    families: [...nearest, ...families.slice(2)].map(({ family: id, fit }) => ({
      family: id,
      fit: Math.round(100 * Math.max(0, Math.min(1, fit))) / 100,
    })),
    chosen: best.chosen,
    matches,
    rest: [...rows.keys()].filter((row) => !taken[row]!.length).map((row) => ({ row, assemblyId: assemblyOf(row) })),
    empty: anatomy.positions.flatMap(({ id }) => (filled.has(id) ? [] : [id])),
  };
}
