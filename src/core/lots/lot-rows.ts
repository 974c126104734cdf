import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";

/** One reel of a lot as it stands in the grid, or in a spreadsheet that was pasted: everything is text. */
export interface LotRow {
  readonly serial: string;
  /** What tells it from its sisters: a boat's number, a rod's colour. */
  readonly mark: string;
  readonly complaint: string;
  readonly condition: string;
}
export const lotColumns = ["serial", "mark", "complaint", "condition"] as const satisfies readonly (keyof LotRow)[];
export type LotColumn = (typeof lotColumns)[number];
export const lotColumnWords: Record<LotColumn, string> = {
  serial: "Serial",
  mark: "Boat or mark",
  complaint: "Complaint",
  condition: "As found",
};

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
    else if (!/^[\p{L}\p{N}\s./-]*$/u.test(serial)) say("serial", "A serial has letters, digits, dots, dashes and strokes.");
    else if (serial) {
      const before = seen.get(sameSerial(serial));
      if (before) say("serial", `Same as row ${before}.`);
      else seen.set(sameSerial(serial), i + 1);
    }
    if (row.mark.length > 40) say("mark", "At most 40 characters.");
    if (!serial && !row.mark.trim()) say("serial", "A serial or a mark is needed to tell it apart.");
    if (row.complaint.length > 300) say("complaint", "At most 300 characters.");
    if (row.condition.length > 300) say("condition", "At most 300 characters.");
  });
  return faults;
}
