import { type ComplaintId, complaints, type DragWish, dragWishes } from "@/core/vocabulary/counter-lists";
import { type DepthId, depths } from "@/core/vocabulary/job-kinds";

/** One reel of a lot as it stands in the grid, or in a spreadsheet that was pasted: everything is text. */
export interface LotRow {
  readonly serial: string;
  /** What tells it from its sisters: a boat's number, a rod's colour. */
  readonly mark: string;
  readonly complaint: string;
  readonly condition: string;
  /** How deep this one is opened, and how its drag is to be; empty as the lot's. In words. */
  readonly depth: string;
  readonly drag: string;
}
export const lotColumns = ["serial", "mark", "complaint", "condition", "depth", "drag"] as const satisfies readonly (keyof LotRow)[];
export type LotColumn = (typeof lotColumns)[number];
export const lotColumnWords: Record<LotColumn, string> = {
  serial: "Serial",
  mark: "Boat or mark",
  complaint: "Complaint",
  condition: "As found",
  depth: "Level of service",
  drag: "Drag",
};

/** Words of a choice of its own for one reel of a lot, by the first of its words or whole: "full", "quick service", "greased". */
function readChoice<Id extends string>(text: string, choices: Readonly<Record<Id, string>>): Id | "" | null {
  const typed = text.trim().toLowerCase();
  if (!typed) return "";
  const ids = Object.keys(choices) as Id[];
  const is = (words: string) => words.toLowerCase() === typed || words.toLowerCase().split(/[\s,:]+/)[0] === typed.split(/[\s,:]+/)[0];
  return ids.find((id) => id === typed) ?? ids.find((id) => is(choices[id])) ?? null;
}

/** How deep one reel of a lot is opened; empty as the lot's, null where it cannot be read. */
export const readDepth = (text: string): DepthId | "" | null => readChoice(text, depths);
/** How one reel of a lot has its drag; empty as the lot's, null where it cannot be read. */
export const readDragWish = (text: string): DragWish | "" | null => readChoice(text, dragWishes);

const firstWords = (choices: Readonly<Record<string, string>>): string =>
  Object.values(choices)
    .map((words) => words.split(/[\s,:]+/)[0])
    .join(", ");

/** What stands in a column below, counted on: "LF 1009" after "LF 1008"; a text without a number at its end is the same again. */
export function countedOn(text: string, by: number): string {
  const number = /(\d+)(\D*)$/.exec(text);
  if (!number) return text;
  const [whole, digits, after] = number;
  return `${text.slice(0, -whole.length)}${String(Number(digits) + by).padStart(digits!.length, "0")}${after}`;
}

/** Columns in which each reel has its own: filled down they count on. */
const ownOfEach: ReadonlySet<LotColumn> = new Set(["serial", "mark"]);

/**
 * A cell's text down the grid: to the last reel that stands there, or to the grid's end where none stands below.
 * @param at counted from 0. What stands below is written over, as a hand would.
 */
export function filledDown(rows: readonly LotRow[], at: { readonly row: number; readonly column: LotColumn }): LotRow[] {
  const text = rows[at.row]?.[at.column] ?? "";
  const last = rows.findLastIndex((row, i) => i > at.row && !isBlank(row));
  const until = last < 0 ? rows.length - 1 : last;
  return rows.map((row, i) =>
    i > at.row && i <= until ? { ...row, [at.column]: ownOfEach.has(at.column) ? countedOn(text, i - at.row) : text } : row,
  );
}

/** Most reels of one lot. */
export const largestLot = 100;

export interface LotFault {
  /** Counted from 1, as the grid counts. */
  readonly row: number;
  readonly column: LotColumn;
  readonly message: string;
}

export const isBlank = (row: LotRow): boolean => lotColumns.every((column) => !row[column].trim());

/** A complaint in words as the counter's own ticks, with what is left of it; nothing said is a plain service. */
export function readComplaint(text: string): { ticked: ComplaintId[]; words: string } {
  const ticked: ComplaintId[] = [];
  const left: string[] = [];
  for (const piece of text
    .split(/[,;/]+/)
    .map((part) => part.trim())
    .filter(Boolean)) {
    const found = (Object.entries(complaints) as [ComplaintId, string][]).find(([id, words]) =>
      [id, words].some((word) => word.toLowerCase() === piece.toLowerCase()),
    );
    if (found && !ticked.includes(found[0])) ticked.push(found[0]);
    else if (!found) left.push(piece);
  }
  if (!ticked.length && !left.length) ticked.push("service");
  return { ticked, words: left.join("; ") };
}

const sameSerial = (serial: string) => serial.toUpperCase().replace(/[\s-]+/g, "");

/** What is wrong in the grid by itself, by row and column; blank rows are passed over. */
export function checkLotRows(rows: readonly LotRow[]): LotFault[] {
  const faults: LotFault[] = [];
  const seen = new Map<string, number>();
  rows.forEach((row, i) => {
    if (isBlank(row)) return;
    const say = (column: LotColumn, message: string) => faults.push({ row: i + 1, column, message });
    const serial = row.serial.trim();
    if (serial.length > 40) say("serial", "At most 40 characters.");
    else if (!/^[\p{L}\p{N}\s./-]*$/u.test(serial)) say("serial", "A serial has letters, digits, dots, dashes and slashes.");
    else if (serial) {
      const before = seen.get(sameSerial(serial));
      if (before) say("serial", `Same as row ${before}.`);
      else seen.set(sameSerial(serial), i + 1);
    }
    if (row.mark.length > 40) say("mark", "At most 40 characters.");
    if (!serial && !row.mark.trim()) say("serial", "A serial or a mark is needed to tell it apart.");
    if (row.complaint.length > 300) say("complaint", "At most 300 characters.");
    if (row.condition.length > 300) say("condition", "At most 300 characters.");
    if (readDepth(row.depth) === null) say("depth", `One of: ${firstWords(depths)}; or empty, as the lot.`);
    if (readDragWish(row.drag) === null) say("drag", `One of: ${firstWords(dragWishes)}; or empty, as the lot.`);
  });
  return faults;
}
