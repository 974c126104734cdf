import { findBearing } from "@/core/bearings/find-bearing";
import { daysPassed, monthsOf } from "@/core/day/day";
import { type Foreseen, foreseenByWay } from "@/core/quote/foreseen-by-way";
import { waysOfShop } from "@/core/shop/settings";
import { sealUnitOf } from "@/core/teardown/seal-unit";
import { isChoice, type WayId, type Ways, type WaysInForce, wayIds, wayInForce } from "@/core/ways/ways";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { readWay, type WayScope, writeWay } from "@/data/jobs/way-rows";
import { getShopSettings } from "@/data/shop/settings";

type WaysJob = Pick<Job, "id" | "customer" | "intake">;

const chosen = (rows: unknown): Partial<Ways> =>
  Object.fromEntries(
    (rows as { way: WayId; choice: string }[])
      // A way that is no more, or lost a choice, says nothing.
      .filter(({ way, choice }) => wayIds.includes(way) && isChoice(way, choice))
      .map(({ way, choice }) => [way, choice]),
  );

/** The ways of working on a job: a note on it, the customer's wishes (the drag asked for at intake among them), the shop's. */
export function waysOf(db: Db, job: WaysJob): WaysInForce {
  const { dragWish } = job.intake;
  return {
    job: chosen(db.prepare("SELECT way, choice FROM job_way WHERE job_id = ?").all(job.id)),
    customer: {
      ...chosen(db.prepare("SELECT way, choice FROM customer_way WHERE customer_id = ?").all(job.customer.id)),
      ...(dragWish === "shop" ? {} : { drag: dragWish }),
    },
    shop: waysOfShop(getShopSettings(db)),
  };
}

/**
 * Sets a way for one job or for all of its customer's reels; null gives it back to whoever stands behind.
 * @param seen what the page showed. @throws Refusal when another window chose otherwise since.
 */
export function setWay(ctx: Context, jobId: number, scope: WayScope, way: WayId, choice: string | null, seen?: string | null): void {
  const job = getOpenJob(ctx.db, jobId);
  if (choice !== null && !isChoice(way, choice)) throw new Refusal("no-choice", "There is no such choice. Reload the page.", way);
  const id = scope === "job" ? job.id : job.customer.id;
  if (seen !== undefined) {
    const held = readWay(ctx.db, scope, id, way);
    if (held !== seen && held !== choice)
      throw new Refusal("changed", "This was changed in another window a moment ago; the current choice is shown. Choose again.", way);
  }
  writeWay(ctx.db, scope, id, way, choice);
  writeJournal(ctx, "way-chosen", { jobId, customerId: job.customer.id }, { scope, way, choice });
}

/** Seats that come out as one and stay together: a fluid-sealed clutch that is not opened here. */
export function unopenedUnit(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): Set<string> {
  if (wayInForce("fluidSeal", waysOf(db, job)).choice === "here") return new Set();
  return sealUnitOf(version.anatomy, version.partTypes);
}

/** Seats served where they sit, with the reason. */
export const listInPlace = (db: Db, jobId: number): { positionId: string; reason: string }[] =>
  db.prepare("SELECT position_id AS positionId, reason FROM seat_in_place WHERE job_id = ? ORDER BY at, position_id").all(jobId) as {
    positionId: string;
    reason: string;
  }[];

/** Months since this bench last renewed a seal on this reel, counted to the day it came; null when it never did. */
function monthsSinceSeals(db: Db, job: Job): number | null {
  const last = db
    .prepare(
      `SELECT max(job.closed_at) FROM instance JOIN job ON job.id = instance.fitted_job_id JOIN part_type ON part_type.id = instance.part_type_id
       WHERE instance.reel_id = ? AND json_extract(part_type.shape, '$.kind') IN ('o-ring', 'lip-seal')`,
    )
    .pluck()
    .get(job.reel.id) as string | null;
  return last === null ? null : monthsOf(daysPassed(last, job.openedAt));
}

/** Whether seals are new every year on this job, and their year is over: an old one does not go back unasked. */
export function sealsAreDue(db: Db, job: Job): boolean {
  if (job.declinedReason !== null || wayInForce("seals", waysOf(db, job)).choice !== "yearly") return false;
  const months = monthsSinceSeals(db, job);
  return months === null || months >= 12;
}

/** Parts the ways of working, or the upgrade it came for, foresee though nothing was found, without those in its quote. @param off seats that come off. */
export function foreseenOf(db: Db, job: Job, version: ModelVersion, off: ReadonlySet<string>): Foreseen[] {
  const ways = waysOf(db, job);
  const quoted = new Set(db.prepare("SELECT position_id FROM quote_part WHERE job_id = ?").pluck().all(job.id) as string[]);
  const monthsSince = monthsSinceSeals(db, job);
  // An upgrade opens what its new parts need: they are chosen from the whole reel first.
  const better = job.kind === "upgrade";
  const positions = version.anatomy.positions.filter((position) => (better || off.has(position.id)) && !quoted.has(position.id));
  return foreseenByWay(
    positions,
    version.partTypes,
    {
      bearings: better ? "upgrade" : wayInForce("bearings", ways).choice,
      softDrag: better ? "carbon" : wayInForce("softDrag", ways).choice,
      seals: wayInForce("seals", ways).choice,
    },
    monthsSince,
    (size) => findBearing(size).length > 0,
  );
}

/** Seats where an upgrade would put a better part, as far as the reel is opened: every bearing, every soft drag washer that is not quoted yet. */
export function upgradeSeatsOf(
  db: Db,
  job: Job,
  version: ModelVersion,
  off: ReadonlySet<string>,
): { readonly positionId: string; readonly partTypeId: string; readonly priceMinor: number }[] {
  const quoted = new Set(db.prepare("SELECT position_id FROM quote_part WHERE job_id = ?").pluck().all(job.id) as string[]);
  const positions = version.anatomy.positions.filter(({ id }) => off.has(id) && !quoted.has(id));
  const better = foreseenByWay(
    positions,
    version.partTypes,
    { bearings: "upgrade", softDrag: "carbon", seals: "evidence" },
    null,
    () => false,
  );
  const wanted = new Set(better.map(({ positionId }) => positionId));
  return positions.flatMap(({ id, partTypeId }) =>
    wanted.has(id) ? [{ positionId: id, partTypeId, priceMinor: version.partTypes.get(partTypeId)?.priceMinor ?? 0 }] : [],
  );
}

/** The part types of those seats. */
export const upgradesOf = (db: Db, job: Job, version: ModelVersion, off: ReadonlySet<string>): string[] =>
  upgradeSeatsOf(db, job, version, off).map(({ partTypeId }) => partTypeId);
