import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { dragOfReel, seatsOfKind } from "@/data/gauges/gauges";
import { GearingSheet } from "@/ui/gauges/gearing-sheet";

export const metadata = { title: "Gearing" };

export default async function GearingPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const drag = opened ? dragOfReel(db, opened.job) : null;
  const gear = opened ? seatsOfKind(db, opened.job, "gear")[0]?.shape : undefined;
  const pinion = opened ? seatsOfKind(db, opened.job, "pinion")[0]?.shape : undefined;
  const own =
    drag && gear?.kind === "gear" && pinion?.kind === "pinion"
      ? [
          {
            name: `${gear.teeth} and ${pinion.teeth} teeth, as its schematic has them`,
            values: {
              handleTurns: String(pinion.teeth),
              spoolTurns: String(gear.teeth),
              offTurns: "0",
              fullMm: String(drag.fullRadiusMm * 2),
              ...(drag.arborRadiusMm ? { emptyMm: String(drag.arborRadiusMm * 2) } : {}),
            },
          },
        ]
      : [];
  return <GearingSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} own={own} />;
}
