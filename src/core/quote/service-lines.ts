import { handlingOf, opensReel } from "@/core/intake/job-kinds";
import { labourPrice } from "@/core/money/money";
import { placesOfComplaints } from "@/core/service/places";
import { isOurOwnWork } from "./comeback";
import type { LabourLine } from "./lines";
import { type JobPrices, type PricedService, pricedServices, type ServiceOfJob, serviceWords } from "./price-list";
import { serviceLinesBefore } from "./service-lines-before";

/** Assemblies a job without a kind of service of its own is charged for: what it came for and what was asked for since, as far as it was opened. */
function assembliesOf({ kind, complaints, asked, shut = 0, opened = null, assemblies = 0 }: ServiceOfJob): number | "all" {
  const sections = placesOfComplaints(complaints).length;
  // Priced by what it came for, so that the sum is known before the first screw is out; what a fault opens its own work pays for.
  if (sections) return Math.min(Math.max(0, sections + asked - shut), opened ?? Number.POSITIVE_INFINITY);
  // A repair for which nothing was felt opens nothing until something says where.
  const open = opened ?? (kind === "service" || complaints.includes("service") ? assemblies - shut : asked);
  return assemblies > 0 && open < assemblies ? Math.max(0, open) : "all";
}

/**
 * The lines of a job's service: what it came for, priced by the list it was opened under, as far as the reel is opened. Several assemblies never
 * cost more than the whole reel, and one of which some stayed shut never as much. What a fault's own work costs comes on top; of a repair it is
 * part of the opening, and only what that costs beyond it is charged, so that a fault proved makes nothing cheaper.
 * @param prices null for a job from before there were price lists.
 */
export function serviceLines(job: ServiceOfJob, prices: JobPrices | null): LabourLine[] {
  // What came back and is not our work is a repair like another.
  const handling = handlingOf(job.kind === "comeback" && !isOurOwnWork(job) ? { ...job, kind: "repair" } : job);
  if (!prices || isOurOwnWork(job) || (job.kind === "purchase-check" && !opensReel(job))) return [handling];
  if (!prices.byOpening) return serviceLinesBefore(job, prices);
  const { asked, assemblies = 0, shut = 0, opened = null } = job;
  const line = (id: PricedService, times: number, words: string): LabourLine => {
    const { minutes, priceMinor } = prices.services[id];
    return { words, minutes: minutes * times, ...(priceMinor === null ? {} : { priceMinor: priceMinor * times }) };
  };
  const full = line("full", 1, `${pricedServices.full}: apart, cleaned, oiled and greased, checked`);
  /**
   * So many assemblies, never more than the whole reel. Half of a full service is the reel itself, taken in, tested, closed; the other half goes by
   * what is opened, so that one of which some stayed shut costs less.
   */
  const some = (times: number, of = assemblies): LabourLine => {
    const words =
      times === 1 ? "One assembly opened, cleaned, oiled and checked" : `${times} assemblies opened, cleaned, oiled and checked`;
    const own = line("assembly", times, words);
    const share = of > times ? (of + times) / (2 * of) : 1;
    const comparable = (own.priceMinor === undefined) === (full.priceMinor === undefined);
    if (!comparable) return own;
    const whole = {
      minutes: Math.round(full.minutes * share),
      ...(full.priceMinor === undefined ? {} : { priceMinor: Math.round(full.priceMinor * share) }),
    };
    if ((own.priceMinor ?? own.minutes) < (whole.priceMinor ?? whole.minutes)) return own;
    return share < 1 ? { words, ...whole } : full;
  };
  if (job.depth === "light") return [line("outside", 1, serviceWords.outside)];
  if (job.depth === "opening") return [line("opening", 1, serviceWords.opening)];
  if (job.depth === "full") {
    const open = opened || assemblies - shut;
    return [assemblies > 0 && open < assemblies ? some(Math.max(0, open)) : full];
  }
  if (job.depth === "quick" || job.depth === "round") {
    const quick = line(job.depth, 1, serviceWords[job.depth]);
    if (!asked) return [quick];
    const more = line("assembly", asked, asked === 1 ? "One more assembly opened" : `${asked} more assemblies opened`);
    const both = (of: LabourLine) => of.priceMinor ?? of.minutes;
    return both(quick) + both(more) >= both(full) && (quick.priceMinor === undefined) === (full.priceMinor === undefined)
      ? [full]
      : [quick, more];
  }
  // Parts alone pay for what they need opened.
  const wanted = job.kind === "upgrade" ? asked : assembliesOf(job);
  if (job.kind === "upgrade" && !asked) return [handling];
  const service = wanted === "all" ? full : wanted > 0 ? some(wanted) : null;
  if (job.kind === "service") return service ? [service] : [handling];
  // A repair is taken in and tested before anybody knows what it will be.
  if (!service) return [handling];
  if (job.kind === "upgrade") return [handling, service];
  if (!job.faults) return service === full ? [full] : [handling, besideIntake(service, handling, full, job)];
  const beyond = beyondFaults(besideIntake(service, handling, full, job), job);
  return beyond ? [handling, beyond] : [handling];
}

/** Some assemblies, taken in and tested beside: both together never cost more than the whole reel, which has that in it. */
function besideIntake(service: LabourLine, handling: LabourLine, full: LabourLine, { ratePerHourMinor = 0 }: ServiceOfJob): LabourLine {
  if (service.priceMinor === undefined || full.priceMinor === undefined)
    return { ...service, minutes: Math.max(0, Math.min(service.minutes, full.minutes - handling.minutes)) };
  const intake = handling.priceMinor ?? labourPrice(handling.minutes, ratePerHourMinor);
  return { ...service, priceMinor: Math.max(0, Math.min(service.priceMinor, full.priceMinor - intake)) };
}

/** What opening costs beyond the faults' own work, which is done in what is opened; null where that work costs as much. */
function beyondFaults({ minutes, priceMinor }: LabourLine, { faultMinutes = 0, ratePerHourMinor = 0 }: ServiceOfJob): LabourLine | null {
  const words = "Cleaning, oiling and checks of what is opened";
  if (priceMinor === undefined) return minutes > faultMinutes ? { words, minutes: minutes - faultMinutes } : null;
  const rest = priceMinor - labourPrice(faultMinutes, ratePerHourMinor);
  return rest > 0 ? { words, minutes: Math.max(0, minutes - faultMinutes), priceMinor: rest } : null;
}
