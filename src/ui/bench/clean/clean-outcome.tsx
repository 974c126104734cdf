"use client";
import type { PartType } from "@/core/anatomy/types";
import { judgeClean } from "@/core/cleaning/judge-clean";
import { type CleanOutcome, cleanOutcomeIds, cleanOutcomes } from "@/core/vocabulary/clean-outcomes";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly positionId: string;
  readonly name: string;
  readonly type: PartType;
  readonly outcome: CleanOutcome | null;
  readonly closed: boolean;
}

/** How a part came out, where it did not simply come clean: by one press, and what follows from it. */
export function CleanOutcomeChoice({ jobId, positionId, name, type, outcome, closed }: Props) {
  const act = useAct("seat-outcome");
  const follows = outcome && judgeClean(type, outcome);
  return (
    <div className="mb-3">
      <fieldset className="flex flex-wrap gap-2">
        <legend>How it came out</legend>
        <button
          type="button"
          className="key key-small"
          aria-label={`${name}: clean`}
          aria-pressed={outcome === null}
          disabled={closed || act.busy}
          onClick={() => outcome !== null && act.press({ jobId, positionId, clean: null })}
        >
          Clean
        </button>
        {cleanOutcomeIds.map((id) => (
          <button
            key={id}
            type="button"
            className="key key-small"
            aria-label={`${name}: ${cleanOutcomes[id].name.toLowerCase()}`}
            aria-pressed={outcome === id}
            disabled={closed || act.busy}
            onClick={() => act.press({ jobId, positionId, clean: outcome === id ? null : id })}
          >
            {cleanOutcomes[id].name}
          </button>
        ))}
      </fieldset>
      {follows && (
        <p className="mt-1 border-l-4 border-ink pl-2 font-semibold" role="note">
          {follows}
        </p>
      )}
      <Refused of={[act]} beside />
    </div>
  );
}
