import { DateTime } from "luxon";
import { findJobByTag } from "@/data/jobs";
import { getReport } from "@/data/report";
import { reportPdf } from "@/formats/report-pdf";
import { dateWords } from "@/ui/dates";
import { getDb, today } from "../../../server";
import { pdfResponse } from "../pdf-response";

export async function GET(_request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const db = getDb();
  const found = findJobByTag(db, (await params).tag);
  if (!("job" in found)) return new Response(found.message, { status: 404 });
  const { job } = found;
  const report = getReport(db, job, {
    opened: dateWords(job.openedAt),
    closed: job.closedAt ? dateWords(job.closedAt) : null,
    next: (months) =>
      dateWords(
        DateTime.fromISO(job.closedAt ?? today())
          .plus({ months })
          .toISO()!,
      ),
  });
  return pdfResponse(await reportPdf(report), `report-${job.tag}.pdf`);
}
