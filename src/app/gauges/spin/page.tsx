import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { SpinSheet } from "@/ui/gauges/small-gauges";
import { keepWithJob } from "../actions";

export const metadata = { title: "Spin" };

export default async function SpinPage(props: GaugeProps) {
  const { opened } = await gaugeJob(props);
  return <SpinSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} keep={keepWithJob} />;
}
