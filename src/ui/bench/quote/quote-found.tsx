import { type FaultOutcome, faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import type { QuoteProps } from "./quote-props";
import type { QuotePresses } from "./use-quote";

/** What the customer reported and what was found of it, each with what becomes of it. */
export function QuoteFound({ props, presses }: { props: QuoteProps; presses: QuotePresses }) {
  const { faults, head, reported } = props;
  return (
    <>
      {reported && <p>Reported: {reported}</p>}
      {faults.length > 0 && (
        <ul className="mt-1" aria-label="What was found">
          {faults.map(({ faultId, name, outcome }) => (
            <li key={faultId} className="rule-row flex flex-wrap items-center justify-between gap-x-3 py-1">
              <strong className={outcome ? "line-through" : ""}>{name}</strong>
              <select
                aria-label={`What to do about: ${name}`}
                className="min-h-9 w-64"
                disabled={head.closed || presses.leaving.busy}
                value={outcome ?? ""}
                onChange={(event) => presses.leaveFault(faultId, (event.target.value as FaultOutcome) || null)}
              >
                <option value="">repair it here</option>
                {Object.entries(faultOutcomes).map(([id, way]) => (
                  <option key={id} value={id}>
                    {way.name}
                  </option>
                ))}
              </select>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
