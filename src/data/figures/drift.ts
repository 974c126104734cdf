import { dayNumber, minutesPerDay } from "@/core/day/day";
import { type FinishedWork, type FittedPiece, type LeavingReading, type Watch, washerFaults, watches } from "@/core/drift/watches";
import type { Db } from "@/data/database/database";
import { keptAnswer } from "@/data/database/kept-answers";
import { minuteOf } from "@/data/promise/past";

/** A reel that did not come back is thought to have been good for so long. */
const silentDays = 540;
const dayOf = (at: string): number => Math.floor(minuteOf(at) / minutesPerDay);

/** Friction washers that came from a supplier for the job they went into, and how long they lasted. */
function fittedPieces(db: Db, today: number): FittedPiece[] {
  const rows = db
    .prepare(
      `SELECT instance.fitted_job_id AS jobId, job.reel_id AS reelId, job.closed_at AS closed, json_extract(job.intake, '$.water') AS water,
         json_extract(job.intake, '$.tripsPerYear') AS trips, min(purchase_order.supplier_id) AS source
       FROM instance JOIN part_type ON part_type.id = instance.part_type_id AND part_type.shape ->> 'kind' = 'friction-washer'
       JOIN job ON job.id = instance.fitted_job_id
       JOIN need ON need.job_id = job.id AND need.part_type_id = instance.part_type_id AND need.order_line_id IS NOT NULL
       JOIN order_line ON order_line.id = need.order_line_id JOIN purchase_order ON purchase_order.id = order_line.order_id
       WHERE job.closed_at IS NOT NULL GROUP BY instance.fitted_job_id`,
    )
    .all() as { jobId: number; reelId: number; closed: string; water: string; trips: number; source: string }[];
  const later = db.prepare(
    `SELECT job.opened_at AS came, EXISTS (SELECT 1 FROM job_fault WHERE job_fault.job_id = job.id AND fault_id IN (SELECT value FROM json_each(?))) AS worn
       FROM job WHERE reel_id = ? AND id > ? ORDER BY id`,
  );
  return rows.map(({ jobId, reelId, closed, water, trips, source }) => {
    const visits = later.all(JSON.stringify(washerFaults), reelId, jobId) as { came: string; worn: 0 | 1 }[];
    const end = visits.find(({ worn }) => worn === 1);
    const seen = visits.at(-1)?.came ?? closed;
    const fittedOn = dayOf(closed);
    return {
      source,
      water,
      tripsPerYear: Math.max(1, trips),
      fittedOn,
      until: Math.max(fittedOn + 1, end ? dayOf(end.came) : Math.min(today, dayOf(seen) + silentDays)),
      ended: end !== undefined,
      jobId,
    };
  });
}

const leavingReadings = (db: Db): LeavingReading[] =>
  (
    db
      .prepare(
        `SELECT model_version.model_id AS model, job.reel_id AS reel, observation.at, observation.value, job.id AS jobId FROM observation
         JOIN job ON job.id = observation.job_id JOIN model_version ON model_version.id = job.model_version_id
         WHERE observation.phase = 'after' AND observation.test_id = 'drag-strike' AND observation.value > 0 AND observation.simulated = 0 ORDER BY observation.id`,
      )
      .all() as { model: string; reel: number; at: string; value: number; jobId: number }[]
  ).map(({ at, ...row }) => ({ ...row, on: dayOf(at) }));

/** Finished work by who did most of it, and when it came back. */
const finishedWorks = (db: Db): FinishedWork[] =>
  (
    db
      .prepare(
        `SELECT job.id AS jobId, job.closed_at AS closed,
           (SELECT name FROM person WHERE person.id = (SELECT person_id FROM journal WHERE journal.job_id = job.id AND action IN ('step-done', 'part-off', 'points-oiled')
              GROUP BY person_id ORDER BY count(*) DESC LIMIT 1)) AS person,
           (SELECT min(opened_at) FROM job AS back WHERE back.comeback_of = job.id AND back.kind = 'comeback') AS back
         FROM job WHERE closed_at IS NOT NULL AND declined_reason IS NULL AND kind <> 'purchase-check'`,
      )
      .all() as { jobId: number; closed: string; person: string | null; back: string | null }[]
  ).flatMap(({ jobId, closed, person, back }) =>
    person === null ? [] : [{ person, on: dayOf(closed), cameBackOn: back === null ? null : dayOf(back), jobId }],
  );

/** What is watched, and what it found; reckoned once a day. @param today ISO day. */
export const watchesOf = (db: Db, today: string): readonly Watch[] =>
  keptAnswer(db, "watches", today, () => {
    const day = dayNumber(today);
    return watches({ pieces: fittedPieces(db, day), readings: leavingReadings(db), works: finishedWorks(db), today: day });
  });

/** What suppliers and models are called. */
export const watchNames = (db: Db): ReadonlyMap<string, string> =>
  new Map(
    db.prepare("SELECT id, name FROM supplier UNION ALL SELECT id, maker || ' ' || name FROM model").raw().all() as [string, string][],
  );
