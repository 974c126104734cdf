import { dayNumber, dayOfNumber } from "@/core/day/day";
import { type ComponentService, componentServices, servedComponents } from "@/core/intervals/component-service";
import { greaseLastsMonths, nextService } from "@/core/intervals/next-service";
import type { Report } from "@/core/report/report";
import { enoughEnded } from "@/core/survival/component-lives";
import type { Db } from "@/data/database/database";
import { lastHandedBack } from "@/data/database/kept-answers";
import { type Job, listJobsOfReel } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { dueOfComponent } from "./lives";

/** Components that a job has served so far: by what came off, and by what was oiled where it sits. */
export function servedByJob(db: Db, job: Job): ReadonlySet<string> {
  const { anatomy, partTypes } = machineOf(db, job);
  const touched = new Set(
    db
      .prepare(
        `SELECT position_id FROM tray_well WHERE job_id = @job AND verdict <> 'missing'
         UNION SELECT position_id FROM oil_point WHERE job_id = @job AND left_out = 0`,
      )
      .pluck()
      .all({ job: job.id }) as string[],
  );
  const off = new Set(db.prepare("SELECT position_id FROM tray_well WHERE job_id = ?").pluck().all(job.id) as string[]);
  const opened = new Set(anatomy.positions.filter(({ id }) => off.has(id)).map(({ assemblyId }) => assemblyId));
  const serviced = anatomy.assemblies.filter(({ stays }) => !stays);
  const types = anatomy.positions.flatMap(({ id, partTypeId }) => (touched.has(id) ? (partTypes.get(partTypeId) ?? []) : []));
  return servedComponents(types, serviced.length > 0 && serviced.every(({ id }) => opened.has(id)));
}

export interface LastServed extends ComponentService {
  /** Reels of this shop its interval stands on; 0 for a rule of thumb. */
  readonly reels: number;
  /** The job in which it was served last; null where this bench never did. */
  readonly job: Job | null;
}

/**
 * The components of a reel, each with the visit in which it was served last. @param from the visit to count back from: it may still be open; the
 * newest finished one where nobody says.
 */
export function lastServed(db: Db, reelId: number, from?: Job): LastServed[] {
  const worked = listJobsOfReel(db, reelId).filter(
    (job) => job.id === from?.id || (job.closedAt !== null && job.declinedReason === null && job.kind !== "purchase-check"),
  );
  const visits = from ? worked.slice(worked.findIndex(({ id }) => id === from.id)) : worked;
  const [last] = visits;
  if (!last) return [];
  const served = new Map<number, ReadonlySet<string>>();
  const servedIn = (job: Job) => {
    const known = served.get(job.id) ?? servedByJob(db, job);
    served.set(job.id, known);
    return known;
  };
  const { water, tripsPerYear, life } = last.intake;
  const { partTypes, model } = machineOf(db, last);
  const of = { modelId: model.id, family: model.family, water, tripsPerYear };
  // A visit's own paper stands on what was known before the reel came, so that it says the same whenever it is printed.
  const known = from
    ? dayOfNumber(dayNumber(from.openedAt.slice(0, 10)) - 1)
    : lastHandedBack(db).slice(0, 10) || last.openedAt.slice(0, 10);
  return componentServices(partTypes.values(), { water, tripsPerYear, life })
    .map((row) => ({ ...row, ...fromReels(db, known, row, of), job: visits.find((job) => servedIn(job).has(row.id)) ?? null }))
    .sort((a, b) => a.months - b.months || (a.id < b.id ? -1 : 1));
}

/** However long such reels lasted here, a rule of thumb is not stretched beyond this. */
const mostStretched = 2.5;

/** The rule of thumb as this shop's own reels correct it, once enough of them have shown their end; and on what it stands. */
function fromReels(
  db: Db,
  known: string,
  row: ComponentService,
  of: { readonly modelId: string; readonly family: string; readonly water: string; readonly tripsPerYear: number },
): { readonly months: number; readonly because: string; readonly reels: number } {
  const due = dueOfComponent(db, known, row.id, of, row.months);
  if (!due || due.ended < enoughEnded) return { months: row.months, because: `rule of thumb: ${row.because}`, reels: 0 };
  const longest = Math.min(mostStretched * row.months, Math.max(row.months, greaseLastsMonths));
  const months = Math.max(0.5, Math.min(longest, Math.round(due.months * 2) / 2));
  const trips = Math.max(1, Math.round((months / 12) * of.tripsPerYear));
  return {
    months,
    because: `from ${due.reels} reels like it: 1 in 4 was worn after ${trips} trip${trips === 1 ? "" : "s"}`,
    reels: due.reels,
  };
}

/** How dates are counted and said. */
export interface DatesFrom {
  /** The ISO day a number of months after the reel went home, or from today while it is here. */
  readonly after: (months: number) => string;
  /** The ISO day a number of months after another day. */
  readonly from: (isoDay: string, months: number) => string;
  readonly words: (isoDay: string) => string;
}

/** When a reel should come back: the whole of it, each component from when it was served last, and what this bench has not served yet. */
export function serviceDates(db: Db, job: Job, dates: DatesFrom): Pick<Report, "nextService" | "due" | "notServed"> {
  const rows = lastServed(db, job.reel.id, job);
  const dueOn = ({ job: served, months }: LastServed): string | null =>
    served === null ? null : served.id === job.id ? dates.after(months) : dates.from(served.closedAt ?? served.openedAt, months);
  const rule = nextService(job.intake);
  const whole = rows.find(({ id }) => id === "whole");
  const wholeOn = whole ? dueOn(whole) : null;
  const wholeBy = wholeOn ?? dates.after(rule.months);
  return {
    nextService:
      wholeOn === null
        ? `by ${dates.words(wholeBy)}, never fully stripped here (${rule.because}; a rule of thumb)`
        : `${dates.words(wholeOn)} (${whole!.reels ? whole!.because : `${rule.because}; a rule of thumb`})`,
    due: rows.flatMap((row) => {
      const { id, component, what, because: why, byOwner } = row;
      const on = dueOn(row);
      // With the whole reel everything of it is done: no part of it is due on that day or later.
      return on === null || (id !== "whole" && on >= wholeBy) ? [] : [{ id, component, what, on, because: why, byOwner }];
    }),
    notServed: rows.filter(({ id, job: served }) => served === null && id !== "whole").map(({ component }) => component),
  };
}
