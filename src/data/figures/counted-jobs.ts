import { minutesPerDay } from "@/core/day/day";
import type { CountedJob } from "@/core/figures/figures";
import { pathWords } from "@/core/intake/job-kinds";
import { familyWords } from "@/core/vocabulary/families";
import type { Db } from "@/data/database/database";
import { keptAnswer, lastHandedBack } from "@/data/database/kept-answers";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { listJobsClosedBetween } from "@/data/jobs/jobs";
import { minuteOf, pastJobs } from "@/data/promise/past";
import { quotesOf } from "@/data/quote/quotes";

const days = (from: number | null, to: number | null): number =>
  from === null || to === null || !Number.isFinite(to) ? 0 : Math.max(0, Math.floor(to / minutesPerDay) - Math.floor(from / minutesPerDay));

/** Jobs handed back in a time, with what each brought, took and waited for. @param from and to ISO days, both included. */
export const countedJobs = (db: Db, from: string, to: string): readonly CountedJob[] =>
  keptAnswer(db, `counted jobs ${from} ${to}`, lastHandedBack(db), () => {
    const jobs = listJobsClosedBetween(db, from, to);
    const ids = jobs.map(({ id }) => id);
    const past = new Map(pastJobs(db, ids).map((job) => [job.id, job]));
    const quotes = quotesOf(db, jobs);
    const parts = new Map(
      db
        .prepare(
          `SELECT fitted_job_id, sum(coalesce((SELECT price_minor FROM job_price WHERE job_price.job_id = fitted_job_id AND job_price.part_type_id = instance.part_type_id),
                  part_type.price_minor))
           FROM instance JOIN part_type ON part_type.id = instance.part_type_id WHERE fitted_job_id IN (SELECT value FROM json_each(?)) GROUP BY fitted_job_id`,
        )
        .raw()
        .all(JSON.stringify(ids)) as [number, number][],
    );
    const causes = new Map(
      db
        .prepare("SELECT job_id, min(fault_id) FROM job_fault WHERE job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id")
        .raw()
        .all(JSON.stringify(ids)) as [number, string][],
    );
    const faultById = faultNamer(db);
    return jobs.map((job): CountedJob => {
      const { family, came, looked, answered, opened, parcel, built, ready, minutes } = past.get(job.id)!;
      const total = job.finalTotalMinor ?? 0;
      const net = Math.round((total * 10_000) / (10_000 + job.rates.tax));
      const asked = days(looked, answered);
      const waited = parcel ? days(parcel.from, parcel.to) : 0;
      const cause = causes.get(job.id);
      return {
        jobId: job.id,
        tag: job.tag,
        owner: job.customer.name,
        reel: job.reel.modelName,
        modelId: job.reel.modelId,
        kind: pathWords(job),
        family: family in familyWords ? familyWords[family as keyof typeof familyWords] : family,
        cameOn: job.openedAt.slice(0, 10),
        closedOn: job.closedAt!.slice(0, 10),
        workMinor: Math.max(0, net - (parts.get(job.id) ?? 0)),
        totalMinor: total,
        minutes: minutes.look + minutes.open + minutes.build,
        quotedMinutes: quotes.get(job.id)!.sum.minutes,
        waits: {
          customer: asked,
          supplier: waited,
          us: Math.max(0, days(came, ready ?? built ?? opened) - asked - waited),
          shelf: days(ready, minuteOf(job.closedAt!)),
        },
        comeback: job.kind === "comeback" ? (cause ? (faultById(cause)?.name ?? cause) : "nothing found") : null,
      };
    });
  });
