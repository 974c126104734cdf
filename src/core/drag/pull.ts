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

/** Radius the line leaves at, mm: the line fills the spool's ring evenly. @param share line left, 0 (bare arbor) to 1 (full). */
export function lineRadius(arborRadiusMm: number, fullRadiusMm: number, share: number): number {
  if (!(arborRadiusMm > 0) || !(fullRadiusMm >= arborRadiusMm))
    throw new RangeError("lineRadius: the full spool is not under its arbor, and both are above 0 mm");
  return Math.sqrt(arborRadiusMm ** 2 + (fullRadiusMm ** 2 - arborRadiusMm ** 2) * Math.min(1, Math.max(0, share)));
}

export interface DragPath {
  /** Torque at which the stack slips, N·mm. */
  readonly stackNmm: number;
  /** Handle to spool ratio of the gear that is in, for a stack on the main gear; 1 for one on the spool. */
  readonly ratio: number;
  /** Efficiency of the train driven backwards, 0 to 1; 1 for a stack on the spool. */
  readonly efficiency: number;
  /** Torque lost in bearings, seals and line at the spool, N·mm. */
  readonly lossNmm: number;
}

/**
 * Torque at the spool at which the drag gives line, N·mm. The fish drives the train backwards, so the stack's torque is divided by ratio and
 * efficiency, and losses add to the pull.
 */
export const spoolTorqueNmm = ({ stackNmm, ratio, efficiency, lossNmm }: DragPath): number => stackNmm / (ratio * efficiency) + lossNmm;

/** Pull at the line, N, at a radius. */
export const pullN = (path: DragPath, radiusMm: number): number => spoolTorqueNmm(path) / radiusMm;
