"use client";
import { useEffect, useState } from "react";

interface Told {
  readonly today: string;
  readonly by: { readonly day: string; readonly words: string } | null;
  /** Chance that it is done by each day from today, of 100. */
  readonly chances: readonly number[];
  readonly because: string;
}
interface Rush {
  readonly by: { readonly words: string } | null;
  readonly slips: readonly { readonly tag: string; readonly before: number; readonly after: number }[];
}

const daysAhead = (from: string, to: string) => Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);
/** Days drawn; so many tags are named. */
const drawnDays = 28;
const namedSlips = 3;

/** Asks the server; what comes after the page went on to another question is dropped. */
function useAsked<T>(address: string | null): T | null {
  const [got, setGot] = useState<{ readonly of: string; readonly value: T } | null>(null);
  useEffect(() => {
    if (!address) return;
    const gone = new AbortController();
    const ask = async () => {
      const answer = await fetch(address, { signal: gone.signal }).catch(() => null);
      if (answer?.ok) setGot({ of: address, value: (await answer.json()) as T });
    };
    void ask().catch(() => undefined);
    return () => gone.abort();
  }, [address]);
  return got && got.of === address ? got.value : null;
}

/** The day to promise, with its chance and why; what the chosen day's chance is; and what a rush would cost the others. */
export function PromiseHint({ model, chosen, take }: { model: string; chosen: string; take: (day: string) => void }) {
  const [rushed, setRushed] = useState(false);
  const told = useAsked<Told>(model ? `/api/promise?model=${encodeURIComponent(model)}` : null);
  const rush = useAsked<Rush>(model && rushed ? `/api/promise?model=${encodeURIComponent(model)}&rush` : null);
  if (!told) return null;
  const ahead = chosen ? daysAhead(told.today, chosen) : -1;
  const chance = ahead >= 0 ? told.chances[Math.min(ahead, told.chances.length - 1)]! : null;
  return (
    <div className="mt-1 flex flex-col gap-1">
      <p>
        {told.by ? (
          <>
            8 in 10 by <strong>{told.by.words}</strong>
            {chosen !== told.by.day && (
              <>
                {" "}
                <button type="button" className="act-link min-h-10" onClick={() => take(told.by!.day)}>
                  Promise {told.by.words}
                </button>
              </>
            )}
          </>
        ) : (
          "No day of the next three months holds in 8 of 10."
        )}
        {chance !== null && `; the chosen day holds in ${chance} of 100`}
      </p>
      <Curve chances={told.chances} chosen={ahead} />
      <p className="text-note">{told.because}.</p>
      <button type="button" className="act-link min-h-10 self-start" aria-expanded={rushed} onClick={() => setRushed(!rushed)}>
        If it is rushed
      </button>
      {rushed && rush && (
        <p role="status">
          {rush.by ? `Done by ${rush.by.words}, 8 in 10. ` : ""}
          {rush.slips.length
            ? `Then slip: ${rush.slips
                .slice(0, namedSlips)
                .map(({ tag, before, after }) => `${tag} (its day holds in ${after} instead of ${before} of 100)`)
                .join(", ")}${rush.slips.length > namedSlips ? ` and ${rush.slips.length - namedSlips} more` : ""}.`
            : "No other reel's day suffers."}
        </p>
      )}
    </div>
  );
}

/** The chance of being done, day by day: a rising line, the line of 8 in 10, and the chosen day on it. */
function Curve({ chances, chosen }: { chances: readonly number[]; chosen: number }) {
  const x = (day: number) => 4 + day * 8;
  const y = (of100: number) => 46 - of100 * 0.4;
  const days = chances.slice(0, drawnDays);
  const line = days.map((of100, day) => `${day === 0 ? "M" : "L"}${x(day)} ${y(of100)} H${x(day + 1)}`).join(" ");
  return (
    <svg role="img" aria-label="Chance of being done, day by day" width={240} height={52} viewBox="0 0 240 52">
      <path d={`M4 ${y(80)} H${x(drawnDays)}`} className="ln-hidden" />
      <path d={`M4 46.5 H${x(drawnDays)}`} className="ln-leader" />
      <path d={line} className="ln-outline fl-none" />
      {chosen >= 0 && chosen < drawnDays && <path d={`M${x(chosen) + 4} 46 l-4 6 h8 Z`} className="ln-outline fl-ink" />}
    </svg>
  );
}
