import { z } from "zod";
import { successorIn } from "./list-fields";
import type { MatchedSheet } from "./match-seats";
import { plainCallout } from "./read-list";
import { listFields, type ReadList } from "./sheet";

const share = z.number().min(-1).max(2);
const box = z.object({ x: share, y: share, w: share, h: share });

/** A row of a sheet as it waits to be looked over: what was read, which seats it is, what is in doubt. Places are shares of its page. */
export const sheetRowSchema = z.object({
  callout: z.string().max(12),
  number: z.string().max(40),
  description: z.string().max(160),
  quantity: z.number().int().min(0).max(99),
  priceMinor: z.number().int().min(0).max(100_000_000).nullable(),
  /** The number it is sold under now, where the list says so. */
  successor: z.string().max(40).optional(),
  page: z.number().int().min(1).max(60),
  box: box.nullable(),
  /** Its numeral on the drawing. */
  mark: z.object({ page: z.number().int().min(1).max(60), x: share, y: share }).nullable(),
  seats: z.array(z.object({ positionId: z.string().max(60), sure: z.number().min(0).max(1) })).max(40),
  doubts: z.array(z.object({ field: z.enum([...listFields, "seat"]), why: z.string().max(200) })).max(12),
  /** Somebody looked at it and said so. */
  confirmed: z.boolean(),
});
export type SheetRow = z.infer<typeof sheetRowSchema>;

/** A page's size in the unit its words stand in. */
export type PageSize = Readonly<Record<number, { readonly width: number; readonly height: number }>>;

/** Rows as they are kept, of what was read and which seats were found. */
export function keptRows(
  { rows, callouts }: ReadList,
  { matches, rest }: Pick<MatchedSheet, "matches" | "rest">,
  sizes: PageSize,
): SheetRow[] {
  const none = new Set(rest.map(({ row }) => row));
  return rows.map(({ cells, boxes, quantity, priceMinor, page, doubts }, at): SheetRow => {
    const { width, height } = sizes[page] ?? { width: 1, height: 1 };
    const all = Object.values(boxes);
    const [left, top] = [Math.min(...all.map(({ x }) => x)), Math.min(...all.map(({ y }) => y))];
    const whole = all.length
      ? {
          x: left / width,
          y: top / height,
          w: (Math.max(...all.map(({ x, w }) => x + w)) - left) / width,
          h: (Math.max(...all.map(({ y, h }) => y + h)) - top) / height,
        }
      : null;
    const successor = successorIn(`${cells.remarks ?? ""} ${cells.description ?? ""}`);
    const numeral = callouts.find(({ row }) => row === at);
    const of = numeral && sizes[numeral.page];
    const seats = matches.filter(({ row }) => row === at).map(({ positionId, sure }) => ({ positionId, sure }));
    const unsure = matches.some(({ row, doubtful }) => row === at && doubtful);
    return {
      callout: plainCallout(cells.callout ?? "").slice(0, 12),
      number: (cells.number ?? "").slice(0, 40),
      description: (cells.description ?? cells.remarks ?? "").slice(0, 160),
      quantity: Math.min(99, quantity ?? 1),
      priceMinor,
      ...(successor ? { successor } : {}),
      page,
      box: whole,
      mark:
        numeral && of
          ? { page: numeral.page, x: (numeral.x + numeral.w / 2) / of.width, y: (numeral.y + numeral.h / 2) / of.height }
          : null,
      seats,
      doubts: [
        ...doubts.slice(0, 8),
        ...(none.has(at) ? [{ field: "seat" as const, why: "is no seat of this family as far as its words say" }] : []),
        ...(unsure ? [{ field: "seat" as const, why: "may be another seat" }] : []),
        ...(seats.length > 0 && seats.length < Math.min(40, quantity ?? 1)
          ? [
              {
                field: "seat" as const,
                why: `comes ${quantity} times, and ${seats.length === 1 ? "one seat was" : `${seats.length} seats were`} found`,
              },
            ]
          : []),
      ],
      confirmed: false,
    };
  });
}

/** Whether somebody has to look at a row before a model is made of it. */
export const isOpen = ({ confirmed, doubts }: Pick<SheetRow, "confirmed" | "doubts">): boolean => !confirmed && doubts.length > 0;
