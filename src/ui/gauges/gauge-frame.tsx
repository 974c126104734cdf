"use client";
import Link from "next/link";
import type { ReactNode } from "react";
import type { InputNamed } from "@/core/acts/acts";
import type { Figure } from "@/core/measures/taken";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

/** The reel a gauge was opened for. */
export interface GaugeJob {
  readonly jobId: number;
  readonly tag: string;
  readonly reel: string;
  readonly closed: boolean;
}

export const gaugeNames = {
  "": "Pull, units",
  drag: "Drag",
  washers: "Tension washers",
  bearing: "Bearing",
  screw: "Thread",
  spin: "Spin",
  gearing: "Gearing",
  line: "Line",
  picture: "Picture",
} as const;
export type GaugeId = keyof typeof gaugeNames;

interface Props {
  readonly gauge: InputNamed<"keep-gauge">["gauge"];
  readonly job: GaugeJob | null;
  /** What is kept with the job, copied as text, and copied as a table; null while nothing can be computed. */
  readonly result: {
    readonly words: string;
    readonly csv: string;
    readonly input: object;
    /** Figures with their interval, for the reel's series over the visits. */
    readonly figures?: readonly (Figure & { readonly name: string; readonly unit: string })[];
  } | null;
  readonly children: ReactNode;
}

/** A gauge's sheet: the others along the top, its result to be copied or kept along the bottom. */
export function GaugeFrame({ gauge, job, result, children }: Props) {
  const act = useAct("keep-gauge");
  const copy = (text: string) => void navigator.clipboard?.writeText(text);
  return (
    <Sheet
      fill
      top={<GaugeTabs here={gauge} job={job} />}
      act={
        <>
          {job && !job.closed && (
            <Key
              className="key-main"
              shortcut=" "
              words="Save to job"
              busy={act.busy}
              disabled={!result}
              onPress={() =>
                result &&
                act.press({
                  jobId: job.jobId,
                  gauge,
                  input: result.input as InputNamed<"keep-gauge">["input"],
                  words: result.words,
                  figures: result.figures ?? [],
                })
              }
            >
              Save with {job.tag}
            </Key>
          )}
          <Key shortcut="t" words="Copy as text" disabled={!result} onPress={() => result && copy(result.words)}>
            Copy as text
          </Key>
          <Key shortcut="v" words="Copy as CSV" disabled={!result} onPress={() => result && copy(result.csv)}>
            Copy as CSV
          </Key>
        </>
      }
      block={
        <CornerBlock
          cells={
            job
              ? [
                  { label: "Tag", value: job.tag, large: true },
                  { label: "Reel", value: job.reel },
                ]
              : [{ label: "Gauge", value: gaugeNames[gauge], large: true }]
          }
        />
      }
    >
      <Refused of={[act]} />
      {children}
    </Sheet>
  );
}

/** The gauges side by side; opened for a reel they stay with it. */
export function GaugeTabs({ here, job }: { here: GaugeId; job: GaugeJob | null }) {
  return (
    <nav aria-label="Gauges" className="flex overflow-x-auto border-b border-ink">
      {(Object.entries(gaugeNames) as [GaugeId, string][]).map(([id, name]) => (
        <Link
          key={id}
          href={`/gauges${id && `/${id}`}${job ? `?job=${job.tag}` : ""}`}
          aria-current={id === here ? "page" : undefined}
          className={`flex min-h-14 items-center px-4 ${id === here ? "text-head font-semibold" : "font-semibold text-brass"}`}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
