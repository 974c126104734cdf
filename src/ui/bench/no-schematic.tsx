import { NextLink } from "@/ui/controls/next-link";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import type { StationId } from "./stations-words";

/** A station that needs the machine's structure, for a reel that has none yet. */
export function NoSchematic({ head, station }: { head: BenchHead; station: StationId }) {
  return (
    <BenchSheet head={head} station={station} act={<NextLink href={`/bench/${head.tag}/strip`} words="Strip it" />}>
      <h1>This reel has no schematic yet</h1>
      <p className="mt-2">The teardown makes one: press the kind of each part as it comes off, then make the schematic in one press.</p>
    </BenchSheet>
  );
}
