import { type Drawers, extents, hole, thin } from "./glyph";
import { around, circle, disc, foreshortening, type GlyphPath, type Point, polygon, prism, segment } from "./solid";

/** A dome or cone between two radii, seen from its small end. */
const taper = (from: number, to: number, large: number, small: number): GlyphPath[] => [
  ...disc(large, from, from + 0.8),
  {
    d: `M${from + 0.8} ${-large}L${to} ${-small}A${small * foreshortening} ${small} 0 0 1 ${to} ${small}L${from + 0.8} ${large}A${large * foreshortening} ${large} 0 0 1 ${from + 0.8} ${-large}Z`,
    line: "outline",
    fill: "sheet",
    feature: "taper",
  },
  { d: circle(to, small), line: "outline", fill: "sheet", feature: "face" },
];

/** What turns about the line: rotors, rollers, drums, cones, clutches and the cam that presses a drag. */
export const windings: Drawers<"cam" | "roller-clutch" | "rotor" | "bail" | "roller" | "drum" | "cone" | "cover"> = {
  cam(shape) {
    const [r, t, rise] = [shape.outsideMm / 2, shape.thicknessMm, shape.riseMm];
    // Two ramps half a turn apart: it fits two ways, and one of them is wrong.
    const ramps = [-1, 1].map((side): GlyphPath => {
      const points: Point[] = Array.from({ length: 13 }, (_, i) => {
        const angle = (side < 0 ? Math.PI : 0) + (i / 12) * Math.PI * 0.8;
        return [r * 0.8 * Math.sin(angle), r * 0.8 * Math.cos(angle)];
      });
      return thin(
        `M${points.map(([u, v], i) => `${(t + (rise * i) / 12 + u * foreshortening).toFixed(2)} ${(-v).toFixed(2)}`).join("L")}`,
        "ramp",
      );
    });
    return extents([...disc(r, 0, t), ...ramps, thin(segment(t, [0, r], [0, r * 0.8]), "mark"), hole(t, shape.boreMm / 2)], 0, t + rise, r);
  },
  "roller-clutch"(shape) {
    const [r, bore, l] = [shape.outsideMm / 2, shape.boreMm / 2, shape.lengthMm];
    const middle = (r + bore) / 2;
    const rollers = around(shape.rollers, middle).map((center) => thin(circle(l, (r - bore) * 0.28, center), "needle"));
    return extents([...disc(r, 0, l), thin(circle(l, r * 0.9)), ...rollers, hole(l, bore)], 0, l, r);
  },
  rotor(shape) {
    const [r, h] = [shape.outsideMm / 2, shape.heightMm];
    const arm = (side: 1 | -1): Point[] => [
      [-r * 0.22, side * r * 0.72],
      [r * 0.22, side * r * 0.72],
      [r * 0.22, side * r],
      [-r * 0.22, side * r],
    ];
    return extents(
      [
        ...disc(r * 0.86, 0, h * 0.36, { feature: "cup" }),
        ...prism(arm(1), h * 0.2, h, "arm"),
        ...disc(r * 0.3, h * 0.36, h * 0.5),
        hole(h * 0.5, shape.boreMm / 2),
        ...prism(arm(-1), h * 0.2, h, "arm"),
        thin(circle(h, r * 0.09, [0, r * 0.86]), "pivot"),
        thin(circle(h, r * 0.09, [0, -r * 0.86]), "pivot"),
      ],
      0,
      h,
      r,
    );
  },
  bail(shape) {
    const [half, reach] = [shape.spanMm / 2, shape.reachMm];
    const d = `M0 ${-half}C${reach * 0.75} ${-half} ${reach} ${-half * 0.7} ${reach} 0S${reach * 0.75} ${half} 0 ${half}`;
    const ends = [half, -half].flatMap((y) => disc(Math.max(2.2, shape.wireMm), -1.2, 1.2, { center: [0, y] }));
    return {
      paths: [{ d, line: "outline", fill: "none", feature: "wire" }, ...ends],
      left: -2,
      right: reach,
      up: half + 3,
      down: half + 3,
      length: 2,
      peak: 0,
    };
  },
  roller(shape) {
    const [r, l] = [shape.outsideMm / 2, shape.lengthMm];
    // Thick end first: which way it faces is the model's own.
    return extents(
      [
        ...disc(r, 0, l * 0.25),
        ...disc(r * 0.72, l * 0.25, l * 0.7),
        { d: polygon(l * 0.4, around(36, r * 0.72)), line: "thin", fill: "none", feature: "groove" },
        ...disc(r * 0.84, l * 0.7, l),
        hole(l, shape.boreMm / 2),
      ],
      0,
      l,
      r,
    );
  },
  drum(shape) {
    const [r, d] = [shape.outsideMm / 2, shape.depthMm];
    const spokes = around(shape.arms, r * 0.8).map((end) => thin(segment(d, [end[0] * 0.24, end[1] * 0.24], end), "arm"));
    return extents(
      [...disc(r, 0, d), thin(circle(d, r * 0.84)), ...spokes, ...disc(r * 0.2, d, d + 2), hole(d + 2, shape.boreMm / 2)],
      0,
      d + 2,
      r,
    );
  },
  cone(shape) {
    const [r, h] = [shape.outsideMm / 2, shape.heightMm];
    const pin = segment(h * 0.35, [r * 0.5, r * 0.62], [r * 0.95, r * 0.98]);
    return extents([...taper(0, h, r, r * 0.42), thin(pin, "pick-up-pin"), hole(h, shape.boreMm / 2)], 0, h, r);
  },
  cover(shape) {
    const [r, h] = [shape.outsideMm / 2, shape.heightMm];
    return extents([...taper(0, h, r, r * 0.5), thin(circle(h, r * 0.36)), hole(h, shape.boreMm / 2)], 0, h, r);
  },
};
