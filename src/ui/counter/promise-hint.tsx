"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { daysBetween } from "@/core/day/day";
import { type SaidOfJob, saidOf } from "@/core/promise/backtest";
import { chanceBy, dayFor, type Foretold } from "@/core/promise/bench-simulation";
import { type BenchToAsk, chanceWords, of100 } from "@/ui/promise/bench-to-ask";
import type { BenchQuestion } from "@/ui/promise/bench-worker";
import { Slips } from "@/ui/promise/slips";
import { useBenchReply, useBenchToAsk } from "@/ui/promise/use-bench";

/** Days drawn. */
const drawnDays = 28;

const questionOf = (asked: BenchToAsk): BenchQuestion => ({
  kind: "one",
  bench: { ...asked.bench, jobs: [...asked.bench.jobs, asked.fresh!.job] },
  place: asked.bench.jobs.length,
  seed: asked.seed,
  chance: asked.ask,
});
const rushOf = (asked: BenchToAsk): BenchQuestion => ({
  kind: "change",
  bench: asked.bench,
  change: { kind: "rush", job: asked.fresh!.job },
  promised: asked.hanging,
  seed: asked.seed,
  chance: asked.ask,
});

/** The day to promise, with its chance and why; what the chosen day's chance is; and what a rush would cost the others. */
export function PromiseHint({
  model,
  kind,
  depth,
  chosen,
  take,
  shown,
}: {
  model: string;
  kind: string;
  depth: string;
  chosen: string;
  take: (day: string) => void;
  /** Told what stands here, so that it is what is kept; null while nothing does. */
  shown: (said: ({ readonly on: string } & SaidOfJob) | null) => void;
}) {
  const [rushed, setRushed] = useState(false);
  const asked = useBenchToAsk(model ? `?${new URLSearchParams({ model, kind, depth })}` : null);
  const reply = useBenchReply(useMemo(() => (asked ? questionOf(asked) : null), [asked]));
  const rush = useBenchReply(useMemo(() => (asked && rushed ? rushOf(asked) : null), [asked, rushed]));
  const tags = useMemo(() => new Map(asked?.hanging.map(({ key, tag }) => [key, tag])), [asked]);
  const told = reply?.kind === "told" ? reply.told[0]! : null;
  const runs = reply?.runs;
  const tell = useRef(shown);
  tell.current = shown;
  useEffect(() => tell.current(asked && told ? { on: asked.today, ...saidOf(told, asked.ask) } : null), [asked, told]);
  if (!asked || !told) return null;
  const by = asked.days[dayFor(told, asked.ask)];
  const ahead = chosen ? daysBetween(asked.today, chosen) : -1;
  const chance = ahead >= 0 ? of100(chanceBy(told, ahead)) : null;
  const rushBy = rush?.kind === "effects" && rush.rush ? asked.days[dayFor(rush.rush, asked.ask)] : undefined;
  return (
    <div className="mt-1 flex flex-col gap-1" data-runs={runs}>
      <p>
        {by ? (
          <>
            {chanceWords(asked.wanted)} likely by <strong>{by.words}</strong>
            {chosen !== by.day && (
              <>
                {" "}
                <button type="button" className="act-link min-h-10" onClick={() => take(by.day)}>
                  Promise {by.words}
                </button>
              </>
            )}
          </>
        ) : (
          `No day in the next three months can be promised at ${chanceWords(asked.wanted)}.`
        )}
        {chance !== null && `; the chosen day is ${chance} % likely to be kept`}
      </p>
      <Curve told={told} line={asked.ask} chosen={ahead} />
      <p className="text-note">{asked.fresh!.because}.</p>
      <button type="button" className="act-link min-h-10 self-start" aria-expanded={rushed} onClick={() => setRushed(!rushed)}>
        If rushed
      </button>
      {rushed && rush?.kind === "effects" && (
        <>
          {rushBy && (
            <p>
              Done by {rushBy.words} ({chanceWords(asked.wanted)} likely).
            </p>
          )}
          <Slips effects={rush.effects} tagOf={tags} begins="Then" />
        </>
      )}
    </div>
  );
}

/** The chance of being done, day by day: a rising line, the line that is asked for, and the chosen day on it. */
function Curve({ told, line, chosen }: { told: Foretold; line: number; chosen: number }) {
  const x = (day: number) => 4 + day * 8;
  const y = (of: number) => 46 - of * 0.4;
  const days = Array.from({ length: drawnDays }, (_, day) => of100(chanceBy(told, day)));
  const path = days.map((of, day) => `${day === 0 ? "M" : "L"}${x(day)} ${y(of)} H${x(day + 1)}`).join(" ");
  return (
    <svg role="img" aria-label="Chance of being done, day by day" width={240} height={52} viewBox="0 0 240 52">
      <path d={`M4 ${y(100 * line)} H${x(drawnDays)}`} className="ln-hidden" />
      <path d={`M4 46.5 H${x(drawnDays)}`} className="ln-leader" />
      <path d={path} className="ln-outline fl-none" />
      {chosen >= 0 && chosen < drawnDays && <path d={`M${x(chosen) + 4} 46 l-4 6 h8 Z`} className="ln-outline fl-ink" />}
    </svg>
  );
}
