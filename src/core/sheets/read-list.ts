import { groupBy } from "@/core/group-by";
import { parseMinor } from "@/core/money/money";
import { median } from "@/core/quantile";
import { blocksOf, type Column, fieldOfHeader, fieldsOf, headerOf, isCallout, isCode, isText, share } from "./list-fields";
import { cellOf, joined, type Line, linesOf, longestRun, placed, spansOf, spread, underOneHeader } from "./list-lines";
import { charactersSettled, doubtsOf } from "./sanity";
import type { Box, Callout, ListColumn, ListField, ListRow, ReadingSaid, ReadList, UnreadColumn, WordBox } from "./sheet";
import { straightened } from "./straightened";

/** A reader that is less sure of a word than this is asked about it. */
const sureEnough = 0.6;

interface PageRead {
  readonly rows: ListRow[];
  readonly columns: ListColumn[];
  readonly others: UnreadColumn[];
  readonly used: Set<WordBox>;
}

/** The lists of one page. */
function readPage(words: readonly WordBox[], page: number, said: ReadingSaid): PageRead {
  const nothing: PageRead = { rows: [], columns: [], others: [], used: new Set() };
  const asTheyStand = words.filter(({ turned = 0 }) => turned === 0);
  const upright = straightened(asTheyStand);
  const origin = new Map(upright.map((word, i) => [word, asTheyStand[i]!]));
  if (!upright.length) return nothing;
  const height = median(upright.map(({ h }) => h));
  const all = linesOf(upright, height);
  const { headers } = said;
  const set = (said.columns ?? []).filter((one) => one.page === page).sort((a, b) => a.from - b.from);
  const named = headerOf(all, height, headers);
  const rowLike = (line: Line) => {
    const texts = line.words.map(({ text }) => text);
    return texts.some(isText) && texts.some((text) => isCallout(text) || isCode(text));
  };
  const rowLines = all.filter((line, i) => i !== named && rowLike(line));
  if (rowLines.length < 2) return nothing;
  // Where the list is: what most rows have in common; a numeral of the drawing may stand beside it at the same height.
  const body = longestRun(rowLines.filter(({ y }) => named < 0 || y > all[named]!.y));
  if (body.length < 2) return nothing;
  const found = set.length ? set : joined(spansOf(body, height), body, height);
  const spans = set.length || named < 0 ? found : underOneHeader(found, body, all[named]!, height);
  const lines = all.filter(({ y }) => y > (named < 0 ? body[0]!.y - height : all[named]!.y));
  // Where no header is known, what stands close above the list in words alone, over most of its columns, is one in other words.
  const first = all.indexOf(body[0]!);
  const above = all[first - 1];
  const heads =
    above !== undefined &&
    body[0]!.y - above.y < 4 * height &&
    above.words.every(({ text }) => !/\d/.test(text)) &&
    placed(above.words, spans, height).filter((of) => of.length).length >= Math.max(2, 0.6 * spans.length);
  const headed = named >= 0 ? named : heads ? first - 1 : -1;
  const table = body.map((line) => placed(line.words, spans, height));
  const cellsIn = (at: number) => table.flatMap((of) => cellOf(of[at]!) ?? []);
  const headerIn = (at: number) => {
    if (headed < 0) return "";
    const [before, after] = [spans[at - 1]?.to ?? Number.NEGATIVE_INFINITY, spans[at + 1]?.from ?? Number.POSITIVE_INFINITY];
    const { from, to } = spans[at]!;
    return all[headed]!.words.filter((word) => {
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
    return set.length || (texts.length >= Math.max(1, 0.12 * fullest) && straight && !scattered) || fieldOfHeader(header, headers) !== null
      ? [{ ...span, texts, header }]
      : [];
  });
  const out: ListRow[] = [];
  const used = new Set<WordBox>(headed < 0 ? [] : all[headed]!.words);
  const told: ListColumn[] = [];
  const others: UnreadColumn[] = [];
  const blocks = set.length
    ? [...groupBy([...set.keys()], (at) => set[at]!.block).values()].map((of) => ({
        of: of.map((at) => columns[at]!),
        fields: of.map((at) => set[at]!.field),
      }))
    : blocksOf(columns, headers).map((of) => ({ of, fields: fieldsOf(of, headers) }));
  for (const [block, { of, fields }] of blocks.entries()) {
    if (!fields.includes("description") && !fields.includes("number")) continue;
    for (const [i, field] of fields.entries())
      if (field) told.push({ page, block, field, from: of[i]!.from, to: of[i]!.to, header: of[i]!.header });
      else others.push({ page, block, field, from: of[i]!.from, to: of[i]!.to, header: of[i]!.header });
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
  return { rows: out, columns: told, others, used: new Set([...used].map((word) => origin.get(word)!)) };
}

/** A count as a list writes it: "2", "x2", "2 pcs"; null where it says none. */
const countOf = (text: string | undefined): number | null => {
  const found = /\d{1,2}/.exec((text ?? "").replace(/O/g, "0").replace(/[lI|]/g, "1"));
  return found ? Number(found[0]) : null;
};

/**
 * Reads the list of a maker's sheet from its words and where they stand: rows and columns are found by how they stand below each other, what a column is by
 * its header and by what stands in it. What is left of numerals belongs to the drawing. @param said what somebody set or the shop has named.
 * @returns no row where there is no list.
 */
export function readList(words: readonly WordBox[], said: ReadingSaid = {}): ReadList {
  const real = words.filter(({ text, w, h }) => text.trim() !== "" && w > 0 && h > 0).flatMap(apart);
  const pages = [...new Set(real.map(({ page = 1 }) => page))].sort((a, b) => a - b);
  const read = pages.map((page) =>
    readPage(
      real.filter((word) => (word.page ?? 1) === page),
      page,
      said,
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
  return { rows: judged, columns: read.flatMap((one) => one.columns), others: read.flatMap((one) => one.others), callouts, doubts };
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
