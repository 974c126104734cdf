"use client";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

/** One thing in which reels of a family differ, the usual way first. */
export interface ShownVariant {
  readonly id: string;
  readonly name: string;
  readonly choices: readonly { readonly id: string; readonly name: string }[];
}

interface Props {
  readonly modelId: string;
  readonly versionNumber: number;
  readonly variants: readonly ShownVariant[];
  readonly chosen: Readonly<Record<string, string>>;
}

/** How a model is built, where its family differs; another choice is its next version. */
export function BuiltSo({ modelId, versionNumber, variants, chosen }: Props) {
  const act = useAct("change-variant");
  return (
    <section aria-label="How it is built">
      <h2>How it is built</h2>
      <p className="text-note">Another choice makes the model's next version; jobs keep the one they were opened with.</p>
      <div className="grid gap-2 sm:grid-cols-2">
        {variants.map(({ id, name, choices }) => (
          <Field key={id} label={name}>
            {(field) => (
              <select
                {...field}
                value={chosen[id] ?? choices[0]?.id}
                disabled={act.busy}
                onChange={(event) => act.press({ modelId, baseNumber: versionNumber, variantId: id, choiceId: event.target.value })}
              >
                {choices.map((choice) => (
                  <option key={choice.id} value={choice.id}>
                    {choice.name}
                  </option>
                ))}
              </select>
            )}
          </Field>
        ))}
      </div>
      <Refused of={[act]} />
    </section>
  );
}
