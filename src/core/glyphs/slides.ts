import { type Drawers, extents, hole, thin } from "./glyph";
import { bar, circle, disc, foreshortening, type GlyphPath, type Point, prism } from "./solid";

const box = (height: number, depth: number): Point[] => [
  [-depth / 2, height / 2],
  [depth / 2, height / 2],
  [depth / 2, -height / 2],
  [-depth / 2, -height / 2],
];
const boxExtents = (height: number, depth: number, length: number) => ({
  left: (-depth / 2) * foreshortening,
  right: length + (depth / 2) * foreshortening,
  up: height / 2,
  down: height / 2,
  length,
});

/** The same lines moved across the axis, page millimetres down. */
const shifted = (paths: readonly GlyphPath[], dy: number): GlyphPath[] =>
  paths.map((path) => ({
    ...path,
    d: path.d.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, x: string, y: string) => `${x} ${Math.round((Number(y) + dy) * 1000) / 1000}`),
  }));

/** What slides or is slid along, what brakes, and the housings. */
export const slides: Drawers<"worm" | "pawl" | "line-guide" | "slider" | "magnet" | "block" | "shaft" | "knob" | "body" | "unsorted"> = {
  /** A closed bag: nobody has said what is in it. */
  unsorted() {
    return { paths: prism(bar(6, 6), 0, 2), ...boxExtents(12, 6, 2) };
  },
  worm(shape) {
    const [r, l] = [shape.diameterMm / 2, shape.lengthMm];
    const [from, to] = [l * 0.12, l * 0.88];
    const pitch = (to - from) / shape.turns;
    // The groove runs out and back: each turn is crossed by the one that returns.
    const turns = Array.from({ length: shape.turns }, (_, i) => {
      const [a, b] = [from + i * pitch, from + (i + 1) * pitch];
      return thin(`M${a.toFixed(2)} ${r}L${b.toFixed(2)} ${-r}M${a.toFixed(2)} ${-r}L${b.toFixed(2)} ${r}`, "groove");
    });
    return extents([...disc(r * 0.6, 0, from), ...disc(r, from, to), ...turns, ...disc(r * 0.6, to, l)], 0, l, r);
  },
  pawl(shape) {
    const [r, l] = [shape.diameterMm / 2, shape.lengthMm];
    const tip: Point[] = [
      [-r * 0.25, r * 0.8],
      [r * 0.25, r * 0.8],
      [r * 0.25, -r * 0.8],
      [-r * 0.25, -r * 0.8],
    ];
    return extents([...disc(r, 0, l * 0.6), ...prism(tip, l * 0.6, l, "tip")], 0, l, r);
  },
  "line-guide"(shape) {
    const [h, w] = [shape.heightMm, shape.widthMm];
    return {
      paths: [
        ...prism(box(h, w * 0.8), 0, w * 0.5),
        ...disc(shape.boreMm * 0.75, w * 0.5, w * 0.7, { center: [0, h * 0.2] }),
        hole(w * 0.7, shape.boreMm / 2, "eye", [0, h * 0.2]),
        thin(circle(w * 0.5, w * 0.16, [0, -h * 0.3]), "worm-hole"),
      ],
      ...boxExtents(h, w * 0.8, w * 0.7),
    };
  },
  slider(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    return {
      paths: [
        ...prism(box(l, w), 0, t),
        { ...thin(""), d: `M${t} ${-l * 0.28}L${t} ${l * 0.28}`, line: "outline", feature: "slot" },
        hole(t, w * 0.16, "hole", [0, l * 0.36]),
      ],
      ...boxExtents(l, w, t),
    };
  },
  magnet(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    return {
      paths: [...prism(box(l, w), 0, t), thin(`M${t - (w / 2) * foreshortening} 0H${t + (w / 2) * foreshortening}`, "pole")],
      ...boxExtents(l, w, t),
    };
  },
  block(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    return {
      paths: [...prism(bar(Math.max(0.1, l - w), w), 0, t)],
      left: (-w / 2) * foreshortening,
      right: t + (w / 2) * foreshortening,
      up: w / 2,
      down: l - w / 2,
      length: t,
    };
  },
  shaft(shape) {
    const [r, l] = [shape.diameterMm / 2, shape.lengthMm];
    const flat = shape.flatMm ? [thin(`M${l - shape.flatMm} ${-r}V${-r * 0.4}H${l}`, "flat")] : [];
    return extents([...disc(r, 0, l), ...flat], 0, l, r);
  },
  knob(shape) {
    const [r, l] = [shape.outsideMm / 2, shape.lengthMm];
    return extents([...disc(r * 0.6, 0, l * 0.2), ...disc(r, l * 0.2, l), thin(circle(l, r * 0.7)), hole(l, shape.boreMm / 2)], 0, l, r);
  },
  body(shape) {
    const [h, l, w] = [shape.heightMm, shape.lengthMm, shape.widthMm];
    const c = h * 0.22;
    const outline: Point[] = [
      [-l / 2 + c, h / 2],
      [l / 2 - c, h / 2],
      [l / 2, h / 2 - c],
      [l / 2, -h / 2 + c],
      [l / 2 - c, -h / 2],
      [-l / 2 + c, -h / 2],
      [-l / 2, -h / 2 + c],
      [-l / 2, h / 2 - c],
    ];
    return {
      paths: [
        ...shifted(prism(box(h * 0.62, l * 0.16), w * 0.35, w * 0.6, "stem"), -h * 0.72),
        ...shifted(prism(box(h * 0.1, l * 0.3), -w * 0.7, w * 1.7, "foot"), -h * 1.05),
        ...prism(outline, 0, w, "housing"),
        thin(circle(w, h * 0.22), "shaft-hole"),
        hole(w, h * 0.12),
      ],
      ...boxExtents(h, l, w),
      left: Math.min(-w * 0.72 - l * 0.06, (-l / 2) * foreshortening),
      right: Math.max(w * 1.72 + l * 0.06, w + (l / 2) * foreshortening),
      up: h * 1.12,
      peak: w / 2,
    };
  },
};
