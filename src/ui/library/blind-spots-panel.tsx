"use client";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { shown } from "@/ui/gauges/figures/typed";

export interface BlindSpotsProps {
  readonly modelId: string;
  readonly versionNumber: number;
  /** How many single mistakes a build allows, and what of them passes every check the playbook has. */
  readonly mistakes: number;
  readonly passing: readonly string[];
  /** Checks that could be added, the most telling for their time first. */
  readonly offers: readonly { readonly id: string; readonly words: string; readonly minutes: number; readonly shows: number }[];
  /** The least set that shows everything. */
  readonly cover: readonly string[];
  readonly coverMinutes: number;
  readonly proven: boolean;
}

/** What this model's checks do not see: wrong builds that would close and pass, and the check that would show most of them. */
export function BlindSpotsPanel({ modelId, versionNumber, mistakes, passing, offers, cover, coverMinutes, proven }: BlindSpotsProps) {
  const taking = useAct("take-check");
  return (
    <details className="mt-6 border-t border-ink pt-2">
      <summary className="act-link min-h-10">
        {passing.length
          ? `${passing.length} of ${mistakes} single mistakes pass every check of this playbook`
          : `All ${mistakes} single mistakes are seen by a check`}
      </summary>
      <Refused of={[taking]} />
      <div className="grid gap-6 lg:grid-cols-2">
        <div>
          <h2>Would close up and pass</h2>
          <ul className="mt-1 columns-2">
            {passing.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
        <div>
          <h2>Checks that would show them</h2>
          <ul className="mt-1 flex flex-col gap-2">
            {offers.map((offer) => (
              <li key={offer.id} className="rule-row flex flex-wrap items-center gap-3 pb-2">
                <span className="flex-1">
                  {offer.words}{" "}
                  <span className="text-note">
                    shows {offer.shows}, about {shown(offer.minutes, 2)} min
                  </span>
                </span>
                <button
                  type="button"
                  className="key key-small"
                  disabled={taking.busy}
                  aria-label={`Take over: ${offer.words}`}
                  onClick={() => taking.press({ modelId, baseNumber: versionNumber, checkId: offer.id })}
                >
                  Take over
                </button>
              </li>
            ))}
          </ul>
          <p className="text-note">
            The least set that shows every one takes about {shown(coverMinutes, 2)} min{proven ? " (proven)" : " (not proven)"}:{" "}
            {cover.join("; ")}.
          </p>
        </div>
      </div>
    </details>
  );
}
