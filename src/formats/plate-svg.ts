import type { Glyph } from "@/core/glyphs/draw-glyph";
import type { GlyphPath } from "@/core/glyphs/solid";
import type { Plate } from "@/core/schematic/assembly-plate";

/** Text that means nothing to XML or HTML. */
export const escapeXml = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;").replaceAll('"', "&quot;");
const n = (value: number): string => String(Math.round(value * 100) / 100);

const lineStyle: Record<GlyphPath["line"], string> = {
  outline: 'stroke="#1B1F1E" stroke-width="2"',
  thin: 'stroke="#1B1F1E" stroke-width="1"',
  hatch: 'stroke="#1B1F1E" stroke-width="0.6"',
  hidden: 'stroke="#1B1F1E" stroke-width="1" stroke-dasharray="4 3"',
  none: 'stroke="none"',
};

interface Extent {
  readonly left: number;
  readonly right: number;
  readonly up: number;
  readonly down: number;
}
function frameOf(glyphs: readonly Extent[]) {
  const [left, right] = [Math.min(...glyphs.map((g) => g.left)), Math.max(...glyphs.map((g) => g.right))];
  const [up, down] = [Math.max(...glyphs.map((g) => g.up)), Math.max(...glyphs.map((g) => g.down))];
  return { x: left - 1, y: -up - 1, width: right - left + 2, height: up + down + 2 };
}

const pathSvg = ({ d, fill }: GlyphPath, line: string): string =>
  `<path d="${d}" fill="${fill === "none" ? "none" : fill === "ink" ? "#1B1F1E" : "#FFFFFF"}" ${line} vector-effect="non-scaling-stroke"/>`;

/** One part by itself, as an SVG of a width in pixels. */
export function glyphSvg(glyph: Glyph, widthPx: number): string {
  const box = frameOf([glyph]);
  const height = Math.min(widthPx, Math.max(12, (widthPx * box.height) / box.width));
  const paths = glyph.paths.map((path) => pathSvg(path, lineStyle[path.line]));
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${n(box.x)} ${n(box.y)} ${n(box.width)} ${n(box.height)}" width="${widthPx}" height="${n(height)}">${paths.join("")}</svg>`;
}

/** A line of an emblem, a few pixels from the next. */
const fine = 'stroke="#1B1F1E" stroke-width="0.5"';

/**
 * A plate as a file of its own: SVG 1.1, one millimetre of the reel is one unit, no script, no style sheet, no outside reference, so that any
 * drawing program opens it.
 * @param names of the parts by callout, for each callout's title. @param small as an emblem beside a name: fine lines alone, no callouts.
 */
export function plateSvg(plate: Plate, names: (partTypeId: string) => string, small = false): string {
  const { viewBox: box, labelWidth: w, labelHeight: h } = plate;
  const paths = (list: readonly GlyphPath[]) =>
    list
      .filter(({ line }) => !small || line === "outline")
      .map((path) => pathSvg(path, small && path.line !== "none" ? fine : lineStyle[path.line]))
      .join("");
  const body = plate.callouts.map(
    (callout) =>
      `<g transform="translate(${n(callout.x)} 0)"><title>${escapeXml(names(callout.partTypeId))}</title>${paths(callout.glyph.paths)}</g>`,
  );
  const labels = (small ? [] : plate.callouts).map((callout) => {
    const [x, y] = callout.label;
    const count = plate.assemblyId !== null && callout.positionIds.length > 1 ? ` ×${callout.positionIds.length}` : "";
    return (
      `<polyline points="${callout.leader.map((point) => point.map(n).join(",")).join(" ")}" fill="none" ${lineStyle.thin} vector-effect="non-scaling-stroke"/>` +
      `<rect x="${n(x - w / 2)}" y="${n(y - h)}" width="${n(w)}" height="${n(h)}" fill="#FFFFFF" ${lineStyle.thin} vector-effect="non-scaling-stroke"/>` +
      `<text x="${n(x)}" y="${n(y - h * 0.3)}" text-anchor="middle" font-family="monospace" font-size="${n(w * 0.36)}">${callout.item}${count}</text>`
    );
  });
  // Without its callouts the drawing fills its frame.
  const glyphs = plate.callouts.map(({ x, glyph }) => ({ left: x + glyph.left, right: x + glyph.right, up: glyph.up, down: glyph.down }));
  const own = small && glyphs.length ? frameOf(glyphs) : box;
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" viewBox="${n(own.x)} ${n(own.y)} ${n(own.width)} ${n(own.height)}" width="${n(own.width)}mm" height="${n(own.height)}mm">
<title>${escapeXml(plate.name)}</title>
<line x1="${n(plate.axis.from)}" x2="${n(plate.axis.to)}" y1="0" y2="0" stroke="#1B1F1E" stroke-width="1" stroke-dasharray="12 3 2 3" vector-effect="non-scaling-stroke"/>
${body.join("\n")}
${labels.join("\n")}
</svg>
`;
}
