import { tQuantile } from "@/core/statistics/quantiles";

/** What is known of how long a supplier takes. */
export interface LeadTime {
  /** Days within which so many of 100 parcels are here, whole. */
  readonly days: number;
  /** Days half of them take. */
  readonly middle: number;
  /** Parcels it was learned from. */
  readonly parcels: number;
}

/**
 * Before the first parcel a supplier is thought to keep the days it names, give or take a third, as if three parcels had shown so; the spread
 * is known as from four. Common practice: what is promised is seldom far off, and never certain.
 */
const prior = { weight: 3, freedom: 4, spread: 0.3 };

/**
 * The days to reckon with, by what was promised and what came: ratios of days taken to days promised on a log scale, normal with unknown mean
 * and spread, their conjugate prior as above; the next parcel follows Student's t.
 * @param promisedDays what the supplier says. @param taken days each parcel took, in calendar days.
 * @param chance of 1 that the parcel is here by then.
 */
export function leadTime(promisedDays: number, taken: readonly number[], chance: number): LeadTime {
  const promised = Math.max(0.5, promisedDays);
  const logs = taken.map((days) => Math.log(Math.max(0.5, days) / promised));
  const n = logs.length;
  const mean = n ? logs.reduce((sum, one) => sum + one, 0) / n : 0;
  const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const weight = prior.weight + n;
  const centre = (n * mean) / weight;
  const freedom = prior.freedom + n;
  const scale2 = (prior.freedom * prior.spread ** 2 + squares + (prior.weight * n * mean ** 2) / weight) / freedom;
  const reach = tQuantile(chance, freedom) * Math.sqrt(scale2 * (1 + 1 / weight));
  return { days: Math.ceil(promised * Math.exp(centre + reach) - 1e-9), middle: promised * Math.exp(centre), parcels: n };
}
