import { memo } from "react";
import type { PartType } from "@/core/anatomy/types";
import { drawGlyph } from "@/core/glyphs/draw-glyph";
import type { GlyphPath } from "@/core/glyphs/solid";

const lineClass: Record<GlyphPath["line"], string> = {
  outline: "ln-outline",
  thin: "ln-leader",
  hatch: "ln-hatch",
  hidden: "ln-hidden",
  none: "",
};
const fillClass: Record<GlyphPath["fill"], string> = { sheet: "fl-sheet", none: "fl-none", ink: "fl-ink" };

/** Lines that follow each other and are drawn alike, as one: a page of plates is a third smaller for it. What is filled, or named, stays by itself. */
function mergeLines(paths: readonly GlyphPath[]): GlyphPath[] {
  const merged: GlyphPath[] = [];
  for (const path of paths) {
    const last = merged.at(-1);
    if (last && last.fill === "none" && path.fill === "none" && last.line === path.line && last.feature === path.feature)
      merged[merged.length - 1] = { ...last, d: last.d + path.d };
    else merged.push(path);
  }
  return merged;
}

/** The lines of a glyph, in the line grammar, for use inside any drawing. */
export function GlyphLines({ paths }: { paths: readonly GlyphPath[] }) {
  return mergeLines(paths).map((path, i) => (
    // A glyph's lines have no identity of their own and never change order.
    // biome-ignore lint/suspicious/noArrayIndexKey: see above
    <path key={i} d={path.d} className={`${lineClass[path.line]} ${fillClass[path.fill]}`.trim()} data-feature={path.feature} />
  ));
}

interface Props {
  readonly type: PartType;
  readonly turned?: boolean;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Pixels a millimetre; without it the glyph fills its box. */
  readonly scale?: number;
}

/** One part as its glyph, named for those who cannot see it; drawn once for a part. */
export const Glyph = memo(function Glyph({ type, turned = false, widthPx, heightPx, scale }: Props) {
  const glyph = drawGlyph(type.shape, { turned, material: type.material, leastThicknessMm: 1.2 });
  const width = glyph.right - glyph.left;
  const height = glyph.up + glyph.down;
  const fits = Math.min((widthPx - 6) / width, (heightPx - 6) / height);
  const perMm = Math.min(scale ?? fits, fits);
  const [w, h] = [widthPx / perMm, heightPx / perMm];
  return (
    <svg
      role="img"
      aria-label={type.name}
      width={widthPx}
      height={heightPx}
      viewBox={`${(glyph.left + glyph.right) / 2 - w / 2} ${(glyph.down - glyph.up) / 2 - h / 2} ${w} ${h}`}
    >
      <GlyphLines paths={glyph.paths} />
    </svg>
  );
});
