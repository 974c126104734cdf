import type { MeasureKind, Washer } from "@/core/measures/taken";
import type { ShownMeasure } from "@/ui/charts/measure-series";

/** What a reel can be measured for, and what was. */
export interface MeasureBoard {
  readonly kinds: readonly MeasureKind[];
  readonly seats: readonly { readonly id: string; readonly name: string }[];
  readonly washers: readonly Washer[];
  /** What a new one measures, by seat, as it was typed last. */
  readonly freshMm: Readonly<Record<string, number>>;
  readonly pitchMm: number | null;
  readonly kept: readonly ShownMeasure[];
}

export interface MeasureProps {
  readonly jobId: number;
  readonly phase: "before" | "after";
  readonly board: MeasureBoard;
  /** The seat the step is about. */
  readonly seat: string | null;
  readonly closed: boolean;
}
