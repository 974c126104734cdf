"use client";
import { useState } from "react";
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
  const [only, setOnly] = useState(false);
  return (
    <details className="mt-2">
      <summary className="act-link inline-flex min-h-10 items-center">
        {unknown ? "How is this one built?" : "Built differently from the drawing?"}
      </summary>
      <p className="text-note">
        {unknown
          ? "Choose what you can see. The parts to expect are updated; what is in the tray stays."
          : chosen
            ? only
              ? "Choose what you see. This applies to this reel, now and at later visits; its model stays as it is."
              : "Choose what you see. This changes the model from now on, and this job with it; other jobs are not changed."
            : "The model was changed after this job was opened. Choose what you can see: this job continues with the model as it is now."}
      </p>
      {!unknown && (
        <label className="flex min-h-10 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            checked={only}
            className="h-5 min-h-0 w-5 accent-ink"
            onChange={(event) => setOnly(event.target.checked)}
          />
          <span>Only this reel, not its model</span>
        </label>
      )}
      <BuiltChoices
        variants={variants}
        chosen={chosen}
        disabled={act.busy}
        onChoose={(variantId, choiceId) => act.press({ jobId, variantId, choiceId, only: only && !unknown })}
      />
      <Refused of={[act]} />
    </details>
  );
}
