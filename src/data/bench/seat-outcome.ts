import { judgeProduct } from "@/core/lubrication/judge-product";
import { feelsOf } from "@/core/teardown/feel";
import { nothingTold, type SeatOutcome } from "@/core/teardown/seat-outcome";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { getOpenJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";

/** What came of the acts at the seats of a job, by seat: only where something was told. */
export const listOutcomes = (db: Db, jobId: number): ReadonlyMap<string, SeatOutcome> =>
  new Map(
    (
      db
        .prepare("SELECT position_id AS id, product, clean, feel FROM seat_outcome WHERE job_id = ? ORDER BY position_id")
        .all(jobId) as (SeatOutcome & {
        id: string;
      })[]
    ).map(({ id, ...outcome }) => [id, outcome]),
  );

/**
 * Tells what came of an act at a seat: what went on instead, how it came out of its cleaning, how it felt. What is not named stays as it was told;
 * null takes it back. @throws Refusal where the seat is none, the feel is none of such a part, or the product is doubted there and not on purpose.
 */
export function tellOutcome(
  ctx: Context,
  jobId: number,
  positionId: string,
  { onPurpose = false, ...told }: { readonly [K in keyof SeatOutcome]?: SeatOutcome[K] | undefined } & { readonly onPurpose?: boolean },
): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const version = machineOf(db, job);
  const type = version.partTypes.get(version.anatomy.positions.find(({ id }) => id === positionId)?.partTypeId ?? "");
  if (!type) throw new Refusal("no-seat", "This seat is no longer part of the reel. Reload the page.");
  const doubt = told.product ? judgeProduct(type, told.product) : null;
  if (doubt && !onPurpose) throw new Refusal("doubted-product", `${doubt} Confirm that it was used anyway, or choose another.`, "product");
  if (told.feel && !feelsOf(type).includes(told.feel))
    throw new Refusal("no-feel", "That does not apply to this part. Reload the page.", "feel");
  const named = Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined));
  const outcome: SeatOutcome = { ...nothingTold, ...listOutcomes(db, jobId).get(positionId), ...named };
  if (outcome.product === null && outcome.clean === null && outcome.feel === null) forgetOutcome(db, jobId, positionId);
  else
    db.prepare(
      `INSERT INTO seat_outcome (job_id, position_id, product, clean, feel, at, person_id)
       VALUES (@jobId, @positionId, @product, @clean, @feel, @at, @person)
       ON CONFLICT DO UPDATE SET product = excluded.product, clean = excluded.clean, feel = excluded.feel, at = excluded.at,
         person_id = excluded.person_id`,
    ).run({ jobId, positionId, ...outcome, at: ctx.now, person: ctx.person.id });
  writeJournal(ctx, "outcome-told", { jobId, reelId: job.reel.id }, { position: positionId, ...named });
}

/** What was told of a piece is not said of the new one in its seat; what goes on there is the seat's. */
export const forgetOldPiece = (db: Db, jobId: number, positionId: string): void => {
  db.prepare("UPDATE seat_outcome SET clean = NULL, feel = NULL WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
};

/** A part that never came off was neither cleaned nor fitted. */
export const forgetOutcome = (db: Db, jobId: number, positionId: string): void => {
  db.prepare("DELETE FROM seat_outcome WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
};
