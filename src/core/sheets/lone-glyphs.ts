import type { GreyPage } from "./flatten/grey";

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** The grey that parts ink from paper best (Otsu 1979: the least spread within both). */
export function inkBelow({ data }: GreyPage): number {
  const times = new Array<number>(256).fill(0);
  for (const grey of data) times[grey]!++;
  const all = data.length;
  const total = times.reduce((sum, many, grey) => sum + many * grey, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 128];
  for (let grey = 0; grey < 256; grey++) {
    below += times[grey]!;
    sumBelow += times[grey]! * grey;
    if (below === 0 || below === all) continue;
    const apart = sumBelow / below - (total - sumBelow) / (all - below);
    const between = below * (all - below) * apart * apart;
    if (between > best) [best, at] = [between, grey];
  }
  return at;
}

/** What hangs together of the ink, as boxes: letters, circles, the strokes of a drawing. */
function blotsOf({ data, width, height }: GreyPage, below: number): Box[] {
  const seen = new Uint8Array(data.length);
  const stack: number[] = [];
  const found: Box[] = [];
  for (let start = 0; start < data.length; start++) {
    if (seen[start] || data[start]! > below) continue;
    let [left, right, top, bottom] = [width, 0, height, 0];
    stack.push(start);
    seen[start] = 1;
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      const [x, y] = [at % width, Math.floor(at / width)];
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      if (y > bottom) bottom = y;
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const [nx, ny] = [x + dx, y + dy];
          if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
          const next = ny * width + nx;
          if (seen[next] || data[next]! > below) continue;
          seen[next] = 1;
          stack.push(next);
        }
    }
    found.push({ x: left, y: top, w: right - left + 1, h: bottom - top + 1 });
  }
  return found;
}

/**
 * Signs that stand alone and that no word was read of: numerals of a drawing, in circles or free, and single figures of a list, which a reader of text
 * passes over. By size alone: what is as high as a letter, beside nothing but its like. @param words that were read. @param high a letter's height, px.
 */
export function loneGlyphs(page: GreyPage, words: readonly Box[], high: number): Box[] {
  const covered = (box: Box) =>
    words.some(
      ({ x, y, w, h }) =>
        box.x + box.w / 2 > x - 1 && box.x + box.w / 2 < x + w + 1 && box.y + box.h / 2 > y - 1 && box.y + box.h / 2 < y + h + 1,
    );
  const glyphs = blotsOf(page, inkBelow(page))
    .filter(({ w, h }) => h > 0.45 * high && h < 1.6 * high && w > 0.08 * high && w < 1.5 * high)
    .filter((box) => !covered(box))
    .sort((a, b) => a.x - b.x);
  const groups: Box[][] = [];
  for (const glyph of glyphs) {
    const group = groups.find((of) => {
      const last = of.at(-1)!;
      const gap = glyph.x - (last.x + last.w);
      return gap > -0.2 * high && gap < 0.45 * high && Math.abs(glyph.y + glyph.h - (last.y + last.h)) < 0.35 * high;
    });
    if (group) group.push(glyph);
    else groups.push([glyph]);
  }
  return groups
    .filter((of) => of.length <= 4)
    .map((of) => {
      const [x, y] = [Math.min(...of.map((one) => one.x)), Math.min(...of.map((one) => one.y))];
      return { x, y, w: Math.max(...of.map((one) => one.x + one.w)) - x, h: Math.max(...of.map((one) => one.y + one.h)) - y };
    });
}
