import { pdfResponse, picturesOf, recordFile } from "@/app/server/files";
import { reportPdf } from "@/formats/report-pdf";
import { spokenLocale } from "@/ui/dates";

export const GET = recordFile(async (_, report, job, db) =>
  pdfResponse(await reportPdf(report, spokenLocale(), picturesOf(db, report)), `report-${job.tag}.pdf`),
);
