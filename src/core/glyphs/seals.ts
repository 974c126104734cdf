import { type Drawers, extents, hole, thin } from "./glyph";
import { around, circle, disc, foreshortening, type GlyphPath, hatchRing, type Point, prism } from "./solid";

/** What seals, clips and preloads. */
export const seals: Drawers<"o-ring" | "lip-seal" | "clip" | "wave-spring"> = {
  "o-ring"(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.sectionMm)];
    const inner = Math.max(r - shape.sectionMm, r * 0.5);
    return extents(
      [
        ...disc(r, 0, t),
        { d: hatchRing(t, r, inner, 45, Math.max(0.5, shape.sectionMm / 2)), line: "hatch", fill: "none", feature: "rubber" },
        hole(t, inner),
      ],
      0,
      t,
      r,
    );
  },
  "lip-seal"(shape) {
    const [r, bore, w] = [shape.outsideMm / 2, shape.boreMm / 2, shape.widthMm];
    return extents([...disc(r, 0, w), thin(circle(w, r * 0.86)), thin(circle(w, bore + (r - bore) * 0.35), "lip"), hole(w, bore)], 0, w, r);
  },
  clip(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.wireMm)];
    const inner = r - Math.max(shape.wireMm, r * 0.16);
    // A ring with a gap, which an E clip fills with three teeth that grip the groove.
    const gapDeg = shape.form === "E" ? 70 : 40;
    const steps = 40;
    const arc = (radius: number, from: number, to: number): Point[] =>
      Array.from({ length: steps + 1 }, (_, i) => {
        const angle = ((from + ((to - from) * i) / steps) * Math.PI) / 180;
        return [radius * Math.cos(angle), radius * Math.sin(angle)];
      });
    const outline = [...arc(r, -90 + gapDeg / 2, 270 - gapDeg / 2), ...arc(inner, 270 - gapDeg / 2, -90 + gapDeg / 2)];
    const teeth: GlyphPath[] =
      shape.form === "E"
        ? around(3, (inner + r * 0.45) / 2, 90).map((center) => thin(circle(t, r * 0.14, center), "clip-tooth"))
        : shape.form === "C"
          ? [
              thin(circle(t, r * 0.09, arc((r + inner) / 2, -90 + gapDeg / 2 + 8, 0)[0]), "eye"),
              thin(circle(t, r * 0.09, arc((r + inner) / 2, 270 - gapDeg / 2 - 8, 0)[0]), "eye"),
            ]
          : [];
    return extents([...prism(outline, 0, t, "clip"), ...teeth], 0, t, r);
  },
  "wave-spring"(shape) {
    const [r, inner, h] = [shape.outsideMm / 2, shape.insideMm / 2, shape.heightMm];
    const ring = (radius: number): string => {
      const points = Array.from({ length: 73 }, (_, i) => {
        const angle = (i / 72) * 2 * Math.PI;
        const x = h / 2 + (h / 2) * Math.sin(shape.waves * angle) + radius * Math.sin(angle) * foreshortening;
        return `${x.toFixed(2)} ${(-radius * Math.cos(angle)).toFixed(2)}`;
      });
      return `M${points.join("L")}Z`;
    };
    return extents(
      [
        { d: ring(r), line: "outline", fill: "sheet", feature: "wave" },
        { d: ring(inner), line: "outline", fill: "sheet", feature: "wave-hole" },
      ],
      0,
      h,
      r,
    );
  },
};
