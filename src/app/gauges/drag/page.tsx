import { dragOfReel } from "@/data/gauges/gauges";
import { DragSheet } from "@/ui/gauges/drag-sheet";
import { getDb } from "../../server";
import { keepWithJob } from "../actions";
import { type GaugeProps, gaugeJob } from "../gauge-job";

export const metadata = { title: "Drag" };

export default async function DragPage(props: GaugeProps) {
  const opened = await gaugeJob(props);
  const drag = opened ? dragOfReel(getDb(), opened.job) : null;
  return (
    <DragSheet
      key={opened?.shown.tag ?? ""}
      job={opened?.shown ?? null}
      stack={drag?.stack ?? []}
      springs={drag?.springs ?? []}
      ratio={drag?.ratio ?? null}
      arborRadiusMm={drag?.arborRadiusMm ?? null}
      fullRadiusMm={drag?.fullRadiusMm ?? null}
      lever={drag?.lever ?? false}
      keep={keepWithJob}
    />
  );
}
