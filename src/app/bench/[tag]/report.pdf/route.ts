import { pdfResponse, recordFile } from "@/app/server/files";
import { reportPdf } from "@/formats/report-pdf";

export const GET = recordFile(async (_, report, job) => pdfResponse(await reportPdf(report), `report-${job.tag}.pdf`));
