import { median } from "@/core/quantile";
import { shrunk } from "./shrunk";

/** What a drag and a spin are reckoned with and no schematic says, by model. Usual: a place to begin (rule of thumb). */
export const modelNumbers = {
  pitch: { name: "star's thread, mm a turn", usual: 0.75, exact: true },
  stiffness: { name: "stack stiffness, N/mm", usual: 4000, exact: false },
  stop: { name: "turns to the end stop", usual: 2.5, exact: true },
  efficiency: { name: "back-driven efficiency", usual: 0.9, exact: false },
  loss: { name: "losses at the spool, N·mm", usual: 15, exact: false },
  leverStiffness: { name: "springs and plates, N/mm", usual: 900, exact: false },
  knobPitch: { name: "preset knob, mm a turn", usual: 0.5, exact: true },
  gap: { name: "clearance, mm", usual: 0.2, exact: true },
  spoolInertia: { name: "bare spool's inertia, g·cm²", usual: null, exact: false },
} as const;
export type ModelNumber = keyof typeof modelNumbers;
export const modelNumberIds = Object.keys(modelNumbers) as ModelNumber[];

/**
 * A model's number: what can be measured exactly is its own, the middle of what was measured; what scatters is drawn to its family.
 * @returns null where nothing is known and there is no place to begin.
 */
export function modelNumber(id: ModelNumber, own: readonly number[], family: readonly number[]): number | null {
  const { usual, exact } = modelNumbers[id];
  if (exact && own.length) return median(own);
  if (usual === null) return own.length ? shrunk(own, family, Math.exp(own.reduce((sum, x) => sum + Math.log(x), 0) / own.length)) : null;
  return shrunk(own, family, usual);
}

export interface NumbersOfModel {
  readonly values: Readonly<Partial<Record<ModelNumber, number>>>;
  /** Those somebody measured on a reel of this model; the others are its family's. */
  readonly measured: readonly ModelNumber[];
  /** A lever's cam, degrees and rise, as it was typed last; empty where nobody did. */
  readonly cam: string;
}
