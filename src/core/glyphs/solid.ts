/**
 * The geometry of every glyph: solids seen obliquely along their axis. The axis runs to the right; a circle across it becomes an upright
 * ellipse, its height the true diameter, its width `foreshortening` of it. We look at the right-hand face of everything.
 * Face coordinates: u into the depth (drawn to the right, foreshortened), v up. Page coordinates: x right, y down, millimetres.
 */
export const foreshortening = 0.34;

export type LineType = "outline" | "thin" | "hatch" | "hidden";
export type Fill = "sheet" | "none" | "ink";

export interface GlyphPath {
  readonly d: string;
  readonly line: LineType | "none";
  readonly fill: Fill;
  /** What the line stands for, so that a drawing can be measured: ear, tooth, key, hole, rim, cup ... */
  readonly feature?: string;
}

export type Point = readonly [u: number, v: number];

const n = (value: number): string => String(Math.round(value * 100) / 100);

/** Page x of a face point at axial place `x`. */
const px = (x: number, u: number): number => x + u * foreshortening;

/** A full circle of radius `r` about (u, v), as an ellipse on the page. */
export function circle(x: number, r: number, center: Point = [0, 0]): string {
  const [cx, cy] = [px(x, center[0]), -center[1]];
  const rx = r * foreshortening;
  return `M${n(cx)} ${n(cy - r)}A${n(rx)} ${n(r)} 0 1 1 ${n(cx)} ${n(cy + r)}A${n(rx)} ${n(r)} 0 1 1 ${n(cx)} ${n(cy - r)}Z`;
}

/** A closed outline of face points. */
export const polygon = (x: number, points: readonly Point[]): string => `M${points.map(([u, v]) => `${n(px(x, u))} ${n(-v)}`).join("L")}Z`;

/** A straight line between two face points. */
export const segment = (x: number, a: Point, b: Point): string => `M${n(px(x, a[0]))} ${n(-a[1])}L${n(px(x, b[0]))} ${n(-b[1])}`;

/** A round bar or disc from `from` to `to` along the axis, without its holes. */
export function disc(r: number, from: number, to: number, options: { center?: Point; feature?: string } = {}): GlyphPath[] {
  const [cu, cv] = options.center ?? [0, 0];
  const rx = r * foreshortening;
  const [left, right] = [px(from, cu), px(to, cu)];
  const body = `M${n(right)} ${n(-cv - r)}L${n(left)} ${n(-cv - r)}A${n(rx)} ${n(r)} 0 0 0 ${n(left)} ${n(-cv + r)}L${n(right)} ${n(-cv + r)}Z`;
  return [
    { d: body, line: "outline", fill: "sheet" },
    { d: circle(to, r, options.center), line: "outline", fill: "sheet", feature: options.feature ?? "rim" },
  ];
}

/** Whether the outline turns by more than 25° at a corner. */
function isSharp(points: readonly Point[], corner: number): boolean {
  const count = points.length;
  const [before, here, after] = [points[(corner - 1 + count) % count]!, points[corner]!, points[(corner + 1) % count]!];
  const [ax, ay, bx, by] = [here[0] - before[0], here[1] - before[1], after[0] - here[0], after[1] - here[1]];
  return Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by)) > (25 * Math.PI) / 180;
}

/** Any flat outline given thickness along the axis. Walls that face left are seen; sharp corners get their edge. */
export function prism(points: readonly Point[], from: number, to: number, feature = "rim"): GlyphPath[] {
  const paths: GlyphPath[] = [];
  const count = points.length;
  const area = points.reduce((sum, [u, v], i) => {
    const [u2, v2] = points[(i + 1) % count]!;
    return sum + u * v2 - u2 * v;
  }, 0);
  const turn = area >= 0 ? 1 : -1;
  const seen = points.map(([, v], i) => (points[(i + 1) % count]![1] - v) * turn < -1e-9);
  for (let i = 0; i < count; i++) {
    if (!seen[i]) continue;
    const a = points[i]!;
    const b = points[(i + 1) % count]!;
    const quad = [px(from, a[0]), -a[1], px(from, b[0]), -b[1], px(to, b[0]), -b[1], px(to, a[0]), -a[1]].map(n);
    paths.push({
      d: `M${quad[0]} ${quad[1]}L${quad[2]} ${quad[3]}L${quad[4]} ${quad[5]}L${quad[6]} ${quad[7]}Z`,
      line: "none",
      fill: "sheet",
    });
    paths.push({ d: segment(from, a, b), line: "outline", fill: "none" });
    for (const [corner, other] of [
      [i, (i - 1 + count) % count],
      [(i + 1) % count, (i + 1) % count],
    ] as const) {
      // A silhouette always has its edge; a corner inside the wall only when it is sharp, not where a curve was cut into pieces.
      if (seen[other] && !isSharp(points, corner)) continue;
      const [u, v] = points[corner]!;
      paths.push({ d: `M${n(px(from, u))} ${n(-v)}L${n(px(to, u))} ${n(-v)}`, line: seen[other] ? "thin" : "outline", fill: "none" });
    }
  }
  paths.push({ d: polygon(to, points), line: "outline", fill: "sheet", feature });
  return paths;
}

/** Parallel hatch lines on a ring, clipped to it, at an angle in the face. */
export function hatchRing(x: number, outer: number, inner: number, angleDeg: number, spacing: number): string {
  const [c, s] = [Math.cos((angleDeg * Math.PI) / 180), Math.sin((angleDeg * Math.PI) / 180)];
  const lines: string[] = [];
  const at = (along: number, off: number): Point => [along * c - off * s, along * s + off * c];
  for (let off = -outer + spacing / 2; off < outer; off += spacing) {
    const half = Math.sqrt(outer * outer - off * off);
    if (Math.abs(off) < inner) {
      const gap = Math.sqrt(inner * inner - off * off);
      lines.push(segment(x, at(-half, off), at(-gap, off)), segment(x, at(gap, off), at(half, off)));
    } else lines.push(segment(x, at(-half, off), at(half, off)));
  }
  return lines.join("");
}

/** Points around a circle, from straight up, clockwise as seen. */
export const around = (count: number, radius: number, startDeg = 90): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = ((startDeg - (360 * i) / count) * Math.PI) / 180;
    return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
  });

/** The outline of a low-profile plate: longer than high, blunt behind and falling off to the nose. A superellipse, its nose side drawn in. */
export const lowOutline = (lengthMm: number, heightMm: number): Point[] =>
  Array.from({ length: 40 }, (_, i) => {
    const angle = Math.PI / 2 - (2 * Math.PI * i) / 40;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const u = Math.sign(c) * Math.abs(c) ** 0.6 * (lengthMm / 2);
    const v = Math.sign(s) * Math.abs(s) ** 0.7 * (heightMm / 2);
    // The nose lies in front, which is towards us: the top comes down there.
    return [u, v > 0 && u > 0 ? v * (1 - 0.35 * (u / (lengthMm / 2)) ** 2) : v] as const;
  });

/** A gear's outline: straight-sided teeth between root and tip, good enough to count and to recognise. */
export function toothed(teeth: number, tip: number, root: number): Point[] {
  const points: Point[] = [];
  for (let i = 0; i < teeth; i++)
    for (const [share, radius] of [
      [-0.3, root],
      [-0.16, tip],
      [0.16, tip],
      [0.3, root],
    ] as const) {
      const angle = ((i + share) / teeth) * 2 * Math.PI;
      points.push([radius * Math.sin(angle), radius * Math.cos(angle)]);
    }
  return points;
}

/** Saw teeth: steep one way, slanted the other, as a ratchet holds. */
export function sawtoothed(teeth: number, tip: number, root: number): Point[] {
  const points: Point[] = [];
  for (let i = 0; i < teeth; i++) {
    const start = (i / teeth) * 2 * Math.PI;
    const end = ((i + 0.92) / teeth) * 2 * Math.PI;
    points.push(
      [root * Math.sin(start), root * Math.cos(start)],
      [tip * Math.sin(start), tip * Math.cos(start)],
      [root * Math.sin(end), root * Math.cos(end)],
    );
  }
  return points;
}

/** A circle with two flats, as the hole of a keyed washer; the flats stand upright, `acrossFlats` apart. */
export function doubleD(radius: number, acrossFlats: number): Point[] {
  const half = Math.min(acrossFlats / 2, radius);
  const rise = Math.sqrt(Math.max(0, radius * radius - half * half));
  const top = Math.atan2(rise, half);
  const points: Point[] = [];
  for (let i = 0; i <= 12; i++) {
    const angle = top + ((Math.PI - 2 * top) * i) / 12;
    points.push([radius * Math.cos(angle), radius * Math.sin(angle)]);
  }
  for (let i = 0; i <= 12; i++) {
    const angle = Math.PI + top + ((Math.PI - 2 * top) * i) / 12;
    points.push([radius * Math.cos(angle), radius * Math.sin(angle)]);
  }
  return points;
}

/** A bar with round ends from (0, 0) straight down, `length` between its end centres. */
export function bar(length: number, width: number): Point[] {
  const r = width / 2;
  const points: Point[] = [];
  for (let i = 0; i <= 10; i++) {
    const angle = (Math.PI * i) / 10;
    points.push([r * Math.cos(angle), r * Math.sin(angle)]);
  }
  for (let i = 0; i <= 10; i++) {
    const angle = Math.PI + (Math.PI * i) / 10;
    points.push([r * Math.cos(angle), -length + r * Math.sin(angle)]);
  }
  return points;
}
