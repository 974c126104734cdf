import readWorkbookFile from "read-excel-file/universal";
import { type TextTable, tableOf } from "@/core/bring-in/table";
import { fail, type Result } from "@/core/result";

/** A cell as it is typed: days as days, numbers as they are, nothing as nothing. */
const cellWords = (cell: unknown): string =>
  cell === null || cell === undefined ? "" : cell instanceof Date ? cell.toISOString().slice(0, 10) : String(cell);

/** The first sheet of a workbook (XLSX) as columns and rows. @returns `unreadable` where it is no workbook, or a locked one. */
export async function readWorkbook(bytes: Uint8Array): Promise<Result<TextTable>> {
  try {
    const [sheet] = await readWorkbookFile(new Blob([bytes as Uint8Array<ArrayBuffer>]));
    const rows = (sheet?.data ?? []) as readonly (readonly unknown[])[];
    return tableOf(
      rows.map((cells, i) => ({ line: i + 1, cells: cells.map(cellWords) })),
      "",
    );
  } catch {
    return fail("unreadable", "This workbook cannot be read, or it has a password. Save it as CSV and use that.");
  }
}
