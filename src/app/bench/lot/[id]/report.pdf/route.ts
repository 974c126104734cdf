import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { reportDates } from "@/app/server/report-dates";
import { getLotReport } from "@/data/hand-back/lot-report";
import { lotReportPdf } from "@/formats/lot-report-pdf";
import { dateWords } from "@/ui/dates";

/** The sheet of a lot: what was found, fitted and measured on each reel, and what the lot comes to. */
export const GET = readFile("jobs", async (db, { id }: { id: string }) => {
  const report = getLotReport(db, Number(id), reportDates, dateWords);
  return report
    ? pdfResponse(await lotReportPdf(report), `lot-${Number(id)}-report.pdf`)
    : new Response("There is no such lot.", { status: 404 });
});
