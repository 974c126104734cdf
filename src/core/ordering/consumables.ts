import type { LubricantUse } from "@/core/lubrication/lubricant-for";
import type { reelProducts } from "@/core/lubrication/products";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";

/**
 * What a bench uses up without counting: oils by the drop, greases by the dab, cleaners by the bath. How much one is, is a rule of thumb until
 * a tin was emptied; from then on the bench's own hand says.
 */

type Oil = Exclude<(typeof reelProducts)[number], "nothing">;
type Cleaner = "degreaser" | "bearing cleaner" | "soap";
export type ConsumableId = Oil | Cleaner;

export interface ConsumableSpec {
  readonly name: string;
  readonly unit: "ml" | "g";
  /** One time, in the unit: a drop, a dab, a reel's share of a bath. Source: common practice. */
  readonly once: number;
  /** What one time is called. */
  readonly time: readonly [one: string, many: string];
}
const drop = ["drop", "drops"] as const;
const dab = ["dab", "dabs"] as const;
const bath = ["bath", "baths"] as const;

export const consumables: Readonly<Record<ConsumableId, ConsumableSpec>> = {
  "light oil": { name: "Light oil", unit: "ml", once: 0.03, time: drop },
  "medium oil": { name: "Medium oil", unit: "ml", once: 0.035, time: drop },
  "viscous reel oil": { name: "Viscous reel oil", unit: "ml", once: 0.04, time: drop },
  "reel grease": { name: "Reel grease", unit: "g", once: 0.15, time: dab },
  "drag grease": { name: "Drag grease", unit: "g", once: 0.1, time: dab },
  "seal-safe grease": { name: "Seal-safe grease", unit: "g", once: 0.1, time: dab },
  "its own magnetic fluid": { name: "Magnetic fluid", unit: "ml", once: 0.05, time: drop },
  "thread-lock": { name: "Thread-lock", unit: "ml", once: 0.02, time: drop },
  degreaser: { name: "Degreaser", unit: "ml", once: 60, time: bath },
  "bearing cleaner": { name: "Bearing cleaner", unit: "ml", once: 20, time: bath },
  soap: { name: "Soap", unit: "ml", once: 5, time: bath },
};
export const consumableIds = Object.keys(consumables) as [ConsumableId, ...ConsumableId[]];

/** The cleaner a method uses; null for those that take none worth counting. */
export const cleanerOf: Partial<Record<CleanMethod, Cleaner>> = {
  degreaser: "degreaser",
  brush: "degreaser",
  flush: "bearing cleaner",
  bearings: "bearing cleaner",
  soap: "soap",
  "friction-bath": "soap",
};

/** Times a product was used on a reel: by its oils and greases, and by the ways its parts were cleaned, each a bath. */
export function timesUsed(lubricants: readonly LubricantUse[], methods: Iterable<CleanMethod>): Map<ConsumableId, number> {
  const times = new Map<ConsumableId, number>();
  for (const { product, drops, dabs } of lubricants) if (product !== "nothing" && drops + dabs > 0) times.set(product, drops + dabs);
  for (const cleaner of new Set([...methods].flatMap((method) => cleanerOf[method] ?? []))) times.set(cleaner, 1);
  return times;
}

/** Emptied tins teach as if this many, of the rule's size, had been emptied before. */
const priorTins = 1;

/**
 * What one time takes at this bench, in the product's unit: the rule of thumb, drawn to what the emptied tins held over the times counted.
 * @param emptied tins that were used up: what each held, and the times counted while it was open.
 */
export function onceTakes(id: ConsumableId, emptied: readonly { readonly holds: number; readonly times: number }[]): number {
  const { once } = consumables[id];
  const told = emptied.filter(({ times }) => times > 0);
  if (!told.length) return once;
  const usual = told.reduce((sum, { holds }) => sum + holds, 0) / told.length;
  const held = told.reduce((sum, { holds }) => sum + holds, 0) + priorTins * usual;
  const counted = told.reduce((sum, { times }) => sum + times, 0) + (priorTins * usual) / once;
  return held / counted;
}

export interface TinState {
  /** Left in the open tin, in the unit; never below nothing. */
  readonly left: number;
  /** Share left, 0 to 1. */
  readonly share: number;
  /** Weeks it lasts at the pace of the last months; null where nothing is used. */
  readonly weeks: number | null;
  /** Its use-by day is over, or comes soon and before it is used up. */
  readonly spoils: boolean;
}

/** A use-by day further off than this rings for nobody yet. */
const soonDays = 60;

/**
 * How an open tin stands.
 * @param times counted since it was opened. @param perWeek times a week over the last months. @param daysToUseBy negative when it is over.
 */
export function tinState(
  { holds, once }: { readonly holds: number; readonly once: number },
  times: number,
  perWeek: number,
  daysToUseBy: number | null,
): TinState {
  const left = Math.max(0, holds - times * once);
  const weeks = perWeek > 0 ? left / (perWeek * once) : null;
  const spoils =
    daysToUseBy !== null && (daysToUseBy < 0 || (daysToUseBy <= soonDays && weeks !== null && left > 0 && weeks * 7 > daysToUseBy));
  return { left, share: left / holds, weeks, spoils };
}

/** "three weeks left": as people say it. */
export function weeksWords(weeks: number | null): string {
  if (weeks === null) return "not used lately";
  if (weeks < 1) return "less than a week left";
  if (weeks < 9) return `${Math.round(weeks)} ${Math.round(weeks) === 1 ? "week" : "weeks"} left`;
  const months = weeks / 4.35;
  return months < 24 ? `${Math.round(months)} months left` : "lasts for years";
}
