import type { PartKind, PartShape } from "@/core/anatomy/shapes";
import { circle, foreshortening, type GlyphPath, type Point } from "./solid";

export interface Glyph {
  readonly paths: readonly GlyphPath[];
  /** What it takes on the page about its axis, mm: from `left` to `right` along it, `up` and `down` across. */
  readonly left: number;
  readonly right: number;
  readonly up: number;
  readonly down: number;
  /** Axial thickness as drawn, mm: what the next part sits on top of. */
  readonly length: number;
  /** Where along the axis the highest rim is, for a leader to touch; without it the middle. */
  readonly peak?: number;
}

export interface GlyphOptions {
  /** Turned end for end: a cup looks the other way. */
  readonly turned?: boolean;
  readonly material?: string;
  /** Thin washers are drawn at least this thick, so that two lines do not become one. */
  readonly leastThicknessMm?: number;
}

/** What a kind's drawing is given: its own sizes, the thickness rule, which way round, of what. */
export interface Pen {
  readonly thick: (mm: number) => number;
  readonly least: number;
  readonly turned: boolean;
  readonly material: string;
}

export type Drawer<K extends PartKind> = (shape: Extract<PartShape, { kind: K }>, pen: Pen) => Glyph;
export type Drawers<K extends PartKind> = { readonly [Kind in K]: Drawer<Kind> };

export const hole = (x: number, r: number, feature = "hole", center?: Point): GlyphPath => ({
  d: circle(x, r, center),
  line: "outline",
  fill: "sheet",
  feature,
});
export const thin = (d: string, feature?: string): GlyphPath => ({ d, line: "thin", fill: "none", ...(feature ? { feature } : {}) });

/** Extents of something whose biggest round is `r` between `from` and `to`. */
export const extents = (paths: readonly GlyphPath[], from: number, to: number, r: number, more: Partial<Glyph> = {}): Glyph => ({
  paths,
  left: from - r * foreshortening,
  right: to + r * foreshortening,
  up: r,
  down: r,
  length: to,
  ...more,
});
