"use client";
import { useAct } from "@/ui/act/use-act";
import { MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import type { StationId } from "./stations-words";

interface Props {
  readonly head: BenchHead;
  readonly station: StationId;
  /** What lies in the tray, in the order it came off. */
  readonly pieces: readonly { readonly well: number; readonly label: string }[];
}

/** A station that needs the machine's structure, for a reel that has none yet: what its tray holds makes one in one press. */
export function NoSchematic({ head, station, pieces }: Props) {
  const making = useAct("make-schematic");
  return (
    <BenchSheet
      head={head}
      station={station}
      act={
        pieces.length && !head.closed ? (
          <MainKey busy={making.busy} words="Make the schematic" onPress={() => making.press({ jobId: head.jobId })}>
            Make a schematic of these {pieces.length}
          </MainKey>
        ) : (
          <NextLink href={`/bench/${head.tag}/strip`} words="Strip it" />
        )
      }
    >
      <h1>This reel has no schematic yet</h1>
      <p className="mt-2">
        {pieces.length
          ? `${pieces.length} ${pieces.length === 1 ? "piece lies" : "pieces lie"} in the tray. Make the schematic from them; cleaning, rebuilding and proving follow it.`
          : "Stripping the reel makes one: press the kind of each part as it comes off, then make the schematic with one press."}
      </p>
      <Refused of={[making]} />
      <ol className="mt-2 columns-3" aria-label="In the tray">
        {pieces.map(({ well, label }) => (
          <li key={well}>
            <span className="num">{well}</span> {label}
          </li>
        ))}
      </ol>
    </BenchSheet>
  );
}
