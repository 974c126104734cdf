import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { listCatalogue, seatsOfKind } from "@/data/gauges/gauges";
import { ScrewSheet } from "@/ui/gauges/screw-sheet";

export const metadata = { title: "Thread" };

export default async function ScrewPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const own = opened
    ? seatsOfKind(db, opened.job, "screw").flatMap(({ name, shape }) =>
        shape.kind === "screw"
          ? [
              {
                name,
                values: { of: "screw", diameterMm: String(Math.round((shape.threadMm - 0.07) * 100) / 100), overMm: "", threads: "" },
              },
            ]
          : [],
      )
    : [];
  return <ScrewSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} own={own} catalogue={listCatalogue(db, ["screw"])} />;
}
