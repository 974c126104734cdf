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
  /** What stood between its cells. */
  readonly separator: string;
}

// A sign that no key types, in the middle of a cell, is dirt of another program; a line end in a quoted cell is none.
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
const dirt = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/g;

/** A spreadsheet's text as columns and rows, whatever lies between its cells and ends its lines. Lines without a word are left out. */
export function readTable(text: string): Result<TextTable, "empty" | "too-long" | "quotes"> {
  const { data, errors, meta } = Papa.parse<string[]>(text, { skipEmptyLines: "greedy", delimitersToGuess: [";", "\t", ",", "|"] });
  const quote = errors.find(({ type }) => type === "Quotes");
  if (quote) return fail("quotes", `Row ${(quote.row ?? 0) + 1}: a quotation mark is open that nothing closes.`);
  const [head, ...rows] = data.map((row) => row.map((cell) => cell.replace(dirt, "").trim()));
  if (!head || !rows.length)
    return fail("empty", "There is nothing to bring in: a first row with the columns' names, then a row for each.");
  if (rows.length > mostRows) return fail("too-long", `More than ${mostRows} rows: bring them in with several files.`);
  const width = Math.max(head.length, ...rows.map((row) => row.length));
  return ok({
    columns: Array.from({ length: width }, (_, i) => head[i] || `column ${i + 1}`),
    rows,
    separator: meta.delimiter,
  });
}
