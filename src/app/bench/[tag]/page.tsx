import { redirect } from "next/navigation";
import { loadBench, type StationProps } from "@/app/server/bench-head";

/** A scanned tag opens the station the job has reached. */
export default async function JobPage(props: StationProps) {
  const { job } = await loadBench(props);
  redirect(`/bench/${job.tag}/${job.station === "closed" ? "return" : job.station}`);
}
