"use client";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { BuiltChoices, type BuiltChoicesProps } from "@/ui/glyphs/built-choices";

interface Props extends Pick<BuiltChoicesProps, "variants" | "chosen"> {
  readonly modelId: string;
  readonly versionNumber: number;
}

/** How a model is built, where its family differs; another choice is its next version. */
export function BuiltSo({ modelId, versionNumber, variants, chosen }: Props) {
  const act = useAct("change-variant");
  return (
    <section aria-label="How it is built" className="lg:col-span-2">
      <h2>How it is built</h2>
      <p className="text-note">Another choice makes the model's next version; jobs keep the one they were opened with.</p>
      <BuiltChoices
        variants={variants}
        chosen={chosen}
        disabled={act.busy}
        onChoose={(variantId, choiceId) => act.press({ modelId, baseNumber: versionNumber, variantId, choiceId })}
      />
      <Refused of={[act]} />
    </section>
  );
}
