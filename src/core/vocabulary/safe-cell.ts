/** Signs by which a spreadsheet takes a cell for a formula, the full-width ones of East Asian keyboards among them. */
const begins = /^\s*[=+\-@\t\r\uFF1D\uFF0B\uFF0D\uFF20]/;

/** A cell no spreadsheet takes for a formula (OWASP, CSV injection: a cell that begins with one of these signs gets an apostrophe before it). */
export const safeCell = <C>(cell: C): C | string => (typeof cell === "string" && begins.test(cell) ? `'${cell}` : cell);
