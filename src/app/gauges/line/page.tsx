import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { dragOfReel, seatsOfKind } from "@/data/gauges/gauges";
import { LineSheet } from "@/ui/gauges/line-sheet";

export const metadata = { title: "Line" };

export default async function LinePage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const drag = opened ? dragOfReel(db, opened.job) : null;
  const spool = opened ? seatsOfKind(db, opened.job, "spool")[0]?.shape : undefined;
  const own =
    drag && spool?.kind === "spool"
      ? [
          {
            name: "Its own spool",
            values: { arborMm: String(spool.arborMm), fullMm: String(drag.fullRadiusMm * 2), widthMm: String(spool.widthMm) },
          },
        ]
      : [];
  return <LineSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} own={own} />;
}
