import { z } from "zod";
import { seenValue } from "@/core/seen/seen";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { minor, rows } from "@/data/database/rows";
import { refuseUnseen } from "@/data/database/unseen";
import { findJob } from "@/data/jobs/jobs";

const parcel = z.object({
  way: z.enum(["in", "out"]),
  carrier: z.string(),
  number: z.string(),
  valueMinor: minor.nullable(),
  onDay: z.string(),
});
export type Parcel = z.output<typeof parcel>;

/** The parcels of a job: the one it came in, then the one it went back in. */
export const listParcels = (db: Db, jobId: number): Parcel[] =>
  rows(
    parcel,
    db
      .prepare("SELECT way, carrier, number, value_minor AS valueMinor, on_day AS onDay FROM parcel WHERE job_id = ? ORDER BY way")
      .all(jobId),
  );

export const seenParcel = (of: Parcel | undefined): string => seenValue(of ? JSON.stringify(of) : null);

/** Notes a parcel, also of a reel that has gone home: it is posted after it was handed over. */
export function saveParcel(
  ctx: Context,
  jobId: number,
  way: Parcel["way"],
  { seen, ...said }: Omit<Parcel, "way"> & { readonly seen: string },
): void {
  const { db } = ctx;
  const job = findJob(db, jobId);
  if (!job) throw new Refusal("no-job", "This job no longer exists. Go back to the rack.", null, { to: "rack" });
  refuseUnseen(seen, seenParcel(listParcels(db, jobId).find((one) => one.way === way)), "This parcel", "carrier");
  db.prepare(
    `INSERT INTO parcel (job_id, way, carrier, number, value_minor, on_day, at, person_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET carrier = excluded.carrier, number = excluded.number, value_minor = excluded.value_minor, on_day = excluded.on_day,
       at = excluded.at, person_id = excluded.person_id`,
  ).run(jobId, way, said.carrier, said.number, said.valueMinor, said.onDay, ctx.now, ctx.person.id);
  writeJournal(ctx, "parcel-noted", { jobId, reelId: job.reel.id }, { way, carrier: said.carrier });
}
