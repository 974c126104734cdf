import { parseMinor } from "@/core/money/money";
import { median, quantile } from "@/core/quantile";
import { charactersSettled, doubtsOf } from "./sanity";
import { type Box, type Callout, type ListColumn, type ListField, type ListRow, listFields, type ReadList, type WordBox } from "./sheet";
import { straightened } from "./straightened";

/** What columns are called. */
const headers: Readonly<Record<ListField, readonly string[]>> = {
  callout: [
    "no",
    "no.",
    "item",
    "key",
    "ref",
    "ref.",
    "key no",
    "key no.",
    "item no",
    "ref no",
    "index",
    "pos",
    "pos.",
    "fig",
    "callout",
    "#",
    "drawing no",
  ],
  number: [
    "part no",
    "part no.",
    "part number",
    "part #",
    "part",
    "code",
    "article",
    "article no",
    "parts no",
    "parts no.",
    "order no",
    "number",
    "p/n",
    "stock no",
    "sku",
  ],
  description: ["description", "name", "part name", "parts name", "designation", "desc", "what", "text", "nomenclature", "denomination"],
  quantity: ["qty", "qty.", "quantity", "pcs", "pcs.", "q'ty", "count", "per reel", "no. req", "req'd", "units", "amount"],
  price: ["price", "unit price", "each", "retail", "list price", "cost", "eur", "usd", "price each"],
  remarks: ["remarks", "remark", "note", "notes", "comment", "comments", "specification", "size", "material", "from serial"],
};

/** A reader that is less sure of a word than this is asked about it. */
const sureEnough = 0.6;

const isCallout = (text: string) =>
  /^\(?[0-9OlI|]{1,3}[A-Z]?(?:[-–][0-9]{1,2})?\)?\.?$/.test(text) && /\d/.test(text.replace(/[OlI|]/g, "0"));
const isPrice = (text: string) => /^(?:[€$£]\s?)?\d{1,5}[.,]\d{2}(?:\s?(?:€|EUR|USD|GBP))?$/i.test(text);
const isCode = (text: string) =>
  /^[A-Z0-9][A-Z0-9./-]{2,}(?: [A-Z0-9-]{2,})*$/i.test(text) &&
  /\d/.test(text) &&
  (text.length >= 4 || /[A-Z]/i.test(text)) &&
  !isPrice(text);
const isCount = (text: string) =>
  /^(?:x\s?)?\d{1,2}(?:\s?(?:x|pcs?\.?|pc|ea))?$/i.test(text) || /^(?:a\/r|ar|as req\.?|as required|-)$/i.test(text);
const isText = (text: string) => (text.match(/\p{L}/gu)?.length ?? 0) >= 3;

interface Line {
  readonly y: number;
  readonly words: WordBox[];
}

/** Words by lines, from the top down, each from left to right. */
function linesOf(words: readonly WordBox[], height: number): Line[] {
  const lines: { y: number; words: WordBox[] }[] = [];
  for (const word of [...words].sort((a, b) => a.y + a.h / 2 - (b.y + b.h / 2))) {
    const y = word.y + word.h / 2;
    const last = lines.at(-1);
    if (last && y - last.y < 0.55 * height) {
      last.words.push(word);
      last.y += (y - last.y) / last.words.length;
    } else lines.push({ y, words: [word] });
  }
  for (const { words: of } of lines) of.sort((a, b) => a.x - b.x);
  return lines;
}

interface Span {
  readonly from: number;
  readonly to: number;
}

/** The columns of a list: what lies between the gutters that (nearly) no row crosses. */
function spansOf(rows: readonly Line[], height: number): Span[] {
  const step = height / 10;
  const left = Math.min(...rows.flatMap(({ words }) => words.map(({ x }) => x)));
  const right = Math.max(...rows.flatMap(({ words }) => words.map(({ x, w }) => x + w)));
  const bins = Math.max(1, Math.ceil((right - left) / step));
  const crossed = new Array<number>(bins).fill(0);
  for (const { words } of rows) {
    const here = new Set<number>();
    for (const { x, w } of words) for (let at = Math.floor((x - left) / step); at < Math.ceil((x + w - left) / step); at++) here.add(at);
    for (const at of here) if (at >= 0 && at < bins) crossed[at]!++;
  }
  const few = rows.length >= 8 ? Math.max(1, 0.04 * rows.length) : 0;
  // Of a few rows the spaces between words may stand below each other by chance.
  const widest = rows.length < 8 ? 0.5 : rows.length < 14 ? 0.4 : 0.3;
  const spans: Span[] = [];
  let from: number | null = null;
  let empty = 0;
  for (let at = 0; at <= bins; at++) {
    if (at < bins && crossed[at]! > few) {
      if (from === null) from = at;
      empty = 0;
      continue;
    }
    empty++;
    if (from !== null && (empty * step >= widest * height || at === bins)) {
      spans.push({ from: left + from * step, to: left + (at - empty + 1) * step });
      from = null;
    }
  }
  return spans;
}

const cellOf = (words: readonly WordBox[]): { text: string; box: Box; sure: number } | null => {
  if (!words.length) return null;
  const boxes = words.map((word) => word.own ?? word);
  const [x, y] = [Math.min(...boxes.map((one) => one.x)), Math.min(...boxes.map((one) => one.y))];
  return {
    text: words
      .map(({ text }) => text)
      .join(" ")
      .replace(/\s+/g, " ")
      .trim(),
    box: { x, y, w: Math.max(...boxes.map((one) => one.x + one.w)) - x, h: Math.max(...boxes.map((one) => one.y + one.h)) - y },
    sure: Math.min(...words.map(({ sure = 1 }) => sure)),
  };
};

/** The column each word of a line stands in; one between two belongs to the word it follows, or to the column it reaches. */
function placed(words: readonly WordBox[], columns: readonly Span[], height: number): WordBox[][] {
  const of: WordBox[][] = columns.map(() => []);
  let before: { readonly end: number; readonly at: number } | null = null;
  for (const word of words) {
    const centre = word.x + word.w / 2;
    let at = columns.findIndex(({ from, to }) => centre >= from && centre < to);
    if (at < 0) {
      const next = columns.findIndex(({ from }) => from > centre);
      const left = next < 0 ? columns.length - 1 : next - 1;
      if (before !== null && word.x - before.end < 0.8 * height) at = before.at;
      else if (next >= 0 && word.x + word.w > columns[next]!.from - 0.3 * height) at = next;
      // Between two columns no word is lost; beyond the last stands what is no part of the list.
      else if (left >= 0 && (next >= 0 || word.x < columns[left]!.to + 0.6 * height)) at = left;
    }
    if (at < 0) continue;
    of[at]!.push(word);
    before = { end: word.x + word.w, at };
  }
  return of;
}

/** Row-like lines that follow each other: the longest such run is the list, a title or a legend is none of it. */
function longestRun(lines: readonly Line[]): Line[] {
  const gaps = lines.slice(1).map(({ y }, i) => y - lines[i]!.y);
  const usual = median(gaps.length ? gaps : [1]);
  const runs: Line[][] = [];
  for (const [i, line] of lines.entries()) {
    if (i === 0 || gaps[i - 1]! > 4 * usual) runs.push([]);
    runs.at(-1)!.push(line);
  }
  return runs.sort((a, b) => b.length - a.length)[0] ?? [];
}

/** The middle half of how far values stray. */
const spread = (values: readonly number[]): number => quantile(values, 0.75) - quantile(values, 0.25);

interface Column extends Span {
  readonly texts: readonly string[];
  readonly header: string;
}

/** What a header's words say a column is. */
function fieldOfHeader(header: string): ListField | null {
  const plain = header
    .toLowerCase()
    .replace(/[^\p{L}#/'. ]/gu, "")
    .trim();
  if (!plain) return null;
  const all = listFields.flatMap((field) => headers[field].map((words) => ({ field, words })));
  const whole = all.find(({ words }) => words === plain || words === plain.replace(/\.$/, ""));
  if (whole) return whole.field;
  return (
    all.filter(({ words }) => words.length > 3 && plain.includes(words)).sort((a, b) => b.words.length - a.words.length)[0]?.field ?? null
  );
}

/** The line that names the columns: at least two of them are called something that columns are called. */
function headerOf(lines: readonly Line[], height: number): number {
  return lines.findIndex(({ words }) => {
    const phrases: string[] = [];
    let end = Number.NEGATIVE_INFINITY;
    for (const { text, x, w } of words) {
      if (x - end < 0.9 * height && phrases.length) phrases.push(`${phrases.pop()} ${text}`);
      else phrases.push(text);
      end = x + w;
    }
    const fields = new Set(phrases.flatMap((phrase) => fieldOfHeader(phrase) ?? []));
    return fields.size >= 2 && phrases.filter((phrase) => fieldOfHeader(phrase) !== null).length >= 0.6 * phrases.length;
  });
}

const share = (texts: readonly string[], is: (text: string) => boolean) => (texts.length ? texts.filter(is).length / texts.length : 0);
const numeral = (text: string) => Number(text.replace(/[^0-9]/g, "") || Number.NaN);

/** How far a column's numbers go up row by row, each once: callouts do, counts do not. */
function rises(texts: readonly string[]): number {
  const numbers = texts.map(numeral).filter(Number.isFinite);
  if (numbers.length < 3) return numbers.length ? 0.5 : 0;
  const up = numbers.slice(1).filter((n, i) => n >= numbers[i]!).length / (numbers.length - 1);
  return up * (new Set(texts).size / texts.length);
}

/** How well a column is a field, by what stands in it. */
function likes(field: ListField, { texts }: Column): number {
  const average = texts.reduce((sum, { length }) => sum + length, 0) / Math.max(1, texts.length);
  switch (field) {
    case "callout":
      return share(texts, isCallout) * (0.35 + 0.65 * rises(texts));
    case "number":
      return (
        share(texts, isCode) * (0.5 + 0.5 * (new Set(texts).size / Math.max(1, texts.length))) * (share(texts, isCallout) > 0.8 ? 0.4 : 1)
      );
    case "description":
      return share(texts, (text) => isText(text) && !(isCode(text) && !text.includes(" "))) * Math.min(1, 0.55 + average / 40);
    case "quantity":
      return share(texts, isCount) * (1.02 - 0.6 * rises(texts));
    case "price":
      return share(texts, isPrice) * 1.1;
    case "remarks":
      return 0.35 * share(texts, isText) + 0.12;
  }
}

/** The fields of a block's columns: the header's word counts, else the best for all of them together. */
function fieldsOf(columns: readonly Column[]): (ListField | null)[] {
  const said = columns.map(({ header }) => fieldOfHeader(header));
  let best: { value: number; fields: (ListField | null)[] } = { value: Number.NEGATIVE_INFINITY, fields: columns.map(() => null) };
  const value = (at: number, field: ListField) => {
    const own = likes(field, columns[at]!);
    // A header that what stands below it denies was read wrong, or belongs to the column beside.
    return said[at] === field ? own + 0.75 : said[at] ? own * 0.5 : own;
  };
  const walk = (at: number, used: ReadonlySet<ListField>, sum: number, fields: (ListField | null)[]) => {
    if (at === columns.length) {
      if (sum > best.value) best = { value: sum, fields: [...fields] };
      return;
    }
    walk(at + 1, used, sum - 0.05, [...fields, null]);
    for (const field of listFields)
      if (!used.has(field)) walk(at + 1, new Set([...used, field]), sum + value(at, field) - 0.12, [...fields, field]);
  };
  walk(0, new Set(), 0, []);
  return best.fields;
}

/** Columns by lists that stand beside each other: each begins again with what the first began with. */
function blocksOf(columns: readonly Column[]): Column[][] {
  const kind = ({ texts, header }: Column): string =>
    fieldOfHeader(header) ??
    (share(texts, isPrice) > 0.6
      ? "price"
      : share(texts, isText) > 0.6
        ? "text"
        : share(texts, isCallout) > 0.7 || share(texts, isCount) > 0.7
          ? "count"
          : "code");
  const kinds = columns.map(kind);
  const texts = kinds.filter((one) => one === "text" || one === "description").length;
  for (let many = Math.min(4, texts); many > 1; many--) {
    if (columns.length % many) continue;
    const each = columns.length / many;
    if (each < 2) continue;
    const alike = kinds.every((one, i) => one === kinds[i % each]);
    if (alike) return Array.from({ length: many }, (_, block) => columns.slice(block * each, (block + 1) * each));
  }
  // By the header alone: a field that is named again begins the next.
  const fields = columns.map(({ header }) => fieldOfHeader(header));
  const first = fields.find((field) => field !== null);
  const starts = columns.flatMap((_, i) => (fields[i] === first && first !== undefined ? [i] : []));
  if (starts.length > 1) return starts.map((start, i) => columns.slice(i === 0 ? 0 : start, starts[i + 1] ?? columns.length));
  return [[...columns]];
}

/** Columns that are one, written with a space: "RD 10300" stands in all rows as two words. */
function joined(spans: readonly Span[], rows: readonly Line[], height: number): Span[] {
  const out: Span[] = [];
  for (const span of spans) {
    const last = out.at(-1);
    const own = (of: Span) =>
      rows.map(({ words }) => cellOf(words.filter(({ x, w }) => x + w / 2 >= of.from && x + w / 2 < of.to))?.text ?? "");
    if (last && span.from - last.to < 1.1 * height) {
      const [before, after] = [own(last), own(span)];
      const both = before.filter((text, i) => text && after[i]).length;
      const prefix = before.filter((text) => /^[A-Z]{1,4}$/.test(text)).length;
      if (
        both > 0.9 * rows.length &&
        prefix > 0.9 * rows.length &&
        after.filter((text) => /^\d{2,}/.test(text)).length > 0.9 * rows.length
      ) {
        out[out.length - 1] = { from: last.from, to: span.to };
        continue;
      }
    }
    out.push(span);
  }
  return out;
}

/** The lists of one page. */
function readPage(words: readonly WordBox[], page: number): { rows: ListRow[]; columns: ListColumn[]; used: Set<WordBox> } {
  const nothing = { rows: [], columns: [], used: new Set<WordBox>() };
  const asTheyStand = words.filter(({ turned = 0 }) => turned === 0);
  const upright = straightened(asTheyStand);
  const origin = new Map(upright.map((word, i) => [word, asTheyStand[i]!]));
  if (!upright.length) return nothing;
  const height = median(upright.map(({ h }) => h));
  const all = linesOf(upright, height);
  const named = headerOf(all, height);
  const rowLike = (line: Line) => {
    const texts = line.words.map(({ text }) => text);
    return texts.some(isText) && texts.some((text) => isCallout(text) || isCode(text));
  };
  const rowLines = all.filter((line, i) => i !== named && rowLike(line));
  if (rowLines.length < 2) return nothing;
  // Where the list is: what most rows have in common; a numeral of the drawing may stand beside it at the same height.
  const body = longestRun(rowLines.filter(({ y }) => named < 0 || y > all[named]!.y));
  if (body.length < 2) return nothing;
  const spans = joined(spansOf(body, height), body, height);
  const lines = all.filter(({ y }) => y > (named < 0 ? body[0]!.y - height : all[named]!.y));
  const table = body.map((line) => placed(line.words, spans, height));
  const cellsIn = (at: number) => table.flatMap((of) => cellOf(of[at]!) ?? []);
  const headerIn = (at: number) => {
    if (named < 0) return "";
    const [before, after] = [spans[at - 1]?.to ?? Number.NEGATIVE_INFINITY, spans[at + 1]?.from ?? Number.POSITIVE_INFINITY];
    const { from, to } = spans[at]!;
    return all[named]!.words.filter((word) => {
      // A header may be wider than what stands below it.
      const centre = word.x + word.w / 2;
      return centre > (from + before) / 2 && centre < (to + after) / 2;
    })
      .map(({ text }) => text)
      .join(" ");
  };
  const fullest = Math.max(...spans.map((_, at) => cellsIn(at).length));
  const columns = spans.flatMap((span, at): Column[] => {
    const cells = cellsIn(at);
    const [texts, header] = [cells.map(({ text }) => text), headerIn(at)];
    // Numerals of the drawing that stand at a row's height are no column: they stand below each other neither left nor right.
    const edges = [cells.map(({ box }) => box.x), cells.map(({ box }) => box.x + box.w), cells.map(({ box }) => box.x + box.w / 2)];
    const straight = cells.length < 3 || Math.min(...edges.map(spread)) < 1.2 * height;
    const scattered = share(texts, isCallout) > 0.6 && texts.length < 0.6 * fullest;
    return (texts.length >= Math.max(1, 0.12 * fullest) && straight && !scattered) || fieldOfHeader(header) !== null
      ? [{ ...span, texts, header }]
      : [];
  });
  const out: ListRow[] = [];
  const used = new Set<WordBox>(named < 0 ? [] : all[named]!.words);
  const told: ListColumn[] = [];
  for (const [block, of] of blocksOf(columns).entries()) {
    const fields = fieldsOf(of);
    if (!fields.includes("description") && !fields.includes("number")) continue;
    for (const [i, field] of fields.entries())
      if (field) told.push({ page, block, field, from: of[i]!.from, to: of[i]!.to, header: of[i]!.header });
    const pitch =
      median(
        rowLines
          .slice(1)
          .map(({ y }, i) => y - rowLines[i]!.y)
          .filter((gap) => gap > 0.5 * height),
      ) || 1.4 * height;
    let last: { row: ListRow; y: number } | null = null;
    for (const line of lines) {
      const cells: Partial<Record<ListField, string>> = {};
      const boxes: Partial<Record<ListField, Box>> = {};
      const mine: WordBox[] = [];
      const hard: { field: ListField; why: string }[] = [];
      const inColumns = placed(line.words, columns, height);
      for (const [i, field] of fields.entries()) {
        const inside = inColumns[columns.indexOf(of[i]!)]!;
        const cell = field ? cellOf(inside) : null;
        if (!field || !cell) continue;
        cells[field] = cell.text;
        boxes[field] = cell.box;
        if (cell.sure < sureEnough) hard.push({ field, why: "is hard to read" });
        mine.push(...inside);
      }
      const told = Object.keys(cells) as ListField[];
      if (!told.length) continue;
      const begins =
        (cells.callout !== undefined && isCallout(cells.callout) && told.length > 1) ||
        (cells.number !== undefined && isCode(cells.number) && (cells.description !== undefined || cells.callout !== undefined));
      if (begins) {
        const row: ListRow = { page, block, cells, boxes, quantity: null, priceMinor: null, doubts: hard };
        out.push(row);
        last = { row, y: line.y };
        for (const word of mine) used.add(word);
      } else if (last && line.y - last.y < 1.55 * pitch && told.every((field) => field === "description" || field === "remarks")) {
        // A cell over two lines.
        const joined = { ...last.row.cells };
        const grown = { ...last.row.boxes };
        for (const field of told) {
          joined[field] = [joined[field], cells[field]].filter(Boolean).join(" ");
          const [a, b] = [grown[field], boxes[field]!];
          grown[field] = a
            ? { x: Math.min(a.x, b.x), y: a.y, w: Math.max(a.x + a.w, b.x + b.w) - Math.min(a.x, b.x), h: b.y + b.h - a.y }
            : b;
        }
        const row: ListRow = { ...last.row, cells: joined, boxes: grown };
        out[out.indexOf(last.row)] = row;
        last = { row, y: line.y };
        for (const word of mine) used.add(word);
      } else if (line.y - (last?.y ?? line.y) > 4 * pitch) last = null;
    }
  }
  return { rows: out, columns: told, used: new Set([...used].map((word) => origin.get(word)!)) };
}

/** A count as a list writes it: "2", "x2", "2 pcs"; null where it says none. */
const countOf = (text: string | undefined): number | null => {
  const found = /\d{1,2}/.exec((text ?? "").replace(/O/g, "0").replace(/[lI|]/g, "1"));
  return found ? Number(found[0]) : null;
};

/**
 * Reads the list of a maker's sheet from its words and where they stand: rows and columns are found by how they stand below each other, what a column is by
 * its header and by what stands in it. What is left of numerals belongs to the drawing. @returns no row where there is no list.
 */
export function readList(words: readonly WordBox[]): ReadList {
  const real = words.filter(({ text, w, h }) => text.trim() !== "" && w > 0 && h > 0).flatMap(apart);
  const pages = [...new Set(real.map(({ page = 1 }) => page))].sort((a, b) => a - b);
  const read = pages.map((page) =>
    readPage(
      real.filter((word) => (word.page ?? 1) === page),
      page,
    ),
  );
  const used = new Set(read.flatMap((one) => [...one.used]));
  const rows = charactersSettled(read.flatMap((one) => one.rows)).map(
    (row): ListRow => ({
      ...row,
      quantity: countOf(row.cells.quantity),
      priceMinor: row.cells.price === undefined ? null : parseMinor(row.cells.price.replace(/[^\d.,]/g, "")),
    }),
  );
  const of = new Map(rows.flatMap(({ cells }, i) => (cells.callout ? [[plainCallout(cells.callout), i] as const] : [])));
  const callouts = real
    .filter((word) => !used.has(word) && isCallout(word.text) && isAlone(word, real))
    .map(
      ({ text, x, y, w, h, page = 1 }): Callout => ({
        text: plainCallout(text),
        page,
        x,
        y,
        w,
        h,
        row: of.get(plainCallout(text)) ?? null,
      }),
    )
    .filter(({ row }) => row !== null || of.size === 0);
  const { doubts, rows: judged } = doubtsOf(
    rows,
    real.filter((word) => !used.has(word)),
  );
  return { rows: judged, columns: read.flatMap((one) => one.columns), callouts, doubts };
}

/** A run of several words as single ones, each with its share of the length. */
function apart(run: WordBox): WordBox[] {
  const { text, x, w } = run;
  if (!/\S\s+\S/.test(text) || (run.turned ?? 0) !== 0) return [{ ...run, text: text.trim() }];
  return [...text.matchAll(/\S+/g)].map((found) => ({
    ...run,
    text: found[0],
    x: x + (w * found.index) / text.length,
    w: (w * found[0].length) / text.length,
  }));
}

/** Without brackets and stops. */
export const plainCallout = (text: string): string => text.replace(/[().]/g, "").replace("–", "-").toUpperCase();

/** A numeral of a drawing stands by itself; one in a sentence has words beside it. */
const isAlone = (word: WordBox, all: readonly WordBox[]): boolean =>
  !all.some(
    (other) =>
      other !== word &&
      (other.page ?? 1) === (word.page ?? 1) &&
      Math.abs(other.y + other.h / 2 - (word.y + word.h / 2)) < 0.5 * word.h &&
      Math.max(other.x - (word.x + word.w), word.x - (other.x + other.w)) < 0.8 * word.h &&
      /\p{L}{2}/u.test(other.text),
  );
