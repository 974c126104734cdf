import type { ReactNode } from "react";
import { formatMinor } from "@/core/money/money";
import type { PieceLine } from "@/core/quote/kit-lines";

/** A new piece, or all of a kit, as one line with its own no. */
export function QuotedPieces({
  line,
  seat,
  closed,
  cover,
  onRemove,
  onNo,
}: {
  line: PieceLine;
  seat: string | null;
  closed: boolean;
  cover: ReactNode;
  onRemove: () => void;
  onNo: () => void;
}) {
  const called = seat === null ? line.words : `${line.words} for ${seat}`;
  return (
    <tr>
      <td>
        {line.words}
        {seat !== null && <span className="text-note"> for {seat}</span>}
      </td>
      <td />
      <td className="num text-right">{formatMinor(line.priceMinor)}</td>
      <td className="text-right whitespace-nowrap">
        {cover}
        {!closed && (
          <>
            <button type="button" className="act-link min-h-8" onClick={onRemove} aria-label={`Remove ${line.words}`}>
              remove
            </button>
            <button type="button" className="act-link ml-3 min-h-8" onClick={onNo} aria-label={`They say no: ${called}`}>
              they say no
            </button>
          </>
        )}
      </td>
    </tr>
  );
}

/** New parts beside the quote: those the customer said no to, and those that may come on top once the reel lies open. */
export function MoreParts({
  declined,
  may,
  nameOf,
  closed,
  onYes,
  onAdd,
}: {
  declined: readonly string[];
  may: readonly { readonly positionId: string; readonly priceMinor: number }[];
  nameOf: (positionId: string) => string;
  closed: boolean;
  onYes: (positionId: string) => void;
  onAdd: (positionId: string) => void;
}) {
  return (
    <>
      {declined.length > 0 && (
        <div className="mt-3">
          <h3>The customer said no to</h3>
          <ul>
            {declined.map((positionId) => (
              <li key={positionId} className="rule-row flex items-center justify-between gap-2">
                A new {nameOf(positionId).toLowerCase()}
                {!closed && (
                  <button
                    type="button"
                    className="act-link min-h-10"
                    aria-label={`Yes after all: ${nameOf(positionId)}`}
                    onClick={() => onYes(positionId)}
                  >
                    yes after all
                  </button>
                )}
              </li>
            ))}
          </ul>
        </div>
      )}
      {may.length > 0 && (
        <div className="mt-3">
          <h3>
            May be added once it is open: up to{" "}
            <span className="num">{formatMinor(may.reduce((total, { priceMinor }) => total + priceMinor, 0))}</span>
          </h3>
          <ul>
            {may.map(({ positionId, priceMinor }) => (
              <li key={positionId} className="rule-row flex items-center justify-between gap-2">
                <span>
                  {nameOf(positionId)} <span className="num">{formatMinor(priceMinor)}</span>
                </span>
                <button
                  type="button"
                  className="act-link min-h-10"
                  aria-label={`Add ${nameOf(positionId)}`}
                  onClick={() => onAdd(positionId)}
                >
                  Add
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}
