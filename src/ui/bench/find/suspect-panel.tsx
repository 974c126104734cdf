import { lowered } from "@/core/account/counted-names";
import type { Suspect } from "@/core/diagnosis/suspect";
import { Cautions } from "@/ui/bench/cautions";
import { sectionWords } from "@/ui/bench/section-words";

interface Props {
  readonly suspect: Suspect;
  readonly cautions: readonly string[];
  readonly closed: boolean;
  readonly busy: boolean;
  readonly onSettle: (proved: boolean | null) => void;
}

/** One fault: how it feels and is told, what speaks for it and against, its remedy; a person proves it or rules it out. */
export function SuspectPanel({ suspect, cautions, closed, busy, onSettle }: Props) {
  return (
    <div className="flex flex-col gap-2 self-start border-2 border-ink p-3">
      <h2>{suspect.name}</h2>
      <p className="text-note">
        {sectionWords[suspect.section]}. Feels like: {suspect.feltAs}. How to tell: {suspect.tellBy}
      </p>
      {suspect.reasons.length > 0 && (
        <ul>
          {suspect.reasons.map((reason) => (
            <li key={reason.words}>
              <span className="num">{reason.bits > 0 ? "+" : "−"}</span>{" "}
              {reason.there ? reason.words : `not found: ${lowered(reason.words)}`}
            </li>
          ))}
        </ul>
      )}
      <p>
        Remedy: {suspect.remedy}, <span className="num">{suspect.minutes}</span> min (typical).
      </p>
      <Cautions said={cautions} />
      {!closed && (
        <div className="flex flex-wrap gap-2">
          {([true, false] as const).map((proved) => (
            <button
              key={String(proved)}
              type="button"
              className="key"
              aria-pressed={suspect.settled === proved}
              disabled={busy}
              onClick={() => onSettle(suspect.settled === proved ? null : proved)}
            >
              {proved ? "Proved" : "Ruled out"}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
