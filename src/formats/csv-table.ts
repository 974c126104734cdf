import Papa from "papaparse";
import { safeCell } from "@/core/vocabulary/safe-cell";

/** A table as a file (RFC 4180); cells that a spreadsheet would run are kept from it. */
export const csvTable = (fields: readonly string[], data: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: data.map((row) => row.map(safeCell)) }, { newline: "\r\n" })}\r\n`;
