import type { Corners } from "@/core/sheets/flatten/homography";
import { pageCorners } from "@/core/sheets/flatten/page-corners";
import { readList } from "@/core/sheets/read-list";
import { type Recognize, readPage, wholeOf } from "@/core/sheets/read-page";
import { drawSheet, type SheetStyle } from "./draw-sheet";
import { type Grey, greyOfFile, jpegOf, photographed, printed, type Shot } from "./photograph";
import type { Score } from "./score";
import type { WrittenSheet } from "./written-sheets";

export interface PictureScore {
  readonly cells: Score;
  readonly numerals: Score;
  /** How far the worst corner was from where it is, as a share of the picture's longer edge; null for a scan. */
  readonly corner: number | null;
  readonly seconds: number;
}

/** A sheet printed and read as a scan, or as a photograph of it. Page two (a drawing of its own) is not read. */
export async function scoreOfPicture(
  recognize: Recognize,
  sheet: WrittenSheet,
  style: SheetStyle,
  seed: number,
  how: { dpi: number; shot?: Shot; turned?: boolean },
): Promise<PictureScore> {
  const drawn = drawSheet(sheet, style, seed, 0.03);
  const page = await printed(drawn, how.dpi);
  const shot = how.shot && photographed(page, how.shot, seed);
  const taken = shot?.picture ?? page;
  // Upside down, as a page is often laid.
  const picture: Grey = await greyOfFile(await jpegOf(how.turned ? { ...taken, data: taken.data.slice().reverse() } : taken));
  const start = performance.now();
  const found = shot ? pageCorners(picture) : null;
  const corners = found
    ? (found.map(({ x, y }) => ({ x: x * picture.width, y: y * picture.height })) as unknown as Corners)
    : wholeOf(picture);
  const read = await readPage(picture, corners, recognize);
  const { rows, callouts } = readList(read.words);
  const seconds = (performance.now() - start) / 1000;
  const cells = { right: 0, all: 0 };
  for (const [at, row] of drawn.rows.entries())
    for (const [field, wanted] of Object.entries(row)) {
      if (!wanted) continue;
      cells.all++;
      const got = (rows[at]?.cells as Record<string, string> | undefined)?.[field];
      // A price is its amount: the sign of the money stands at every one or at none.
      cells.right += Number(field === "price" ? got?.replace(/[^\d.,]/g, "") === wanted.replace(/[^\d.,]/g, "") : got === wanted);
    }
  const numerals = { right: 0, all: 0 };
  const size = {
    width: Math.max(...drawn.words.map(({ x, w }) => x + w)) + 40,
    height: Math.max(...drawn.words.map(({ y, h }) => y + h)) + 40,
  };
  if (style.fields.includes("callout"))
    for (const { text, x, y, page: on } of drawn.callouts) {
      if (on !== 1) continue;
      numerals.all++;
      const near = (one: { x: number; y: number }) =>
        Math.hypot((one.x / read.page.width) * size.width - x - 4, (one.y / read.page.height) * size.height - y - 5) < 16;
      const own = callouts.find(near);
      numerals.right += Number(own?.row != null && rows[own.row]!.cells.callout === text);
    }
  const worst =
    found && shot && !how.turned ? Math.max(...shot.corners.map(({ x, y }, i) => Math.hypot(corners[i]!.x - x, corners[i]!.y - y))) : null;
  return { cells, numerals, seconds, corner: worst === null ? null : worst / Math.max(picture.width, picture.height) };
}
