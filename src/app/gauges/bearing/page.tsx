import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { listCatalogue, seatsOfKind } from "@/data/gauges/gauges";
import { BearingSheet } from "@/ui/gauges/bearing-sheet";

export const metadata = { title: "Bearing" };

export default async function BearingPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const own = opened
    ? seatsOfKind(db, opened.job, "bearing").flatMap(({ name, shape }) =>
        shape.kind === "bearing"
          ? [
              {
                name,
                values: {
                  boreMm: String(shape.boreMm),
                  outsideMm: String(shape.outsideMm),
                  widthMm: String(shape.widthMm),
                  water: opened.job.intake.water,
                },
              },
            ]
          : [],
      )
    : [];
  return (
    <BearingSheet
      key={opened?.shown.tag ?? ""}
      job={opened?.shown ?? null}
      own={own}
      catalogue={listCatalogue(db, ["bearing", "sleeve"])}
    />
  );
}
