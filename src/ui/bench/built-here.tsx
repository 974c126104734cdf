"use client";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { BuiltChoices, type BuiltChoicesProps } from "@/ui/glyphs/built-choices";

interface Props extends Pick<BuiltChoicesProps, "variants" | "chosen"> {
  readonly jobId: number;
  /** No drawing knows this reel: what is chosen says which pieces to expect. */
  readonly unknown?: boolean;
}

/** When the reel in the hands is built otherwise than its model says: one press makes it so, and what is done stays. */
export function BuiltHere({ jobId, variants, chosen, unknown = false }: Props) {
  const act = useAct("built-otherwise");
  return (
    <details className="mt-2">
      <summary className="act-link inline-flex min-h-10 items-center">
        {unknown ? "How is this one built?" : "Built otherwise than drawn?"}
      </summary>
      <p className="text-note">
        {unknown
          ? "Choose what you see, as far as you see it. The pieces to expect follow; what is in the tray stays."
          : chosen
            ? "Choose what you see. The model is built so from now on, and this job with it; other jobs keep theirs."
            : "Its model was changed since this job was opened. Choose what you see: this job goes on with the model as it is now."}
      </p>
      <BuiltChoices
        variants={variants}
        chosen={chosen}
        disabled={act.busy}
        onChoose={(variantId, choiceId) => act.press({ jobId, variantId, choiceId })}
      />
      <Refused of={[act]} />
    </details>
  );
}
