"use client";
import { memo, useDeferredValue } from "react";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { cutaway } from "@/core/schematic/cutaway";
import type { StepAtBuild } from "@/core/teardown/step";
import { CutawayView } from "@/ui/glyphs/cutaway-view";

interface Props {
  readonly steps: readonly StepAtBuild[];
  /** The step under the hand; null when nothing is left to fit. */
  readonly leadId: string | null;
  readonly anatomy: Anatomy;
  readonly partTypes: ReadonlyMap<string, PartType>;
  /** Seats that were never emptied, so they are in from the start. */
  readonly neverOff: readonly string[];
  /** The joint as it was opened. */
  readonly photoHash: string | null;
}

/** The assembly under the hand as it should look now, the next part over its seat. It follows a press by a moment. */
export function SeatPicture(props: Props) {
  return <Picture {...props} steps={useDeferredValue(props.steps)} leadId={useDeferredValue(props.leadId)} />;
}

const Picture = memo(function Picture({ steps, leadId, anatomy, partTypes, neverOff, photoHash }: Props) {
  const lead = steps.find(({ operation }) => operation.id === leadId) ?? null;
  // A check or a tightening has no part of its own: the assembly of the step before it is what lies under the hand.
  const before = lead ? steps.slice(0, steps.indexOf(lead)) : steps;
  const about = lead?.position ?? before.findLast((step) => step.position)?.position;
  const assembly = about && anatomy.assemblies.find(({ id }) => id === about.assemblyId);
  if (!assembly) return null;
  const seated = new Set([
    ...neverOff,
    ...steps.filter((step) => step.operation.kind === "place" && step.state === "done").map((step) => step.position!.id),
  ]);
  const placing = lead?.operation.kind === "place" && lead.state !== "done" ? about.id : null;
  const view = cutaway(anatomy, partTypes, assembly.id, seated, placing);
  return (
    <div className="relative h-[210px] border border-ink lg:h-[300px]">
      <p className="absolute top-1 left-2 z-10 bg-sheet px-1 text-note">{assembly.name}, as it should look now</p>
      <CutawayView drawing={view} title={`${assembly.name} as it should look now${view.next ? `, ${view.next.name} over its seat` : ""}`} />
      {photoHash && (
        // biome-ignore lint/performance/noImgElement: a private picture of this server, sized at upload
        <img
          src={`/api/photos/${photoHash}`}
          alt="The joint as it was opened"
          className="absolute top-0 right-0 h-full max-w-[48%] border-l border-ink bg-sheet object-contain"
        />
      )}
    </div>
  );
});
