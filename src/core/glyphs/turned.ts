import { type Drawers, extents, hole, thin } from "./glyph";
import { around, circle, disc, foreshortening, type GlyphPath, type Point, polygon, prism, sawtoothed, segment, toothed } from "./solid";

/** What a lathe or a gear cutter makes. */
export const turned: Drawers<"gear" | "pinion" | "ratchet" | "screw" | "nut" | "sleeve" | "pin" | "cap" | "button" | "star" | "spool"> = {
  gear(shape) {
    const tip = (shape.moduleMm * (shape.teeth + 2)) / 2;
    const root = (shape.moduleMm * (shape.teeth - 2.5)) / 2;
    const cup = shape.cupMm
      ? [thin(circle(shape.faceMm, shape.cupMm / 2), "cup"), thin(circle(shape.faceMm - 2, shape.cupMm / 2 - 1.4), "cup-floor")]
      : [];
    return extents(
      [...prism(toothed(shape.teeth, tip, root), 0, shape.faceMm, "teeth"), ...cup, hole(shape.faceMm, shape.boreMm / 2)],
      0,
      shape.faceMm,
      tip,
    );
  },
  pinion(shape) {
    const tip = (shape.moduleMm * (shape.teeth + 2)) / 2;
    const root = (shape.moduleMm * (shape.teeth - 2.5)) / 2;
    const neck = shape.lengthMm * 0.3;
    return extents(
      [
        ...disc(root, 0, neck),
        ...prism(toothed(shape.teeth, tip, root), neck, shape.lengthMm, "teeth"),
        hole(shape.lengthMm, shape.boreMm / 2),
      ],
      0,
      shape.lengthMm,
      tip,
    );
  },
  ratchet(shape) {
    const r = shape.outsideMm / 2;
    return extents(
      [...prism(sawtoothed(shape.teeth, r, r * 0.78), 0, shape.thicknessMm, "teeth"), hole(shape.thicknessMm, shape.boreMm / 2)],
      0,
      shape.thicknessMm,
      r,
    );
  },
  screw(shape) {
    const [r, head] = [shape.threadMm / 2, shape.headMm / 2];
    const [tip, top] = [shape.lengthMm, shape.lengthMm + shape.headHeightMm];
    const pitch = Math.max(0.6, shape.threadMm * 0.22);
    const threads: string[] = [];
    for (let x = pitch / 2; x < shape.threadedMm - pitch / 4; x += pitch)
      threads.push(`M${x.toFixed(2)} ${-r}A${r * foreshortening} ${r} 0 0 0 ${x.toFixed(2)} ${r}`);
    const mark: GlyphPath[] =
      shape.drive === "hex"
        ? [{ d: polygon(top, around(6, head * 0.5)), line: "outline", fill: "sheet", feature: "drive" }]
        : [
            { d: segment(top, [0, -head * 0.85], [0, head * 0.85]), line: "outline", fill: "none", feature: "drive" },
            ...(shape.drive === "cross"
              ? [
                  {
                    d: segment(top, [-head * 0.8, 0], [head * 0.8, 0]),
                    line: "outline" as const,
                    fill: "none" as const,
                    feature: "drive",
                  },
                ]
              : []),
          ];
    return extents(
      [...disc(r, 0, tip, { feature: "shank" }), thin(threads.join(""), "thread"), ...disc(head, tip, top, { feature: "head" }), ...mark],
      0,
      top,
      head,
      { left: -r * foreshortening },
    );
  },
  nut(shape) {
    const points = around(6, shape.acrossFlatsMm / Math.sqrt(3));
    return extents(
      [...prism(points, 0, shape.heightMm), hole(shape.heightMm, shape.boreMm / 2)],
      0,
      shape.heightMm,
      shape.acrossFlatsMm / Math.sqrt(3),
    );
  },
  sleeve(shape) {
    const r = shape.outsideMm / 2;
    const flange = shape.flangeMm ? shape.flangeMm / 2 : 0;
    const base = flange ? Math.min(2.5, shape.lengthMm / 5) : 0;
    const from = shape.lengthMm * 0.35;
    const flats = shape.acrossFlatsMm ? [thin(`M${from} ${-r * 0.55}H${shape.lengthMm}M${from} ${-r}V${-r * 0.55}`, "flat")] : [];
    return extents(
      [
        ...(flange ? disc(flange, 0, base, { feature: "flange" }) : []),
        ...disc(r, base, shape.lengthMm),
        ...flats,
        hole(shape.lengthMm, shape.boreMm / 2),
      ],
      0,
      shape.lengthMm,
      Math.max(r, flange),
      { ...(flange ? { peak: base / 2 } : {}), right: shape.lengthMm + r * foreshortening },
    );
  },
  pin(shape) {
    return extents(disc(shape.diameterMm / 2, 0, shape.lengthMm), 0, shape.lengthMm, shape.diameterMm / 2);
  },
  cap(shape) {
    const [r, h] = [shape.outsideMm / 2, shape.heightMm];
    const knurls = around(18, r)
      .filter(([u]) => u < 0)
      .map(([u, v]) => `M${(u * foreshortening).toFixed(2)} ${(-v).toFixed(2)}h${h}`)
      .join("");
    return extents(
      [...disc(r, 0, h), thin(knurls, "knurl"), { d: circle(h, r), line: "outline", fill: "sheet" }, thin(circle(h, r * 0.7))],
      0,
      h,
      r,
    );
  },
  button(shape) {
    const r = shape.outsideMm / 2;
    const head = shape.lengthMm * 0.35;
    return extents(
      [
        ...disc(shape.stemMm / 2, 0, shape.lengthMm - head),
        ...disc(r, shape.lengthMm - head, shape.lengthMm),
        thin(circle(shape.lengthMm, r * 0.6)),
      ],
      0,
      shape.lengthMm,
      r,
    );
  },
  star(shape) {
    const [tip, hub] = [shape.outsideMm / 2, shape.hubMm / 2];
    const outline: Point[] = [];
    for (let arm = 0; arm < shape.arms; arm++) {
      const middle = (arm / shape.arms) * 2 * Math.PI;
      const half = Math.PI / shape.arms;
      const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), radius * Math.cos(angle)];
      outline.push(
        polar(hub * 1.25, middle - half),
        polar(tip * 0.8, middle - half * 0.32),
        polar(tip, middle - half * 0.2),
        polar(tip, middle + half * 0.2),
        polar(tip * 0.8, middle + half * 0.32),
      );
    }
    return extents(
      [...prism(outline, 0, 3.5, "arms"), ...disc(hub, 3.5, 6.5, { feature: "hub" }), hole(6.5, shape.boreMm / 2)],
      0,
      6.5,
      tip,
    );
  },
  spool(shape) {
    const [f, a, s] = [shape.flangeMm / 2, shape.arborMm / 2, shape.shaftMm / 2];
    const over = (shape.shaftLengthMm - shape.widthMm) / 2;
    const rim = Math.min(3, shape.widthMm / 8);
    const [from, to] = [over, over + shape.widthMm];
    return extents(
      [
        ...disc(s, 0, from),
        ...disc(f, from, from + rim),
        ...disc(a, from + rim, to - rim, { feature: "arbor" }),
        ...disc(f, to - rim, to, { feature: "flange" }),
        thin(circle(to, f * 0.86)),
        ...disc(s, to, shape.shaftLengthMm),
      ],
      0,
      to,
      f,
      {
        peak: to,
        left: Math.min(-s * foreshortening, from - f * foreshortening),
        right: Math.max(to + f * foreshortening, shape.shaftLengthMm + s * foreshortening),
      },
    );
  },
};
