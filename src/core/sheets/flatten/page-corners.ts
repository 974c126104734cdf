import { type GreyPage, greyAt, reduced } from "./grey";
import type { Corners, Point } from "./homography";

/** The picture is looked at this small, px. */
const lookPx = 320;
/** A page takes up at least so much of its picture. */
const least = 0.15;
/** How much lighter the page is than what it lies on, on the weakest of its edges, at least. */
const leastStep = 10;
/** How near the picture's border an edge lies that runs out of it. */
const border = 0.012;

/** The largest patch that is lighter than this, by the ends of its rows: enough for its outline. @returns null where it is too small. */
function lightPatch({ data, width, height }: GreyPage, above: number): { points: Point[]; area: number } | null {
  const seen = new Uint8Array(data.length);
  const stack: number[] = [];
  let best: { points: Point[]; area: number } | null = null;
  for (let start = 0; start < data.length; start++) {
    if (seen[start] || data[start]! <= above) continue;
    let area = 0;
    const left = new Int32Array(height).fill(width);
    const right = new Int32Array(height).fill(-1);
    stack.push(start);
    seen[start] = 1;
    for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
      area++;
      const [x, y] = [at % width, Math.floor(at / width)];
      if (x < left[y]!) left[y] = x;
      if (x > right[y]!) right[y] = x;
      for (const next of [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width]) {
        if (next < 0 || next >= data.length || seen[next] || data[next]! <= above) continue;
        seen[next] = 1;
        stack.push(next);
      }
    }
    if (area < least * data.length || area <= (best?.area ?? 0)) continue;
    const points: Point[] = [];
    for (let y = 0; y < height; y++)
      if (right[y]! >= 0)
        points.push({ x: left[y]!, y }, { x: right[y]! + 1, y }, { x: left[y]!, y: y + 1 }, { x: right[y]! + 1, y: y + 1 });
    best = { points, area };
  }
  return best;
}

const cross = (o: Point, a: Point, b: Point) => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** The convex hull, clockwise on the screen from its leftmost point (Andrew 1979). */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (of: readonly Point[]) => {
    const chain: Point[] = [];
    for (const point of of) {
      while (chain.length >= 2 && cross(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const areaOf = (of: readonly Point[]) =>
  Math.abs(of.reduce((sum, { x, y }, i) => sum + x * of[(i + 1) % of.length]!.y - y * of[(i + 1) % of.length]!.x, 0)) / 2;

/** The four of a hull's points that hold most of it. @returns in the hull's order. */
function largestFour(hull: readonly Point[]): Point[] {
  // Points that add little are dropped until few are left: the corners stay.
  const few = [...hull];
  while (few.length > 18) {
    let [at, adds] = [0, Number.POSITIVE_INFINITY];
    for (let i = 0; i < few.length; i++) {
      const own = areaOf([few[(i + few.length - 1) % few.length]!, few[i]!, few[(i + 1) % few.length]!]);
      if (own < adds) [at, adds] = [i, own];
    }
    few.splice(at, 1);
  }
  let best: Point[] = few.slice(0, 4);
  let most = 0;
  const n = few.length;
  for (let a = 0; a < n; a++)
    for (let b = a + 1; b < n; b++)
      for (let c = b + 1; c < n; c++)
        for (let d = c + 1; d < n; d++) {
          const four = [few[a]!, few[b]!, few[c]!, few[d]!];
          const area = areaOf(four);
          if (area > most) [best, most] = [four, area];
        }
  return best;
}

/** How much lighter it is inside an edge than outside it, in the middle of nine places along it; null for an edge along the picture's border. */
function stepAt(page: GreyPage, from: Point, to: Point): number | null {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  // The page's inside is to the right of an edge that goes clockwise on the screen.
  const [nx, ny] = [-dy / length, dx / length];
  const near = (point: Point) => {
    const [x, y] = [point.x / page.width, point.y / page.height];
    return [x, 1 - x, y, 1 - y].map((gap) => gap < border);
  };
  const [one, two] = [near(from), near(to)];
  if (one.some((close, i) => close && two[i])) return null;
  const steps = Array.from({ length: 9 }, (_, i) => {
    const [x, y] = [from.x + (dx * (i + 1)) / 10, from.y + (dy * (i + 1)) / 10];
    return greyAt(page, x + 4 * nx, y + 4 * ny) - greyAt(page, x - 4 * nx, y - 4 * ny);
  });
  return steps.sort((a, b) => a - b)[3]!;
}

/**
 * The corners of a page that was photographed on something darker, as shares of the picture; null where the picture is the page, as a scan is, or none is
 * found. Several greys are tried as what parts page and bench; the best has the clearest edges and is most like a page.
 */
export function pageCorners(picture: GreyPage): Corners | null {
  const page = reduced(picture, lookPx);
  const greys = [...page.data].sort((a, b) => a - b);
  const at = (share: number) => greys[Math.floor(share * (greys.length - 1))]!;
  let best: { corners: Point[]; value: number } | null = null;
  for (let i = 1; i < 16; i++) {
    const patch = lightPatch(page, at(0.02) + ((at(0.98) - at(0.02)) * i) / 16);
    if (!patch) continue;
    const hull = hullOf(patch.points);
    if (hull.length < 4) continue;
    const four = largestFour(hull);
    const [own, whole] = [areaOf(four), areaOf(hull)];
    if (own < least * page.data.length) continue;
    const steps = four.flatMap((corner, j) => stepAt(page, corner, four[(j + 1) % 4]!) ?? []);
    const weakest = Math.min(...steps);
    if (steps.length < 2 || weakest < leastStep) continue;
    // Like a page: its outline has four corners, and it is full but for what is printed on it.
    const like = (own / whole) ** 4 * Math.min(1, patch.area / whole / 0.8);
    const value = like * Math.min(60, weakest) * Math.sqrt(own / page.data.length);
    if (like > 0.5 && value > (best?.value ?? 0)) best = { corners: four, value };
  }
  if (!best) return null;
  const { corners } = best;
  // The first is the one nearest the picture's top left.
  const first = corners.reduce((least, { x, y }, i) => (x + y < corners[least]!.x + corners[least]!.y ? i : least), 0);
  const shares = corners.map((_, i) => {
    const { x, y } = corners[(first + i) % 4]!;
    return { x: x / page.width, y: y / page.height };
  });
  return shares as unknown as Corners;
}
