import { type Drawers, extents, hole, thin } from "./glyph";
import { bar, circle, disc, foreshortening, type Point, prism } from "./solid";

/** Flat parts that swing, slide or carry. */
export const levers: Drawers<"handle" | "dog" | "yoke" | "jack" | "eccentric" | "lever" | "tongue" | "bridge" | "foot"> = {
  handle(shape) {
    const width = Math.max(9, shape.boreMm * 1.8);
    const [t, knob] = [shape.thicknessMm, shape.knobMm / 2];
    const end: Point = [0, -shape.armMm];
    return {
      length: t,
      peak: t / 2,
      paths: [
        ...prism(bar(shape.armMm, width), 0, t),
        hole(t, shape.boreMm / 2),
        ...disc(2.4, t, t + 4, { center: end }),
        ...disc(knob, t + 4, t + 4 + shape.knobMm * 1.1, { center: end, feature: "knob" }),
      ],
      left: -(width / 2) * foreshortening,
      right: t + 4 + shape.knobMm * 1.1 + knob * foreshortening,
      up: width / 2,
      down: shape.armMm + knob,
    };
  },
  dog(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    const points: Point[] = [
      [-w / 2, w / 2],
      [w / 2, w / 2],
      [w / 2, -l * 0.55],
      [w * 1.1, -l + w / 2],
      [w * 0.2, -l + w / 2],
      [-w / 2, -l * 0.5],
    ];
    return {
      length: t,
      paths: [...prism(points, 0, t), hole(t, shape.boreMm / 2)],
      left: -w * foreshortening,
      right: t + w * 1.2 * foreshortening,
      up: w / 2,
      down: l - w / 2,
    };
  },
  yoke(shape) {
    const [half, t, p] = [shape.widthMm / 2, shape.thicknessMm, shape.pinionMm / 2];
    const lug = shape.boreMm;
    const points: Point[] = [
      [-lug, half],
      [lug, half],
      [lug, p],
      [p * 0.9, p * 0.45],
      [p * 0.9, -p * 0.45],
      [lug, -p],
      [lug, -half],
      [-lug, -half],
    ];
    return {
      length: t,
      paths: [
        ...prism(points, 0, t),
        hole(t, shape.boreMm / 2, "hole", [0, half - lug]),
        hole(t, shape.boreMm / 2, "hole", [0, -half + lug]),
        thin(circle(t, p * 0.42)),
      ],
      left: -lug * foreshortening,
      right: t + p * foreshortening,
      up: half,
      down: half,
    };
  },
  jack(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    return {
      length: t,
      paths: [...prism(bar(l - w, w), 0, t), hole(t, w * 0.24), hole(t, w * 0.2, "hole", [0, -(l - w)])],
      left: (-w / 2) * foreshortening,
      right: t + (w / 2) * foreshortening,
      up: w / 2,
      down: l - w / 2,
    };
  },
  eccentric(shape) {
    const [r, t] = [shape.outsideMm / 2, shape.thicknessMm];
    return extents(
      [...disc(r, 0, t), hole(t, shape.boreMm / 2), ...disc(r * 0.22, t, t + 2.2, { center: [0, shape.throwMm], feature: "stud" })],
      0,
      t + 1,
      r,
    );
  },
  lever(shape) {
    const [l, t] = [shape.lengthMm, shape.thicknessMm];
    const w = shape.boreMm * 1.9;
    return {
      length: t,
      paths: [...prism(bar(l, w), 0, t), hole(t, shape.boreMm / 2), ...disc(w * 0.42, t, t + 2, { center: [0, -l] })],
      left: (-w / 2) * foreshortening,
      right: t + 2 + (w / 2) * foreshortening,
      up: w / 2,
      down: l + w / 2,
    };
  },
  tongue(shape) {
    const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
    const points: Point[] = [
      [-w / 2, w / 2],
      [w / 2, w / 2],
      [w / 2, -l * 0.6],
      [0, -l + w / 2],
      [-w / 2, -l * 0.6],
    ];
    return {
      length: t,
      paths: [...prism(points, 0, t), hole(t, w * 0.2)],
      left: (-w / 2) * foreshortening,
      right: t + (w / 2) * foreshortening,
      up: w / 2,
      down: l - w / 2,
    };
  },
  bridge(shape) {
    const [h, w, t] = [shape.lengthMm / 2, shape.widthMm / 2, shape.thicknessMm];
    const c = w * 0.35;
    const points: Point[] = [
      [-w + c, h],
      [w - c, h],
      [w, h - c],
      [w, -h + c],
      [w - c, -h],
      [-w + c, -h],
      [-w, -h + c],
      [-w, h - c],
    ];
    const corners: Point[] = [
      [-w * 0.6, h * 0.82],
      [w * 0.6, h * 0.82],
      [-w * 0.6, -h * 0.82],
      [w * 0.6, -h * 0.82],
    ];
    return {
      length: t,
      peak: t,
      paths: [
        ...prism(points, 0, t),
        ...corners.map((center) => hole(t, 1.3, "screw-hole", center)),
        ...disc(shape.postMm / 2, t, t + shape.postLengthMm, { feature: "post" }),
      ],
      left: -w * foreshortening,
      right: Math.max(t + w * foreshortening, t + shape.postLengthMm + (shape.postMm / 2) * foreshortening),
      up: h,
      down: h,
    };
  },
  foot(shape) {
    const [h, w, t] = [shape.lengthMm / 2, shape.widthMm / 2, shape.thicknessMm];
    const points: Point[] = [
      [-w, h * 0.3],
      [-w * 0.5, h],
      [w * 0.5, h],
      [w, h * 0.3],
      [w, -h * 0.3],
      [w * 0.5, -h],
      [-w * 0.5, -h],
      [-w, -h * 0.3],
    ];
    return {
      length: t,
      paths: [...prism(points, 0, t), hole(t, 1.6, "screw-hole", [0, h * 0.15]), hole(t, 1.6, "screw-hole", [0, -h * 0.15])],
      left: -w * foreshortening,
      right: t + w * foreshortening,
      up: h,
      down: h,
    };
  },
};
