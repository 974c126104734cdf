import { describe, expect, it } from "vitest";
import { evenLight } from "./even-light";
import type { GreyPage } from "./grey";
import { type Corners, canBePage, flattened, fromSquare, turned } from "./homography";
import { pageCorners } from "./page-corners";

const made = (width: number, height: number, grey: (x: number, y: number) => number): GreyPage => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, (_, i) => grey(i % width, Math.floor(i / width))),
});
/** Whether a place is within four corners that go round clockwise. */
const within = (corners: Corners, x: number, y: number) =>
  corners.every((a, i) => {
    const b = corners[(i + 1) % 4]!;
    return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) >= 0;
  });
const slanted: Corners = [
  { x: 120, y: 90 },
  { x: 690, y: 60 },
  { x: 760, y: 540 },
  { x: 60, y: 500 },
];

describe("a page laid flat", () => {
  it("takes the square to the corners, and keeps straight lines straight", () => {
    const at = fromSquare(slanted);
    expect([at(0, 0), at(1, 0), at(1, 1), at(0, 1)].map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual(
      slanted.map(({ x, y }) => [x, y]),
    );
    // The middle of the page is where its diagonals cross: it is on both.
    const { x, y } = at(0.5, 0.5);
    for (const [a, b] of [
      [slanted[0], slanted[2]],
      [slanted[1], slanted[3]],
    ] as const)
      expect((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)).toBeCloseTo(0, 6);
  });

  it("finds a light page on a darker bench within a hundredth of the picture, also half in shade", () => {
    for (const shade of [0, 0.35]) {
      const found = pageCorners(
        made(800, 600, (x, y) => (within(slanted, x, y) ? ((x * 7 + y * 3) % 31 === 0 ? 40 : 225) : 90) * (1 - (shade * x) / 800)),
      )!;
      for (const [i, { x, y }] of slanted.entries())
        expect(Math.hypot(found[i]!.x - x / 800, found[i]!.y - y / 600), `shade ${shade}, corner ${i}`).toBeLessThan(0.012);
    }
  });

  it("finds none where the picture is the page, or where nothing is light and four-cornered", () => {
    expect(pageCorners(made(600, 800, (x, y) => ((x * 5 + y * 11) % 37 === 0 ? 20 : 250)))).toBeNull();
    expect(pageCorners(made(600, 600, (x, y) => (Math.hypot(x - 300, y - 300) < 200 ? 230 : 60)))).toBeNull();
    expect(pageCorners(made(300, 300, (x, y) => (x * 31 + y * 17) % 256))).toBeNull();
  });

  it("brings a stripe back to where it was on the page", () => {
    const at = fromSquare(slanted);
    // A stripe at two fifths of the height, as the camera sees it: found by walking over the page.
    const picture = made(800, 600, () => 240);
    for (let u = 0; u <= 1; u += 0.0005)
      for (let v = 0.4; v <= 0.42; v += 0.002) {
        const { x, y } = at(u, v);
        (picture.data as Uint8Array)[Math.round(y) * 800 + Math.round(x)] = 10;
      }
    const flat = flattened(picture, slanted, 500);
    for (const share of [0.1, 0.5, 0.9]) {
      const x = Math.floor(share * flat.width);
      const dark = Array.from({ length: flat.height }, (_, y) => y).filter((y) => flat.data[y * flat.width + x]! < 120);
      expect(dark.reduce((sum, y) => sum + y, 0) / dark.length / flat.height).toBeCloseTo(0.41, 1);
    }
  });

  it("knows what cannot be a page, and turns one by a quarter to the right", () => {
    expect(canBePage(slanted)).toBe(true);
    const [a, b, c, d] = slanted;
    expect(canBePage([a, c, b, d])).toBe(false);
    expect(canBePage([d, c, b, a])).toBe(false);
    expect(turned(slanted)).toEqual([d, a, b, c]);
  });
});

describe("even light", () => {
  it("makes paper white in light and shade, and leaves ink dark; a filled shape stays filled", () => {
    const lamp = (x: number) => 1 - (0.6 * x) / 800;
    const ink = (x: number, y: number) => (x > 300 && x < 340 && y > 300 && y < 340) || y % 40 < 3;
    const flat = evenLight(made(800, 600, (x, y) => (ink(x, y) ? 60 : 230) * lamp(x)));
    const at = (x: number, y: number) => flat.data[y * 800 + x]!;
    for (const x of [10, 400, 790]) {
      expect(at(x, 20), `paper at ${x}`).toBeGreaterThan(235);
      expect(at(x, 41), `ink at ${x}`).toBeLessThan(110);
    }
    expect(at(320, 330)).toBeLessThan(110);
  });
});
