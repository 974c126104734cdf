import { serviceCalendar } from "@/formats/service-ics";
import { reportOf, type TagParams } from "../report-route";

/** The reel's next dates as a calendar file. */
export async function GET(_request: Request, props: TagParams): Promise<Response> {
  const found = await reportOf(props);
  if (found instanceof Response) return found;
  const { job, report } = found;
  return new Response(serviceCalendar(report, job.closedAt ?? new Date().toISOString()), {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `attachment; filename="service-${job.tag}.ics"`,
      "cache-control": "no-store",
    },
  });
}
