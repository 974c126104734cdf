import type { PartType } from "@/core/anatomy/types";
import type { MistakeKind } from "@/core/vocabulary/mistakes";
import type { Seat, SeatRow } from "./table";

/** The rows of an assembly with one seat changed: how a family grows out of its sibling. */
export const reseat = (rows: readonly SeatRow[] | undefined, seatId: string, change: Seat): SeatRow[] =>
  (rows ?? []).map((row) => (row[0] === seatId ? [row[0], row[1], row[2], { ...row[3], ...change }] : row));

/** The rows of an assembly with others put in along its axis, after the seat they sit on. */
export const insertAfter = (rows: readonly SeatRow[], seatId: string, ...added: SeatRow[]): SeatRow[] =>
  rows.flatMap((row) => (row[0] === seatId ? [row, ...added] : [row]));

/** Where to look when a check fails: its words, its seats in any build, and the mistakes there that fail the check. */
export const look = (words: string, seats: string[], ...shows: MistakeKind[]) => ({ words, seats, shows });

/** Operation ids of "fit this part", for tables. */
export const place = (...ids: string[]): string[] => ids.map((id) => `place-${id}`);

/** A slotted screw with the proportions usual at this size; threaded to its end unless said. */
export const screw = (threadMm: number, lengthMm: number, threadedMm = lengthMm): PartType["shape"] => ({
  kind: "screw",
  threadMm,
  lengthMm,
  threadedMm,
  headMm: threadMm * 1.9,
  headHeightMm: threadMm * 0.6,
  drive: "slot",
});

export const greased = (amount: string, why: string) => ({ lubricant: { product: "reel grease", amount, why } });
/** On rings and lips of rubber: a grease that does not swell them. */
export const sealGreased = (why: string) => ({ lubricant: { product: "seal-safe grease", amount: "a film", why } });
export const oiled = (amount: string, why: string) => ({ lubricant: { product: "light oil", amount, why } });
/** Bearings that turn slowly under load: thin oil is pressed out of them, and water gets in. */
export const mediumOiled = (amount: string, why: string) => ({ lubricant: { product: "medium oil", amount, why } });
export const threadFilm = greased("a bead on the thread", "a dry thread seizes");
export const threadLock = {
  lubricant: {
    product: "thread-lock",
    amount: "one small drop on the thread, only where it was",
    why: "it was locked by its maker and turns out by itself otherwise",
  },
} as const;
export const steel = "stainless steel";
