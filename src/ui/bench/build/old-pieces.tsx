import Link from "next/link";
import { renewalByRule } from "@/core/teardown/seal-unit";
import type { StepAtBuild } from "@/core/teardown/step";
import { oldPieceReasons } from "@/core/vocabulary/build-reasons";
import { ReasonChoice } from "@/ui/controls/reason-choice";

interface Props {
  readonly old: readonly StepAtBuild[];
  readonly tag: string;
  readonly faultNames: Readonly<Record<string, string>>;
  readonly reason: string;
  readonly error: string | undefined;
  readonly onReason: (reason: string) => void;
}

/** Old pieces of faults that were proved: they are renewed first, or go back by a word. */
export function OldPieces({ old, tag, faultNames, reason, error, onReason }: Props) {
  return (
    <section className="alarm mt-2" aria-label="Old piece">
      {old.map(({ operation, position, well }) => (
        <p key={operation.id}>
          {position?.name}: the old one.{" "}
          {well!.toRenew
            .map((id) => (renewalByRule(id) === null ? `${faultNames[id] ?? id}: proved on this reel.` : `${renewalByRule(id)}.`))
            .join(" ")}{" "}
          <Link className="act-link" href={`/bench/${tag}/parts`}>
            Fit a new one at Parts
          </Link>
        </p>
      ))}
      <ReasonChoice
        label="Reason for refitting the old one (kept in the journal)"
        reasons={oldPieceReasons}
        reason={reason}
        error={error}
        onReason={onReason}
      />
    </section>
  );
}
