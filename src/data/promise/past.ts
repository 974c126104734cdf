import { dayNumber, dayOfNumber, dayZeroMs, msPerMinute } from "@/core/day/day";
import type { ShopPast } from "@/core/promise/backtest";
import type { PastJob } from "@/core/promise/past";

import { depths } from "@/core/vocabulary/job-kinds";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { stationTimesOf } from "@/data/jobs/station-time";
import { listShutDays, openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";

/** An instant in minutes of the shop's own clock from day 0. */
export const minuteOf = (at: string): number => {
  const instant = new Date(at);
  return (instant.getTime() - dayZeroMs) / msPerMinute - instant.getTimezoneOffset();
};

/** Minute of the day at which benches begin (common practice; only the order of things within a day hangs on it). */
export const benchFrom = 540;
/** Jobs looked back on: what lies further back says little of today's hands. */
const mostJobs = 600;

interface Row {
  id: number;
  modelId: string;
  family: string;
  kind: string;
  depth: string | null;
  lot: number | null;
  opened: string;
  closed: string | null;
  promised: string;
  looked: string | null;
  answered: string | null;
  open: string | null;
  built: string | null;
  ready: string | null;
  ordered: string | null;
  arrived: string | null;
}

/** The last jobs, those still here too. */
const lastJobs = (db: Db): number[] => db.prepare("SELECT id FROM job ORDER BY id DESC LIMIT ?").pluck().all(mostJobs) as number[];

/** Some jobs as the journal tells of them, oldest first. */
export function pastJobs(db: Db, ids: readonly number[]): PastJob[] {
  const rows = db
    .prepare(
      `WITH last AS (SELECT value AS id FROM json_each(?))
       SELECT job.id, model_version.model_id AS modelId, model.family, job.kind, job.lot_id AS lot, job.opened_at AS opened, job.closed_at AS closed,
         job.promised_on AS promised,
         (SELECT choice FROM job_way WHERE job_way.job_id = job.id AND way = 'depth') AS depth,
         min(CASE WHEN action IN ('tested', 'looked-at', 'fault-found', 'fault-settled') THEN at END) AS looked,
         max(CASE WHEN action IN ('quote-agreed', 'quote-refused') THEN at END) AS answered,
         min(CASE WHEN action IN ('part-off', 'loose-part-off', 'served-in-place') THEN at END) AS open,
         min(CASE WHEN action IN ('step-done', 'points-oiled') THEN at END) AS built,
         max(CASE WHEN action = 'station-reached' AND json_extract(detail, '$.station') = 'return' THEN at END) AS ready,
         (SELECT min(placed_at) FROM need JOIN order_line ON order_line.id = need.order_line_id
           JOIN purchase_order ON purchase_order.id = order_line.order_id WHERE need.job_id = job.id) AS ordered,
         (SELECT max(stock_move.at) FROM need JOIN stock_move ON stock_move.order_line_id = need.order_line_id
           WHERE need.job_id = job.id AND stock_move.reason = 'received') AS arrived
       FROM last JOIN job USING (id) JOIN model_version ON model_version.id = job.model_version_id JOIN model ON model.id = model_version.model_id
       LEFT JOIN journal ON journal.job_id = job.id GROUP BY job.id ORDER BY job.opened_at, job.id`,
    )
    .all(JSON.stringify(ids)) as Row[];
  const times = stationTimesOf(
    db,
    rows.map(({ id }) => id),
  );
  const places = new Map<number, number>();
  const at = (instant: string | null) => (instant === null ? null : minuteOf(instant));
  return rows.map((row): PastJob => {
    const spent = new Map(times.get(row.id)!.map(({ station, minutes }) => [station, minutes]));
    const sum = (...of: Parameters<typeof spent.get>[0][]) => of.reduce((all, station) => all + (spent.get(station) ?? 0), 0);
    const place = row.lot === null ? 0 : (places.get(row.lot) ?? 0) + 1;
    if (row.lot !== null) places.set(row.lot, place);
    // A reel that went home without being called ready was ready then.
    const ready = at(row.ready ?? row.closed);
    return {
      id: row.id,
      modelId: row.modelId,
      family: row.family,
      kind: kindOf(row.kind, row.depth),
      place,
      came: minuteOf(row.opened),
      promised: dayNumber(row.promised),
      looked: at(row.looked),
      answered: at(row.answered),
      opened: at(row.open),
      parcel: row.ordered === null ? null : { from: minuteOf(row.ordered), to: at(row.arrived) ?? ready ?? Number.POSITIVE_INFINITY },
      built: at(row.built),
      ready,
      minutes: { look: sum("test", "find", "quote"), open: sum("strip", "clean", "parts"), build: sum("build", "prove", "return") },
    };
  });
}

/** Jobs that take alike: what for, and how deep where that was said. */
export const kindOf = (kind: string, depth: string | null): string => (depth !== null && depth in depths ? `${kind}/${depth}` : kind);

/** The shop's past, for forecasts: its jobs' times, its week, its days shut. @param today ISO day. */
export const shopPast = (db: Db, today: string): ShopPast =>
  keptAnswer(db, `the bench's past on ${today}`, standsOn(db), () => {
    const { openOn, benchHoursPerDay } = getShopSettings(db);
    const opening = openingOf(db);
    return {
      jobs: pastJobs(db, lastJobs(db)),
      rules: Array.from({ length: 7 }, (_, day) => (openOn.includes(day + 1) ? Math.round(benchHoursPerDay * 60) : 0)),
      from: benchFrom,
      shut: (day) => opening.shut.some(({ from, to }) => from <= dayOfNumber(day) && dayOfNumber(day) <= to),
    };
  });

/** Finished jobs, the shop's week and the days it is shut: a reel that comes in tells nothing of what jobs take. */
const standsOn = (db: Db): string => {
  const { openOn, benchHoursPerDay } = getShopSettings(db);
  return `${lastHandedBack(db)} ${openOn.join()} ${benchHoursPerDay} ${JSON.stringify(listShutDays(db))}`;
};
