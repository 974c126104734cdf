import type { PartShape } from "@/core/anatomy/shapes";
import {
  around,
  bar,
  circle,
  disc,
  doubleD,
  foreshortening,
  type GlyphPath,
  hatchRing,
  type Point,
  polygon,
  prism,
  sawtoothed,
  segment,
  toothed,
} from "./solid";

export interface Glyph {
  readonly paths: readonly GlyphPath[];
  /** What it takes on the page about its axis, mm: from `left` to `right` along it, `up` and `down` across. */
  readonly left: number;
  readonly right: number;
  readonly up: number;
  readonly down: number;
  /** Axial thickness as drawn, mm: what the next part sits on top of. */
  readonly length: number;
  /** Where along the axis the highest rim is, for a leader to touch; without it the middle. */
  readonly peak?: number;
}

export interface GlyphOptions {
  /** Turned end for end: a cup looks the other way. */
  readonly turned?: boolean;
  readonly material?: string;
  /** Thin washers are drawn at least this thick, so that two lines do not become one. */
  readonly leastThicknessMm?: number;
}

const hole = (x: number, r: number, feature = "hole", center?: Point): GlyphPath => ({
  d: circle(x, r, center),
  line: "outline",
  fill: "sheet",
  feature,
});
const thin = (d: string, feature?: string): GlyphPath => ({ d, line: "thin", fill: "none", ...(feature ? { feature } : {}) });

/** Extents of something whose biggest round is `r` between `from` and `to`. */
const extents = (paths: readonly GlyphPath[], from: number, to: number, r: number, more: Partial<Glyph> = {}): Glyph => ({
  paths,
  left: from - r * foreshortening,
  right: to + r * foreshortening,
  up: r,
  down: r,
  length: to,
  ...more,
});

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

/**
 * Draws a part kind from its own sizes, in millimetres about its axis, base at 0, growing to the right.
 * Diameters are true; thickness is true with a drawn minimum. Nothing here looks at the part's name.
 */
export function drawGlyph(shape: PartShape, options: GlyphOptions = {}): Glyph {
  const least = options.leastThicknessMm ?? 0;
  const thick = (mm: number) => Math.max(mm, least);
  switch (shape.kind) {
    case "washer": {
      const [r, t] = [shape.outsideMm / 2, thick(shape.thicknessMm)];
      return extents([...disc(r, 0, t), hole(t, shape.insideMm / 2)], 0, t, r);
    }
    case "friction-washer": {
      const [r, t] = [shape.outsideMm / 2, thick(shape.thicknessMm)];
      const inner = shape.insideMm / 2;
      return extents([...disc(r, 0, t), ...frictionHatch(t, r, inner, options.material ?? ""), hole(t, inner)], 0, t, r);
    }
    case "keyed-washer": {
      const [r, t] = [shape.outsideMm / 2, thick(shape.thicknessMm)];
      const key = doubleD(shape.insideMm / 2, shape.acrossFlatsMm);
      return extents([...disc(r, 0, t), { d: polygon(t, key), line: "outline", fill: "sheet", feature: "key" }], 0, t, r);
    }
    case "eared-washer": {
      const [r, t] = [shape.outsideMm / 2, thick(shape.thicknessMm)];
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
          segment(
            t,
            [r * Math.sin(middle - half), r * Math.cos(middle - half)],
            [r * Math.sin(middle + half), r * Math.cos(middle + half)],
          ),
          "ear",
        );
      });
      return extents([...prism(outline, 0, t), ...ears, hole(t, shape.insideMm / 2)], 0, t, reach);
    }
    case "cupped-washer": {
      const r = shape.outsideMm / 2;
      const inner = shape.insideMm / 2;
      const [t, h] = [thick(shape.thicknessMm), Math.max(shape.coneHeightMm, least)];
      if (options.turned) {
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
    }
    case "gear": {
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
    }
    case "pinion": {
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
    }
    case "bearing": {
      const [r, bore, w] = [shape.outsideMm / 2, shape.boreMm / 2, shape.widthMm];
      const [outerRace, innerRace] = [bore + (r - bore) * 0.72, bore + (r - bore) * 0.3];
      const middle = (outerRace + innerRace) / 2;
      const between: GlyphPath[] =
        shape.closure === "open"
          ? around(8, middle).map((center) => thin(circle(w, (outerRace - innerRace) * 0.42, center), "ball"))
          : shape.closure === "sealed"
            ? [{ d: hatchRing(w, outerRace, innerRace, 45, 0.7), line: "hatch", fill: "none", feature: "seal" }]
            : [thin(circle(w, middle), "shield")];
      return extents([...disc(r, 0, w), thin(circle(w, outerRace)), thin(circle(w, innerRace)), ...between, hole(w, bore)], 0, w, r);
    }
    case "coil-spring": {
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
    }
    case "wire-spring": {
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
    }
    case "screw": {
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
    }
    case "nut": {
      const points = around(6, shape.acrossFlatsMm / Math.sqrt(3));
      return extents(
        [...prism(points, 0, shape.heightMm), hole(shape.heightMm, shape.boreMm / 2)],
        0,
        shape.heightMm,
        shape.acrossFlatsMm / Math.sqrt(3),
      );
    }
    case "sleeve": {
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
    }
    case "pin":
      return extents(disc(shape.diameterMm / 2, 0, shape.lengthMm), 0, shape.lengthMm, shape.diameterMm / 2);
    case "star": {
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
    }
    case "handle": {
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
    }
    case "dog": {
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
    }
    case "ratchet": {
      const r = shape.outsideMm / 2;
      return extents(
        [...prism(sawtoothed(shape.teeth, r, r * 0.78), 0, shape.thicknessMm, "teeth"), hole(shape.thicknessMm, shape.boreMm / 2)],
        0,
        shape.thicknessMm,
        r,
      );
    }
    case "yoke": {
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
    }
    case "jack": {
      const [l, w, t] = [shape.lengthMm, shape.widthMm, shape.thicknessMm];
      return {
        length: t,
        paths: [...prism(bar(l - w, w), 0, t), hole(t, w * 0.24), hole(t, w * 0.2, "hole", [0, -(l - w)])],
        left: (-w / 2) * foreshortening,
        right: t + (w / 2) * foreshortening,
        up: w / 2,
        down: l - w / 2,
      };
    }
    case "eccentric": {
      const [r, t] = [shape.outsideMm / 2, shape.thicknessMm];
      return extents(
        [...disc(r, 0, t), hole(t, shape.boreMm / 2), ...disc(r * 0.22, t, t + 2.2, { center: [0, shape.throwMm], feature: "stud" })],
        0,
        t + 1,
        r,
      );
    }
    case "lever": {
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
    }
    case "spool": {
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
    }
    case "plate": {
      const [r, t] = [shape.outsideMm / 2, shape.thicknessMm];
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
    }
    case "bridge": {
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
    }
    case "frame": {
      const [r, w] = [shape.outsideMm / 2, shape.widthMm];
      const posts = around(shape.posts, r * 0.92, 50);
      const ring = (x: number): GlyphPath[] => [...disc(r, x, x + 3), hole(x + 3, r * 0.84)];
      return extents([...ring(0), ...posts.flatMap((center) => disc(2, 3, w - 3, { center, feature: "post" })), ...ring(w - 3)], 0, w, r, {
        peak: w,
      });
    }
    case "foot": {
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
    }
    case "cap": {
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
    }
    case "tongue": {
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
    }
    case "button": {
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
    }
  }
}
