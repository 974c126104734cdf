import type { StationTime } from "@/core/bench-time/station-time";
import { stationMinutes, stationOfJournal, usualMinutes } from "@/core/bench-time/station-time";
import { type Station, stations } from "@/core/vocabulary/job-kinds";
import type { Context } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { writeJournal } from "@/data/store/journal";
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

/** What each station of a job took by its own clock, or as somebody put it right. Stations without a press are not listed. */
export function listStationTimes(db: Db, jobId: number): StationTime[] {
  const rows = db.prepare("SELECT job_id AS jobId, at, action, detail FROM journal WHERE job_id = ? ORDER BY id").all(jobId) as Row[];
  const measured = stationMinutes(rows.map(pressOf).filter((press): press is { station: Station; atMs: number } => press.station !== null));
  const fixed = new Map(
    (db.prepare("SELECT station, minutes FROM station_minutes WHERE job_id = ?").all(jobId) as { station: Station; minutes: number }[]).map(
      ({ station, minutes }) => [station, minutes],
    ),
  );
  return stations.flatMap((station): StationTime[] => {
    const minutes = fixed.get(station) ?? measured.get(station);
    return minutes === undefined ? [] : [{ station, minutes, corrected: fixed.has(station) }];
  });
}

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

/** What the stations of a model usually take at this bench, from its finished jobs; stations with too few of them are left out. */
export function usualStationMinutes(db: Db, modelId: string): { station: Station; minutes: number; jobs: number }[] {
  const ids = db
    .prepare(
      `SELECT job.id FROM job JOIN model_version ON model_version.id = job.model_version_id
       WHERE model_version.model_id = ? AND job.closed_at IS NOT NULL ORDER BY job.id DESC LIMIT 60`,
    )
    .pluck()
    .all(modelId) as number[];
  const perJob = ids.map((id) => new Map(listStationTimes(db, id).map(({ station, minutes }) => [station, minutes])));
  return stations.flatMap((station) => {
    const spent = perJob.flatMap((times) => (times.has(station) ? [times.get(station)!] : []));
    const minutes = usualMinutes(spent);
    return minutes === null ? [] : [{ station, minutes, jobs: spent.length }];
  });
}
