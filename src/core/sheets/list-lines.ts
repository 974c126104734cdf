import { median, quantile } from "@/core/quantile";
import type { Box, WordBox } from "./sheet";

export interface Line {
  readonly y: number;
  readonly words: WordBox[];
}

/** Words by lines, from the top down, each from left to right. */
export function linesOf(words: readonly WordBox[], height: number): Line[] {
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

export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The columns of a list: what lies between the gutters that (nearly) no row crosses. */
export function spansOf(rows: readonly Line[], height: number): Span[] {
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

export const cellOf = (words: readonly WordBox[]): { text: string; box: Box; sure: number } | null => {
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
export function placed(words: readonly WordBox[], columns: readonly Span[], height: number): WordBox[][] {
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
export function longestRun(lines: readonly Line[]): Line[] {
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
export const spread = (values: readonly number[]): number => quantile(values, 0.75) - quantile(values, 0.25);

/** Columns that are one, written with a space: "RD 10300" stands in all rows as two words. */
export function joined(spans: readonly Span[], rows: readonly Line[], height: number): Span[] {
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

/**
 * Columns that are one by their header: where few rows say anything in it, the spaces between its words stand below each other by chance. What has no word
 * of the header above it, stands a space after a column, and is there only where that is, is more of it.
 */
export function underOneHeader(spans: readonly Span[], rows: readonly Line[], header: Line, height: number): Span[] {
  const inside = (words: readonly WordBox[], { from, to }: Span) => words.some(({ x, w }) => x + w / 2 >= from && x + w / 2 < to);
  const out: Span[] = [];
  for (const span of spans) {
    const last = out.at(-1);
    if (
      last &&
      span.from - last.to < 0.9 * height &&
      !header.words.some(({ x, w }) => x < span.to && x + w > span.from) &&
      rows.every(({ words }) => !inside(words, span) || inside(words, last))
    )
      out[out.length - 1] = { from: last.from, to: span.to };
    else out.push(span);
  }
  return out;
}
