import { GaugesSheet } from "@/ui/gauges/gauges-sheet";

export const metadata = { title: "Gauges" };

export default function GaugesPage() {
  return <GaugesSheet />;
}
