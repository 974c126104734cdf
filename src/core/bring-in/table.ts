import Papa from "papaparse";
import { fail, ok, type Result } from "@/core/result";

/** More than this is brought in with several files. */
export const mostRows = 10_000;

/** A model file has at most this many letters. */
export const modelFileLimit = 5 * 1024 * 1024;
export const mostBytes = 8 * 1024 * 1024;

export interface TextTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** The line each row begins on in the file itself, empty lines counted; the head's is 1 where nothing stands before it. */
  readonly lines: readonly number[];
  /** What stood between its cells. */
  readonly separator: string;
}

// A sign that no key types, in the middle of a cell, is dirt of another program; a line end in a quoted cell is none.
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
const dirt = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/g;

/** A spreadsheet's text as columns and rows, whatever lies between its cells and ends its lines. Lines without a word are left out. */
export function readTable(text: string): Result<TextTable, "empty" | "too-long" | "quotes"> {
  // What parts the cells is told from lines with words in them; then every line counts.
  const { delimiter } = Papa.parse<string[]>(text, {
    preview: 20,
    skipEmptyLines: "greedy",
    delimitersToGuess: [";", "\t", ",", "|"],
  }).meta;
  const { data, errors } = Papa.parse<string[]>(text, { delimiter });
  const quote = errors.find(({ type }) => type === "Quotes");
  if (quote) return fail("quotes", `Row ${(quote.row ?? 0) + 1}: a quotation mark is never closed.`);
  let next = 1;
  const lined = data.map((cells) => {
    const line = next;
    next += 1 + cells.reduce((ends, cell) => ends + (cell.match(/\n|\r(?!\n)/g)?.length ?? 0), 0);
    return { line, cells };
  });
  return tableOf(lined, delimiter);
}

/** Lines as columns and rows: the first with a word in it is the head, those without are left out. @param separator what stood between cells; empty for none. */
export function tableOf(
  lined: readonly { readonly line: number; readonly cells: readonly string[] }[],
  separator: string,
): Result<TextTable, "empty" | "too-long"> {
  const [head, ...rows] = lined
    .map(({ line, cells }) => ({ line, cells: cells.map((cell) => cell.replace(dirt, "").trim()) }))
    .filter(({ cells }) => cells.some(Boolean));
  if (!head || !rows.length)
    return fail("empty", "Nothing to import. The first row must hold the column names, then one row for each entry.");
  if (rows.length > mostRows) return fail("too-long", `More than ${mostRows} rows: bring them in with several files.`);
  const width = Math.max(head.cells.length, ...rows.map(({ cells }) => cells.length));
  return ok({
    columns: Array.from({ length: width }, (_, i) => head.cells[i] || `column ${i + 1}`),
    rows: rows.map(({ cells }) => cells),
    lines: rows.map(({ line }) => line),
    separator,
  });
}
