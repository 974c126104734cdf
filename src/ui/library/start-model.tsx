"use client";
import { useRouter } from "next/navigation";
import { useFormContext } from "react-hook-form";
import { type FamilyId, familyWords } from "@/core/vocabulary/families";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { BuiltChoices, goingWith, type ShownVariant } from "@/ui/glyphs/built-choices";

interface Props {
  /** Ways the reels of each family are built, the usual one first. */
  readonly variants: Readonly<Record<FamilyId, readonly ShownVariant[]>>;
}

/** A new model begins as a copy of its family, built as such reels are, and is edited at its drawing. */
export function StartModel({ variants }: Props) {
  const router = useRouter();
  return (
    <div id="new-model">
      <h2>A new model from its family</h2>
      <ActForm
        act="start-model"
        label="A new model from its family"
        className="mt-2 flex flex-col gap-2"
        values={{
          family: "star-drag-bridge",
          maker: "",
          name: "",
          prefix: "",
          variants: Object.fromEntries(
            Object.entries(variants).map(([family, of]) => [
              family,
              Object.fromEntries(of.map(({ id, choices }) => [id, choices[0]?.id ?? ""])),
            ]),
          ),
        }}
        after={({ id }) => router.push(`/library/${id}`)}
      >
        <FormChoice name="family" label="Family" of={familyWords} />
        <FormText name="maker" label="Maker" />
        <FormText name="name" label="Model" />
        <FormText name="prefix" label="Part numbers begin with" />
        <BuiltSoFields variants={variants} />
        <FormSend large>Create the model</FormSend>
      </ActForm>
    </div>
  );
}

/** How this one is built, where it is not as usual. */
function BuiltSoFields({ variants }: Pick<Props, "variants">) {
  const { watch, setValue } = useFormContext();
  const family = watch("family") as FamilyId;
  const own = variants[family];
  if (!own.length) return null;
  const chosen = watch(`variants.${family}`);
  return (
    <details>
      <summary className="act-link min-h-10">Built otherwise than usual? {goingWith(own, chosen).length} things differ among them</summary>
      <BuiltChoices
        variants={own}
        chosen={chosen}
        disabled={false}
        onChoose={(variantId, choiceId) => setValue(`variants.${family}.${variantId}`, choiceId, { shouldDirty: true })}
      />
    </details>
  );
}
