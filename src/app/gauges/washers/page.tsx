import { dragOfReel } from "@/data/gauges/gauges";
import { WashersSheet } from "@/ui/gauges/washers-sheet";
import { getDb } from "../../server";
import { keepWithJob } from "../actions";
import { type GaugeProps, gaugeJob } from "../gauge-job";

export const metadata = { title: "Tension washers" };

export default async function WashersPage(props: GaugeProps) {
  const opened = await gaugeJob(props);
  const springs = opened ? dragOfReel(getDb(), opened.job).springs : [];
  return <WashersSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} discs={springs} pitchMm={0.75} keep={keepWithJob} />;
}
