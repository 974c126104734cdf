import { type GreyPage, greyAt } from "./grey";

export interface Point {
  readonly x: number;
  readonly y: number;
}
/** The four corners of a page in a picture: top left, top right, bottom right, bottom left, as the page is read. */
export type Corners = readonly [Point, Point, Point, Point];

/**
 * Where a place of the flat page (shares of its width and height) is in the picture of it taken at a slant: the one projection that takes the unit square
 * to the four corners (Heckbert 1989, *Fundamentals of texture mapping*, section 2.2.3). @param corners in the picture's px, no three of them in a line.
 */
export function fromSquare([p0, p1, p2, p3]: Corners): (u: number, v: number) => Point {
  const [dx1, dx2, sx] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, sy] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  const [a, b] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x];
  const [d, e] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y];
  return (u, v) => {
    const w = g * u + h * v + 1;
    return { x: (a * u + b * v + p0.x) / w, y: (d * u + e * v + p0.y) / w };
  };
}

const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** Whether four places can be a page's corners: they go round one way, and none is too near a line through its neighbours. */
export const canBePage = (corners: Corners): boolean =>
  corners.every((at, i) => {
    const [next, after] = [corners[(i + 1) % 4]!, corners[(i + 2) % 4]!];
    const turn = (next.x - at.x) * (after.y - next.y) - (next.y - at.y) * (after.x - next.x);
    return turn > 0.02 * apart(at, next) * apart(next, after);
  });

/** A page laid flat out of a picture of it. @param corners in px; @param edgePx the longer edge of what comes out, at most three times what it is in the picture. */
export function flattened(page: GreyPage, corners: Corners, edgePx: number): GreyPage {
  const [p0, p1, p2, p3] = corners;
  const [wide, high] = [(apart(p0, p1) + apart(p3, p2)) / 2, (apart(p0, p3) + apart(p1, p2)) / 2];
  const times = Math.min(3, edgePx / Math.max(wide, high));
  const [width, height] = [Math.max(1, Math.round(wide * times)), Math.max(1, Math.round(high * times))];
  const at = fromSquare(corners);
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const from = at((x + 0.5) / width, (y + 0.5) / height);
      data[y * width + x] = greyAt(page, from.x - 0.5, from.y - 0.5);
    }
  return { data, width, height };
}

/** Corners of a page turned by quarters to the right: what was its left edge is its top. */
export const turned = ([p0, p1, p2, p3]: Corners): Corners => [p3, p0, p1, p2];
