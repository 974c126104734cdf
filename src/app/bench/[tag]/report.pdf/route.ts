import { pdfResponse, reportFile } from "@/app/server/files";
import { reportPdf } from "@/formats/report-pdf";

export const GET = reportFile(async (report, job) => pdfResponse(await reportPdf(report), `report-${job.tag}.pdf`));
