import { parseMinor } from "@/core/money/money";

/** A supplier's price list against the catalogue: what is known, what is sold under another number by now, what is strange. */

export interface PriceRow {
  readonly number: string;
  readonly price: string;
  /** Pieces for that price; empty for one. */
  readonly pack: string;
}

export interface CataloguePart {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly supersededBy: string;
}

export interface PriceLine {
  /** Row of the file, from 1, its headings left out. */
  readonly row: number;
  readonly partTypeId: string;
  readonly number: string;
  readonly name: string;
  readonly priceMinor: number;
  readonly pack: number;
  /** What a piece cost there until now; null where it was not sold there. */
  readonly before: number | null;
  /** Change of a piece's price, in per cent; null where there was none. */
  readonly change: number | null;
  /** The number it stood under, where that is superseded by this part. */
  readonly under: string | null;
}

export interface ReadPriceList {
  readonly lines: readonly PriceLine[];
  /** Numbers that are no part's. */
  readonly unknown: readonly { readonly row: number; readonly number: string }[];
  readonly faults: readonly { readonly row: number; readonly number: string; readonly message: string }[];
}

/** Changes above this are told one by one, per cent. */
export const jumpPercent = 10;
export const isJump = ({ change }: Pick<PriceLine, "change">): boolean => change !== null && Math.abs(change) > jumpPercent;

/** A number as it is compared: letters and digits alone. */
const bare = (number: string) => number.toUpperCase().replace(/[^\p{L}\p{N}]/gu, "");

/**
 * Reads the rows of a price list. Numbers are matched whatever their spaces, dashes and case; a superseded number's price goes to the part it is
 * sold as. @param pieceNow what a piece of a part costs at this supplier now, in minor units.
 */
export function readPriceList(
  rows: readonly PriceRow[],
  catalogue: readonly CataloguePart[],
  pieceNow: ReadonlyMap<string, number>,
): ReadPriceList {
  const byNumber = new Map<string, CataloguePart | null>();
  for (const part of catalogue) {
    const key = bare(part.number);
    // Two numbers that read alike match nothing by their bare form.
    byNumber.set(key, byNumber.has(key) ? null : part);
  }
  const exact = new Map(catalogue.map((part) => [part.number.toUpperCase(), part]));
  const find = (number: string) => exact.get(number.trim().toUpperCase()) ?? byNumber.get(bare(number)) ?? null;
  const lines: PriceLine[] = [];
  const unknown: { row: number; number: string }[] = [];
  const faults: { row: number; number: string; message: string }[] = [];
  const rowOf = new Map<string, number>();
  for (const [i, { number, price, pack }] of rows.entries()) {
    const row = i + 1;
    if (!number.trim() && !price.trim()) continue;
    const found = find(number);
    if (!found) {
      unknown.push({ row, number: number.trim() });
      continue;
    }
    const next = found.supersededBy ? find(found.supersededBy) : null;
    const part = next ?? found;
    const priceMinor = parseMinor(price.replace(/[^\d.,-]/g, ""));
    if (priceMinor === null) {
      faults.push({ row, number: found.number, message: `"${price.slice(0, 20)}" is no price.` });
      continue;
    }
    const pieces = pack.trim() === "" ? 1 : Number(pack);
    if (!Number.isInteger(pieces) || pieces < 1 || pieces > 10_000) {
      faults.push({ row, number: found.number, message: `"${pack.slice(0, 20)}" is no number of pieces.` });
      continue;
    }
    const twin = rowOf.get(part.id);
    if (twin !== undefined) {
      faults.push({ row, number: found.number, message: `It is already in row ${twin}.` });
      continue;
    }
    rowOf.set(part.id, row);
    const before = pieceNow.get(part.id) ?? null;
    const change = before === null || before === 0 ? null : (100 * (priceMinor / pieces - before)) / before;
    lines.push({
      row,
      partTypeId: part.id,
      number: part.number,
      name: part.name,
      priceMinor,
      pack: pieces,
      before,
      change,
      under: next ? found.number : null,
    });
  }
  return { lines, unknown, faults };
}

/** Which column holds what, by its heading; -1 where none says so. */
export function guessPriceColumns(headings: readonly string[]): { number: number; price: number; pack: number } {
  const find = (pattern: RegExp) => headings.findIndex((heading) => pattern.test(heading));
  return { number: find(/num|part|code|article|ref/i), price: find(/price|cost|net|each/i), pack: find(/pack|per|pieces|qty/i) };
}

/** What is told of a list before it is taken over: how much of it is known, and what somebody should look at, the first of each. */
export interface PriceListTold {
  readonly known: number;
  readonly jumps: readonly PriceLine[];
  readonly moved: readonly PriceLine[];
  readonly unknown: ReadPriceList["unknown"];
  readonly faults: ReadPriceList["faults"];
  /** How many of each there are. */
  readonly counts: { readonly jumps: number; readonly moved: number; readonly unknown: number; readonly faults: number };
}
const mostTold = 100;

export function tellPriceList({ lines, unknown, faults }: ReadPriceList): PriceListTold {
  const jumps = lines.filter(isJump);
  const moved = lines.filter(({ under }) => under !== null);
  return {
    known: lines.length,
    jumps: jumps.slice(0, mostTold),
    moved: moved.slice(0, mostTold),
    unknown: unknown.slice(0, mostTold),
    faults: faults.slice(0, mostTold),
    counts: { jumps: jumps.length, moved: moved.length, unknown: unknown.length, faults: faults.length },
  };
}
