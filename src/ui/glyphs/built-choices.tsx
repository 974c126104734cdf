"use client";
import type { PartType } from "@/core/anatomy/types";
import { Glyph } from "./glyph";

/** One thing in which reels of a family differ, the usual way first. */
export interface ShownVariant {
  readonly id: string;
  readonly name: string;
  /** The choice among whole skeletons: asked first, in sight. */
  readonly skeleton: boolean;
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

/** What is chosen of a variant; the usual where nobody said. */
const choiceIn = (variants: readonly ShownVariant[], chosen: Readonly<Record<string, string>> | null, id: string): string | undefined =>
  chosen?.[id] ?? variants.find((variant) => variant.id === id)?.choices[0]?.id;

/** The variants that go with the skeleton that is chosen. */
export const goingWith = (variants: readonly ShownVariant[], chosen: Readonly<Record<string, string>> | null): ShownVariant[] =>
  variants.filter(({ within }) => !within || choiceIn(variants, chosen, within.variant) === within.choice);

/** Ways a reel is built, each as a picture of the pieces that tell it; the one it has is ticked. */
export function BuiltChoices({ variants, chosen, disabled, onChoose }: BuiltChoicesProps) {
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(18rem,1fr))] gap-x-6">
      {goingWith(variants, chosen).map(({ id, name, choices, skeleton }) => (
        <details key={id} open={skeleton} className="border-b border-brass">
          <summary className="flex min-h-11 cursor-pointer items-center justify-between gap-3">
            <span className="act-link">{name}</span>
            <span className="text-right font-semibold">
              {chosen ? choices.find((one) => one.id === choiceIn(variants, chosen, id))?.name : ""}
            </span>
          </summary>
          <fieldset disabled={disabled} className="flex flex-col gap-1 pb-2">
            <legend className="sr-only">{name}</legend>
            {choices.map((one, at) => {
              const is = chosen !== null && (chosen[id] === one.id || (chosen[id] === undefined && at === 0));
              return (
                // A key, not a row of radios: an arrow that passes over a choice must not build the model so.
                <button
                  key={one.id}
                  type="button"
                  aria-pressed={is}
                  className={`flex min-h-11 items-center gap-2 px-2 text-left ${is ? "border-2 border-ink font-semibold" : "border border-brass"}`}
                  onClick={() => !is && onChoose(id, one.id)}
                >
                  <span className="flex-1">{one.name}</span>
                  <span className="flex items-center gap-1" aria-hidden>
                    {one.pieces.map(({ seat, part, turned }) => (
                      <Glyph key={seat} type={part} turned={turned} widthPx={36} heightPx={36} />
                    ))}
                  </span>
                </button>
              );
            })}
          </fieldset>
        </details>
      ))}
    </div>
  );
}
