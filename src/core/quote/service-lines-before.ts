import type { ReelSection } from "@/core/diagnosis/isolation";
import { handlingOf, opensReel } from "@/core/intake/job-kinds";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import { isOurOwnWork } from "./comeback";
import type { LabourLine } from "./lines";
import { type JobPrices, type PricedService, pricedServices, type ServiceOfJob, serviceWords as wordsOf } from "./price-list";

/** Where each complaint was looked for under those lists. */
const sectionsOfComplaint: Readonly<Record<ComplaintId, readonly ReelSection[]>> = {
  stiff: ["gear-side", "spool-side"],
  gritty: ["gear-side", "spool-side"],
  "short-spin": ["spool-side"],
  whirrs: ["spool-side"],
  "drag-jerky": ["drag"],
  "drag-weak": ["drag"],
  "slips-back": ["anti-reverse"],
  "click-weak": ["click"],
  "no-gear": ["controls"],
  wobbles: ["outside"],
  "line-twists": ["bail"],
  "no-rise": ["gear-side"],
  "bail-hangs": ["bail"],
  "drops-line": ["bail"],
  service: [],
};
const sectionsOfComplaints = (complaints: readonly ComplaintId[]): ReelSection[] => [
  ...new Set(complaints.flatMap((id) => sectionsOfComplaint[id])),
];

/** The service a job was priced as, and how many assemblies of it; null where looking at it is all that is charged before faults. */
function serviceOf(job: ServiceOfJob): { readonly service: PricedService; readonly times: number } | null {
  if (job.depth === "light") return { service: "outside", times: 1 };
  if (job.depth === "full" || job.depth === "quick") return { service: job.depth, times: 1 };
  // A fault's own work pays for what it opens; parts alone for what they need.
  if ((job.kind !== "service" && job.faults) || job.kind === "upgrade") return job.asked ? { service: "assembly", times: job.asked } : null;
  // Priced by what it came for, so that the sum is known before the first screw is out.
  const sections = sectionsOfComplaints(job.complaints).length;
  return sections ? { service: "assembly", times: sections + job.asked } : { service: "full", times: 1 };
}

/**
 * The lines of a job that was opened before prices went by what was opened: its bill stays as it was agreed and printed.
 */
export function serviceLinesBefore(job: ServiceOfJob, prices: JobPrices): LabourLine[] {
  // What came back and is not our work is a repair like another.
  const handling = handlingOf(job.kind === "comeback" && !isOurOwnWork(job) ? { ...job, kind: "repair" } : job);
  const free = isOurOwnWork(job) || (job.kind === "purchase-check" && !opensReel(job));
  const of = free ? null : serviceOf(job);
  if (!of) return [handling];
  const line = (id: PricedService, times: number, words: string): LabourLine => {
    const { minutes, priceMinor } = prices.services[id];
    return { words, minutes: minutes * times, ...(priceMinor === null ? {} : { priceMinor: priceMinor * times }) };
  };
  const full = line("full", 1, `${pricedServices.full}: apart, cleaned, oiled and greased, checked`);
  // A repair is taken in and tested before anybody knows what it will be.
  const intake = job.kind !== "service" && of.service === "assembly" ? [handling] : [];
  if (of.service !== "assembly") return [of.service === "full" ? full : line(of.service, 1, wordsOf[of.service])];
  const some = line(
    "assembly",
    of.times,
    of.times === 1 ? "One assembly opened, cleaned, oiled and checked" : `${of.times} assemblies opened, cleaned, oiled and checked`,
  );
  const dearer =
    (some.priceMinor ?? some.minutes) >= (full.priceMinor ?? full.minutes) &&
    (some.priceMinor === undefined) === (full.priceMinor === undefined);
  return [...intake, dearer ? full : some];
}
