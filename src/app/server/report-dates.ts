import { today } from "@/app/server/clock";
import type { ReportDates } from "@/data/hand-back/report";
import type { Job } from "@/data/jobs/jobs";
import { dateWords, monthsAfter } from "@/ui/dates";

/** The dates of a job's report in the shop's words: intervals count from the day the reel went home, or from today while it is here. */
export const reportDates = (job: Pick<Job, "openedAt" | "closedAt">): ReportDates => ({
  opened: dateWords(job.openedAt),
  closed: job.closedAt ? dateWords(job.closedAt) : null,
  after: (months) => monthsAfter(job.closedAt ?? today(), months),
  from: monthsAfter,
  words: dateWords,
});
