"use client";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { BuiltChoices, type BuiltChoicesProps } from "@/ui/glyphs/built-choices";

interface Props extends Pick<BuiltChoicesProps, "variants" | "chosen"> {
  readonly modelId: string;
  readonly versionNumber: number;
  /** Seats that such reels have as their family is drawn today, by name. */
  readonly lacking: readonly string[];
}

/** How a model is built, where its family differs; another choice is its next version. */
export function BuiltSo({ modelId, versionNumber, lacking, variants, chosen }: Props) {
  const act = useAct("change-variant");
  const taking = useAct("take-over-lacking");
  return (
    <section aria-label="How it is built" className="lg:col-span-2">
      <h2>How it is built</h2>
      <p className="text-note">A different choice makes the model's next version; open jobs keep theirs.</p>
      <BuiltChoices
        variants={variants}
        chosen={chosen}
        disabled={act.busy}
        onChoose={(variantId, choiceId) => act.press({ modelId, baseNumber: versionNumber, variantId, choiceId })}
      />
      {lacking.length > 0 && (
        <div className="mt-3">
          <p>
            This type of reel has {lacking.length} seats that this model does not have: {lacking.join(", ")}.
          </p>
          <button
            type="button"
            className="act-link min-h-10"
            disabled={taking.busy}
            onClick={() => taking.press({ modelId, baseNumber: versionNumber })}
          >
            Add them (next version)
          </button>
        </div>
      )}
      <Refused of={[act, taking]} />
    </section>
  );
}
