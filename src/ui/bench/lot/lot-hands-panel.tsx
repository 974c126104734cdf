"use client";
import { useState } from "react";
import type { LotHands } from "@/core/acts/bench/lot-hands";
import { groupBy } from "@/core/group-by";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

/** What hands could do to a reel next, and how that is called. */
export interface LotTurn {
  readonly what: LotHands | null;
  readonly words: string;
}

interface TurnOfReel {
  readonly jobId: number;
  readonly called: string;
  readonly turn: LotTurn;
}

const said: Readonly<Record<LotHands, (reels: number, words: string) => string>> = {
  strip: (reels) => `${reels} taken apart`,
  clean: (reels) => `${reels} cleaned by hand`,
  build: (reels) => `${reels} built to the next check`,
  check: (reels, words) => `Passed on ${reels}: ${words}`,
};
const names: Readonly<Record<LotHands, string>> = { strip: "Strip", clean: "Clean", build: "Build", check: "Check" };
const order: readonly LotHands[] = ["strip", "clean", "build", "check"];

/** What hands did to several reels alike, told by one press; one that differs is unticked and told at its own station. */
export function LotHandsPanel({ lotId, reels }: { readonly lotId: number; readonly reels: readonly TurnOfReel[] }) {
  const [out, setOut] = useState<ReadonlySet<number>>(new Set());
  const [not, setNot] = useState<readonly { readonly jobId: number; readonly why: string }[]>([]);
  const act = useAct("lot-hands", (answer) => setNot(answer.not));
  const groups = order.flatMap((what) =>
    [
      ...groupBy(
        reels.filter(({ turn }) => turn.what === what),
        // Each check by itself; how many parts or steps there are differs from reel to reel.
        ({ turn }) => (what === "check" ? turn.words : ""),
      ),
    ].map(([words, own]) => ({ what, words, own })),
  );
  const called = new Map(reels.map((reel) => [reel.jobId, reel.called]));
  const toggle = (jobId: number) =>
    setOut((before) => {
      const next = new Set(before);
      if (!next.delete(jobId)) next.add(jobId);
      return next;
    });
  return (
    <div>
      <h2>Several at once</h2>
      {!groups.length && <p>Nothing left to do by hand.</p>}
      {groups.map(({ what, words, own }) => {
        const taken = own.filter(({ jobId }) => !out.has(jobId)).map(({ jobId }) => jobId);
        return (
          <fieldset key={`${what} ${words}`} className="border-t border-ink py-1">
            <legend className="font-semibold">{names[what]}</legend>
            {words && <p>{words}</p>}
            <div className="flex flex-wrap gap-x-3">
              {own.map(({ jobId, called: name, turn }) => (
                <label key={jobId} className="flex min-h-9 cursor-pointer items-center gap-1" title={turn.words}>
                  <input type="checkbox" className="h-5 min-h-0 w-5 accent-ink" checked={!out.has(jobId)} onChange={() => toggle(jobId)} />
                  {name}
                </label>
              ))}
            </div>
            <button
              type="button"
              className="key key-small"
              disabled={act.busy || !taken.length}
              onClick={() => act.press({ lotId, jobIds: taken, what })}
            >
              {said[what](taken.length, words)}
            </button>
          </fieldset>
        );
      })}
      {not.length > 0 && (
        <ul role="status" className="alarm">
          {not.map(({ jobId, why }) => (
            <li key={jobId}>
              {called.get(jobId) ?? jobId}: {why}
            </li>
          ))}
        </ul>
      )}
      <Refused of={[act]} />
    </div>
  );
}
