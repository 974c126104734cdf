import ical, { ICalCalendarMethod, ICalEventTransparency } from "ical-generator";
import type { Report } from "@/core/report/report";

/**
 * The next service of a reel by component as an iCalendar file (RFC 5545): one whole-day event each, with a reminder a week before.
 * @param stamp the instant the file speaks of (ISO); the same report gives the same file.
 */
export function serviceCalendar(report: Pick<Report, "tag" | "reel" | "serial" | "shopName" | "due">, stamp: string): string {
  const calendar = ical({
    name: `${report.reel}: service`,
    prodId: { company: "Zorbek", product: "service dates", language: "EN" },
    method: ICalCalendarMethod.PUBLISH,
  });
  for (const due of report.due) {
    const event = calendar.createEvent({
      id: `${report.tag}-${due.id}@zorbek.invalid`,
      stamp: new Date(stamp),
      start: new Date(`${due.on}T00:00:00Z`),
      timezone: "UTC",
      allDay: true,
      transparency: ICalEventTransparency.TRANSPARENT,
      summary: `${report.reel}: ${due.component}`,
      description: `${due.what}${due.byOwner ? " (yourself)" : ` (at ${report.shopName})`}. ${due.because}. Tag ${report.tag}${report.serial ? `, serial ${report.serial}` : ""}.`,
    });
    event.createAlarm({ trigger: 7 * 24 * 3600 });
  }
  return calendar.toString();
}
