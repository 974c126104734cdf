import { reportPdf } from "@/formats/report-pdf";
import { pdfResponse } from "../pdf-response";
import { reportOf, type TagParams } from "../report-route";

export async function GET(_request: Request, props: TagParams): Promise<Response> {
  const found = await reportOf(props);
  return found instanceof Response ? found : pdfResponse(await reportPdf(found.report), `report-${found.job.tag}.pdf`);
}
