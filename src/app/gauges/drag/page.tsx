import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { dragOfReel } from "@/data/gauges/gauges";
import { numbersOfModel } from "@/data/gauges/model-numbers";
import { machineOf } from "@/data/jobs/machine";
import { DragSheet } from "@/ui/gauges/drag-sheet";

export const metadata = { title: "Drag" };

export default async function DragPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const drag = opened ? dragOfReel(db, opened.job) : null;
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
      pulls={drag?.pulls ?? []}
      own={opened ? numbersOfModel(db, machineOf(db, opened.job).model) : null}
    />
  );
}
