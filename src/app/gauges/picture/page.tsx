import { type GaugeProps, gaugeJob } from "@/app/server/gauge-job";
import { PictureSheet } from "@/ui/gauges/picture-sheet";

export const metadata = { title: "Picture" };

export default async function PicturePage(props: GaugeProps) {
  const { opened } = await gaugeJob(props);
  return <PictureSheet key={opened?.shown.tag ?? ""} job={opened?.shown ?? null} />;
}
