import { formatMinor, parseMinor } from "@/core/money/money";
import type { ListField, ListRow, WordBox } from "./sheet";

/** Characters that readers take for one another, as a digit and as a letter. */
const asDigit: Readonly<Record<string, string>> = { O: "0", Q: "0", D: "0", I: "1", l: "1", "|": "1", S: "5", B: "8", Z: "2", G: "6" };
const asLetter: Readonly<Record<string, string>> = { "0": "O", "1": "I", "5": "S", "8": "B", "2": "Z", "6": "G" };

/** The shape of a part number: what is a digit, a letter, a sign. */
const shapeOf = (number: string) => number.replace(/[0-9]/g, "9").replace(/[A-Za-z]/g, "A");

/** The shape most of a maker's numbers have; null where they share none. */
function usualShape(numbers: readonly string[]): string | null {
  const times = new Map<string, number>();
  for (const shape of numbers.map(shapeOf)) times.set(shape, (times.get(shape) ?? 0) + 1);
  const [most] = [...times].sort(([, a], [, b]) => b - a);
  return most && numbers.length >= 5 && most[1] >= 0.5 * numbers.length ? most[0] : null;
}

/** A number brought to a shape where only characters that look alike differ; null where more does. */
function inShape(number: string, shape: string): string | null {
  if (number.length !== shape.length) return null;
  let out = "";
  for (const [i, sign] of [...number].entries()) {
    const wanted = shape[i]!;
    if (shapeOf(sign) === wanted) out += sign;
    else if (wanted === "9" && asDigit[sign]) out += asDigit[sign];
    else if (wanted === "A" && asLetter[sign]) out += asLetter[sign];
    else return null;
  }
  return out;
}

/** A callout's figures, where letters stand for them. */
const calloutSettled = (text: string): string => {
  const plain = text.replace(/[().]/g, "");
  const found = /^([0-9OlI|]{1,3})([A-Z]?)((?:[-–][0-9]{1,2})?)$/.exec(plain);
  return found ? found[1]!.replace(/O/g, "0").replace(/[lI|]/g, "1") + found[2] + found[3] : text;
};

/** The numeral that a row must have by those above and below it, where it was read otherwise; null where it may be as it is. */
function numeralBetween(before: string | undefined, own: string | undefined, after: string | undefined): string | null {
  const whole = (text: string | undefined) => (text !== undefined && /^\d{1,3}$/.test(text) ? Number(text) : null);
  const [above, below] = [whole(before), whole(after)];
  if (above === null || below === null || below - above !== 2) return null;
  // "12A" between 12 and 14 is a numeral of its own.
  if (own !== undefined && whole(own) === null) return null;
  return whole(own) === above + 1 ? null : String(above + 1);
}

/** Rows whose numerals and part numbers are read as their neighbours are: O and 0, I and 1, S and 5, B and 8 are told apart by the shape all share. */
export function charactersSettled(rows: readonly ListRow[]): ListRow[] {
  const numbers = rows.flatMap(({ cells }) => cells.number ?? []);
  const shape = usualShape(numbers);
  const settled = rows.map(({ cells }) => (cells.callout === undefined ? undefined : calloutSettled(cells.callout)));
  return rows.map((row, at) => {
    const cells = { ...row.cells };
    const doubts = [...row.doubts];
    if (settled[at] !== undefined) cells.callout = settled[at];
    const between = numeralBetween(settled[at - 1], settled[at], settled[at + 1]);
    if (between !== null) {
      doubts.push({
        field: "callout",
        why: `${settled[at] === undefined ? "was not read" : `was read as ${settled[at]}`}; ${between} stands between its neighbours`,
      });
      cells.callout = between;
    }
    if (cells.number !== undefined && shape !== null && shapeOf(cells.number) !== shape) {
      const settled = inShape(cells.number, shape);
      if (settled !== null) {
        doubts.push({ field: "number", why: `was read as ${cells.number}; the others are written like ${settled}` });
        cells.number = settled;
      }
    }
    return { ...row, cells, doubts };
  });
}

/** No reel has more of one part. */
const mostOfOne = 24;
const calloutNumber = (text: string | undefined) => {
  const found = /^(\d{1,3})/.exec(text ?? "");
  return found ? Number(found[1]) : null;
};

/** What a second look is due to: cells that are odd beside the others, numerals left out, a sum that is another. */
export function doubtsOf(rows: readonly ListRow[], beside: readonly WordBox[]): { rows: ListRow[]; doubts: string[] } {
  const shape = usualShape(rows.flatMap(({ cells }) => cells.number ?? []));
  const seen = new Map<string, number>();
  for (const { cells } of rows) if (cells.callout) seen.set(cells.callout, (seen.get(cells.callout) ?? 0) + 1);
  const has = (field: ListField) => rows.filter(({ cells }) => cells[field] !== undefined).length;
  const judged = rows.map((row): ListRow => {
    const { cells } = row;
    const odd: { field: ListField; why: string }[] = [];
    if (cells.number === undefined && has("number") > 0.8 * rows.length) odd.push({ field: "number", why: "was not read" });
    if (cells.number !== undefined && shape !== null && Math.abs(shapeOf(cells.number).length - shape.length) > 2)
      odd.push({ field: "number", why: "is written otherwise than the others" });
    if (cells.callout === undefined && has("callout") > 0.8 * rows.length) odd.push({ field: "callout", why: "was not read" });
    if (cells.callout !== undefined && seen.get(cells.callout)! > 1)
      odd.push({ field: "callout", why: `stands ${seen.get(cells.callout)} times` });
    if (cells.description === undefined && has("description") > 0.5 * rows.length)
      odd.push({ field: "description", why: "nothing was read" });
    if (row.quantity !== null && row.quantity > mostOfOne) odd.push({ field: "quantity", why: `${row.quantity} of one part?` });
    if (cells.price !== undefined && row.priceMinor === null) odd.push({ field: "price", why: "is no amount" });
    return { ...row, doubts: [...row.doubts, ...odd] };
  });
  const doubts: string[] = [];
  const numbers = [...new Set(rows.flatMap(({ cells }) => calloutNumber(cells.callout) ?? []))].sort((a, b) => a - b);
  const missing: number[] = [];
  for (let n = numbers[0] ?? 1; n < (numbers.at(-1) ?? 0); n++) if (!numbers.includes(n)) missing.push(n);
  if (numbers.length > 4 && missing.length && missing.length < 0.3 * numbers.length)
    doubts.push(`No row was read for ${missing.join(", ")}.`);
  const total = beside.find(({ text }) => /^total:?$/i.test(text));
  const amount =
    total &&
    beside
      .filter(({ y, h, x, page = 1 }) => Math.abs(y - total.y) < h && x > total.x && page === (total.page ?? 1))
      .map(({ text }) => parseMinor(text.replace(/[^\d.,]/g, "")))
      .find((minor) => minor !== null);
  const sum = rows.reduce((so, { priceMinor, quantity }) => so + (priceMinor ?? 0) * (quantity ?? 1), 0);
  if (amount && rows.every(({ priceMinor }) => priceMinor !== null) && sum !== amount)
    doubts.push(`The prices come to ${formatMinor(sum)}, and the sheet says ${formatMinor(amount)}: one of them was read wrong.`);
  return { rows: judged, doubts };
}
