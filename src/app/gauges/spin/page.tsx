import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { seatsOfKind } from "@/data/gauges/gauges";
import { numbersOfModel } from "@/data/gauges/model-numbers";
import { machineOf } from "@/data/jobs/machine";
import { SpinSheet } from "@/ui/gauges/spin-sheet";

export const metadata = { title: "Spin" };

export default async function SpinPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const spool = opened ? seatsOfKind(db, opened.job, "spool")[0]?.shape : undefined;
  const version = opened ? machineOf(db, opened.job) : null;
  const inertia = version ? numbersOfModel(db, version.model).values.spoolInertia : undefined;
  const own =
    version && spool?.kind === "spool"
      ? [
          {
            name: "Its own spool",
            values: {
              arborMm: String(spool.arborMm),
              lineMm: String(version.lineRadiusMm * 2),
              widthMm: String(spool.widthMm),
              ...(inertia ? { inertia: String(inertia) } : {}),
            },
          },
        ]
      : [];
  return <SpinSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} own={own} />;
}
