import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { chanceOf } from "../any-job/chance";
import type { DrawnSheet } from "./draw-sheet";
import { pdfOf } from "./pdf-sheet";

/** A page as grey px. */
export interface Grey {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** A drawn sheet's page printed at so many dots an inch (poppler's). */
export async function printed(sheet: DrawnSheet, dpi: number, page = 1): Promise<Grey> {
  const at = mkdtempSync(join(tmpdir(), "sheet-"));
  try {
    writeFileSync(join(at, "a.pdf"), await pdfOf(sheet));
    spawnSync("pdftoppm", ["-r", String(dpi), "-gray", "-png", "-singlefile", "-f", String(page), join(at, "a.pdf"), join(at, "a")]);
    return await greyOfFile(readFileSync(join(at, "a.png")));
  } finally {
    rmSync(at, { recursive: true });
  }
}

export async function greyOfFile(bytes: Buffer): Promise<Grey> {
  const { data, info } = await sharp(bytes).flatten({ background: "#fff" }).greyscale().raw().toBuffer({ resolveWithObject: true });
  return { data: new Uint8Array(data), width: info.width, height: info.height };
}
export const jpegOf = ({ data, width, height }: Grey, quality = 85): Promise<Buffer> =>
  sharp(Buffer.from(data), { raw: { width, height, channels: 1 } })
    .jpeg({ quality })
    .toBuffer();

/** How a page lies and how it is taken. */
export interface Shot {
  readonly name: string;
  /** How the camera leans, degrees: about the page's width, about its height, and how the page lies on the bench. */
  readonly lean: readonly [number, number, number];
  /** How far the page's middle stands up from the bench, as a share of its width: paper that was folded or rolled. */
  readonly bend: number;
  /** The lens: how far a corner is drawn in, as a share. */
  readonly lens: number;
  /** How dark the darkest corner is against the lightest. */
  readonly shade: number;
  /** Scatter of a px, greys. */
  readonly noise: number;
}
export const shots: readonly Shot[] = [
  { name: "from above, even light", lean: [4, -3, 2], bend: 0, lens: 0, shade: 0.1, noise: 4 },
  { name: "slanted, in shade", lean: [18, -10, 7], bend: 0, lens: 0.01, shade: 0.5, noise: 7 },
  { name: "bent, through a wide lens", lean: [10, 6, -4], bend: 0.03, lens: 0.03, shade: 0.35, noise: 7 },
];

/**
 * A photograph of a page on a bench: the page is a sheet in space that is bent about its height, seen by a camera with a lens, in a light that falls off, on
 * wood. Drawn by small triangles, apart from how pages are laid flat. @returns the picture, 4:3, with the page's corners in it, px.
 */
export function photographed(page: Grey, shot: Shot, seed: number, wide = 3600): { picture: Grey; corners: { x: number; y: number }[] } {
  const { number: chance } = chanceOf(seed);
  const upright = page.height > page.width;
  const [width, height] = upright ? [Math.round(wide * 0.75), wide] : [wide, Math.round(wide * 0.75)];
  const ratio = page.height / page.width;
  const [ax, ay, az] = shot.lean.map((degrees) => (degrees * Math.PI) / 180) as [number, number, number];
  const far = 2.6 * Math.max(1, ratio);
  const focal = (0.8 * far * Math.min(width, height / ratio)) / 1;
  const seen = (u: number, v: number): { x: number; y: number } => {
    let [x, y, z] = [u - 0.5, (v - 0.5) * ratio, -shot.bend * Math.cos(Math.PI * (u - 0.5))];
    [x, y] = [x * Math.cos(az) - y * Math.sin(az), x * Math.sin(az) + y * Math.cos(az)];
    [y, z] = [y * Math.cos(ax) - z * Math.sin(ax), y * Math.sin(ax) + z * Math.cos(ax)];
    [x, z] = [x * Math.cos(ay) + z * Math.sin(ay), -x * Math.sin(ay) + z * Math.cos(ay)];
    const [px, py] = [(focal * x) / (far + z), (focal * y) / (far + z)];
    const draw = 1 - (shot.lens * (px * px + py * py)) / ((width * width + height * height) / 4);
    return { x: width / 2 + px * draw, y: height / 2 + py * draw };
  };
  const data = new Float32Array(width * height);
  // The bench: planks with a grain.
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data[y * width + x] = 78 + 14 * Math.sin(x / 37 + Math.sin(y / 211) * 3) + 8 * Math.sin(y / 5.3 + x / 400);
  const [across, down] = [60, Math.round(60 * ratio)];
  const grey = (u: number, v: number) => {
    const [x, y] = [u * (page.width - 1), v * (page.height - 1)];
    const [l, t] = [Math.floor(x), Math.floor(y)];
    const [r, b] = [Math.min(page.width - 1, l + 1), Math.min(page.height - 1, t + 1)];
    const [fx, fy] = [x - l, y - t];
    return (
      (page.data[t * page.width + l]! * (1 - fx) + page.data[t * page.width + r]! * fx) * (1 - fy) +
      (page.data[b * page.width + l]! * (1 - fx) + page.data[b * page.width + r]! * fx) * fy
    );
  };
  for (let j = 0; j < down; j++)
    for (let i = 0; i < across; i++) {
      const at = [
        [i, j],
        [i + 1, j],
        [i + 1, j + 1],
        [i, j + 1],
      ].map(([a, b]) => ({ u: a! / across, v: b! / down, ...seen(a! / across, b! / down) }));
      for (const [a, b, c] of [
        [at[0]!, at[1]!, at[2]!],
        [at[0]!, at[2]!, at[3]!],
      ] as const) {
        const det = (b.y - c.y) * (a.x - c.x) + (c.x - b.x) * (a.y - c.y);
        for (let y = Math.max(0, Math.floor(Math.min(a.y, b.y, c.y))); y <= Math.min(height - 1, Math.ceil(Math.max(a.y, b.y, c.y))); y++)
          for (
            let x = Math.max(0, Math.floor(Math.min(a.x, b.x, c.x)));
            x <= Math.min(width - 1, Math.ceil(Math.max(a.x, b.x, c.x)));
            x++
          ) {
            const p = ((b.y - c.y) * (x - c.x) + (c.x - b.x) * (y - c.y)) / det;
            const q = ((c.y - a.y) * (x - c.x) + (a.x - c.x) * (y - c.y)) / det;
            if (p < -1e-6 || q < -1e-6 || p + q > 1 + 1e-6) continue;
            const r = 1 - p - q;
            // Printed black is dark grey to a camera, paper not quite white.
            data[y * width + x] = 35 + 0.82 * grey(p * a.u + q * b.u + r * c.u, p * a.v + q * b.v + r * c.v);
          }
      }
    }
  const out = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const light = 1 - shot.shade * (0.6 * (x / width) + 0.4 * (1 - y / height));
      const scatter = (chance() + chance() + chance() - 1.5) * 2 * shot.noise;
      out[y * width + x] = Math.min(255, Math.max(0, data[y * width + x]! * light + scatter));
    }
  return { picture: { data: out, width, height }, corners: [seen(0, 0), seen(1, 0), seen(1, 1), seen(0, 1)] };
}
