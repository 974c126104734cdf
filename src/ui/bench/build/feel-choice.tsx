"use client";
import type { PartType } from "@/core/anatomy/types";
import { type Feel, feels, feelsOf, judgeFeel } from "@/core/teardown/feel";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly positionId: string;
  readonly name: string;
  readonly type: PartType;
  readonly feel: Feel | null;
  /** A new piece is asked for already. */
  readonly wanted: boolean;
  readonly onFeel: (feel: Feel | null) => void;
}

/** How the part felt as it went in, by one press; what is wrong says what it means, and a new one is asked for by the next. */
export function FeelChoice({ jobId, positionId, name, type, feel, wanted, onFeel }: Props) {
  const order = useAct("foresee");
  const choices = feelsOf(type);
  if (!choices.length) return null;
  const verdict = feel && judgeFeel(type, feel);
  return (
    <div className="mt-2">
      <fieldset className="flex flex-wrap gap-2">
        <legend className="text-note">How it feels</legend>
        {choices.map((id) => (
          <button
            key={id}
            type="button"
            className="key key-small"
            aria-pressed={feel === id}
            aria-label={`${name}: ${feels[id].name.toLowerCase()}`}
            onClick={() => onFeel(feel === id ? null : id)}
          >
            {feels[id].name}
          </button>
        ))}
      </fieldset>
      {verdict && (
        <p className="mt-1 border-l-4 border-ink pl-2 font-semibold" role="note">
          {verdict.words}{" "}
          {verdict.wantsNew && !wanted && (
            <button
              type="button"
              className="act-link min-h-10"
              disabled={order.busy}
              onClick={() => order.press({ jobId, positionId, wanted: true })}
            >
              Needs a new one
            </button>
          )}
          {verdict.wantsNew && wanted && <span className="font-normal">A new one has been asked for.</span>}
        </p>
      )}
      <Refused of={[order]} beside />
    </div>
  );
}
