import { z } from "zod";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import type { WhoPays } from "@/core/vocabulary/who-pays";
import type { LabourLine } from "./lines";

/** Services a shop has a price for, each reel family its own. */
export const pricedServices = {
  outside: "Outside service",
  round: "Ten-minute round",
  quick: "Quick service",
  assembly: "Service of one assembly",
  full: "Full service",
  opening: "Opening only",
} as const;
export type PricedService = keyof typeof pricedServices;
export const pricedServiceIds = Object.keys(pricedServices) as [PricedService, ...PricedService[]];

/** Minutes of hands, cleaning, tests and report with them: about 10 outside, 20 to 60 and the cleaning for a full one. Common practice. */
const usual: Readonly<Record<PricedService, number>> = { outside: 10, round: 10, quick: 30, assembly: 25, full: 60, opening: 25 };
const longer: Partial<Record<FamilyId, Partial<Record<PricedService, number>>>> = {
  "lever-drag": { full: 75 },
  "spinning-fluid-sealed": { full: 75 },
  "spinning-sealed-bail-less": { full: 75 },
  "star-drag-clutch": { full: 65 },
  spincast: { quick: 20, full: 40 },
  centrepin: { quick: 20, full: 45 },
  fly: { quick: 20, full: 40 },
};
export const usualServiceMinutes = (family: FamilyId, service: PricedService): number => longer[family]?.[service] ?? usual[service];

const minor = z.number().int().min(0).max(100_000_000);
/** A shop's price list: fixed prices by family where it has them, minutes at its rate elsewhere. */
export const priceListSchema = z.object({
  fixed: z.partialRecord(z.enum(familyIds), z.partialRecord(z.enum(pricedServiceIds), minor)),
  /** The least a job's work costs. */
  smallestMinor: minor,
  /** Oil, grease, cleaner and rags of an opened reel. */
  consumablesMinor: minor,
  /** Bills go by the minutes measured at the stations where no price is fixed, and never above the quote. */
  measured: z.boolean().default(false),
});
export type PriceList = z.infer<typeof priceListSchema>;
export const noPrices: PriceList = { fixed: {}, smallestMinor: 0, consumablesMinor: 0, measured: false };

const priced = z.object({ minutes: z.number().min(0), priceMinor: minor.nullable() });
/** The part of a price list that is pinned to a job when it is opened. */
export const jobPricesSchema = z.object({
  services: z.object({
    outside: priced,
    // A job from before there were rounds is none.
    round: priced.default({ minutes: usual.round, priceMinor: null }),
    quick: priced,
    assembly: priced,
    full: priced,
    // Nor one that was only opened.
    opening: priced.default({ minutes: usual.opening, priceMinor: null }),
  } satisfies Record<PricedService, z.ZodType>),
  smallestMinor: minor,
  consumablesMinor: minor,
  measured: z.boolean().default(false),
  /** The job is charged by what was opened of its reel; false for an earlier job, which stays as it was agreed. */
  byOpening: z.boolean().default(false),
});
export type JobPrices = z.infer<typeof jobPricesSchema>;

export const pricesFor = (list: PriceList, family: FamilyId): JobPrices => ({
  services: Object.fromEntries(
    pricedServiceIds.map((id) => [id, { minutes: usualServiceMinutes(family, id), priceMinor: list.fixed[family]?.[id] ?? null }]),
  ) as JobPrices["services"],
  smallestMinor: list.smallestMinor,
  consumablesMinor: list.consumablesMinor,
  measured: list.measured,
  byOpening: true,
});

/**
 * Work billed by the clock: what has no fixed price costs the minutes the stations took, as far as those are fewer than the quote's. Fixed prices
 * stay. @param measuredMinutes at the stations of work, without waiting; 0 where the clock never ran.
 */
export function byTheClock(labour: readonly LabourLine[], measuredMinutes: number): LabourLine[] {
  const timed = labour.filter((line) => line.priceMinor === undefined);
  const quoted = timed.reduce((sum, { minutes }) => sum + minutes, 0);
  const measured = Math.round(measuredMinutes);
  if (!(measured > 0) || measured >= quoted) return [...labour];
  return [
    ...labour.map((line) => (line.priceMinor === undefined ? { ...line, minutes: 0 } : line)),
    { words: `By the clock: ${measured} of the ${quoted} minutes quoted`, minutes: measured },
  ];
}

/** What of a job the price of its service goes by. */
export interface ServiceOfJob extends JobPath {
  readonly complaints: readonly ComplaintId[];
  /** Assemblies somebody asked to have opened on top; of an upgrade those its new parts go into. */
  readonly asked: number;
  readonly faults: number;
  /** Of a comeback: who pays for it; nobody as long as that is open. */
  readonly pays?: WhoPays;
  /** Assemblies of the reel that a full service opens; 0 where nobody knows. */
  readonly assemblies?: number;
  /** Assemblies somebody said stay shut. */
  readonly shut?: number;
  /** Assemblies opened so far, once the first part is off; null before. */
  readonly opened?: number | null;
  /** Minutes of the faults' own work, and the rate they cost. */
  readonly faultMinutes?: number;
  readonly ratePerHourMinor?: number;
}

export const serviceWords = {
  outside: "Outside service: wiped, oiled at its points, tested",
  round: "Ten-minute round: spool lifted, wiped, oiled at its points, tested",
  opening: "Opened as far as it goes and checked; we ask before doing anything it needs",
  quick: "Quick service: spool out, cleaned, oiled, tested before and after",
} as const;
