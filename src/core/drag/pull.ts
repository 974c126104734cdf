/**
 * The drag slips at a torque; the scale reads a force at the line. They are tied by the radius the line leaves the spool at, so two pulls
 * can only be compared as torque, or at one radius. Torque = force × radius (statics).
 */
export const torqueAtSpoolNmm = (forceN: number, lineRadiusMm: number): number => forceN * lineRadiusMm;

/**
 * What the same drag setting would read at another line radius, N. A spool drawn down to half its radius pulls twice as hard.
 * @throws RangeError unless both radii are above 0.
 */
export function pullAtRadius(forceN: number, fromRadiusMm: number, toRadiusMm: number): number {
  if (!(fromRadiusMm > 0) || !(toRadiusMm > 0)) throw new RangeError("pullAtRadius: a line radius must be above 0 mm");
  return torqueAtSpoolNmm(forceN, fromRadiusMm) / toRadiusMm;
}
