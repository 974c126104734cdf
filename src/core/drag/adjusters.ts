import { type SpringStack, stackCurve, stackDeflection } from "./disc-springs";

/** A star: a nut on a screw that squeezes springs and stack between it and the gear. */
export interface Star {
  readonly pitchMm: number;
  readonly springs: SpringStack;
  /** How much the rest of the stack gives, N/mm; the friction washers and the gear's floor. */
  readonly stackStiffnessNPerMm: number;
  /** Turns from the first contact to the end of its thread. */
  readonly endStopTurns: number;
}

export interface StarPoint {
  readonly turns: number;
  readonly forceN: number;
  /** Springs flat: from here only the stack itself gives, and the force climbs steeply. */
  readonly springsFlat: boolean;
}

/**
 * Axial force after some turns from the first contact, N. Travel = pitch × turns is shared between the springs and what else gives, which feel
 * the same force. Beyond the end stop it does not rise. A snapping spring is walked up its rising branch and then counts as flat.
 */
export function starForce(star: Star, turns: number): StarPoint {
  const known = asked.get(star)?.get(turns);
  if (known) return known;
  const travel = star.pitchMm * Math.min(Math.max(0, turns), star.endStopTurns);
  const given = (force: number) => stackDeflection(star.springs, force) + force / star.stackStiffnessNPerMm;
  // Twice what the stack alone would take for the travel is more than enough to close the bracket.
  let [low, high] = [0, Math.max(1, travel * star.stackStiffnessNPerMm)];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (given(middle) < travel) low = middle;
    else high = middle;
  }
  const forceN = (low + high) / 2;
  const flat = stackCurve(star.springs, 1).at(-1)!;
  const point = { turns, forceN, springsFlat: stackDeflection(star.springs, forceN) >= flat.strokeMm - 1e-9 && flat.strokeMm > 0 };
  asked.set(star, (asked.get(star) ?? new Map()).set(turns, point));
  return point;
}

/** A fit and its chart ask one star the same settings over and over. */
const asked = new WeakMap<Star, Map<number, StarPoint>>();

export interface CamPoint {
  readonly degrees: number;
  readonly riseMm: number;
}

/**
 * Rise of a cam between its given points, mm: monotone cubic (Fritsch & Carlson 1980), so that it never swings above or below its points.
 * Before the first and past the last point it stays where they are. @param points at least one, degrees rising.
 */
export function camRise(points: readonly CamPoint[], degrees: number): number {
  const [first, last] = [points[0]!, points.at(-1)!];
  if (degrees <= first.degrees) return first.riseMm;
  if (degrees >= last.degrees) return last.riseMm;
  const n = points.length;
  const h = points.slice(1).map((point, i) => point.degrees - points[i]!.degrees);
  const slope = points.slice(1).map((point, i) => (point.riseMm - points[i]!.riseMm) / h[i]!);
  const tangent = points.map((_, i) => {
    if (i === 0) return slope[0]!;
    if (i === n - 1) return slope[n - 2]!;
    return slope[i - 1]! * slope[i]! <= 0 ? 0 : (slope[i - 1]! + slope[i]!) / 2;
  });
  for (let i = 0; i < n - 1; i++) {
    // On the level both tangents are 0 already, and what follows is no number and changes nothing.
    const [a, b] = [tangent[i]! / slope[i]!, tangent[i + 1]! / slope[i]!];
    const size = a * a + b * b;
    if (size > 9) {
      const shrink = 3 / Math.sqrt(size);
      tangent[i] = shrink * a * slope[i]!;
      tangent[i + 1] = shrink * b * slope[i]!;
    }
  }
  const i = points.findIndex((point) => point.degrees > degrees) - 1;
  const t = (degrees - points[i]!.degrees) / h[i]!;
  return (
    (1 + 2 * t) * (1 - t) ** 2 * points[i]!.riseMm +
    t * (1 - t) ** 2 * h[i]! * tangent[i]! +
    t * t * (3 - 2 * t) * points[i + 1]!.riseMm +
    t * t * (t - 1) * h[i]! * tangent[i + 1]!
  );
}

/** A lever drag: a cam pushes the spool's plate together, its preset knob sets how far it stands off. */
export interface LeverDrag {
  /** Springs and plates in series, N/mm. */
  readonly stiffnessNPerMm: number;
  readonly cam: readonly CamPoint[];
  readonly knobPitchMm: number;
  readonly knobTurns: number;
  /** What stands open before anything touches, mm. */
  readonly gapMm: number;
  /** Half a turn round: the cam's end comes first. */
  readonly camReversed?: boolean;
}

/** Axial force at a lever's angle, N. */
export function leverForce(drag: LeverDrag, degrees: number): number {
  const [first, last] = [drag.cam[0]!.degrees, drag.cam.at(-1)!.degrees];
  const at = drag.camReversed ? last - (degrees - first) : degrees;
  return drag.stiffnessNPerMm * Math.max(0, camRise(drag.cam, at) + drag.knobPitchMm * drag.knobTurns - drag.gapMm);
}

/** Whether the spool is free at the lever's first mark: nothing may press there. */
export const hasFreeSpool = (drag: LeverDrag): boolean => leverForce(drag, drag.cam[0]!.degrees) === 0;

/** The most turns of the preset knob that still leave free spool. */
export const freeSpoolKnobTurns = (drag: LeverDrag): number => {
  const rise = drag.camReversed ? drag.cam.at(-1)!.riseMm : drag.cam[0]!.riseMm;
  return Math.max(0, (drag.gapMm - rise) / drag.knobPitchMm);
};
