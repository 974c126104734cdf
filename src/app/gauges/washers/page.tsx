import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { dragOfReel } from "@/data/gauges/gauges";
import { WashersSheet } from "@/ui/gauges/washers-sheet";

export const metadata = { title: "Tension washers" };

export default async function WashersPage(props: GaugeProps) {
  const { db, opened } = await gaugeJob(props);
  const springs = opened ? dragOfReel(db, opened.job).springs : [];
  return <WashersSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} discs={springs} pitchMm={0.75} />;
}
