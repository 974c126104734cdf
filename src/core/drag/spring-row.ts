import type { DiscSpring } from "./disc-springs";

/** A tension washer of a reel, from the base up. */
export interface SpringRow {
  readonly name: string;
  readonly disc: DiscSpring;
  readonly material: string;
  readonly up: boolean;
  /** Orientation as found when this reel was opened, in somebody's words; empty when nobody said. */
  readonly lay: string;
}
