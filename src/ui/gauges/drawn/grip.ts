import type { Grip } from "./drawn";

/** Size of a drawing on the page. */
export interface Sized {
  readonly widthPx: number;
  readonly heightPx: number;
}
/** Numbers that are set by pulling at the drawing; without it the drawing only shows. */
export type Setter<K extends string> = ((change: Partial<Record<K, number>>) => void) | undefined;

/** A place of a drawing that is pulled at to set a number; none where nothing can be set. @param perMm units of the number a mm of the drawing. */
export const grip = (
  set: ((value: number) => void) | undefined,
  name: string,
  at: readonly [number, number],
  along: "x" | "y",
  perMm: number,
  value: number,
  range: readonly [number, number],
  unit = "mm",
  step = 0.1,
): Grip[] => (set ? [{ name, x: at[0], y: at[1], along, perMm, value, step, least: range[0], most: range[1], unit, onValue: set }] : []);
