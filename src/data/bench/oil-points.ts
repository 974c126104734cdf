import { givenAt } from "@/core/lubrication/given";
import { type OilPoint, type OilPointState, oilPointsOf } from "@/core/lubrication/oil-points";
import { behindOf, shutBy } from "@/core/teardown/oil-window";
import type { LeftDryReason } from "@/core/vocabulary/left-dry";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { getBuild } from "./build";
import { openingOf } from "./opening";
import { listOutcomes } from "./seat-outcome";
import { listWells } from "./tray";
import { listInPlace, waysOf } from "./ways";

export interface JobOilPoint extends OilPoint {
  readonly state: OilPointState;
  /** What went on in place of the rule's product; null: as the rule says. */
  readonly instead: string | null;
  /** Why it was left out, where somebody said so. */
  readonly why: LeftDryReason | null;
  /** Seats it is behind: while they are out it can be reached. None where oil gets to it from outside. */
  readonly behind: readonly string[];
}

interface OilRow {
  readonly positionId: string;
  readonly product: string;
  readonly amount: string;
  readonly drops: number;
  readonly leftOut: 0 | 1;
  readonly why: LeftDryReason | null;
}

const rowsOf = (db: Db, jobId: number): OilRow[] =>
  db
    .prepare(
      "SELECT position_id AS positionId, product, amount, drops, left_out AS leftOut, why FROM oil_point WHERE job_id = ? ORDER BY position_id",
    )
    .all(jobId) as OilRow[];

/** The oil points of a job: what stays in and can be reached, with what became of each. */
export function listOilPoints(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): JobOilPoint[] {
  const { depth, opening } = openingOf(db, job, version);
  const rows = new Map(rowsOf(db, job.id).map((row) => [row.positionId, row]));
  const outcomes = listOutcomes(db, job.id);
  const off = new Set([...opening.off, ...listWells(db, job.id).map(({ positionId }) => positionId)]);
  const inPlace = new Set(listInPlace(db, job.id).map(({ positionId }) => positionId));
  for (const id of inPlace) off.delete(id);
  return oilPointsOf(version.anatomy, version.partTypes, waysOf(db, job), {
    off,
    ridesOn: opening.ridesOn,
    open: new Set(depth.open.keys()),
    inPlace,
  }).map((point) => {
    const row = rows.get(point.positionId);
    return {
      ...point,
      behind: behindOf(version.anatomy, point.positionId),
      state: row ? (row.leftOut ? "left-out" : "oiled") : "waiting",
      instead: outcomes.get(point.positionId)?.product ?? null,
      why: row?.why ?? null,
    };
  });
}

/**
 * Confirms points: oiled with what the rules say, or left out on purpose. @throws Refusal when one is no point of this job, lies behind what went
 * in again, and where the reel is closed; then none of them is confirmed.
 */
export function markOilPoints(
  ctx: Context,
  jobId: number,
  positionIds: readonly string[],
  state: OilPointState,
  why: LeftDryReason | null = null,
): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const points = new Map(listOilPoints(db, job).map((point) => [point.positionId, point]));
  const set = db.prepare(
    `INSERT INTO oil_point (job_id, position_id, product, amount, drops, left_out, why, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET product = excluded.product, amount = excluded.amount, drops = excluded.drops, left_out = excluded.left_out,
       why = excluded.why, at = excluded.at, person_id = excluded.person_id`,
  );
  const clear = db.prepare("DELETE FROM oil_point WHERE job_id = ? AND position_id = ?");
  const steps = state === "oiled" ? getBuild(db, job).steps : [];
  for (const positionId of positionIds) {
    const point = points.get(positionId);
    if (!point)
      throw new Refusal("no-point", "This is not an oil point on this job: the part comes off, or must stay dry. Reload the page.");
    const over = shutBy(point.behind, steps);
    if (over && point.state !== "oiled")
      throw new Refusal(
        "behind",
        `${point.name} is behind ${over.position?.name ?? over.operation.words} now. Open that step again, or leave this point out.`,
      );
    const { product, amount, drops } = givenAt(point.advice, point.instead) ?? { product: "nothing", amount: "", drops: 0 };
    if (state === "waiting") clear.run(jobId, positionId);
    else
      set.run(
        jobId,
        positionId,
        product,
        amount,
        drops,
        state === "left-out" ? 1 : 0,
        state === "left-out" ? why : null,
        ctx.now,
        ctx.person.id,
      );
  }
  writeJournal(
    ctx,
    state === "oiled" ? "points-oiled" : state === "left-out" ? "points-left-out" : "points-undone",
    { jobId, reelId: job.reel.id },
    {
      points: positionIds.length,
      ...(positionIds.length === 1 ? { position: positionIds[0] } : {}),
      ...(state === "left-out" && why ? { reason: why } : {}),
    },
  );
  if (state === "oiled") advanceStation(ctx, job, "build");
}
