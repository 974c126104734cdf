import type { PartType } from "@/core/anatomy/types";
import type { SheetRow } from "./kept-sheet";

type Known = Pick<PartType, "id" | "number" | "name" | "priceMinor" | "supersededBy">;

/** What a newer list changes in the catalogue: amounts and numbers, nothing else. */
export interface NewerPrices {
  readonly changed: readonly {
    readonly id: string;
    readonly number: string;
    readonly name: string;
    readonly wasMinor: number;
    readonly isMinor: number;
    /** The number it is sold under from now on, where the list says one. */
    readonly supersededBy: string | null;
  }[];
  /** Parts the list prices as the catalogue does. */
  readonly same: number;
  /** Numbers of the list that no part of the catalogue has: nothing is made of them. */
  readonly unknown: readonly string[];
  /** Rows whose number or price nobody has settled yet: they are left out. */
  readonly doubtful: number;
}

/** Whether somebody has to look at a row before its price is taken; where it sits is no matter here. */
export const isPriceOpen = ({ confirmed, doubts }: Pick<SheetRow, "confirmed" | "doubts">): boolean =>
  !confirmed && doubts.some(({ field }) => field === "number" || field === "price");

/**
 * Compares a list with the catalogue by part number. A number that follows another is taken where the catalogue knows it.
 * @param partOf the part of a number, however it is written; null where there is none
 */
export function newerPrices(rows: readonly SheetRow[], partOf: (number: string) => Known | null): NewerPrices {
  const settled = rows.filter((row) => row.number && !isPriceOpen(row));
  const changed = new Map<string, NewerPrices["changed"][number]>();
  const unknown: string[] = [];
  let same = 0;
  for (const { number, priceMinor, successor = "" } of settled) {
    const part = partOf(number);
    if (!part) {
      unknown.push(number);
      continue;
    }
    const next = successor ? partOf(successor) : null;
    const supersededBy = next && next.id !== part.id ? next.number : null;
    const isMinor = priceMinor ?? part.priceMinor;
    if (isMinor === part.priceMinor && (supersededBy ?? part.supersededBy ?? null) === (part.supersededBy ?? null)) same++;
    else changed.set(part.id, { id: part.id, number: part.number, name: part.name, wasMinor: part.priceMinor, isMinor, supersededBy });
  }
  return { changed: [...changed.values()], same, unknown, doubtful: rows.filter(({ number }) => number).length - settled.length };
}
