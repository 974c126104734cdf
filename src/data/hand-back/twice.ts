import { DateTime } from "luxon";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { declineJob } from "@/data/hand-back/decline";
import { closeJob, tickBrought } from "@/data/hand-back/returns";
import { getOpenJob } from "@/data/jobs/jobs";

/** Within so many minutes the same reel may have been written down at two computers. */
const withinMinutes = 10;

/** A reel of the same owner and model that was taken in just before this one, where no serial tells the two apart. */
export interface Twin {
  readonly id: number;
  readonly tag: string;
}

/** The reel this one may be, taken in a moment ago; null where a serial tells them apart. */
export function perhapsTwice(db: Db, jobId: number): Twin | null {
  const since = (at: string) => DateTime.fromISO(at).toUTC().minus({ minutes: withinMinutes }).toISO()!;
  const job = db
    .prepare(
      `SELECT job.opened_at AS openedAt, job.customer_id AS customerId, reel.model_id AS modelId, reel.serial, reel.id AS reelId, job.lot_id AS lotId
       FROM job JOIN reel ON reel.id = job.reel_id WHERE job.id = ?`,
    )
    .get(jobId) as
    | { openedAt: string; customerId: number; modelId: string; serial: string; reelId: number; lotId: number | null }
    | undefined;
  // Reels of a lot are told apart by their marks.
  if (!job || job.lotId !== null) return null;
  return (
    (db
      .prepare(
        `SELECT job.id, job.tag FROM job JOIN reel ON reel.id = job.reel_id
         WHERE job.customer_id = @customerId AND reel.model_id = @modelId AND job.id < @jobId AND reel.id <> @reelId AND job.closed_at IS NULL
           AND job.lot_id IS NULL AND job.opened_at >= @since AND (reel.serial = '' OR @serial = '') ORDER BY job.id DESC LIMIT 1`,
      )
      .get({
        customerId: job.customerId,
        modelId: job.modelId,
        reelId: job.reelId,
        serial: job.serial,
        jobId,
        since: since(job.openedAt),
      }) as Twin | undefined) ?? null
  );
}

/** It is the same reel: the later of the two jobs ends, with the other's tag as the reason. @throws Refusal where it is not such a pair. */
export function wasTwice(ctx: Context, jobId: number): Twin {
  const job = getOpenJob(ctx.db, jobId);
  const twin = perhapsTwice(ctx.db, jobId);
  if (!twin)
    throw new Refusal(
      "no-twin",
      "No other reel like it was checked in just before. Open this job and give the reason for the return there.",
    );
  if (job.depositMinor)
    throw new Refusal(
      "deposit",
      "A deposit was recorded with it. Refund it at Return, and note there that it was checked in twice.",
      null,
      {
        to: "station",
        tag: job.tag,
        station: "return",
      },
    );
  declineJob(ctx, jobId, `Checked in twice: it is here as ${twin.tag}.`);
  for (const { item } of job.brought) tickBrought(ctx, jobId, item, true);
  closeJob(ctx, jobId, "not accepted");
  return twin;
}
