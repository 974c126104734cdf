import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { GaugesSheet } from "@/ui/gauges/gauges-sheet";

export const metadata = { title: "Gauges" };

export default async function GaugesPage(props: GaugeProps) {
  const { opened } = await gaugeJob(props);
  return <GaugesSheet job={opened?.shown ?? null} />;
}
