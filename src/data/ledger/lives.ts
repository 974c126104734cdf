import type { PartType } from "@/core/anatomy/types";
import { dayNumber, minutesPerDay } from "@/core/day/day";
import { servedComponents } from "@/core/intervals/component-service";
import { type ComponentLife, type DueFrom, dueFromLives, livesOfComponent, type VisitSeen } from "@/core/survival/component-lives";
import type { jobKinds } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { minuteOf } from "@/data/promise/past";

/** What is found when a component is at its end (common practice). */
export const endsOfComponent: Readonly<Record<string, readonly string[]>> = {
  whole: ["hardened-grease"],
  worm: ["worm-dry"],
  "line-roller": ["roller-bearing-rough", "roller-stuck"],
  drag: ["drag-worn", "drag-glazed", "drag-dry"],
  seals: ["seals-worn"],
};

/** Visits looked back on: more than ten years of most shops. */
const mostVisits = 4000;
/** A reel of which so much came off was opened as a whole. */
const wholeShare = 0.6;

interface JobRow {
  jobId: number;
  reelId: number;
  modelId: string;
  family: string;
  water: string;
  trips: number;
  came: string;
  left: string;
  kind: keyof typeof jobKinds;
  off: number;
  seats: number;
}

/** The finished visits as far as lives of components go. Reckoned once a day: a visit more moves them little. */
const visitsSeen = (db: Db, today: string): readonly VisitSeen[] =>
  keptAnswer(db, "visits seen", today, () => {
    const jobs = db
      .prepare(
        `SELECT job.id AS jobId, job.reel_id AS reelId, model_version.model_id AS modelId, model.family, json_extract(intake, '$.water') AS water,
           json_extract(intake, '$.tripsPerYear') AS trips, job.opened_at AS came, job.closed_at AS "left", job.kind,
           (SELECT count(*) FROM tray_well WHERE tray_well.job_id = job.id) AS off,
           (SELECT count(*) FROM position WHERE position.model_version_id = job.model_version_id) AS seats
         FROM job JOIN model_version ON model_version.id = job.model_version_id JOIN model ON model.id = model_version.model_id
         WHERE job.closed_at IS NOT NULL AND job.declined_reason IS NULL AND job.kind <> 'purchase-check' ORDER BY job.id DESC LIMIT ${mostVisits}`,
      )
      .all() as JobRow[];
    const ids = JSON.stringify(jobs.map(({ jobId }) => jobId));
    const touched = new Map<number, Pick<PartType, "role" | "shape">[]>();
    for (const [jobId, role, kind] of db
      .prepare(
        `SELECT DISTINCT seat.job_id, part_type.role, json_extract(part_type.shape, '$.kind')
         FROM (SELECT job_id, position_id FROM tray_well WHERE verdict <> 'missing' AND job_id IN (SELECT value FROM json_each(@ids))
               UNION SELECT job_id, position_id FROM oil_point WHERE left_out = 0 AND job_id IN (SELECT value FROM json_each(@ids))) AS seat
         JOIN job ON job.id = seat.job_id
         JOIN position ON position.model_version_id = job.model_version_id AND position.id = seat.position_id
         JOIN part_type ON part_type.id = position.part_type_id
         WHERE part_type.role IN ('worm', 'line-roller', 'pick-up-cone') OR json_extract(part_type.shape, '$.kind') IN ('friction-washer', 'lip-seal')`,
      )
      .raw()
      .all({ ids }) as [number, string, string][]) {
      // Only its kind is asked for.
      const types = touched.get(jobId) ?? [];
      types.push({ role, shape: { kind } } as unknown as Pick<PartType, "role" | "shape">);
      touched.set(jobId, types);
    }
    const faults = new Map<number, string[]>();
    for (const [jobId, faultId] of db
      .prepare("SELECT job_id, fault_id FROM job_fault WHERE job_id IN (SELECT value FROM json_each(?))")
      .raw()
      .all(ids) as [number, string][])
      faults.set(jobId, [...(faults.get(jobId) ?? []), faultId]);
    return jobs.map((row): VisitSeen => {
      const own = faults.get(row.jobId) ?? [];
      const found = new Set(Object.entries(endsOfComponent).flatMap(([id, ends]) => (ends.some((end) => own.includes(end)) ? [id] : [])));
      const served = new Set(servedComponents(touched.get(row.jobId) ?? [], row.seats > 0 && row.off >= wholeShare * row.seats));
      // What was at its end was put right.
      for (const id of found) served.add(id);
      return {
        jobId: row.jobId,
        reelId: row.reelId,
        modelId: row.modelId,
        family: row.family,
        water: row.water,
        tripsPerYear: Math.max(1, row.trips),
        came: Math.floor(minuteOf(row.came) / minutesPerDay),
        left: Math.floor(minuteOf(row.left) / minutesPerDay),
        served,
        found,
      };
    });
  });

/** The lives of a component, all reels together, as they were known on a day: by the reels that had gone home by then. */
export const livesOf = (db: Db, component: string, day: string): readonly ComponentLife[] =>
  keptAnswer(db, `lives of ${component} on ${day}`, lastHandedBack(db).slice(0, 10), () => {
    const known = visitsSeen(db, lastHandedBack(db).slice(0, 10)).filter(({ left }) => left <= dayNumber(day));
    return livesOfComponent(known, component, dayNumber(day));
  });

/** Uses of a year at which a rule of thumb in months is taken, where it names none. */
const leastTrips = 1;

/**
 * When a component of a reel is due, as far as this shop's reels told on a day: the rule of thumb corrected by them. Null for components whose end
 * nothing shows.
 */
export function dueOfComponent(
  db: Db,
  day: string,
  component: string,
  of: { readonly modelId: string; readonly family: string; readonly water: string; readonly tripsPerYear: number },
  ruleMonths: number,
): (DueFrom & { readonly months: number }) | null {
  if (!(component in endsOfComponent)) return null;
  const trips = Math.max(leastTrips, of.tripsPerYear);
  const key = `${component} ${of.modelId} ${of.water} ${trips} ${ruleMonths} ${day}`;
  return keptAnswer(db, `due ${key}`, lastHandedBack(db).slice(0, 10), () => {
    const due = dueFromLives(livesOf(db, component, day), of, (trips * ruleMonths) / 12);
    return { ...due, months: (12 * due.trips) / trips };
  });
}
