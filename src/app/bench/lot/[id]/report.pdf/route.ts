import { getLotReport } from "@/data/hand-back/lot-report";
import { lotReportPdf } from "@/formats/lot-report-pdf";
import { dateWords } from "@/ui/dates";
import { getDb } from "../../../../server";
import { pdfResponse } from "../../../[tag]/pdf-response";
import { reportDates } from "../../../report-dates";

/** The sheet of a lot: what was found, fitted and measured on each reel, and what the lot comes to. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const id = Number((await params).id);
  const report = getLotReport(getDb(), id, reportDates, dateWords);
  if (!report) return new Response("There is no such lot.", { status: 404 });
  return pdfResponse(await lotReportPdf(report), `lot-${id}-report.pdf`);
}
