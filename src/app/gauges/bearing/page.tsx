import { listCatalogue, seatsOfKind } from "@/data/gauges/gauges";
import { BearingSheet } from "@/ui/gauges/small-gauges";
import { getDb } from "../../server";
import { keepWithJob } from "../actions";
import { type GaugeProps, gaugeJob } from "../gauge-job";

export const metadata = { title: "Bearing" };

export default async function BearingPage(props: GaugeProps) {
  const opened = await gaugeJob(props);
  const db = getDb();
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
      keep={keepWithJob}
      own={own}
      catalogue={listCatalogue(db, ["bearing", "sleeve"])}
    />
  );
}
