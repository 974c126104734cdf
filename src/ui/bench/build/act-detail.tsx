import type { PartType } from "@/core/anatomy/types";
import { fittedOf } from "@/core/hands/up-to-check";
import { buildCautions } from "@/core/safety/act-cautions";
import type { StepAtBuild } from "@/core/teardown/step";
import { Cautions } from "@/ui/bench/cautions";
import { ActRows } from "./act-rows";
import { ScrewRingView } from "./screw-ring-view";

interface Props {
  readonly name: string;
  /** The steps that hands do as one. */
  readonly steps: readonly StepAtBuild[];
  readonly ring: Parameters<typeof ScrewRingView>[0]["ring"];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly warmed: Parameters<typeof buildCautions>[1];
  readonly onAlone: (operationId: string) => void;
}

/** What hands do as one: its name, the wells its parts lie in, the cautions of all of them, and each part. */
export function ActDetail({ name, steps, ring, partTypes, warmed, onAlone }: Props) {
  const wells = [...new Set(steps.flatMap(({ operation, well }) => (operation.kind === "place" && well ? [well.well] : [])))];
  return (
    <div className="mt-3">
      <div className="flex items-start gap-4">
        <div className="flex-1">
          <h1>{name}</h1>
          {wells.length > 0 && (
            <p className="text-head">
              From {wells.length > 1 ? "wells" : "well"} <span className="num">{wells.join(", ")}</span>
            </p>
          )}
        </div>
        {ring.length > 0 && <ScrewRingView ring={ring} hereId={null} />}
      </div>
      <Cautions said={buildCautions(steps.map(fittedOf(partTypes)), warmed)} />
      <ActRows steps={steps} partTypes={partTypes} onAlone={onAlone} />
    </div>
  );
}
