import type { StationTime } from "@/core/bench-time/station-time";
import { stationMinutes, stationOfJournal, usualMinutes } from "@/core/bench-time/station-time";
import { groupBy } from "@/core/group-by";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { getOpenJob } from "./jobs";

interface Row {
  jobId: number | null;
  at: string;
  action: string;
  detail: string;
}

const pressOf = ({ at, action, detail }: Row) => ({
  station: stationOfJournal(action, JSON.parse(detail) as Record<string, unknown>),
  atMs: Date.parse(at),
});

/** What each station of some jobs took by its own clock, or as somebody put it right. Stations without a press are not listed. */
export function stationTimesOf(db: Db, jobIds: readonly number[]): ReadonlyMap<number, StationTime[]> {
  const ids = JSON.stringify(jobIds);
  const presses = groupBy(
    db
      .prepare("SELECT job_id AS jobId, at, action, detail FROM journal WHERE job_id IN (SELECT value FROM json_each(?)) ORDER BY id")
      .all(ids) as Row[],
    ({ jobId }) => jobId,
  );
  const corrections = groupBy(
    db
      .prepare("SELECT job_id AS jobId, station, minutes FROM station_minutes WHERE job_id IN (SELECT value FROM json_each(?))")
      .all(ids) as { jobId: number; station: Station; minutes: number }[],
    ({ jobId }) => jobId,
  );
  return new Map(
    jobIds.map((id) => {
      const measured = stationMinutes(
        (presses.get(id) ?? []).map(pressOf).filter((press): press is { station: Station; atMs: number } => press.station !== null),
      );
      const fixed = new Map((corrections.get(id) ?? []).map(({ station, minutes }) => [station, minutes]));
      return [
        id,
        stations.flatMap((station): StationTime[] => {
          const minutes = fixed.get(station) ?? measured.get(station);
          return minutes === undefined ? [] : [{ station, minutes, corrected: fixed.has(station) }];
        }),
      ];
    }),
  );
}

export const listStationTimes = (db: Db, jobId: number): StationTime[] => stationTimesOf(db, [jobId]).get(jobId)!;

/** Puts a station's minutes right; null goes back to its clock. */
export function correctStationTime(ctx: Context, jobId: number, station: Station, minutes: number | null): void {
  getOpenJob(ctx.db, jobId);
  if (minutes === null) ctx.db.prepare("DELETE FROM station_minutes WHERE job_id = ? AND station = ?").run(jobId, station);
  else
    ctx.db
      .prepare(
        "INSERT INTO station_minutes (job_id, station, minutes, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET minutes = excluded.minutes, at = excluded.at",
      )
      .run(jobId, station, minutes, ctx.now);
  writeJournal(ctx, "station-time-corrected", { jobId }, { station, minutes });
}

type Usual = { readonly station: Station; readonly minutes: number; readonly jobs: number };

/** What the stations of a model usually take at this bench, from its finished jobs; stations with too few of them are left out. */
export const usualStationMinutes = (db: Db, modelId: string): readonly Usual[] =>
  // Times of jobs that were handed back change no more.
  keptAnswer(db, `usual minutes of ${modelId}`, lastHandedBack(db), () => readUsual(db, modelId));

function readUsual(db: Db, modelId: string): Usual[] {
  const ids = db
    .prepare(
      `SELECT job.id FROM job JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND job.closed_at IS NOT NULL ORDER BY job.id DESC LIMIT 60`,
    )
    .pluck()
    .all(modelId) as number[];
  const perJob = [...stationTimesOf(db, ids).values()].map((times) => new Map(times.map(({ station, minutes }) => [station, minutes])));
  return stations.flatMap((station) => {
    const spent = perJob.flatMap((times) => (times.has(station) ? [times.get(station)!] : []));
    const minutes = usualMinutes(spent);
    return minutes === null ? [] : [{ station, minutes, jobs: spent.length }];
  });
}
