import type { FindProps } from "./find-props";

interface Props extends Pick<FindProps, "looks" | "made" | "isolations"> {
  readonly closed: boolean;
  readonly busy: boolean;
  readonly onAnswer: (finding: string, so: boolean | null) => void;
}

/** One question at a time, large, answered by the keys; what else could be looked at is folded. Beneath it which side to open, and what was answered. */
export function NextCheck({ looks, made, isolations, closed, busy, onAnswer }: Props) {
  const [first, ...others] = looks;
  return (
    <div className="flex flex-col gap-3">
      <div className="border-2 border-ink p-3">
        <h2 className="text-note font-normal">Check this next</h2>
        {first ? (
          <>
            <p className="text-head font-semibold leading-8">{first.how}</p>
            <p>
              <span className="num">{first.minutes}</span> min{first.opening && `, ${first.opening}`}.
            </p>
            <p className="text-note">{first.why}</p>
          </>
        ) : (
          <p>No further check would help.</p>
        )}
        {others.length > 0 && (
          <details>
            <summary className="act-link min-h-10">Other checks ({others.length})</summary>
            <ol className="flex flex-col gap-2">
              {others.map((one) => (
                <li key={one.finding} className="rule-row pb-2">
                  <p>{one.how}</p>
                  <p className="text-note">
                    <span className="num">{one.minutes}</span> min{one.opening && `, ${one.opening}`}. {one.why}
                  </p>
                  {!closed && (
                    <span className="mt-1 flex gap-1">
                      {([true, false] as const).map((so) => (
                        <button
                          key={String(so)}
                          type="button"
                          className="key key-small"
                          disabled={busy}
                          aria-label={`${one.name}: ${so ? "yes" : "no"}`}
                          onClick={() => onAnswer(one.finding, so)}
                        >
                          {so ? "Yes" : "No"}
                        </button>
                      ))}
                    </span>
                  )}
                </li>
              ))}
            </ol>
          </details>
        )}
      </div>
      <div>
        <h2>Open this first</h2>
        {isolations.length ? (
          isolations.map((isolation, index) => (
            <p key={isolation.section} className={index === 0 ? "font-semibold" : "mt-1"}>
              {isolation.open}
              {index === 0 && <span className="block font-normal text-note">{isolation.because}</span>}
            </p>
          ))
        ) : (
          <p>Tests don't point to a side yet.</p>
        )}
      </div>
      {made.length > 0 && (
        <div>
          <h3>Checked</h3>
          <ul className="flex flex-wrap gap-1">
            {made.map((one) => (
              <li key={one.finding}>
                <button
                  type="button"
                  className="key key-small"
                  disabled={busy || closed}
                  aria-label={`${one.so ? "" : "not: "}${one.name} ✕, take the answer back`}
                  onClick={() => onAnswer(one.finding, null)}
                >
                  {one.so ? "" : "not: "}
                  {one.name} ✕
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
