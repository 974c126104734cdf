/** Spin-down, dω/dt = −(a + b·ω + c·ω²); each is a torque over the inertia that turns, in rad, s. */
export interface SpinLosses {
  /** Rubbing, closed tension, grit, a dry or preloaded bearing: rad/s². */
  readonly a: number;
  /** Shear of oil or grease, eddy currents of magnets: 1/s. */
  readonly b: number;
  /** Air, centrifugal blocks: 1/rad. */
  readonly c: number;
}
export const lossTerms = ["a", "b", "c"] as const;
export type LossTerm = (typeof lossTerms)[number];
export const lossWords: Readonly<Record<LossTerm, string>> = {
  a: "rubbing: closed tension, grit, a dry or preloaded bearing",
  b: "shear: oil, grease, magnets (take it again with magnets at zero)",
  c: "air and centrifugal blocks (take it again with the blocks parked)",
};

/** Of a term as it is fitted: torque over inertia, radians left out. */
export const lossUnits: Readonly<Record<LossTerm, string>> = { a: "/s²", b: "/s", c: "" };

/** Seconds until it stands; infinite where nothing rubs. Closed forms by the sign of 4ac − b², with a tolerance at zero. */
export function stopSeconds(startRadPerS: number, { a, b, c }: SpinLosses): number {
  const w0 = startRadPerS;
  if (a <= 0) return Number.POSITIVE_INFINITY;
  if (c < 1e-15) return b < 1e-15 ? w0 / a : Math.log(1 + (b * w0) / a) / b;
  const d = 4 * a * c - b * b;
  if (Math.abs(d) < 1e-12 * Math.max(4 * a * c, b * b)) return 2 / b - 2 / (2 * c * w0 + b);
  if (d > 0) {
    const root = Math.sqrt(d);
    return (2 / root) * (Math.atan((2 * c * w0 + b) / root) - Math.atan(b / root));
  }
  const root = Math.sqrt(-d);
  return (1 / root) * Math.log(((2 * c * w0 + b - root) * (b + root)) / ((2 * c * w0 + b + root) * (b - root)));
}

/** Speed and angle at times, walked with the rule of Runge and Kutta; stands still once it stands. @param steps a second. */
export function spinDown(
  startRadPerS: number,
  { a, b, c }: SpinLosses,
  seconds: number,
  steps = 200,
): { t: number; speed: number; angle: number }[] {
  const slow = (w: number) => (w > 0 ? -(a + b * w + c * w * w) : 0);
  const points = [{ t: 0, speed: startRadPerS, angle: 0 }];
  const h = 1 / steps;
  for (let i = 1; i <= Math.round(seconds * steps); i++) {
    const { speed: w, angle } = points.at(-1)!;
    const k1 = slow(w);
    const k2 = slow(w + (h / 2) * k1);
    const k3 = slow(w + (h / 2) * k2);
    const k4 = slow(w + h * k3);
    const next = Math.max(0, w + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4));
    points.push({ t: i * h, speed: next, angle: angle + (h / 6) * (w + 4 * Math.max(0, w + (h / 2) * k2) + next) });
    if (next === 0) break;
  }
  return points;
}
