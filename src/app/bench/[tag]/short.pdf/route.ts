import { shortReportPdf } from "@/formats/short-report-pdf";
import { pdfResponse } from "../pdf-response";
import { reportOf, type TagParams } from "../report-route";

export async function GET(_request: Request, props: TagParams): Promise<Response> {
  const found = await reportOf(props);
  return found instanceof Response ? found : pdfResponse(await shortReportPdf(found.report), `short-report-${found.job.tag}.pdf`);
}
