import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { Water } from "@/core/vocabulary/use";
import type { Seeded } from "./seeded";

/** What wears on a reel, by the role of the part it needs; lives in outings (the world's own truth: no forecast is to read it). */
export interface WearSpec {
  readonly id: string;
  /** A reel without such a part has no such wear. */
  readonly needs: string;
  /** What is then found, and what its owner notices. */
  readonly faultId: string;
  readonly noticed: ComplaintId;
  /** Roles whose pieces are renewed; none where cleaning puts it right. */
  readonly renews: readonly string[];
  readonly medianTrips: number;
  /** Shape of the life: 1 fails at any age, 3 and more wears out. */
  readonly shape: number;
  /** How much of its life is left in salt. */
  readonly saltShare: number;
  /** Minutes at the bench beyond the service itself. */
  readonly minutes: number;
}

// biome-ignore format: read as a table
export const wearTable: readonly WearSpec[] = [
  { id: "drag", needs: "friction-washer", faultId: "drag-worn", noticed: "drag-weak", renews: ["friction-washer", "friction-washer-low"], medianTrips: 110, shape: 2.4, saltShare: 0.8, minutes: 18 },
  { id: "grease", needs: "main-gear", faultId: "hardened-grease", noticed: "stiff", renews: [], medianTrips: 75, shape: 2.2, saltShare: 0.7, minutes: 25 },
  { id: "spool-bearing", needs: "spool-bearing", faultId: "spool-bearing-rough", noticed: "short-spin", renews: ["spool-bearing"], medianTrips: 130, shape: 1.5, saltShare: 0.55, minutes: 12 },
  { id: "gears", needs: "main-gear", faultId: "gears-worn", noticed: "gritty", renews: ["main-gear", "pinion"], medianTrips: 520, shape: 2.6, saltShare: 0.8, minutes: 25 },
  { id: "gear-bearing", needs: "gear-bearing", faultId: "gear-bearing-rough", noticed: "gritty", renews: ["gear-bearing"], medianTrips: 240, shape: 1.6, saltShare: 0.6, minutes: 15 },
  { id: "dog-spring", needs: "dog-spring", faultId: "dog-spring-off", noticed: "slips-back", renews: ["dog-spring"], medianTrips: 420, shape: 1.1, saltShare: 0.8, minutes: 10 },
  { id: "clutch", needs: "clutch-sleeve", faultId: "clutch-sleeve-pitted", noticed: "slips-back", renews: ["clutch-sleeve"], medianTrips: 310, shape: 1.9, saltShare: 0.6, minutes: 18 },
  { id: "click", needs: "click-tongue", faultId: "click-tongue-worn", noticed: "click-weak", renews: ["click-tongue"], medianTrips: 260, shape: 2.0, saltShare: 0.9, minutes: 8 },
  { id: "bail-spring", needs: "bail-spring", faultId: "bail-spring-tired", noticed: "bail-hangs", renews: ["bail-spring"], medianTrips: 210, shape: 1.4, saltShare: 0.8, minutes: 10 },
  { id: "roller", needs: "roller-bearing", faultId: "roller-bearing-rough", noticed: "line-twists", renews: ["roller-bearing"], medianTrips: 120, shape: 1.6, saltShare: 0.5, minutes: 8 },
  { id: "worm", needs: "worm", faultId: "worm-dry", noticed: "gritty", renews: [], medianTrips: 60, shape: 2.0, saltShare: 0.7, minutes: 10 },
  { id: "seals", needs: "lip-seal", faultId: "seals-worn", noticed: "gritty", renews: ["main-seal", "lip-seal"], medianTrips: 280, shape: 2.8, saltShare: 0.8, minutes: 35 },
];

/** One component's own life, hidden from the shop. */
export interface HiddenComponent {
  readonly spec: WearSpec;
  /** Outings it lasts, drawn when it was new. */
  lifeTrips: number;
  /** Outings of the reel when it was renewed or served last. */
  freshAtTrips: number;
}

/** How worn it is: 1 is the end of its life. */
export const wornShare = ({ lifeTrips, freshAtTrips }: HiddenComponent, trips: number): number =>
  Math.max(0, trips - freshAtTrips) / lifeTrips;

/** Draws a life for a piece that is new now. @param times of a batch that is worse than it should be; 1 for a sound one. */
export function drawLife(random: Seeded, spec: WearSpec, water: Water, times = 1): number {
  const share = water === "salt" ? spec.saltShare : water === "brackish" ? (1 + spec.saltShare) / 2 : 1;
  return Math.max(2, random.life(spec.medianTrips * share * times, spec.shape));
}
