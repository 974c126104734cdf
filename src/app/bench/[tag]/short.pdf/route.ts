import { pdfResponse, reportFile } from "@/app/server/files";
import { shortReportPdf } from "@/formats/short-report-pdf";

/** The report on half a sheet. */
export const GET = reportFile(async (report, job) => pdfResponse(await shortReportPdf(report), `short-${job.tag}.pdf`));
