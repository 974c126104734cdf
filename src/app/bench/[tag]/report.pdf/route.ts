import { pdfResponse, recordFile } from "@/app/server/files";
import { reportPdf } from "@/formats/report-pdf";
import { spokenLocale } from "@/ui/dates";

export const GET = recordFile(async (_, report, job) => pdfResponse(await reportPdf(report, spokenLocale()), `report-${job.tag}.pdf`));
