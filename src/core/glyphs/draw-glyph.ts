import type { PartKind, PartShape } from "@/core/anatomy/shapes";
import { bodies } from "./bodies";
import type { Drawer, Drawers, Glyph, GlyphOptions } from "./glyph";
import { levers } from "./levers";
import { rings } from "./rings";
import { seals } from "./seals";
import { slides } from "./slides";
import { turned } from "./turned";
import { windings } from "./windings";

export type { Glyph, GlyphOptions } from "./glyph";

const drawers: Drawers<PartKind> = { ...rings, ...turned, ...levers, ...bodies, ...seals, ...windings, ...slides };

/**
 * Draws a part kind from its own sizes, in millimetres about its axis, base at 0, growing to the right.
 * Diameters are true; thickness is true with a drawn minimum. Nothing here looks at the part's name.
 */
export function drawGlyph(shape: PartShape, options: GlyphOptions = {}): Glyph {
  const least = options.leastThicknessMm ?? 0;
  // The table holds for each kind a drawer of that kind; TypeScript cannot follow the pairing through an index.
  const draw = drawers[shape.kind] as Drawer<PartKind>;
  return draw(shape, { least, thick: (mm) => Math.max(mm, least), turned: options.turned ?? false, material: options.material ?? "" });
}
