import { isSealed } from "@/core/anatomy/shapes";
import { type Drawers, extents, hole, thin } from "./glyph";
import { around, circle, disc, doubleD, type GlyphPath, hatchRing, type Point, polygon, prism, segment } from "./solid";

/** Hatch by material, so that a friction washer tells what it is made of. */
function frictionHatch(x: number, outer: number, inner: number, material: string): GlyphPath[] {
  const spacing = Math.max(1.1, (outer - inner) / 6);
  const angles: Record<string, number[]> = { carbon: [45, -45], leather: [45], felt: [0], fibre: [0, 90] };
  return (angles[material] ?? [45, 0]).map((angle) => ({
    d: hatchRing(x, outer, inner, angle, spacing),
    line: "hatch" as const,
    fill: "none" as const,
    feature: `hatch-${material}`,
  }));
}

/** Rings that ride on something: washers of every sort, bearings. */
export const rings: Drawers<"washer" | "friction-washer" | "keyed-washer" | "eared-washer" | "cupped-washer" | "bearing"> = {
  washer(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.thicknessMm)];
    return extents([...disc(r, 0, t), hole(t, shape.insideMm / 2)], 0, t, r);
  },
  "friction-washer"(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.thicknessMm)];
    const inner = shape.insideMm / 2;
    return extents([...disc(r, 0, t), ...frictionHatch(t, r, inner, pen.material), hole(t, inner)], 0, t, r);
  },
  "keyed-washer"(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.thicknessMm)];
    const key = doubleD(shape.insideMm / 2, shape.acrossFlatsMm);
    return extents([...disc(r, 0, t), { d: polygon(t, key), line: "outline", fill: "sheet", feature: "key" }], 0, t, r);
  },
  "eared-washer"(shape, pen) {
    const [r, t] = [shape.outsideMm / 2, pen.thick(shape.thicknessMm)];
    const reach = r + shape.earMm * 0.6;
    const half = shape.earMm / 2 / r;
    const outline: Point[] = [];
    for (let ear = 0; ear < shape.ears; ear++) {
      const middle = (ear / shape.ears) * 2 * Math.PI;
      const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), radius * Math.cos(angle)];
      outline.push(polar(r, middle - half), polar(reach, middle - half), polar(reach, middle + half), polar(r, middle + half));
      const rest = (2 * Math.PI) / shape.ears - 2 * half;
      for (let i = 1; i < 12; i++) outline.push(polar(r, middle + half + (rest * i) / 12));
    }
    const ears = Array.from({ length: shape.ears }, (_, ear) => {
      const middle = (ear / shape.ears) * 2 * Math.PI;
      return thin(
        segment(t, [r * Math.sin(middle - half), r * Math.cos(middle - half)], [r * Math.sin(middle + half), r * Math.cos(middle + half)]),
        "ear",
      );
    });
    return extents([...prism(outline, 0, t), ...ears, hole(t, shape.insideMm / 2)], 0, t, reach);
  },
  "cupped-washer"(shape, pen) {
    const r = shape.outsideMm / 2;
    const inner = shape.insideMm / 2;
    const [t, h] = [pen.thick(shape.thicknessMm), Math.max(shape.coneHeightMm, pen.least)];
    if (pen.turned) {
      // The cup opens towards us: the hole lies behind the rim.
      return extents([...disc(r, h, h + t), thin(circle(h + t, r * 0.93), "cup-open"), hole(t * 0.4, inner)], h, h + t, r);
    }
    const dome = `${circle(t, r * 0.93)}`;
    return extents(
      [...disc(r, 0, t), thin(dome, "cup-closed"), ...disc(inner * 1.25, t, t + h, { feature: "crown" }), hole(t + h, inner)],
      0,
      t + h,
      r,
    );
  },
  bearing(shape) {
    const [r, bore, w] = [shape.outsideMm / 2, shape.boreMm / 2, shape.widthMm];
    const [outerRace, innerRace] = [bore + (r - bore) * 0.72, bore + (r - bore) * 0.3];
    const middle = (outerRace + innerRace) / 2;
    const between: GlyphPath[] =
      shape.closure === "open"
        ? around(8, middle).map((center) => thin(circle(w, (outerRace - innerRace) * 0.42, center), "ball"))
        : isSealed(shape)
          ? [{ d: hatchRing(w, outerRace, innerRace, 45, 0.7), line: "hatch", fill: "none", feature: "seal" }]
          : [thin(circle(w, middle), "shield")];
    return extents([...disc(r, 0, w), thin(circle(w, outerRace)), thin(circle(w, innerRace)), ...between, hole(w, bore)], 0, w, r);
  },
};
