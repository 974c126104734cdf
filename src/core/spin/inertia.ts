/** Density of nylon line, g/cm³, and how much of a spool's room wound line fills (common practice, from memory). */
const nylonGPerCm3 = 1.14;
const woundShare = 0.75;

/**
 * Inertia of the line on a spool, g·cm²: a ring from arbor to line, m·(r² + R²)/2.
 * @param arborMm diameter under the line. @param lineMm diameter over it. @param widthMm between the flanges.
 */
export function lineInertia(arborMm: number, lineMm: number, widthMm: number, gPerCm3 = nylonGPerCm3): number {
  const [inner, outer, width] = [arborMm / 20, lineMm / 20, widthMm / 10];
  if (outer <= inner) return 0;
  const mass = gPerCm3 * woundShare * Math.PI * (outer ** 2 - inner ** 2) * width;
  return (mass * (inner ** 2 + outer ** 2)) / 2;
}

/** A loss of a spin as a torque, N·mm: rad/s² of a known inertia. 1 g·cm² is 1e-7 kg·m². */
export const lossTorqueNmm = (radPerS2: number, inertiaGCm2: number): number => radPerS2 * inertiaGCm2 * 1e-4;
