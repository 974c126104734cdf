import { fileResponse, reportFile } from "@/app/server/files";
import { serviceCalendar } from "@/formats/service-ics";

/** The reel's next dates as a calendar file. */
export const GET = reportFile((report, job) =>
  fileResponse(serviceCalendar(report, job.closedAt ?? new Date().toISOString()), "text/calendar; charset=utf-8", `service-${job.tag}.ics`),
);
