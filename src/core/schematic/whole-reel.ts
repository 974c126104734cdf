import type { Anatomy, PartType } from "@/core/anatomy/types";
import { cutaway, type PlacedGlyph } from "./cutaway";

/** An assembly drawn put together at its place along the reel. */
export interface DrawnAssembly {
  readonly assemblyId: string;
  readonly name: string;
  /** Its parts, x along the whole reel, in the order they are painted. */
  readonly parts: readonly PlacedGlyph[];
  /** Its ends along the reel, mm. */
  readonly from: number;
  readonly to: number;
}

export interface WholeReel {
  readonly assemblies: readonly DrawnAssembly[];
  readonly viewBox: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

const gapMm = 6;
const marginMm = 3;

/**
 * The whole reel along one axis, each assembly put together at a place of its own: nothing moves as parts come and go, so that what is in can be drawn full
 * and what is out pale. The last to go on stands at the right, as on the plate of the whole.
 */
export function wholeReel(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>): WholeReel {
  const all = new Set(anatomy.positions.map(({ id }) => id));
  let cursor = 0;
  let [up, down] = [1, 1];
  const assemblies: DrawnAssembly[] = [];
  for (const { id, name } of [...anatomy.assemblies].reverse()) {
    const { seated } = cutaway(anatomy, partTypes, id, all, null);
    if (!seated.length) continue;
    const left = Math.min(...seated.map(({ x, glyph }) => x + glyph.left));
    const parts = seated.map((part) => ({ ...part, x: part.x - left + cursor }));
    const to = Math.max(...parts.map(({ x, glyph }) => x + glyph.right));
    for (const { y, glyph } of parts) {
      up = Math.max(up, glyph.up - y);
      down = Math.max(down, glyph.down + y);
    }
    assemblies.push({ assemblyId: id, name, parts, from: cursor, to });
    cursor = to + gapMm;
  }
  const width = Math.max(1, cursor - gapMm);
  return { assemblies, viewBox: { x: -marginMm, y: -up - marginMm, width: width + 2 * marginMm, height: up + down + 2 * marginMm } };
}
