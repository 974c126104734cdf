"use client";
import { useId, useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

export interface ShownExtra {
  readonly id: number;
  readonly words: string;
  readonly state: "off" | "back" | "left-out";
}

interface Props {
  readonly jobId: number;
  readonly closed: boolean;
  readonly pieces: readonly ShownExtra[];
  /** At Strip they are noted; at Build they go back. */
  readonly adds?: boolean;
}

const stateWords = { off: "in the tray", back: "back in", "left-out": "left out" } as const;

/** What came off and is not on the drawing: noted in a few words, and settled before the reel goes home. */
export function ExtraPieces({ jobId, closed, pieces, adds = false }: Props) {
  const [words, setWords] = useState("");
  const fieldId = useId();
  const adding = useAct("extra-piece", () => setWords(""));
  const settling = useAct("extra-piece-settled");
  if (!adds && !pieces.length) return null;
  return (
    <section aria-label="Not on the drawing" className="mt-2">
      {adds && !closed && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (words.trim()) void adding.press({ jobId, words });
          }}
        >
          <label className="text-note" htmlFor={fieldId}>
            Not on the drawing? What is it and where was it?
          </label>
          <div className="flex gap-2">
            <input id={fieldId} value={words} maxLength={160} onChange={(event) => setWords(event.target.value)} autoComplete="off" />
            <button type="submit" className="key key-small whitespace-nowrap" disabled={adding.busy || words.trim().length < 2}>
              Add it
            </button>
          </div>
          <Refused of={[adding]} />
        </form>
      )}
      <ul>
        {pieces.map((piece) => (
          <li key={piece.id} className="rule-row flex items-center gap-3">
            <span className="flex-1">
              {piece.words} <span className="text-note">not on the drawing, {stateWords[piece.state]}</span>
            </span>
            {!closed &&
              (["back", "left-out"] as const)
                .filter((state) => state !== piece.state)
                .map((state) => (
                  <button
                    key={state}
                    type="button"
                    className="act-link min-h-10"
                    aria-label={`${piece.words}: ${stateWords[state]}`}
                    onClick={() => settling.press({ jobId, id: piece.id, state })}
                  >
                    {stateWords[state]}
                  </button>
                ))}
          </li>
        ))}
      </ul>
      <Refused of={[settling]} />
    </section>
  );
}
