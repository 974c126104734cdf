import type { Solver } from "@/core/blind-spots/least-cover";
import { matchSeats } from "@/core/sheets/match-seats";
import { readList } from "@/core/sheets/read-list";
import { drawSheet, type SheetStyle } from "./draw-sheet";
import { type WrittenSheet, writtenSheets } from "./written-sheets";

/** So many right of so many. */
export interface Score {
  readonly right: number;
  readonly all: number;
}
export const shareOf = (scores: readonly Score[]): number => {
  const all = scores.reduce((sum, one) => sum + one.all, 0);
  return all ? scores.reduce((sum, { right }) => sum + right, 0) / all : 1;
};

/** Cells of a style's lists that are read to the letter, and numerals of its drawings that are tied to their rows. */
export function scoreOfStyle(style: SheetStyle, jitter: number): { cells: Score; numerals: Score } {
  const cells = { right: 0, all: 0 };
  const numerals = { right: 0, all: 0 };
  for (const [i, sheet] of writtenSheets.entries()) {
    const drawn = drawSheet(sheet, style, 100 + i, jitter);
    const { rows, callouts } = readList(drawn.words);
    for (const [at, row] of drawn.rows.entries())
      for (const [field, wanted] of Object.entries(row)) {
        if (!wanted) continue;
        cells.all++;
        cells.right += Number((rows[at]?.cells as Record<string, string> | undefined)?.[field] === wanted);
      }
    if (!style.fields.includes("callout")) continue;
    for (const { text, x, y } of drawn.callouts) {
      const found = callouts.find((one) => Math.abs(one.x - x) < 5 && Math.abs(one.y - y) < 5);
      numerals.all++;
      numerals.right += Number(found?.row != null && rows[found.row]!.cells.callout === text);
    }
  }
  return { cells, numerals };
}

/** Seats of a sheet that its rows were given, with what was wrong and how much of that was marked doubtful. */
export function scoreOfSheet(
  solver: Solver,
  { family, rows }: WrittenSheet,
): { told: boolean; seats: Score; doubted: Score; doubtful: number } {
  const found = matchSeats(
    solver,
    rows.map(([description, quantity]) => ({ description, quantity })),
  );
  const seats = { right: 0, all: 0 };
  const doubted = { right: 0, all: 0 };
  for (const [i, [, , ...wanted]] of rows.entries()) {
    const given = found.matches.filter(({ row }) => row === i);
    seats.all += wanted.length;
    seats.right += wanted.filter((seat) => given.some(({ positionId }) => positionId === seat)).length;
    for (const { positionId, doubtful } of given)
      if (!(wanted as readonly string[]).includes(positionId)) {
        doubted.all++;
        doubted.right += Number(doubtful);
      }
  }
  return { told: found.family === family, seats, doubted, doubtful: found.matches.filter(({ doubtful }) => doubtful).length };
}
