import type { Suspect } from "@/core/diagnosis/suspect";
import type { FindProps } from "./find-props";

const share = (p: number) => (p >= 0.995 ? "sure" : `${Math.round(p * 100)}%`);

interface Props extends Pick<FindProps, "through" | "nothing" | "leftOut"> {
  readonly shown: readonly Suspect[];
  readonly openId: string | null;
  /** Faults possible in this reel, whether anything speaks for them or not. */
  readonly possible: number;
  readonly all: boolean;
  readonly onAll: () => void;
  readonly onOpen: (faultId: string) => void;
}

/** What is most likely wrong, how likely, and what the reel seems to have been through. */
export function LikelyFaults({ shown, openId, through, nothing, leftOut, possible, all, onAll, onOpen }: Props) {
  return (
    <div>
      <div className="flex items-end justify-between gap-2">
        <h2>Most likely faults</h2>
        <span className="text-note">
          nothing wrong: <span className="num">{share(nothing)}</span>
        </span>
      </div>
      {through.length > 0 && (
        <p className="text-note">
          Pattern:{" "}
          {through.map(({ words, probability }, i) => (
            <span key={words}>
              {i > 0 && ", "}
              {words} <span className="num">{share(probability)}</span>
            </span>
          ))}
          . These faults usually come together.
        </p>
      )}
      <ul>
        {shown.map((suspect) => (
          <li key={suspect.id} className="rule-row flex items-center gap-2 py-1">
            <button
              type="button"
              className="flex min-h-10 min-w-0 flex-1 items-center gap-2 text-left"
              aria-pressed={openId === suspect.id}
              onClick={() => onOpen(suspect.id)}
            >
              <Bar p={suspect.settled === false ? 0 : suspect.probability} />
              <span className={`${openId === suspect.id ? "text-ink" : "text-brass"} font-semibold`}>{suspect.name}</span>
            </button>
            <span className="num w-20 shrink-0 text-right text-note">
              {suspect.settled === true ? "proved" : suspect.settled === false ? "ruled out" : share(suspect.probability)}
            </span>
          </li>
        ))}
      </ul>
      {!shown.length && <p>Nothing found points to a fault.</p>}
      <button type="button" className="key key-small mt-2" aria-pressed={all} onClick={onAll}>
        {all ? "Only faults with evidence" : `All faults possible in this reel (${possible})`}
      </button>
      {leftOut.length > 0 && <p className="text-note">Too many linked faults to weigh at once; left out: {leftOut.join(", ")}.</p>}
    </div>
  );
}

/** How likely, as a bar of ten strokes: seen from across the bench. */
function Bar({ p }: { p: number }) {
  return (
    <svg width="62" height="16" aria-hidden="true" className="shrink-0">
      {Array.from({ length: 10 }, (_, i) => (
        // Ten strokes in a row have no names of their own.
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        <path key={i} d={`M${2 + i * 6} 2v12`} className={i < Math.round(p * 10) ? "ln-outline" : "ln-hatch"} />
      ))}
    </svg>
  );
}
