import { Matrix, solve } from "ml-matrix";
import { median } from "@/core/quantile";
import type { WordBox } from "./sheet";

/** How far a page is set straight, degrees either way. */
const most = 5;
/** A neighbour along a line is so near, in heights of a letter: across a column's gap, not across the page. */
const nearest = 14;
/** Fewer neighbours than this tell no bend. */
const leastLinks = 30;

/** How well words stand in lines when each is moved up by so much: lines are narrow, and between them is nothing. */
function inLines(words: readonly WordBox[], up: (x: number, y: number) => number, height: number): number {
  return heaped(words, ({ x, y, w, h }) => y + h / 2 - up(x + w / 2, y + h / 2), height / 3);
}
/** How well words begin below each other when each is moved left by so much. */
const inColumns = (words: readonly WordBox[], back: (x: number, y: number) => number, height: number): number =>
  heaped(words, ({ x, y, h }) => x - back(x, y + h / 2), height / 2);

/** How much words heap up at few places, by their letters. */
function heaped(words: readonly WordBox[], at: (word: WordBox) => number, step: number): number {
  const times = new Map<number, number>();
  for (const word of words) {
    const place = Math.round(at(word) / step);
    times.set(place, (times.get(place) ?? 0) + word.text.length);
  }
  let sum = 0;
  for (const many of times.values()) sum += many * many;
  return sum;
}

const moved = (word: WordBox, x: number, y: number): WordBox => ({
  ...word,
  x,
  y,
  own: word.own ?? { x: word.x, y: word.y, w: word.w, h: word.h },
});

/** Words of a page that lies a little askew, as they stand once it is turned straight. */
function turnedStraight(words: readonly WordBox[], height: number): readonly WordBox[] {
  const slopes = Array.from({ length: 20 * most + 1 }, (_, i) => Math.tan(((i / 10 - most) * Math.PI) / 180));
  const plain = inLines(words, () => 0, height);
  let best = { slope: 0, value: plain * 1.05 };
  for (const slope of slopes) {
    const value = inLines(words, (x) => slope * x, height);
    if (value > best.value) best = { slope, value };
  }
  if (best.slope === 0) return words;
  const { slope } = best;
  // Turned about the page's corner by a small angle: what is right of it goes up, what is below goes right.
  return words.map((word) => {
    const [cx, cy] = [word.x + word.w / 2, word.y + word.h / 2];
    return moved(word, cx + slope * cy - word.w / 2, cy - slope * cx - word.h / 2);
  });
}

/** A stretch between two words: where it is, how much it leans, and how long it is. */
interface Link {
  readonly x: number;
  readonly y: number;
  readonly slope: number;
  readonly long: number;
}

/** Each word with the next one in its line. */
function alongLines(words: readonly WordBox[], height: number): Link[] {
  const sorted = words.filter(({ text, h }) => text.length > 1 && h < 1.6 * height).sort((a, b) => a.x - b.x);
  return sorted.flatMap((word, i) => {
    const [cx, cy] = [word.x + word.w / 2, word.y + word.h / 2];
    let next: { x: number; y: number; far: number } | null = null;
    for (let j = i + 1; j < sorted.length; j++) {
      const other = sorted[j]!;
      const gap = other.x - word.x - word.w;
      if (gap > nearest * height) break;
      const [ox, oy] = [other.x + other.w / 2, other.y + other.h / 2];
      if (gap < -0.2 * height || Math.abs(oy - cy) > 0.7 * height) continue;
      const far = gap + 4 * Math.abs(oy - cy);
      if (!next || far < next.far) next = { x: ox, y: oy, far };
    }
    return next ? [{ x: (cx + next.x) / 2, y: (cy + next.y) / 2, slope: (next.y - cy) / (next.x - cx), long: next.x - cx }] : [];
  });
}

/** Each word with the next one below that begins where it does. */
function downColumns(words: readonly WordBox[], height: number): Link[] {
  const sorted = words.filter(({ h }) => h < 1.6 * height).sort((a, b) => a.y - b.y);
  return sorted.flatMap((word, i) => {
    const cy = word.y + word.h / 2;
    for (let j = i + 1; j < sorted.length; j++) {
      const other = sorted[j]!;
      const down = other.y + other.h / 2 - cy;
      if (down > 4 * height) break;
      if (down < 0.8 * height || Math.abs(other.x - word.x) > 0.4 * height) continue;
      return [{ x: (word.x + other.x) / 2, y: cy + down / 2, slope: (other.x - word.x) / down, long: down }];
    }
    return [];
  });
}

/** How far each place is moved so that stretches that should be straight are: how they lean is fitted as a smooth function of the place. */
interface Bend {
  readonly by: (x: number, y: number) => number;
}

/**
 * The bend of a page in one direction: least squares over a lean that changes linearly across the direction and by the square along it, outliers left out
 * twice; what it comes to along the stretch from the page's middle. @param along which way the stretches run. @returns null where too few tell it.
 */
function bendOf(links: readonly Link[], words: readonly WordBox[], along: "x" | "y"): Bend | null {
  if (links.length < leastLinks) return null;
  const [left, right] = [Math.min(...words.map(({ x }) => x)), Math.max(...words.map(({ x, w }) => x + w))];
  const [top, bottom] = [Math.min(...words.map(({ y }) => y)), Math.max(...words.map(({ y, h }) => y + h))];
  const [hw, hh] = [Math.max(1, (right - left) / 2), Math.max(1, (bottom - top) / 2)];
  /** Along the stretch and across it, from -1 to 1. */
  const place = (x: number, y: number): readonly [number, number] => {
    const [u, v] = [(x - left) / hw - 1, (y - top) / hh - 1];
    return along === "x" ? [u, v] : [v, u];
  };
  const terms = (x: number, y: number) => {
    const [u, v] = place(x, y);
    return [1, u, v, u * v, u * u];
  };
  let kept = links;
  let fit: number[] = [];
  for (let round = 0; round < 3; round++) {
    const rows = kept.map(({ x, y, long }) => terms(x, y).map((term) => term * long));
    fit = solve(new Matrix(rows), Matrix.columnVector(kept.map(({ slope, long }) => slope * long)), true).to1DArray();
    const off = kept.map(({ x, y, slope }) => Math.abs(slope - terms(x, y).reduce((sum, term, i) => sum + term * fit[i]!, 0)));
    const usual = median(off);
    kept = kept.filter((_, i) => off[i]! <= 3 * usual + 1e-9);
    if (kept.length < leastLinks / 2) return null;
  }
  const [a = 0, b = 0, c = 0, d = 0, e = 0] = fit;
  const half = along === "x" ? hw : hh;
  return {
    by: (x, y) => {
      const [u, v] = place(x, y);
      return half * (a * u + (b * u * u) / 2 + c * v * u + (d * v * u * u) / 2 + (e * u ** 3) / 3);
    },
  };
}

/** By how much words must stand better for a bend to be believed, and how far it moves some of them at least, in heights: less does no harm. */
const better = 1.15;
const leastMoved = 0.7;

/** Words of a page that is bent, or was seen through a wide lens, as they stand once its lines run straight and its columns stand upright. */
function unbent(words: readonly WordBox[], height: number): readonly WordBox[] {
  const none = () => 0;
  let now = words;
  const matters = ({ by }: Bend) => now.some(({ x, y, w, h }) => Math.abs(by(x + w / 2, y + h / 2)) > leastMoved * height);
  const lines = bendOf(alongLines(now, height), now, "x");
  if (lines && matters(lines) && inLines(now, lines.by, height) > better * inLines(now, none, height))
    now = now.map((word) => moved(word, word.x, word.y - lines.by(word.x + word.w / 2, word.y + word.h / 2)));
  const columns = bendOf(downColumns(now, height), now, "y");
  if (columns && matters(columns) && inColumns(now, columns.by, height) > better * inColumns(now, none, height))
    now = now.map((word) => moved(word, word.x - columns.by(word.x, word.y + word.h / 2), word.y));
  return now;
}

/**
 * Words of a page as they stand once it lies straight and flat; where each was, is kept with it. A page that is straight is left as it is.
 */
export function straightened(words: readonly WordBox[]): WordBox[] {
  if (words.length < 8) return [...words];
  const height = median(words.map(({ h }) => h));
  return [...unbent(turnedStraight(words, height), height)];
}
