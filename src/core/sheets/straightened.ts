import { median } from "@/core/quantile";
import type { WordBox } from "./sheet";

/** How far a page is set straight, degrees either way. */
const most = 5;

/** How well words stand in lines when the page is turned by so much: lines are narrow, and between them is nothing. */
function inLines(words: readonly WordBox[], slope: number, height: number): number {
  const step = height / 3;
  const times = new Map<number, number>();
  for (const { x, y, w, h, text } of words) {
    const at = Math.round((y + h / 2 - slope * (x + w / 2)) / step);
    times.set(at, (times.get(at) ?? 0) + text.length);
  }
  let sum = 0;
  for (const many of times.values()) sum += many * many;
  return sum;
}

/**
 * Words of a page that lies a little askew, as they stand once it is set straight; where each was, is kept with it. A page that is straight is left as it
 * is.
 */
export function straightened(words: readonly WordBox[]): WordBox[] {
  if (words.length < 8) return [...words];
  const height = median(words.map(({ h }) => h));
  const slopes = Array.from({ length: 20 * most + 1 }, (_, i) => Math.tan(((i / 10 - most) * Math.PI) / 180));
  const plain = inLines(words, 0, height);
  let best = { slope: 0, value: plain * 1.05 };
  for (const slope of slopes) {
    const value = inLines(words, slope, height);
    if (value > best.value) best = { slope, value };
  }
  if (best.slope === 0) return [...words];
  const { slope } = best;
  // Turned about the page's corner by a small angle: what is right of it goes up, what is below goes right.
  return words.map((word) => {
    const [cx, cy] = [word.x + word.w / 2, word.y + word.h / 2];
    const [x, y] = [cx + slope * cy - word.w / 2, cy - slope * cx - word.h / 2];
    return { ...word, x, y, own: word.own ?? { x: word.x, y: word.y, w: word.w, h: word.h } };
  });
}
