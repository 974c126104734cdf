import { type Station, stations } from "@/core/vocabulary/job-kinds";
import { moves, type WhoseMove } from "./whose-move";

/** A reel in the shop as the bench finds it again. */
export interface BenchRow {
  readonly tag: string;
  readonly reel: string;
  readonly serial: string;
  readonly owner: string;
  readonly phone: string;
  /** What was reported of it, in words. */
  readonly reported: string;
  /** The lot it came with; null for one that came alone. */
  readonly lot: string | null;
  readonly station: Station;
  readonly move: WhoseMove;
  readonly promisedOn: string;
  /** When something was last done about it (ISO 8601). */
  readonly since: string;
  readonly minutesLeft: number;
  /** Who worked on it with their hands, whoever did most first. */
  readonly people: readonly string[];
}

export const benchOrders = ["promised", "since", "owner", "reel", "station", "move", "left"] as const;
export type BenchOrder = (typeof benchOrders)[number];

/** What is looked for; null takes all. */
export interface BenchAsk {
  readonly words: string;
  readonly station: Station | null;
  readonly move: WhoseMove | null;
  readonly person: string | null;
  readonly order: BenchOrder;
}

/** As letters are compared: without case or accents, and a number without what people put between its digits. */
const plain = (words: string): string => words.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase();
const digits = (words: string): string => words.replace(/[\s()/.-]/g, "");

const haystack = ({ tag, reel, serial, owner, phone, reported, lot }: BenchRow): string =>
  plain([tag, digits(tag), reel, serial, owner, phone, digits(phone), reported, lot ?? ""].join(" "));

const compared: Readonly<Record<BenchOrder, (a: BenchRow, b: BenchRow) => number>> = {
  promised: (a, b) => a.promisedOn.localeCompare(b.promisedOn),
  // The longest untouched first.
  since: (a, b) => a.since.localeCompare(b.since),
  owner: (a, b) => a.owner.localeCompare(b.owner),
  reel: (a, b) => a.reel.localeCompare(b.reel) || a.serial.localeCompare(b.serial),
  station: (a, b) => stations.indexOf(a.station) - stations.indexOf(b.station),
  move: (a, b) => moves.indexOf(a.move) - moves.indexOf(b.move),
  left: (a, b) => a.minutesLeft - b.minutesLeft,
};

/** The reels that are looked for, in the order asked for; alike ones by their promised day, then by tag. Every word typed has to be somewhere in what is known of a reel. */
export function benchList(rows: readonly BenchRow[], ask: BenchAsk): BenchRow[] {
  const words = plain(ask.words).split(/\s+/).filter(Boolean);
  return rows
    .filter(
      (row) =>
        (ask.station === null || row.station === ask.station) &&
        (ask.move === null || row.move === ask.move) &&
        (ask.person === null || row.people.includes(ask.person)) &&
        (!words.length || words.every((word) => haystack(row).includes(word))),
    )
    .toSorted((a, b) => compared[ask.order](a, b) || compared.promised(a, b) || a.tag.localeCompare(b.tag));
}
