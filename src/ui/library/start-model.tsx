"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useFormContext } from "react-hook-form";
import { type FamilyId, familyWords } from "@/core/vocabulary/families";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { BuiltChoices, goingWith, type ShownVariant } from "@/ui/glyphs/built-choices";

/** A new model begins as a copy of its family, built as such reels are, and is edited at its drawing. */
export function StartModel() {
  const router = useRouter();
  return (
    <div id="new-model">
      <h2>A new model from its family</h2>
      <ActForm
        act="start-model"
        label="A new model from its family"
        className="mt-2 flex flex-col gap-2"
        values={{ family: "star-drag-bridge", maker: "", name: "", prefix: "", variants: {} }}
        after={({ id }) => router.push(`/library/${id}`)}
      >
        <FormChoice name="family" label="Family" of={familyWords} />
        <FormText name="maker" label="Maker" />
        <FormText name="name" label="Model" />
        <FormText name="prefix" label="Part numbers begin with" />
        <BuiltSoFields />
        <FormSend large>Create the model</FormSend>
      </ActForm>
    </div>
  );
}

/** How this one is built, where it is not as usual: the ways and their pictures are asked for once they are opened. */
function BuiltSoFields() {
  const { watch, setValue } = useFormContext();
  const family = watch("family") as FamilyId;
  const chosen = watch(`variants.${family}`) as Readonly<Record<string, string>> | undefined;
  const [open, setOpen] = useState(false);
  const [known, setKnown] = useState<Partial<Record<FamilyId, readonly ShownVariant[]>>>({});
  const own = known[family];
  useEffect(() => {
    if (!open || own) return;
    let wanted = true;
    void fetch(`/api/variants/${family}`)
      .then((response) => (response.ok ? (response.json() as Promise<ShownVariant[]>) : []))
      .then((variants) => wanted && setKnown((now) => ({ ...now, [family]: variants })))
      .catch(() => wanted && setKnown((now) => ({ ...now, [family]: [] })));
    return () => {
      wanted = false;
    };
  }, [open, own, family]);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="act-link min-h-10">Not built the usual way?{own && ` ${goingWith(own, chosen ?? {}).length} options`}</summary>
      {own ? (
        <BuiltChoices
          variants={own}
          chosen={chosen ?? {}}
          disabled={false}
          onChoose={(variantId, choiceId) => setValue(`variants.${family}.${variantId}`, choiceId, { shouldDirty: true })}
        />
      ) : (
        open && <p role="status">Fetching them…</p>
      )}
    </details>
  );
}
