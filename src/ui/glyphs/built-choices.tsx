"use client";
import { useId } from "react";
import type { PartType } from "@/core/anatomy/types";
import { Glyph } from "./glyph";

/** One thing in which reels of a family differ, the usual way first. */
export interface ShownVariant {
  readonly id: string;
  readonly name: string;
  readonly choices: readonly {
    readonly id: string;
    readonly name: string;
    /** The pieces by which this choice differs from another: its picture. */
    readonly pieces: readonly { readonly seat: string; readonly turned: boolean; readonly part: PartType }[];
  }[];
}

export interface BuiltChoicesProps {
  readonly variants: readonly ShownVariant[];
  readonly chosen: Readonly<Record<string, string>>;
  readonly disabled: boolean;
  readonly onChoose: (variantId: string, choiceId: string) => void;
}

/** Ways a reel is built, each as a picture of the pieces that tell it; the one it has is ticked. */
export function BuiltChoices({ variants, chosen, disabled, onChoose }: BuiltChoicesProps) {
  const group = useId();
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-x-6 gap-y-3">
      {variants.map(({ id, name, choices }) => (
        <fieldset key={id} disabled={disabled}>
          <legend className="text-note">{name}</legend>
          <div className="flex flex-col gap-1">
            {choices.map((choice, at) => (
              <label
                key={choice.id}
                className="flex min-h-11 cursor-pointer items-center gap-2 border border-brass px-2 has-checked:border-2 has-checked:border-ink has-focus-visible:outline-3 has-focus-visible:outline-ink"
              >
                <input
                  type="radio"
                  className="size-4 min-h-0 shrink-0"
                  name={`${group} ${id}`}
                  checked={chosen[id] === choice.id || (chosen[id] === undefined && at === 0)}
                  onChange={() => onChoose(id, choice.id)}
                />
                <span className="flex-1">{choice.name}</span>
                <span className="flex items-center gap-1" aria-hidden>
                  {choice.pieces.map(({ seat, part, turned }) => (
                    <Glyph key={seat} type={part} turned={turned} widthPx={36} heightPx={36} />
                  ))}
                </span>
              </label>
            ))}
          </div>
        </fieldset>
      ))}
    </div>
  );
}
