/** A ratio told by counting, with what the count may be off. */
export interface RatioInterval {
  readonly low: number;
  readonly ratio: number;
  readonly high: number;
}

/**
 * Ratio from turns counted at the handle and at the rotor or spool. @param offTurns how far the count of the fast side may be off; half a turn by
 * eye, a tenth with a mark. @throws RangeError unless both counts are above 0.
 */
export function ratioOfCounts(handleTurns: number, spoolTurns: number, offTurns: number): RatioInterval {
  if (!(handleTurns > 0) || !(spoolTurns > 0) || !(offTurns >= 0)) throw new RangeError("ratioOfCounts: counts are above 0");
  return {
    low: Math.max(0, spoolTurns - offTurns) / handleTurns,
    ratio: spoolTurns / handleTurns,
    high: (spoolTurns + offTurns) / handleTurns,
  };
}

export interface ToothPair {
  readonly gear: number;
  readonly pinion: number;
  /** Turns of the gear until the same teeth meet again; the more, the evener they wear. */
  readonly repeatsAfterGearTurns: number;
}

const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);

/** Every pair of tooth counts a reel can have whose ratio lies within an interval, the fewest teeth first. */
export function toothPairs({ low, high }: RatioInterval, pinions: readonly [number, number] = [5, 20], most = 120): ToothPair[] {
  const pairs: ToothPair[] = [];
  for (let pinion = pinions[0]; pinion <= pinions[1]; pinion++)
    for (let gear = Math.max(1, Math.ceil(low * pinion - 1e-9)); gear <= Math.min(most, Math.floor(high * pinion + 1e-9)); gear++)
      pairs.push({ gear, pinion, repeatsAfterGearTurns: pinion / gcd(gear, pinion) });
  return pairs.sort((a, b) => a.gear + a.pinion - b.gear - b.pinion || a.pinion - b.pinion);
}

/** The fraction of the smallest denominator strictly within an interval: the Stern–Brocot tree, walked a whole run of one side at a time. */
export function simplestFraction(low: number, high: number): { over: number; under: number } {
  if (!(low >= 0) || !(high > low)) throw new RangeError("simplestFraction: an interval from low to high");
  const whole = Math.floor(low);
  // The next whole number, where there is one; else what is left turned over.
  if (whole + 1 < high) return { over: whole + 1, under: 1 };
  const [rest, most] = [low - whole, high - whole];
  if (rest === 0 || most - rest < 1e-12) {
    const under = Math.floor(1 / most) + 1;
    return { over: whole * under + 1, under };
  }
  const { over, under } = simplestFraction(1 / most, 1 / rest);
  return { over: whole * over + under, under: over };
}

/** Line taken in a turn of the handle, mm. @param lineDiameterMm twice the radius the line lies at. */
export const retrievePerTurn = (ratio: number, lineDiameterMm: number): number => ratio * Math.PI * lineDiameterMm;

/** Force at the knob that lifts a pull at the line, N. @param efficiency of the train driven forwards. */
export const knobForce = (pullN: number, lineRadiusMm: number, ratio: number, handleMm: number, efficiency: number): number =>
  (pullN * lineRadiusMm * ratio) / (handleMm * efficiency);
