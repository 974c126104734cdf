"use client";
import type { PartType } from "@/core/anatomy/types";
import { Glyph } from "./glyph";

/** One thing in which reels of a family differ, the usual way first. */
export interface ShownVariant {
  readonly id: string;
  readonly name: string;
  /** The choice of the skeleton with which it goes; null for one that always does. */
  readonly within: { readonly variant: string; readonly choice: string } | null;
  readonly choices: readonly {
    readonly id: string;
    readonly name: string;
    /** The pieces by which this choice differs from another: its picture. */
    readonly pieces: readonly { readonly seat: string; readonly turned: boolean; readonly part: PartType }[];
  }[];
}

export interface BuiltChoicesProps {
  readonly variants: readonly ShownVariant[];
  /** Null where nobody knows how this one is built. */
  readonly chosen: Readonly<Record<string, string>> | null;
  readonly disabled: boolean;
  readonly onChoose: (variantId: string, choiceId: string) => void;
}

/** Ways a reel is built, each as a picture of the pieces that tell it; the one it has is ticked. */
export function BuiltChoices({ variants, chosen, disabled, onChoose }: BuiltChoicesProps) {
  const choice = (id: string) => chosen?.[id] ?? variants.find((variant) => variant.id === id)?.choices[0]?.id;
  const going = variants.filter(({ within }) => !within || choice(within.variant) === within.choice);
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-x-6 gap-y-3">
      {going.map(({ id, name, choices }) => (
        <fieldset key={id} disabled={disabled}>
          <legend className="text-note">{name}</legend>
          <div className="flex flex-col gap-1">
            {choices.map((choice, at) => {
              const is = chosen !== null && (chosen[id] === choice.id || (chosen[id] === undefined && at === 0));
              return (
                // A key, not a row of radios: an arrow that passes over a choice must not build the model so.
                <button
                  key={choice.id}
                  type="button"
                  aria-pressed={is}
                  className={`flex min-h-11 items-center gap-2 px-2 text-left ${is ? "border-2 border-ink font-semibold" : "border border-brass"}`}
                  onClick={() => !is && onChoose(id, choice.id)}
                >
                  <span className="flex-1">{choice.name}</span>
                  <span className="flex items-center gap-1" aria-hidden>
                    {choice.pieces.map(({ seat, part, turned }) => (
                      <Glyph key={seat} type={part} turned={turned} widthPx={36} heightPx={36} />
                    ))}
                  </span>
                </button>
              );
            })}
          </div>
        </fieldset>
      ))}
    </div>
  );
}
