import type { FindingId } from "@/core/diagnosis/finding-table";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { UseFactor } from "@/core/vocabulary/use";

/** The condition a complaint tells of; "just a service" tells of none. */
export const findingOfComplaint: Readonly<Partial<Record<ComplaintId, FindingId>>> = {
  stiff: "stiff-in-gear",
  gritty: "gritty-in-gear",
  "short-spin": "short-spin",
  whirrs: "whizz-on-cast",
  "drag-jerky": "drag-jerks-start",
  "drag-weak": "drag-weak",
  "slips-back": "slips-back",
  "click-weak": "click-weak",
  "no-gear": "will-not-engage",
  wobbles: "wobbles",
  "line-twists": "line-twists",
  "no-rise": "no-oscillation",
  "bail-hangs": "bail-lazy",
  "drops-line": "loses-line",
};

/** Trips a year from which a reel counts as a fleet's (rule of thumb). */
const fleetTrips = 80;
/** Years after which grease and linings are those of another time (rule of thumb). */
const oldYears = 30;

/** What a reel's life makes likelier, as far as the counter wrote it down. @param year of making, where the serial tells. */
export function lifeFactorsOf(
  intake: { water: string; tripsPerYear: number; conditions: readonly string[]; life: readonly UseFactor[] },
  year: number | null,
  today: number,
): UseFactor[] {
  return [
    ...new Set<UseFactor>([
      ...intake.life,
      ...(intake.water === "salt" ? (["salt"] as const) : []),
      ...(intake.tripsPerYear >= fleetTrips ? (["fleet"] as const) : []),
      ...(intake.conditions.includes("opened") ? (["opened"] as const) : []),
      ...(year !== null && today - year >= oldYears ? (["old"] as const) : []),
    ]),
  ];
}
