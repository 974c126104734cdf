import type { LotReport, LotReportRow } from "@/core/lots/lot-report";
import { changeWords } from "@/core/proving/compare";
import { findModel } from "@/data/catalogue/models";
import { findLot } from "@/data/counter/lots";
import type { Db } from "@/data/database/database";
import { listJobsOfLot } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { getReport, type ReportDates } from "./report";

/** The sheet of a lot, reel by reel from each one's own report; null when there is no such lot. */
export function getLotReport(
  db: Db,
  lotId: number,
  datesOf: (job: { openedAt: string; closedAt: string | null }) => ReportDates,
  words: (iso: string) => string,
): LotReport | null {
  const lot = findLot(db, lotId);
  if (!lot) return null;
  const jobs = listJobsOfLot(db, lotId);
  const model = findModel(db, lot.modelId)!;
  const rows = jobs.map((job): LotReportRow => {
    const report = getReport(db, job, datesOf(job));
    return {
      tag: job.tag,
      mark: job.mark,
      serial: job.reel.serial,
      state: job.closedAt ? "returned" : job.station === "return" ? "ready" : `at ${job.station}`,
      findings: report.faults,
      parts: report.parts.map(({ words: part }) => part),
      readings: report.tests
        .filter(({ change }) => change)
        .map(({ name, before, after, change }) => `${name} ${before} → ${after}${change === changeWords.worse ? ", not better" : ""}`),
      watch: report.watch,
      totalMinor: report.price.total,
    };
  });
  return {
    shopName: getShopSettings(db).shopName,
    name: lot.name,
    sender: lot.customerName,
    model: `${model.maker} ${model.name}`,
    openedOn: words(lot.at),
    rows,
    currency: jobs[0]?.currency ?? getShopSettings(db).currency,
  };
}
