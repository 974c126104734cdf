"use client";
import { memo, useDeferredValue } from "react";
import type { PartType, Position } from "@/core/anatomy/types";
import { mayBeAsbestos } from "@/core/safety/linings";
import type { Well } from "@/core/teardown/well";
import type { Choice } from "@/core/ways/ways";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { PictureKey } from "@/ui/bench/picture-key";
import { LessonForm } from "./lesson-form";
import { LiningChoice } from "./lining-choice";
import { WellForm } from "./well-form";

interface Props {
  readonly head: BenchHead;
  readonly shown: Well;
  readonly seats: ReadonlyMap<string, Position>;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly bearings: Choice<"bearings">;
}

/** The well that is looked at, with its picture and what it teaches; it follows a press by a moment, as the tray does. */
export function WellAside(props: Props) {
  return <Aside {...props} shown={useDeferredValue(props.shown)} />;
}

const Aside = memo(function Aside({ head, shown, seats, partTypes, bearings }: Props) {
  const position = seats.get(shown.positionId);
  if (!position) return null;
  const type = partTypes[position.partTypeId]!;
  const lining = <LiningChoice jobId={head.jobId} closed={head.closed} positionId={shown.positionId} type={type} />;
  const doubtful = mayBeAsbestos(type);
  return (
    <div key={shown.positionId} className="flex flex-col gap-3">
      {doubtful && lining}
      <WellForm head={head} shown={shown} position={position} type={type} at="strip" bearings={bearings} />
      {!doubtful && lining}
      <PictureKey head={head} place={{ positionId: shown.positionId }} photoHash={shown.photoHash} />
      <details>
        <summary className="act-link min-h-10">Note for this model</summary>
        <LessonForm head={head} position={position} />
      </details>
    </div>
  );
});
