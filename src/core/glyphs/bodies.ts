import { type Drawers, extents, hole, thin } from "./glyph";
import { around, circle, disc, foreshortening, type GlyphPath, lowOutline, polygon, prism } from "./solid";

/** Springs, plates and frames. */
export const bodies: Drawers<"coil-spring" | "wire-spring" | "plate" | "frame"> = {
  "coil-spring"(shape) {
    const [r, rx] = [shape.outsideMm / 2, (shape.outsideMm / 2) * foreshortening];
    const pitch = shape.lengthMm / shape.coils;
    const coils = Array.from({ length: shape.coils }, (_, i): GlyphPath => {
      const x = pitch * (i + 0.5);
      return {
        d: `M${x - pitch / 2} ${r}A${rx} ${r} 0 0 1 ${x} ${-r}A${rx} ${r} 0 0 1 ${x + pitch / 2} ${r}`,
        line: "outline",
        fill: "none",
        feature: "coil",
      };
    });
    return extents(coils, 0, shape.lengthMm, r);
  },
  "wire-spring"(shape) {
    const length = shape.lengthMm;
    const d = `M0 ${length / 2}L1.2 ${length / 4}L-1.2 ${length / 8}L0 0V${-length / 2}h${-length * 0.12}`;
    return {
      length: 1,
      paths: [{ d, line: "outline", fill: "none", feature: "wire" }],
      left: -length * 0.14,
      right: 1.6,
      up: length / 2,
      down: length / 2,
    };
  },
  plate(shape) {
    const [r, t] = [shape.outsideMm / 2, shape.thicknessMm];
    if (shape.lowMm !== undefined) {
      const low = shape.lowMm;
      const paths = [
        ...prism(lowOutline(r * 2, low), 0, t),
        thin(polygon(t, lowOutline(r * 1.7, low * 0.8))),
        ...around(shape.holes, low * 0.38, 30).map((center) => thin(circle(t, low * 0.04, center), "screw-hole")),
        hole(t, low * 0.16),
      ];
      return extents(paths, 0, t, r, { up: low / 2, down: low / 2, peak: t });
    }
    return extents(
      [
        ...disc(r, 0, t),
        thin(circle(t, r * 0.82)),
        ...around(shape.holes, r * 0.9).map((center) => thin(circle(t, r * 0.045, center), "screw-hole")),
        hole(t, r * 0.16),
      ],
      0,
      t,
      r,
    );
  },
  frame(shape) {
    const [r, w] = [shape.outsideMm / 2, shape.widthMm];
    if (shape.lowMm !== undefined) {
      const low = shape.lowMm;
      const side = (x: number): GlyphPath[] => [
        ...prism(lowOutline(r * 2, low), x, x + 3),
        { d: polygon(x + 3, lowOutline(r * 1.5, low * 0.72)), line: "outline", fill: "sheet", feature: "hole" },
      ];
      const bars = around(shape.posts, low * 0.42, 50).flatMap((center) => disc(2, 3, w - 3, { center, feature: "post" }));
      return extents([...side(0), ...bars, ...side(w - 3)], 0, w, r, { up: low / 2, down: low / 2, peak: w });
    }
    const posts = around(shape.posts, r * 0.92, 50);
    const ring = (x: number): GlyphPath[] => [...disc(r, x, x + 3), hole(x + 3, r * 0.84)];
    return extents([...ring(0), ...posts.flatMap((center) => disc(2, 3, w - 3, { center, feature: "post" })), ...ring(w - 3)], 0, w, r, {
      peak: w,
    });
  },
};
